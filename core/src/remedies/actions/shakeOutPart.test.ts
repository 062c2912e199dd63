import { describe, expect, it } from 'vitest';
import { assess } from '../../assessment/index.ts';
import { bothSides } from '../../comb/contents.ts';
import { boxesOfColony, framesInStore, framesOfColony } from '../../records/views.ts';
import { brood, honey, NEST, Scene } from '../../testing/scene.ts';
import { caps, eggs, queen } from '../../testing/queenLooks.ts';
import { promisedBy } from '../promised.ts';
import { remediesFor } from '../remedies.ts';
import { unitFacts } from '../unit/unitFacts.ts';
import { workOfAction } from './actionPlan.ts';
import { planAction } from './actions.ts';

const DAY = '2026-05-20';
const drones = bothSides({ drone: 5, honey: 3, drawn: 2 }, 6);

/** A queen below a box of honey, and workers that lay above it; the excluder is told to lie below the top box. */
function tower(seen: ReadonlyMap<number, 'flat' | 'domed' | 'none'>) {
  const s = new Scene(NEST);
  s.hive(
    'Tower',
    [
      [honey, brood, brood, honey],
      [honey, honey, honey],
      [drones, drones, honey],
    ],
    DAY,
    10,
  );
  const boxes = boxesOfColony(s.apiary, s.colony('Tower'));
  s.see(
    DAY,
    {
      eggs: eggs('several', 'walls'),
      queen: queen('long'),
      cappedBrood: caps('both', 'scattered'),
      byBox: [...seen].map(([i, c]) => ({ boxId: boxes[i]!.id, eggs: null, caps: c })),
    },
    'Tower',
  );
  return { s, boxes, tower: () => s.colony('Tower') };
}

const TWO = new Map([
  [0, 'flat'],
  [1, 'none'],
  [2, 'domed'],
] as const);

describe('two sources in one hive', () => {
  it('the assessment calls for it, the desk offers it first, and nobody shakes out or requeens the whole', () => {
    const { s } = tower(TWO);
    const said = s.said(DAY, 'Tower');
    expect(said.board).toMatch(/Shake out the boxes with drone brood; her box stays/);
    expect(said.desk[0]).toBe('shake-out-part');
    for (const never of ['shake-out', 'give-queen', 'combine', 'let-go'])
      expect(said.desk).not.toContain(never);
    expect(said.next).not.toMatch(/laying workers kill|cut the loss/i);
  });

  it('the boxes above are shaken out, hers stays as it hangs, food stays with her, and her brood is judged in a week', () => {
    const { s, boxes, tower: colony } = tower(TWO);
    const hers = framesOfColony(s.apiary, colony()).filter((f) => f.box.id === boxes[0]!.id);
    const all = [unitFacts(s.apiary, colony(), DAY, { coldNights: false })];
    const plan = planAction('shake-out-part', all[0]!, all, {}, s.newId);
    if (!plan) throw new Error('no plan');
    const command = workOfAction(s.apiary, plan, DAY, s.newId);
    const [promise] = promisedBy(s.apiary, command.work);
    s.run(command);
    for (const step of command.steps) s.tick(step.id, DAY);
    const left = framesOfColony(s.apiary, colony());
    expect(boxesOfColony(s.apiary, colony()).map((b) => b.id)).toEqual([boxes[0]!.id, boxes[1]!.id]);
    for (const f of hers) expect(left.find((l) => l.frame.id === f.frame.id)?.slot).toBe(f.slot);
    // The one comb of food above hangs outside of a nest, the two of drones are in the store.
    expect(assess(s.apiary, colony(), promise!.day).strength.framesOfBees.likely).toBe(promise!.bees);
    expect(framesInStore(s.apiary)).toHaveLength(2);
    expect(left).toHaveLength(8);
    expect(colony().endedOn).toBeNull();
    const due = Object.values(s.apiary.followUp).filter((f) => f.colonyIds.includes(colony().id));
    expect(due.map((f) => f.topic)).toContain('capped-due');
    // What was acted on is not called for once more.
    expect(assess(s.apiary, colony(), '2026-05-22').queenAct.id).not.toBe('shake-out-part');
  });

  it('is not offered where nobody looked box by box, or drones are everywhere', () => {
    for (const seen of [
      new Map(),
      new Map([
        [0, 'domed'],
        [2, 'domed'],
      ] as const),
    ]) {
      const { s, tower: colony } = tower(seen);
      const found = remediesFor(s.apiary, colony(), DAY, { coldNights: false });
      expect(found.remedies.find((r) => r.id === 'shake-out-part')?.blocked).toMatch(/box by box/);
    }
  });

  it('the verdict names it before it is saved', () => {
    const { s, boxes } = tower(new Map());
    const seen = {
      eggs: eggs(),
      byBox: [
        { boxId: boxes[0]!.id, eggs: true, caps: 'flat' as const },
        { boxId: boxes[2]!.id, eggs: true, caps: 'domed' as const },
      ],
    };
    const v = s.verdict(DAY, seen);
    expect(v).toMatchObject({ finding: 'has-queen' });
    expect(v.text).toMatch(/her box stays on it/);
  });
});
