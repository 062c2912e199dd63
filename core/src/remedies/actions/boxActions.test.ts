import { describe, expect, it } from 'vitest';
import { boxesOfColony, framesOfColony, openFollowUps, readingOf } from '../../records/views.ts';
import { shareOf } from '../../comb/contents.ts';
import { TestYard } from '../../testing/builders.ts';
import { STRONG_BOX, STRONG_UPPER, WEAK_BOX, withQueen } from '../../testing/nests.ts';
import { nestsAfter } from '../../testing/nestsAfter.ts';
import { replaySteps } from '../../testing/replaySteps.ts';
import type { ActionId } from '../../records/bodies/actionId.ts';
import { allFacts } from '../remedies.ts';
import { workOfAction, type ActionChoice } from './actionPlan.ts';
import { planAction } from './actions.ts';

// Work with boxes and combs: common practice, no source.

const DAY = '2026-05-15';
function done(
  id: ActionId,
  choice: ActionChoice = {},
  given: {
    boxes?: readonly (readonly (typeof STRONG_UPPER)[number][])[];
    coldNights?: boolean;
    drawn?: number;
    flow?: boolean;
  } = {},
) {
  const yard = new TestYard();
  const hive = yard.hive('Tansy', given.boxes ?? [STRONG_BOX], '2026-05-14');
  yard.stock('drawn', given.drawn ?? 10);
  yard.stock('foundation', 4);
  if (given.flow) yard.flow('2026-05-12');
  const all = allFacts(yard.apiary, DAY, { coldNights: given.coldNights ?? false });
  const facts = all.find((f) => f.colony.id === hive.id)!;
  const plan = planAction(id, facts, all, choice, yard.newId);
  if (!plan) return null;
  const before = yard.apiary;
  const made = workOfAction(before, plan, DAY, yard.newId);
  yard.run(made);
  for (const step of made.steps) yard.tick(step.id, DAY);
  const after = yard.apiary.colony[hive.id]!;
  return {
    yard,
    plan,
    before,
    made,
    after,
    boxes: boxesOfColony(yard.apiary, after),
    frames: framesOfColony(yard.apiary, after),
    due: openFollowUps(yard.apiary).filter((f) => f.colonyIds.includes(hive.id)),
    texts: made.steps.map((s) => s.text),
  };
}

describe('a box more', () => {
  it('on cold nights it goes under the brood, mild and crowded above it, in a flow as a super: with the figures', () => {
    const cold = done('add-box', {}, { coldNights: true })!;
    const mild = done('add-box')!;
    const flow = done('add-box', {}, { flow: true })!;
    expect(
      cold.boxes.map(
        (b) =>
          framesOfColony(cold.yard.apiary, cold.after).filter(
            (f) => f.box.id === b.id && shareOf(readingOf(f), 'capped') > 0,
          ).length > 0,
      ),
    ).toEqual([false, true]);
    expect(cold.plan.why).toMatch(
      /^\d+\.\d frames of bees on 10 combs, about \d+\.\d more emerge within a week\. Nights are cold/,
    );
    expect(mild.boxes[0]?.id).toBe(boxesOfColony(mild.before, mild.after)[0]?.id);
    expect(mild.boxes.map((b) => b.role)).toEqual(['brood', 'brood']);
    expect(flow.boxes.map((b) => [b.role, b.excluderBelow])).toEqual([
      ['brood', false],
      ['super', true],
    ]);
    // Nine combs in a super of ten.
    expect(flow.frames.filter((f) => f.box.role === 'super')).toHaveLength(9);
    for (const d of [cold, mild, flow]) {
      expect(replaySteps(d.before, d.made.work, d.made.steps)).toEqual([]);
      expect(d.due.map((f) => f.topic)).toEqual(['rhythm']);
    }
  });

  it('under a brood nest with supers nothing is mixed up: new box at the bottom, then brood, then supers', () => {
    const d = done('add-box', { where: 'over' }, { flow: true })!;
    const again = done('add-box', { where: 'under' }, { boxes: [STRONG_BOX, STRONG_UPPER] })!;
    expect(d.boxes).toHaveLength(2);
    const old = boxesOfColony(again.before, again.after).map((b) => b.id);
    expect(again.boxes.slice(1).map((b) => b.id)).toEqual(old);
  });

  it('says that it draws warmth from the brood when it is wanted above on cold nights, and how many frames are short', () => {
    const d = done('add-box', { where: 'over' }, { coldNights: true, drawn: 3 })!;
    expect(d.plan.why).toMatch(/draws warmth from the brood: wait for milder nights/);
    expect(d.plan.cautions.join(' ')).toMatch(/short of 7 frames/);
  });
});

describe('clean boxes', () => {
  it('the nest hangs as it hung, comb by comb; the old boxes are in the store', () => {
    const d = done('clean-boxes', {}, { boxes: [STRONG_BOX, STRONG_UPPER] })!;
    const before = framesOfColony(d.before, d.before.colony[d.after.id]!).map(
      (f) => `${f.frame.id} ${f.box.position} ${f.slot}`,
    );
    expect(d.frames.map((f) => `${f.frame.id} ${f.box.position} ${f.slot}`)).toEqual(before);
    const old = boxesOfColony(d.before, d.before.colony[d.after.id]!).map((b) => b.id);
    expect(d.boxes.some((b) => old.includes(b.id))).toBe(false);
    for (const id of old) expect(d.yard.apiary.box[id]?.hiveId).toBeNull();
    expect(replaySteps(d.before, d.made.work, d.made.steps)).toEqual([]);
  });

  it('feeders and boards go over with it', () => {
    const yard = new TestYard();
    const hive = yard.hive('Tansy', [STRONG_BOX.slice(0, 9)], '2026-05-14');
    const [box] = boxesOfColony(yard.apiary, hive);
    yard.run({ type: 'setInserts', boxId: box!.id, inserts: [{ what: 'frame-feeder', slot: 10 }] });
    const all = allFacts(yard.apiary, DAY, { coldNights: false });
    const plan = planAction('clean-boxes', all[0]!, all, {}, yard.newId)!;
    const made = workOfAction(yard.apiary, plan, DAY, yard.newId);
    yard.run(made);
    for (const step of made.steps) yard.tick(step.id, DAY);
    const [now] = boxesOfColony(yard.apiary, yard.apiary.colony[hive.id]!);
    expect(now?.inserts).toEqual([{ what: 'frame-feeder', slot: 10 }]);
    expect(yard.apiary.box[box!.id]?.inserts).toEqual([]);
  });
});

describe('the upper brood box becomes a super', () => {
  it('no comb is carried: shaken, excluder, back on; seen again on day 7, free of worker brood on day 21', () => {
    const d = done('box-to-super', {}, { boxes: [STRONG_BOX, STRONG_UPPER] })!;
    expect(d.made.work.body.moves).toEqual([]);
    expect(d.boxes.map((b) => [b.role, b.excluderBelow])).toEqual([
      ['brood', false],
      ['super', true],
    ]);
    expect(d.due.map((f) => [f.topic, f.window.likely])).toEqual([
      ['surplus-cells', '2026-05-22'],
      ['rhythm', '2026-06-05'],
    ]);
    expect(d.texts.some((t) => /^Shake every comb of the upper box into the lower box/.test(t))).toBe(true);
    expect(d.texts.findIndex((t) => t.startsWith('Excluder on'))).toBeGreaterThan(
      d.texts.findIndex((t) => t.startsWith('Shake')),
    );
  });

  it('the queen is not thought to be above any more; the inspection that saw her there stays as it was', () => {
    const seenAbove = STRONG_UPPER.map((r, i) => (i === 4 ? withQueen(r) : r));
    const plain = STRONG_BOX.map((r) => ({ ...r, queenSeen: false }));
    const d = done('box-to-super', {}, { boxes: [plain, seenAbove] })!;
    expect(d.frames.filter((f) => f.reading?.body.queenSeen)).toEqual([]);
    const kept = Object.values(d.yard.apiary.reading).filter((r) => r.body.queenSeen);
    expect(kept).toHaveLength(1);
    expect(kept[0]?.visitId).not.toBeNull();
  });

  it('is not offered for a hive of one box, and breaks cells before it shakes them', () => {
    expect(done('box-to-super')).toBeNull();
    const withCell = STRONG_UPPER.map((r, i) =>
      i === 3 ? { ...r, cells: [{ kind: 'charged' as const, count: 1 }] } : r,
    );
    const d = done('box-to-super', {}, { boxes: [STRONG_BOX, withCell] })!;
    const cut = d.texts.findIndex((t) => /^Break the queen cells of the upper box/.test(t));
    expect(cut).toBeGreaterThan(0);
    expect(cut).toBeLessThan(d.texts.findIndex((t) => t.startsWith('Shake')));
  });
});

describe('a drone comb', () => {
  it('hangs outside the brood of a strong colony, and is cut before day 24 (Winston 1987)', () => {
    const d = done('drone-comb')!;
    expect(d.due.map((f) => [f.topic, f.window])).toEqual([
      ['drone-comb', { earliest: '2026-06-02', likely: '2026-06-05', latest: '2026-06-07' }],
    ]);
    expect(replaySteps(d.before, d.made.work, d.made.steps)).toEqual([]);
    for (const nest of nestsAfter(d.before, d.made.work))
      expect({ [nest.hangs]: nest.faults }).toEqual({ [nest.hangs]: [] });
  });

  it('a weak colony gets none', () => {
    expect(done('drone-comb', {}, { boxes: [WEAK_BOX] })).toBeNull();
  });
});
