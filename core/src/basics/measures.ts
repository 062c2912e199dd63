/** The units in which a keeper reads and writes weights, distances, volumes and temperatures. */
export type Units = 'metric' | 'imperial';

/** Kilograms of a pound, litres of a US quart, kilometres of a mile: exact by definition (NIST Handbook 44, appendix C). */
export const KG_PER_LB = 0.45359237;
const LITRES_PER_US_QUART = 0.946352946;
const KM_PER_MILE = 1.609344;

/**
 * A weight as the keeper reads it.
 *
 * @example massInWords(5, 'imperial') // => '11.0 lb'
 */
export const massInWords = (kg: number, units: Units, decimals = 1): string =>
  units === 'imperial' ? `${(kg / KG_PER_LB).toFixed(decimals)} lb` : `${kg.toFixed(decimals)} kg`;

/** A small weight: grams, or ounces. */
export const smallMassInWords = (grams: number, units: Units): string =>
  units === 'imperial' ? `${((grams / 1000 / KG_PER_LB) * 16).toFixed(1)} oz` : `${Math.round(grams)} g`;

/** A volume of syrup. */
export const volumeInWords = (litres: number, units: Units): string =>
  units === 'imperial' ? `${(litres / LITRES_PER_US_QUART).toFixed(1)} qt` : `${litres.toFixed(1)} L`;

/** A way between yards. */
export const distanceInWords = (km: number, units: Units, decimals = 1): string =>
  units === 'imperial' ? `${(km / KM_PER_MILE).toFixed(decimals)} miles` : `${km.toFixed(decimals)} km`;

/** A temperature. */
export const temperatureInWords = (celsius: number, units: Units): string =>
  units === 'imperial' ? `${Math.round(celsius * 1.8 + 32)} °F` : `${Math.round(celsius)} °C`;
