import type { Day } from '../../basics/index.ts';
import type { Known } from '../../odds/index.ts';
import type { RoundKind, NucQueen, SeasonAim } from '../../records/index.ts';
import type { LifeRules } from './family.ts';
import type { SeasonWeek } from '../year/seasonWeek.ts';

/** A colony at the beginning of a season plan, in bees, cells and kg. */
export interface StartColony {
  /** Null where it is only supposed. */
  readonly colonyId: string | null;
  readonly name: string;
  readonly yard: number;
  /** Cells of worker brood by weeks of age; house bees by weeks of age. */
  readonly brood: readonly [number, number, number];
  readonly house: readonly [number, number, number];
  readonly field: number;
  readonly winter: number;
  readonly kg: number;
  readonly combs: number;
  readonly places: number;
  readonly nuc: boolean;
  readonly grown: boolean;
  readonly lays: boolean;
  /** Weeks until an awaited queen lays; 0 where none is awaited. */
  readonly wait: number;
  /** What its queen lays against a good one on such a day; she comes nearer week by week. */
  readonly pace: number;
  /** How far its bees may be off, as a share. */
  readonly doubt: number;
}

/** What is known of the chances of a season, each as if so many had gone well and so many not. */
interface SeasonChances {
  readonly raises: Known;
  readonly accepts: Known;
  readonly wintersGrown: Known;
  readonly wintersYoung: Known;
  /** What a yield has been against a usual one, in the mean, and how far one year is from another. */
  readonly flow: number;
  readonly flowSpread: number;
}

/** What things cost and take. */
interface SeasonPrices {
  readonly nucBox: number;
  readonly hive: number;
  readonly queen: number;
  readonly cell: number;
  /** A frame with foundation, and a kilogram of sugar. */
  readonly frame: number;
  readonly sugarKg: number;
}

/** What the house rules say of making increase. */
interface DonorRules {
  /** Frames of bees and of brood that a donor keeps. */
  readonly keepsBees: number;
  readonly keepsBrood: number;
  /** Frames of bees from which a colony gives a nuc, or is halved. */
  readonly strongForNuc: number;
  readonly strongForHalves: number;
  readonly nucBees: number;
  readonly nucBrood: number;
  readonly nucSlots: number;
  /** Frames of bees with which a colony goes into the winter. */
  readonly winterBees: number;
  readonly levelWithin: number;
}

/** Everything that a season plan is worked out from. */
export interface SeasonProblem {
  readonly aim: SeasonAim;
  readonly from: Day;
  readonly seed: number;
  readonly yards: readonly { readonly id: string; readonly name: string; readonly most: number }[];
  /** By yard; all of the same length, up to the day of the aim. */
  readonly weeks: readonly (readonly SeasonWeek[])[];
  readonly starts: readonly StartColony[];
  readonly life: LifeRules;
  readonly donors: DonorRules;
  readonly chances: SeasonChances;
  readonly prices: SeasonPrices;
  /** Food that a full colony takes through the winter, in kg, by yard. */
  readonly winterKg: readonly number[];
  /** Drawn combs in the store, nuc boxes and whole hives that stand ready. */
  readonly storeCombs: number;
  readonly storeNucBoxes: number;
  readonly storeHives: number;
}

/** A round as the course carries it out. */
export interface Round {
  readonly week: number;
  /** −1 for all yards. */
  readonly yard: number;
  readonly what: RoundKind;
  readonly queen: NucQueen;
  readonly parts: number;
}

/** The rounds of a season, in their order. */
export type Schedule = readonly Round[];

/** The rounds that make colonies. */
export const MAKES: ReadonlySet<RoundKind> = new Set<RoundKind>(['nucs', 'halves', 'queen-out']);

/** What is counted by week for the list of things to get, and for the picture. */
export const WEEKLY = [
  'nucBoxes',
  'hives',
  'frames',
  'sugarKg',
  'queens',
  'cells',
  'hours',
  'money',
] as const;
export type Weekly = (typeof WEEKLY)[number];

/** What a season may be lucky or unlucky in, beside what single colonies are. */
export const DRIVERS = [
  'spring',
  'main-flow',
  'mating',
  'winter',
  'growth',
  'delay',
  'acceptance',
  'swarms',
  'losses',
] as const;
export type Driver = (typeof DRIVERS)[number];
