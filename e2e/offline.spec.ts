import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from './fixtures.ts';
import type { BrowserContext, Page } from '@playwright/test';

test.use({ serviceWorkers: 'allow' });

async function ready(page: Page): Promise<void> {
  await page.goto('/yard');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    while (!navigator.serviceWorker.controller) await new Promise((r) => setTimeout(r, 50));
  });
}

async function countTwo(page: Page, keys = 'h43c34'): Promise<void> {
  await expect(page.getByText('1 What is it mostly?')).toBeVisible();
  await page.keyboard.type(keys);
}

const outbox = (page: Page) => page.getByRole('list', { name: 'Waiting to be sent' }).getByRole('listitem');

test('a yard without signal: count, tick and look go on, survive a reload, and are sent once in their order', async ({
  page,
  context,
  records,
}) => {
  const yarrow = await records.colonyId('Yarrow');
  const mallow = await records.colonyId('Mallow');
  const before = await records.get();
  await ready(page);
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByText('The server is out of reach.')).toBeVisible();
  await expect(page.getByRole('link', { name: /^Tansy/ })).toBeVisible();

  await page.goto(`/colonies/${yarrow}/count`);
  await countTwo(page);
  await page.getByRole('button', { name: 'Save 2 of 10' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Yarrow' })).toBeVisible();
  await page.goto(`/colonies/${mallow}/count?by=seen`);
  await page.getByRole('group', { name: 'Mallow: temper' }).getByText('Calm').click();
  await page.getByRole('button', { name: 'Save inspection' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Mallow' })).toBeVisible();
  await page.goto('/inspections');
  await expect(page.getByRole('heading', { level: 1, name: /Inspections/ })).toBeVisible();

  // The battery dies: the page is killed and opened again, still without signal.
  await page.close();
  const again = await context.newPage();
  // A page that opens is online for a moment, whatever its context was told before.
  await context.setOffline(true);
  await again.goto('/outbox');
  await expect(outbox(again)).toHaveCount(2);
  await expect(outbox(again).first()).toContainText('Yarrow');
  await again.goto(`/colonies/${yarrow}`);
  await expect(again.getByText(/Fri 15 May/).first()).toBeVisible();
  expect((await onServer(records)).visits).toBe(before.records.visit.length);

  await again.goto('/outbox');
  await expect(outbox(again)).toHaveCount(2);
  await context.setOffline(false);
  await expect(again.getByText('Everything that was entered here is with the server.')).toBeVisible({
    timeout: 20_000,
  });
  const { records: after, journal } = await records.get();
  expect(after.visit).toHaveLength(before.records.visit.length + 2);
  // What the hive scale says of the nectar is noted whenever a page asks for the weather.
  const added = journal
    .slice(before.journal.length)
    .map((e) => e.summary)
    .filter((line) => !line.includes('says the scale'));
  expect(added).toEqual([expect.stringContaining('Yarrow'), expect.stringContaining('Mallow')]);
});

test('killed in the middle of a count without signal, the count goes on where it stopped', async ({
  page,
  context,
  records,
}) => {
  const yarrow = await records.colonyId('Yarrow');
  await ready(page);
  await context.setOffline(true);
  await page.goto(`/colonies/${yarrow}/count`);
  await countTwo(page, 'h43c34m3');
  await page.close();
  const again = await context.newPage();
  await again.goto(`/colonies/${yarrow}/count`);
  await expect(again.getByText('goes on where it stopped')).toBeVisible();
  await again.keyboard.type('4');
  await again.getByRole('button', { name: 'Save 3 of 10' }).click();
  await context.setOffline(false);
  await again.goto('/outbox');
  await expect(again.getByText('Everything that was entered here is with the server.')).toBeVisible({
    timeout: 20_000,
  });
});

test('an answer that is lost on the way does not lead to two counts', async ({ page, records }) => {
  const yarrow = await records.colonyId('Yarrow');
  const before = (await records.get()).records.visit.length;
  await ready(page);
  await page.goto(`/colonies/${yarrow}/count`);
  let lost = 0;
  await page.route('**/commands', async (route) => {
    await route.fetch();
    lost++;
    await route.abort();
  });
  await countTwo(page);
  await page.getByRole('button', { name: 'Save 2 of 10' }).click();
  await expect.poll(() => lost).toBeGreaterThanOrEqual(2);
  await page.unroute('**/commands');
  await page.goto('/outbox');
  await expect(page.getByText('Everything that was entered here is with the server.')).toBeVisible({
    timeout: 20_000,
  });
  expect((await records.get()).records.visit).toHaveLength(before + 1);
});

test('two devices count one hive: the later stands, both are kept, the clash is noted on either', async ({
  page,
  browser,
  records,
  baseURL,
}) => {
  const yarrow = await records.colonyId('Yarrow');
  const other: BrowserContext = await browser.newContext({ baseURL: baseURL ?? '', locale: 'en-GB' });
  const second = await other.newPage();
  await ready(page);
  await second.goto('/yard');
  await expect(second.getByRole('heading', { level: 1 })).toBeVisible();
  for (const p of [page, second]) {
    await p.goto(`/colonies/${yarrow}/count`);
    await expect(p.getByText('1 What is it mostly?')).toBeVisible();
    await p.route('**/commands', (route) => route.abort());
  }
  await countTwo(page, 'h43h43');
  await countTwo(second, 'c44c44');
  // One saves twenty minutes before the other, on the same day.
  const now = new Date();
  const minute = 60_000;
  const [early, late] = now.getHours() === 0 ? [0, 20] : [-20, 0];
  await page.clock.setFixedTime(new Date(now.getTime() + early * minute));
  await second.clock.setFixedTime(new Date(now.getTime() + late * minute));
  for (const p of [second, page]) {
    await p.getByRole('button', { name: 'Save 2 of 10' }).click();
    await expect(p.getByRole('heading', { level: 1, name: 'Yarrow' })).toBeVisible();
  }
  // The later count arrives first.
  for (const p of [second, page]) {
    await p.unroute('**/commands');
    await p.goto('/outbox');
    await expect(p.getByText('Everything that was entered here is with the server.')).toBeVisible({
      timeout: 20_000,
    });
  }
  await page.goto(`/colonies/${yarrow}`);
  await expect(page.getByText(/2 frames were also counted on another device at \d\d:\d\d/)).toBeVisible();
  const { records: r } = await records.get();
  const today = r.visit.filter((v) => v.colonyId === yarrow && v.day === '2026-05-15');
  expect(today).toHaveLength(2);
  const standing = r.frame.flatMap((f) =>
    r.reading.filter((x) => x.id === f.readingId && x.day === '2026-05-15'),
  );
  expect(standing.map((x) => x.body.sides[0].contents.capped)).toEqual([10, 10]);
  await other.close();
});

test('a clock that is a year ahead is said, and today is taken from the server', async ({
  page,
  records,
}) => {
  const file = await records.get();
  file.records.operation[0]!.fixedToday = null;
  await records.put(file);
  await page.clock.setFixedTime(new Date(Date.now() + 365 * 86_400_000));
  await page.goto(`/colonies/${await records.colonyId('Yarrow')}/count`);
  await expect(page.getByText(/The clock of this device is 36[456] days ahead/)).toBeVisible();
  const today = { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' } as const;
  await expect(page.getByLabel('Counted on')).toHaveValue(
    new Date().toLocaleDateString('en-GB', today).replace(',', ''),
  );
});

test('the server is stopped and started again: what was entered meanwhile arrives, and the data is whole', async ({
  browser,
}) => {
  const data = mkdtempSync(join(tmpdir(), 'incremen-e2e-'));
  // PostgreSQL runs as a user of its own and has to reach it.
  chmodSync(data, 0o755);
  const port = 4325;
  let server = await start(data, port);
  const context = await browser.newContext({
    baseURL: `http://127.0.0.1:${port}`,
    locale: 'en-GB',
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  try {
    await page.goto('/yard');
    await page.getByRole('link', { name: /^Yarrow/ }).click();
    await page.getByRole('link', { name: 'Count', exact: true }).click();
    await countTwo(page);
    await expect(page.getByRole('button', { name: 'Save 2 of 10' })).toBeVisible();
    await stop(server);
    await page.getByRole('button', { name: 'Save 2 of 10' }).click();
    await expect(page.getByText('The server is out of reach.')).toBeVisible();
    server = await start(data, port);
    await expect(page.getByText('The server is out of reach.')).toBeHidden({ timeout: 40_000 });
    const list = (await (await page.request.get('/api/operations')).json()) as { id: string }[];
    const journal = (await (await page.request.get(`/api/operations/${list[0]!.id}/journal`)).json()) as {
      entries: { summary: string }[];
    };
    expect(journal.entries[0]!.summary).toContain('Yarrow');
  } finally {
    await context.close();
    await stop(server);
    rmSync(data, { recursive: true, force: true });
  }
});

async function onServer(records: { held: () => Promise<{ records: { visit: unknown[] } }> }) {
  return { visits: (await records.held()).records.visit.length };
}

/** A server of its own with data that outlives it. */
async function start(data: string, port: number): Promise<ChildProcess> {
  const child = spawn('node_modules/.bin/tsx', ['scripts/serveForTests.ts'], {
    env: { ...process.env, PORT: String(port), INCREMEN_DATA: data },
    stdio: 'ignore',
  });
  await expect
    .poll(
      () =>
        fetch(`http://127.0.0.1:${port}/api/health`).then(
          (r) => r.ok,
          () => false,
        ),
      { timeout: 60_000 },
    )
    .toBe(true);
  return child;
}

async function stop(server: ChildProcess): Promise<void> {
  if (server.exitCode !== null) return;
  const gone = new Promise((done) => server.once('exit', done));
  server.kill('SIGTERM');
  await gone;
}

test('what an older version kept on the device is brought along: a waiting entry is sent', async ({
  page,
  records,
}) => {
  const [operation] = (await (await page.request.get('/api/operations')).json()) as { id: string }[];
  // The database of the first version, as it left it, before any page of today is opened.
  await page.goto('/manifest.webmanifest');
  await page.evaluate(
    async ({ operationId, yardId, commandId }) => {
      const open = indexedDB.open('incremen', 10);
      open.onupgradeneeded = () => {
        const { result: db } = open;
        db.createObjectStore('snapshot', { keyPath: 'key' });
        db.createObjectStore('confirmed', { keyPath: 'revision' });
        const outbox = db.createObjectStore('outbox', { keyPath: 'seq' });
        outbox.createIndex('id', 'id', { unique: true });
        outbox.createIndex('state', 'state');
        db.createObjectStore('photos', { keyPath: 'id' });
      };
      await new Promise((done) => (open.onsuccess = done));
      const tx = open.result.transaction('outbox', 'readwrite');
      tx.objectStore('outbox').put({
        seq: 1,
        id: commandId,
        operationId,
        madeAt: '2026-05-14T08:00:00.000Z',
        summary: 'Added the yard Old Orchard.',
        command: { type: 'addYard', yard: { id: yardId, name: 'Old Orchard', note: '' } },
        state: 'waiting',
        problems: [],
      });
      await new Promise((done) => (tx.oncomplete = done));
      open.result.close();
    },
    { operationId: operation?.id ?? '', yardId: crypto.randomUUID(), commandId: crypto.randomUUID() },
  );
  await page.goto('/yard');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect
    .poll(async () => (await records.get()).records.yard.map((y) => y.name), { timeout: 20_000 })
    .toContain('Old Orchard');
});

test('two tabs on one count: the second says so, takes over what was entered, and the first stands back', async ({
  page,
  context,
  records,
}) => {
  const address = `/colonies/${await records.colonyId('Tansy')}/count`;
  await page.goto(address);
  await expect(page.getByText('1 What is it mostly?')).toBeVisible();
  await page.keyboard.type('h43');
  await expect(page.getByRole('button', { name: /^Save 1 of/ })).toBeVisible();
  const other = await context.newPage();
  await other.goto(address);
  await expect(other.getByText(/is being counted in another tab/)).toBeVisible();
  await other.getByRole('button', { name: 'Count here' }).click();
  await expect(other.getByRole('button', { name: /^Save 1 of/ })).toBeVisible();
  await expect(page.getByText(/is being counted in another tab/)).toBeVisible();
  await other.close();
});

test('a browser that keeps nothing opens the page and says so', async ({ page, records }) => {
  await records.get();
  await page.addInitScript(() => {
    Object.defineProperty(globalThis, 'indexedDB', { value: undefined });
  });
  await page.goto('/yard');
  await expect(page.getByText(/This browser keeps nothing for Incremen/)).toBeVisible();
  await expect(page.getByRole('link', { name: /^Tansy/ }).first()).toBeVisible();
});
