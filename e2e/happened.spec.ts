import type { Page } from '@playwright/test';
import { expect, test } from './fixtures.ts';

/** Saves what is told of a queen under this name: the form closes when it is noted, and not before. */
async function save(page: Page, deed: string): Promise<void> {
  const form = page.getByRole('form', { name: deed });
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form).toHaveCount(0);
}

const open = (page: Page, colonyId: string, what: string) =>
  page.goto(`/colonies/${colonyId}/happened?what=${what}`);

test('a hive is carried to another yard at dusk, shut, and opened there', async ({ page, records }) => {
  const id = await records.colonyId('Burnet');
  await open(page, id, 'moved');
  await page.getByLabel('Yard', { exact: true }).selectOption({ label: 'Ferry Field' });
  await page.getByLabel('Name of the stand').fill('By the gate');
  await page.getByText('Still shut').click();
  await expect(page.getByRole('list', { name: 'What the move does' })).toContainText(
    'Open the entrance as soon',
  );
  await page.getByRole('button', { name: 'Burnet stands there now' }).click();
  await expect(page.getByText(/The entrance is shut since/)).toBeVisible();
  await expect(page.getByText('Ferry Field').first()).toBeVisible();

  // It is due, and the same button opens it in the records.
  await page.goto('/inspections');
  await page.getByRole('button', { name: 'Done: Open the entrance' }).first().click();
  await expect(page.getByRole('button', { name: 'Done: Open the entrance' })).toHaveCount(0);
  const { records: r } = await records.get();
  const hive = r.hive.find((h) => h.id === r.colony.find((c) => c.id === id)?.hiveId);
  expect(hive?.entrance).toEqual({ state: 'open', since: null });
  expect(r.stand.find((s) => s.id === hive?.standId)?.name).toBe('By the gate');
});

test('a caged queen goes from stock to laying', async ({ page, records }) => {
  const id = await records.colonyId('Burnet');
  await page.goto('/queens');
  await page.getByRole('link', { name: 'Thrift' }).click();
  const note = page.getByRole('group', { name: 'What was done' });
  await note.getByRole('button', { name: 'Put her into a colony' }).click();
  await page.getByLabel('Colony', { exact: true }).selectOption({ label: 'Burnet' });
  await page
    .getByRole('form', { name: 'Put her into a colony' })
    .getByRole('button', { name: 'Save' })
    .click();
  // Her predecessor is still on record: what is wrong is said, and nothing happens.
  await expect(page.getByRole('alert')).toContainText('Burnet already has a queen');

  await page.goto(`/colonies/${id}`);
  await page.getByRole('link', { name: 'Wren' }).click();
  await page.getByRole('button', { name: 'Killed' }).click();
  await save(page, 'Killed');
  await expect(page.getByText('killed').first()).toBeVisible();

  await page.goto('/queens');
  await page.getByRole('link', { name: 'Thrift' }).click();
  await note.getByRole('button', { name: 'Put her into a colony' }).click();
  await page.getByLabel('Colony', { exact: true }).selectOption({ label: 'Burnet' });
  await save(page, 'Put her into a colony');
  await expect(page.getByText(/In her cage since/)).toBeVisible();
  await note.getByRole('button', { name: 'She is out of her cage' }).click();
  await save(page, 'She is out of her cage');
  await note.getByRole('button', { name: 'She lays' }).click();
  await save(page, 'She lays');
  await expect(page.getByText(/Laying since/)).toBeVisible();
  const { records: r } = await records.get();
  const due = r.followUp.filter((f) => f.status === 'open' && f.colonyIds.includes(id));
  expect(due.map((f) => f.topic).toSorted()).toEqual(['cage', 'eggs-due']);
});

test('two cells are cut out and pressed into two nucs, and one of them is broken', async ({
  page,
  records,
}) => {
  await page.goto('/cells');
  const cells = page.getByRole('list', { name: 'Cells' }).getByRole('listitem');
  await cells
    .filter({ hasText: 'upper box, frame 4' })
    .getByRole('button', { name: 'Follow each cell' })
    .click();
  const followed = cells.filter({ hasText: 'upper box, frame 4' });
  await expect(followed).toHaveCount(2);
  for (const [to, left] of [
    ['Campion', 1],
    ['Burnet', 0],
  ] as const) {
    await followed.first().getByRole('button', { name: 'Cut out…' }).click();
    const combs = followed.first().getByLabel('Pressed into which comb');
    const wanted = await combs
      .locator('option', { hasText: `${to}, ` })
      .first()
      .getAttribute('value');
    await combs.selectOption(wanted ?? '');
    await expect(followed).toHaveCount(left);
  }
  await cells.filter({ hasText: 'Burnet' }).getByRole('button', { name: 'Broken' }).click();
  await expect(cells.filter({ hasText: 'Burnet' })).toHaveCount(0);
  await expect(cells.filter({ hasText: 'Campion' })).toHaveCount(1);
  const { records: r } = await records.get();
  expect(r.cell.map((c) => c.fate?.how ?? 'alive').toSorted()).toEqual(['alive', 'broken']);
});

test('a colony is found dead: its combs are kept apart until they are known to be clean', async ({
  page,
  records,
}) => {
  const id = await records.colonyId('Burnet');
  await open(page, id, 'ended');
  await expect(page.getByText(/Shut the hive against robbers/)).toBeVisible();
  await page.getByRole('button', { name: 'Burnet is dead' }).click();
  // The page is left only when it is kept: what is shown may be on its way to the disk.
  await expect
    .poll(async () => (await records.held()).records.colony.find((c) => c.id === id)?.endedOn ?? null)
    .not.toBeNull();
  await expect(page.getByText('died out').first()).toBeVisible();
  await page.goto('/store');
  const apart = page.getByRole('region', { name: 'Kept apart' });
  await expect(apart).toContainText('10 combs');
  await apart.getByRole('button', { name: 'They are clean' }).click();
  await expect(apart).toHaveCount(0);
  await page.getByRole('button', { name: 'Take it to the store' }).click();
  await expect(page.getByRole('region', { name: 'Hives without bees' })).toHaveCount(0);
  expect((await records.get()).records.frame.filter((f) => f.care.quarantine)).toEqual([]);
});

test('two families stand in one stack, and are parted again', async ({ page, records }) => {
  const id = await records.colonyId('Burnet');
  await open(page, id, 'stacked');
  await page.getByLabel('Hive below').selectOption({ label: 'Clary' });
  await page.getByRole('button', { name: 'They stand so now' }).click();
  await expect(page.getByText(/Behind a partition|In one stack/).first()).toBeVisible();
  await open(page, id, 'stacked');
  await page.getByLabel('Name of the stand').fill('Hedge');
  await page.getByRole('button', { name: 'Burnet stands there now' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Burnet' })).toBeVisible();
  const { records: r } = await records.get();
  const hive = r.hive.find((h) => h.id === r.colony.find((c) => c.id === id)?.hiveId);
  expect(r.stand.find((s) => s.id === hive?.standId)?.name).toBe('Hedge');
});

test('a visit is found by its words and corrected, its day too', async ({ page, records }) => {
  await page.goto('/records');
  await page.getByLabel('Search visits').fill('clary counted');
  await expect(page.getByText('No visit has all of these words.')).toBeVisible();
  await page.getByLabel('Search visits').fill('clary count');
  const visits = page.getByRole('region', { name: 'Visits' });
  await visits
    .getByText(/Clary: counted/)
    .first()
    .click();
  await visits.getByRole('button', { name: 'Correct' }).first().click();
  await page.getByLabel('Day').fill('2026-05-11');
  await page.getByLabel('Time, as 14:05').fill('10:20');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(visits.getByText('10:20 Clary: counted')).toBeVisible();
  const { records: r } = await records.get();
  expect(r.visit.filter((v) => v.time === '10:20').map((v) => v.day)).toEqual(['2026-05-11']);
});
