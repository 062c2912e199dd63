import { bothSides } from '@incremen/core/comb';
import { framesOfColony } from '@incremen/core/records';
import { STRONG_BOX, TestYard, withCells } from '@incremen/core/testing';
import { expect, test } from './fixtures.ts';
import { framesOf, say, workOff, workThrough } from './steps.ts';

const GIVEN = '2026-05-09';
const TODAY = '2026-05-20';

/** A queenless colony with a comb of another size that was given with eggs: six cells on it, hardly any other brood. */
function testComb(): TestYard {
  const yard = new TestYard(23);
  const food = bothSides({ honey: 8, beeBread: 1, drawn: 1 }, 8);
  const old = bothSides({ capped: 1, drawn: 6, honey: 3 }, 8);
  const drawn = bothSides({ drawn: 9, beeBread: 1 }, 7);
  const cells = withCells(bothSides({ drawn: 5, honey: 4, beeBread: 1 }, 8), 'capped', 6);
  const mint = yard.hive('Mint', [[food, old, drawn, cells, drawn, old, food, food]], TODAY);
  yard.hive('Sage', [STRONG_BOX], TODAY);
  yard.stock('drawn', 3);
  const { frame } = framesOfColony(yard.apiary, mint).find((p) => p.slot === 4) ?? {};
  if (!frame) throw new Error('no comb');
  yard.apiary = {
    ...yard.apiary,
    frame: { ...yard.apiary.frame, [frame.id]: { ...frame, sizeId: 'langstroth-medium' } },
    colony: { ...yard.apiary.colony, [mint.id]: { ...mint, broodGiven: [{ day: GIVEN, young: true }] } },
  };
  return yard;
}

test('two chances from one comb of cells of another size: today or too late, cut, divided, one fails and is reunited', async ({
  page,
  records,
}) => {
  await records.scene(testComb().apiary, TODAY);
  // The clock is the day on which eggs were given; the comb does not fit the others' boxes.
  await page.goto('/cells');
  const cells = page.getByRole('list', { name: 'Cells' }).getByRole('listitem');
  await expect(cells.first()).toContainText('dated by the day eggs were given');
  await expect(cells.first()).toContainText('on a Langstroth medium comb that hangs in another box');
  await expect(cells.first()).toContainText('Today or too late');
  await expect(page.getByRole('list', { name: 'Shares' })).toContainText('New nuc 1');
  await expect(page.getByRole('list', { name: 'Odds' })).toContainText('at least one of 2 parts');

  const mint = await records.colonyId('Mint');
  await page.goto(`/colonies/${mint}/count?by=seen`);
  await say(page, 'Mint', 'frames read', 'All 8');
  await say(page, 'Mint', 'eggs', 'None');
  await say(page, 'Mint', 'queen', 'None');
  await say(page, 'Mint', 'queen cells', 'Found');
  for (let n = 0; n < 6; n++) await page.getByRole('button', { name: 'One more: capped' }).click();
  await page.getByRole('button', { name: 'One less: drawn, open' }).click();
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict).toContainText(/raising|Leave the cells/);
  await page.getByRole('button', { name: 'Save inspection' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Mint' })).toBeVisible();

  // No brood is needed for a division three days before the queens are out: bees, cells and food are.
  await page.goto(`/colonies/${mint}/ways`);
  const best = page.getByRole('list', { name: 'Split methods, best first' }).getByRole('listitem').first();
  await expect(best).toContainText('Second split on spare cells');
  await expect(best).toContainText('left and right of the old place');
  await page.getByRole('button', { name: 'Plan: Second split on spare cells' }).click();
  await expect(page).toHaveURL(/cells=cut-out/);
  await expect(
    page.getByText('No rule is broken or near.').or(page.getByText(/rules met with room/)),
  ).toBeVisible();
  await workOff(page);
  expect(await framesOf(records, 'Mint II')).toBeGreaterThanOrEqual(4);
  const { records: r } = await records.get();
  const parts = ['Mint', 'Mint II'].map((name) =>
    r.colony.find((c) => c.name === name && c.endedOn === null),
  );
  const due = r.followUp.find((f) => f.status === 'open' && f.topic === 'eggs-due');
  expect(new Set(due?.colonyIds)).toEqual(new Set(parts.map((c) => c?.id)));
  if (!due) throw new Error('no day for eggs');

  // One of the two cells pressed in is followed to its comb there.
  await page.goto('/cells');
  await cells
    .filter({ hasText: 'Mint, box, frame' })
    .first()
    .getByRole('button', { name: 'Follow each cell' })
    .click();
  const followed = cells.filter({ hasText: 'Mint, box, frame' });
  await expect(followed).toHaveCount(6);
  await followed.first().getByRole('button', { name: 'Cut out…' }).click();
  const combs = followed.first().getByLabel('Pressed into which comb');
  const wanted = await combs.locator('option', { hasText: 'Mint II, ' }).first().getAttribute('value');
  await combs.selectOption(wanted ?? '');
  await expect(followed).toHaveCount(5);

  // On the day eggs are due one has them, the other has not, and goes back to its mother's hive.
  await records.setToday(due.window.latest);
  await page.goto(`/look/${due.id}`);
  for (const [part, eggs] of [
    ['Mint', 'Found'],
    ['Mint II', 'None'],
  ] as const) {
    await say(page, part, 'frames read', `All ${await framesOf(records, part)}`);
    await say(page, part, 'eggs', eggs);
    await say(page, part, 'queen cells', 'None');
  }
  await page.getByRole('button', { name: 'Save inspection' }).click();
  await expect
    .poll(async () => (await records.get()).records.visit.filter((v) => v.day === due.window.latest).length)
    .toBe(2);
  await page.goto(
    `/colonies/${await records.colonyId('Mint II')}/act/combine?with=${await records.colonyId('Mint')}`,
  );
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Unite');
  await page.getByRole('button', { name: 'Start the work' }).click();
  await workThrough(page);
  const { records: after } = await records.get();
  expect(
    after.colony.filter((c) => c.name.startsWith('Mint') && c.endedOn === null).map((c) => c.name),
  ).toEqual(['Mint']);
  const united = after.colony.find((c) => c.name === 'Mint' && c.endedOn === null);
  expect(
    after.followUp.some(
      (f) => f.status === 'open' && f.topic === 'rhythm' && f.colonyIds.includes(united?.id ?? ''),
    ),
  ).toBe(true);
});
