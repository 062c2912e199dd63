import { randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, rm, stat } from 'node:fs/promises';
import { request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { text } from 'node:stream/consumers';
import { bringUpToDate, createApp, openOrm, OperationStore, startPostgres } from '@incremen/server';
import { largeYard } from './largeYard.ts';
import { countedOften } from './manyCounts.ts';

/** The most memory that this process has held since it began to be watched, in bytes. */
function watchMemory(): () => number {
  let most = process.memoryUsage().rss;
  const timer = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 50);
  return () => {
    clearInterval(timer);
    return most;
  };
}

/** Backups restored on an empty server and written again, over HTTP, with the memory that it takes. */
export async function backupBench(): Promise<void> {
  await backupOf(150, 25);
  await backupOf(2000, 25);
}

async function backupOf(colonies: number, counts: number): Promise<void> {
  const postgres = await startPostgres({ fast: true });
  const orm = await openOrm(postgres.url);
  await bringUpToDate(orm);
  const operationId = randomUUID();
  await new OperationStore(orm).importBundle(largeYard(1, operationId), null);
  const server = await new Promise<Server>((resolve) => {
    const listening = createApp(orm).listen(0, '127.0.0.1', () => resolve(listening));
  });
  const folder = await mkdtemp(join(tmpdir(), 'backup-bench-'));
  const path = join(folder, 'apiary.json');
  await pipeline(Readable.from(countedOften(colonies, counts, operationId)), createWriteStream(path));
  const { size } = await stat(path);
  const { port } = server.address() as AddressInfo;
  const ask = (method: string, what: string) =>
    request({ port, method, path: `/api/operations/${operationId}/${what}`, host: '127.0.0.1' });

  const before = process.memoryUsage().rss;
  const most = watchMemory();
  let started = performance.now();
  const put = ask('PUT', 'backup');
  const answered = new Promise<string>((resolve, reject) => {
    put.on('error', reject);
    put.on('response', (answer) => {
      const told = text(answer);
      told.then((t) => (answer.statusCode === 200 ? resolve(t) : reject(new Error(t.slice(0, 300)))), reject);
    });
  });
  await pipeline(createReadStream(path), put);
  await answered;
  const restored = performance.now() - started;
  started = performance.now();
  let bytes = 0;
  await new Promise<void>((resolve, reject) => {
    const get = ask('GET', 'backup');
    get.on('error', reject);
    get.on('response', (answer) => {
      const count = new Writable({
        write(piece: Uint8Array, _encoding, done) {
          bytes += piece.length;
          done();
        },
      });
      pipeline(answer, count).then(resolve, reject);
    });
    get.end();
  });
  const written = performance.now() - started;
  const readings: { n: string }[] = await orm.em.getConnection().execute('select count(*) as n from reading');
  const megabytes = (n: number) => `${Math.round(n / 1e6)} MB`;
  const seconds = (ms: number) => `${(ms / 1000).toFixed(1)} s`;
  console.log(
    `backup of ${colonies} colonies with ${counts} counts each (${readings[0]?.n} readings, ${megabytes(size)} of JSON): restored in ${seconds(restored)}, written as ${megabytes(bytes)} in ${seconds(written)}, memory ${megabytes(before)} before, ${megabytes(most())} at most`,
  );
  await rm(folder, { recursive: true });
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  await orm.close(true);
  await postgres.stop();
}
