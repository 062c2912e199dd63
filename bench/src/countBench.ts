import type { Locator, Page } from '@playwright/test';
import { median, ms, quantile } from './statistics.ts';

/** Seconds that a practised thumb takes from one large key to the next (from memory, no source). */
const SECONDS_A_TAP = 1.1;

/** Counting: from tap to paint on each of its screens with the CPU slowed, and the taps of a whole colony. */
export async function countBench(page: Page): Promise<void> {
  await page.goto('/');
  const href = await page
    .getByRole('link', { name: /^Yarrow/ })
    .first()
    .getAttribute('href');
  const session = await page.context().newCDPSession(page);
  const slowed = async (by: string, name: string, targets: () => Promise<Locator[]>) => {
    await page.goto(`${href}/count?by=${by}`);
    await page.getByRole('tab', { name }).waitFor();
    await page.waitForTimeout(800);
    const all = await targets();
    const handles = await Promise.all(all.map((t) => t.elementHandle()));
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    const times: number[] = [];
    for (let i = 0; i < 40; i++) {
      const target = handles[i % handles.length];
      if (target) times.push(await target.evaluate(tapToPaint));
    }
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    console.log(
      `tap to paint, ${name.toLowerCase()}, CPU slowed 4×: median ${ms(median(times))}, p95 ${ms(quantile(times, 0.95))} (target 50 ms)`,
    );
  };
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
  await slowed('frames', 'Frames', async () => [
    button('Capped'),
    button('½ of the frame'),
    button('bees: full'),
    button('Queen'),
    button('Next frame'),
  ]);
  await slowed('quick', 'Quick', async () => [button('4 frames'), button('and a half'), button('7 frames')]);
  await slowed('line', 'Line', async () => [page.getByLabel('The count in shorthand')]);
  await slowed('seen', 'Seen', async () =>
    ['Yarrow: queen', 'Yarrow: eggs'].map((g) =>
      page.getByRole('group', { name: g, exact: true }).getByText('Found'),
    ),
  );
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
    for (const n of [8, 3, 2]) await tap(`${n} frames`);
    await tap('Eggs: seen');
    for (const n of [2, 1, 1, 0]) await tap(`${n} frames`);
    await tap('Save, 10 frames estimated');
  });
}

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
    await page.getByRole('button', { name, exact: true }).click();
    taps++;
  });
  const machine = (performance.now() - started) / 1000;
  console.log(
    `${what}: ${taps} taps, ${machine.toFixed(1)} s scripted without pause, ${(taps * SECONDS_A_TAP).toFixed(0)} s at ${SECONDS_A_TAP} s a tap (target ${target} s)`,
  );
  await page.getByRole('heading', { level: 1, name: 'Yarrow', exact: true }).waitFor();
}

/**
 * Milliseconds from a tap, or a letter typed at the end of a line, to the frame in which its effect is
 * painted; two frames are 33 ms of it.
 */
async function tapToPaint(element: Element): Promise<number> {
  const started = performance.now();
  if (element instanceof HTMLTextAreaElement) {
    const text = `${element.value}${element.value.length % 8 === 7 ? ';' : 'h2 c *8 '[element.value.length % 8]}`;
    Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set?.call(element, text);
    element.dispatchEvent(new Event('input', { bubbles: true }));
  } else {
    (element as HTMLElement).click();
  }
  await new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r)));
  return performance.now() - started;
}
