import { z } from 'zod';
import { daySchema, windowSchema } from '../../basics/index.ts';
import { CELL_PLACES } from '../../comb/index.ts';

const id = z.uuid();

/** What a cell looks like, as a sign of the queen in it. */
export const CELL_QUALITIES = ['large', 'small', 'dented'] as const;
export type CellQuality = (typeof CELL_QUALITIES)[number];
export const CELL_QUALITY_WORDS: Readonly<Record<CellQuality, string>> = {
  large: 'large and sculptured',
  small: 'small or smooth',
  dented: 'dented',
};

/** Why a cell is there. */
export const CELL_ORIGINS = ['swarm', 'supersedure', 'emergency', 'given', 'unknown'] as const;
export type CellOrigin = (typeof CELL_ORIGINS)[number];

/** What became of a cell. */
export const CELL_FATES = ['emerged', 'torn', 'broken', 'dead'] as const;
export type CellFate = (typeof CELL_FATES)[number];

const deed = z.strictObject({
  day: daySchema,
  did: z.enum(['entered', 'cut-out', 'reserved', 'let-go', ...CELL_FATES]),
  frameId: id,
});

/**
 * One queen cell that is followed by itself: it keeps its dates wherever it is carried. It hangs on a comb, and goes
 * where the comb goes.
 */
export const cellRecord = z.strictObject({
  id,
  frameId: id,
  place: z.enum([...CELL_PLACES, 'unsure']),
  /** The day on which its egg was laid, as closely as the clock that is known tells it. */
  egg: windowSchema,
  /** What the day of its egg was told by. */
  datedBy: z.enum(['queen-lost', 'eggs-given', 'larva', 'sealed-seen', 'grafted', 'stage']),
  /** The day on which it was first noted. */
  notedOn: daySchema,
  quality: z.enum(CELL_QUALITIES).nullable().default(null),
  origin: z.enum(CELL_ORIGINS).default('unknown'),
  /** Chosen: marked on the comb, never shaken, the others go. */
  reserved: z.boolean().default(false),
  /** The colony whose egg it is, where it came from elsewhere. */
  fromColonyId: id.nullable().default(null),
  fate: z
    .strictObject({ day: daySchema, how: z.enum(CELL_FATES) })
    .nullable()
    .default(null),
  history: z.array(deed).max(100).default([]),
});
