import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { demoScenario } from '@incremen/core/demo';
import { framesOfColony, type Apiary } from '@incremen/core/records';
import { toBundle } from '@incremen/core/formats';
import { bringUpToDate, createApp, openOrm, OperationStore, startPostgres } from '@incremen/server';
import { countSent } from './countSent.ts';
import { median, ms, quantile } from './statistics.ts';

const REQUESTS_A_SECOND = 20;
const SECONDS = 5;
const RUNS = 3;

/** Counts stored by the API at a steady rate, each of one ten-frame colony, on a durable PostgreSQL. */
export async function apiBench(): Promise<void> {
  // Not `fast`: commits reach the disk, as they do for a user.
  const postgres = await startPostgres({});
  const orm = await openOrm(postgres.url);
  await bringUpToDate(orm);
  const { apiary, journal } = demoScenario();
  const op = await new OperationStore(orm).importBundle(toBundle(apiary, journal), null);
  const server = await new Promise<Server>((resolve) => {
    const listening = createApp(orm).listen(0, '127.0.0.1', () => resolve(listening));
  });
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/operations/${op}/commands`;
  const p50: number[] = [];
  const p95: number[] = [];
  for (let run = 0; run <= RUNS; run++) {
    const times = await oneRun(url, apiary);
    if (run === 0) continue; // warm-up
    p50.push(median(times));
    p95.push(quantile(times, 0.95));
  }
  console.log(
    `count stored by the API, ${REQUESTS_A_SECOND} a second for ${SECONDS} s, ${RUNS} runs: median ${ms(median(p50))}, p95 ${ms(median(p95))} (target p95 under 50 ms)`,
  );
  await new Promise((resolve) => server.close(resolve));
  await orm.close(true);
  await postgres.stop();
}

async function oneRun(url: string, apiary: Apiary): Promise<number[]> {
  const colony = Object.values(apiary.colony).find((c) => c.name === 'Yarrow');
  if (!colony) throw new Error('the demonstration has no Yarrow');
  const frames = framesOfColony(apiary, colony);
  const pending: Promise<number>[] = [];
  for (let i = 0; i < REQUESTS_A_SECOND * SECONDS; i++) {
    const body = countSent(
      colony.id,
      frames.map((f) => ({ frameId: f.frame.id, body: f.reading?.body })),
    );
    pending.push(timed(url, body));
    await new Promise((resolve) => setTimeout(resolve, 1000 / REQUESTS_A_SECOND));
  }
  return Promise.all(pending);
}

async function timed(url: string, body: string): Promise<number> {
  const started = performance.now();
  const answer = await fetch(url, { method: 'POST', body, headers: { 'content-type': 'application/json' } });
  await answer.text();
  if (answer.status !== 201) throw new Error(`the API answered ${answer.status}`);
  return performance.now() - started;
}
