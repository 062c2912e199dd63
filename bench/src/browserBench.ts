import { spawn } from 'node:child_process';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromium, type Page } from '@playwright/test';
import { bench150 } from './bench150.ts';
import { countBench } from './countBench.ts';
import { everyDayBench } from './everyDayBench.ts';
import { median, ms, quantile } from './statistics.ts';
import { padBench } from './padBench.ts';
import { workBench } from './workBench.ts';

const ROOT = resolve(import.meta.dirname, '../..');
const PORT = 4330;
const RUNS = 12;

/** The built application in Chromium: weight of the first load, time to a plan, counting, a large board. */
export async function browserBench(): Promise<void> {
  if (!existsSync(join(ROOT, 'web/dist/index.html')))
    throw new Error('build the web client first: npm run build');
  const server = spawn(join(ROOT, 'node_modules/.bin/tsx'), ['scripts/serveForTests.ts'], {
    cwd: ROOT,
    env: { ...process.env, PORT: String(PORT) },
    stdio: 'ignore',
  });
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
    ],
  });
  try {
    await untilUp();
    const page = await browser.newPage({
      viewport: { width: 1280, height: 800 },
      baseURL: `http://127.0.0.1:${PORT}`,
    });
    await firstLoad(page);
    await planTimes(page);
    const pocket = await browser.newContext({
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
      baseURL: `http://127.0.0.1:${PORT}`,
    });
    const phone = await pocket.newPage();
    await everyDayBench(browser, phone, `http://127.0.0.1:${PORT}`);
    await countBench(phone);
    await workBench(phone);
    await padBench(phone);
    await bench150(page);
  } finally {
    await browser.close();
    server.kill('SIGTERM');
    await new Promise((done) => server.once('exit', done));
  }
}

async function untilUp(): Promise<void> {
  for (let i = 0; i < 300; i++) {
    try {
      if ((await fetch(`http://127.0.0.1:${PORT}/api/health`)).ok) return;
    } catch {
      // Not yet.
    }
    await new Promise((r) => setTimeout(r, 100));
  }
  throw new Error('the server did not come up');
}

async function firstLoad(page: Page): Promise<void> {
  const scripts = new Set<string>();
  page.on('response', (r) => {
    if (r.url().endsWith('.js')) scripts.add(new URL(r.url()).pathname);
  });
  await page.goto('/');
  await page.getByRole('heading', { level: 1 }).waitFor();
  const assets = new Set(readdirSync(join(ROOT, 'web/dist/assets')));
  const bytes = [...scripts]
    .map((s) => s.replace('/assets/', ''))
    .filter((s) => assets.has(s) && !s.includes('worker'))
    .reduce((n, s) => n + gzipSync(readFileSync(join(ROOT, 'web/dist/assets', s)), { level: 9 }).length, 0);
  console.log(`first load: ${(bytes / 1000).toFixed(0)} kB of JavaScript gzipped (target under 350 kB)`);
}

async function planTimes(page: Page): Promise<void> {
  const first: number[] = [];
  const times: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    await page.goto('/yard');
    await page
      .getByRole('link', { name: /^Tansy/ })
      .first()
      .click();
    await page.getByRole('heading', { level: 1, name: 'Tansy' }).waitFor();
    // A person takes longer than this to find the button; the planner warms up meanwhile.
    await page.waitForTimeout(1500);
    await page.getByRole('link', { name: 'Plan a split' }).click();
    await page.getByText('Plan it', { exact: true }).first().click();
    await page.getByRole('region', { name: 'Rules of the plan' }).waitFor();
    first.push(await lastPlanMs(page));
    await page.getByText('Leave as they stand', { exact: true }).click();
    await page.waitForTimeout(400);
    times.push(await lastPlanMs(page));
  }
  console.log(
    `plan for one colony in the browser: first of a visit median ${ms(median(first))}, p95 ${ms(quantile(first, 0.95))}; after a change median ${ms(median(times))} (target under 200 ms)`,
  );
}

async function lastPlanMs(page: Page): Promise<number> {
  return page.evaluate(() => performance.getEntriesByName('plan', 'measure').at(-1)?.duration ?? Number.NaN);
}
