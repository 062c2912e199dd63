import { describe, expect, it } from 'vitest';
import { TestYard } from '../../testing/builders.ts';
import { NEST, STRONG_BOX } from '../../testing/nests.ts';
import { nucs, planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { makeYardPlan } from './makeYardPlan.ts';

const upper = [NEST.honey(6), NEST.open(8), NEST.capped(8), NEST.open(8), NEST.capped(8), NEST.bread()];
const withCell = { ...NEST.open(8), cells: [{ kind: 'capped' as const, count: 2 }] };

const stepsOf = (yard: TestYard, count: number) => workOf(yard, count).map((s) => s.text);

function workOf(yard: TestYard, count: number) {
  yard.stock('drawn', 12);
  const problem = problemOf(yard.apiary, requestFor(yard.apiary, [nucs(count)]));
  const { plan } = planned(problem);
  return makeYardPlan(yard.apiary, problem, plan, { names: {}, bound: null, name: 'p' }, yard.newId).steps;
}

describe('the order of the work in yards', () => {
  it('begins with the hive that has cells, however little comes out of it', () => {
    const yard = new TestYard();
    yard.hive('Calm', [[...STRONG_BOX], upper], '2026-05-14');
    yard.hive('Swarming', [[...STRONG_BOX], [...upper.slice(0, 5), withCell]], '2026-05-14');
    const opened = stepsOf(yard, 2).filter((t) => t.startsWith('Open '));
    expect(opened).toContain('Open Swarming');
    expect(opened[0]).toBe('Open Swarming');
  });

  it('goes through one yard after the other, and shuts each before the next', () => {
    const yard = new TestYard();
    yard.hive('Here', [[...STRONG_BOX], upper], '2026-05-14');
    const firstYard = yard.yardId;
    yard.run({ type: 'addYard', yard: { id: yard.newId(), name: 'Far', note: '' } });
    const far = Object.values(yard.apiary.yard).find((y) => y.name === 'Far');
    Object.assign(yard, { yardId: far?.id ?? '' });
    yard.hive('There', [[...STRONG_BOX], upper], '2026-05-14');
    expect(firstYard).not.toBe(far?.id);
    const steps = stepsOf(yard, 2);
    const at = (text: string) => steps.findIndex((t) => t === text || t.startsWith(text));
    const names = Object.values(yard.apiary.yard).map((y) => y.name);
    const first = names.find((n) => at(`Begin at ${n}`) === 0) ?? '';
    const second = names.find((n) => n !== first) ?? '';
    expect(first).not.toBe('');
    const shut = at(`${first}: every entrance is open again`);
    expect(shut).toBeGreaterThan(0);
    expect(at(`Go on to ${second}`)).toBe(shut + 1);
    expect(steps.at(-1)).toBe(`${second}: every entrance is open again, every lid is on`);
    // No hive of the other yard in between.
    expect(steps.slice(0, shut).filter((t) => t.startsWith('Open '))).toHaveLength(1);
  });

  // Common practice, no source: cells beside a queen that stays end in a swarm.
  it('has cells taken off where the queen stays, before her frames are moved, and says where they hang', () => {
    const yard = new TestYard();
    yard.hive('Swarming', [[...STRONG_BOX], [...upper.slice(0, 5), withCell]], '2026-05-14');
    const steps = workOf(yard, 1);
    const at = steps.findIndex(
      (s) => s.text === 'Take the queen cells out of Swarming, where the queen stays',
    );
    expect(steps[at]?.detail).toMatch(/^Upper box, frame 6\. Beside a queen that stays/);
    expect(steps[at]?.frameIds).toHaveLength(1);
    expect(steps[at - 1]?.kind).toBe('find');
    expect(steps[at + 1]?.kind).toBe('move');
  });

  it('asks for no cells where there are none', () => {
    const yard = new TestYard();
    yard.hive('Calm', [[...STRONG_BOX], upper], '2026-05-14');
    expect(stepsOf(yard, 1).filter((t) => t.includes('queen cells'))).toEqual([]);
  });

  it('says of each frame with eggs that they are on it', () => {
    const yard = new TestYard();
    yard.hive('Calm', [[...STRONG_BOX], upper], '2026-05-14');
    const readings = Object.values(yard.apiary.reading);
    const withEggs = new Set(
      readings.filter((r) => r.body.sides.some((s) => (s.contents.eggs ?? 0) > 0)).map((r) => r.frameId),
    );
    const moves = workOf(yard, 1).filter(
      (s) => s.kind === 'move' && s.frameIds.some((id) => withEggs.has(id)),
    );
    expect(moves.length).toBeGreaterThan(0);
    for (const m of moves) expect(m.detail).toMatch(/eggs/i);
  });
});
