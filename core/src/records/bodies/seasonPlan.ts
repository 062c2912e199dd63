import { z } from 'zod';
import { daySchema } from '../../basics/index.ts';
import { NUC_QUEENS } from './request.ts';

/**
 * What is done in a round of a season, in the words of the trade:
 * `nucs` from donors that keep their queens and stands; `halves` of two-box colonies; `queen-out`, the old queen into a nuc, the
 * colony raises another; `level`, capped brood from strong to weak; `unite` what is too weak for the winter or has no queen;
 * `come-down` to so many colonies, by uniting.
 */
export const ROUND_KINDS = ['nucs', 'halves', 'queen-out', 'level', 'unite', 'come-down'] as const;
export type RoundKind = (typeof ROUND_KINDS)[number];

/** A round of a season plan. */
const seasonRound = z.strictObject({
  day: daySchema,
  /** Null for all yards. */
  yardId: z.uuid().nullable(),
  what: z.enum(ROUND_KINDS),
  queen: z.enum(NUC_QUEENS),
  /** New colonies to be made; with `come-down`, colonies that are to be left; 0 with `level` and `unite`. */
  parts: z.int().min(0).max(400),
});
export type SeasonRound = z.infer<typeof seasonRound>;

/** Ways in which new colonies may get their queens. */
export const AIM_QUEENS = ['raises', 'cell', 'mated'] as const;

/** What is wanted of a season. */
export const seasonAim = z.strictObject({
  colonies: z.int().min(1).max(400),
  by: daySchema,
  /** Whether more colonies than that are unwelcome. */
  atMost: z.boolean(),
  /** Frames of bees that each of them has at least. */
  strongFrames: z.number().min(0).max(30),
  /** Honey of all colonies together, in kg. */
  honeyKg: z.number().min(0).max(20_000),
  /** In the money of the operation; null for as much as it takes. */
  moneyMost: z.number().min(0).max(1_000_000).nullable(),
  hoursMost: z.number().min(0).max(10_000).nullable(),
  queens: z.array(z.enum(AIM_QUEENS)).min(1).max(3),
  weekendsOnly: z.boolean(),
  /** Most colonies of yards that have a limit. */
  yards: z.array(z.strictObject({ yardId: z.uuid(), most: z.int().min(0).max(400) })).max(40),
});
export type SeasonAim = z.infer<typeof seasonAim>;

const band = z.tuple([z.number(), z.number(), z.number()]);

/** The plan of a season that is followed, with what was said of it when it was made. */
export const seasonPlan = z.strictObject({
  v: z.literal(1),
  madeOn: daySchema,
  seed: z.int().min(0),
  aim: seasonAim,
  rounds: z.array(seasonRound).max(12),
  said: z.strictObject({
    odds: z.number().min(0).max(1),
    /** By week: nine of ten, half and one of ten seasons are above. */
    weeks: z.array(z.strictObject({ day: daySchema, colonies: band, frames: band, honeyKg: band })).max(120),
  }),
});
export type SeasonPlan = z.infer<typeof seasonPlan>;
