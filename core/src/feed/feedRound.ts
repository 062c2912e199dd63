import { operationOf, type Apiary, type Colony, framesOfColony, nestOf, placeOf } from '../records/index.ts';
import { daysBetween, type Day } from '../basics/index.ts';
import { commonCombs, framesOn, strengthOf } from '../forecast/index.ts';
import { houseRules, type HouseRules } from '../rules/index.ts';
import { STORES_PER_KG_SUGAR } from '../clock/index.ts';
import { densityOf } from './syrup.ts';

/** What feeding is for. */
export type FeedAim = 'bridge' | 'winter';

/** What it is like outside. */
export interface FeedWeather {
  /** The coldest night to come, in °C. */
  readonly nightMinC: number;
  /** Nectar comes in: whoever has field bees feeds itself. */
  readonly flow: boolean;
}

/** What one colony gets, and why. */
export interface FeedLine {
  readonly colonyId: string;
  readonly name: string;
  readonly what: 'none' | 'syrup' | 'fondant' | 'count-first';
  /** Stores that it has, in kg. */
  readonly hasKg: number;
  /** Stores that it needs until it feeds itself, or for winter, in kg. */
  readonly needsKg: number;
  /** Sugar or fondant for it, in kg; 0 for none. */
  readonly kg: number;
  /** Syrup for it, in litres; 0 for fondant and none. */
  readonly litres: number;
  readonly why: string;
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
    .toSorted((a, b) => b.kg - a.kg || a.name.localeCompare(b.name));
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
  const { referenceSize } = operationOf(apiary);
  const strength = strengthOf(
    nestOf(framesOn(apiary, colony, day)),
    referenceSize,
    commonCombs(apiary, colony),
  );
  const hasKg = strength.storesKg.likely;
  const bees = strength.framesOfBees.likely;
  const daysApart = colony.separation ? daysBetween(colony.separation.day, day) : Infinity;
  const noFieldBees = colony.origin.how === 'split' && daysApart < DAYS_WITHOUT_FIELD_BEES;
  const base = { colonyId: colony.id, name: colony.name, hasKg };
  if (!placed.some((p) => p.reading)) {
    return {
      ...base,
      what: 'count-first',
      needsKg: 0,
      kg: 0,
      litres: 0,
      why: 'It was never counted: look, or lift it at the back, before you feed.',
    };
  }
  const daysToFeed = noFieldBees ? DAYS_WITHOUT_FIELD_BEES - daysApart : rules.feedDays;
  const needsKg =
    aim === 'winter'
      ? rules.winterStoresKg
      : bees * rules.feedPerBeesFrame * daysToFeed + rules.feedReserveKg;
  const none = (why: string): FeedLine => ({ ...base, what: 'none', needsKg, kg: 0, litres: 0, why });
  if (aim === 'bridge' && weather.flow && !noFieldBees) {
    return none('Its field bees bring nectar: it feeds itself.');
  }
  const shortKg = needsKg - hasKg;
  if (shortKg <= 0) {
    return none(
      aim === 'winter'
        ? `${hasKg.toFixed(0)} kg of stores are enough for the winter.`
        : `${hasKg.toFixed(1)} kg of stores last ${Math.floor((hasKg - rules.feedReserveKg) / Math.max(0.001, bees * rules.feedPerBeesFrame))} days.`,
    );
  }
  const supered = placed.some((p) => p.box.role === 'super');
  if (supered && aim === 'bridge') {
    return none('It has a super on: syrup would end up in the honey. Give it a comb of stores.');
  }
  const sugarKg = Math.min(MOST_KG_AT_ONCE, Math.max(LEAST_KG, shortKg / STORES_PER_KG_SUGAR.likely));
  const more = shortKg / STORES_PER_KG_SUGAR.likely > MOST_KG_AT_ONCE ? ' The rest in further rounds.' : '';
  const because = noFieldBees
    ? `No field bees until about day ${DAYS_WITHOUT_FIELD_BEES}, and ${hasKg.toFixed(1)} kg of stores.`
    : `${hasKg.toFixed(1)} kg of stores, ${needsKg.toFixed(1)} are needed.`;
  if (weather.nightMinC < TOO_COLD_FOR_SYRUP_C) {
    const fondant = sugarKg / FONDANT_SUGAR;
    return {
      ...base,
      what: 'fondant',
      needsKg,
      kg: fondant,
      litres: 0,
      why: `${because} Nights are too cold for syrup.${more}`,
    };
  }
  const ratio = ratioFor(aim);
  const percent = (100 * ratio) / (ratio + 1);
  const litres = (sugarKg + sugarKg / ratio) / densityOf(percent);
  return { ...base, what: 'syrup', needsKg, kg: sugarKg, litres, why: `${because}${more}` };
}
