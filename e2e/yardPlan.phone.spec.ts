import { expect, test } from './fixtures.ts';
import { workedOut } from './steps.ts';

test('a finger that rests takes a frame up and carries it into another hive', async ({ page, records }) => {
  await records.get();
  await page.goto('/plan');
  await page.getByRole('button', { name: /^Make nucs/ }).click();
  await workedOut(page);
  const nuc = page.getByRole('listbox', { name: 'Frames of Nuc 1 after the work' });
  const frame = page
    .getByRole('listbox', { name: 'Frames of Nuc 2 after the work' })
    .getByRole('option')
    .nth(1);
  // The last plan may still be drawn.
  await expect(async () => {
    await nuc.scrollIntoViewIfNeeded();
    await frame.scrollIntoViewIfNeeded();
  }).toPass();
  const at = async (place: typeof nuc) => {
    const box = await place.boundingBox();
    if (!box) throw new Error('not on the page');
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  /** Where something lies once the page has stopped moving under it. */
  const still = async (place: typeof nuc) => {
    let was = await at(place);
    await expect
      .poll(async () => {
        const now = await at(place);
        const moved = Math.abs(now.x - was.x) + Math.abs(now.y - was.y);
        was = now;
        return moved;
      })
      .toBe(0);
    return was;
  };
  const from = await still(frame);
  const to = await still(nuc);
  const touch = await page.context().newCDPSession(page);
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: { x: number; y: number }[]) =>
    touch.send('Input.dispatchTouchEvent', { type, touchPoints: points });
  await send('touchStart', [from]);
  await page.waitForTimeout(350);
  for (let k = 1; k <= 8; k++) {
    await send('touchMove', [
      { x: from.x + ((to.x - from.x) * k) / 8, y: from.y + ((to.y - from.y) * k) / 8 },
    ]);
    await page.waitForTimeout(30);
  }
  await expect(page.getByRole('heading', { name: 'Rules, if it hung there' })).toBeAttached();
  await send('touchEnd', []);
  await expect(page.getByText('1 frame placed by hand')).toBeAttached();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('1 frame placed by hand')).toBeHidden();
});
