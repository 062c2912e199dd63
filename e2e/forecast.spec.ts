import { expect, test } from './fixtures.ts';

test('the year of a yard: a flow is said, a date is moved by key and by its field, an impossible one is refused', async ({
  page,
  records,
}) => {
  const yard = (await records.get()).records.yard.find((y) => y.name === 'Ferry Field');
  await page.goto(`/yards/${yard?.id}/season`);
  await expect(page.getByText('No flow is on record: stores are taken to shrink.')).toBeVisible();
  await page.getByText('Yes', { exact: true }).click();
  await expect(page.getByText(/^Nectar has come in since Fri 15 May/)).toBeVisible();
  await page.getByLabel('Ten frames of bees gain in a day').selectOption({ label: 'gain 1.0 kg a day' });
  await expect(page.getByText(/ten frames of bees store 1.0 kg a day more/)).toBeVisible();
  const pin = page.getByRole('slider', { name: 'Main flow begins' });
  await expect(pin).toHaveAttribute('aria-valuetext', 'Mon 1 Jun');
  await pin.focus();
  await page.keyboard.press('ArrowRight');
  await expect(pin).toHaveAttribute('aria-valuetext', 'Tue 2 Jun');
  const ends = page.getByRole('textbox', { name: 'Main flow ends' });
  await ends.fill('20 May');
  await expect(page.getByRole('alert')).toContainText('must come after');
  await ends.blur();
  await expect(ends).toHaveValue('Wed 15 Jul 2026');
  const setting = (await records.get()).records.yard.find((y) => y.id === yard?.id)?.season;
  expect(setting).toMatchObject({
    climate: 'temperate',
    flows: [{ from: '2026-05-15', to: null, by: 'keeper', kgPerDay: 1 }],
  });
});

test('a flow that the scale shows is on record by itself, and the keeper can end it', async ({
  page,
  records,
}) => {
  await page.goto('/feed');
  await expect(page.getByText('Nectar comes in, says the scale')).toBeVisible();
  await page.getByText('No', { exact: true }).click();
  await expect(page.getByText('Does nectar come in?')).toBeVisible();
  const yard = (await records.get()).records.yard.find((y) => y.name === 'Sallow Bank');
  expect(yard?.season?.flows).toMatchObject([{ by: 'keeper', to: '2026-05-14' }]);
});

test('choices for a colony stand on one chart, with the days that matter', async ({ page, records }) => {
  await page.goto(`/colonies/${await records.colonyId('Tansy')}`);
  await page.getByRole('link', { name: /^Compare what can be done/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Choices for Tansy');
  const rows = page.getByRole('row', { name: /Split it now|Tansy II/ });
  await expect(rows.first()).toBeVisible();
  await page.getByRole('button', { name: 'Feed 5 kg (11 lb) of stores' }).click();
  await expect(
    page.getByRole('rowheader', { name: 'Feed 5 kg (11 lb) of stores', exact: true }),
  ).toBeVisible();
  await page.getByText('Until the first frost', { exact: true }).click();
  await expect(page.getByRole('cell', { name: /frames, enough|frames, too few/ }).first()).toBeVisible();
});

test('what a plan promises is what the board shows when the work is done', async ({ page, records }) => {
  const yarrow = await records.colonyId('Yarrow');
  await page.goto(`/colonies/${yarrow}/plan`);
  const promise = page.getByText(/field bees at home/).first();
  await expect(promise).toBeVisible();
  const told = (await promise.textContent()) ?? '';
  expect(told).toMatch(/^Sun 17 May, field bees at home: \d+\.\d frames of bees/);
});

test('a move is planned ahead, stands in the agenda, and is done on its day', async ({ page, records }) => {
  const id = await records.colonyId('Mallow');
  await page.goto(`/colonies/${id}/happened?what=moved`);
  await page.getByRole('textbox', { name: 'Day', exact: true }).fill('2026-05-20');
  await page.getByLabel('Name of the stand').fill('By the willow');
  await page.getByRole('button', { name: 'Plan it for Wed 20 May' }).click();
  await page.goto('/inspections');
  await expect(
    page
      .getByText(/At dusk, carry Mallow to By the willow/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
  await records.setToday('2026-05-20');
  await page.goto(`/colonies/${id}/happened?what=moved`);
  await expect(page.getByLabel('Name of the stand')).toHaveValue('By the willow');
  await page.getByRole('button', { name: 'Mallow stands there now' }).click();
  await expect(page).toHaveURL(new RegExp(`/colonies/${id}$`));
  const { stand } = (await records.get()).records;
  expect(stand.some((s) => s.name === 'By the willow')).toBe(true);
});
