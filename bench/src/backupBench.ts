import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { addDays } from '@incremen/core/basics';
import type { Bundle } from '@incremen/core/formats';
import { bringUpToDate, createApp, openOrm, OperationStore, startPostgres } from '@incremen/server';
import { largeYard } from './largeYard.ts';

const COLONIES = 150;
const COUNTS = 25;

/** A large yard that has been counted over and over: older readings stay in its history. */
function countedOften(colonies: number, counts: number, operationId: string): Bundle {
  const file = largeYard(colonies, operationId);
  const { visit, reading } = file.records;
  const first = [...visit];
  const read = new Map<string, typeof reading>();
  for (const r of reading) read.set(r.visitId ?? '', [...(read.get(r.visitId ?? '') ?? []), r]);
  for (let n = 1; n < counts; n++) {
    for (const v of first) {
      const id = randomUUID();
      const day = addDays(v.day, -n);
      visit.push({ ...v, id, day });
      for (const r of read.get(v.id) ?? []) reading.push({ ...r, id: randomUUID(), visitId: id, day });
    }
  }
  return file;
}

/** A backup of 150 colonies with 25 counts each, restored on an empty server and written again, over HTTP. */
export async function backupBench(): Promise<void> {
  const postgres = await startPostgres({ fast: true });
  const orm = await openOrm(postgres.url);
  await bringUpToDate(orm);
  const operationId = randomUUID();
  await new OperationStore(orm).importBundle(largeYard(1, operationId), null);
  const server = await new Promise<Server>((resolve) => {
    const listening = createApp(orm).listen(0, '127.0.0.1', () => resolve(listening));
  });
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/operations/${operationId}/bundle`;
  const body = JSON.stringify(countedOften(COLONIES, COUNTS, operationId));
  const megabytes = (bytes: number) => `${Math.round(bytes / 1e6)} MB`;
  const before = process.memoryUsage().rss;
  let started = performance.now();
  const put = await fetch(url, { method: 'PUT', body, headers: { 'content-type': 'application/json' } });
  if (!put.ok) throw new Error(`the restore answered ${put.status}: ${(await put.text()).slice(0, 300)}`);
  const restored = performance.now() - started;
  started = performance.now();
  const written = await (await fetch(url)).text();
  const backedUp = performance.now() - started;
  const readings = (JSON.parse(written) as Bundle).records.reading.length;
  console.log(
    `backup of ${COLONIES} colonies with ${COUNTS} counts each (${readings} readings, ${megabytes(body.length)}): restored in ${(restored / 1000).toFixed(1)} s, written in ${(backedUp / 1000).toFixed(1)} s, memory ${megabytes(before)} before and ${megabytes(process.memoryUsage().rss)} after`,
  );
  await new Promise((resolve) => server.close(resolve));
  await orm.close(true);
  await postgres.stop();
}
