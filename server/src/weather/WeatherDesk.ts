import { addDays, type Day, type Problem, type Result } from '@incremen/core/basics';
import { dayOfHour, scaleRows, weatherRows, type ScaleHour, type WeatherHour } from '@incremen/core/weather';
import type { WeatherReport } from '@incremen/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import Papa from 'papaparse';
import type { OperationStore } from '../operations/OperationStore.ts';
import { ASKED, hoursFrom, keepHours, type MeasurementKind } from './measurements.ts';
import { noteFlowsByScale } from './noteFlowsByScale.ts';

/** A station is asked again after so long. */
const ASK_AGAIN_MS = 10 * 60_000;
/** A station that takes longer is silent. */
const PATIENCE_MS = 3000;
/** So many days of past weather are asked for and told: as long as a virgin may wait for one to fly on. */
const DAYS_BACK = 24;
/** So far back and ahead a station is asked, in hours. */
const HOURS = { observed: 24 * DAYS_BACK, forecast: 24 * 6, scale: 24 * 15 } as const;

/** Reads a file of hours of one kind. */
function readHours(kind: MeasurementKind, text: string): Result<(WeatherHour | ScaleHour)[]> {
  const rows = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true }).data;
  return kind === 'scale' ? scaleRows(rows) : weatherRows(rows);
}

/** Weather of the operations: what stations were asked for, and what was sent by others. */
export class WeatherDesk {
  private readonly orm: MikroORM;
  private readonly store: OperationStore;
  private readonly stationUrl: string | null;
  private readonly asked = new Map<string, { readonly day: Day; readonly at: number }>();
  private trouble: string | null = null;

  /** @param stationUrl - address of a station that answers as the simulated one does; null for none */
  constructor(orm: MikroORM, store: OperationStore, stationUrl: string | null) {
    this.orm = orm;
    this.store = store;
    this.stationUrl = stationUrl;
  }

  /** Takes in a file of hours. @returns how many, or what is wrong with it; then nothing is kept */
  async takeIn(
    operationId: string,
    kind: MeasurementKind,
    source: string,
    text: string,
  ): Promise<Result<number>> {
    const read = readHours(kind, text);
    if (!read.ok) return read;
    await keepHours(this.orm.em.fork(), operationId, kind, source, read.value);
    const last = read.value.reduce<Day>((d, h) => (dayOfHour(h.time) > d ? dayOfHour(h.time) : d), '');
    if (kind === 'scale' && last !== '') await noteFlowsByScale(this.orm, this.store, operationId, last);
    return { ok: true, value: read.value.length };
  }

  /** Weather around a day, with the station asked first when that is due. */
  async report(operationId: string, day: Day, hour: number): Promise<WeatherReport> {
    const em = this.orm.em.fork();
    const read = async () => ({
      observed: await hoursFrom<WeatherHour>(em, operationId, 'observed', addDays(day, -DAYS_BACK), day),
      forecast: await hoursFrom<WeatherHour>(em, operationId, 'forecast', day, addDays(day, 7)),
      scale: await hoursFrom<ScaleHour>(em, operationId, 'scale', addDays(day, -15), day),
    });
    let known = await read();
    const last = this.asked.get(operationId);
    const due =
      !last || last.day !== day || Date.now() - last.at > ASK_AGAIN_MS || known.observed.length === 0;
    if (this.stationUrl !== null && due) {
      this.asked.set(operationId, { day, at: Date.now() });
      this.trouble = await this.askStation(operationId, day, hour);
      known = await read();
    }
    return {
      observed: known.observed.map((h) => h.hour),
      forecast: known.forecast.map((h) => h.hour),
      scale: known.scale.map((h) => h.hour),
      sources: [...new Set(Object.values(known).flatMap((list) => list.map((h) => h.source)))],
      trouble: this.trouble,
    };
  }

  /** Asks the station for all that it has. @returns what went wrong, in words; what came before stays */
  private async askStation(operationId: string, day: Day, hour: number): Promise<string | null> {
    const at = `${day}T${String(hour).padStart(2, '0')}:00`;
    for (const kind of ['observed', 'forecast', 'scale'] as const) {
      const query = kind === 'forecast' ? `from=${at}` : `to=${at}`;
      const answer = await fetch(`${this.stationUrl}/${kind}.csv?${query}&hours=${HOURS[kind]}`, {
        signal: AbortSignal.timeout(PATIENCE_MS),
      })
        .then(async (res) => (res.ok ? { text: await res.text() } : { status: res.status }))
        .catch(() => null);
      if (answer === null)
        return 'The weather station does not answer; it is asked again in ten minutes. What it sent before still counts.';
      if (!('text' in answer))
        return `The weather station refuses (${answer.status}); it is asked again in ten minutes. What it sent before still counts.`;
      const taken = await this.takeIn(operationId, kind, ASKED, answer.text);
      if (!taken.ok) return `The weather station sends what makes no sense: ${wordsOf(taken.problems)}`;
    }
    return null;
  }
}

const wordsOf = (problems: readonly Problem[]) => problems[0]?.message ?? 'nothing that could be read';
