import { KG_PER_LB, massInWords, type Units } from '@incremen/core/basics';
import type { Range } from '@incremen/core/comb';

/** One decimal is all that a count by eye carries. */
export function one(n: number): string {
  return (Math.round(n * 10) / 10).toFixed(1);
}

/** A range in one decimal: `7.1–9.6`. */
export function rangeOf(range: Range): string {
  return `${one(range.low)}–${one(range.high)}`;
}

/** A mass in the units of the operation, in whole numbers. */
export const mass = (kg: number, units: Units): string => massInWords(kg, units, 0);

/** A small mass, in one decimal: `0.5 kg`. */
export const smallMass = (kg: number, units: Units): string => massInWords(kg, units);

/** Kilograms of what was typed in the units of the operation. */
export const kilograms = (typed: number, units: Units): number =>
  units === 'imperial' ? typed * KG_PER_LB : typed;

const PLURALS = new Intl.PluralRules('en');
const NUMBERS = new Intl.NumberFormat('en');

/** `1 frame`, `2 frames`, `1,200 frames`: number and form as the language has them. */
export function count(n: number, noun: string, plural = `${noun}s`): string {
  return `${NUMBERS.format(n)} ${PLURALS.select(n) === 'one' ? noun : plural}`;
}

/** Days ago in words. */
export function ago(days: number): string {
  if (days === 0) return 'today';
  return days === 1 ? 'yesterday' : `${days} days ago`;
}

/** A temperature in degrees of the operation's units, as a bare number. */
export function degrees(celsius: number, units: Units): number {
  return Math.round(units === 'imperial' ? celsius * 1.8 + 32 : celsius);
}

/** The sign of those degrees. */
export function degreeSign(units: Units): string {
  return units === 'imperial' ? '°F' : '°C';
}
