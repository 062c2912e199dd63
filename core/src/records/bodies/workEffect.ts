import { z } from 'zod';
import { windowSchema } from '../../basics/index.ts';
import { markingColourSchema } from './markingColour.ts';

/** What the dates of something hang on: the day of the work, or cells that were there before it. */
export const anchor = z.enum(['work', 'cells']);

const recordId = z.uuid();

/** What work changes besides frames and boxes. */
export const workEffect = z.discriminatedUnion('kind', [
  /** The queen on record is taken out for good. */
  z.strictObject({ kind: z.literal('queen-out'), colonyId: recordId }),
  /** The queen on record goes over into another colony. */
  z.strictObject({ kind: z.literal('queen-over'), colonyId: recordId, intoId: recordId }),
  /** A mated queen comes in: a new one on record. */
  z.strictObject({
    kind: z.literal('queen-in'),
    colonyId: recordId,
    queenId: recordId,
    name: z.string().trim().min(1).max(80).nullable(),
    birthYear: z.int().min(1990).max(2100).nullable(),
    dot: markingColourSchema.nullable(),
  }),
  /** A ripe cell is given: a new queen is expected from it. */
  z.strictObject({
    kind: z.literal('cell-in'),
    colonyId: recordId,
    emergence: z.strictObject({ window: windowSchema, anchor }),
  }),
  /** Two hives change places. */
  z.strictObject({ kind: z.literal('stands-swapped'), colonyIds: z.array(recordId).length(2) }),
  /** Its hive is set on a stand of its own in the same yard, and the old one is left empty. */
  z.strictObject({ kind: z.literal('new-stand'), colonyId: recordId, standId: recordId }),
  /** Nobody knows in which of the units the old queen is. */
  z.strictObject({
    kind: z.literal('queen-unsure'),
    fromId: recordId,
    colonyIds: z.array(recordId).min(2).max(12),
  }),
  /** An excluder over the brood boxes, where there is none. */
  z.strictObject({ kind: z.literal('excluder-in'), colonyId: recordId }),
  /** A brood box becomes a super as it stands, the excluder under it. */
  z.strictObject({ kind: z.literal('box-to-super'), colonyId: recordId, boxId: recordId }),
  /** The queen is not on the comb any more on which she was seen: the identifier is that of its reading without her. */
  z.strictObject({
    kind: z.literal('queen-off-comb'),
    colonyId: recordId,
    frameId: recordId,
    readingId: recordId,
  }),
  /**
   * Queen cells of a comb are cut out: all live ones, those that are capped, or all but the best. The identifier is that of
   * the comb's reading without them.
   */
  z.strictObject({
    kind: z.literal('cells-cut'),
    colonyId: recordId,
    frameId: recordId,
    readingId: recordId,
    what: z.enum(['all', 'capped', 'all-but-best']),
  }),
  /** Every excluder of its hive is taken off. */
  z.strictObject({ kind: z.literal('excluder-out'), colonyId: recordId }),
  /** The unit is no more: shaken out, or closed. */
  z.strictObject({ kind: z.literal('unit-ends'), colonyId: recordId }),
]);
export type WorkEffect = z.infer<typeof workEffect>;
