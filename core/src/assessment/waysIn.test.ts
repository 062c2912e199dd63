import { describe, expect, it } from 'vitest';
import { addDays, type Day } from '../basics/day.ts';
import { bothSides } from '../comb/contents.ts';
import type { QueenDeed } from '../records/kinds/queen.ts';
import { newQueen } from '../records/kinds/queen.ts';
import { workOfAction } from '../remedies/actions/actionPlan.ts';
import { planAction } from '../remedies/actions/actions.ts';
import { allFacts } from '../remedies/remedies.ts';
import { caps, cells, cellsOf, eggs, NO, queen, YES } from '../testing/queenLooks.ts';
import { brood, honey, NEST, QUEENLESS, Scene } from '../testing/scene.ts';

// Days of queens: Winston 1987 (as remembered). Judgements: common practice, no source.

const DAY = '2026-05-10';
const after = (days: number): Day => addDays(DAY, days);
const NO_BROOD = { youngLarvae: NO, olderLarvae: NO, cappedBrood: caps('flat') } as const;
const ids = (s: Scene) => Array.from({ length: 8 }, () => s.newId());

/** A queen on record in the colony Here. */
function queened(s = new Scene(NEST)) {
  const id = s.newId();
  s.run({
    type: 'putQueen',
    queen: newQueen({ id, mating: 'mated', whereabouts: { known: 'colony', colonyId: s.here.id } }),
  });
  const note = (did: QueenDeed, day: Day = DAY) =>
    s.run({ type: 'noteQueen', queenId: id, day, did, newIds: ids(s) });
  return { s, id, note };
}

/** A hopelessly queenless colony into which a mated queen is put in a cage. */
function givenQueen() {
  const s = new Scene(QUEENLESS, '2026-05-01', 'elsewhere', '2026-05-01');
  s.see(8, { eggs: NO, cells: NO, ...NO_BROOD });
  const id = s.newId();
  s.run({ type: 'putQueen', queen: newQueen({ id, mating: 'mated', whereabouts: { known: 'stock' } }) });
  s.run({
    type: 'noteQueen',
    queenId: id,
    day: DAY,
    did: 'put-in',
    into: { colonyId: s.here.id, caged: true, beside: false },
    newIds: ids(s),
  });
  return { s, id };
}

/** A test comb is given, step by step, from a strong colony. */
function testComb(s: Scene, day: Day) {
  const strong = [...NEST, ...NEST.slice(1, 5)];
  s.hive('Strong', [strong, strong], addDays(day, -1));
  const all = allFacts(s.apiary, day, { coldNights: false });
  const facts = all.find((f) => f.colony.id === s.here.id);
  const plan = facts && planAction('test-frame', facts, all, {}, s.newId);
  if (!plan) throw new Error('no test comb');
  const work = workOfAction(s.apiary, plan, day, s.newId);
  s.run(work);
  for (const step of work.steps) s.tick(step.id, day);
}

describe('a queen lost by accident', () => {
  it('begins a lane with its days: cells on day 7 to 9, rest, eggs, a last day', () => {
    const { s, note } = queened();
    note('killed');
    expect(s.said(DAY).due).toEqual(['surplus-cells 2026-05-18', 'rest 2026-05-22', 'eggs-due 2026-06-07']);
    expect(s.said(DAY).lane).toMatchObject({ lostOn: DAY, decideBy: '2026-06-19' });
    expect(s.said(after(2)).board).toMatch(/Inspect on Mon 18 May/);
    expect(s.said(after(7))).toMatchObject({ list: 'must', board: 'Inspect by Tue 19 May' });
    expect(s.said(after(20)).list).toBe('mustNot');
    // Nobody has looked by the last day for eggs: that is an alarm, not a colony that raises a queen.
    expect(s.said(after(46)).board).toMatch(/overdue/i);
    expect(s.said(after(46)).list).toBe('must');
  });

  it('is judged by cells and larvae as a part of a split is', () => {
    const { s, note } = queened();
    note('lost');
    expect(s.verdict(after(7), { eggs: NO, cells: NO, ...NO_BROOD }).finding).toBe('hopeless');
    expect(s.verdict(after(4), { eggs: NO, cells: NO, youngLarvae: YES }).finding).toBe('still-time');
    expect(s.verdict(after(7), { eggs: NO, cells: cells('capped', 3) }).finding).toBe('raising');
  });

  it('of a queen that is taken into stock the same lane comes', () => {
    const { s, note } = queened();
    note('to-stock');
    expect(s.said(DAY).due).toContain('eggs-due 2026-06-07');
  });
});

describe('a swarm', () => {
  it('that has left leaves cells: casts, rest, eggs', () => {
    const { s } = queened();
    s.run({ type: 'recordSwarm', colonyId: s.here.id, day: DAY, hivedId: null, newIds: ids(s) });
    expect(s.said(DAY).due).toEqual(['surplus-cells 2026-05-12', 'rest 2026-05-15', 'eggs-due 2026-06-02']);
    expect(s.said(after(10)).list).toBe('mustNot');
    expect(s.said(after(10)).leading).toBe('virgin');
  });

  it('that was hived with the old queen is given time to draw comb, then looked at for eggs', () => {
    const { s } = queened();
    const hived = s.hive('Swarm', [[honey, honey]], DAY);
    s.run({ type: 'recordSwarm', colonyId: s.here.id, day: DAY, hivedId: hived.id, newIds: ids(s) });
    expect(s.said(after(1), 'Swarm')).toMatchObject({ list: 'mustNot', leading: 'not-laying' });
    expect(s.said(after(7), 'Swarm').board).toBe('Look for eggs');
    s.see(after(7), { eggs: eggs(), queen: queen('long'), cells: NO }, 'Swarm');
    expect(s.said(after(7), 'Swarm').leading).toBe('laying');
    expect(s.said(after(7), 'Swarm').board).not.toMatch(/eggs/);
  });
});

describe('a queen in a cage', () => {
  it('at home: she is there, lays nothing, and is let out when no worker brood is left', () => {
    const { s, note } = queened();
    note('caged');
    expect(s.said(after(3))).toMatchObject({
      board: 'She sits in her cage: let her out on Sun 31 May',
      list: 'may',
      leading: 'not-laying',
    });
    // No eggs are no alarm: everybody knows why.
    s.see(after(8), { eggs: NO, youngLarvae: NO, cells: NO });
    expect(s.said(after(8)).board).not.toMatch(/No eggs/);
    expect(s.said(after(23))).toMatchObject({ board: 'Let her out of her cage', list: 'must' });
  });

  it('given: shut until day 4, the cage, then eggs; what was seen before speaks no more', () => {
    const { s, id } = givenQueen();
    expect(s.said(after(1)).list).toBe('mustNot');
    expect(s.said(after(1)).next).not.toMatch(/comb of eggs|reunite/);
    expect(s.said(after(4))).toMatchObject({
      list: 'must',
      board: 'See that her cage is empty, and that no cells are drawn',
    });
    expect(s.said(after(9)).board).toBe('Look for eggs');
    const early = s.verdict(after(9), { eggs: NO, cells: NO });
    expect(early.finding).toBe('unclear');
    expect(early.text).toMatch(/no bad sign/);
    s.run({ type: 'noteQueen', queenId: id, day: after(9), did: 'laying', newIds: ids(s) });
    expect(s.said(after(10)).leading).toBe('laying');
  });

  it('given, with cells beside her: they come out first, and nothing is taken for swarming', () => {
    const { s } = givenQueen();
    const seen = { eggs: NO, cells: cells('open', 3) };
    const v = s.verdict(after(4), seen);
    expect(v.finding).toBe('unclear');
    expect(v.text).toMatch(/Take out every cell, then look for her/);
    s.see(after(4), seen);
    expect(s.said(after(4)).board).toMatch(/Take out all 3 cells/);
    expect(s.said(after(4)).next).not.toMatch(/swarm/i);
    expect(s.said(after(4)).due.join()).not.toMatch(/rest/);
  });

  it('given, and no eggs three weeks on: it is as any colony without eggs', () => {
    const { s } = givenQueen();
    const v = s.verdict(after(21), { eggs: NO, cells: NO, youngLarvae: NO });
    expect(v.text).not.toMatch(/no bad sign/);
    s.see(after(21), { eggs: NO, cells: NO, youngLarvae: NO });
    expect(s.said(after(21)).next).toMatch(/comb of eggs|inspect|no queen|Read/i);
  });
});

describe('brood that came from elsewhere', () => {
  it('begins the lane of a hopeless colony anew, and its eggs prove nothing', () => {
    const s = new Scene(QUEENLESS, '2026-05-01', 'elsewhere', '2026-05-01');
    s.see(9, { eggs: NO, cells: NO, ...NO_BROOD });
    testComb(s, DAY);
    expect(s.here.broodGiven).toEqual([{ day: DAY, young: true }]);
    expect(s.said(DAY).lane?.lostOn).toBe(DAY);
    // What was asked for is done: it is not asked for again.
    expect(s.said(DAY).next).not.toMatch(/comb of eggs/);
    expect(s.said(DAY).board).toMatch(/Inspect on Thu 14 May/);
    const v = s.verdict(after(2), { eggs: eggs(), cells: NO });
    expect(v.finding).toBe('unclear');
    expect(v.text).toMatch(/may be they/);
    s.see(after(4), { eggs: NO, cells: cells('open', 4) });
    expect(s.said(after(4)).leading).toBe('cells');
    expect(s.said(after(4)).next).not.toMatch(/swarm/i);
  });

  it('cells on it say that a colony of which nobody knew has no queen, since that day', () => {
    const bare = [honey, bothSides({ capped: 5, honey: 4, drawn: 1 }, 8), honey];
    const s = new Scene(bare);
    s.see(DAY, { eggs: NO, cells: NO, ...NO_BROOD });
    expect(s.said(DAY).leading).toMatch(/not-laying|hopeless/);
    testComb(s, DAY);
    const seen = { eggs: NO, cells: cells('open', 4) };
    const v = s.verdict(after(4), seen);
    expect(v).toMatchObject({ finding: 'raising' });
    expect(v.text).toMatch(/raises one since Sun 10 May/);
    s.see(after(4), seen);
    expect(s.said(after(4)).lane).toMatchObject({ lostOn: DAY });
    expect(s.said(after(4)).board).not.toMatch(/swarm/i);
    expect(s.said(after(15)).list).toBe('mustNot');
  });

  it('no cells and no eggs on it leave a virgin and laying workers side by side', () => {
    const bare = [honey, bothSides({ drawn: 7, honey: 3 }, 7), bothSides({ drawn: 7, honey: 3 }, 7), honey];
    const s = new Scene(bare);
    s.see(DAY, { eggs: NO, cells: NO, youngLarvae: NO, olderLarvae: NO, cappedBrood: NO });
    testComb(s, DAY);
    s.see(after(5), { eggs: NO, cells: NO, youngLarvae: YES });
    const { odds } = s.said(after(5));
    expect(odds.hopeless).toBeLessThan(0.5);
  });
});

describe('swarm cells', () => {
  it('that nobody came back to: the day has passed, and that is said', () => {
    const { s } = queened();
    s.see(DAY, { eggs: eggs(), cells: cellsOf(['capped', 5]), queen: queen('long') });
    expect(s.said(DAY).board).toBe('Swarm cells: act today');
    expect(s.said(after(6)).board).toMatch(/capped about Sun 10 May: see today whether the swarm has gone/);
    s.see(after(6), { eggs: NO, cells: cells('emerged', 1), queen: NO });
    expect(s.said(after(6)).board).not.toMatch(/act today/);
  });
});

it('combs of brood from another colony do not make a weak queen look better than she is', () => {
  const { s } = queened(new Scene([honey, brood, honey]));
  expect(s.here.broodGiven).toEqual([]);
});

describe('parts whose notes were swapped', () => {
  const swapped = () => {
    const s = new Scene(NEST, DAY, 'elsewhere');
    const id = s.newId();
    s.run({
      type: 'putQueen',
      queen: newQueen({
        id,
        mating: 'mated',
        whereabouts: { known: 'colony', colonyId: s.colony('Other').id },
      }),
    });
    return { s, id };
  };
  const noted = (s: Scene) => ['Here', 'Other'].map((name) => s.colony(name).separation?.queen);
  const raising = { eggs: NO, cells: cells('open', 6), youngLarvae: NO } as const;

  it.each(['queen first', 'cells first'])(
    'eggs where none can be, cells where she should be: queen, lane and days change places (%s)',
    (order) => {
      const { s, id } = swapped();
      if (order === 'cells first') s.see(7, raising, 'Other');
      s.see(7, { eggs: eggs('one', 'bottom'), cells: NO });
      if (order === 'queen first') s.see(7, raising, 'Other');
      expect(noted(s)).toEqual(['here', 'elsewhere']);
      expect(s.apiary.queen[id]?.whereabouts).toEqual({ known: 'colony', colonyId: s.here.id });
      const day = after(15);
      expect(s.said(day).lane).toBeNull();
      expect(s.said(day, 'Other').lane).toMatchObject({ lostOn: DAY });
      expect(s.said(day, 'Other').due.join()).toMatch(/rest/);
      expect(s.said(day).due.join()).not.toMatch(/rest|eggs-due/);
      expect(s.said(day, 'Other').list).toBe('mustNot');
    },
  );

  it('eggs in both are two queens: neither is said to be raising one', () => {
    const { s, id } = swapped();
    s.see(7, { eggs: eggs('one', 'bottom'), cells: NO }, 'Other');
    s.see(7, { eggs: eggs('one', 'bottom'), cells: NO });
    expect(noted(s)).toEqual(['here', 'here']);
    expect(s.apiary.queen[id]?.whereabouts).toEqual({ known: 'colony', colonyId: s.colony('Other').id });
    expect(s.said(after(8), 'Other').lane).toBeNull();
    expect(s.said(after(8)).lane).toBeNull();
  });

  it('eggs too early to prove, or of a young queen, change no notes', () => {
    for (const [day, earlier] of [
      [2, null],
      [28, 7],
    ] as const) {
      const { s } = swapped();
      if (earlier !== null) s.see(earlier, { eggs: NO, cells: cells('open', 4) });
      s.see(day, { eggs: eggs('one', 'bottom') });
      expect(noted(s)).toEqual(['elsewhere', 'here']);
    }
  });
});
