import { expect, test } from './fixtures.ts';

test('a usual ten-frame colony is counted in three taps a frame, without typing', async ({
  page,
  records,
}) => {
  await page.goto(`/colonies/${await records.colonyId('Yarrow')}/count`);
  let taps = 0;
  const tap = async (name: string) => {
    await page.getByRole('button', { name, exact: true }).tap();
    taps++;
  };
  for (let i = 0; i < 10; i++) {
    await tap(i === 0 || i === 9 ? 'Honey' : 'Capped');
    await tap('½ of the frame');
    await tap('bees: full');
  }
  expect(taps).toBe(30);
  await page.getByRole('button', { name: 'Save 10 of 10' }).tap();
  await expect(page.getByText('Counted today.')).toBeVisible();
});

test('targets of the recorder are large enough for a glove and nothing needs scrolling', async ({
  page,
  records,
}) => {
  await page.goto(`/colonies/${await records.colonyId('Yarrow')}/count`);
  for (const name of ['Mixed brood', 'Foundation', 'bees: none', 'bees: full', 'Queen', 'As last time']) {
    const box = await page.getByRole('button', { name, exact: true }).boundingBox();
    expect(box?.height, name).toBeGreaterThanOrEqual(44);
    expect(box?.width, name).toBeGreaterThanOrEqual(44);
    expect((box?.y ?? 0) + (box?.height ?? 0), `${name} above the bar`).toBeLessThanOrEqual(844 - 56);
  }
});

test('a comb face is painted by tenths', async ({ page, records }) => {
  await page.goto(`/colonies/${await records.colonyId('Yarrow')}/count`);
  await page.getByRole('button', { name: 'Honey', exact: true }).tap();
  await page.getByRole('button', { name: 'Paint' }).tap();
  await page.getByRole('button', { name: 'capped brood', exact: true }).tap();
  await page.getByRole('button', { name: /First side, tenth 10/ }).tap();
  await expect(page.getByRole('group', { name: /^First side/ })).toHaveAttribute(
    'aria-label',
    /1 tenths capped brood/,
  );
});
