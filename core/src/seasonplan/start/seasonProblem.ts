import { addDays, daysBetween, weekOf, type Day } from '../../basics/index.ts';
import { raisingOdds, raisingResults } from '../../cells/index.ts';
import { colonyOn, modelRules, seasonOfYard, yardCalendar, climateOf } from '../../forecast/index.ts';
import {
  boxesOfColony,
  coloniesOfYard,
  combSlots,
  framesInStore,
  framesOfColony,
  isSlotOf,
  operationOf,
  placeOf,
  queenOf,
  readingOf,
  type Apiary,
  type Colony,
  type SeasonAim,
  type SeasonRound,
} from '../../records/index.ts';
import { shareOf } from '../../comb/index.ts';
import { queenCalendar } from '../../brood/index.ts';
import { houseRules, isNuc } from '../../rules/index.ts';
import { CLIMATE_WINTER_KG, daysIntoSeason, phaseAt, pullOf, type SeasonPhase } from '../../season/index.ts';
import { chanceOfWinter, ownWinters } from '../../wintering/index.ts';
import { FIRST_PACE, FRAME_OF_BEES, FRAME_OF_CELLS, FRAME_OF_HONEY } from '../course/family.ts';
import { chanceOfAcceptance, ownAcceptance } from './ownAcceptance.ts';
import { ownFlows } from '../year/ownFlows.ts';
import { seasonWeeks, USUAL_FLOWS } from '../year/seasonWeek.ts';
import type { Round, SeasonProblem, StartColony } from '../course/problem.ts';

const WEEK = 7;
/** A plan reaches so many weeks ahead at least and at most. */
const LEAST_WEEKS = 2;
const MOST_WEEKS = 110;
/** Full colonies have room above for so many combs in all. */
const FULL_PLACES = 40;
/** Frames of bees and of brood of a full colony by the time of the year, where nobody has counted (our estimate, no source). */
const SUPPOSED: Readonly<Record<SeasonPhase, readonly [number, number]>> = {
  winter: [6, 0.5],
  spring: [6, 2],
  'build-up': [10, 5],
  'main-flow': [14, 6],
  dearth: [13, 4],
  'autumn-flow': [11, 3],
  autumn: [8, 1.5],
};
/** How far such a guess may be off, as a share. */
const SUPPOSED_DOUBT = 0.35;
/**
 * Practice gives 0.7 to 0.9 for a part that raises its queen (common practice, no source): the middle eight tenths of what twenty parts
 * would tell. One's own parts count on top of them, and move the middle as on the page of one's own results.
 */
const USUAL_PARTS = 20;
/** Where a good queen would lay less than so many eggs a day, nothing can be told of her. */
const LITTLE = 150;
/** What a frame with foundation and a kilogram of sugar cost, where nobody says (a guess to reckon by). */
const FRAME_PRICE = 3;
const SUGAR_PRICE = 1.2;

/** Everything that a season plan is worked out from, by the records of a day. */
export function seasonProblem(apiary: Apiary, aim: SeasonAim, from: Day, seed: number): SeasonProblem {
  const operation = operationOf(apiary);
  const rules = houseRules(operation.houseRules.changes);
  const yards = Object.values(apiary.yard).filter((y) => y.closedOn === null);
  const weeks = weeksTo(from, aim.by);
  const flows = ownFlows(apiary);
  const model = modelRules(apiary);
  const winters = ownWinters(apiary, from);
  const { raised, failed } = raisingResults(apiary, from);
  const odds = raisingOdds({ raised, failed });
  const known = USUAL_PARTS + raised + failed;
  const kit = new Map(Object.values(apiary.kit).map((k) => [k.what, k.count]));
  const hives = Math.min(...['floor', 'box', 'roof'].map((what) => kit.get(what) ?? 0));
  return {
    aim,
    from,
    seed,
    yards: yards.map((y) => ({
      id: y.id,
      name: y.name,
      most: aim.yards.find((limit) => limit.yardId === y.id)?.most ?? Infinity,
    })),
    weeks: yards.map((y) =>
      seasonWeeks(yardCalendar(apiary, y), operation.hemisphere, from, weeks, USUAL_FLOWS),
    ),
    starts: yards.flatMap((y, i) => coloniesOfYard(apiary, y.id).map((c) => startOf(apiary, c, from, i))),
    life: {
      layingMost: model.layingMost,
      coverWarm: model.coverWarm,
      coverCold: model.coverCold,
      appetite: model.appetite,
    },
    donors: {
      keepsBees: 5,
      keepsBrood: rules.donorFloorBrood,
      strongForNuc: rules.strongForNuc,
      strongForHalves: rules.strongForHalves,
      nucBees: Math.max(3, rules.minBeesNewPart),
      nucBrood: 1.2,
      nucSlots: rules.nucSlots,
      winterBees: rules.winterBees,
      levelWithin: rules.levelWithin,
    },
    chances: {
      raises: { well: odds.likely * known, ill: (1 - odds.likely) * known },
      accepts: chanceOfAcceptance(ownAcceptance(apiary, from)),
      wintersGrown: chanceOfWinter('grown', winters.grown),
      wintersYoung: chanceOfWinter('young', winters.young),
      flow: flows.likely,
      flowSpread: flows.spread,
    },
    prices: {
      nucBox: rules.priceNucBox,
      hive: rules.priceHiveBox,
      queen: rules.priceMatedQueen,
      cell: rules.priceQueenCell,
      frame: FRAME_PRICE,
      sugarKg: SUGAR_PRICE,
    },
    winterKg: yards.map((y) => (y.season ? CLIMATE_WINTER_KG[climateOf(y)] : rules.winterStoresKg)),
    storeCombs: framesInStore(apiary).filter((f) => f.blank === 'drawn').length,
    storeNucBoxes: kit.get(`nuc box, ${rules.nucSlots} frames, with floor and lid`) ?? 0,
    storeHives: Number.isFinite(hives) ? hives : 0,
  };
}

/** Weeks from a day up to the week of another. */
export const weeksTo = (from: Day, by: Day): number =>
  Math.min(MOST_WEEKS, Math.max(LEAST_WEEKS, Math.ceil(daysBetween(from, by) / WEEK) + 1));

/** A colony as the clock has it on a day; one that was never counted is supposed to be a usual one of that time. */
function startOf(apiary: Apiary, colony: Colony, day: Day, yard: number): StartColony {
  const { model, doubt } = colonyOn(apiary, colony, day);
  const brood = boxesOfColony(apiary, colony).filter((b) => b.role === 'brood');
  const slots = brood.reduce((n, b) => n + combSlots(b).filter((s) => isSlotOf(b, s, colony.id)).length, 0);
  const nuc = isNuc({ slots, storeys: Math.max(1, brood.length) });
  const place = placeOf(apiary, colony);
  const season = seasonOfYard(apiary, place.yard, day);
  const base = {
    colonyId: colony.id,
    name: colony.name,
    yard,
    nuc,
    places: nuc ? slots : FULL_PLACES,
    grown: colony.origin.how === 'entered' || daysBetween(colony.startedOn, day) > 250,
  };
  const waiting = waitOf(apiary, colony, day);
  if (!model) {
    const [bees, frames] = SUPPOSED[phaseAt(season.calendar, daysIntoSeason(season, day))];
    const share = nuc ? 0.4 : 1;
    const cells = (frames * share * FRAME_OF_CELLS) / 3;
    const adults = bees * share * FRAME_OF_BEES;
    return {
      ...base,
      brood: [cells, cells, cells],
      house: [adults * 0.18, adults * 0.18, adults * 0.18],
      field: adults * 0.46,
      winter: 0,
      kg: nuc ? 3 : 10,
      combs: nuc ? slots : 18,
      lays: waiting === 0,
      wait: waiting,
      pace: 1,
      doubt: SUPPOSED_DOUBT,
    };
  }
  const age = (from: number, to: number) =>
    model.sides.reduce((n, s) => n + s.worker.between(from, to) * s.cells, 0);
  const inHouse = model.adults.inHouse / 3;
  const combs = framesOfColony(apiary, colony).filter(
    (f) => shareOf(readingOf(f), 'foundation') < 0.5,
  ).length;
  const best = modelRules(apiary).layingMost * pullOf(season.calendar, daysIntoSeason(season, day)).laying;
  return {
    ...base,
    brood: [age(0, 7), age(7, 14), age(14, 21)],
    house: [inHouse, inHouse, inHouse],
    field: model.adults.field,
    winter: model.adults.winter,
    kg: Math.min(model.foodKg, combs * FRAME_OF_HONEY),
    combs,
    lays: waiting === 0 && model.lays,
    wait: waiting,
    pace: best > LITTLE ? Math.min(1.2, Math.max(FIRST_PACE, model.rate / best)) : 1,
    doubt,
  };
}

/** Weeks until the queen that a part raises may lay; 0 where none is awaited. */
function waitOf(apiary: Apiary, colony: Colony, day: Day): number {
  const { separation } = colony;
  if (separation?.queen !== 'elsewhere') return 0;
  const queen = queenOf(apiary, colony.id);
  if (queen && queen.mating === 'mated' && queen.end === null) return 0;
  const { firstEggs } = queenCalendar(separation.day, separation.emergence ?? undefined);
  const days = daysBetween(day, firstEggs.latest);
  return days > 0 ? Math.max(1, Math.ceil(daysBetween(day, firstEggs.likely) / WEEK)) : 0;
}

/** A stored round as the course takes it: by week from the start, and by the place of its yard. */
export function roundOf(problem: SeasonProblem, { day, yardId, what, queen, parts }: SeasonRound): Round {
  return {
    week: Math.max(0, Math.floor(daysBetween(problem.from, day) / WEEK)),
    yard: yardId === null ? -1 : problem.yards.findIndex((y) => y.id === yardId),
    what,
    queen,
    parts,
  };
}

/** The day of a round: the Saturday of its week, which most have free; the week decides, not the day. */
export function dayOfRound(problem: SeasonProblem, week: number): Day {
  const first = addDays(problem.from, week * WEEK);
  const saturday = addDays(weekOf(first, 'monday'), 5);
  return saturday < first ? addDays(saturday, WEEK) : saturday;
}

/** A round of the course as it is stored. */
export const storedRound = (problem: SeasonProblem, r: Round): SeasonRound => ({
  day: dayOfRound(problem, r.week),
  yardId: problem.yards[r.yard]?.id ?? null,
  what: r.what,
  queen: r.queen,
  parts: r.parts,
});
