import { describe, expect, it } from 'vitest';
import { seededIds } from '../demo/seededIds.ts';
import type { YardGoal, YardPlanRequest } from '../records/bodies/request.ts';
import { NamedHives, type Hives } from '../testing/namedHives.ts';
import { replaySteps } from '../testing/replaySteps.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor, twoAndTwo } from '../testing/yardRequests.ts';
import { makeYardPlan } from './layout/makeYardPlan.ts';
import { yardAnswer } from './layout/yardAnswer.ts';
import { evaluate } from './search/evaluate.ts';

/*
 * Every goal worked out by hand in one yard (common practice, no source). Alder is strong in two boxes, Birch strong in one,
 * Cress weak, Dock small and full of honey. Combs are called by hive, box, number and kind: AL3c is capped.
 */

const DAY = '2026-05-14';
const YARD: Hives = {
  Alder: ['HPcey*yocPH', 'HdceyocDPH'],
  Birch: ['HPcey*occPH'],
  Cress: ['HPsyd*PH'],
  Dock: ['HHHsy*sHHHH'],
};

function plan(
  goals: (id: (name: string) => string) => YardGoal[],
  change: Partial<YardPlanRequest> = {},
  hives: Hives = YARD,
) {
  const named = new NamedHives(hives);
  const { yard, colony } = named;
  const request = requestFor(
    yard.apiary,
    goals((name) => colony[name]!.id),
    { day: DAY, ...change },
  );
  const problem = problemOf(yard.apiary, request);
  const found = planned(problem, 20).plan;
  const seen = evaluate(problem, found);
  const nameOf = (u: number) => problem.units[u]?.name ?? 'the store';
  const answer = yardAnswer(problem, found, seen, nameOf);
  const before = yard.apiary;
  const made = makeYardPlan(before, problem, found, { names: {}, bound: null, name: 'p' }, seededIds(9));
  expect(seen.broken).toEqual([]);
  expect(replaySteps(before, made.work, made.steps)).toEqual([]);
  yard.run(made);
  for (const step of made.steps) yard.tick(step.id, DAY);
  return {
    named,
    answer,
    seen,
    made,
    texts: made.steps.map((s) => s.text),
    row: (n: string) => named.rows(n).at(-1) ?? '',
    rows: (n: string) => named.rows(n),
  };
}

describe('every goal, by hand', () => {
  it('nucs of two and two with cells, carried away: emerging and capped brood between food, all of the strongest', () => {
    const { row, rows } = plan(() => [nucs(2, twoAndTwo({ queen: 'cell', distance: 'away' }))]);
    for (const n of ['Nuc 1', 'Nuc 2']) expect(row(n)).toMatch(/^A\w+[HP] A\w+[ce] A\w+[ce] A\w+[HP]$/);
    // She stays, with eggs and open brood, and drones with her.
    expect(rows('Alder').join(' ')).toMatch(/AL5y AL6y AL7o/);
    expect(rows('Alder').join(' ')).toContain('AU8D');
  });

  it('five-frame nucs that raise: eggs in each, older brood beside them, a comb of food, room for the queen to come', () => {
    const { row } = plan(() => [nucs(2, fiveFrames())]);
    for (const n of ['Nuc 1', 'Nuc 2']) {
      const combs = row(n).split(' ');
      expect(combs.filter((c) => c.endsWith('y'))).toHaveLength(1);
      expect(combs.filter((c) => /[ce]$/.test(c)).length).toBeGreaterThanOrEqual(1);
      // Brood hangs together; food on one side of it at least.
      expect(combs.join(' ')).toMatch(/^(?:\S+[HPd] )*(?:\S+[yceo] ?)+(?:\S+[HPd] ?)*$/);
      expect(combs.some((c) => /[HP]$/.test(c))).toBe(true);
    }
  });

  it('level: one capped comb of the strongest, out of its upper box, to the weakest, into the middle of its nest', () => {
    const { answer, row } = plan(() => [{ id: 'l', kind: 'level', by: 'capped', importance: 2 }]);
    expect(answer).toBe('Move one comb of capped brood from Alder to Cress.');
    expect(row('Cress')).toMatch(/^C1H C2P C3s C4y AU[37]c/);
  });

  it('raise on cold nights: nurses of the strongest, no comb, and the weak hive is not opened', () => {
    const { answer, row, texts } = plan(
      (id) => [
        {
          id: 'r',
          kind: 'raise',
          colonyIds: [id('Cress')],
          by: 'bees',
          targetFrames: 6,
          onDay: DAY,
          importance: 2,
        },
      ],
      { nights: 'cold' },
    );
    expect(answer).toMatch(/^Shake the nurse bees off \d combs of Alder into Cress\.$/);
    expect(row('Cress')).toBe('C1H C2P C3s C4y C5d C6P C7H');
    expect(texts).not.toContain('Open Cress');
    // She is found before anything is shaken.
    expect(texts.findIndex((t) => t.startsWith('Find the queen'))).toBeLessThan(
      texts.findIndex((t) => t.startsWith('Shake')),
    );
  });

  it('free a honey-bound nest: the honey beside the brood goes, drawn comb comes in its place; honey at the wall stays', () => {
    const { answer, row } = plan((id) => [
      { id: 'f', kind: 'relieve', colonyIds: [id('Dock')], importance: 2 },
    ]);
    expect(answer).toMatch(
      /^Take one comb of food from Dock to the store; move one empty comb from the store to Dock\.$/,
    );
    // On the one side or the other: what stood beside the brood is gone, the walls are as they were.
    expect(row('Dock')).toMatch(/^D1H D2H .*(\+d D4s D5y D6s D7H|D3H D4s D5y D6s \+d) D8H D9H D10H$/);
  });

  it('hive up beside a honey-bound neighbour: its own six in their order, honey of the neighbour to the walls, whose brood gets room', () => {
    const { row, answer } = plan(
      (id) => [
        { id: 'h', kind: 'hiveUp', colonyId: id('Fern'), slots: 10, importance: 2 },
        { id: 'f', kind: 'relieve', colonyIds: [], importance: 2 },
      ],
      {},
      { Dock: YARD['Dock']!, Fern: ['PceyoH'] },
    );
    expect(answer).toMatch(/^Move Fern into a box of 10 frames; /);
    expect(row('Fern')).toContain('F1P F2c F3e F4y F5o F6H');
    expect(row('Dock')).toMatch(/\+d D4s D5y D6s \+d/);
  });

  it('provision: food goes to who is short of it, and who gives keeps what it needs', () => {
    const { row, seen } = plan(() => [
      { id: 'p', kind: 'provision', colonyIds: [], storesKg: 12, importance: 2 },
    ]);
    expect(row('Cress').match(/[AD]\w+H/g)?.length ?? 0).toBeGreaterThanOrEqual(1);
    expect(seen.broken).toEqual([]);
  });

  it('calm: nothing where there is room; a crowded one gives brood and gets empty comb', () => {
    const calm =
      (name: string) =>
      (id: (n: string) => string): YardGoal[] => [
        { id: 'c', kind: 'calm', colonyIds: [id(name)], importance: 2 },
      ];
    expect(plan(calm('Alder')).answer).toBe(
      'What you want is there already: leave everything where it hangs.',
    );
    const crowded = plan(calm('Elm'), {}, { Elm: ['PceycocecP'], Cress: ['HPsyd*PH'] });
    expect(crowded.rows('Elm').join(' ')).toMatch(/\+[df]/);
  });

  it('down to one box: refused where brood does not fit, with what would make it possible', () => {
    const asked = () =>
      plan((id) => [{ id: 's', kind: 'shrink', colonyId: id('Alder'), boxes: 1, importance: 2 }]);
    expect(asked).toThrow(/12 combs with brood; one box can hold 10/);
  });

  it('unite: one box on the other, its combs as they hang', () => {
    const { rows } = plan((id) => [
      { id: 'u', kind: 'unite', fromId: id('Cress'), intoId: id('Birch'), importance: 2 },
    ]);
    expect(rows('Birch')).toEqual([
      'B1H B2P B3c B4e B5y B6o B7c B8c B9P B10H',
      'C1H C2P C3s C4y C5d C6P C7H',
    ]);
  });
});
