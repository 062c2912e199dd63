import { createServer, type Server, type ServerResponse } from 'node:http';
import {
  forecastAt,
  weatherAt,
  weightAt,
  type HourNumber,
  type Place,
  type SimulatedHour,
} from './simulatedWeather.ts';

/** What the station does: works, sends what makes no sense, or does not answer, to try out what follows. */
export type Mood = 'works' | 'nonsense' | 'silent';

const HOUR_MS = 3_600_000;
const MOST_HOURS = 24 * 62;

/**
 * A weather station with a hive on its scale, simulated. Plain HTTP and comma-separated values:
 *
 * - `GET /observed.csv?to=2026-05-15T12:00&hours=240` weather up to an hour
 * - `GET /forecast.csv?from=2026-05-15T12:00&hours=120` weather foretold from an hour on
 * - `GET /scale.csv?to=2026-05-15T12:00&hours=240` what the hive weighed
 * - `PUT /mood/works`, `/mood/nonsense`, `/mood/silent` lets it fail
 */
export function createStation(place: Place, hiveName: string): Server {
  let mood: Mood = 'works';
  return createServer((req, res) => {
    const url = new URL(req.url ?? '/', 'http://station');
    const asked = /^\/mood\/(works|nonsense|silent)$/.exec(url.pathname);
    if (req.method === 'PUT' && asked) {
      mood = asked[1] as Mood;
      res.writeHead(204).end();
      return;
    }
    if (req.method !== 'GET') {
      res.writeHead(405).end('GET, or PUT a mood.\n');
      return;
    }
    if (mood === 'silent') {
      // It takes the call and never answers.
      return;
    }
    if (mood === 'nonsense') {
      csv(res, 'time,temperature_c,rain_mm,wind_ms,cloud_pct\nnoon,warm,,-3,240\n');
      return;
    }
    const end = hourOf(url.searchParams.get('to') ?? url.searchParams.get('from'));
    const hours = Number(url.searchParams.get('hours') ?? 48);
    if (end === null || !Number.isInteger(hours) || hours < 1 || hours > MOST_HOURS) {
      res
        .writeHead(400, { 'Content-Type': 'text/plain' })
        .end('Ask for to=2026-05-15T12:00 and hours=1 to 1488.\n');
      return;
    }
    answer(res, url.pathname, end, hours, place, hiveName);
  });
}

function answer(
  res: ServerResponse,
  path: string,
  at: HourNumber,
  hours: number,
  place: Place,
  hiveName: string,
): void {
  const back = Array.from({ length: hours }, (_, i) => at - hours + 1 + i);
  const ahead = Array.from({ length: hours }, (_, i) => at + i);
  const weather = (list: readonly HourNumber[], of: (h: HourNumber) => SimulatedHour) =>
    csv(
      res,
      [
        'time,temperature_c,rain_mm,wind_ms,cloud_pct',
        ...list.map((h) => {
          const w = of(h);
          return [textOf(h), w.temperatureC, w.rainMm, w.windMs, w.cloudPct].join(',');
        }),
        '',
      ].join('\n'),
    );
  switch (path) {
    case '/observed.csv':
      return weather(back, (h) => weatherAt(h, place));
    case '/forecast.csv':
      return weather(ahead, (h) => forecastAt(at, h, place));
    case '/scale.csv':
      return csv(
        res,
        [
          'time,hive,weight_kg',
          ...back.map((h) => `${textOf(h)},${hiveName},${weightAt(h, place)}`),
          '',
        ].join('\n'),
      );
    default:
      res.writeHead(404, { 'Content-Type': 'text/plain' }).end('observed.csv, forecast.csv or scale.csv\n');
  }
}

function csv(res: ServerResponse, text: string): void {
  res.writeHead(200, { 'Content-Type': 'text/csv; charset=utf-8' }).end(text);
}

/** The number of an hour like 2026-05-15T12:00, taken as it stands; null when it is none. */
function hourOf(text: string | null): HourNumber | null {
  if (text === null || !/^\d{4}-\d{2}-\d{2}T\d{2}:00$/.test(text)) return null;
  const ms = Date.parse(`${text}:00Z`);
  return Number.isFinite(ms) ? ms / HOUR_MS : null;
}

const textOf = (hour: HourNumber) => new Date(hour * HOUR_MS).toISOString().slice(0, 16);
