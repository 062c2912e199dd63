import type { Locator, Page } from '@playwright/test';

/**
 * A newcomer on a phone: sets up so many hives, counts each in a few numbers, and reads what the first page says of them. The
 * operation must be empty.
 *
 * @returns taps and letters from the first page to the answer; a letter that is typed is a tap on a phone
 */
export async function firstHour(page: Page, hives: number): Promise<number> {
  let taps = 0;
  const tap = async (target: Locator) => {
    await target.first().tap();
    taps++;
  };
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true });
  await page.goto('/');
  await tap(page.getByRole('link', { name: 'Set up a yard' }));
  await tap(page.getByLabel('Names of the hives'));
  const letters = String(hives);
  await page.keyboard.type(letters);
  taps += letters.length;
  await tap(button(/^Put (one hive|\d+ hives) on their stands$/));
  for (let hive = 1; hive <= hives; hive++) {
    await tap(page.getByRole('link', { name: new RegExp(`^Count ${hive}( next)?$`) }));
    await page.getByRole('tab', { name: 'Quick' }).waitFor();
    for (const n of [8, 3, 1]) await tap(button(`${n} frame${n === 1 ? '' : 's'}`));
    await tap(button('Eggs: seen'));
    for (const n of [2, 1, 1, 0]) await tap(button(`${n} frame${n === 1 ? '' : 's'}`));
    await tap(button(/^Save, \d+ frames estimated$/));
    await page.getByText('Counted today.').waitFor();
  }
  return taps;
}

/** What it may take (the measure of the first hour). */
export const MOST_TAPS = { one: 20, six: 90 } as const;

/** Taps of the first hour, for one hive and for six. */
export async function firstHourBench(page: Page, empty: () => Promise<void>): Promise<void> {
  for (const [hives, most] of [
    [1, MOST_TAPS.one],
    [6, MOST_TAPS.six],
  ] as const) {
    await empty();
    const taps = await firstHour(page, hives);
    console.log(
      `from an empty start to the first answer of ${hives === 1 ? 'one hive' : `${hives} hives`}: ${taps} taps and letters (target ${most})`,
    );
  }
}
