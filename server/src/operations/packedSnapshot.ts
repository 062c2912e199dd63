import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';
import type { Snapshot } from '@incremen/contract';
import type { Apiary } from '@incremen/core/records';
import { toBundle } from '@incremen/core/formats';
import type { Present } from './KeptRecords.ts';
import type { OperationStore } from './OperationStore.ts';

const brotli = promisify(brotliCompress);

/** As quick as zip and a third smaller; the window is the largest that browsers take. */
const PARAMS = { [constants.BROTLI_PARAM_QUALITY]: 4, [constants.BROTLI_PARAM_LGWIN]: 24 };

interface Packed {
  readonly revision: number;
  readonly bytes: Promise<Buffer>;
}

/** Of the records that are kept, what a device fetches: made once, however many devices ask. */
const packed = new WeakMap<Apiary, Packed>();

/** The present records as a device fetches them. */
export const snapshotOf = ({ revision, apiary }: Present): Snapshot => ({
  revision,
  records: toBundle(apiary, []).records,
});

/** The same as JSON, packed with brotli beside the main thread. */
export function packedSnapshot(present: Present): Promise<Buffer> {
  const known = packed.get(present.apiary);
  if (known?.revision === present.revision) return known.bytes;
  const bytes = brotli(JSON.stringify(snapshotOf(present)), { params: PARAMS });
  packed.set(present.apiary, { revision: present.revision, bytes });
  // What failed is tried again by who asks next.
  bytes.catch(() => packed.delete(present.apiary));
  return bytes;
}

/** Reads and packs every operation, one after the other. */
export async function readAhead(store: OperationStore): Promise<void> {
  for (const { id } of await store.list()) await packedSnapshot(await store.present(id));
}
