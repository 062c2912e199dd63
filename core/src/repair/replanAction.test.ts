import { describe, expect, it } from 'vitest';
import { planAction } from '../remedies/actions/actions.ts';
import { workOfAction } from '../remedies/actions/actionPlan.ts';
import { framesOfColony, queenOf } from '../records/views.ts';
import { allFacts } from '../remedies/remedies.ts';
import { NO_BROOD, WEAK_DAY, WeakYard } from '../testing/weakYard.ts';
import { reportWork } from './reportWork.ts';
import type { WorkReport } from '../records/bodies/workReport.ts';

function begun(yard: WeakYard) {
  const all = allFacts(yard.apiary, WEAK_DAY, { coldNights: false });
  const facts = all.find((f) => f.colony.id === yard.weak.id);
  const plan = facts && planAction('boost-brood', facts, all, {}, yard.newId);
  if (!plan) throw new Error('no plan');
  const command = workOfAction(yard.apiary, plan, WEAK_DAY, yard.newId);
  yard.run(command);
  return { workId: command.work.id, move: command.work.body.moves[0]! };
}

function tell(yard: WeakYard, workId: string, report: WorkReport) {
  const told = reportWork(yard.apiary, workId, report, WEAK_DAY, yard.newId);
  if (told.ok) yard.run(told.value);
  return told;
}

const finish = (yard: WeakYard, workId: string) => {
  const open = Object.values(yard.apiary.workStep)
    .filter((s) => s.workId === workId && s.doneOn === null)
    .toSorted((a, b) => a.order - b.order);
  for (const s of open) yard.tick(s.id, WEAK_DAY);
};

describe('what was really done in an action', () => {
  it('a comb that stayed is not moved; the rest of the work stands', () => {
    const yard = new WeakYard(NO_BROOD);
    const { workId, move } = begun(yard);
    const home = yard.apiary.colony[move.fromKey];
    const steps = Object.values(yard.apiary.workStep).filter((s) => s.workId === workId).length;
    expect(
      tell(yard, workId, { what: 'frame-went', frameId: move.frameId, toColonyId: move.fromKey, slot: null })
        .ok,
    ).toBe(true);
    expect(Object.values(yard.apiary.workStep).filter((s) => s.workId === workId)).toHaveLength(steps);
    expect(yard.apiary.work[workId]?.body.moves.map((m) => m.frameId)).not.toContain(move.frameId);
    expect(yard.apiary.work[workId]?.body.reports).toHaveLength(1);
    expect(framesOfColony(yard.apiary, home!).map((f) => f.frame.id)).toContain(move.frameId);
  });

  it('a comb cannot go where every slot is taken: said with its remedy, nothing changed', () => {
    const yard = new WeakYard(NO_BROOD);
    const { workId, move } = begun(yard);
    const other = ['Rowan', 'Bryony'].map((n) => yard.colony(n)).find((c) => c.id !== move.fromKey)!;
    const before = yard.apiary;
    const told = tell(yard, workId, {
      what: 'frame-went',
      frameId: move.frameId,
      toColonyId: other.id,
      slot: null,
    });
    expect(told).toMatchObject({ ok: false, problems: [{ code: 'no-slot-free' }] });
    expect(yard.apiary).toBe(before);
  });

  it('a queen that was found is kept with the work, and it ends as planned', () => {
    const yard = new WeakYard(NO_BROOD);
    const { workId } = begun(yard);
    expect(tell(yard, workId, { what: 'queen-found', colonyId: yard.weak.id, frameId: null }).ok).toBe(true);
    finish(yard, workId);
    expect(yard.apiary.work[workId]?.status).toBe('done');
    expect(yard.apiary.work[workId]?.body.reports?.[0]?.words).toBe('Queen found in Nettle');
    expect(queenOf(yard.apiary, yard.weak.id)).toBeUndefined();
  });
});
