import { describe, expect, it } from 'vitest';
import { framesOfColony } from '../records/views.ts';
import { bothSides, type CellFinding, type FrameReading } from '../comb/contents.ts';
import { makePlan } from '../split/plan/makePlan.ts';
import { TestYard } from '../testing/builders.ts';
import { colonyState } from './colonyState.ts';

const TODAY = '2026-05-09';
const brood = bothSides({ capped: 6, eggs: 1, open: 1, drawn: 2 }, 10);
const honey = bothSides({ honey: 9, drawn: 1 }, 6);
const empty = bothSides({ drawn: 10 }, 4);
const thin = bothSides({ open: 1, capped: 1, honey: 2, drawn: 6 }, 3);
const times = (n: number, r: FrameReading) => Array.from({ length: n }, () => r);
const withCells = (cells: readonly CellFinding[]): FrameReading => ({ ...brood, cells });

function stateOf(frames: readonly FrameReading[], slots = 10, today = TODAY) {
  const yard = new TestYard();
  const colony = yard.hive('A', [frames], TODAY, slots);
  // As counted: what is judged here is the count, not what became of it.
  return colonyState(yard.apiary, colony, today, framesOfColony(yard.apiary, colony));
}

describe('the lane of a colony (thresholds: common practice, no source)', () => {
  it('of seven brood combs it can spare one and keeps six, though four are capped', () => {
    const capped = bothSides({ capped: 9, honey: 1 }, 9);
    const young = bothSides({ eggs: 2, open: 6, beeBread: 1, honey: 1 }, 9);
    const food = bothSides({ honey: 9, drawn: 1 }, 9);
    const state = stateOf([food, ...times(4, capped), ...times(3, young), ...times(2, food)]);
    expect(state).toMatchObject({ lane: 'strong', notice: { words: 'Can spare 1 frame of brood' } });
    const full = bothSides({ eggs: 1, capped: 9 }, 10);
    const six = stateOf([...times(2, food), ...times(6, full), ...times(2, food)]);
    expect(six.notice).toMatchObject({ id: 'steady', words: 'Strong: keep its brood together' });
  });

  it('a donor is above both lines and can give what it has above its own', () => {
    expect(stateOf([...times(8, brood), ...times(2, honey)])).toMatchObject({
      lane: 'strong',
      notice: { id: 'can-spare-brood', words: 'Can spare 1 frame of brood' },
    });
  });

  it('many bees with little brood do not make a donor', () => {
    expect(
      stateOf([
        ...times(3, brood),
        ...times(7, {
          ...honey,
          sides: times(2, brood)[0]!.sides.map((s) => ({ ...s, contents: { honey: 6, drawn: 4 } })) as never,
        }),
      ]).lane,
    ).toBe('even');
  });

  it('few bees are weak, and it says whether bees or brood are wanted', () => {
    expect(stateOf([...times(4, thin), ...times(6, empty)])).toMatchObject({ lane: 'weak' });
    const bare = { ...brood, sides: brood.sides.map((s) => ({ ...s, bees: 3 })) as never };
    expect(stateOf([...times(3, bare), ...times(7, bothSides({ drawn: 10 }, 0))]).notice.words).toBe(
      'Needs bees before brood',
    );
  });

  it('a small box is judged as a nuc, and says when it is full', () => {
    expect(stateOf(times(5, brood), 5)).toMatchObject({
      notice: { id: 'nuc-full', words: 'Nuc is full: move it into a full-size hive', urgent: true },
    });
    expect(stateOf([...times(2, brood), ...times(3, thin)], 5).lane).toBe('even');
  });

  it('a nest full of honey without an empty cell is honey-bound', () => {
    const full = bothSides({ honey: 10 }, 8);
    expect(stateOf([...times(3, brood), ...times(7, full)]).notice.words).toBe(
      'Honey-bound: give her empty comb',
    );
  });

  it('an old count asks to be counted again before anything else is said', () => {
    expect(stateOf(times(10, brood), 10, '2026-05-25').notice.words).toBe(
      'Count is 16 days old: count again',
    );
  });
});

describe('swarm cells say by when to act: the first cell is capped about day 8 (Winston 1987, as remembered)', () => {
  it.each<[string, CellFinding, string]>([
    [
      'a larva three days old has two days to go',
      { kind: 'charged', count: 2, larvaAgeDays: 3 },
      'Swarm cells: act by Mon 11 May',
    ],
    ['a capped cell means today', { kind: 'capped', count: 1 }, 'Swarm cells: act today'],
    [
      'a larva just hatched has five',
      { kind: 'charged', count: 1, larvaAgeDays: 0 },
      'Swarm cells: act by Thu 14 May',
    ],
  ])('%s', (_what, cell, words) => {
    expect(stateOf([withCells([cell]), ...times(9, brood)]).notice).toMatchObject({
      id: 'swarm-cells',
      words,
      urgent: true,
    });
  });

  it('empty cups and torn cells are no swarm', () => {
    expect(
      stateOf([
        withCells([
          { kind: 'cup', count: 9 },
          { kind: 'torn', count: 1 },
        ]),
        ...times(9, brood),
      ]).notice.words,
    ).not.toMatch(/Swarm/);
  });
});

describe('parts of a split', () => {
  function halves() {
    const yard = new TestYard();
    const rich = times(4, bothSides({ honey: 10 }, 5));
    const a = yard.hive(
      'A',
      [
        [...rich, ...times(6, brood)],
        [...rich, ...times(6, brood)],
      ],
      TODAY,
    );
    const plan = makePlan(
      yard.apiary,
      { colonyId: a.id, methodId: 'walk-away-halves', day: TODAY, newName: 'B', options: {} },
      yard.newId,
    );
    if (!plan.ok) throw new Error('no plan');
    yard.run(plan.value.command);
    for (const s of plan.value.command.steps) yard.tick(s.id, TODAY);
    return yard;
  }

  it.each([
    ['before the look', '2026-05-10', 'Inspect on Sat 16 May', false],
    ['on the day', '2026-05-16', 'Inspect today', true],
    ['while it rests', '2026-05-25', 'Hands off until Thu 4 Jun', false],
    ['long overdue', '2026-06-20', 'Inspection overdue since Thu 11 Jun', true],
  ])('%s', (_what, today, words, urgent) => {
    const yard = halves();
    const state = colonyState(yard.apiary, yard.colony('B'), today);
    expect(state).toMatchObject({ lane: 'raising', notice: { words, urgent }, countedBeforeSplit: true });
    expect(state.queen.state).toBe('unknown-part');
  });

  it('that has eaten what it had is to be fed, whatever its count said; where nectar comes in it is not', () => {
    const yard = new TestYard();
    const little = bothSides({ eggs: 1, open: 2, capped: 3, honey: 0.5, drawn: 3.5 }, 9);
    const hungry = yard.hive('Hungry', [times(6, little)], TODAY);
    const notice = (today: string) => colonyState(yard.apiary, hungry, today).notice;
    expect(notice('2026-05-10')).toMatchObject({ id: 'hungry', urgent: true });
    expect(notice('2026-05-14').words).toBe('Feed today: its food is used up');
    yard.flow('2026-05-09');
    expect(notice('2026-05-14').id).not.toBe('hungry');
  });

  it('a colony that nobody has counted says so', () => {
    const yard = new TestYard();
    const a = yard.hive('A', [times(3, brood)]);
    const frames = Object.fromEntries(
      framesOfColony(yard.apiary, a).map((p) => [p.frame.id, { ...p.frame, readingId: null }]),
    );
    const state = colonyState({ ...yard.apiary, frame: frames }, a, TODAY);
    expect(state).toMatchObject({
      lane: 'uncounted',
      notice: { id: 'not-counted', words: 'Not counted yet' },
      countAgeDays: null,
    });
  });
});
