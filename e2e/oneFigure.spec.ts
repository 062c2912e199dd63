import { colonyState } from '@incremen/core/colony';
import { fromBundle } from '@incremen/core/formats';
import { expect, test } from './fixtures.ts';

test('one hive on one day has one strength, whatever page is asked', async ({ page, records }) => {
  // The scale has told of a flow by then.
  await page.goto('/feed');
  await expect(page.getByText('Nectar comes in, says the scale')).toBeVisible();
  const read = fromBundle(await records.get());
  if (!read.ok) throw new Error('the file is not sound');
  const { apiary } = read.value;
  const today = Object.values(apiary.operation)[0]?.fixedToday ?? '';
  const tansy = Object.values(apiary.colony).find((c) => c.name === 'Tansy');
  const burnet = Object.values(apiary.colony).find((c) => c.name === 'Burnet');
  if (!tansy || !burnet) throw new Error('no colonies');
  const { strength } = colonyState(apiary, tansy, today);
  const bees = strength.framesOfBees.likely.toFixed(1);
  const brood = strength.broodFrames.likely.toFixed(1);
  const kg = strength.storesKg.likely.toFixed(1);

  await page.goto('/yard');
  const card = page.getByRole('link', { name: /^Tansy/ }).first();
  await expect(card).toContainText(bees);
  await expect(card).toContainText(brood);

  await page.goto(`/colonies/${tansy.id}`);
  await expect(page.getByRole('row', { name: /^Bees/ })).toContainText(bees);
  await expect(page.getByText(`About ${kg} kg of food today`, { exact: false })).toBeVisible();

  await page.goto(`/colonies/${tansy.id}/choices`);
  await expect(page.getByText(`Fri 15 May: ${bees}`).first()).toBeAttached();

  await page.goto(`/colonies/${tansy.id}/plan`);
  await expect(page.getByText(new RegExp(`${bees.replace('.', '\\.')} bees`)).first()).toBeVisible();

  await page.goto('/plan');
  await page.getByRole('button', { name: /^Make nucs/ }).click();
  await expect(page.getByText(`${bees} bees`).first()).toBeVisible({ timeout: 30_000 });

  await page.goto('/feed');
  const row = page.getByRole('list', { name: 'Round' }).getByRole('listitem').filter({ hasText: 'Tansy' });
  await expect(row).toContainText(`${kg} kg of stores`);

  const weak = colonyState(apiary, burnet, today).strength.framesOfBees.likely.toFixed(1);
  await page.goto(`/colonies/${burnet.id}/act/boost-nurses`);
  const before = page.getByRole('list', { name: 'Before and after' }).getByRole('listitem');
  await expect(before.filter({ hasText: 'Burnet' })).toContainText(`bees ${weak}`);
});
