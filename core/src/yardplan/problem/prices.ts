import { floatAt } from '../../basics/index.ts';
import { EMERGING_WARMTH } from '../../brood/index.ts';
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
  /** Of combs as good the one whose box need not be uncovered first. */
  boxOnTop: 0.1,
} as const;

/** What it costs that a frame ends in a unit (or the store) other than its home. */
export function priceOfMove(problem: YardProblem, frame: YardFrame, to: YardUnit | null): number {
  // Room to lay is drawn comb; foundation is drawn first, if at all.
  if (frame.home === STORE) return PRICES.combFromStore + (frame.blank === 'foundation' ? 0.2 : 0);
  const donor = problem.units[frame.home] as YardUnit;
  const carried = PRICES.combCarried + PRICES.boxOnTop * frame.boxesAbove;
  if (!to) return carried + barsNobody(frame, donor) + foodGone(problem, frame, donor);
  // Of two that can give, the stronger gives.
  const strain = 0.6 * frame.brood * (1 - strengthOf(donor, problem));
  if (to.kind === 'colony') {
    // Open brood is a burden to a colony short of nurses; capped brood becomes bees.
    return (
      carried + barsNobody(frame, donor) + strain + 0.8 * (frame.open + frame.eggs) + 0.3 * lateShare(frame)
    );
  }
  const receivesQueen = to.recipe?.queen === 'cell' || to.recipe?.queen === 'mated';
  // Eggs beside a queen that is given, or a cell, are what rivals are raised from; a part that raises its own gets those
  // that its rule asks for, and no more. Young brood is to be fed for nine days.
  const young = 0.3 * frame.open + (receivesQueen ? 0.8 : 0.3) * frame.eggs;
  return carried + strain + 2 * droneOf(frame) + young + 0.3 * lateShare(frame);
}

/** Of a hive that is brought down empty comb leaves before food does. */
const foodGone = ({ request }: YardProblem, { stores }: YardFrame, donor: YardUnit): number =>
  request.goals.some((g) => g.kind === 'shrink' && g.colonyId === donor.key) ? 0.3 * stores : 0;

/** What it costs that the bees of a frame are shaken out. */
export const priceOfShake = ({ boxesAbove }: YardFrame): number =>
  PRICES.frameShaken + PRICES.boxOnTop * boxesAbove;

/** A colony with so much of its room full of honey is short of room to lay, or will be. */
const HEAVY = 0.5;

/**
 * Of a nest heavy with honey the combs that stand beside the brood bar the queen: at the wall they are food, and their place
 * is no room to lay. Common practice, no source.
 */
const barsNobody = ({ fromBrood, brood }: YardFrame, donor: YardUnit): number =>
  brood < 0.1 && floatAt(donor.before, AT.stores) >= HEAVY * donor.slots
    ? 0.5 * Math.min(3, Math.max(0, fromBrood - 1))
    : 0;

/**
 * How much of the brood of a comb does not hatch within days: emerging brood needs little warmth and is bees before any
 * other is, so that whoever gets a comb is best served with it. Common practice, no source.
 */
const lateShare = ({ brood, warmed }: YardFrame) =>
  brood < 0.1 ? 0 : Math.max(0, 1 - (brood - warmed) / ((1 - EMERGING_WARMTH) * brood));

const droneOf = (frame: YardFrame) => Math.max(0, frame.brood - frame.eggs - frame.open - frame.capped);

function strengthOf(unit: YardUnit, problem: YardProblem): number {
  return floatAt(unit.before, AT.bees) / problem.mostBees;
}
