import type { Day } from '@incremen/core/basics';
import type { ScaleHour, WeatherHour } from '@incremen/core/weather';
import type { EntityManager } from '@mikro-orm/postgresql';
import { LockMode } from '@mikro-orm/postgresql';
import { MeasurementEntity, OperationEntity } from '../db/entities.ts';

/** Kinds of measurements, as they are also named in addresses. */
export const MEASUREMENT_KINDS = ['observed', 'forecast', 'scale'] as const;
export type MeasurementKind = (typeof MEASUREMENT_KINDS)[number];

/** Rows that are written at a time. */
const CHUNK = 500;

/**
 * Keeps hours; an hour that is sent again takes the place of what was there.
 * An operation that was removed or replaced while its station was asked keeps nothing.
 */
export async function keepHours(
  em: EntityManager,
  operationId: string,
  kind: MeasurementKind,
  source: string,
  hours: readonly (WeatherHour | ScaleHour)[],
): Promise<void> {
  // Two rows of one hour in the same file: the later rules.
  const latest = new Map(hours.map((h) => [`${h.time} ${'hive' in h ? h.hive : ''}`, h]));
  const rows = [...latest.values()].map((h) => ({
    operationId,
    kind,
    source,
    hive: 'hive' in h ? h.hive : '',
    time: h.time,
    body: h as never,
  }));
  await em.transactional(async (inner) => {
    // Held until the end, so that its removal waits.
    const there = await inner.findOne(
      OperationEntity,
      { id: operationId },
      { lockMode: LockMode.PESSIMISTIC_READ, fields: ['id'] },
    );
    if (!there) return;
    // A forecast as a whole takes the place of the one before.
    if (kind === 'forecast') await inner.nativeDelete(MeasurementEntity, { operationId, kind, source });
    for (let i = 0; i < rows.length; i += CHUNK) {
      await inner.upsertMany(MeasurementEntity, rows.slice(i, i + CHUNK));
    }
  });
}

/** The station that is asked when nobody else sends. */
export const ASKED = 'station';

/** Hours of a kind from a day on, by time; what somebody sends rules over the station that is asked. */
export async function hoursFrom<T extends WeatherHour | ScaleHour>(
  em: EntityManager,
  operationId: string,
  kind: MeasurementKind,
  from: Day,
  until: Day,
): Promise<{ source: string; hour: T }[]> {
  const rows = (await em.find(
    MeasurementEntity,
    { operationId, kind, time: { $gte: from, $lt: `${until}T99` } },
    { orderBy: { time: 'asc' }, disableIdentityMap: true },
  )) as unknown as { source: string; body: T }[];
  const byHour = new Map<string, (typeof rows)[number]>();
  for (const r of rows) {
    const key = `${r.body.time} ${'hive' in r.body ? r.body.hive : ''}`;
    if (byHour.get(key)?.source === ASKED || !byHour.has(key)) byHour.set(key, r);
  }
  return [...byHour.values()].map((r) => ({ source: r.source, hour: r.body }));
}
