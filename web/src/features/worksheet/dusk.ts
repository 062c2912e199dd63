import { getTimes } from 'suncalc';

/**
 * When it gets dark, as far as the clock of this device and a latitude tell: to within half an hour or so, for
 * the place within the time zone is not known.
 *
 * @param latitudeDeg - north positive
 * @returns the end of civil twilight; null where it does not get dark that day
 */
export function duskOn(day: Date, latitudeDeg: number): Date | null {
  // The zone's own meridian: clocks put forward in summer do not move it.
  const offsets = [0, 6].map((month) => -new Date(day.getFullYear(), month, 1).getTimezoneOffset());
  const longitudeDeg = Math.min(...offsets) / 4;
  const { dusk } = getTimes(day, latitudeDeg, longitudeDeg);
  return Number.isNaN(dusk.getTime()) ? null : dusk;
}
