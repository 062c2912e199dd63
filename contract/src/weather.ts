import type { ScaleHour, WeatherHour } from '@incremen/core/weather';

/** Weather around a day, by hour. */
export interface WeatherReport {
  readonly observed: readonly WeatherHour[];
  readonly forecast: readonly WeatherHour[];
  readonly scale: readonly ScaleHour[];
  /** Who sent it. */
  readonly sources: readonly string[];
  /** Why the station says nothing new, in words; null when all is well, or there is none. */
  readonly trouble: string | null;
}
