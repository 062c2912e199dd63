import type { Snapshot } from '@incremen/contract';
import { upgradeCommand, upgradeRecords } from '@incremen/core/formats';
import { RECORD_KINDS, RECORD_SCHEMAS } from '@incremen/core/records';
import type { KeptChanges, KeptSnapshot } from './database.ts';

// What a device has kept since an older version, as it is today. Fetched only where there is something to bring along.

export { upgradeCommand };

/** The records of version 1 with all that was confirmed since, as those of today. */
export function snapshotOfToday(kept: KeptSnapshot, confirmed: readonly KeptChanges[]): KeptSnapshot {
  const { snapshot } = kept;
  const tables: Record<string, Map<string, unknown>> = Object.fromEntries(
    Object.entries(snapshot.records).map(([kind, list]) => [
      kind,
      new Map(list.map((r: { readonly id: string }) => [r.id, r])),
    ]),
  );
  const later = confirmed.filter((c) => c.operationId === kept.operationId && c.revision > snapshot.revision);
  for (const { kind, id, after } of later.flatMap((c) => c.changes)) {
    const table = (tables[kind] ??= new Map());
    if (after === null) table.delete(id);
    else table.set(id, after);
  }
  const records = upgradeRecords(
    Object.fromEntries(Object.entries(tables).map(([kind, table]) => [kind, [...table.values()]])),
  );
  return {
    ...kept,
    snapshot: {
      revision: later.at(-1)?.revision ?? snapshot.revision,
      records: records as Snapshot['records'],
    },
  };
}

/** Every record as its schema has it now. */
export function filledUp(kept: KeptSnapshot): KeptSnapshot {
  const records = Object.fromEntries(
    RECORD_KINDS.map((kind) => [
      kind,
      (kept.snapshot.records[kind] ?? []).map((r: unknown) => RECORD_SCHEMAS[kind].parse(r)),
    ]),
  );
  return { ...kept, snapshot: { ...kept.snapshot, records: records as Snapshot['records'] } };
}
