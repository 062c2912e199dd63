import type { Page } from '@playwright/test';
import { median, ms, quantile } from './statistics.ts';

/** Rounds through the taps of one measurement. */
const ROUNDS = 10;

/**
 * Measures on a page how long taps take to be painted, with the CPU slowed four times.
 *
 * @returns does the work so many times over, and prints what it took
 */
export async function tapToPaint(page: Page) {
  const session = await page.context().newCDPSession(page);
  return async (name: string, work: readonly (() => Promise<void>)[], rounds = ROUNDS): Promise<void> => {
    await page.evaluate(watchInteractions);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    for (let round = 0; round < rounds; round++) for (const tap of work) await tap();
    await page.waitForTimeout(500);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    const { times, handed } = await page.evaluate(() => {
      const watched = window as unknown as Watched;
      return { times: [...watched.interactions.values()], handed: watched.handed };
    });
    console.log(
      `tap to painted response, ${name}, CPU slowed 4×: frame handed over in median ${ms(median(handed))}, p95 ${ms(quantile(handed, 0.95))} (target 50 ms); on the screen, without a graphics card, in median ${ms(median(times))}, p95 ${ms(quantile(times, 0.95))} (${times.length} taps)`,
    );
  };
}

interface Watched {
  /** Milliseconds from input to the next paint, by interaction. */
  interactions: Map<number, number>;
  /** Milliseconds from a lifted finger or a letter to the end of the main thread's work on the next frame. */
  handed: number[];
}

/** Notes how long each tap or letter takes to be painted: on the main thread, and by the Event Timing API (W3C). */
function watchInteractions(): void {
  const seen = new Map<number, number>();
  const handed: number[] = [];
  Object.assign(window, { interactions: seen, handed } satisfies Watched);
  // Inner functions have no names here: the bundler's helper for names is not there in the page.
  for (const type of ['pointerup', 'beforeinput']) {
    document.addEventListener(
      type,
      () => {
        const started = performance.now();
        requestAnimationFrame(() => {
          // A message posted in a frame is read after it has been painted and handed to the compositor.
          const { port1, port2 } = new MessageChannel();
          port1.addEventListener('message', () => handed.push(performance.now() - started), { once: true });
          port1.start();
          port2.postMessage(null);
        });
      },
      { capture: true },
    );
  }
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries() as (PerformanceEntry & { interactionId?: number })[]) {
      if (!entry.interactionId) continue;
      seen.set(entry.interactionId, Math.max(seen.get(entry.interactionId) ?? 0, entry.duration));
    }
  }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
}
