import type { Page } from '@playwright/test';
import { closeVisit, expect, test } from './fixtures.ts';
import { openPlan, countTansy, framesOf, say, workedOut, workThrough } from './steps.ts';

const answer = (page: Page) => page.getByRole('group', { name: 'Where it goes' });

test('a standby nuc gets a full box on a warm day before a wet spell: the day, the frames, the feed', async ({
  page,
  records,
}) => {
  await records.get();
  await page.goto('/');
  await expect(page.getByText(/Hives can be opened today from \d\d:00 to/)).toBeVisible();
  await expect(page.getByText(/Rain from \d\d:00 on Sat 16 May/)).toBeVisible();
  await page.getByRole('link', { name: 'Weather' }).click();
  await expect(page.getByRole('heading', { name: 'Mating flights' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Scale under Sorrel' })).toContainText('Nectar comes in.');
  // Frames in their order, and food from a neighbour who has too much.
  await page.goto(`/colonies/${await records.colonyId('Clary')}`);
  await openPlan(page, 'Move into a full-size hive');
  await workedOut(page);
  await page.getByRole('button', { name: 'Start the work' }).click();
  await expect(page.getByText(/in the same order/)).toBeVisible();
  await expect(page.getByText(/Shake or tap in the stragglers/)).toBeVisible();
  await workThrough(page);
  await page.goto('/feed');
  await page.getByText('No', { exact: true }).click();
  const clary = page.getByRole('listitem').filter({ hasText: 'Clary' });
  await expect(clary).toContainText(/kg of stores/);
  // By hand: 20 lb at 1.2296 g/mL are 7.38 L.
  const syrup = page.getByRole('region', { name: 'Syrup' });
  await syrup.getByText('lb, US qt').click();
  await syrup.getByText('how much sugar I have').click();
  await syrup.getByLabel('Sugar, lb').fill('10');
  await expect(syrup).toContainText('makes 7.80 US qt (1.95 US gal)');
  await syrup.getByLabel('Sugar, lb').fill('-3');
  await expect(syrup.getByText(/more than nothing/).first()).toBeVisible();
});

test('two donors are called into partitioned boxes, cells are coming: sides, tags, a month of rest', async ({
  page,
  records,
}) => {
  await countTansy(page);
  await page.goto(`/callout?from=${await records.colonyId('Tansy')}`);
  await page
    .getByRole('group', { name: 'Donors' })
    .getByRole('button', { name: 'Burnet', exact: true })
    .click();
  await page.getByLabel('Queen of a nuc').selectOption('cell');
  await page.getByText('Two in a box, a partition between').click();
  await page.getByRole('button', { name: 'Begin to call' }).click();
  await expect(page.getByRole('heading', { name: 'Tansy and Burnet into 2 parts' })).toBeVisible();
  for (let called = 1; called <= 20; called++) {
    const units = page.getByTestId('unit-sums').filter({ hasText: /^4 of 4/ });
    if ((await units.count()) === 2) break;
    await page.getByRole('button', { name: /As last time/ }).click();
    await answer(page).getByRole('button').first().click();
    await expect(page.getByText(new RegExp(`^${called} frames? called`))).toBeVisible();
  }
  // What is left in the boxes stays there; what lies aside is given a place in the list.
  const aside = page.getByRole('combobox').filter({ hasText: /^aside/ });
  for (let n = await aside.count(); n > 0; n = await aside.count()) {
    await aside.first().selectOption({ index: 1 });
    await expect(aside).toHaveCount(n - 1);
  }
  // Both old queens were seen on frames that stayed.
  for (const name of ['Tansy', 'Burnet']) {
    await page.getByRole('combobox', { name: `Queen of ${name}` }).selectOption({ label: `in ${name}` });
  }
  await page.getByRole('button', { name: 'Finish' }).click();
  await closeVisit(page);
  await expect(page.getByText(/^Done on .*: in the records/)).toBeVisible();
  await expect.poll(async () => (await records.get()).records.callOut[0]?.status).toBe('done');
  const { records: r } = await records.get();
  const idOf = (name: string) => r.colony.find((c) => c.name === name)?.id ?? '';
  const box = r.box.find((b) => b.chambers.some((c) => c.colonyId === idOf('Nuc 1')));
  expect(box?.chambers.map((c) => c.colonyId)).toEqual([idOf('Nuc 1'), idOf('Nuc 2')]);
  expect(await framesOf(records, 'Nuc 1')).toBe(8);
  const looks = r.followUp.filter((f) => f.status === 'open' && f.colonyIds.includes(idOf('Nuc 2')));
  expect(looks.map((f) => f.topic).toSorted()).toEqual(['act', 'bees-stay', 'eggs-due', 'rest']);
  await page.getByRole('link', { name: 'Tags' }).click();
  await expect(page.getByRole('listitem')).toHaveCount(2);
  await expect(page.getByText('ripe cell, not mated yet').first()).toBeVisible();
  // The cells are dated backwards from the day on which they go in.
  await page.goto('/cells');
  const dates = page.getByRole('region', { name: 'Cells on a date' });
  await dates.getByLabel('Day', { exact: true }).fill('2026-05-17');
  await expect(dates).toContainText('Thu 7 May');
});

test('one frame of cells, two chances: today or too late, who gets which, and the odds', async ({
  page,
  records,
}) => {
  await records.get();
  await page.goto('/cells');
  const cells = page.getByRole('list', { name: 'Cells' });
  await expect(cells.getByRole('listitem').filter({ hasText: 'Sorrel, lower box, frame 5' })).toContainText(
    'With its frame and the bees on it',
  );
  const shares = page.getByRole('list', { name: 'Shares' });
  await expect(shares).toContainText('New nuc 2');
  // Ripe now, over some days later: the page says so.
  await records.setToday('2026-05-21');
  await page.reload();
  await expect(cells.getByRole('listitem').filter({ hasText: 'Sorrel, lower box, frame 5' })).toContainText(
    /cut out with a margin|Today or too late/,
  );
  await records.setToday('2026-06-01');
  await page.reload();
  await expect(cells.getByRole('listitem').first()).toContainText('Do not cut any other by sight');
  const odds = page.getByRole('region', { name: 'Chances of success' });
  await expect(odds.getByRole('list', { name: 'Odds' })).toContainText('at least one of 2 parts');
  await expect(odds).toContainText(/Make \d+ parts to have 4 on average/);
});

test('a week-old split full of cells: which half, what the cells are worth, and whether bees allow one more', async ({
  page,
  records,
}) => {
  await records.get();
  const { records: r } = await records.get();
  const idOf = (name: string) => r.colony.find((c) => c.name === name)?.id ?? '';
  const look = r.followUp.find((f) => f.topic === 'which-part' && f.colonyIds.includes(idOf('Campion')));
  await page.goto(`/look/${look?.id}`);
  for (const [part, eggs, found] of [
    ['Campion', 'Found', 'None'],
    ['Campion II', 'None', 'Found'],
  ] as const) {
    await say(page, part, 'frames read', `All ${await framesOf(records, part)}`);
    await say(page, part, 'eggs', eggs);
    await say(page, part, 'queen cells', found);
  }
  for (let n = 0; n < 4; n++) await page.getByRole('button', { name: 'One more: capped' }).click();
  await expect(page.getByRole('region', { name: 'Verdict' }).getByRole('heading')).toHaveText(
    'The queen is in Campion; Campion II is raising one.',
  );
  await page.getByRole('button', { name: 'Save inspection' }).click();
  await expect
    .poll(async () => (await records.get()).records.visit.filter((v) => v.day === '2026-05-15').length)
    .toBe(2);
  await page.goto('/cells');
  const cells = page.getByRole('list', { name: 'Cells' }).getByRole('listitem');
  await expect(cells.filter({ hasText: 'Campion II, frame not noted4 × capped' })).toContainText('tender');
  // Bees, not cells, are the limit.
  await page.goto(`/colonies/${idOf('Campion II')}/ways`);
  await expect(page.getByRole('heading', { name: 'Second split on spare cells' })).toBeVisible();
  await page.goto('/feed');
  await expect(page.getByRole('listitem').filter({ hasText: 'Campion II' })).toContainText(/kg of stores/);
});
