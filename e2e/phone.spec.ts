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
    /1 tenth capped brood/,
  );
});

test('a quick count takes a dozen taps and no keyboard', async ({ page, records }) => {
  await page.goto(`/colonies/${await records.colonyId('Yarrow')}/count?by=quick`);
  let taps = 0;
  const tap = async (name: string) => {
    await page.getByRole('button', { name, exact: true }).tap();
    taps++;
  };
  await tap('8 frames');
  await tap('3 frames');
  await tap('and a half');
  await tap('1 frame');
  await tap('Eggs: seen');
  await tap('2 frames');
  await tap('1 frame');
  await tap('0 frames');
  await tap('0 frames');
  await expect(page.getByLabel('Open brood, frames')).toHaveValue('1½');
  await tap('Save, 10 frames estimated');
  expect(taps).toBeLessThanOrEqual(12);
  await expect(page.getByText('Counted today.')).toBeVisible();
});

test('a swipe goes to the next frame and back', async ({ page, records }) => {
  await page.goto(`/colonies/${await records.colonyId('Yarrow')}/count`);
  await page.getByRole('button', { name: 'Honey', exact: true }).tap();
  const swipe = (from: number, to: number) =>
    page.getByText('1 What is it mostly?').evaluate(
      (el, [a, b]) => {
        const fire = (type: string, x: number) => {
          const touch = new Touch({ identifier: 1, target: el, clientX: x, clientY: 300 });
          const touches = type === 'touchend' ? [] : [touch];
          el.dispatchEvent(
            new TouchEvent(type, { bubbles: true, cancelable: true, touches, changedTouches: [touch] }),
          );
        };
        fire('touchstart', a);
        fire('touchmove', (a + b) / 2);
        fire('touchmove', b);
        fire('touchend', b);
      },
      [from, to] as const,
    );
  await expect(page.getByText('box, frame 1')).toBeVisible();
  await swipe(300, 100);
  await expect(page.getByText('box, frame 2')).toBeVisible();
  await swipe(100, 300);
  await expect(page.getByText('box, frame 1')).toBeVisible();
});

test('the keys of the quick count are large enough for a glove and need no scrolling', async ({
  page,
  records,
}) => {
  await page.goto(`/colonies/${await records.colonyId('Yarrow')}/count?by=quick`);
  for (const name of ['1 frame', '0 frames', 'and a half', 'ten more', 'Undo']) {
    const box = await page.getByRole('button', { name, exact: true }).boundingBox();
    expect(box?.height, name).toBeGreaterThanOrEqual(44);
    expect(box?.width, name).toBeGreaterThanOrEqual(44);
    expect((box?.y ?? 0) + (box?.height ?? 0), `${name} above the bar`).toBeLessThanOrEqual(844 - 56);
  }
});

test('what does not fit under the thumb is one tap away, and gives way to a tap beside it', async ({
  page,
  records,
}) => {
  await records.get();
  await page.goto('/');
  const more = page.getByRole('button', { name: 'More' });
  const others = page.getByRole('group', { name: 'More views' });
  await more.tap();
  await expect(others).toBeVisible();
  await page.getByRole('heading', { level: 1 }).tap();
  await expect(others).toBeHidden();
  await more.tap();
  await others.getByRole('link', { name: 'Weather' }).tap();
  await expect(page.getByRole('heading', { level: 1, name: /Weather/ })).toBeVisible();
  await expect(others).toBeHidden();
});
