import type { Browser, Page } from '@playwright/test';
import { toBundle } from '@incremen/core/formats';
import { emptyApiary, newOperation } from '@incremen/core/records';
import { firstHourBench } from './firstHour.ts';
import { median, ms, quantile } from './statistics.ts';
import { tapToPaint } from './tapToPaint.ts';

const RUNS = 8;
const SLOWED = 4;

/** The first hour in taps; the first paint, and every place of the rail a tap away, on a phone whose CPU is slowed four times. */
export async function everyDayBench(browser: Browser, phone: Page, baseURL: string): Promise<void> {
  const [operation] = (await (await phone.request.get('/api/operations')).json()) as { id: string }[];
  const id = operation?.id ?? '';
  const bundle = `/api/operations/${id}/bundle`;
  const demo: unknown = await (await phone.request.get(bundle)).json();
  await firstHourBench(phone, async () => {
    const empty = {
      ...emptyApiary(),
      operation: { [id]: newOperation(id, 'My bees', { fixedToday: '2026-05-15' }) },
    };
    await phone.request.put(bundle, { data: toBundle(empty, []) });
    await phone.evaluate(() => localStorage.clear()).catch(() => undefined);
  });
  await phone.request.put(bundle, { data: demo });
  await firstPaint(browser, baseURL);
  await phone.goto('/');
  await phone.getByRole('heading', { level: 1 }).waitFor();
  await phone.waitForTimeout(1500);
  const measured = await tapToPaint(phone);
  const to = (name: string) => async () => {
    await phone.getByRole('navigation', { name: 'Views' }).getByRole('link', { name }).first().tap();
    await phone.waitForTimeout(900);
  };
  // Between two measured taps the phone goes back to where it began.
  for (const place of ['Yard', 'Plan', 'Work', 'Inspect']) {
    await to(place)();
    await to('Today')();
    await measured(`to ${place} and back`, [to(place), to('Today')], 3);
  }
}

/** A new visit each time: nothing is kept in the browser but its own caches of the run before. */
async function firstPaint(browser: Browser, baseURL: string): Promise<void> {
  const painted: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const context = await browser.newContext({ baseURL, viewport: { width: 390, height: 844 } });
    const page = await context.newPage();
    const session = await context.newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    await page.goto('/');
    await page.getByRole('heading', { level: 1 }).waitFor();
    painted.push(
      await page.evaluate(
        () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? Number.NaN,
      ),
    );
    await context.close();
  }
  console.log(
    `first contentful paint of a new visit, CPU slowed ${SLOWED}×: median ${ms(median(painted))}, p95 ${ms(quantile(painted, 0.95))} (target under 1 s)`,
  );
}
