import { firstHour, MOST_TAPS } from '../bench/src/firstHour.ts';
import { expect, test } from './fixtures.ts';

test('a newcomer has the first answer of one hive in twenty taps, of six in ninety', async ({
  page,
  records,
}) => {
  await records.empty();
  expect(await firstHour(page, 1)).toBeLessThanOrEqual(MOST_TAPS.one);
  await expect(page.getByRole('heading', { level: 1, name: '1', exact: true })).toBeVisible();
  // An answer, and what it rests on: not a form.
  await expect(page.getByText('8.0').first()).toBeVisible();
  await records.get();
  await records.empty();
  await page.evaluate(() => localStorage.clear());
  expect(await firstHour(page, 6)).toBeLessThanOrEqual(MOST_TAPS.six);
  expect((await records.get()).records.visit).toHaveLength(6);
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Next', exact: true })).toBeVisible();
});

test('a practice yard can be played in and thrown away, and nothing of it is kept', async ({
  page,
  records,
}) => {
  await records.empty();
  await page.goto('/');
  await page.getByRole('button', { name: 'Try it on a practice yard' }).tap();
  await expect(page.getByText(/^A practice yard: try anything/)).toBeVisible();
  await page.getByRole('link', { name: 'Yard', exact: true }).tap();
  await page
    .getByRole('link', { name: /^Yarrow/ })
    .first()
    .tap();
  await page.getByRole('link', { name: 'Count', exact: true }).tap();
  await page.getByRole('tab', { name: 'Quick' }).tap();
  for (const n of [8, 3, 1])
    await page.getByRole('button', { name: `${n} frame${n === 1 ? '' : 's'}`, exact: true }).tap();
  await page.getByRole('button', { name: 'Eggs: seen' }).tap();
  for (const n of [2, 1, 1, 0])
    await page.getByRole('button', { name: `${n} frame${n === 1 ? '' : 's'}`, exact: true }).tap();
  await page.getByRole('button', { name: /^Save, / }).tap();
  await expect(page.getByText('Counted today.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().tap();
  await expect(page.getByText('Counted today.')).toBeHidden();
  await page.getByRole('button', { name: 'Leave it' }).tap();
  await expect(page.getByRole('heading', { name: 'Put your first hives on their stands' })).toBeVisible();
  const { records: r } = await records.get();
  expect([r.yard.length, r.visit.length]).toEqual([0, 0]);
});

test('the tour can be gone through, and left', async ({ page, records }) => {
  await records.empty();
  await page.goto('/');
  await page.getByRole('button', { name: 'Show me around' }).tap();
  const tour = page.getByRole('dialog');
  for (let i = 0; i < 4; i++) await tour.getByRole('button', { name: 'Next' }).tap();
  await expect(tour.getByText('5 of 5')).toBeVisible();
  await tour.getByRole('button', { name: 'Close' }).tap();
  await expect(tour).toBeHidden();
});

test('hive by hive along the stands, by a tap and by a swipe', async ({ page, records }) => {
  await page.goto(`/colonies/${await records.colonyId('Sorrel')}`);
  const stands = page.getByRole('navigation', { name: 'Hives by stand' });
  const next = (await stands.getByRole('link', { name: /^The next hive/ }).innerText()).trim();
  await stands.getByRole('link', { name: /^The next hive/ }).tap();
  await expect(page.getByRole('heading', { level: 1, name: next, exact: true })).toBeVisible();
  await page.getByRole('img', { name: new RegExp(`^${next}: `) }).evaluate((el) => {
    const fire = (type: string, x: number) => {
      const touch = new Touch({ identifier: 1, target: el, clientX: x, clientY: 300 });
      const touches = type === 'touchend' ? [] : [touch];
      el.dispatchEvent(
        new TouchEvent(type, { bubbles: true, cancelable: true, touches, changedTouches: [touch] }),
      );
    };
    fire('touchstart', 60);
    fire('touchmove', 160);
    fire('touchmove', 300);
    fire('touchend', 300);
  });
  await expect(page.getByRole('heading', { level: 1, name: 'Sorrel', exact: true })).toBeVisible();
});
