import type { Day } from '@incremen/core/basics';
import type { Readings } from '@incremen/contract';
import type { Reading, Visit } from '@incremen/core/records';
import type { EntityManager } from '@mikro-orm/postgresql';
import { toRecord } from '../db/apiaryRows.ts';
import { ReadingEntity, RECORD_ENTITIES } from '../db/entities.ts';

/** Every reading of a colony's visits, oldest first. */
export async function readingsOfColony(
  em: EntityManager,
  operationId: string,
  colonyId: string,
): Promise<Readings> {
  return load(em, operationId, 'visit_id in (select id from visit where colony_id = ?)', [colonyId]);
}

/** The reading that stood for each frame at the end of a day. */
export async function readingsAsOf(em: EntityManager, operationId: string, day: Day): Promise<Readings> {
  return load(
    em,
    operationId,
    `id in (select distinct on (r.frame_id) r.id from reading r join visit v on v.id = r.visit_id
      where r.operation_id = ? and r.day <= ? order by r.frame_id, r.day desc, v.time desc nulls last)`,
    [operationId, day],
  );
}

async function load(
  em: EntityManager,
  operationId: string,
  where: string,
  values: string[],
): Promise<Readings> {
  const ids: { id: string }[] = await em
    .getConnection()
    .execute(`select id from reading where operation_id = ? and ${where}`, [operationId, ...values]);
  const rows = await em.find(
    ReadingEntity,
    { id: { $in: ids.map((r) => r.id) } },
    { orderBy: { day: 'asc', slot: 'asc' }, disableIdentityMap: true },
  );
  const readings = rows.map((row) => toRecord('reading', row as never) as Reading);
  const visits = await em.find(
    RECORD_ENTITIES.visit as never,
    { operationId, id: { $in: [...new Set(readings.flatMap((r) => r.visitId ?? []))] } } as never,
    { disableIdentityMap: true } as never,
  );
  return { readings, visits: visits.map((row) => toRecord('visit', row) as Visit) };
}
