import {
  emptyApiary,
  RECORD_KINDS,
  RECORD_SCHEMAS,
  type AnyRecord,
  type Apiary,
  type Change,
  type RecordKind,
  type Visit,
} from '@incremen/core/records';
import { JsonType, type EntityManager } from '@mikro-orm/postgresql';
import { RECORD_ENTITIES } from './entities.ts';
import { PRESENT_ROWS } from './presentRows.ts';

type Row = Record<string, unknown>;

/** The record in a row: its own properties, without the columns that only the database needs. */
export function toRecord(kind: RecordKind, row: Row): AnyRecord {
  return Object.fromEntries(
    Object.keys(RECORD_SCHEMAS[kind].shape).map((key) => [key, row[key]]),
  ) as AnyRecord;
}

const toRow = (kind: RecordKind, record: AnyRecord, operationId: string): Row =>
  kind === 'operation' ? { ...record } : { ...record, operationId };

export const scope = (kind: RecordKind, operationId: string) =>
  kind === 'operation' ? { id: operationId } : { operationId };

/** Reads an operation's present records: older readings and visits stay in the tables. */
export async function loadApiary(em: EntityManager, operationId: string): Promise<Apiary> {
  const apiary = emptyApiary() as { [K in RecordKind]: Record<string, AnyRecord> };
  for (const kind of RECORD_KINDS) {
    const those = PRESENT_ROWS[kind] ?? 'true';
    for (const record of await readRecords(em, kind, operationId, those)) apiary[kind][record.id] = record;
  }
  return apiary as unknown as Apiary;
}

/** The visits that are not among the present records, of one colony or of all, latest first. */
export async function olderVisits(
  em: EntityManager,
  operationId: string,
  colonyId: string | null,
): Promise<Visit[]> {
  const older = `not ${PRESENT_ROWS.visit}${colonyId === null ? '' : ' and r."colony_id" = ?'}`;
  const of = colonyId === null ? [] : [colonyId];
  const latestFirst = 'order by r."day" desc, r."time" desc nulls last';
  return (await readRecords(em, 'visit', operationId, `${older} ${latestFirst}`, of)) as Visit[];
}

/**
 * An operation's records of one kind, each row as one JSON text that the database puts together: of a hundred thousand
 * rows an entity each would be made and taken apart again, which takes several times as long.
 *
 * @param those - which rows, as a condition on `r`, with what is to be put in the places of its question marks
 */
async function readRecords(
  em: EntityManager,
  kind: RecordKind,
  operationId: string,
  those: string,
  values: readonly string[] = [],
): Promise<AnyRecord[]> {
  const { tableName, properties } = em.getMetadata().get(RECORD_ENTITIES[kind].name);
  const platform = em.getPlatform();
  const columns = Object.keys(RECORD_SCHEMAS[kind].shape).map((key) => ({
    key,
    ...(properties[key as never] as { fieldNames: string[]; customType?: unknown }),
  }));
  const pairs = columns.map(({ key, fieldNames }) => `'${key}', r."${fieldNames[0]}"`).join(', ');
  const owner = kind === 'operation' ? 'id' : 'operation_id';
  const rows: { record: string }[] = await em.getConnection().execute(
    `with "asked" as (select ?::uuid as "id")
      select json_build_object(${pairs})::text as record from "${tableName}" r
      where r."${owner}" = (select "id" from "asked") and ${those}`,
    [operationId, ...values],
    'all',
    em.getTransactionContext(),
  );
  const checked = columns.flatMap(({ key, customType }) =>
    customType instanceof JsonType ? [[key, customType] as const] : [],
  );
  return rows.map(({ record }) => {
    const row = JSON.parse(record) as Row;
    for (const [key, type] of checked) row[key] = type.convertToJSValue(row[key] as never, platform);
    return row as unknown as AnyRecord;
  });
}

/** One record of an operation, or undefined. */
export async function loadRecord(
  em: EntityManager,
  operationId: string,
  kind: RecordKind,
  id: string,
): Promise<AnyRecord | undefined> {
  const row = await em.findOne<Row>(
    RECORD_ENTITIES[kind] as never,
    { ...scope(kind, operationId), id } as never,
    { disableIdentityMap: true } as never,
  );
  return row ? toRecord(kind, row) : undefined;
}

/** Rows inserted in one statement at most. */
const INSERT_CHUNK = 1000;

/**
 * Writes new records of one kind. They go as one JSON text a statement, which the database takes apart: several times
 * quicker than a parameter for each value. (The schema is named: `box` alone is a type of the database's own.)
 */
export async function insertRecords(
  em: EntityManager,
  operationId: string,
  kind: RecordKind,
  records: readonly AnyRecord[],
): Promise<void> {
  const { tableName, properties } = em.getMetadata().get(RECORD_ENTITIES[kind].name);
  for (let i = 0; i < records.length; i += INSERT_CHUNK) {
    const rows = records.slice(i, i + INSERT_CHUNK).map((record) => toRow(kind, record, operationId));
    const columns = new Map(
      Object.keys(rows[0] ?? {}).map((key) => [key, properties[key as never] as { fieldNames: string[] }]),
    );
    const named = rows.map((row) =>
      Object.fromEntries([...columns].map(([key, { fieldNames }]) => [fieldNames[0], row[key]])),
    );
    const list = [...columns.values()].map(({ fieldNames }) => `"${fieldNames[0]}"`).join(', ');
    await em
      .getConnection()
      .execute(
        `insert into "${tableName}" (${list}) select ${list} from json_populate_recordset(null::public."${tableName}", ?)`,
        [JSON.stringify(named)],
        'run',
        em.getTransactionContext(),
      );
  }
}

/** Writes changes to the tables. References and slots are checked by the database at commit. */
export async function writeChanges(
  em: EntityManager,
  operationId: string,
  changes: readonly Change[],
): Promise<void> {
  for (const kind of RECORD_KINDS) {
    const entity = RECORD_ENTITIES[kind] as never;
    const ofKind = changes.filter((c) => c.kind === kind);
    await insertRecords(
      em,
      operationId,
      kind,
      ofKind.flatMap((c) => (c.before === null && c.after !== null ? [c.after] : [])),
    );
    const changed = ofKind.flatMap((c) =>
      c.before !== null && c.after !== null ? [toRow(kind, c.after, operationId)] : [],
    );
    const [only] = changed;
    if (changed.length === 1 && only) {
      const { id, ...row } = only;
      await em.nativeUpdate(entity, { ...scope(kind, operationId), id } as never, row as never);
    } else if (changed.length > 1) {
      // One statement for all: the rows are there, so every one of them is merged.
      await em
        .createQueryBuilder(entity)
        .insert(changed as never)
        .onConflict('id' as never)
        .merge()
        .execute('run', false);
    }
  }
  // What refers goes before what is referred to.
  for (const kind of RECORD_KINDS.toReversed()) {
    const removed = changes.filter((c) => c.kind === kind && c.after === null).map((c) => c.id);
    if (removed.length === 0) continue;
    await em.nativeDelete(
      RECORD_ENTITIES[kind] as never,
      { ...scope(kind, operationId), id: { $in: removed } } as never,
    );
  }
}
