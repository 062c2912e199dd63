import { describe, expect, it } from 'vitest';
import { FULL_BOX, METHOD_DAY, methodPlan, withQueen } from '../testing/methodPlans.ts';
import type { WorkStep } from '../records/bodies/work.ts';
import { workState } from './workState.ts';

let n = 0;
const step = (
  kind: WorkStep['kind'],
  unitKeys: string[],
  text: string,
  task: WorkStep['task'] = null,
): WorkStep => ({
  id: `s${++n}`,
  workId: 'w',
  order: n,
  kind,
  task,
  text,
  detail: '',
  doneOn: null,
  unitKeys,
  frameIds: [],
});

/** Two givers and two nucs, with so many steps done. */
function yard(done: number): WorkStep[] {
  const steps = [
    step('prepare', ['nuc-1'], 'Set out a 5-frame box for Nuc 1'),
    step('prepare', ['nuc-12'], 'Set out a 5-frame box for Nuc 12'),
    step('open', ['tansy'], 'Open Tansy'),
    step('find', ['tansy'], 'Find the queen of Tansy; she was on lower box, frame 6', 'find-queen'),
    step('move', ['tansy', 'nuc-1'], 'Lower box, frame 3 → Nuc 1, slot 2', 'carry'),
    step('move', ['tansy', 'nuc-12'], 'Lower box, frame 4 → Nuc 12, slot 2', 'carry'),
    step('close', ['tansy'], 'Close Tansy'),
    step('open', ['sorrel'], 'Open Sorrel'),
    step('close', ['sorrel'], 'Close Sorrel'),
    step('close', ['nuc-1'], 'Close Nuc 1; entrance to a finger’s width'),
    step('close', ['nuc-12'], 'Close Nuc 12; entrance to a finger’s width'),
    step('check', [], 'Every entrance is open again, every lid is on'),
  ];
  return steps.map((s, i) => ({ ...s, doneOn: i < done ? METHOD_DAY : null }));
}
const texts = (steps: readonly WorkStep[]) => steps.map((s) => s.text);

describe('how work stands', () => {
  it('before anything is open it can stop at once', () => {
    for (const done of [0, 2]) {
      const state = workState(yard(done));
      expect(state.open).toBeNull();
      expect(state.closeNow).toEqual([]);
      expect(state.safeAfter).toBeNull();
    }
  });

  it('says which hive stands open, and closes it before the nucs that were begun', () => {
    const state = workState(yard(5));
    expect(state.open?.unitKeys).toEqual(['tansy']);
    expect(texts(state.closeNow)).toEqual(['Close Tansy', 'Close Nuc 1; entrance to a finger’s width']);
    expect(state.safeAfter?.text).toMatch(/^Close Nuc 1/);
    expect(texts(workState(yard(6)).closeNow)).toHaveLength(3);
  });

  it('does not take Nuc 1 for Nuc 12', () => {
    const begun = yard(0).map((s) =>
      s.unitKeys.includes('nuc-12') && s.kind === 'move' ? { ...s, doneOn: METHOD_DAY } : s,
    );
    const closing = texts(workState(begun).closeNow);
    expect(closing).toContain('Close Nuc 12; entrance to a finger’s width');
    expect(closing).not.toContain('Close Nuc 1; entrance to a finger’s width');
  });

  it('between two hives only the nucs are open', () => {
    const state = workState(yard(7));
    expect(state.open).toBeNull();
    expect(texts(state.closeNow)).toHaveLength(2);
  });

  it('tells frames carried and left, the queen, what is next, and the minutes', () => {
    const state = workState(yard(5));
    expect(texts(state.carried)).toEqual(['Lower box, frame 3 → Nuc 1, slot 2']);
    expect(texts(state.toCarry)).toEqual(['Lower box, frame 4 → Nuc 12, slot 2']);
    expect(state.queen).toMatch(/^Find the queen of Tansy/);
    expect(state.next?.text).toMatch(/frame 4/);
    // Left: 1 frame of 1.5, 4 to close of 2, 1 to open of 3, 1 check of 1 minute.
    expect(state.minutesLeft).toBe(Math.round(1.5 + 8 + 3 + 1));
    expect(workState(yard(12)).minutesLeft).toBe(0);
    expect(workState(yard(12)).next).toBeNull();
  });

  it('reads the steps of a split as well: both are closed', () => {
    const seen = FULL_BOX.map((c, i) => (i === 3 ? withQueen(c) : c));
    const { command, stay } = methodPlan('queen-to-nuc', [seen, FULL_BOX]);
    const { steps } = command;
    const opened = steps.map((s, i) => ({ ...s, doneOn: i < 3 ? METHOD_DAY : null }));
    const state = workState(opened);
    expect(state.open?.unitKeys).toEqual([stay.colonyId]);
    expect(texts(state.closeNow)).toEqual(['Close both; nuc entrance to a finger’s width']);
    expect(workState(steps.map((s) => ({ ...s, doneOn: METHOD_DAY }))).open).toBeNull();
  });
});
