import { z } from 'zod';
import type { Problem } from '../basics/index.ts';

/** What a patch of comb can hold, in the order in which it lies on a typical comb from the top down. */
export const CONTENT_CLASSES = [
  'honey',
  'nectar',
  'beeBread',
  'eggs',
  'open',
  'capped',
  'emerging',
  'drone',
  'drawn',
  'foundation',
] as const;
export type ContentClass = (typeof CONTENT_CLASSES)[number];

/** The word a beekeeper uses for each content. */
export const CONTENT_NAMES: Readonly<Record<ContentClass, string>> = {
  honey: 'honey',
  nectar: 'nectar',
  beeBread: 'bee bread',
  eggs: 'eggs',
  open: 'open brood',
  capped: 'capped brood',
  emerging: 'emerging brood',
  drone: 'drone brood',
  drawn: 'empty comb',
  foundation: 'foundation',
};

/** Contents that are worker brood, youngest first. */
export const WORKER_BROOD = ['eggs', 'open', 'capped', 'emerging'] as const satisfies readonly ContentClass[];

/** A number of tenths of one side; half tenths are the finest that an eye tells apart. */
const tenths = z.number().min(0);

/** Contents of one side in tenths of that side; a class that is left out is zero. */
export const contents = z.strictObject({
  honey: tenths.optional(),
  nectar: tenths.optional(),
  beeBread: tenths.optional(),
  eggs: tenths.optional(),
  open: tenths.optional(),
  capped: tenths.optional(),
  emerging: tenths.optional(),
  drone: tenths.optional(),
  drawn: tenths.optional(),
  foundation: tenths.optional(),
});
export type Contents = { readonly [K in ContentClass]?: number | undefined };

/** One side of a frame: what is in the comb and how much of it bees cover, both in tenths. */
const side = z.strictObject({ contents, bees: tenths });
export interface Side {
  readonly contents: Contents;
  /** Tenths of the side covered by adult bees, 0 to 10. */
  readonly bees: number;
}

/** Kinds of queen cell, from the empty cup to the cell torn open by a rival. */
export const CELL_KINDS = ['cup', 'charged', 'open', 'capped', 'emerged', 'torn'] as const;
const cellKind = z.enum(CELL_KINDS);
export type CellKind = z.infer<typeof cellKind>;

/** Where on the comb a queen cell hangs: swarm cells are often on edges, supersedure cells on the face. */
export const CELL_PLACES = ['face', 'bottom-edge', 'side-edge'] as const;
export type CellPlace = (typeof CELL_PLACES)[number];

/** Queen cells of one kind seen together on a frame. */
export const cellFinding = z.strictObject({
  kind: cellKind,
  count: z.int().min(1).max(200),
  /** Days since the larva hatched, when it was judged. */
  larvaAgeDays: z.number().min(0).max(6).optional(),
  /** Where on the comb they hang, when it was noted. */
  place: z.enum(CELL_PLACES).optional(),
});
export interface CellFinding {
  readonly kind: CellKind;
  readonly count: number;
  readonly larvaAgeDays?: number | undefined;
  readonly place?: CellPlace | undefined;
}

/** Everything read off one frame on one day. */
export const frameReading = z.strictObject({
  v: z.literal(1),
  sides: z.tuple([side, side]),
  queenSeen: z.boolean(),
  cells: z.array(cellFinding).max(20),
  /** True when the figures were spread from a rough statement and not read frame by frame. */
  estimated: z.boolean(),
});
export interface FrameReading {
  readonly v: 1;
  readonly sides: readonly [Side, Side];
  readonly queenSeen: boolean;
  readonly cells: readonly CellFinding[];
  readonly estimated: boolean;
}

/** A reading with both sides alike, which is how most frames are read. */
export function bothSides(
  onASide: Contents,
  bees: number,
  rest: Partial<Omit<FrameReading, 'v' | 'sides'>> = {},
): FrameReading {
  const one: Side = { contents: onASide, bees };
  return { v: 1, sides: [one, one], queenSeen: false, cells: [], estimated: false, ...rest };
}

/** Tenths of a side named by its contents; ten when the side is fully described. */
export function sumOfTenths(onASide: Contents): number {
  return CONTENT_CLASSES.reduce((sum, c) => sum + (onASide[c] ?? 0), 0);
}

/** Share of the whole frame (both sides) that holds any of these contents, 0 to 1. */
export function shareOf(reading: FrameReading, ...classes: readonly ContentClass[]): number {
  let total = 0;
  for (const s of reading.sides) for (const c of classes) total += s.contents[c] ?? 0;
  return total / 20;
}

/** Share of the whole frame covered by bees, 0 to 1: a frame of bees is 1. */
export function shareOfBees(reading: FrameReading): number {
  return (reading.sides[0].bees + reading.sides[1].bees) / 20;
}

/** Whether a cell of this kind can still give a queen. */
export const isLiveCell = (kind: CellKind): boolean =>
  kind === 'charged' || kind === 'open' || kind === 'capped';

/** True when the frame has a queen cell with life in it. */
export function hasLiveCell(reading: FrameReading): boolean {
  return reading.cells.some((c) => isLiveCell(c.kind));
}

/** The tolerance for sums of tenths: half tenths add up exactly, projected values nearly so. */
const SLACK = 1e-6;

/**
 * Says what is impossible about a reading; an empty list means that it can stand.
 *
 * Adds to `path` so that the message can be shown beside the side it is about.
 *
 * @param names - what the sides are called where they are not entered one by one
 */
export function problemsOfReading(
  reading: FrameReading,
  path: readonly (string | number)[],
  names: readonly [string, string] = ['first side', 'second side'],
): Problem[] {
  const problems: Problem[] = [];
  reading.sides.forEach((s, i) => {
    const name = names[i] ?? '';
    const sum = sumOfTenths(s.contents);
    if (sum > 10 + SLACK) {
      problems.push({
        code: 'side-over-full',
        path: [...path, 'sides', i, 'contents'],
        message: `The ${name} holds ${round(sum)} tenths; a side has ten.`,
        remedy: `Take ${round(sum - 10)} tenths off one of its contents.`,
      });
    }
    if (s.bees > 10 + SLACK) {
      problems.push({
        code: 'bees-beyond-comb',
        path: [...path, 'sides', i, 'bees'],
        message: `The ${name} is given ${round(s.bees)} tenths of bees; comb that is covered all over carries ten.`,
        remedy: 'Enter at most ten tenths. Write bees that hang on walls or lid in the note.',
      });
    }
  });
  return problems;
}

function round(n: number): number {
  return Math.round(n * 10) / 10;
}
