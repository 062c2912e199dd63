import { addDays, type Day } from '../basics/day.ts';
import type { CellKind } from '../comb/contents.ts';
import { noEvidence, type Evidence } from '../records/bodies/evidence.ts';
import { queenBelief } from '../queen-odds/queenOdds.ts';

/** What looks say, in few words, for tests of queen states. */
export const NO = { look: 'notFound' } as const;
export const YES = { look: 'found' } as const;
export const eggs = (perCell: 'one' | 'several' = 'one', place: 'bottom' | 'walls' | 'unsure' = 'unsure') =>
  ({ look: 'found', perCell, place }) as const;
export const caps = (
  cappings: 'flat' | 'domed' | 'both',
  patch: 'compact' | 'scattered' | 'unsure' = 'unsure',
) => ({ look: 'found', cappings, patch }) as const;
export const cells = (kind: CellKind, count = 3) => cellsOf([kind, count]);
/** Cells of several kinds, as `cellsOf(['capped', 3], ['open', 2])`. */
export const cellsOf = (
  ...found: readonly (readonly [kind: CellKind, count: number])[]
): Evidence['cells'] => ({
  look: 'found',
  cells: found.map(([kind, count]) => ({ kind, count })),
});
export const queen = (build: 'long' | 'slim' | 'unsure' = 'unsure') => ({ look: 'found', build }) as const;

export const read = (said: Partial<Evidence>, part: readonly [number, number] = [10, 10]): Evidence => ({
  ...noEvidence(part[1]),
  framesRead: part[0],
  ...said,
});

/** The day on which a part lost its queen, or may have. */
export const LOST = '2026-05-04';
export const on = (d: number): Day => addDays(LOST, d);

export type Looks = readonly (readonly [
  day: number,
  said: Partial<Evidence>,
  part?: readonly [number, number],
])[];

export const believe = (queenHere: number | null, looks: Looks, day = looks.at(-1)?.[0] ?? 0) =>
  queenBelief(
    { separatedOn: queenHere === null ? null : LOST, emergence: null, queenHere: queenHere ?? 1 },
    looks.map(([d, said, part]) => ({ day: on(d), seen: read(said, part) })),
    on(day),
  );

export const BLIND = 0.5;
export const WITHOUT = 0;
export const NEVER_SPLIT = null;
