import { closeVisit, expect, test } from './fixtures.ts';
import { countByKeys, countTansy, framesOf, say, STRONG, workOff } from './steps.ts';

test('even walk-away halves: count, plan, work, look on day 7, verdict', async ({ page, records }) => {
  await countTansy(page);
  await page.getByRole('link', { name: 'Plan a split' }).click();
  await page.getByRole('button', { name: 'Plan: Even walk-away halves' }).click();
  await expect(page.getByRole('region', { name: 'Rules of the plan' })).toContainText('Eggs in Tansy II');
  await expect(page.getByText('Upper box as it stands → Tansy II')).toBeVisible();
  const before = (await records.get()).records.frame.length;
  await workOff(page);
  expect(await framesOf(records, 'Tansy')).toBe(10);
  expect(await framesOf(records, 'Tansy II')).toBe(10);
  expect((await records.get()).records.frame).toHaveLength(before);
  await expect(page.getByText('Come back on Fri 22 May')).toBeVisible();

  await records.setToday('2026-05-22');
  await page.goto('/');
  await page
    .getByRole('region', { name: 'Must open' })
    .getByRole('link', { name: 'Tansy', exact: true })
    .click();
  await expect(page.getByText('day 7 since the split')).toBeVisible();
  for (const part of ['Tansy', 'Tansy II']) await say(page, part, 'frames read', 'All 10');
  await say(page, 'Tansy', 'eggs', 'None');
  await say(page, 'Tansy', 'queen cells', 'Found');
  await expect(page.getByText('No verdict before Tansy II is read.')).toBeVisible();
  await say(page, 'Tansy II', 'eggs', 'Found');
  await say(page, 'Tansy II', 'queen cells', 'None');
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict.getByRole('heading')).toHaveText('The queen is in Tansy II; Tansy is raising one.');
  await expect(verdict).toContainText('laid on day 4 or later');
  // Every frame was read: nobody is sent to look again.
  await expect(verdict).not.toContainText('Check every frame');
  await page.getByRole('button', { name: 'Save inspection' }).click();

  await expect(page.getByRole('heading', { name: 'Inspections' })).toBeVisible();
  const { records: after } = await records.get();
  const queen = after.queen.find((q) => q.name === 'Ottoline');
  const upper = after.colony.find((c) => c.name === 'Tansy II');
  expect(queen?.whereabouts).toEqual({ known: 'colony', colonyId: upper?.id });
});

test('queen moved out to a nuc: count, plan, work, look, verdict', async ({ page, records }) => {
  const sorrel = await records.colonyId('Sorrel');
  await page.goto(`/colonies/${sorrel}/count`);
  await countByKeys(page, STRONG);
  // Frame 4 of the lower box has the queen, frame 6 charged cells.
  const lower = page.getByRole('slider', { name: 'Frame of the lower box' });
  for (let i = 0; i < 7; i++) await page.keyboard.press('ArrowLeft');
  await expect(lower).toHaveAttribute('aria-valuetext', 'frame 4, read');
  await page.getByRole('button', { name: 'Queen' }).click();
  await page.getByRole('button', { name: 'Next frame' }).click();
  await page.getByRole('button', { name: 'Next frame' }).click();
  await expect(lower).toHaveAttribute('aria-valuetext', 'frame 6, read');
  await page.getByRole('button', { name: 'Cells', exact: true }).click();
  await page.getByRole('button', { name: 'One more: cups with larva' }).click();
  await page.getByRole('button', { name: 'One more: cups with larva' }).click();
  const upper = page.getByRole('slider', { name: 'Frame of the upper box' });
  const box = await upper.boundingBox();
  await upper.click({ position: { x: (box?.width ?? 0) * 0.08, y: 20 } });
  await expect(upper).toHaveAttribute('aria-valuetext', 'frame 1');
  await countByKeys(page, STRONG);
  await page.getByRole('button', { name: 'Save 20 of 20' }).click();
  await expect(page.getByText(/Swarm cells: act/).first()).toBeVisible();

  await page.getByRole('link', { name: 'Plan a split' }).click();
  await page.getByRole('button', { name: 'Plan: Queen moved out to a nuc' }).click();
  await expect(page.getByLabel('Method', { exact: true })).toHaveValue('queen-to-nuc');
  await expect(page.getByText(/^The queen is on it/)).toBeVisible();
  await workOff(page);
  expect(await framesOf(records, 'Sorrel II')).toBe(5);
  const { records: r } = await records.get();
  const nuc = r.colony.find((c) => c.name === 'Sorrel II');
  expect(r.queen.find((q) => q.name === 'Perdita')?.whereabouts).toEqual({
    known: 'colony',
    colonyId: nuc?.id,
  });

  const surplus = r.followUp.find((f) => f.topic === 'surplus-cells' && f.status === 'open');
  await records.setToday(surplus?.window.likely ?? '');
  await page.goto(`/look/${surplus?.id}`);
  await say(page, 'Sorrel', 'frames read', 'All 20');
  await say(page, 'Sorrel', 'eggs', 'None');
  await say(page, 'Sorrel', 'queen cells', 'Found');
  await page.getByRole('button', { name: 'One less: drawn, open' }).click();
  await say(page, 'Sorrel', 'queen cells', 'Found');
  await page.getByRole('button', { name: 'One more: capped' }).click();
  await page.getByRole('button', { name: 'One less: drawn, open' }).click();
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict).toContainText('This part is raising a queen');
  await expect(verdict).toContainText('Look for eggs');
  await page.getByRole('button', { name: 'Save inspection' }).click();
  const openOnes = async () =>
    (await records.get()).records.followUp.filter((f) => f.status === 'open' && f.colonyIds.includes(sorrel));
  await expect
    .poll(async () => (await openOnes()).map((f) => f.topic).toSorted())
    .toEqual(['eggs-due', 'rest']);
  const due = await openOnes();

  // Four weeks on: eggs, and nine days later flat caps.
  const eggs = due.find((f) => f.topic === 'eggs-due');
  await records.setToday(eggs?.window.likely ?? '');
  await page.goto(`/look/${eggs?.id}`);
  await say(page, 'Sorrel', 'eggs', 'Found');
  await expect(verdict).toContainText('A new queen has begun to lay');
});

test('too early is said, and from which day', async ({ page, records }) => {
  const followUp = (await records.get()).records.followUp.find(
    (f) => f.topic === 'which-part' && f.status === 'open',
  );
  await page.goto(`/look/${followUp?.id}`);
  await page.getByLabel('Day of the inspection').fill('2026-05-10');
  for (const part of ['Campion', 'Campion II']) {
    await say(page, part, 'frames read', 'All 10');
    await say(page, part, 'eggs', 'Found');
  }
  await expect(page.getByRole('region', { name: 'Verdict' }).getByRole('heading')).toHaveText(
    'Too early to say, from Tue 12 May',
  );
});

test('work: a tick can be taken back, a reload loses nothing, the whole work can be taken back', async ({
  page,
  records,
}) => {
  await page.goto(`/colonies/${await records.colonyId('Tansy')}/plan`);
  await expect(page.getByRole('region', { name: 'Rules of the plan' })).toBeVisible();
  await page.getByRole('button', { name: /^Start/ }).click();
  await page
    .getByRole('button', { name: /^Done:/ })
    .first()
    .click();
  await page
    .getByRole('button', { name: /^Done:/ })
    .first()
    .click();
  await expect(page.getByText(/^2 of/)).toBeVisible();
  // The button that takes back does not answer to a double tap: wait as a person would.
  await page.waitForTimeout(700);
  await page
    .getByRole('button', { name: /^Not done after all/ })
    .first()
    .click();
  await expect(page.getByText(/^1 of/)).toBeVisible();
  // It is seen a moment before it is kept.
  await page.waitForTimeout(700);
  await page.reload();
  await expect(page.getByText(/^1 of/)).toBeVisible();
  const bar = page.getByRole('progressbar', { name: 'Steps done' });
  const open = Number(await bar.getAttribute('aria-valuemax')) - 1;
  for (let i = 0; i < open; i++)
    await page
      .getByRole('button', { name: /^Done:/ })
      .first()
      .click();
  await closeVisit(page);
  await expect(page.getByRole('heading', { name: 'The work is done' })).toBeVisible();
  await expect.poll(() => framesOf(records, 'Tansy')).toBe(10);

  await page.goto('/records');
  await page
    .getByRole('button', { name: /^Undo: Tansy: done/ })
    .first()
    .click();
  await expect(page.getByText(/^Undone: Tansy: done/)).toBeVisible();
  expect(await framesOf(records, 'Tansy')).toBe(20);
  expect(await records.colonyId('Tansy II')).toBe('');
});
