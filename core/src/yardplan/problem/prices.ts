import { floatAt } from '../../basics/index.ts';
import { AT } from '../rules/measures.ts';
import { STORE, type YardFrame, type YardProblem, type YardUnit } from './problem.ts';

/**
 * What work and material are worth against each other, in points. They are judgement, not measurement: a
 * hive opened is three combs carried, a nuc that was asked for outweighs any amount of work.
 */
export const PRICES = {
  nucMissing: 1000,
  hiveOpened: 3,
  combCarried: 1,
  combFromStore: 0.3,
  frameShaken: 1.5,
} as const;

/** What it costs that a frame ends in a unit (or the store) other than its home. */
export function priceOfMove(problem: YardProblem, frame: YardFrame, to: YardUnit | null): number {
  if (frame.home === STORE) return PRICES.combFromStore;
  if (!to) return PRICES.combCarried;
  const giver = problem.units[frame.home] as YardUnit;
  // Of two that can give, the stronger gives.
  const strain = 0.6 * frame.brood * (1 - strengthOf(giver, problem));
  if (to.kind === 'colony') {
    // Open brood is a burden to a colony short of nurses; capped brood becomes bees.
    return PRICES.combCarried + strain + 0.8 * (frame.open + frame.eggs);
  }
  const receivesQueen = to.recipe?.queen === 'cell' || to.recipe?.queen === 'mated';
  const drone = 2 * droneOf(frame);
  // A part that is given a queen wants bees that hatch soon, and no eggs to raise rivals from.
  return PRICES.combCarried + strain + drone + (receivesQueen ? 0.8 * frame.eggs + 0.3 * frame.open : 0);
}

const droneOf = (frame: YardFrame) => Math.max(0, frame.brood - frame.eggs - frame.open - frame.capped);

function strengthOf(unit: YardUnit, problem: YardProblem): number {
  return floatAt(unit.before, AT.bees) / problem.mostBees;
}
