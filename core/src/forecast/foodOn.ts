import { addDays, daysBetween, type Day } from '../basics/index.ts';
import {
  countedOn,
  framesOfColony,
  operationOf,
  placeOf,
  type Apiary,
  type Colony,
} from '../records/index.ts';
import { houseRules } from '../rules/index.ts';
import { CLIMATE_WINTER_KG } from '../season/index.ts';
import { colonyOn, conditionsAt } from './colonyOn.ts';
import { climateOf } from './yardSeason.ts';

/** What a colony has to eat on a day, and how long it lasts. */
export interface FoodOn {
  /** Food in its combs, its share of what hangs in common, and its feeder, in kg; null where nothing was counted. */
  readonly kg: number | null;
  /** Of it in the feeder. */
  readonly feederKg: number;
  /** What it eats a day as it is now, in kg. */
  readonly eatsPerDay: number;
  /** Days that it lasts if nothing comes in: likely, and as few or as many as counts and appetites differ. */
  readonly days: { readonly low: number; readonly likely: number; readonly high: number };
  /** Nectar comes in, by a scale or the keeper. */
  readonly flow: boolean;
  /** Days since its stores were counted; null when they never were. */
  readonly countAgeDays: number | null;
}

/** Colonies of one strength eat this much more or less than each other (common practice: by a third). */
const APPETITE_DIFFERS = 0.33;
/** Longer than this is not told apart. */
const LONG = 365;

/** What a colony has to eat on a day. */
export function foodOn(apiary: Apiary, colony: Colony, day: Day): FoodOn {
  const { model, doubt } = colonyOn(apiary, colony, day);
  const counted = countedOn(framesOfColony(apiary, colony));
  const conditions = conditionsAt(apiary, placeOf(apiary, colony).yard)(day);
  const countAgeDays = counted === null ? null : daysBetween(counted, day);
  if (!model) {
    const none = { low: 0, likely: 0, high: 0 };
    return { kg: null, feederKg: 0, eatsPerDay: 0, days: none, flow: conditions.flow, countAgeDays };
  }
  const eatsPerDay = model.eatsPerDay(conditions);
  const kg = model.foodKg;
  const lasts = (food: number, eats: number) => Math.min(LONG, eats > 0 ? food / eats : LONG);
  return {
    kg,
    feederKg: model.feederKg,
    eatsPerDay,
    days: {
      low: lasts(kg * (1 - doubt), eatsPerDay * (1 + APPETITE_DIFFERS)),
      likely: lasts(kg, eatsPerDay),
      high: lasts(kg * (1 + doubt), eatsPerDay / (1 + APPETITE_DIFFERS)),
    },
    flow: conditions.flow,
    countAgeDays,
  };
}

/** A colony of so many frames of bees needs the whole of the winter stores; a smaller one less, but never under half. */
const FULL_SIZE = 8;

/** Stores that a colony of so many frames of bees needs for winter, in kg, by the climate of its yard. */
export function winterNeedKg(apiary: Apiary, colony: Colony, framesOfBees: number): number {
  const rule = houseRules(operationOf(apiary).houseRules.changes).winterStoresKg;
  const { yard } = placeOf(apiary, colony);
  // The yard's own climate says more than the rule for all yards.
  const whole = yard?.season ? CLIMATE_WINTER_KG[climateOf(yard)] : rule;
  return whole * Math.min(1, Math.max(0.5, framesOfBees / FULL_SIZE));
}

/** The day on which the food of a colony is used up if nothing comes in. */
export const foodEndsOn = (food: FoodOn, day: Day): Day => addDays(day, Math.floor(food.days.likely));
