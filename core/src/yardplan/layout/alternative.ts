import type { Evaluation } from '../search/evaluate.ts';
import { isHivedUp } from './layOutYard.ts';
import { AT } from '../rules/measures.ts';
import type { YardProblem } from '../problem/problem.ts';

/** What one plan comes to, for laying it beside others. */
export interface Alternative {
  readonly coloniesAfter: number;
  readonly nucs: number;
  /** Frames in the weakest nuc; null without nucs. */
  readonly leastBees: number | null;
  readonly leastBrood: number | null;
  readonly hivesOpened: number;
  readonly combsCarried: number;
  readonly framesShaken: number;
  readonly boxesNeeded: number;
  /** Mated queens, and ripe cells. */
  readonly queensBought: number;
  readonly cellsNeeded: number;
  /** What boxes and queens cost, by the prices among the house rules. */
  readonly cost: number;
  /** Hours of work for one person used to it. */
  readonly hours: number;
  /** Share of the nucs that are likely to end with a laying queen. */
  readonly successLikely: number | null;
  /** Laying queens from the nucs that are to be expected. */
  readonly queensExpected: number;
  /** Bees taken from colonies, in frames, and the honey that they would have brought, in kg. */
  readonly beesGiven: number;
  readonly honeyGivenUpKg: number;
  readonly points: number;
}

/** Minutes that work takes (judgement): learn your own. */
const MINUTES = { hiveOpened: 8, combCarried: 1.5, frameShaken: 2, nucSet: 6, hivedUp: 10 } as const;

/**
 * How likely a part ends with a laying queen, by the way it gets her: common practice, no source; 0.7 to 0.9
 * with weather and predators for queens that have to mate.
 */
const SUCCESS = { raises: 0.75, cell: 0.8, mated: 0.9, 'old-queen': 0.95 } as const;

/** Honey that a frame of bees brings in a usual flow, in kg (common practice, no source). */
const HONEY_KG_PER_FRAME_OF_BEES = 1.3;

/** Weighs a plan up for the table of alternatives. */
export function alternativeOf(problem: YardProblem, seen: Evaluation): Alternative {
  const made = problem.units.filter((u) => u.kind === 'nuc' && seen.present[u.index]);
  const colonies = problem.units.filter((u) => u.kind === 'colony');
  const least = (m: 'bees' | 'brood') =>
    made.length === 0 ? null : Math.min(...made.map((u) => seen.after[u.index]?.[AT[m]] ?? 0));
  const chances = made.map((u) => SUCCESS[u.recipe?.queen ?? 'raises']);
  const queensExpected = chances.reduce((n, p) => n + p, 0);
  const hived = problem.units.filter(isHivedUp).length;
  const beesGiven = colonies.reduce(
    (n, u) => n + Math.max(0, (u.before[AT.bees] ?? 0) - (seen.after[u.index]?.[AT.bees] ?? 0)),
    0,
  );
  const minutes =
    seen.hivesOpened * MINUTES.hiveOpened +
    seen.combsCarried * MINUTES.combCarried +
    seen.framesShaken * MINUTES.frameShaken +
    made.length * MINUTES.nucSet +
    hived * MINUTES.hivedUp;
  const bought = (queen: 'mated' | 'cell') => made.filter((u) => u.recipe?.queen === queen).length;
  const { priceNucBox, priceHiveBox, priceMatedQueen, priceQueenCell } = problem.rules;
  return {
    coloniesAfter: colonies.length + problem.leftOut.length + made.length,
    nucs: made.length,
    leastBees: least('bees'),
    leastBrood: least('brood'),
    hivesOpened: seen.hivesOpened,
    combsCarried: seen.combsCarried + seen.combsFromStore,
    framesShaken: seen.framesShaken,
    boxesNeeded: made.length + hived,
    queensBought: bought('mated'),
    cellsNeeded: bought('cell'),
    cost:
      made.length * priceNucBox +
      hived * priceHiveBox +
      bought('mated') * priceMatedQueen +
      bought('cell') * priceQueenCell,
    hours: Math.round(minutes / 6) / 10,
    successLikely: made.length > 0 ? queensExpected / made.length : null,
    queensExpected,
    beesGiven,
    honeyGivenUpKg: beesGiven * HONEY_KG_PER_FRAME_OF_BEES,
    points: seen.cost,
  };
}
