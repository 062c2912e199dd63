import type { Page } from '@playwright/test';
import { expect, test, type Records } from './fixtures.ts';
import { countTansy, dueOn, framesOf, inspect, saveInspection, say, workOff, workThrough } from './steps.ts';

async function waysOf(page: Page, name: string): Promise<void> {
  await page.goto('/yard');
  await page
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .first()
    .click();
  await page.getByRole('heading', { level: 1, name, exact: true }).waitFor();
  await page.goto(`${page.url()}/ways`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(`Split methods for ${name}`);
}
const answer = (page: Page, question: string, words: string) =>
  page.getByRole('group', { name: question, exact: true }).getByText(words, { exact: true }).click();
/** Flat capped worker brood: the last inspection that a new queen needs. */
async function proved(page: Page, records: Records, name: string): Promise<void> {
  await inspect(page, records, await dueOn(records, name, 'capped-due'), {
    [name]: [
      ['eggs', 'Found'],
      ['queen cells', 'None'],
    ],
  });
  await say(page, name, 'capped brood', 'Found');
  await say(page, name, 'cappings', 'Flat (worker)');
  await expect(page.getByRole('region', { name: 'Verdict' }).getByRole('heading')).toContainText('mated');
  await saveInspection(page, records);
  expect(await dueOn(records, name, 'capped-due')).toBeUndefined();
}
const rules = (page: Page) => page.getByRole('region', { name: 'Rules of the plan' });

test('side by side: the queen moves next door, one chosen cell stays, day 7 or 8, cut-off', async ({
  page,
  records,
}) => {
  await records.get();
  await waysOf(page, 'Sorrel');
  await page.getByRole('button', { name: 'Plan: Side-by-side artificial swarm' }).click();
  await expect(rules(page)).toContainText('Cells in Sorrel II');
  await expect(rules(page)).toContainText('Cells left in Sorrel');
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByText('Reserve one open, charged cell in Sorrel')).toBeVisible();
  await expect(page.getByText(/that frame is never shaken/)).toBeVisible();
  await page.goBack();
  await workOff(page);
  const { records: r } = await records.get();
  const next = r.colony.find((c) => c.name === 'Sorrel II');
  const old = r.colony.find((c) => c.name === 'Sorrel');
  expect(r.queen.find((q) => q.name === 'Perdita')?.whereabouts).toEqual({
    known: 'colony',
    colonyId: next?.id,
  });
  const open = r.followUp.filter((f) => f.status === 'open' && f.colonyIds.includes(old?.id ?? ''));
  expect(open.map((f) => f.topic).toSorted()).toEqual(['act', 'eggs-due', 'rest', 'surplus-cells']);

  // Day 7 or 8: the chosen cell is capped, the emergency cells go.
  const surplus = open.find((f) => f.topic === 'surplus-cells');
  await records.setToday(surplus?.window.likely ?? '');
  await page.goto(`/look/${surplus?.id}`);
  await expect(page.getByText(/Brush bees off its frame, never shake it/).first()).toBeVisible();
  await say(page, 'Sorrel', 'frames read', `All ${await framesOf(records, 'Sorrel')}`);
  await say(page, 'Sorrel', 'eggs', 'None');
  await say(page, 'Sorrel', 'queen cells', 'Found');
  await page.getByRole('button', { name: 'One less: drawn, open' }).click();
  await say(page, 'Sorrel', 'queen cells', 'Found');
  await page.getByRole('button', { name: 'One more: capped' }).click();
  await page.getByRole('button', { name: 'One less: drawn, open' }).click();
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('This part is raising a queen');

  // The queen's half is inspected too: she lays in it.
  const hers = r.followUp.find(
    (f) => f.status === 'open' && f.topic === 'rhythm' && f.colonyIds.includes(next?.id ?? ''),
  );
  await records.setToday(hers?.window.likely ?? '');
  await page.goto(`/look/${hers?.id}`);
  await say(page, 'Sorrel II', 'frames read', `All ${await framesOf(records, 'Sorrel II')}`);
  await say(page, 'Sorrel II', 'eggs', 'Found');
  await say(page, 'Sorrel II', 'queen cells', 'None');
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect
    .poll(async () => (await records.get()).records.followUp.find((f) => f.id === hers?.id)?.status)
    .not.toBe('open');
});

test('a summer split around a caged queen: capped brood, what the donor keeps, feed that evening', async ({
  page,
  records,
}) => {
  await records.get();
  await waysOf(page, 'Tansy');
  await answer(page, 'Time of year', 'Dearth');
  await expect(page.getByText('No mated queen is at hand.')).toBeVisible();
  await page.getByRole('button', { name: 'More: Mated queens at hand' }).click();
  await expect(
    page.getByRole('list', { name: 'Split methods, best first' }).getByRole('heading').first(),
  ).toHaveText('Split with a caged mated queen');
  await page.getByRole('button', { name: 'Plan: Split with a caged mated queen' }).click();
  await answer(page, 'Time of year', 'Midsummer, dearth');
  await expect(rules(page)).toContainText('Brood left in Tansy');
  await expect(page.getByText('new stand, new queen in her cage')).toBeVisible();
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByText('Set a feeder on Tansy II: it is fed 1:1 this evening')).toBeVisible();
  await page.goBack();
  await workOff(page);
  const { records: r } = await records.get();
  const tansy = r.colony.find((c) => c.name === 'Tansy');
  expect(r.queen.find((q) => q.name === 'Ottoline')?.whereabouts).toEqual({
    known: 'colony',
    colonyId: tansy?.id,
  });
  await expect(page.getByText(/^Come back on/)).toContainText('The cage is empty');
});

test('an unseen queen goes below an excluder, and the box above is looked at after a week', async ({
  page,
  records,
}) => {
  await waysOf(page, 'Tansy');
  await answer(page, 'The queen', 'Not looked for');
  await expect(page.getByText('She need not be found: she is below the excluder.')).toBeVisible();
  await page.getByRole('button', { name: 'Plan: Brood over an excluder' }).click();
  await expect(rules(page)).toContainText('Eggs in Tansy II');
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByText(/^queen excluder/).first()).toBeVisible();
  await expect(page.getByText(/^Shake every other frame of Tansy into its bottom box/)).toBeVisible();
  await page.goBack();
  await workOff(page);
  const { records: r } = await records.get();
  const above = r.colony.find((c) => c.name === 'Tansy II');
  expect(above?.separation).toMatchObject({ queen: 'elsewhere' });
  const look = r.followUp.find((f) => f.topic === 'which-part' && f.colonyIds.includes(above?.id ?? ''));
  await records.setToday(look?.window.likely ?? '');
  await page.goto(`/look/${look?.id}`);
  await say(page, 'Tansy II', 'frames read', `All ${await framesOf(records, 'Tansy II')}`);
  await say(page, 'Tansy II', 'eggs', 'None');
  await say(page, 'Tansy II', 'queen cells', 'Found');
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('raising a queen');
  await saveInspection(page, records);
  // Above the excluder she is raised in peace, and lays when she should.
  await inspect(page, records, await dueOn(records, 'Tansy II', 'eggs-due'), {
    'Tansy II': [
      ['eggs', 'Found'],
      ['queen cells', 'None'],
    ],
  });
  await saveInspection(page, records);
  await proved(page, records, 'Tansy II');
});

test('a first split without searching: open brood goes, and nothing is said until both are read', async ({
  page,
  records,
}) => {
  // Counted without looking for her.
  await countTansy(page);
  await page.getByRole('link', { name: 'Plan a split' }).click();
  await page.getByRole('button', { name: 'Plan: Move the queen with the open brood' }).click();
  await expect(rules(page)).toContainText('Eggs in Tansy');
  await workOff(page);
  const { records: r } = await records.get();
  const fresh = r.colony.find((c) => c.name === 'Tansy II');
  const look = r.followUp.find((f) => f.topic === 'which-part' && f.colonyIds.includes(fresh?.id ?? ''));
  await records.setToday(look?.window.likely ?? '');
  await page.goto(`/look/${look?.id}`);
  const counts = { Tansy: await framesOf(records, 'Tansy'), 'Tansy II': await framesOf(records, 'Tansy II') };
  await say(page, 'Tansy', 'frames read', `All ${counts.Tansy}`);
  await say(page, 'Tansy', 'eggs', 'None');
  await say(page, 'Tansy', 'queen cells', 'Found');
  await expect(page.getByText('No verdict before Tansy II is read.')).toBeVisible();
  await say(page, 'Tansy II', 'frames read', `All ${counts['Tansy II']}`);
  await say(page, 'Tansy II', 'eggs', 'Found');
  await say(page, 'Tansy II', 'queen cells', 'None');
  await expect(page.getByRole('region', { name: 'Verdict' }).getByRole('heading')).toHaveText(
    'The queen is in Tansy II; Tansy is raising one.',
  );
  await saveInspection(page, records);
  // When she should lay: eggs, and the next time flat capped worker brood proves her.
  await inspect(page, records, await dueOn(records, 'Tansy', 'eggs-due'), {
    Tansy: [
      ['eggs', 'Found'],
      ['queen cells', 'None'],
    ],
  });
  await saveInspection(page, records);
  await proved(page, records, 'Tansy');
});

test('a tall colony before a damp winter: one box, and a late nuc with a mated queen', async ({
  page,
  records,
}) => {
  await records.get();
  await waysOf(page, 'Tansy');
  await answer(page, 'Time of year', 'Autumn');
  await page.getByRole('button', { name: 'More: Mated queens at hand' }).click();
  await page.getByRole('button', { name: 'Plan: Shrink for winter' }).click();
  await expect(page.getByRole('region', { name: 'Make nucs' })).toBeVisible();
  await expect(page.getByText(/frames? to carry/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Start the work' }).click();
  await expect(page.getByRole('progressbar', { name: 'Steps done' })).toBeVisible();
  await expect(page.getByText('mated queen in her cage')).toBeVisible();
  await workThrough(page);
  // She is out of her cage and lays; the nuc has not lost its bees.
  await inspect(page, records, await dueOn(records, 'Nuc 1', 'rhythm'), {
    'Nuc 1': [
      ['eggs', 'Found'],
      ['queen cells', 'None'],
    ],
  });
  await saveInspection(page, records);
});

test('work is stopped for robbers, taken up again, and its tags are printed', async ({ page, records }) => {
  await records.get();
  await waysOf(page, 'Tansy');
  await page
    .getByRole('list', { name: 'Split methods, best first' })
    .getByRole('button', { name: /^Plan:/ })
    .first()
    .click();
  await page.getByRole('button', { name: /^Start/ }).click();
  for (let i = 0; i < 2; i++) {
    await page
      .getByRole('button', { name: /^Done:/ })
      .first()
      .click();
    await expect(page.getByText(new RegExp(`^${i + 1} of`))).toBeVisible();
  }
  await expect(page.getByText('Tansy open for 0 min')).toBeVisible();
  await page.getByRole('button', { name: 'Robbing' }).click();
  await expect(page.getByRole('button', { name: 'All closed: stop here' })).toBeDisabled();
  for (const job of await page.getByRole('alert').getByRole('checkbox').all()) await job.check();
  await page.getByRole('button', { name: 'All closed: stop here' }).click();
  // The page is killed; the card is there all the same.
  await page.reload();
  const card = page.getByRole('region', { name: 'Interrupted work' });
  await expect(card).toContainText('Tansy, closed for the time being');
  await card.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByText('Tansy open for 0 min')).toBeVisible();
  await page.getByRole('link', { name: 'Tags' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Hive tags' })).toBeVisible();
  await expect(page.getByRole('listitem')).toHaveCount(2);
});

test('a frame stays that was to go, and the queen is where nobody looked: the plan is made anew at once', async ({
  page,
  records,
}) => {
  await countTansy(page);
  await page.goto(`/colonies/${await records.colonyId('Tansy')}/plan?method=walk-away-halves`);
  await page.getByLabel('Name of the new colony').fill('Tansy Upper');
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByRole('progressbar', { name: 'Steps done' })).toBeVisible();
  for (let i = 0; i < 2; i++) {
    await page
      .getByRole('button', { name: /^Done:/ })
      .first()
      .click();
    await expect(page.getByText(new RegExp(`^${i + 1} of`))).toBeVisible();
  }
  // The queen walks on a frame of the upper box, which is to be lifted off.
  await page.getByRole('button', { name: 'Something went differently' }).click();
  await page.getByText('The queen was found', { exact: true }).click();
  const upper = page.getByRole('group', { name: 'Frames of Tansy, upper box' });
  await upper.getByRole('button', { name: 'Frame 5' }).click();
  const goOn = page.getByRole('button', { name: 'Yes, continue' });
  await expect(goOn).toBeEnabled();
  await goOn.click();
  await expect(page.getByText('Queen found on Tansy, upper box, frame 5')).toBeVisible();
  // Two combs of the lower box become a nuc that nobody had planned.
  await page.getByRole('button', { name: 'Something went differently' }).click();
  await page.getByText('One more nuc was made', { exact: true }).click();
  const lower = page.getByRole('group', { name: 'Frames of Tansy, lower box' });
  await lower.getByRole('button', { name: 'Frame 1', exact: true }).click();
  await lower.getByRole('button', { name: 'Frame 3' }).click();
  await page.getByLabel('Name of the new nuc').fill('Yarrow');
  await expect(page.getByText('There is a colony named Yarrow already.')).toBeVisible();
  await page.getByLabel('Name of the new nuc').fill('Tansy Third');
  await expect(goOn).toBeEnabled();
  await goOn.click();
  await expect(page.getByText(/^One more nuc made: Tansy Third/)).toBeVisible();
  await workThrough(page);
  await expect.poll(() => framesOf(records, 'Tansy Upper')).toBe(10);
  expect(await framesOf(records, 'Tansy Third')).toBe(2);
  const { records: r } = await records.get();
  const idOf = (name: string) => r.colony.find((c) => c.name === name)?.id ?? '';
  const raising = r.followUp.filter((f) => f.status === 'open' && f.topic === 'eggs-due');
  // She is in the upper half: only the lower one raises a queen, and the nuc.
  const watched = raising.flatMap((f) => f.colonyIds);
  expect(watched).toContain(idOf('Tansy'));
  expect(watched).toContain(idOf('Tansy Third'));
  expect(watched).not.toContain(idOf('Tansy Upper'));
});
