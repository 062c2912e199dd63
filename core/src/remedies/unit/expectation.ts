import { daysBetween, type Day } from '../../basics/index.ts';
import { outcomesOf, type QueenMeasure } from './queenOutcomes.ts';
import { boundsOf, boundsOfPresentQueen, type UnitFacts } from './unitFacts.ts';
import { unitAfter, type UnitBees } from './unitProspect.ts';

/** What is expected of a unit on a later day. */
export interface Expectation {
  /** Chance that it is then a colony with a laying queen and bees enough. */
  readonly colonies: number;
  /** Frames of bees, where it has a laying queen. */
  readonly bees: number;
  /** Frames of bees in living colonies: the same with its chance. */
  readonly strength: number;
}

/** Out of season a nuc of so many frames of bees is a colony. */
const SMALL_COLONY = 3;
/** So long before the first frosts a unit must have the bees for winter. */
const AUTUMN_DAYS = 30;
/** Below this share of the bees that it needs a unit is none. */
const TOO_FEW = 0.4;

/** Whether so many bees carry a unit on that day, between 0 and 1. */
function strongEnough(facts: UnitFacts, bees: number, on: Day): number {
  const { winterBees } = facts.rules;
  const needs =
    daysBetween(on, facts.season.frost) <= AUTUMN_DAYS ? winterBees : Math.min(winterBees, SMALL_COLONY);
  return Math.min(1, Math.max(0, (bees - TOO_FEW * needs) / (needs * (1 - TOO_FEW))));
}

/**
 * What is expected of a unit on a day: over every state its queen may be in, with what a measure makes of it.
 *
 * @param change - its bees and brood when something was given or taken
 * @param laterBy - days that pass before the measure is taken
 */
export function expectationOf(
  facts: UnitFacts,
  measure: QueenMeasure,
  on: Day,
  change: UnitBees = facts.unit,
  laterBy = 0,
): Expectation {
  const days = Math.max(0, daysBetween(facts.day, on));
  const bounds = boundsOf(facts);
  const hers = boundsOfPresentQueen(facts);
  // Many states share a day on which she lays: each is brought forward once.
  const known = new Map<number, number>();
  const beesWhen = (laysFrom: number) => {
    const bees =
      known.get(laysFrom) ?? unitAfter(change, laysFrom, days, laysFrom === 0 ? hers : bounds).bees;
    known.set(laysFrom, bees);
    return bees;
  };
  let colonies = 0;
  let strength = 0;
  let bees = 0;
  let weight = 0;
  for (const o of outcomesOf(facts.belief.odds, measure)) {
    const chance = o.weight * o.chance;
    if (chance <= 0) continue;
    const then = beesWhen(o.laysFrom === 0 ? 0 : o.laysFrom + laterBy);
    const alive = chance * strongEnough(facts, then, on);
    colonies += alive;
    strength += alive * then;
    bees += chance * then;
    weight += chance;
  }
  return { colonies, bees: weight > 0 ? bees / weight : 0, strength };
}
