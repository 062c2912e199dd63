import type { WeatherReport } from '@incremen/contract';

const KEPT = 'incremen.weather';

/** The last weather report, kept on this device: in the field there is often no signal. */
export function keptWeather(operationId: string | null): WeatherReport | null {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as {
      operationId: string;
      report: WeatherReport;
    } | null;
    return kept?.operationId === operationId ? kept.report : null;
  } catch {
    return null;
  }
}

/** Keeps a report in place of the last one. */
export function keepWeather(operationId: string, report: WeatherReport): void {
  try {
    localStorage.setItem(KEPT, JSON.stringify({ operationId, report }));
  } catch {
    // A full store costs nothing but the weather when there is no signal.
  }
}
