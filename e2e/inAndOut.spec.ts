import { readFileSync } from 'node:fs';
import { expect, test } from './fixtures.ts';

test('a new user sets up a yard and its hives, and sees them on the board', async ({ page, records }) => {
  await records.empty();
  await page.goto('/yard');
  await page.getByRole('link', { name: 'Set up a yard' }).click();
  await page.getByLabel('Name of the yard').fill('Home');
  await page.getByLabel('Names of the hives').fill('E1 to E12');
  await page.getByRole('button', { name: 'Put 12 hives on their stands' }).click();
  await expect(page.getByRole('heading', { name: 'Home' })).toBeVisible();
  await expect(page.getByRole('link', { name: /^E\d+/ })).toHaveCount(12);
  expect((await records.get()).records.frame).toHaveLength(120);

  // Nothing is known yet: no zeros, and the one thing to do is to count the first hive; then the next.
  await expect(page.getByText('12 colonies, none counted yet')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Plan', exact: true })).toHaveCount(1);
  await page.getByRole('link', { name: 'Count E1', exact: true }).click();
  await expect(page.getByRole('tab', { name: 'Quick', selected: true })).toBeVisible();
  for (const key of [
    '8 frames',
    '3 frames',
    '2 frames',
    'Eggs: seen',
    '2 frames',
    '1 frame',
    '0 frames',
    '0 frames',
  ])
    await page.getByRole('button', { name: key, exact: true }).click();
  await page.getByRole('button', { name: 'Save, 10 frames estimated' }).click();
  const next = page.getByRole('region', { name: 'Next hive' });
  await expect(next).toContainText('1 of 12 counted');
  await next.getByRole('link', { name: 'Count E2 next' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('E2');
  await page.goto('/yard');
  await expect(page.getByText('12 colonies, 1 of them counted')).toBeVisible();
});

test('a file of counts is previewed, bad rows are explained, good ones are taken in and can be taken back', async ({
  page,
  records,
}) => {
  await records.empty();
  await page.goto('/records/counts');
  await page.setInputFiles('input[type=file]', {
    name: 'counts.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      [
        'yard,hive,box,slot,day,bees,eggs,open,capped,honey,queen',
        'Home,Elm,1,1,2026-05-14,5,,,,8,',
        'Home,Elm,1,2,2026-05-14,9,1,2,5,2,yes',
        'Home,Elm,1,3,2026-05-14,9,2,3,9,2,',
        'Home,Elm,1,4,yesterday,9,2,3,1,2,',
      ].join('\n'),
    ),
  });
  const preview = page.getByRole('region', { name: 'Preview' });
  await expect(preview.getByRole('row', { name: 'Elm Thu 14 May 2 new hive' })).toBeVisible();
  await expect(preview).toContainText('The frame holds 16 tenths; a side has ten.');
  await expect(preview).toContainText('“yesterday” is not a day.');
  await page.getByRole('button', { name: 'Take in 2 rows, leave out 2' }).click();
  await expect(page.getByRole('link', { name: /Elm/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Set up a yard' })).toBeVisible();
  expect((await records.get()).records.frame).toEqual([]);
});

test('everything goes to a file and comes back exactly', async ({ page, records }) => {
  const before = await records.get();
  await page.goto('/records');
  const downloading = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Back up to a file' }).click();
  const path = await (await downloading).path();
  await records.empty();
  await page.reload();
  await page
    .getByLabel('File of a whole operation')
    .setInputFiles({ name: 'backup.zip', mimeType: 'application/zip', buffer: readFileSync(path) });
  await page.getByRole('button', { name: 'Replace everything' }).click();
  await expect(page.getByText('is restored')).toBeVisible();
  expect(await records.get()).toEqual(before);
});

test('a file that is none is refused with a reason', async ({ page, records }) => {
  const before = await records.get();
  await page.goto('/records');
  const file = page.getByLabel('File of a whole operation');
  await file.setInputFiles({
    name: 'photo.json',
    mimeType: 'application/json',
    buffer: Buffer.from('not json'),
  });
  await expect(page.getByRole('alert')).toContainText('photo.json is not a backup that Incremen wrote');
  await file.setInputFiles({
    name: 'other.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"incremen-apiary","version":9}'),
  });
  await page.getByRole('button', { name: 'Replace everything' }).click();
  await expect(page.getByRole('alert')).toContainText('This file has version 9');
  expect(await records.get()).toEqual(before);
});

test('a count dated before the colony existed is refused beside the date, and nothing is lost', async ({
  page,
  records,
}) => {
  await page.goto(`/colonies/${await records.colonyId('Yarrow')}/count`);
  await expect(page.getByText('1 What is it mostly?')).toBeVisible();
  await page.keyboard.type('h43c34');
  await page.getByLabel('Counted on').fill('2025-01-01');
  await page.getByRole('button', { name: 'Save 2 of 10' }).click();
  await expect(page.getByRole('alert')).toContainText('Yarrow exists since');
  // The page is closed in the middle of it and opened again.
  await page.reload();
  await expect(page.getByText('goes on where it stopped')).toBeVisible();
  await page.getByLabel('Counted on').fill('2026-05-15');
  await page.getByRole('button', { name: 'Save 2 of 10' }).click();
  // The recorder has an undo of its own, without a word on it.
  await expect(page.getByText('Undo', { exact: true })).toBeVisible();
});

test('a rule that is broken shows its number and what would mend it', async ({ page, records }) => {
  await page.goto(`/colonies/${await records.colonyId('Burnet')}/plan`);
  const rules = page.getByRole('region', { name: 'Rules of the plan' });
  await expect(rules.getByText(/Bees in Burnet before: broken/)).toBeVisible();
  await expect(rules).toContainText(/Short by \d+(\.\d+)? frames of bees: wait/);
  await expect(page.getByRole('button', { name: /Start all the same/ })).toBeEnabled();
});
