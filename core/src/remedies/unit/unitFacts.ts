import {
  operationOf,
  type Apiary,
  type Colony,
  boxesOfColony,
  nestOf,
  placeOf,
  queenOf,
  type PlacedFrame,
} from '../../records/index.ts';
import { assess } from '../../assessment/index.ts';
import { WORKER_STAGE_DAYS } from '../../brood/index.ts';
import { addDays, yearOf, type Day } from '../../basics/index.ts';
import { workerCellsPerFrame } from '../../comb/index.ts';
import { colonyState, dryingBrood, suspectedDisease, type ColonyState } from '../../colony/index.ts';
import { colonySeason, conditionsAt, flowOn, type YardSeason } from '../../forecast/index.ts';
import { queenBeliefOf, type DatedLook, type QueenBelief } from '../../queen-odds/index.ts';
import { coverShare, houseRules, type HouseRules } from '../../rules/index.ts';
import type { GrowthBounds, UnitBees } from './unitProspect.ts';

/** What it is like outside, as far as remedies depend on it. */
export interface Outside {
  /** Nights below about 10 °C are to come: less brood is covered. */
  readonly coldNights: boolean;
}

/** A unit as it stands on a day, with all that a judgement on it rests on. */
export interface UnitFacts {
  readonly apiary: Apiary;
  readonly colony: Colony;
  readonly day: Day;
  readonly rules: HouseRules;
  readonly outside: Outside;
  /** Nectar comes in where it stands, as is on record. */
  readonly flow: boolean;
  readonly season: YardSeason;
  readonly yardId: string | null;
  readonly frames: readonly PlacedFrame[];
  readonly state: ColonyState;
  readonly unit: UnitBees;
  readonly storesKg: number;
  /** Empty drawn comb, in frames. */
  readonly drawn: number;
  /** Slots of its brood boxes, and how many those are. */
  readonly slots: number;
  readonly storeys: number;
  readonly belief: QueenBelief;
  /** Boxes in which others than its queen lay, as was seen box by box. */
  readonly theirBoxes: readonly string[];
  readonly looks: readonly DatedLook[];
  /** It may be sick: signs of disease were seen, or brood that dries out and that nobody has looked over for them. */
  readonly sick: boolean;
  /** Open brood dries out: it has too few bees for the brood that it has. */
  readonly drying: boolean;
  readonly counted: boolean;
  /** Why it stays shut today, in words: a virgin on her flights, winter, robbers; null where it may be opened. */
  readonly shut: string | null;
  /** Its queen is past the seasons that queens are kept for: the season she is in; null otherwise. */
  readonly pastSeason: number | null;
}

/** Reads off the records what a unit is on a day. */
export function unitFacts(apiary: Apiary, colony: Colony, day: Day, outside: Outside): UnitFacts {
  const state = colonyState(apiary, colony, day);
  const { frames } = state;
  const { belief, looks, before } = queenBeliefOf(apiary, colony, day);
  const drying = dryingBrood(apiary, colony, day);
  const { opening } = assess(apiary, colony, day);
  const { strength } = state;
  const brood = boxesOfColony(apiary, colony).filter((b) => b.role === 'brood');
  const { eggs, open, capped, emerging, drawn } = strength.frames;
  return {
    apiary,
    colony,
    day,
    rules: houseRules(operationOf(apiary).houseRules.changes),
    outside,
    flow: flowOn(placeOf(apiary, colony).yard, day) !== null,
    season: colonySeason(apiary, colony, day),
    yardId: placeOf(apiary, colony).yard?.id ?? null,
    frames,
    state,
    unit: { bees: strength.framesOfBees.likely, eggs, open, capped: capped + emerging },
    storesKg: strength.storesKg.likely,
    drawn,
    slots: brood.reduce((n, b) => n + b.slots, 0),
    storeys: brood.length,
    belief,
    theirBoxes: before.theirBoxes ?? [],
    looks,
    sick: suspectedDisease(apiary, colony, day) !== null || drying === 'unexamined',
    drying: drying !== null,
    counted: nestOf(frames).length > 0 && state.countAgeDays !== null,
    shut: opening.may || opening.because === 'health' ? null : opening.why,
    pastSeason: pastSeason(apiary, colony, day),
  };
}

/** The season that its queen is in, where that is more than queens are kept for. */
function pastSeason(apiary: Apiary, colony: Colony, day: Day): number | null {
  const born = queenOf(apiary, colony.id)?.birthYear ?? null;
  const season = born === null ? 0 : yearOf(day) - born + 1;
  return season > houseRules(operationOf(apiary).houseRules.changes).queenSeasons ? season : null;
}

/** Chance that a queen lays worker brood in it now. */
export const layingChance = ({ belief }: Pick<UnitFacts, 'belief'>): number =>
  belief.odds.laying + belief.odds['newly-laying'];

/** However little she shows, she may lay this share of a good queen's rate: a count misses eggs. */
const LEAST_RATE = 0.3;

/** What bounds the growth of a unit under the queen that lays in it now: her own rate, as the nest shows it. */
export function boundsOfPresentQueen(facts: UnitFacts): GrowthBounds {
  const bounds = boundsOf(facts);
  const shown = (facts.unit.eggs + facts.unit.open) / (WORKER_STAGE_DAYS.eggs + WORKER_STAGE_DAYS.open);
  return { ...bounds, layingNow: Math.max(LEAST_RATE * bounds.layingMost, shown) };
}

/** Cold nights that are to come now last about so long. */
const COLD_SPELL_DAYS = 10;

/** What bounds the growth of a unit, by the house rules and the season of its yard. */
export function boundsOf({ apiary, colony, day, rules, outside, slots }: UnitFacts): GrowthBounds {
  const { referenceSize } = operationOf(apiary);
  const onDay = conditionsAt(apiary, placeOf(apiary, colony).yard);
  return {
    cover: coverShare(rules, 'mild'),
    coverCold: coverShare(rules, 'cold'),
    conditions: (ahead) => {
      const usual = onDay(addDays(day, ahead));
      const cold = usual.coldNights || (outside.coldNights && ahead < COLD_SPELL_DAYS);
      return { ...usual, coldNights: cold, flow: true };
    },
    layingMost: rules.layingMost / workerCellsPerFrame(referenceSize),
    slots,
  };
}
