import { placeOf, type Apiary, type Colony, type NucQueen } from '../../records/index.ts';
import { assess } from '../../assessment/index.ts';
import { cellsOf } from '../../cells/index.ts';
import { DAYS_TO_EGGS } from '../../brood/index.ts';
import { colonyState, otherYards, tooNear, treatmentFirst } from '../../colony/index.ts';
import { colonySeason, increaseGate, mayBeginSooner, seasonOfColony } from '../../forecast/index.ts';
import type { Season as YearOfYard } from '../../season/index.ts';
import { addDays, dayInWords, type Day } from '../../basics/index.ts';
import { prepareDonor } from './donor.ts';
import { shareOf } from '../../comb/index.ts';

/** What the time of year allows. */
const SEASONS = ['early', 'build-up', 'swarm', 'dearth', 'autumn'] as const;
export type Season = (typeof SEASONS)[number];

/** When a queen that is raised from today on lays: from eggs, or sooner from cells that are there. */
export const raisedQueenLays = ({ day, cells }: Pick<Situation, 'day' | 'cells'>): Day =>
  addDays(day, DAYS_TO_EGGS[cells === 'none' ? 'test-frame' : 'give-cell']);

/** Why a queen raised from today on comes too late; null while there is time. */
export function tooLateToRaise(now: Pick<Situation, 'day' | 'cells' | 'lastForWinterBees'>): string | null {
  const lays = raisedQueenLays(now);
  if (lays <= now.lastForWinterBees) return null;
  return `A queen raised from today on lays about ${dayInWords(lays)}; to raise winter bees she must lay by ${dayInWords(now.lastForWinterBees)}.`;
}

/** Where the cells of a colony stand. */
const CELL_STAGES = ['none', 'open', 'capped'] as const;
type CellStage = (typeof CELL_STAGES)[number];

/** What a beekeeper has and wants, as far as it decides between methods. */
export interface Situation {
  readonly name: string;
  /** Frames, of the reference size. */
  readonly bees: number;
  readonly brood: number;
  readonly stores: number;
  readonly broodBoxes: number;
  readonly broodCombs: number;
  readonly queen: 'found' | 'not-found' | 'gone';
  readonly cells: CellStage;
  readonly cellCount: number;
  readonly season: Season;
  readonly dronesFly: boolean;
  readonly secondYard: boolean;
  /** Queens that can be had: mated, or in ripe cells. */
  readonly matedQueens: number;
  readonly ripeCells: number;
  readonly wantsHoney: boolean;
  /** New colonies wanted. */
  readonly wanted: number;
  readonly day: Day;
  /** What keeps it shut or whole today, whatever else suits: disease, winter, a virgin on her flights; null for nothing. */
  readonly hold: string | null;
  /** Why no part may raise a queen today, and why none may be made with a mated one; null where it may. */
  readonly noRaising: string | null;
  readonly noMated: string | null;
  /** A queen that lays later raises too few winter bees. */
  readonly lastForWinterBees: Day;
}

/** What is known of a colony, with the usual answers where nothing is. */
export function situationOf(apiary: Apiary, colony: Colony, day: Day): Situation {
  const year = seasonOfColony(apiary, colony, day);
  const state = colonyState(apiary, colony, day);
  const prepared = prepareDonor(apiary, colony, day);
  const frames = prepared.ok ? prepared.value.donor.frames : [];
  const sum = (of: (f: (typeof frames)[number]) => number) => frames.reduce((n, f) => n + of(f), 0);
  const alive = cellsOf(apiary, colony, day).filter((c) => c.stage !== 'over');
  const capped = alive.some((c) => c.stage !== 'open');
  const seen = frames.some((f) => f.hasQueen);
  const { yard } = placeOf(apiary, colony);
  const sooner = alive.length > 0 || (yard !== undefined && mayBeginSooner(apiary, yard, day));
  const gate = (queen: NucQueen) => increaseGate(apiary, yard, day, queen, sooner)?.why ?? null;
  // A queen that nobody wrote down lays all the same; one that is being raised does not.
  const lays = state.queen.state !== 'raising' && frames.some((f) => f.eggsTenths > 0 || f.open > 0.05);
  return {
    name: colony.name,
    bees: sum((f) => f.bees),
    brood: sum((f) => f.brood),
    stores: sum((f) => f.stores),
    broodBoxes: prepared.ok ? prepared.value.donor.boxes.filter((b) => b.role === 'brood').length : 1,
    broodCombs: frames.filter((f) => f.brood >= 0.25).length,
    queen: seen ? 'found' : lays ? 'not-found' : 'gone',
    cells: capped ? 'capped' : alive.length > 0 ? 'open' : 'none',
    cellCount: alive.reduce((n, c) => n + c.count, 0),
    season: seasonIn(year, day, alive.length > 0),
    dronesFly: frames.some((f) => shareOf(f.reading, 'drone') > 0) || day >= year.days['first-drones'],
    secondYard:
      yard !== undefined && otherYards(apiary, yard.id).some((y) => tooNear(apiary, yard.id, y.id) === null),
    matedQueens: 0,
    ripeCells: 0,
    wantsHoney: false,
    wanted: 1,
    day,
    hold: holdOn(apiary, colony, day),
    noRaising: gate(alive.length > 0 ? 'cell' : 'raises'),
    noMated: gate('mated'),
    lastForWinterBees: colonySeason(apiary, colony, day).lastForWinterBees,
  };
}

/** Whether it may be opened is said by the one assessment. */
function holdOn(apiary: Apiary, colony: Colony, day: Day): string | null {
  const { may, because, until, why } = assess(apiary, colony, day).opening;
  if (may) {
    const treated = treatmentFirst(apiary, colony, day);
    return treated && `${treated.why} ${treated.remedy}`;
  }
  const shut = until === null || because === 'health' ? '' : ` Until ${dayInWords(until)}.`;
  return `${why}${shut}`;
}

/** Swarm cells may stand so long before the season that the calendar has for them. */
const SWARMS_SOONER_DAYS = 30;

/** What the calendar of the yard says; the beekeeper's answer rules. */
function seasonIn({ days }: YearOfYard, day: Day, hasCells: boolean): Season {
  if (hasCells && day >= addDays(days['swarm-start'], -SWARMS_SOONER_DAYS) && day <= days['swarm-end'])
    return 'swarm';
  if (day < days['first-flow']) return 'early';
  if (day < days['main-flow-end']) return 'build-up';
  return day < days['last-mating'] ? 'dearth' : 'autumn';
}
