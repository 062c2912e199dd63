/**
 * Weather and a hive's weight that never were, but could be: the same for the same seed, place and hour. A stand-in for
 * a station of one's own, so that everything that depends on weather can be tried.
 */

/** Where the station stands. */
export interface Place {
  readonly seed: number;
  readonly hemisphere: 'north' | 'south';
}

/** One hour of weather. */
export interface SimulatedHour {
  readonly temperatureC: number;
  readonly rainMm: number;
  readonly windMs: number;
  readonly cloudPct: number;
}

/** Hours since the beginning of 1970, local time. */
export type HourNumber = number;

/** A number from 0 to 1 that is the same for the same seed and place in the sequence. */
function chance(seed: number, at: number): number {
  let h = (Math.imul(at ^ (at >>> 15), 0x2c1b3c6d) ^ Math.imul(seed + 0x9e3779b9, 0x297a2d39)) >>> 0;
  h = Math.imul(h ^ (h >>> 12), 0x85ebca6b) >>> 0;
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35) >>> 0;
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** A smooth wander between -1 and 1 that changes within about `hours`. */
function wander(seed: number, at: HourNumber, hours: number): number {
  const k = Math.floor(at / hours);
  const t = at / hours - k;
  const ease = t * t * (3 - 2 * t);
  const from = chance(seed, k) * 2 - 1;
  const to = chance(seed, k + 1) * 2 - 1;
  return from + (to - from) * ease;
}

const DAY = 24;
const YEAR_DAYS = 365.25;

/** Day of the year, counted so that the warmest is near 200 on both sides of the equator. */
function seasonDay(at: HourNumber, { hemisphere }: Place): number {
  return ((at / DAY + (hemisphere === 'south' ? YEAR_DAYS / 2 : 0)) % YEAR_DAYS) + 1;
}

/** The weather of an hour. */
export function weatherAt(at: HourNumber, place: Place): SimulatedHour {
  const { seed } = place;
  // Highs and lows pass within some days.
  const low = 0.7 * wander(seed, at, 66) + 0.45 * wander(seed + 1, at, 29);
  const cloudPct = clamp(45 + 60 * low + 12 * wander(seed + 2, at, 5), 0, 100);
  const season = Math.sin((2 * Math.PI * (seasonDay(at, place) - 105)) / YEAR_DAYS);
  const mean = 10.5 + 8.5 * season + 4 * wander(seed + 3, at, 110);
  const swing = 6.5 * (1 - cloudPct / 150);
  // Warmest at three in the afternoon.
  const temperatureC =
    mean + swing * Math.cos((2 * Math.PI * ((at % DAY) - 15)) / DAY) - (low > 0.4 ? 1.5 : 0);
  const showers = chance(seed + 4, at);
  const rainMm =
    low > 0.32 && showers < (low - 0.1) * 0.9 ? 0.2 + 4 * chance(seed + 5, at) ** 2 * (0.5 + low) : 0;
  const windMs = clamp(
    2.2 + 3.4 * low + 1.6 * wander(seed + 6, at, 7) + (at % DAY > 9 && at % DAY < 19 ? 0.9 : 0),
    0.2,
    22,
  );
  return {
    temperatureC: tenth(temperatureC),
    rainMm: tenth(rainMm),
    windMs: tenth(windMs),
    cloudPct: Math.round(cloudPct),
  };
}

/** What a forecast made at one hour says of a later one: right on the whole, less so the further it looks. */
export function forecastAt(madeAt: HourNumber, at: HourNumber, place: Place): SimulatedHour {
  const truth = weatherAt(at, place);
  const days = Math.max(0, (at - madeAt) / DAY);
  const off = wander(place.seed + 40 + Math.floor(madeAt / 12), at, 18) * Math.sqrt(days);
  const rainMm = truth.rainMm > 0 && off > 1.1 ? 0 : truth.rainMm === 0 && off < -1.25 ? 0.4 : truth.rainMm;
  return {
    temperatureC: tenth(truth.temperatureC + 1.1 * off),
    rainMm: tenth(rainMm),
    windMs: tenth(Math.max(0.2, truth.windMs + 0.8 * off)),
    cloudPct: Math.round(clamp(truth.cloudPct - 12 * off, 0, 100)),
  };
}

/** Kilograms that a strong hive gains or loses in an hour. */
function gainAt(at: HourNumber, place: Place): number {
  const weather = weatherAt(at, place);
  const day = seasonDay(at, place);
  const hour = at % DAY;
  // Used by the bees themselves, more when they keep warm or raise much brood.
  const used = 0.006 + (weather.temperatureC < 6 ? 0.004 : 0) + (day > 90 && day < 230 ? 0.01 : 0);
  const flowers =
    Math.max(0, Math.sin((Math.PI * (day - 95)) / 120)) * (0.55 + 0.45 * wander(place.seed + 7, at, 260));
  const flies =
    hour >= 9 && hour <= 18 && weather.temperatureC > 12 && weather.rainMm < 0.1 && weather.windMs < 8;
  return (flies && day > 95 && day < 215 ? 0.21 * flowers : 0) - used;
}

/** What the hive on the scale weighs, in kg: from a weight in winter on, hour by hour. */
export function weightAt(at: HourNumber, place: Place): number {
  const start = at - Math.floor(seasonDay(at, place)) * DAY;
  let kg = 34;
  for (let h = start; h < at; h++) kg = Math.max(22, kg + gainAt(h, place));
  return Math.round(kg * 50) / 50;
}

const tenth = (n: number) => Math.round(n * 10) / 10;
const clamp = (n: number, least: number, most: number) => Math.min(most, Math.max(least, n));
