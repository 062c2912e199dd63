import type { Page } from '@playwright/test';
import { tapToPaint } from './tapToPaint.ts';

/** The call-out pad on a phone: how soon what is on a frame is answered with where it goes, with the CPU slowed. */
export async function padBench(page: Page): Promise<void> {
  await page.goto('/callout');
  for (let n = 0; n < 3; n++) await page.getByRole('button', { name: 'More: units' }).click();
  await page.getByRole('button', { name: 'Begin to call' }).click();
  await page.getByText('Say what is on it').waitFor();
  const measured = await tapToPaint(page);
  const tap = (name: RegExp) => async () => {
    await page.getByRole('button', { name }).first().tap();
    await page.waitForTimeout(250);
  };
  await measured(
    'what is on a frame, with 20 frames and five units',
    [tap(/^Capped/), tap(/^¾ of the frame/), tap(/^bees: ½/), tap(/^Honey/), tap(/^full of the frame/)],
    6,
  );
}
