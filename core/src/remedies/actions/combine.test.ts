import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import { descentOf } from '../../colony/descent.ts';
import { DEMO_DAY, demoScenario } from '../../demo/scenario.ts';
import type { Colony } from '../../records/records.ts';
import { boxesOfColony, framesOfColony, openFollowUps, placeOf, queenOf } from '../../records/views.ts';
import { caps, eggs, NO } from '../../testing/queenLooks.ts';
import { FULL_OF_BROOD, NO_BROOD, WEAK_DAY, WeakYard } from '../../testing/weakYard.ts';
import { MILD, planned, work } from '../../testing/workedAction.ts';
import { allFacts } from '../remedies.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { hasBrood } from './broodCombs.ts';
import { combine } from './combine.ts';
import { waysToUnite } from './unionWays.ts';

describe('a union', () => {
  it('goes comb to comb where one side is queenless, it flows, and brood fits one box', () => {
    const yard = new WeakYard(NO_BROOD);
    yard.look(yard.weak, { eggs: NO, cells: NO, olderLarvae: NO, cappedBrood: NO, mood: 'roaring' });
    yard.flow(WEAK_DAY);
    const all = allFacts(yard.apiary, WEAK_DAY, MILD);
    const [a, b] = ['Nettle', 'Rowan'].map((n) => all.find((f) => f.colony.name === n));
    if (!a || !b) throw new Error('no facts');
    expect(waysToUnite([a, b]).usual).toBe('direct');
    expect(waysToUnite([{ ...a, flow: false }, b]).usual).toBe('paper');
  });

  it('keeps the box, the name and the stand that are chosen, each by itself', () => {
    const yard = new WeakYard(FULL_OF_BROOD);
    const rowan = yard.colony('Rowan');
    const stand = placeOf(yard.apiary, rowan).stand?.id;
    const own = boxesOfColony(yard.apiary, yard.weak).map((b) => b.id);
    const { plan } = work(yard, 'combine', {
      partnerId: rowan.id,
      boxOf: yard.weak.id,
      nameOf: rowan.id,
      standOf: rowan.id,
      how: 'paper',
    });
    expect(plan.unions).toMatchObject([{ fromId: rowan.id, intoId: yard.weak.id }]);
    const united = yard.apiary.colony[yard.weak.id];
    if (!united) throw new Error('gone');
    expect(united).toMatchObject({ name: 'Rowan', endedOn: null });
    expect(placeOf(yard.apiary, united).stand?.id).toBe(stand);
    expect(boxesOfColony(yard.apiary, united)[0]?.id).toBe(own[0]);
    expect(yard.apiary.colony[rowan.id]?.endedOn).toBe(WEAK_DAY);
  });

  it('keeps the younger queen, the line of descent, and one hive', () => {
    const yard = new WeakYard(FULL_OF_BROOD);
    yard.queenIn(yard.weak, 2026);
    yard.queenIn(yard.colony('Rowan'), 2023);
    yard.look(yard.weak, { eggs: eggs(), cappedBrood: caps('flat', 'compact') });
    const young = queenOf(yard.apiary, yard.weak.id)?.id;
    const rowan = yard.colony('Rowan').id;
    const { plan } = work(yard, 'combine', { partnerId: rowan });
    expect(plan.steps[0]?.text).toBe('Find the queen of Rowan and take her out');
    expect(queenOf(yard.apiary, rowan)?.id).toBe(young);
    // The hive of the larger goes on, under the name of the queen's unit, where its field bees look for it.
    expect(yard.apiary.colony[yard.weak.id]?.endedOn).toBe(WEAK_DAY);
    expect(yard.apiary.colony[rowan]?.name).toBe('Nettle');
    const united = yard.colony('Nettle');
    expect(plan.steps.some((s) => /^Set the united hive/.test(s.text))).toBe(false);
    expect(descentOf(yard.apiary, united).lines).toContainEqual({
      from: yard.weak.id,
      to: rowan,
      how: 'union',
    });
    expect(framesOfColony(yard.apiary, united)).toHaveLength(15);
    expect(
      openFollowUps(yard.apiary)
        .filter((f) => f.colonyIds.includes(united.id))
        .map((f) => f.topic),
    ).toContain('rhythm');
  });

  it('takes several units into one over paper: one queen, one hive, every comb, every line of descent', () => {
    const yard = new WeakYard(FULL_OF_BROOD);
    yard.hive('Teasel', [FULL_OF_BROOD], '2026-05-15', 5);
    yard.queenIn(yard.weak, 2023);
    yard.queenIn(yard.colony('Teasel'), 2026);
    yard.queenIn(yard.colony('Rowan'), 2024);
    for (const name of ['Nettle', 'Teasel']) {
      yard.look(yard.colony(name), { eggs: eggs(), cappedBrood: caps('flat', 'compact') });
    }
    const young = queenOf(yard.apiary, yard.colony('Teasel').id)?.id;
    const rowanId = yard.colony('Rowan').id;
    const teasel = yard.colony('Teasel').id;
    const { plan } = work(yard, 'combine', {
      partnerId: rowanId,
      alsoIds: [teasel],
      how: 'paper',
    });
    expect(plan.name).toBe('unite Nettle and Teasel with Rowan');
    expect(plan.kit).toEqual([{ what: 'sheet of newspaper', count: 2 }]);
    expect(plan.steps.filter((s) => s.kind === 'find').map((s) => s.text)).toEqual([
      'Find the queen of Rowan and take her out',
      'Find the queen of Nettle and take her out',
    ]);
    expect(plan.steps.filter((s) => s.kind === 'lift').map((s) => s.text)).toEqual([
      'Set the box of Nettle on the paper',
      'Set the box of Teasel on the paper',
    ]);
    const rowan = yard.apiary.colony[rowanId] as Colony;
    expect(rowan.name).toBe('Teasel');
    expect(queenOf(yard.apiary, rowan.id)?.id).toBe(young);
    expect(framesOfColony(yard.apiary, rowan)).toHaveLength(20);
    for (const id of [yard.weak.id, teasel]) expect(yard.apiary.colony[id]?.endedOn).toBe(WEAK_DAY);
    expect(descentOf(yard.apiary, rowan).lines.filter((l) => l.how === 'union')).toHaveLength(2);
    // Nearly all bees of the three: the small sides lose a tenth.
    const bees = plan.units.reduce((s, u) => s + u.facts.unit.bees, 0);
    expect(plan.units[0]?.after.bees).toBeGreaterThan(0.9 * bees);
    expect(plan.units[0]?.after.bees).toBeLessThan(bees);
  });

  it('takes several units comb to comb into one box where their brood fits', () => {
    const yard = new WeakYard(NO_BROOD);
    yard.hive('Teasel', [NO_BROOD], '2026-05-15', 5);
    const frames = [yard.weak, yard.colony('Teasel'), yard.colony('Rowan')].flatMap((c) =>
      framesOfColony(yard.apiary, c).map((f) => f.frame.id),
    );
    const { plan } = work(yard, 'combine', {
      partnerId: yard.colony('Rowan').id,
      alsoIds: [yard.colony('Teasel').id],
      how: 'direct',
    });
    expect(plan.steps.filter((s) => s.kind === 'shake')).toHaveLength(2);
    const there = framesOfColony(yard.apiary, yard.colony('Rowan')).map((f) => f.frame.id);
    expect(there).toHaveLength(10);
    // No comb is lost: what does not hang in the box is in the store.
    const stored = frames.filter((id) => yard.apiary.frame[id]?.place === 'store');
    expect([...there, ...stored].toSorted((a, b) => a.localeCompare(b))).toEqual(
      frames.toSorted((a, b) => a.localeCompare(b)),
    );
  });

  it('is not proposed with a colony that stays shut for a virgin, and says so where she is chosen all the same', () => {
    const yard = new WeakYard(FULL_OF_BROOD);
    const rest = (colony: Colony) => {
      const window = { earliest: '2026-05-10', likely: '2026-05-10', latest: '2026-05-25' };
      const id = yard.newId();
      yard.apiary = {
        ...yard.apiary,
        followUp: {
          ...yard.apiary.followUp,
          [id]: {
            id,
            workId: null,
            colonyIds: [colony.id],
            kind: 'hands-off',
            topic: 'rest',
            window,
            expect: 'A virgin flies and mates.',
            status: 'open',
          },
        },
      };
    };
    const first = planned(yard, 'combine')?.units.find(
      (u) => u.facts !== undefined && u.facts.colony.id !== yard.weak.id,
    );
    if (!first) throw new Error('no union');
    rest(first.facts.colony);
    const other = planned(yard, 'combine')?.units.map((u) => u.facts.colony.id) ?? [];
    expect(other).toHaveLength(2);
    expect(other).not.toContain(first.facts.colony.id);
    const chosen = planned(yard, 'combine', { partnerId: first.facts.colony.id });
    expect(chosen?.cautions[0]).toMatch(new RegExp(`^${first.facts.colony.name} is to stay shut today`));
  });

  describe('of two small units', () => {
    const food = bothSides({ honey: 7, drawn: 3 }, 2);
    const nest = bothSides({ eggs: 1, open: 2, capped: 3, honey: 3, beeBread: 1 }, 7);
    const bare = bothSides({ drawn: 10 }, 0);
    const small = (slots: number) => {
      const yard = new WeakYard([food, nest, nest, bare, bare], slots);
      const sorrel = yard.hive('Sorrel', [[food, nest, bare, bare, bare]], '2026-05-15', 5);
      for (const c of [yard.weak, sorrel])
        yard.look(c, { eggs: eggs(), cappedBrood: caps('flat', 'compact') });
      yard.queenIn(yard.weak, 2026);
      yard.queenIn(sorrel, 2024);
      return { yard, sorrel };
    };

    it('hangs both in one small box, each nest against the sheet between, and what nobody covers in the store', () => {
      const { yard, sorrel } = small(5);
      const { plan } = work(yard, 'combine', { partnerId: sorrel.id });
      expect(plan.kit[0]).toEqual({ what: 'sheet of newspaper', count: 1 });
      expect(plan.unions).toMatchObject([{ fromId: sorrel.id, intoId: yard.weak.id }]);
      const hung = framesOfColony(yard.apiary, yard.colony('Nettle'));
      // Food, brood, brood | brood, food: three combs of brood side by side, none of the bare ones.
      expect(hung.toSorted((a, b) => a.slot - b.slot).map(hasBrood)).toEqual([
        false,
        true,
        true,
        true,
        false,
      ]);
      expect(yard.apiary.colony[sorrel.id]?.endedOn).toBe(WEAK_DAY);
    });

    it('takes the smaller box of the two, and the stand of the queen who stays', () => {
      const { yard, sorrel } = small(10);
      const stand = placeOf(yard.apiary, yard.weak).stand?.id;
      work(yard, 'combine', { partnerId: sorrel.id });
      const united = yard.apiary.colony[sorrel.id] as Colony;
      expect(united).toMatchObject({ name: 'Nettle', endedOn: null });
      expect(boxesOfColony(yard.apiary, united).map((b) => b.slots)).toEqual([5]);
      expect(placeOf(yard.apiary, united).stand?.id).toBe(stand);
    });

    it('closes a box that is larger than both with a dummy board', () => {
      const { yard, sorrel } = small(10);
      const { plan } = work(yard, 'combine', { partnerId: sorrel.id, boxOf: yard.weak.id });
      expect(plan.kit).toContainEqual({ what: 'dummy board', count: 1 });
      expect(plan.steps.map((s) => s.text)).toContain('A dummy board closes the nest');
    });

    it('over brood on combs of another size says the two ways that go', () => {
      const { yard } = small(5);
      const shallow = yard.hive('Orpine', [[food, nest]], '2026-05-15', 5, 'langstroth-medium');
      const all = allFacts(yard.apiary, WEAK_DAY, MILD);
      const of = (id: string) => all.find((f) => f.colony.id === id) as UnitFacts;
      const ways = waysToUnite([of(yard.weak.id), of(shallow.id)], yard.weak.id);
      expect(ways.usual).toBe('paper');
      expect(ways.noOneBox).toMatch(
        /another size.*own box, over paper, until the brood is out.*shake only the bees/i,
      );
    });
  });

  it('takes in no further unit that may be sick', () => {
    const yard = new WeakYard(NO_BROOD);
    const sick = yard.hive('Teasel', [NO_BROOD], '2026-05-15', 5);
    yard.look(sick, { diseaseSigns: { look: 'found', signs: ['smell'] } });
    expect(planned(yard, 'combine', { partnerId: yard.colony('Rowan').id, alsoIds: [sick.id] })).toBeNull();
  });

  it('comb to comb leaves the best combs in one box, brood together, and the rest in the store', () => {
    const yard = new WeakYard(NO_BROOD);
    yard.look(yard.weak, { eggs: NO, cells: NO });
    const { plan } = work(yard, 'combine', { how: 'direct', partnerId: yard.colony('Rowan').id });
    const rowan = framesOfColony(yard.apiary, yard.colony('Rowan'));
    expect(rowan).toHaveLength(10);
    expect(plan.moves.filter((m) => m.to === null)).toHaveLength(5);
    const brood = rowan.filter((f) => f.reading?.body.sides[0].contents.capped).map((f) => f.slot);
    expect(Math.max(...brood) - Math.min(...brood)).toBeLessThan(8);
  });
});

describe('a union with a colony that has swarm cells', () => {
  const all = allFacts(demoScenario().apiary, DEMO_DAY, MILD);
  const of = (name: string) => {
    const facts = all.find((f) => f.colony.name === name);
    if (!facts) throw new Error(`no ${name}`);
    return facts;
  };

  it('is never the one that is proposed, from either side', () => {
    const plan = combine(of('Burnet'), all, {});
    expect(plan).not.toBeNull();
    expect(plan?.units.map((u) => u.facts.colony.name)).not.toContain('Sorrel');
    expect(combine(of('Sorrel'), all, {})).toBeNull();
  });

  it('is told off where somebody asks for it by name', () => {
    const plan = combine(of('Burnet'), all, { partnerId: of('Sorrel').colony.id });
    expect(plan?.cautions.join(' ')).toContain(
      'Sorrel has swarm cells: it would swarm with the bees of both.',
    );
    const other = combine(of('Burnet'), all, { partnerId: of('Yarrow').colony.id });
    expect(other?.cautions.join(' ')).not.toContain('swarm cells');
  });
});
