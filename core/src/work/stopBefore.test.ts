import { describe, expect, it } from 'vitest';
import { stopBefore } from './stopBefore.ts';
import { mayTakeHiveNext, takeHiveNext } from './takeHiveNext.ts';
import type { WorkStep } from '../records/bodies/work.ts';

const step = (kind: WorkStep['kind'], text: string, done = false): WorkStep => ({
  id: text,
  workId: 'w',
  task: null,
  unitKeys: [],
  order: 0,
  kind,
  text,
  detail: '',
  doneOn: done ? '2026-05-15' : null,
  frameIds: [],
});
/** Two hives of 3 + 1.5 + 2 minutes each, and a check of one. */
const steps = (done = 0): WorkStep[] =>
  [
    step('open', 'Open A'),
    step('move', 'Frame 1 → Nuc'),
    step('close', 'Close A'),
    step('open', 'Open B'),
    step('move', 'Frame 2 → Nuc'),
    step('close', 'Close B'),
    step('check', 'Entrances'),
  ].map((s, i) => (i < done ? { ...s, doneOn: '2026-05-15' } : s));

describe('time that runs out', () => {
  it('is enough: by the minutes that steps usually take', () => {
    expect(stopBefore(steps(), 14)).toEqual({ fits: true, needed: 14, after: steps()[5] });
  });
  it('is enough for one hive: stop when it is closed', () => {
    const { fits, after } = stopBefore(steps(), 12);
    expect([fits, after?.text]).toEqual([false, 'Close A']);
  });
  it('is not enough for any: do not open, or close what is open', () => {
    expect(stopBefore(steps(), 6).after).toBeNull();
    expect(stopBefore(steps(1), 3).after).toBeNull();
    expect(stopBefore(steps(1), 4).after?.text).toBe('Close A');
  });
});

describe('hives in another order', () => {
  it('one is taken next with all its steps, and nothing is lost', () => {
    const moved = takeHiveNext(steps(), 'Open B');
    expect(moved.map((s) => s.text)).toEqual([
      'Open B',
      'Frame 2 → Nuc',
      'Close B',
      'Open A',
      'Frame 1 → Nuc',
      'Close A',
      'Entrances',
    ]);
    expect(moved.map((s) => s.order)).toEqual([0, 1, 2, 3, 4, 5, 6]);
  });
  it('not the one that comes next anyway, nor one that is begun, nor what opens nothing', () => {
    expect(mayTakeHiveNext(steps(), 'Open A')).toBe(false);
    expect(mayTakeHiveNext(steps(5), 'Open B')).toBe(false);
    expect(mayTakeHiveNext(steps(), 'Close B')).toBe(false);
    expect(takeHiveNext(steps(), 'Open A')).toEqual(steps());
  });
});
