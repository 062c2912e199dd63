import type { Page } from '@playwright/test';
import { closeVisit, expect, Records } from './fixtures.ts';

/** Frames of the lower and the upper box of a strong colony, as keys: kind, quarters of it, quarters of bees. */
export const STRONG = ['h43', 'h33', 'y24', 'm34', 'c34', 'c34', 'm34', 'y24', 'h33', 'h43'];

export async function countByKeys(page: Page, keys: readonly string[]): Promise<void> {
  await expect(page.getByText('1 What is it mostly?')).toBeVisible();
  for (const frame of keys) await page.keyboard.type(frame);
}

/** Ticks all steps that are left, closes the visit, and waits until the server has it. */
export async function workThrough(page: Page): Promise<void> {
  // All steps are known at once, and drawn a moment later.
  const bar = page.getByRole('progressbar', { name: 'Steps done' });
  const steps = Number(await bar.getAttribute('aria-valuemax'));
  for (let i = Number(await bar.getAttribute('aria-valuenow')); i < steps; i++) {
    await page
      .getByRole('button', { name: /^Done:/ })
      .first()
      .click();
    if (i < steps - 1) await expect(page.getByText(`${i + 1} of ${steps}`, { exact: true })).toBeVisible();
  }
  await closeVisit(page);
  await expect(page.getByRole('heading', { name: 'The work is done' })).toBeVisible();
  // It is done on this device at once, and on the server when all of it has been sent.
  const workId = new URL(page.url()).pathname.split('/').at(-1);
  const sent = new Records(page);
  await expect
    .poll(async () => {
      const { records: r } = await sent.get();
      return r.work.find((w) => w.id === workId)?.status;
    })
    .toBe('done');
}

/** Follows a link into the planner. While a view is still arriving a click may be lost, and a slow one may land late. */
export async function openPlan(page: Page, link: string): Promise<void> {
  await expect(async () => {
    if (!new URL(page.url()).pathname.endsWith('/plan'))
      await page.getByRole('link', { name: link }).click({ timeout: 2000 });
    await expect(page).toHaveURL(/\/plan/, { timeout: 2000 });
  }).toPass();
}

export async function workOff(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Start/ }).click();
  await workThrough(page);
}

export async function say(page: Page, part: string, what: string, answer: string): Promise<void> {
  await page
    .getByRole('group', { name: `${part}: ${what}`, exact: true })
    .getByText(answer, { exact: true })
    .click();
}

export async function framesOf(records: Records, name: string): Promise<number> {
  const { records: r } = await records.get();
  const colony = r.colony.find((c) => c.name === name);
  const boxes = r.box.filter((b) => b.chambers.some((c) => c.colonyId === colony?.id)).map((b) => b.id);
  return r.frame.filter((f) => f.boxId !== null && boxes.includes(f.boxId)).length;
}

/** Counts both boxes of Tansy as strong, frame by frame with keys. */
export async function countTansy(page: Page): Promise<void> {
  await page.goto('/yard');
  await page.getByRole('link', { name: /Tansy/ }).first().click();
  await page.getByRole('link', { name: 'Count', exact: true }).click();
  await countByKeys(page, [...STRONG, ...STRONG]);
  await page.getByRole('button', { name: 'Save 20 of 20' }).click();
  await expect(page.getByText('Counted today.')).toBeVisible();
}

/** Waits until the bench has a plan, and looks no further: the first is good enough, and others need the core. */
export async function workedOut(page: Page): Promise<void> {
  await expect(page.getByText(/frames? to carry/)).toBeVisible({ timeout: 30_000 });
  const stop = page.getByRole('button', { name: 'Stop', exact: true });
  // What was asked last may begin only after the stop that was pressed for what was asked before.
  await expect(async () => {
    await stop.click({ timeout: 1_000 }).catch(() => undefined);
    await expect(stop).toBeHidden({ timeout: 1_000 });
  }).toPass({ timeout: 30_000 });
}

/** The next inspection or job of this kind that is open for a colony. */
export async function dueOn(records: Records, name: string, topic: string) {
  const { records: r } = await records.get();
  const id = r.colony.find((c) => c.name === name)?.id ?? '';
  return r.followUp
    .filter((f) => f.status === 'open' && f.topic === topic && f.colonyIds.includes(id))
    .toSorted((a, b) => a.window.likely.localeCompare(b.window.likely))[0];
}

/** Opens an inspection on its likely day; of the colonies that are named every frame was read. */
export async function inspect(
  page: Page,
  records: Records,
  look: { readonly id: string; readonly window: { readonly likely: string } } | undefined,
  seen: Readonly<Record<string, readonly (readonly [what: string, answer: string])[]>>,
): Promise<void> {
  if (!look) throw new Error('This inspection is not due.');
  await records.setToday(look.window.likely);
  await page.goto(`/look/${look.id}`);
  for (const [colony, answers] of Object.entries(seen)) {
    await say(page, colony, 'frames read', `All ${await framesOf(records, colony)}`);
    for (const [what, answer] of answers) await say(page, colony, what, answer);
  }
}

/** Saves the inspection that is open; it is off the list then. */
export async function saveInspection(page: Page, records: Records): Promise<void> {
  const id = new URL(page.url()).pathname.split('/').at(-1);
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect
    .poll(async () => (await records.get()).records.followUp.find((f) => f.id === id)?.status)
    .not.toBe('open');
}

/** What was seen of a colony besides frames, answer by answer, kept. */
export async function see(
  page: Page,
  records: Records,
  colony: string,
  answers: readonly (readonly [what: string, answer: string])[],
): Promise<void> {
  await page.goto(`/colonies/${await records.colonyId(colony)}/count?by=seen`);
  for (const [what, answer] of answers) await say(page, colony, what, answer);
  await page.getByRole('button', { name: 'Save inspection' }).click();
  await expect(page).toHaveURL(/\/colonies\/[^/]+$/);
  await expect(page.getByRole('heading', { level: 1, name: colony })).toBeVisible();
}
