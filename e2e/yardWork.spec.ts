import type { Page } from '@playwright/test';
import { expect, test, type Records } from './fixtures.ts';
import { workedOut, workThrough } from './steps.ts';

async function startGoal(page: Page, goal: RegExp): Promise<void> {
  await page.goto('/plan');
  await page.getByRole('button', { name: goal }).click();
  await workedOut(page);
  await page.getByRole('button', { name: 'Start the work' }).click();
  await expect(page.getByRole('progressbar', { name: 'Steps done' })).toBeVisible();
}

/** The frame of a step by its words, and the hive where it hangs. */
async function frameOfStep(records: Records, text: string): Promise<{ id: string; hiveId: string | null }> {
  const { records: r } = await records.get();
  const [id = ''] = r.workStep.find((s) => s.text === text && s.doneOn === null)?.frameIds ?? [];
  const boxId = r.frame.find((f) => f.id === id)?.boxId;
  return { id, hiveId: r.box.find((b) => b.id === boxId)?.hiveId ?? null };
}

test('what a yard needs is held against the store, and the last floor is told before leaving home', async ({
  page,
  records,
}) => {
  await records.get();
  await startGoal(page, /^Make nucs/);
  const work = page.url();
  await page.goto('/store');
  const box = page.getByRole('row').filter({ hasText: 'nuc box, 5 frames' });
  await expect(box.getByRole('cell', { name: '2', exact: true })).toBeVisible();
  await expect(box).toContainText('not counted');
  await box.getByRole('button', { name: /^More/ }).click();
  await expect(page.getByRole('status').first()).toContainText('1 × nuc box, 5 frames, with floor and lid');
  await page.goto(work);
  const line = page.getByRole('listitem').filter({ hasText: 'nuc box, 5 frames' });
  await expect(line).toContainText('short by 1: the store has 1');
});

test('another hive first, rain on its way, and a comb that stayed: the rest of the yard fits what was done', async ({
  page,
  records,
}) => {
  await records.get();
  await startGoal(page, /^Level the yard/);
  const opened = page.getByRole('listitem').filter({ hasText: /^Open / });
  const later = opened.filter({ has: page.getByRole('button', { name: 'Take this hive next' }) }).last();
  const words = ((await later.getByTestId('step-text').textContent()) ?? '').trim();
  await expect(opened.first()).not.toContainText(words);
  await later.getByRole('button', { name: 'Take this hive next' }).click();
  await expect(opened.first()).toContainText(words);

  await page.getByRole('button', { name: 'When must you stop?' }).click();
  await page.getByRole('button', { name: 'in 15 min' }).click();
  await expect(page.getByText(/minutes? needed, 1[45] left: stop after/)).toBeVisible();

  // The first comb that is to go stays where it hangs.
  const current = page.locator('[aria-current="step"]').getByTestId('step-text');
  while (!(await current.innerText()).includes('→')) {
    await page
      .getByRole('button', { name: /^Done:/ })
      .first()
      .click();
  }
  const move = await current.innerText();
  const stayed = await frameOfStep(records, move);
  await page.getByRole('button', { name: 'Something went differently' }).click();
  await page.getByText(/^It stayed in/).click();
  const goOn = page.getByRole('button', { name: 'Yes, continue' });
  await expect(goOn).toBeEnabled({ timeout: 60_000 });
  await goOn.click();
  await expect(page.getByText(/ stayed$/)).toBeVisible();
  // A comb of another hive may have the same words: it is told apart by its identifier.
  await expect
    .poll(async () => {
      const { records: r } = await records.get();
      // In its own box it may slide with the others.
      return r.workStep.filter(
        (step) => step.doneOn === null && step.task !== 'slide' && step.frameIds.includes(stayed.id),
      ).length;
    })
    .toBe(0);
  await workThrough(page);
  // The comb that stayed is in the records where it hung before.
  const { records: r } = await records.get();
  const boxId = r.frame.find((f) => f.id === stayed.id)?.boxId;
  expect(stayed.hiveId).not.toBeNull();
  expect(r.box.find((b) => b.id === boxId)?.hiveId).toBe(stayed.hiveId);
});
