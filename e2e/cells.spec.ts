import { addDays } from '@incremen/core/basics';
import { NEST, STRONG_BOX, TestYard, withCells, withQueen } from '@incremen/core/testing';
import { expect, test } from './fixtures.ts';
import { framesOf, say, see, workOff, workThrough } from './steps.ts';

const LOST = '2026-05-09';

/** Two parts of one colony on day 7: the one without the queen is full of cells, on two of its combs. */
function fullOfCells(): TestYard {
  const yard = new TestYard(21);
  const combs = STRONG_BOX.map((c, i) => (i === 3 || i === 6 ? withCells(c, 'capped', 5) : c));
  const noEggs = combs.map((c) => ({
    ...c,
    queenSeen: false,
    sides: c.sides.map((s) => ({ ...s, contents: { ...s.contents, eggs: 0 } })) as unknown as typeof c.sides,
  }));
  const part = yard.hive('Thrift', [noEggs], addDays(LOST, 7));
  const old = yard.hive('Thrift Old', [STRONG_BOX], addDays(LOST, 7));
  const partIds = [part.id, old.id];
  for (const [c, queen] of [
    [part, 'elsewhere'],
    [old, 'here'],
  ] as const)
    yard.apiary = {
      ...yard.apiary,
      colony: {
        ...yard.apiary.colony,
        [c.id]: { ...c, separation: { v: 1, day: LOST, workId: null, partIds, emergence: null, queen } },
      },
    };
  return yard;
}

test('a week-old split full of cells: none is ordered out, another nuc is offered and made, both are left in peace', async ({
  page,
  records,
}) => {
  await records.scene(fullOfCells().apiary, addDays(LOST, 7));
  const id = await records.colonyId('Thrift');
  await page.goto(`/colonies/${id}/count?by=seen`);
  await say(page, 'Thrift', 'frames read', 'All 10');
  await say(page, 'Thrift', 'eggs', 'None');
  await say(page, 'Thrift', 'queen cells', 'Found');
  for (let n = 0; n < 6; n++) await page.getByRole('button', { name: 'One more: capped' }).click();
  await page.getByRole('button', { name: 'One less: drawn, open' }).click();
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict).toContainText('Leave the cells; the bees choose');
  await expect(verdict).toContainText('Or make another nuc of some');
  await expect(verdict).not.toContainText(/cut the other|take the others out|give a mated/i);
  await page.getByRole('button', { name: 'Save inspection' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Thrift' })).toBeVisible();

  await page.goto(`/colonies/${id}/ways`);
  await page.getByRole('button', { name: 'Plan: Second split on spare cells' }).click();
  await expect(page.getByRole('region', { name: 'Rules of the plan' })).toContainText(
    'Cells left in Thrift II',
  );
  await workOff(page);
  expect((await framesOf(records, 'Thrift')) + (await framesOf(records, 'Thrift II'))).toBe(10);
  const { records: r } = await records.get();
  const parts = r.colony
    .filter((c) => c.name.startsWith('Thrift') && c.name !== 'Thrift Old')
    .map((c) => c.id);
  // Both halves have cells on their combs, and a day on which eggs are due.
  for (const colonyId of parts) {
    const boxes = r.box.filter((b) => b.chambers.some((c) => c.colonyId === colonyId)).map((b) => b.id);
    const frames = r.frame.filter((f) => f.boxId !== null && boxes.includes(f.boxId));
    const cells = frames.flatMap((f) => r.reading.find((x) => x.id === f.readingId)?.body.cells ?? []);
    expect(cells.reduce((n, c) => n + c.count, 0)).toBeGreaterThanOrEqual(2);
    expect(
      r.followUp.some((f) => f.status === 'open' && f.topic === 'eggs-due' && f.colonyIds.includes(colonyId)),
    ).toBe(true);
  }
});

test('swarm cells near capping and rain in an hour: act today, the queen to a nuc on a comb without cells, three weeks on', async ({
  page,
  records,
}) => {
  const yard = new TestYard(22);
  const strong = STRONG_BOX.map((c, i) =>
    i === 4 ? withQueen(c) : i === 2 || i === 6 ? withCells(c, 'charged', 4) : c,
  );
  yard.hive('Teasel', [strong, STRONG_BOX.map((c) => ({ ...c, queenSeen: false }))], '2026-05-16');
  yard.hive('Sedge', [STRONG_BOX], '2026-05-16');
  await records.scene(yard.apiary, '2026-05-16');
  await page.goto('/yard');
  await expect(page.getByRole('link', { name: /^Teasel/ }).first()).toContainText(/Swarm cells: act/);
  const id = await records.colonyId('Teasel');
  await page.goto(`/colonies/${id}/ways`);
  await page.getByRole('button', { name: 'Plan: Queen moved out to a nuc' }).click();
  await expect(page.getByRole('region', { name: 'Rules of the plan' })).toBeVisible();
  await workOff(page);
  const { records: r } = await records.get();
  const nuc = r.colony.find((c) => c.name === 'Teasel II');
  const boxes = r.box.filter((b) => b.chambers.some((c) => c.colonyId === nuc?.id)).map((b) => b.id);
  const frames = r.frame.filter((f) => f.boxId !== null && boxes.includes(f.boxId));
  const readings = frames.map((f) => r.reading.find((x) => x.id === f.readingId)?.body);
  expect(readings.some((b) => b?.queenSeen)).toBe(true);
  expect(readings.flatMap((b) => b?.cells ?? [])).toEqual([]);
  // One or two combs and a shake, not half of the hive.
  expect(frames.length).toBeLessThanOrEqual(5);
  await page.goto('/yard');
  await expect(page.getByRole('link', { name: /^Teasel,|^Teasel / }).first()).not.toContainText(
    'Swarm cells',
  );
  const eggs = r.followUp.find(
    (f) => f.status === 'open' && f.topic === 'eggs-due' && f.colonyIds.includes(id),
  );
  expect(eggs?.window.likely && eggs.window.likely > '2026-05-28').toBe(true);
});

test('two sources in one hive: seen box by box, the boxes above are shaken out, her box stays, judged in a week', async ({
  page,
  records,
}) => {
  const yard = new TestYard(23);
  const day = '2026-05-20';
  const drones = { ...NEST.honey(6), cells: [] };
  yard.hive(
    'Vetch',
    [
      [NEST.honey(8), NEST.open(8), NEST.capped(8), NEST.honey(8)],
      [drones, drones, drones],
    ],
    day,
  );
  yard.hive('Other', [STRONG_BOX], day);
  await records.scene(yard.apiary, day);
  await page.goto(`/colonies/${await records.colonyId('Vetch')}/count?by=seen`);
  await say(page, 'Vetch', 'eggs', 'Found');
  await say(page, 'Vetch', 'caps in the lower box', 'flat');
  await say(page, 'Vetch', 'caps in the upper box', 'domed');
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText(
    'A queen lays in one box, others in another',
  );
  await page.getByRole('button', { name: 'Save inspection' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Vetch' })).toBeVisible();
  await expect(page.getByText(/Shake out the boxes with drone brood; her box stays/).first()).toBeVisible();
  await page.goto(`/colonies/${await records.colonyId('Vetch')}/act`);
  await page.getByRole('link', { name: /Work out: Shake out the boxes with drone brood/ }).click();
  await page.getByRole('button', { name: 'Start the work' }).click();
  await expect(page.getByText(/See eggs or her in the lower box/)).toBeVisible();
  await workThrough(page);
  await expect(page.getByText('Come back on Wed 27 May')).toBeVisible();
  const { records: r } = await records.get();
  const vetch = r.colony.find((c) => c.name === 'Vetch');
  expect(vetch?.endedOn).toBeNull();
  expect(r.box.filter((b) => b.chambers.some((c) => c.colonyId === vetch?.id))).toHaveLength(1);

  await records.setToday('2026-05-27');
  await see(page, records, 'Vetch', [
    ['eggs', 'Found'],
    ['capped brood', 'Found'],
    ['cappings', 'Flat (worker)'],
    ['pattern', 'Compact'],
  ]);
  await expect(page.getByRole('region', { name: 'What we know about the queen' })).toContainText(
    'Most likely a mated queen lays',
  );
});
