import { spawn, type ChildProcess } from 'node:child_process';
import { createReadStream, createWriteStream, readFileSync } from 'node:fs';
import { chmod, mkdtemp, rm } from 'node:fs/promises';
import { get, request, type IncomingMessage } from 'node:http';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { chromium } from '@playwright/test';
import type { Snapshot } from '@incremen/contract';
import { countSent } from './countSent.ts';
import { countedOften } from './manyCounts.ts';
import { median, ms, quantile } from './statistics.ts';

const ROOT = resolve(import.meta.dirname, '../..');
const PORT = 4335;
const BASE = `http://127.0.0.1:${PORT}`;

/** A large operation on a server of its own: what a device fetches, counts, reads, memory, pages. */
export async function scaleBench(): Promise<void> {
  await scaleOf(150, 25);
  await scaleOf(2000, 25);
}

async function scaleOf(colonies: number, counts: number): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'scale-bench-'));
  // The database runs as another user.
  await chmod(folder, 0o755);
  let server = await serving(folder);
  try {
    const [operation] = (await (await fetch(`${BASE}/api/operations`)).json()) as { id: string }[];
    const op = operation?.id ?? '';
    const file = join(folder, 'apiary.json');
    await pipeline(Readable.from(countedOften(colonies, counts, op)), createWriteStream(file));
    await restored(`${BASE}/api/operations/${op}/backup`, file);
    await stopped(server);
    server = await serving(folder);
    console.log(`${colonies} colonies with ${counts} counts each, a server just started:`);
    const path = `${BASE}/api/operations/${op}`;
    const first = await fetched(`${path}/snapshot`);
    const again = await fetched(`${path}/snapshot`);
    console.log(
      `  all that a device fetches: first ${ms(first.took)}, again ${ms(again.took)}, ${mb(again.bytes)} on the way, ${mb(again.text.length)} of JSON; server ${mb(memoryOf(server))}`,
    );
    const { records } = JSON.parse(again.text) as Snapshot;
    await counted(path, records);
    await read(path);
    console.log(`  server after that: ${mb(memoryOf(server))} (target under 500 MB)`);
    await shown();
  } finally {
    await stopped(server);
    await rm(folder, { recursive: true });
  }
}

/** Restores a file. A million readings take minutes, and fetch gives up on an answer after five. */
async function restored(url: string, file: string): Promise<void> {
  const headers = { 'content-type': 'application/json' };
  const asking = request(url, { method: 'PUT', headers });
  const answer = new Promise<IncomingMessage>((done, fail) => asking.on('response', done).on('error', fail));
  await pipeline(createReadStream(file), asking);
  const said = await answer;
  const text = (await said.toArray()).join('');
  if (said.statusCode !== 200) throw new Error(text.slice(0, 300));
}

const mb = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;

async function serving(folder: string): Promise<ChildProcess> {
  const server = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'scripts/serveForTests.ts')], {
    cwd: ROOT,
    env: { ...process.env, PORT: String(PORT), INCREMEN_DATA: join(folder, 'data') },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  for (let i = 0; i < 600; i++) {
    if (
      await fetch(`${BASE}/api/health`).then(
        (r) => r.ok,
        () => false,
      )
    )
      return server;
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error('the server did not come up');
}

async function stopped(server: ChildProcess): Promise<void> {
  const gone = new Promise((done) => server.once('exit', done));
  server.kill('SIGTERM');
  await gone;
}

/** Resident memory of a process, in bytes. */
function memoryOf({ pid }: ChildProcess): number {
  const kilobytes = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1];
  return Number(kilobytes) * 1024;
}

async function fetched(url: string): Promise<{ text: string; took: number; bytes: number }> {
  const started = performance.now();
  const answer = await fetch(url, { headers: { 'accept-encoding': 'gzip, deflate, br' } });
  const text = await answer.text();
  const took = performance.now() - started;
  const raw = await rawBytes(url);
  return { text, took, bytes: raw };
}

/** Bytes on the way, compressed as a browser asks for it. */
async function rawBytes(url: string): Promise<number> {
  return new Promise((done, fail) => {
    get(url, { headers: { 'accept-encoding': 'gzip, deflate, br' } }, (answer) => {
      let bytes = 0;
      answer.on('data', (piece: Uint8Array) => (bytes += piece.length));
      answer.on('end', () => done(bytes));
    }).on('error', fail);
  });
}

/** Counts at a steady rate, each of another colony. */
async function counted(path: string, records: Snapshot['records']): Promise<void> {
  const rate = 20;
  const seconds = 10;
  const readings = new Map(records.reading.map((r) => [r.id, r]));
  const pending: Promise<number>[] = [];
  for (let i = 0; i < rate * seconds; i++) {
    const colony = records.colony[(i * 37) % records.colony.length];
    const boxes = new Set(records.box.filter((b) => b.hiveId === colony?.hiveId).map((b) => b.id));
    const frames = records.frame.filter((f) => f.boxId !== null && boxes.has(f.boxId));
    const body = countSent(
      colony?.id,
      frames.map((f) => ({ frameId: f.id, body: readings.get(f.readingId ?? '')?.body })),
    );
    pending.push(
      timed(`${path}/commands`, { method: 'POST', body, headers: { 'content-type': 'application/json' } }),
    );
    await new Promise((r) => setTimeout(r, 1000 / rate));
  }
  const times = await Promise.all(pending);
  console.log(
    `  counts of twenty frames, ${rate} a second: median ${ms(median(times))}, p99 ${ms(quantile(times, 0.99))} (target p99 under 250 ms)`,
  );
}

/** Reads at a steady rate: the list of operations, the journal. */
async function read(path: string): Promise<void> {
  const rate = 100;
  const pending: Promise<number>[] = [];
  for (let i = 0; i < rate * 5; i++) {
    pending.push(timed(i % 2 === 0 ? `${BASE}/api/operations` : `${path}/journal`, {}));
    await new Promise((r) => setTimeout(r, 1000 / rate));
  }
  const times = await Promise.all(pending);
  console.log(
    `  reads, ${rate} a second: median ${ms(median(times))}, p99 ${ms(quantile(times, 0.99))} (target p99 under 150 ms)`,
  );
}

async function timed(url: string, ask: RequestInit): Promise<number> {
  const started = performance.now();
  const answer = await fetch(url, ask);
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${url} answered ${answer.status}: ${text.slice(0, 200)}`);
  return performance.now() - started;
}

/** The board from a cold start, and other pages after it. */
async function shown(): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run'],
  });
  try {
    const cold: number[] = [];
    const bytes: number[] = [];
    for (let run = 0; run < 3; run++) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: BASE });
      const page = await context.newPage();
      const wire = await context.newCDPSession(page);
      let came = 0;
      await wire.send('Network.enable');
      wire.on('Network.loadingFinished', (e) => (came += e.encodedDataLength));
      const started = Date.now();
      await page.goto('/yard');
      await page.getByRole('link', { name: /^M1\b/ }).first().waitFor({ timeout: 120_000 });
      cold.push(Date.now() - started);
      bytes.push(came);
      if (run === 2) {
        for (const name of ['Inspections', 'Queens and cells', 'Records', 'Settings']) {
          const link = page.getByRole('link', { name, exact: true }).first();
          if (!(await link.isVisible().catch(() => false))) continue;
          const began = Date.now();
          await link.click();
          await page.getByRole('heading', { level: 1 }).waitFor();
          await page.evaluate(
            () => new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r))),
          );
          console.log(`  ${name}: ${Date.now() - began} ms (target under 1 s)`);
        }
      }
      await context.close();
    }
    console.log(
      `  board from a cold start: median ${(median(cold) / 1000).toFixed(1)} s, ${mb(median(bytes))} until it is there (targets 3 s, 1.5 MB)`,
    );
  } finally {
    await browser.close();
  }
}
