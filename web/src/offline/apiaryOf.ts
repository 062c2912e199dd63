import { RECORD_KINDS, type AnyRecord, type Apiary } from '@incremen/core/records';
import type { Snapshot } from '@incremen/contract';

/** The records of a snapshot by kind and id. A kind that an older snapshot lacks is empty. */
export function apiaryOf(snapshot: Snapshot): Apiary {
  return Object.fromEntries(
    RECORD_KINDS.map((kind) => [
      kind,
      Object.fromEntries((snapshot.records[kind] ?? []).map((r: AnyRecord) => [r.id, r])),
    ]),
  ) as unknown as Apiary;
}
