import type { Page } from '@playwright/test';
import { median, ms, quantile } from './statistics.ts';
import { tapToPaint } from './tapToPaint.ts';

/** The call-out pad on a phone: how soon what is on a frame is answered with where it goes, with the CPU slowed. */
export async function padBench(page: Page): Promise<void> {
  await page.goto('/callout');
  for (let n = 0; n < 3; n++) await page.getByRole('button', { name: 'More: new colonies' }).click();
  await page.getByRole('button', { name: 'Begin to call' }).click();
  await page.getByText('Say what is on it').waitFor();
  // Nobody has read a frame sooner; what was begun is sent meanwhile.
  await page.waitForTimeout(1500);
  const measured = await tapToPaint(page);
  await page.evaluate(watchAnswers);
  const tap = (name: RegExp) => async () => {
    await page.getByRole('button', { name }).first().tap();
    await page.waitForTimeout(250);
  };
  await measured(
    'what is on a frame, with 20 frames and five units',
    [tap(/^Capped/), tap(/^¾ of the frame/), tap(/^bees: ½/), tap(/^Honey/), tap(/^full of the frame/)],
    6,
  );
  const { answers, worked } = await page.evaluate(() => {
    const watched = window as unknown as Watched;
    return { answers: watched.answers, worked: watched.worked };
  });
  console.log(
    `  the answer, CPU slowed 4×: worked out and drawn in median ${ms(median(worked))}, p95 ${ms(quantile(worked, 0.95))} (target 30 ms); on the page after the finger lifts, the painted tap before it included, in median ${ms(median(answers))}, p95 ${ms(quantile(answers, 0.95))} (${answers.length} answers)`,
  );
}

interface Watched {
  /** Milliseconds from a lifted finger to the changed answer in the page. */
  answers: number[];
  /** Milliseconds of that in which the answer was worked out and drawn, after the tap itself was painted. */
  worked: number[];
}

/** Notes when the answer to a tap is there. */
function watchAnswers(): void {
  const answers: number[] = [];
  const worked: number[] = [];
  Object.assign(window, { answers, worked } satisfies Watched);
  let lifted = 0;
  let painted = 0;
  document.addEventListener(
    'pointerup',
    () => {
      lifted = performance.now();
      painted = 0;
      requestAnimationFrame(() => {
        // A message posted in a frame is read after it has been painted.
        const { port1, port2 } = new MessageChannel();
        port1.addEventListener('message', () => (painted = performance.now()), { once: true });
        port1.start();
        port2.postMessage(null);
      });
    },
    { capture: true },
  );
  new MutationObserver(() => {
    if (lifted === 0) return;
    answers.push(performance.now() - lifted);
    worked.push(performance.now() - Math.max(lifted, painted));
    lifted = 0;
  }).observe(document.querySelector('.pad-hand')!, {
    subtree: true,
    childList: true,
    characterData: true,
    attributes: true,
    attributeFilter: ['title'],
  });
}
