import type { Page } from '@playwright/test';
import { largeYard } from './largeYard.ts';
import { median, ms, quantile } from './statistics.ts';

const COLONIES = 150;
/** Pixels a frame: about two screens a second. */
const SPEED = 28;

/** One board of 150 colonies: time to show it, scrolling, the date slider. */
export async function bench150(page: Page): Promise<void> {
  const [operation] = (await (await page.request.get('/api/operations')).json()) as { id: string }[];
  const id = operation?.id ?? '';
  const before: unknown = await (await page.request.get(`/api/operations/${id}/bundle`)).json();
  await page.request.put(`/api/operations/${id}/bundle`, { data: largeYard(COLONIES, id) });
  const shown: number[] = [];
  for (let run = 0; run < 5; run++) {
    await page.goto('/rules');
    await page.getByRole('heading', { level: 1 }).waitFor();
    const started = Date.now();
    await page.getByRole('link', { name: 'Yard', exact: true }).click();
    await page.getByRole('link', { name: /^M1\b/ }).first().waitFor();
    shown.push(Date.now() - started);
  }
  console.log(`board of ${COLONIES} colonies, opened: median ${ms(median(shown))}`);
  await page.waitForTimeout(1000);
  for (const pass of ['first', 'second']) {
    const intervals = await page.evaluate(scrollDown, SPEED);
    const late = intervals.filter((t) => t > 1000 / 60 + 8).length;
    console.log(
      `  scrolled through, ${pass} time: ${intervals.length} frames, median ${ms(median(intervals))} (60 a second are 16.7 ms), p95 ${ms(quantile(intervals, 0.95))}, ${((100 * late) / intervals.length).toFixed(1)} % late`,
    );
  }
  await page.evaluate(() => window.scrollTo(0, 0));
  const dragged: number[] = [];
  for (const offset of [3, 7, 12, 18, 24, 28, 20, 10]) {
    dragged.push(await page.evaluate(drag, offset));
    await page.waitForTimeout(600);
  }
  console.log(
    `  date slider: answers the finger in median ${ms(median(dragged))}, p95 ${ms(quantile(dragged, 0.95))}`,
  );
  await page.request.put(`/api/operations/${id}/bundle`, { data: before });
}

/** Scrolls to the bottom and back up a little each frame. @returns milliseconds between frames */
async function scrollDown(speed: number): Promise<number[]> {
  window.scrollTo(0, 0);
  await new Promise((r) => setTimeout(r, 300));
  const intervals: number[] = [];
  let last = performance.now();
  while (window.scrollY + window.innerHeight < document.documentElement.scrollHeight - 1) {
    window.scrollBy(0, speed);
    const now = await new Promise<number>((r) => requestAnimationFrame(r));
    intervals.push(now - last);
    last = now;
    if (intervals.length > 3000) break;
  }
  return intervals.slice(1);
}

/** Moves the slider and waits for the words beside it. @returns milliseconds until they are painted */
async function drag(offset: number): Promise<number> {
  const slider = document.querySelector<HTMLInputElement>('input[type=range]');
  if (!slider) throw new Error('no slider');
  const started = performance.now();
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(slider, String(offset));
  slider.dispatchEvent(new Event('input', { bubbles: true }));
  await new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r)));
  return performance.now() - started;
}
