import type { StayShares } from '../brood/index.ts';
import { z } from 'zod';

/**
 * The house rules as shipped: thresholds that beekeepers argue about. What each is called, in what it is measured, within what it
 * makes sense and why it is so is said in the table of the rules, which only those read who show them.
 */
export const DEFAULT_HOUSE_RULES = {
  coverWarm: 0.8,
  coverCold: 0.6,
  minBeesNewPart: 2.5,
  minEggsTenths: 1,
  minBeeBreadFrames: 0.2,
  minStoresNoField: 1,
  minStoresOnStand: 0.5,
  donorFloorBrood: 2,
  donorFloorDearth: 3,
  minStoresDearth: 1,
  giftKeepShare: 0.85,
  shakesPerGiver: 3,
  levelWithin: 0.75,
  roomToLay: 2,
  honeyBoundStores: 0.45,
  honeyBoundRoom: 0.7,
  nucFullBees: 0.85,
  nucFullBrood: 0.5,
  calmBroodShare: 0.6,
  hiveUpStores: 2,
  priceNucBox: 40,
  priceHiveBox: 90,
  priceMatedQueen: 40,
  priceQueenCell: 8,
  strongForHalves: 12,
  strongForNuc: 8,
  combYears: 7,
  feedPerBeesFrame: 0.02,
  feedDays: 10,
  feedReserveKg: 0.5,
  winterStoresKg: 20,
  nucSlots: 5,
  stayOpenBrood: 0.65,
  stayCappedBrood: 0.5,
  stayStores: 0.35,
  stayAway: 0.95,
  giverBees: 9,
  giverBrood: 5.5,
  weakBees: 4.5,
  frostAfterMidsummer: 115,
  winterBeesWeeks: 8,
  winterBees: 5,
  findsEggs: 0.93,
  findsQueen: 0.5,
  findsCells: 0.98,
  raisesCells: 0.93,
  matesOfVirgins: 0.86,
  nucReserve: 1,
  queenSeasons: 2,
  layingMost: 1500,
  latitudeDeg: 45,
  forecastLean: 0,
  countAgesDays: 9,
} as const satisfies Record<string, number>;

/** The name of a house rule. */
export type HouseRuleId = keyof typeof DEFAULT_HOUSE_RULES;

/** A value for every house rule. */
export type HouseRules = Readonly<Record<HouseRuleId, number>>;

const ids = Object.keys(DEFAULT_HOUSE_RULES) as HouseRuleId[];

/** The rules that a beekeeper has changed; the rest keep their defaults. */
export const houseRuleChanges = z.partialRecord(z.enum(ids as [HouseRuleId, ...HouseRuleId[]]), z.number());
export type HouseRuleChanges = z.infer<typeof houseRuleChanges>;

/** The house rules in force. */
export function houseRules(changes: HouseRuleChanges): HouseRules {
  return { ...DEFAULT_HOUSE_RULES, ...changes };
}

/** The drift shares among the house rules. */
export function stayShares(rules: HouseRules): StayShares {
  return {
    openBrood: rules.stayOpenBrood,
    cappedBrood: rules.stayCappedBrood,
    stores: rules.stayStores,
    away: rules.stayAway,
  };
}
