import type { Page } from '@playwright/test';
import { bothSides } from '@incremen/core/comb';
import { TestYard } from '@incremen/core/testing';
import { expect, test } from './fixtures.ts';

const brood = bothSides({ eggs: 1, open: 2, capped: 4, honey: 2, beeBread: 1 }, 8);
const part = bothSides({ eggs: 0.5, open: 1, capped: 2, honey: 3, drawn: 3.5 }, 7);
const honey = bothSides({ honey: 8, drawn: 2 }, 5);
const empty = bothSides({ drawn: 10 }, 2);
const LOWER = [honey, part, brood, brood, brood, brood, brood, part, honey, empty];
const UPPER = [honey, part, part, brood, brood, part, part, honey, empty, empty];
const SMALL = [honey, brood, brood, part, empty];

/** Full hives of two boxes, and nucs, all counted on one day. */
function yardOf(full: number, nucs: number, day: string): TestYard {
  const yard = new TestYard(11);
  for (let i = 1; i <= full; i++) yard.hive(`Hive ${i}`, [LOWER, UPPER], day);
  for (let i = 1; i <= nucs; i++) yard.hive(`Nuc ${i}`, [SMALL], day, 5);
  return yard;
}

/** Types a number into a field of the sentence. */
async function say(page: Page, label: string, value: number): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(String(value));
  await field.press('Enter');
}

/** Waits until the search is over and its plans were tried. */
async function searched(page: Page): Promise<void> {
  await expect(page.getByRole('progressbar', { name: 'Search' })).toBeHidden({ timeout: 150_000 });
  await expect(page.getByRole('region', { name: 'Plans to choose from' })).toBeVisible();
}

test('six become ten with honey: the plan is found, followed, and its first round is one tap away', async ({
  page,
  records,
}) => {
  test.setTimeout(300_000);
  await records.scene(yardOf(6, 0, '2026-04-24').apiary, '2026-04-25');
  await page.goto('/season');
  await say(page, 'colonies', 10);
  await say(page, 'kilograms of honey', 40);
  await searched(page);
  await expect(
    page.getByRole('status').filter({ hasText: /^You can have 10 colonies and 40 kg of honey by/ }),
  ).toContainText(/in (\d of 10|nearly every|more than 9)/);
  // The season as a picture, with the six by name, and each round tried in the planner of its day.
  const picture = page.getByRole('img', { name: /^6 colonies on/ });
  await expect(picture).toBeVisible();
  await expect(picture.getByText('Hive 6')).toBeVisible();
  await expect(page.getByRole('region', { name: 'What is done when' })).toContainText(
    'The planner of that day makes',
  );
  await expect(page.getByRole('region', { name: 'What the odds rest on' })).toContainText('seasons run');
  await expect(page.getByRole('region', { name: 'What it takes' })).toContainText('combs to be drawn in all');
  await page.getByRole('button', { name: 'Follow this plan' }).click({ timeout: 60_000 });
  await expect(page.getByRole('region', { name: 'The plan you follow' })).toContainText(
    'the season goes as planned',
  );
  const kept = (await records.get()).records.operation[0]?.seasonPlan;
  expect(kept?.aim.colonies).toBe(10);
  expect(kept?.rounds.length).toBeGreaterThan(0);
  // On its day the round stands on Today, and one tap leads to the planner with the same wish.
  const [round] = (kept?.rounds ?? []).filter((r) => r.what === 'nucs' || r.what === 'queen-out');
  if (round) {
    await records.setToday(round.day);
    await page.goto('/');
    const ahead = page.getByRole('region', { name: 'Your season plan' });
    await expect(ahead).toContainText('10 by');
    await ahead
      .getByRole('link', { name: /^(Make|Move) / })
      .first()
      .click();
    await expect(page.getByRole('heading', { level: 1, name: /^Plan for/ })).toBeVisible();
    await expect(page.getByText(new RegExp(`\\b${round.parts} nucs?\\b`)).first()).toBeVisible({
      timeout: 20_000,
    });
  }
});

test('four dead in March with three spares: one is short, and the season makes it', async ({
  page,
  records,
}) => {
  test.setTimeout(300_000);
  const yard = yardOf(9, 3, '2026-03-28');
  // They died in the winter; the count of the others is of spring.
  const dead = Object.values(yard.apiary.colony).filter((c) => /^Hive [1-4]$/.test(c.name));
  const apiary = {
    ...yard.apiary,
    colony: Object.fromEntries(
      Object.entries(yard.apiary.colony).map(([id, c]) => [
        id,
        dead.some((d) => d.id === id)
          ? {
              ...c,
              startedOn: '2025-05-01',
              endedOn: '2026-02-20',
              hiveId: null,
              end: { v: 1 as const, how: 'dead' as const, cause: 'unknown' as const, words: '' },
            }
          : c,
      ]),
    ),
  };
  await records.scene(apiary, '2026-03-30');
  await page.goto('/spares');
  await expect(page.getByRole('note')).toContainText(
    '4 colonies died this winter; 3 nucs could take their place: 1 short',
  );
  await page.goto('/season');
  await say(page, 'colonies', 9);
  await searched(page);
  await expect(page.getByRole('status').filter({ hasText: /^You can have 9 colonies/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'What is done when' })).toContainText(
    /Make \d+ nucs?|Halve|Move \d+ old queen/,
  );
});

test('twenty come down to twelve by uniting, and an aim out of reach is told with its reason', async ({
  page,
  records,
}) => {
  test.setTimeout(300_000);
  await records.scene(yardOf(14, 6, '2026-07-08').apiary, '2026-07-10');
  await page.goto('/season');
  await page.getByText('Come down in number').click();
  await say(page, 'colonies', 12);
  await searched(page);
  await expect(
    page.getByRole('status').filter({ hasText: /^You can have no more than 12 colonies/ }),
  ).toBeVisible();
  await expect(page.getByRole('region', { name: 'What is done when' })).toContainText(
    /Come down to 1[23] colonies: unite the weakest/,
  );
  await page.getByText('Grow', { exact: true }).click();
  await say(page, 'colonies', 80);
  await expect(
    page.getByText(/80 colonies .* are out of reach in most seasons; about \d+ can be had/),
  ).toBeVisible({ timeout: 150_000 });
});

test('a season that loses its main week to rain is planned anew', async ({ page, records }) => {
  test.setTimeout(400_000);
  await records.scene(yardOf(6, 0, '2026-04-24').apiary, '2026-04-25');
  await page.goto('/season');
  await say(page, 'colonies', 9);
  await searched(page);
  await page.getByRole('button', { name: 'Follow this plan' }).click({ timeout: 60_000 });
  const plan = page.getByRole('region', { name: 'The plan you follow' });
  await expect(plan).toBeVisible();
  const rounds = (await records.get()).records.operation[0]?.seasonPlan?.rounds ?? [];
  const first = rounds.find((r) => r.parts > 0);
  expect(first).toBeDefined();
  // It rained, and nothing was done for a fortnight.
  const later = new Date(Date.parse(`${first!.day}T00:00:00Z`) + 15 * 86_400_000).toISOString().slice(0, 10);
  await records.setToday(later);
  await page.goto('/season');
  await expect(plan).toContainText(/round (is|are) overdue|rounds are overdue/);
  await expect(plan).toContainText(/Odds \d+ % when you made it, \d+ % today/, { timeout: 60_000 });
  await plan.getByRole('button', { name: 'Plan anew from today' }).click();
  await searched(page);
  await page.getByRole('button', { name: 'Follow this plan' }).click({ timeout: 60_000 });
  await expect(plan).not.toContainText('overdue');
  const anew = (await records.get()).records.operation[0]?.seasonPlan;
  expect(anew?.madeOn).toBe(later);
  await plan.getByRole('button', { name: 'Stop following it' }).click();
  await expect(plan).toBeHidden();
});
