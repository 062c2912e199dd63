import { expect, test } from './fixtures.ts';
import { inspect, saveInspection, workThrough } from './steps.ts';

test('a week on a phone: Today leads, each day builds on the day before, and nothing is left behind', async ({
  page,
  records,
}) => {
  test.setTimeout(300_000);
  const next = page.getByRole('region', { name: 'Next', exact: true });
  const goHome = async () => {
    await page.goto('/');
    await expect(next).toBeVisible();
  };
  const first = (await records.get()).records;

  // Friday: the inspection that is due tells which part has the queen.
  await goHome();
  const due = first.followUp.find((f) => f.topic === 'which-part' && f.status === 'open');
  await inspect(page, records, due, {
    Campion: [
      ['eggs', 'None'],
      ['queen cells', 'Found'],
    ],
    'Campion II': [
      ['eggs', 'Found'],
      ['queen cells', 'None'],
    ],
  });
  await saveInspection(page, records);
  await goHome();
  await expect(next).not.toContainText('Inspect Campion and Campion II');

  // Saturday: swarm cells cannot wait. Today says so, and leads into the plan and the work.
  await records.setToday('2026-05-16');
  await goHome();
  await expect(page.getByRole('region', { name: 'Hives of the day' })).toContainText('Sorrel');
  await page.goto(`/colonies/${await records.colonyId('Sorrel')}/plan`);
  await page.getByRole('button', { name: /^Start/ }).tap();
  await workThrough(page);

  // Sunday evening: the new part is fed with the others that are told at once.
  await records.setToday('2026-05-17');
  await page.goto('/several?did=fed');
  await page.getByLabel('How much each, in kg').fill('1');
  await page.getByRole('button', { name: /colonies have it$/ }).tap();
  await expect(page.getByText(/colonies were fed$/)).toBeVisible();

  // Monday: a count in a few taps, then the next hive along the stands.
  await records.setToday('2026-05-18');
  await page.goto(`/colonies/${await records.colonyId('Yarrow')}/count?by=quick`);
  for (const name of ['8 frames', '3 frames', '1 frame'])
    await page.getByRole('button', { name, exact: true }).tap();
  await page.getByRole('button', { name: 'Eggs: seen' }).tap();
  for (const name of ['2 frames', '1 frame', '1 frame', '0 frames'])
    await page.getByRole('button', { name, exact: true }).tap();
  await page.getByRole('button', { name: /^Save, / }).tap();
  await expect(page.getByRole('region', { name: 'Next hive' })).toContainText('Beside Yarrow stands');

  // Friday again: what the work filed stands where it belongs, and the days of rest are kept.
  await records.setToday('2026-05-22');
  await page.goto('/inspections');
  await expect(page.getByRole('region', { name: 'Lanes by colony' })).toContainText('Sorrel');
  const last = (await records.get()).records;
  expect(last.work.filter((w) => w.status === 'done').length).toBe(
    first.work.filter((w) => w.status === 'done').length + 1,
  );
  expect(last.given.length).toBeGreaterThan(first.given.length + 5);
  expect(last.visit.length).toBe(first.visit.length + 3);
  await goHome();
  await expect(
    page.getByRole('region', { name: 'In the next seven days' }).getByRole('listitem').first(),
  ).toBeVisible();
});
