import { addDays } from '@incremen/core/basics';
import { NEST, STRONG_BOX, STRONG_UPPER, TestYard, withQueen } from '@incremen/core/testing';
import { expect, test, type Records } from './fixtures.ts';
import { say, workedOut, workThrough } from './steps.ts';

// Work on whole boxes, from the wish to the last inspection.

const DAY = '2026-05-16';
const { capped, open, honey, bread } = NEST;

/** Five over five: a standby nuc of two storeys. */
const NUC_LOWER = [bread(8), open(7, 9), withQueen(open(7, 9)), capped(7, 9), honey(8)];
const NUC_UPPER = [honey(8), capped(7, 9), capped(6, 9), bread(8), honey(7)];

const boxesOf = async (records: Records, name: string) => {
  const { records: r } = await records.get();
  const hiveId = r.colony.find((c) => c.name === name)?.hiveId;
  return r.box.filter((b) => b.hiveId === hiveId).toSorted((a, b) => a.position - b.position);
};
const dueOn = async (records: Records, name: string, topic: string) => {
  const { records: r } = await records.get();
  const id = r.colony.find((c) => c.name === name)?.id ?? '';
  return r.followUp.find((f) => f.status === 'open' && f.topic === topic && f.colonyIds.includes(id));
};

test('a standby nuc of two storeys moves, with excluder, super and drone comb in one job; the comb is cut on its day', async ({
  page,
  records,
}) => {
  const yard = new TestYard(11);
  yard.hive('Clover', [NUC_LOWER, NUC_UPPER], DAY, 5);
  yard.stock('drawn', 14);
  yard.stock('foundation', 8);
  await records.scene(yard.apiary, DAY);
  await page.goto(`/plan?goal=hiveUp&colony=${await records.colonyId('Clover')}`);
  const goal = page.getByRole('region', { name: 'Move into a full-size hive' });
  await goal.getByLabel('For drones').selectOption('comb');
  await expect(page.getByText(/its new box has no slot left for a drone comb/)).toBeVisible();
  await goal.getByRole('button', { name: 'More: box of' }).click();
  await goal.getByRole('button', { name: 'More: box of' }).click();
  await goal.getByLabel('On it, in the same job').selectOption('super');
  await workedOut(page);
  await page.getByRole('button', { name: 'Start the work' }).click();
  await expect(page.getByText(/^Take the upper box off Clover/)).toBeVisible();
  await expect(page.getByText(/^Hang the drone frame in slot \d+ of Clover/)).toBeVisible();
  await workThrough(page);
  const boxes = await boxesOf(records, 'Clover');
  expect(boxes.map((b) => [b.role, b.slots, b.excluderBelow])).toEqual([
    ['brood', 12, false],
    ['super', 12, true],
  ]);
  // Three weeks on the comb is due, is cut, and is off the list.
  const due = await dueOn(records, 'Clover', 'drone-comb');
  expect(due?.window.likely).toBe(addDays(DAY, 21));
  await records.setToday(addDays(DAY, 21));
  await page.goto('/inspections');
  await expect(page.getByText(/Cut the drone comb in slot \d+ while it is capped/).last()).toBeVisible();
  await page.getByRole('button', { name: 'Done: Cut or freeze the drone comb' }).click();
  await expect.poll(async () => await dueOn(records, 'Clover', 'drone-comb')).toBeUndefined();
});

test('an upper brood box becomes a super without finding the queen: day 7, then free of brood', async ({
  page,
  records,
}) => {
  const yard = new TestYard(12);
  yard.hive('Teasel', [STRONG_BOX, STRONG_UPPER], DAY);
  await records.scene(yard.apiary, DAY);
  await page.goto(`/colonies/${await records.colonyId('Teasel')}/hive`);
  await page.getByRole('link', { name: /^Make the upper brood box a super/ }).click();
  await page.getByRole('button', { name: /^Start/ }).click();
  await expect(page.getByText(/^Shake every comb of the upper box into the lower box/)).toBeVisible();
  await workThrough(page);
  expect((await boxesOf(records, 'Teasel')).map((b) => [b.role, b.excluderBelow])).toEqual([
    ['brood', false],
    ['super', true],
  ]);
  const look = await dueOn(records, 'Teasel', 'surplus-cells');
  expect(look?.window.likely).toBe(addDays(DAY, 7));
  await records.setToday(addDays(DAY, 7));
  await page.goto(`/look/${look?.id}`);
  await say(page, 'Teasel', 'frames read', 'All 20');
  await say(page, 'Teasel', 'eggs', 'Found');
  await say(page, 'Teasel', 'queen cells', 'None');
  await page.getByRole('button', { name: /^Save/ }).click();
  await expect.poll(async () => await dueOn(records, 'Teasel', 'surplus-cells')).toBeUndefined();
});

test('floor and box are exchanged for clean ones, then a box is added where next week’s bees want it', async ({
  page,
  records,
}) => {
  const yard = new TestYard(13);
  yard.hive('Bugle', [STRONG_BOX], '2026-05-10');
  yard.stock('drawn', 12);
  await records.scene(yard.apiary, '2026-05-11');
  const id = await records.colonyId('Bugle');
  const before = await boxesOf(records, 'Bugle');
  await page.goto(`/colonies/${id}/hive`);
  await page.getByRole('link', { name: /^Exchange floor and boxes/ }).click();
  await page.getByRole('button', { name: /^Start/ }).click();
  await workThrough(page);
  const clean = await boxesOf(records, 'Bugle');
  expect(clean).toHaveLength(1);
  expect(clean[0]?.id).not.toBe(before[0]?.id);
  await page.goto(`/colonies/${id}/hive`);
  await page.getByRole('link', { name: /^Add a box/ }).click();
  await expect(page.getByText(/within a week/).first()).toBeVisible();
  await page.getByRole('button', { name: /^Start/ }).click();
  await workThrough(page);
  expect(await boxesOf(records, 'Bugle')).toHaveLength(2);
});

test('a colony of two boxes and a super is broken up whole: super off first, all off the stand at dusk', async ({
  page,
  records,
}) => {
  const yard = new TestYard(14);
  const moss = yard.hive('Moss', [STRONG_BOX, STRONG_UPPER, STRONG_UPPER.map(() => honey(6))], DAY);
  const top = Object.values(yard.apiary.box)
    .filter((b) => b.hiveId === moss.hiveId)
    .toSorted((a, b) => b.position - a.position)[0]!;
  yard.apiary = {
    ...yard.apiary,
    box: { ...yard.apiary.box, [top.id]: { ...top, role: 'super', excluderBelow: true } },
  };
  await records.scene(yard.apiary, DAY);
  await page.goto('/plan?goal=makeNucs');
  const goal = page.getByRole('region', { name: 'Make nucs' });
  await goal.getByLabel('Donors').selectOption({ label: 'Moss is broken up whole' });
  await workedOut(page);
  await page.getByRole('button', { name: 'Start the work' }).click();
  await expect(page.getByText('Take the super off Moss, its bees brushed down into the hive')).toBeVisible();
  await workThrough(page);
  const { records: r } = await records.get();
  expect(await boxesOf(records, 'Moss')).toHaveLength(1);
  expect(r.colony.filter((c) => c.endedOn === null).length).toBeGreaterThanOrEqual(4);
  // The last job of the day: nothing is left on the old stand.
  await page.goto('/inspections');
  await expect(page.getByText(/At dusk, carry the parts to places apart/).last()).toBeVisible();
});
