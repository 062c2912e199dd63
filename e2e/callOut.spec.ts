import type { Page } from '@playwright/test';
import { NEST, TestYard, withQueen } from '@incremen/core/testing';
import { closeVisit, expect, Records, test } from './fixtures.ts';
import { countTansy, framesOf } from './steps.ts';

const answer = (page: Page) => page.getByRole('group', { name: 'Where it goes' });

/** Calls the frame in hand as it was counted, and does what the pad says. */
async function callAsCounted(page: Page, called: number): Promise<void> {
  await page.getByRole('button', { name: /As last time/ }).click();
  await answer(page).getByRole('button').first().click();
  await expect(page.getByText(new RegExp(`^${called} frames? called`))).toBeVisible();
}

/** Gives every comb that lies aside the place that the pad names. */
async function placeAside(page: Page): Promise<void> {
  const lies = page.getByText(/frames? aside\. Now it is known/);
  const finished = page.getByText('Every frame is called.');
  for (;;) {
    await expect(lies.or(finished)).toBeVisible();
    if (await finished.isVisible()) return;
    const words = await lies.innerText();
    await answer(page).getByRole('button').first().click();
    await expect(page.getByText(words, { exact: true })).toBeHidden();
  }
}

async function begin(page: Page, units: number, whole: boolean): Promise<void> {
  const tansy = await new Records(page).colonyId('Tansy');
  await page.goto(`/callout?from=${tansy}`);
  await expect(
    page.getByRole('group', { name: 'Donors' }).getByRole('button', { name: 'Tansy', pressed: true }),
  ).toBeVisible();
  if (whole) await page.getByText('Nothing: split the whole colony').click();
  for (let n = 2; n < units; n++) await page.getByRole('button', { name: 'More: new colonies' }).click();
  await page.getByRole('button', { name: 'Begin to call' }).click();
  await expect(page.getByText('Say what is on it: the answer comes at once.')).toBeVisible();
}

test('twenty frames into five units by taps, a call taken back, the queen found late, and a helper who follows', async ({
  page,
  records,
  browser,
  baseURL,
}) => {
  await countTansy(page);
  await begin(page, 5, true);
  for (let called = 1; called <= 3; called++) await callAsCounted(page, called);

  // A helper's tablet shows the same within a second, and what is called there shows here.
  const tablet = await (await browser.newContext({ baseURL: baseURL ?? '' })).newPage();
  await tablet.goto(page.url());
  await expect(tablet.getByText(/^3 frames called/)).toBeVisible();
  await callAsCounted(page, 4);
  await expect(tablet.getByText(/^4 frames called/)).toBeVisible({ timeout: 1000 });
  await callAsCounted(tablet, 5);
  await expect(page.getByText(/^5 frames called/)).toBeVisible({ timeout: 1000 });

  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText(/^4 frames called/)).toBeVisible();

  // A shortage: hardly anything is left of what the count promised.
  await page.getByRole('button', { name: /^Empty comb/ }).click();
  await answer(page).getByRole('button').first().click();
  await expect(page.getByText(/^5 frames called/)).toBeVisible();
  for (let called = 6; called <= 18; called++) await callAsCounted(page, called);
  // She is on the last but one.
  await page.getByRole('button', { name: /As last time/ }).click();
  await page.getByRole('button', { name: 'Queen on it' }).click();
  await answer(page).getByRole('button').first().click();
  await expect(page.getByText(/^19 frames called/)).toBeVisible();
  await callAsCounted(page, 20);
  // What lies aside is given a place, now that all is known.
  await placeAside(page);
  await expect(page.getByText('Every frame is called.')).toBeVisible();
  const better = page.getByRole('button', { name: 'Done so' });
  for (let n = 0; n < 3 && (await better.isVisible()); n++) await better.click();
  await page.getByRole('button', { name: 'Finish' }).click();
  await closeVisit(page);
  await expect(page.getByText(/^Done on .*: in the records/)).toBeVisible();
  await expect.poll(async () => (await records.get()).records.callOut[0]?.status).toBe('done');
  const { records: r } = await records.get();
  let frames = 0;
  for (let n = 1; n <= 5; n++) frames += await framesOf(records, `Nuc ${n}`);
  expect(frames).toBe(20);
  // She is where her frame went.
  const where = r.queen.find((q) => q.name === 'Ottoline')?.whereabouts;
  const home = r.colony.find((c) => where?.known === 'colony' && c.id === where.colonyId);
  expect(home?.name).toMatch(/^Nuc [1-5]$/);
  expect(r.colony.find((c) => c.name === 'Tansy')?.endedOn).not.toBeNull();
  await tablet.context().close();
});

test('bad calls are caught and explained, and the pad works without signal', async ({
  page,
  context,
  records,
}) => {
  await countTansy(page);
  await begin(page, 2, false);
  await callAsCounted(page, 1);
  await context.setOffline(true);
  await callAsCounted(page, 2);
  // The queen twice.
  await page.getByRole('button', { name: /As last time/ }).click();
  await page.getByRole('button', { name: 'Queen on it' }).click();
  await answer(page).getByRole('button').first().click();
  await expect(page.getByText(/^3 frames called/)).toBeVisible();
  await page.getByRole('button', { name: /As last time/ }).click();
  await page.getByRole('button', { name: 'Queen on it' }).click();
  await answer(page).getByRole('button').first().click();
  await expect(page.getByRole('alert')).toContainText('The queen of this colony was reported already');
  await expect(page.getByText(/^3 frames called/)).toBeVisible();
  await page.getByRole('button', { name: 'Queen on it' }).click();
  await answer(page).getByRole('button').first().click();
  await expect(page.getByText(/^4 frames called/)).toBeVisible();
  // A lid put on by mistake comes off again.
  await page.getByRole('button', { name: 'Lid on' }).first().click();
  await page.getByRole('button', { name: 'Open again' }).click();
  await expect(page.getByRole('button', { name: 'Open again' })).toHaveCount(0);
  await context.setOffline(false);
  await expect.poll(async () => (await records.get()).records.callOut[0]?.body.calls.length).toBe(4);
  await page.reload();
  await expect(page.getByText(/^4 frames called/)).toBeVisible();
});

test('a colony of seven combs in two boxes of four: what is free is filled from the store, and it hangs there', async ({
  page,
  records,
}) => {
  const yard = new TestYard(17);
  const { capped, open, honey, bread } = NEST;
  const heath = yard.hive(
    'Heath',
    [[honey(8), capped(7, 9), open(7, 9), withQueen(open(7, 9)), capped(7, 9), bread(8), honey(8)]],
    '2026-05-16',
  );
  yard.stock('drawn', 3);
  await records.scene(yard.apiary, '2026-05-16');
  await page.goto(`/callout?from=${heath.id}`);
  await page.getByText('Nothing: split the whole colony').click();
  await page.getByRole('button', { name: 'Begin to call' }).click();
  for (let called = 1; called <= 7; called++) await callAsCounted(page, called);
  await placeAside(page);
  await expect(page.getByText('Every frame is called.')).toBeVisible();
  const better = page.getByRole('button', { name: 'Done so' });
  for (let n = 0; n < 3 && (await better.isVisible()); n++) await better.click();
  await page.getByRole('button', { name: 'Finish' }).click();
  await expect(page.getByText('Filled from the store')).toBeVisible();
  await closeVisit(page);
  await expect(page.getByText(/^Done on .*: in the records/)).toBeVisible();
  await expect.poll(async () => (await records.get()).records.callOut[0]?.status).toBe('done');
  const { records: r } = await records.get();
  expect((await framesOf(records, 'Nuc 1')) + (await framesOf(records, 'Nuc 2'))).toBe(8);
  expect(r.frame.filter((f) => f.place === 'store')).toHaveLength(2);
});
