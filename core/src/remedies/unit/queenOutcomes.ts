import { DAYS_TO_EGGS } from '../../brood/index.ts';
import type { QueenOdds, QueenStateName } from '../../rules/index.ts';

/** What is done about the queen of a unit. */
export type QueenMeasure = 'leave' | 'test-frame' | 'give-cell' | 'give-queen' | 'free-queen';

/** What comes of it in a state: the chance that a mated queen lays in the end, and in how many days. */
export interface QueenOutcome {
  readonly chance: number;
  readonly laysFrom: number;
}

const out = (chance: number, laysFrom: number): QueenOutcome => ({ chance, laysFrom });
const none = out(0, 0);

/**
 * What comes of each measure in each state. Seven to nine in ten queens that are raised end as laying queens, a
 * mated queen is taken by some seventeen in twenty units without one (common practice, no source); the rest is
 * judgement. Days from the development clock.
 */
const QUEEN_OUTCOMES: Readonly<Record<QueenMeasure, Readonly<Record<QueenStateName, QueenOutcome>>>> = {
  leave: {
    laying: out(1, 0),
    'newly-laying': out(0.95, 0),
    virgin: out(0.72, 10),
    cells: out(0.75, 20),
    hopeless: none,
    'laying-workers': none,
    'drone-layer': none,
    'not-laying': out(0.75, 7),
  },
  'test-frame': {
    laying: out(1, 0),
    'newly-laying': out(0.95, 0),
    virgin: out(0.72, 10),
    cells: out(0.78, 20),
    hopeless: out(0.72, DAYS_TO_EGGS['test-frame']),
    'laying-workers': out(0.05, 40),
    'drone-layer': none,
    'not-laying': out(0.75, 7),
  },
  'give-cell': {
    laying: out(0.97, 0),
    'newly-laying': out(0.92, 0),
    virgin: out(0.7, 10),
    cells: out(0.78, 14),
    hopeless: out(0.72, DAYS_TO_EGGS['give-cell']),
    'laying-workers': out(0.1, 20),
    'drone-layer': out(0.1, 20),
    'not-laying': out(0.6, 10),
  },
  'give-queen': {
    // Where a queen is, the bought one is killed, or the other must be found first.
    laying: out(0.95, 0),
    'newly-laying': out(0.85, 0),
    virgin: out(0.45, 7),
    cells: out(0.75, 7),
    hopeless: out(0.86, DAYS_TO_EGGS['give-queen']),
    'laying-workers': out(0.12, 14),
    'drone-layer': out(0.8, 7),
    'not-laying': out(0.7, 7),
  },
  'free-queen': {
    laying: out(1, 0),
    'newly-laying': out(0.95, 0),
    virgin: out(0.7, 10),
    cells: out(0.7, 20),
    hopeless: none,
    'laying-workers': none,
    'drone-layer': none,
    'not-laying': out(0.92, 3),
  },
};

/** What a measure is expected to come to: every state with its chance. */
export function outcomesOf(
  odds: QueenOdds,
  measure: QueenMeasure,
): readonly (QueenOutcome & { readonly weight: number })[] {
  return (Object.keys(odds) as QueenStateName[]).map((s) => ({
    weight: odds[s],
    ...QUEEN_OUTCOMES[measure][s],
  }));
}
