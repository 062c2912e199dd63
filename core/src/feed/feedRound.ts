import { framesOfColony, givenTo, operationOf, placeOf, type Apiary, type Colony } from '../records/index.ts';
import { dayInWords, daysBetween, type Day, massInWords } from '../basics/index.ts';
import { STORES_PER_KG_SUGAR } from '../clock/index.ts';
import { foodOn, winterNeedKg, type FoodOn } from '../forecast/index.ts';
import { colonyState } from '../colony/index.ts';
import { houseRules, type HouseRules } from '../rules/index.ts';
import { densityOf } from './syrup.ts';

/** What feeding is for. */
export type FeedAim = 'bridge' | 'winter' | 'draw-comb';

/** What it is like outside. */
export interface FeedWeather {
  /** The coldest night to come, in °C. */
  readonly nightMinC: number;
}

/** What one colony gets, and why. */
export interface FeedLine {
  readonly colonyId: string;
  readonly name: string;
  readonly what: 'none' | 'syrup' | 'fondant' | 'count-first';
  /** Stores that it has today, in kg: counted, less what was eaten since, and what was fed. */
  readonly hasKg: number;
  /** Stores that it needs until it feeds itself, or for winter, in kg. */
  readonly needsKg: number;
  /** Sugar or fondant for it, in kg; 0 for none. */
  readonly kg: number;
  /** Syrup for it, in litres; 0 for fondant and none. */
  readonly litres: number;
  /** Days that its food lasts if nothing comes in; null where nothing was counted. */
  readonly days: FoodOn['days'] | null;
  /** Its food ends before anybody means to look again. */
  readonly alarm: boolean;
  readonly why: string;
  /** What is in its feeder, or how old the count is that all rests on; empty for nothing to say. */
  readonly note: string;
}

/** What goes round a yard. */
export interface FeedRound {
  readonly lines: readonly FeedLine[];
  readonly sugarKg: number;
  readonly syrupLitres: number;
  readonly fondantKg: number;
  /** Sugar to water by weight of the syrup. */
  readonly sugarPerWater: number;
}

/** Below this at night syrup is not taken down and chills the cluster (common practice, no source). */
const TOO_COLD_FOR_SYRUP_C = 8;

/** A unit split off so few days ago has no field bees of its own yet (common practice, no source: about a week). */
const DAYS_WITHOUT_FIELD_BEES = 10;

/** Sugar by weight in usual fondant (common practice, no source). */
const FONDANT_SUGAR = 0.88;

/** Wax for a deep comb of foundation costs about so much honey (common practice, order of magnitude). */
const DRAWING_KG = 0.45;

/** A count of stores is said to be old after so many days. */
const OLD_COUNT_DAYS = 21;

/** Who in a yard is fed, with what, how much, and who gets none and why. */
export function feedRound(
  apiary: Apiary,
  yardId: string,
  day: Day,
  aim: FeedAim,
  weather: FeedWeather,
): FeedRound {
  const operation = operationOf(apiary);
  const rules = houseRules(operation.houseRules.changes);
  const colonies = Object.values(apiary.colony).filter(
    (c) => c.endedOn === null && c.hiveId !== null && placeOf(apiary, c).yard?.id === yardId,
  );
  const lines = colonies
    .map((c) => feedLine(apiary, c, day, aim, weather, rules))
    .toSorted((a, b) => Number(b.alarm) - Number(a.alarm) || b.kg - a.kg || a.name.localeCompare(b.name));
  const sum = (of: (l: FeedLine) => number) => lines.reduce((s, l) => s + of(l), 0);
  return {
    lines,
    sugarKg: sum((l) => (l.what === 'syrup' ? l.kg : 0)),
    syrupLitres: sum((l) => l.litres),
    fondantKg: sum((l) => (l.what === 'fondant' ? l.kg : 0)),
    sugarPerWater: ratioFor(aim),
  };
}

/** Thin to bridge a gap and to draw comb, thick for stores. */
const ratioFor = (aim: FeedAim) => (aim === 'winter' ? 2 : 1);

/** A quarter of a kilogram is not worth opening a hive for, and more than this is given in rounds. */
const LEAST_KG = 0.25;
const MOST_KG_AT_ONCE = 5;

function feedLine(
  apiary: Apiary,
  colony: Colony,
  day: Day,
  aim: FeedAim,
  weather: FeedWeather,
  rules: HouseRules,
): FeedLine {
  const placed = framesOfColony(apiary, colony);
  const { units } = operationOf(apiary);
  const food = foodOn(apiary, colony, day);
  const base = { colonyId: colony.id, name: colony.name };
  if (food.kg === null) {
    return {
      ...base,
      what: 'count-first',
      hasKg: 0,
      needsKg: 0,
      kg: 0,
      litres: 0,
      days: null,
      alarm: false,
      why: 'Never counted: look, or lift it at the back, before you feed.',
      note: '',
    };
  }
  const { strength } = colonyState(apiary, colony, day);
  const hasKg = strength.storesKg.likely;
  const bees = strength.framesOfBees.likely;
  const apart = colony.separation ? daysBetween(colony.separation.day, day) : Infinity;
  const noFieldBees = colony.origin.how === 'split' && apart < DAYS_WITHOUT_FIELD_BEES;
  const flow = food.flow && !noFieldBees;
  const daysToFeed = noFieldBees ? DAYS_WITHOUT_FIELD_BEES - apart : rules.feedDays;
  const foundation = placed.filter((p) => p.frame.blank === 'foundation' && p.reading === null).length;
  const needsKg =
    aim === 'winter'
      ? winterNeedKg(apiary, colony, bees)
      : food.eatsPerDay * daysToFeed +
        rules.feedReserveKg +
        (aim === 'draw-comb' ? foundation * DRAWING_KG : 0);
  const lasting = {
    ...base,
    hasKg,
    needsKg,
    days: food.days,
    alarm: !flow && food.days.likely < daysToFeed,
    note: noteOn(apiary, colony, food, day),
  };
  const none = (why: string): FeedLine => ({ ...lasting, what: 'none', kg: 0, litres: 0, why });
  if (aim === 'bridge' && flow) return none('Its field bees bring nectar: it feeds itself.');
  if (aim === 'draw-comb' && foundation === 0 && hasKg >= needsKg) return none('No foundation hangs in it.');
  // What is in the feeder is on its way into the combs.
  const shortKg = needsKg - hasKg - food.feederKg;
  if (shortKg <= 0) {
    return none(
      aim === 'winter'
        ? `${massInWords(hasKg, units, 0)} of stores are enough for the winter.`
        : `${massInWords(hasKg, units)} of stores last ${Math.floor(food.days.likely)} days.`,
    );
  }
  if (placed.some((p) => p.box.role === 'super') && aim !== 'winter') {
    return none('It has a super on: syrup would end up in the honey. Give it a comb of stores.');
  }
  const wanted = shortKg / STORES_PER_KG_SUGAR.likely;
  const sugarKg = Math.min(MOST_KG_AT_ONCE, Math.max(LEAST_KG, wanted));
  const more = wanted > MOST_KG_AT_ONCE ? ' The rest in further rounds.' : '';
  const because = noFieldBees
    ? `No field bees until about day ${DAYS_WITHOUT_FIELD_BEES}, and ${massInWords(hasKg, units)} of stores.`
    : aim === 'draw-comb' && foundation > 0
      ? `${foundation} to draw, and ${massInWords(hasKg, units)} of stores.`
      : `${massInWords(hasKg, units)} of stores, ${massInWords(needsKg, units)} are needed.`;
  if (weather.nightMinC < TOO_COLD_FOR_SYRUP_C) {
    const why = `${because} Nights are too cold for syrup.${more}`;
    return { ...lasting, what: 'fondant', kg: sugarKg / FONDANT_SUGAR, litres: 0, why };
  }
  const ratio = ratioFor(aim);
  const litres = (sugarKg + sugarKg / ratio) / densityOf((100 * ratio) / (ratio + 1));
  return { ...lasting, what: 'syrup', kg: sugarKg, litres, why: `${because}${more}` };
}

/** What was given and not looked after yet, or how old the count is. */
function noteOn(apiary: Apiary, colony: Colony, food: FoodOn, day: Day): string {
  const open = givenTo(apiary, colony.id).find(
    (g) => g.body.kind === 'feed' && g.outOn === null && g.day <= day,
  );
  const notes = [
    ...(open?.body.kind === 'feed'
      ? [
          `${massInWords(open.body.kg, operationOf(apiary).units)} given on ${dayInWords(open.day)}: see whether it is taken.`,
        ]
      : []),
    ...(food.countAgeDays !== null && food.countAgeDays > OLD_COUNT_DAYS
      ? [`Counted ${food.countAgeDays} days ago: heft it before you trust this.`]
      : []),
  ];
  return notes.join(' ');
}
