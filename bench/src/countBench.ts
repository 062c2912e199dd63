import type { Locator, Page } from '@playwright/test';
import { tapToPaint } from './tapToPaint.ts';

/** Seconds that a practised thumb takes from one large key to the next (from memory, no source). */
const SECONDS_A_TAP = 1.1;

/**
 * Counting on a phone: from tap to paint on each of its screens with the CPU slowed, and the taps of a whole
 * colony. The page must be one that can be touched.
 */
export async function countBench(page: Page): Promise<void> {
  await page.goto('/yard');
  const href = await page
    .getByRole('link', { name: /^Yarrow/ })
    .first()
    .getAttribute('href');
  const measured = await tapToPaint(page);
  const slowed = async (by: string, name: string, taps: () => Promise<(() => Promise<void>)[]>) => {
    await page.goto(`${href}/count?by=${by}`);
    await page.getByRole('tab', { name }).waitFor();
    await page.waitForTimeout(800);
    await measured(name.toLowerCase(), await taps());
  };
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
  // Fingers, not scripts: the driver's own looks at the page would be counted along.
  const at = async (target: Locator) => {
    const box = await target.boundingBox();
    if (!box) throw new Error('a target is not on the screen');
    return async () => {
      await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
      await page.waitForTimeout(150);
    };
  };
  // What the browser itself takes here: a page with one button that counts.
  await page.goto('about:blank');
  await page.setContent('<button style="width: 80px; height: 60px">0</button>');
  await page.evaluate(() => {
    document.querySelector('button')!.addEventListener('click', (e) => {
      (e.target as HTMLElement).textContent += '0';
    });
  });
  await measured('an otherwise empty page, for comparison', [await at(page.locator('button'))]);
  await slowed('frames', 'Frames', () =>
    Promise.all([button('Capped'), button('½ of the frame'), button('bees: full')].map(at)),
  );
  await slowed('quick', 'Quick', () =>
    Promise.all([page.getByLabel('Bees, frames'), button('4 frames'), button('7 frames')].map(at)),
  );
  await slowed('line', 'Shorthand', async () => {
    await page.getByLabel('The count in shorthand').focus();
    return [() => page.keyboard.type('h2 c *8; ', { delay: 150 })];
  });
  await slowed('seen', 'Queen, brood and notes', async () => {
    const answers = [
      ['eggs', 'None'],
      ['small larvae', 'Found'],
      ['capped brood', 'None'],
      ['eggs', 'Not looked'],
      ['small larvae', 'None'],
      ['capped brood', 'Not looked'],
    ] as const;
    await page.getByRole('group', { name: 'Yarrow: eggs', exact: true }).scrollIntoViewIfNeeded();
    return Promise.all(
      answers.map(([group, answer]) =>
        at(
          page
            .getByRole('group', { name: `Yarrow: ${group}`, exact: true })
            .getByText(answer, { exact: true }),
        ),
      ),
    );
  });
  await page.evaluate(() => localStorage.clear());
  await scripted(page, `${href}/count?by=frames`, 'frame by frame, ten frames', 45, async (tap) => {
    for (let i = 0; i < 10; i++) {
      await tap(i === 0 || i === 9 ? 'Honey' : 'Capped');
      await tap('½ of the frame');
      await tap('bees: full');
    }
    await tap('Save 10 of 10');
  });
  await page.evaluate(() => localStorage.clear());
  await scripted(page, `${href}/count?by=quick`, 'quick count', 15, async (tap) => {
    for (const n of [8, 3, 2]) await tap(framesKey(n));
    await tap('Eggs: seen');
    for (const n of [2, 1, 1, 0]) await tap(framesKey(n));
    await tap('Save, 10 frames estimated');
  });
}

/** What a number's key is called. */
const framesKey = (n: number) => `${n} frame${n === 1 ? '' : 's'}`;

async function scripted(
  page: Page,
  address: string,
  what: string,
  target: number,
  work: (tap: (name: string) => Promise<void>) => Promise<void>,
): Promise<void> {
  await page.goto(address);
  await page.waitForTimeout(800);
  let taps = 0;
  const started = performance.now();
  await work(async (name) => {
    await page.getByRole('button', { name, exact: true }).tap();
    taps++;
  });
  const machine = (performance.now() - started) / 1000;
  console.log(
    `${what}: ${taps} taps, ${machine.toFixed(1)} s scripted without pause, ${(taps * SECONDS_A_TAP).toFixed(0)} s at ${SECONDS_A_TAP} s a tap (target ${target} s)`,
  );
  await page.getByRole('heading', { level: 1, name: 'Yarrow', exact: true }).waitFor();
}
