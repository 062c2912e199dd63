import { describe, expect, it } from 'vitest';
import { framesInStore } from '../records/views.ts';
import { TestYard } from '../testing/builders.ts';
import { NEST, STRONG_BOX, WEAK_BOX, withQueen } from '../testing/nests.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor } from '../testing/yardRequests.ts';
import { evaluate } from './search/evaluate.ts';
import { layOutYard } from './layout/layOutYard.ts';
import { makeYardPlan } from './layout/makeYardPlan.ts';
import { reasonOfMove } from './layout/moveReasons.ts';
import type { NucRecipe, YardGoal, YardPlanRequest } from '../records/bodies/request.ts';

const above = [
  NEST.honey(6),
  NEST.honey(6),
  NEST.open(6),
  NEST.capped(6),
  NEST.open(6),
  NEST.bread(),
  NEST.bread(),
  NEST.empty(6),
  NEST.empty(5),
  NEST.honey(6),
];

function worked(goals: (yard: TestYard) => YardGoal[], change: Partial<YardPlanRequest> = {}, store = 6) {
  const yard = new TestYard();
  yard.hive('Donor', [[...STRONG_BOX], above], '2026-05-14');
  yard.hive('Weak', [[...WEAK_BOX, NEST.honey(3)]], '2026-05-14', 10);
  yard.hive(
    'Nuc',
    [[NEST.bread(8), NEST.capped(8, 10), withQueen(NEST.open(8, 10)), NEST.open(8, 10), NEST.honey(9)]],
    '2026-05-14',
    5,
  );
  if (store > 0) yard.stock('drawn', store);
  const problem = problemOf(yard.apiary, requestFor(yard.apiary, goals(yard), change));
  const { plan } = planned(problem);
  const seen = evaluate(problem, plan);
  const laid = layOutYard(problem, plan, seen, framesInStore(yard.apiary));
  const kept = makeYardPlan(yard.apiary, problem, plan, { names: {}, bound: null, name: 'p' }, yard.newId);
  return { yard, problem, plan, seen, laid, kept, body: kept.work.body, steps: kept.steps };
}
const oneNuc =
  (recipe: Partial<NucRecipe> = {}) =>
  () => [nucs(1, fiveFrames(recipe))];
const texts = (steps: readonly { text: string; detail: string }[]) => steps.map((s) => s.text);

describe('the steps of a nuc', () => {
  it('go from the box set out to every entrance open again, frames before the close', () => {
    const { steps } = worked(oneNuc());
    const all = texts(steps);
    expect(all[0]).toBe('Set out a 5-frame box for Nuc 1');
    expect(all.at(-1)).toBe('Every entrance is open again, every lid is on');
    const at = (part: string) => all.findIndex((t) => t.includes(part));
    expect(at('Open Donor')).toBeLessThan(at('Find the queen of Donor'));
    const found = at('Find the queen of Donor');
    // A comb from a box above hers goes before she is found, and says so.
    const toNuc = steps.flatMap((s, i) => (s.text.includes('→ Nuc 1') ? [{ ...s, i }] : []));
    expect(toNuc.map((s) => s.detail.includes('not found yet'))).toEqual(toNuc.map((s) => s.i < found));
    expect(at('→ Nuc 1')).toBeLessThan(at('Close Nuc 1'));
    expect(at('Close Donor')).toBeGreaterThan(at('→ Nuc 1'));
    expect(steps.map((s) => s.order)).toEqual(steps.map((_, i) => i));
  });

  it('say how it gets its queen, and where it goes', () => {
    const detail = (recipe: Partial<NucRecipe>) =>
      worked(oneNuc(recipe)).steps.find((s) => s.text.startsWith('Close Nuc 1'))?.detail ?? '';
    expect(detail({ queen: 'raises' })).toContain('raises its queen from its own eggs');
    expect(detail({ queen: 'cell' })).toContain('between its brood frames in one to three days');
    expect(detail({ queen: 'mated' })).toContain('The cage goes beside the brood');
    const away = worked(oneNuc({ distance: 'away' }));
    expect(texts(away.steps)).toContain('Strap Nuc 1, shut its entrance, in the shade and with air');
    expect(away.body.cautions.some((c) => c.startsWith('Transport'))).toBe(true);
  });

  it('with the old queen do not search for her to stay, and tell her colony to raise another', () => {
    const { steps, body } = worked(oneNuc({ queen: 'old-queen' }));
    expect(texts(steps).some((t) => t.startsWith('Find the queen'))).toBe(false);
    const giver = body.units.find((u) => u.state === 'stays' && u.parted?.queen === 'elsewhere');
    expect(giver?.state).toBe('stays');
    expect(steps.find((s) => s.text === `Close ${giver?.name}`)?.detail).toContain('It raises a queen now');
  });

  it('name every frame with its slot, and each frame once', () => {
    const { steps, body } = worked(oneNuc());
    const toNuc = body.moves.filter((m) => m.toKey.startsWith('nucs/') && m.fromKey !== 'store');
    const said = texts(steps).filter((t) => / → Nuc 1, slot \d+$/.test(t));
    expect(said).toHaveLength(toNuc.length);
    expect(new Set(said).size).toBe(said.length);
  });
});

describe('what is brought', () => {
  it('is boxes, stands, tags, combs, and what the queens need', () => {
    const kit = (recipe: Partial<NucRecipe>) =>
      Object.fromEntries(worked(oneNuc(recipe)).body.kit.map((k) => [k.what, k.count]));
    expect(kit({})).toMatchObject({ 'nuc box, 5 frames, with floor and lid': 1, stand: 1, 'hive tag': 1 });
    expect(kit({})['mated queen in her cage']).toBeUndefined();
    expect(kit({ queen: 'mated' })['mated queen in her cage']).toBe(1);
    expect(kit({ queen: 'cell' })['ripe queen cell']).toBe(1);
  });

  it('says how many combs the store lacks', () => {
    const { body } = worked(oneNuc({ emptyCombs: 0 }), {}, 0);
    const missing = body.kit.find((k) => k.what === 'frame for a free slot');
    expect(missing?.shortBy).toBeGreaterThan(0);
    expect(missing?.shortBy).toBe(missing?.count);
  });
});

describe('when to come back', () => {
  const looks = (recipe: Partial<NucRecipe>) =>
    worked(oneNuc(recipe)).body.looks.map((l) => [l.kind, l.topic, l.window.earliest] as const);

  it('to a nuc that raises its queen: days 7 to 9, hands off, eggs due', () => {
    expect(looks({})).toEqual([
      ['look', 'bees-stay', '2026-05-16'],
      ['look', 'surplus-cells', '2026-05-22'],
      ['hands-off', 'rest', '2026-05-27'],
      ['look', 'eggs-due', '2026-06-10'],
    ]);
  });

  it('to one with a ripe cell sooner, to one with a mated queen in five days', () => {
    const away = { distance: 'away' } as const;
    expect(looks({ queen: 'cell', ...away }).map(([, topic]) => topic)).toEqual(['rest', 'eggs-due']);
    expect(looks({ queen: 'cell', ...away })[1]?.[2] ?? '').toBe('2026-06-01');
    expect(looks({ queen: 'mated', ...away })).toEqual([['look', 'rhythm', '2026-05-19']]);
  });

  it('to who was given something: in a week', () => {
    const { body } = worked((yard) => [
      {
        id: 'r',
        kind: 'raise',
        colonyIds: [yard.colony('Weak').id],
        by: 'brood',
        targetFrames: 2,
        onDay: '2026-05-15',
        importance: 3,
      },
    ]);
    expect(body.looks).toHaveLength(1);
    expect(body.looks[0]?.window.likely).toBe('2026-05-22');
  });
});

describe('nurses for a weak colony', () => {
  it('are poured before its entrance, which is not opened for them, after all are shaken', () => {
    const nurses = (yard: TestYard): YardGoal[] => [
      {
        id: 'r',
        kind: 'raise',
        colonyIds: [yard.colony('Weak').id],
        by: 'bees',
        targetFrames: 5,
        onDay: '2026-05-15',
        importance: 3,
      },
    ];
    const { steps, body } = worked(nurses, {}, 0);
    expect(body.shakes.length).toBeGreaterThan(0);
    const all = texts(steps);
    expect(all.filter((t) => t === 'Open Weak' || t === 'Close Weak')).toEqual([]);
    const pour = all.indexOf('Pour the nurse bees before the entrance of Weak');
    expect(pour).toBeGreaterThan(steps.findLastIndex((s) => s.kind === 'shake'));
    // Not for combs of the store either: what it has hangs as it hung.
    expect(texts(worked(nurses).steps)).not.toContain('Open Weak');
  });
});

describe('hiving up', () => {
  const up = () =>
    worked((yard) => [
      { id: 'u', kind: 'hiveUp', colonyId: yard.colony('Nuc').id, slots: 10, importance: 2 },
    ]);

  it('sets the box, hangs the frames over in order, fills, feeds, comes back in a week', () => {
    const { steps, body } = up();
    expect(texts(steps)).toContain('Set the box of 10 on the stand of Nuc');
    expect(texts(steps)).toContain('Hang the 5 frames of Nuc into the new box, in the same order');
    expect(steps.find((s) => s.text === 'Close Nuc')?.detail).toContain('feed 1:1 this evening');
    expect(body.newBoxes).toMatchObject([{ slots: 10 }]);
    expect(body.kit.map((k) => k.what)).toContain('box of 10, with floor, inner cover and roof');
    expect(body.looks.map((l) => l.window.likely)).toContain('2026-05-22');
  });
});

describe('the reason of a move', () => {
  it('is one line for every move, with the number that matters', () => {
    const { problem, plan, seen, laid } = worked(oneNuc());
    const reasons = laid.moves.map((m) => reasonOfMove(problem, plan, seen, m));
    expect(reasons.every((r) => r.length > 10 && r.length <= 400 && r.endsWith('.'))).toBe(true);
    const brood = laid.moves.find((m) => m.frame.brood > 0.3 && m.toUnit !== m.fromUnit);
    expect(brood && reasonOfMove(problem, plan, seen, brood)).toMatch(
      /keeps \d+(\.\d)? of \d+(\.\d)? brood\./,
    );
    const honey = laid.moves.find((m) => m.frame.stores > 0.8 && m.toUnit !== m.fromUnit);
    expect(honey && reasonOfMove(problem, plan, seen, honey)).toMatch(
      /^Food for the days without field bees: 1 of honey\./,
    );
  });

  it('says when the beekeeper decided it', () => {
    const free = worked(oneNuc());
    const frame = free.problem.frames.find(
      (f) => f.home === 0 && f.brood > 0.4 && !f.hasQueen && free.plan.to[f.index] === f.home,
    )!;
    const key = free.problem.units.find((u) => u.kind === 'nuc')!.key;
    const pinned = worked(oneNuc(), { pins: [{ frameId: frame.id, to: key }] });
    const move = pinned.laid.moves.find((m) => m.frame.id === frame.id)!;
    expect(reasonOfMove(pinned.problem, pinned.plan, pinned.seen, move)).toContain('You decided so.');
  });
});

describe('a plan without anything to do', () => {
  it('says so in one step', () => {
    const { steps } = worked(() => [
      { id: 'p', kind: 'provision', colonyIds: [], storesKg: 0.5, importance: 1 },
    ]);
    expect(texts(steps)).toEqual(['Nothing is to be done']);
  });
});
