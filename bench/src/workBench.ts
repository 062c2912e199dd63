import type { Page } from '@playwright/test';
import { median, ms, quantile } from './statistics.ts';
import { tapToPaint } from './tapToPaint.ts';

const OPENINGS = 12;
/** So many nucs make a work of some sixty steps. */
const NUCS = 5;

/** A large piece of work on a phone: how soon it opens, and how soon a tick is painted, with the CPU slowed. */
export async function workBench(page: Page): Promise<void> {
  await page.goto('/plan');
  await page.getByRole('button', { name: /^Make nucs/ }).click();
  for (let n = 2; n < NUCS; n++) await page.getByRole('button', { name: 'More: how many' }).click();
  await page.getByText(`${NUCS} nucs · `).waitFor({ timeout: 30_000 });
  await page.getByText(/frames? to carry/).waitFor({ timeout: 30_000 });
  await page.waitForTimeout(1500);
  await page.getByRole('button', { name: 'Start the work' }).click();
  await page.getByRole('progressbar', { name: 'Steps done' }).waitFor();
  const address = page.url();
  const bar = page.getByRole('progressbar', { name: 'Steps done' });
  const steps = Number(await bar.getAttribute('aria-valuemax'));
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const opened: number[] = [];
  for (let n = 0; n < OPENINGS; n++) {
    // From the list of work, as one does in the yard: the application is running already.
    await page.goto('/worksheet');
    await page.getByRole('heading', { level: 1 }).waitFor();
    // At a quarter of the speed it takes so long to settle after it was loaded.
    await page.waitForTimeout(2000);
    opened.push(
      await page.evaluate(async (path) => {
        const link = document.querySelector<HTMLAnchorElement>(`a[href="${path}"]`);
        const started = performance.now();
        link?.click();
        while (!document.querySelector('[role=progressbar]')) {
          await new Promise((next) => {
            requestAnimationFrame(next);
          });
        }
        return performance.now() - started;
      }, new URL(address).pathname),
    );
  }
  await session.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  console.log(
    `work of ${steps} steps, CPU slowed 4×: opens in median ${ms(median(opened))}, p95 ${ms(quantile(opened, 0.95))} (target 200 ms)`,
  );
  await barePage(page);
  await page.goto(address);
  await page.getByRole('progressbar', { name: 'Steps done' }).waitFor();
  await page.waitForTimeout(800);
  const measured = await tapToPaint(page);
  await measured(
    `ticks of a work of ${steps} steps`,
    [
      async () => {
        const next = page.locator('[aria-current=step] button');
        // Not under the bar at the foot.
        await next.evaluate((e) => e.scrollIntoView({ block: 'center' }));
        const box = await next.boundingBox();
        if (!box) throw new Error('no step is left');
        await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
        await page.waitForTimeout(350);
      },
    ],
    Math.min(20, steps - 2),
  );
}

/** What a tap takes on this machine where there is nothing to do: a page with one button that turns its colour. */
async function barePage(page: Page): Promise<void> {
  const bare = await page.context().newPage();
  await bare.setContent(
    '<meta name="viewport" content="width=device-width"><button style="width:200px;height:200px" ' +
      "ontouchend=\"this.style.background = this.style.background ? '' : 'gold'\">tap</button>",
  );
  const measured = await tapToPaint(bare);
  await measured(
    'a bare page with one button',
    [
      async () => {
        await bare.touchscreen.tap(100, 100);
        await bare.waitForTimeout(350);
      },
    ],
    20,
  );
  await bare.close();
}
