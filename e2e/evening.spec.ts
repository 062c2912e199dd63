import { coloniesOfYard } from '@incremen/core/records';
import { demoScenario } from '@incremen/core/demo';
import { expect, test } from './fixtures.ts';

const { apiary } = demoScenario();
const sallow = Object.values(apiary.yard).find((y) => y.name === 'Sallow Bank');
const colonies = coloniesOfYard(apiary, sallow?.id ?? '');

test('an evening for the whole yard: all fed, all inspected that may be opened, some carried away', async ({
  page,
  records,
}) => {
  const before = (await records.get()).records;
  await page.goto('/yard');
  await page.getByRole('link', { name: 'Several hives at once' }).click();
  await page.getByRole('button', { name: 'Fed', exact: true }).click();
  await page.getByLabel('How much each, in kg').fill('1.5');
  await expect(page.getByText(`${Math.round(1.5 * colonies.length)} kg in all`)).toBeVisible();
  await page.getByRole('button', { name: `${colonies.length} colonies have it` }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Sallow Bank' })).toBeVisible();
  await page.getByRole('link', { name: 'Several hives at once' }).click();
  await page.getByRole('button', { name: 'Inspected, all fine' }).click();
  await page.getByRole('checkbox', { name: 'Burnet' }).uncheck();
  const save = page.getByRole('button', { name: /^Save \d+ inspections$/ });
  const inspections = Number(/\d+/.exec(await save.innerText())?.[0]);
  expect(inspections).toBeLessThan(colonies.length);
  await save.click();
  await expect(page.getByText(`${inspections} inspections saved`)).toBeVisible();
  const after = (await records.get()).records;
  expect(after.given.length - before.given.length).toBe(colonies.length);
  expect(after.visit.length - before.visit.length).toBe(inspections);
  // One tap takes back what was said of all of them.
  await page
    .locator('[data-scope=toast]', { hasText: `${inspections} inspections saved` })
    .getByRole('button', { name: 'Undo' })
    .first()
    .click();
  await expect.poll(async () => (await records.get()).records.visit.length).toBe(before.visit.length);
  await page.goto(`/several?yard=${sallow?.id}&did=moved`);
  await page.getByRole('button', { name: 'Tick none' }).click();
  await page.getByRole('checkbox', { name: 'Yarrow' }).check();
  await page.getByRole('button', { name: '1 hive stands in Ferry Field now' }).click();
  await expect(page.getByText('1 hive moved to Ferry Field')).toBeVisible();
});

test('the work prints as a sheet: kit first, squares to tick, no buttons', async ({ page, records }) => {
  await page.goto(`/colonies/${await records.colonyId('Sorrel')}/plan`);
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByRole('progressbar')).toBeVisible();
  const steps = Number(
    await page.getByRole('progressbar', { name: 'Steps done' }).getAttribute('aria-valuemax'),
  );
  await page.emulateMedia({ media: 'print' });
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  const paper = page.getByRole('list', { name: 'Steps on paper' });
  await expect(paper.getByRole('listitem')).toHaveCount(steps);
  const [kit, first] = await Promise.all([
    page.getByRole('region', { name: 'Bring' }).first().boundingBox(),
    paper.boundingBox(),
  ]);
  expect(kit!.y).toBeLessThan(first!.y);
  for (const button of await page.locator('main button').all()) await expect(button).toBeHidden();
});

test('labels fill a sheet that is sold, from the first that is free, edge to edge', async ({
  page,
  records,
}) => {
  await records.get();
  await page.goto('/queens/tags');
  await page.getByLabel('Print as').selectOption('a4-2x7');
  await page.getByRole('textbox', { name: 'First free label' }).fill('3');
  await page.keyboard.press('Enter');
  const sheet = page.getByRole('region', { name: 'Sheet 1' });
  const places = sheet.getByRole('listitem');
  await expect(places.nth(0)).toBeEmpty();
  await expect(places.nth(2)).toContainText('Agrimony');
  await page.emulateMedia({ media: 'print' });
  const at = await places.nth(2).boundingBox();
  const mm = 96 / 25.4;
  expect(at!.x / mm).toBeCloseTo(4.7, 0);
  expect(at!.y / mm).toBeCloseTo(15.1 + 38.1, 0);
  expect(at!.width / mm).toBeCloseTo(99.1, 0);
  await expect(page.getByRole('heading', { level: 1 })).toBeHidden();
});

test('all colonies are one table, sorted by keyboard', async ({ page, records }) => {
  await records.get();
  await page.goto('/yard');
  await page.getByRole('link', { name: 'All colonies as a table' }).click();
  const table = page.getByRole('table', { name: 'Colonies' });
  await table.getByRole('button', { name: 'Bees' }).focus();
  await page.keyboard.press('Enter');
  await expect(table.getByRole('columnheader', { name: 'Bees' })).toHaveAttribute('aria-sort', 'descending');
  await expect(table.getByRole('rowheader').first()).toHaveText('Tansy');
});
