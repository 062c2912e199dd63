import { z } from 'zod';
import { daySchema } from '../../basics/index.ts';

/** What is put on, around or before a hive for a time. */
export const WEARS = [
  'wrap',
  'obstacle',
  'entrance-block',
  'mouse-guard',
  'top-feeder',
  'moisture-quilt',
] as const;
export type Wear = (typeof WEARS)[number];
export const WEAR_WORDS: Readonly<Record<Wear, string>> = {
  wrap: 'winter wrap',
  obstacle: 'branch or board before the entrance',
  'entrance-block': 'entrance block',
  'mouse-guard': 'mouse guard',
  'top-feeder': 'top feeder',
  'moisture-quilt': 'moisture quilt',
};

/** One thing that a hive wears, and the day on which it is to go, if any. */
export const wornThing = z.strictObject({
  what: z.enum(WEARS),
  since: daySchema,
  until: daySchema.nullable(),
});

/** What takes a slot of a box and is no comb. */
export const INSERTS = ['frame-feeder', 'dummy-board', 'division-board'] as const;
export type Insert = (typeof INSERTS)[number];
export const INSERT_WORDS: Readonly<Record<Insert, string>> = {
  'frame-feeder': 'frame feeder',
  'dummy-board': 'dummy board',
  'division-board': 'division board',
};
export const boxInsert = z.strictObject({ what: z.enum(INSERTS), slot: z.int().min(1).max(40) });
