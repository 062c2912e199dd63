import { z } from 'zod';
import { daySchema } from '../../basics/index.ts';

const id = z.uuid();
const amount = z.number().min(0).max(500);

/** What is put into a hive besides combs, and what it is for. */
export const FEED_KINDS = ['syrup-thin', 'syrup-thick', 'fondant', 'dry-sugar', 'honey', 'patty'] as const;
export type FeedKind = (typeof FEED_KINDS)[number];
export const FEED_WORDS: Readonly<Record<FeedKind, string>> = {
  'syrup-thin': 'thin syrup (1 to 1)',
  'syrup-thick': 'thick syrup (2 to 1)',
  fondant: 'fondant',
  'dry-sugar': 'dry sugar',
  honey: 'honey of their own',
  patty: 'pollen patty',
};

const body = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('feed'),
    what: z.enum(FEED_KINDS),
    /** As it was poured or laid in, in kilograms. */
    kg: amount,
    purpose: z.enum(['winter', 'draw-comb', 'until-nectar', 'start', 'other']),
    /** What was left of it when somebody looked, in kilograms; null while nobody has. */
    leftKg: amount.nullable(),
  }),
  z.strictObject({
    kind: z.literal('treatment'),
    /** As its label calls it. The label rules. */
    what: z.string().trim().min(1, 'Say what it is, as on its label.').max(80),
    /** In the hive for so long by its label; null for what is given once. */
    outBy: daySchema.nullable(),
    pieces: z.int().min(0).max(400).nullable(),
  }),
]);

/** Feed, a patty, strips or another treatment that a colony was given: in, and out again. */
export const givenRecord = z.strictObject({
  id,
  colonyId: id,
  day: daySchema,
  body,
  /** Taken up, or taken out; null while it is in the hive. */
  outOn: daySchema.nullable().default(null),
  note: z.string().max(1000).default(''),
});
