import {
  emptyApiary,
  RECORD_KINDS,
  RECORD_SCHEMAS,
  type AnyRecord,
  type Apiary,
  type Change,
  type RecordKind,
} from '@incremen/core/records';
import type { EntityManager } from '@mikro-orm/postgresql';
import { RECORD_ENTITIES } from './entities.ts';

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

/**
 * Reads an operation's records.
 *
 * @param which - `present` leaves out readings that newer ones have replaced; `all` is for the file
 */
export async function loadApiary(
  em: EntityManager,
  operationId: string,
  which: 'present' | 'all',
): Promise<Apiary> {
  const apiary = emptyApiary() as { [K in RecordKind]: Record<string, AnyRecord> };
  for (const kind of RECORD_KINDS) {
    const ids =
      kind === 'reading' && which === 'present'
        ? { id: { $in: Object.values(apiary.frame as Apiary['frame']).flatMap((f) => f.readingId ?? []) } }
        : {};
    const rows = await em.find<Row>(
      RECORD_ENTITIES[kind] as never,
      { ...scope(kind, operationId), ...ids } as never,
      { disableIdentityMap: true } as never,
    );
    for (const row of rows) {
      const record = toRecord(kind, row);
      apiary[kind][record.id] = record;
    }
  }
  return apiary as unknown as Apiary;
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
