import { describe, expect, it } from 'vitest';
import { boxesOfColony, framesOfColony, openFollowUps, placeOf, queenOf } from '../../records/views.ts';
import { addDays } from '../../basics/day.ts';
import { descentOf } from '../../colony/descent.ts';
import { queenLane } from '../../followup/queenLane.ts';
import { queenBeliefOf } from '../../queen-odds/beliefOf.ts';
import { allFacts } from '../remedies.ts';
import { caps, eggs, NO, queen } from '../../testing/queenLooks.ts';
import { FULL_OF_BROOD, NO_BROOD, NO_NURSES, WEAK_DAY, WeakYard } from '../../testing/weakYard.ts';
import { workOfAction, type ActionChoice } from './actionPlan.ts';
import { ACTION_IDS, type ActionId } from '../../records/bodies/actionId.ts';
import { planAction } from './actions.ts';
import { waysToUnite } from './combine.ts';

const MILD = { coldNights: false };

function planned(yard: WeakYard, id: ActionId, choice: ActionChoice = {}) {
  const all = allFacts(yard.apiary, WEAK_DAY, MILD);
  const facts = all.find((f) => f.colony.id === yard.weak.id);
  if (!facts) throw new Error('no facts');
  return planAction(id, facts, all, choice, yard.newId);
}

/** Works an action off to its last step. */
function work(yard: WeakYard, id: ActionId, choice: ActionChoice = {}) {
  const plan = planned(yard, id, choice);
  if (!plan) throw new Error(`${id} cannot be done`);
  const command = workOfAction(yard.apiary, plan, WEAK_DAY, yard.newId);
  yard.run(command);
  for (const step of command.steps) yard.tick(step.id, WEAK_DAY);
  return { plan, command };
}

const allFrames = (yard: WeakYard) => Object.values(yard.apiary.frame).length;
const dueFor = (yard: WeakYard, name: string) =>
  openFollowUps(yard.apiary).filter((f) => f.colonyIds.includes(yard.colony(name).id));

describe('actions about one unit', () => {
  // Two sources take a hive of several boxes: see its own test.
  it.each(ACTION_IDS.filter((a) => a !== 'shake-out-part'))(
    '%s is worked like any other work: steps, what to come back for, nothing lost',
    (id) => {
      const yard = new WeakYard(id === 'shrink' ? NO_BROOD : NO_NURSES);
      const before = allFrames(yard);
      yard.flow(WEAK_DAY);
      const { command } = work(yard, id);
      expect(allFrames(yard)).toBe(before);
      expect(yard.apiary.work[command.work.id]?.status).toBe('done');
      expect(command.steps.length).toBeGreaterThan(1);
      const ends = id === 'shake-out' || id === 'let-go';
      expect(command.work.body.looks.length > 0).toBe(!ends);
    },
  );

  it('a comb of capped brood changes places with an empty one, its bees shaken off', () => {
    const yard = new WeakYard(NO_BROOD);
    const { plan } = work(yard, 'boost-brood');
    expect(plan.moves).toHaveLength(2);
    expect(plan.steps.map((s) => s.detail).join(' ')).toContain('no queen travels');
    expect(framesOfColony(yard.apiary, yard.colony('Nettle'))).toHaveLength(5);
    expect(framesOfColony(yard.apiary, yard.colony('Rowan'))).toHaveLength(10);
  });

  it('nurses: the queen is found before anything is shaken, and they rest in the shade', () => {
    const yard = new WeakYard(FULL_OF_BROOD);
    const kinds = planned(yard, 'boost-nurses')?.steps.map((s) => s.kind) ?? [];
    expect(kinds.indexOf('find')).toBeLessThan(kinds.indexOf('shake'));
    expect(planned(yard, 'boost-nurses')?.steps.some((s) => s.text.includes('5 to 10 minutes'))).toBe(true);
  });

  it('a drone layer is taken out and a mated queen comes in, with her year', () => {
    const yard = new WeakYard(FULL_OF_BROOD);
    yard.queenIn(yard.weak, 2024);
    yard.look(yard.weak, { cappedBrood: caps('domed', 'compact'), queen: queen('slim'), eggs: eggs() });
    const old = queenOf(yard.apiary, yard.weak.id)?.id;
    const { plan } = work(yard, 'give-queen', { queen: { name: 'Iris', birthYear: 2026, dot: null } });
    expect(plan.name).toContain('replace the drone layer');
    expect(plan.steps.map((s) => s.text).join(' ')).toContain('take her out');
    expect(yard.apiary.queen[old ?? '']?.whereabouts).toEqual({ known: 'gone' });
    expect(queenOf(yard.apiary, yard.weak.id)).toMatchObject({
      name: 'Iris',
      birthYear: 2026,
      mating: 'mated',
    });
    expect(dueFor(yard, 'Nettle').map((f) => f.topic)).toContain('rhythm');
  });

  it('a test comb is looked at after three to five days', () => {
    const yard = new WeakYard(NO_BROOD);
    work(yard, 'test-frame');
    expect(dueFor(yard, 'Nettle')[0]?.window).toEqual({
      earliest: '2026-05-19',
      likely: '2026-05-20',
      latest: '2026-05-21',
    });
  });

  it('a given cell re-dates everything: what was due for the old hope is dropped', () => {
    const yard = new WeakYard(NO_BROOD);
    yard.look(yard.weak, { eggs: NO });
    expect(dueFor(yard, 'Nettle')).not.toHaveLength(0);
    work(yard, 'give-cell');
    const due = dueFor(yard, 'Nettle');
    expect(due.map((f) => f.kind).toSorted()).toEqual(['hands-off', 'look']);
  });

  it('a unit that was never split gets a lane with its cell, and is believed to raise a queen', () => {
    const yard = new WeakYard(NO_BROOD);
    // Everything says that it is lost: before the cell.
    yard.look(yard.weak, { eggs: NO, cells: NO, olderLarvae: NO, cappedBrood: NO, mood: 'roaring' });
    expect(queenLane(yard.apiary, yard.weak, WEAK_DAY)).toBeNull();
    work(yard, 'give-cell');
    const nettle = yard.colony('Nettle');
    expect(nettle.separation).toMatchObject({ day: WEAK_DAY, queen: 'elsewhere', partIds: [nettle.id] });
    const lane = queenLane(yard.apiary, nettle, WEAK_DAY);
    expect(lane?.emergence).toEqual(nettle.separation?.emergence);
    // A ripe cell opens within days: she may lay within two to three weeks (Winston 1987).
    expect(lane?.events.find((e) => e.id === 'eggs')?.window.likely).toBe('2026-05-31');
    const { odds } = queenBeliefOf(yard.apiary, nettle, addDays(WEAK_DAY, 1)).belief;
    expect(odds.cells + odds.virgin).toBeGreaterThan(0.5);
    // What is seen later is filed with the work that gave it the cell.
    yard.look(nettle, { eggs: NO, cells: NO }, addDays(WEAK_DAY, 8));
    expect(dueFor(yard, 'Nettle').every((f) => f.workId === nettle.separation?.workId)).toBe(true);
  });

  it('hives change stands', () => {
    const yard = new WeakYard(NO_NURSES);
    const standOf = (name: string) => placeOf(yard.apiary, yard.colony(name)).stand?.id;
    const [weak, strong] = [standOf('Nettle'), standOf('Rowan')];
    yard.flow(WEAK_DAY);
    work(yard, 'swap-stands');
    expect(standOf('Nettle')).toBe(strong);
    expect(standOf('Rowan')).toBe(weak);
  });

  it('a unit that is shaken out ends; its combs and box are in the store', () => {
    const yard = new WeakYard(NO_BROOD);
    const frames = framesOfColony(yard.apiary, yard.weak).map((f) => f.frame.id);
    work(yard, 'shake-out');
    const ended = yard.apiary.colony[yard.weak.id];
    expect(ended).toMatchObject({ endedOn: WEAK_DAY, hiveId: null });
    expect(frames.every((id) => yard.apiary.frame[id]?.place === 'store')).toBe(true);
    expect(dueFor(yard, 'Nettle')).toHaveLength(0);
  });
});

describe('disease', () => {
  it('nothing goes into or out of a unit that may be sick, nor to a sick partner; it can only be ended', () => {
    const yard = new WeakYard(NO_NURSES);
    yard.look(yard.weak, { diseaseSigns: { look: 'found', signs: ['ropy'] } });
    for (const id of ACTION_IDS.filter((a) => a !== 'let-go')) expect(planned(yard, id)).toBeNull();
    expect(planned(yard, 'let-go')).not.toBeNull();
    const healthy = new WeakYard(NO_NURSES);
    healthy.look(healthy.colony('Rowan'), { diseaseSigns: { look: 'found', signs: ['smell'] } });
    expect(planned(healthy, 'combine', { partnerId: healthy.colony('Rowan').id })).toBeNull();
  });
});

describe('a dead-out', () => {
  it('is replaced by a standby unit on its stand; the old stand is free, and nothing is lost', () => {
    const yard = new WeakYard(NO_NURSES);
    const standOf = (name: string) => placeOf(yard.apiary, yard.colony(name)).stand?.id;
    const stand = standOf('Bryony');
    const dead = yard.colony('Bryony');
    const all = allFacts(yard.apiary, WEAK_DAY, MILD);
    const facts = all.find((f) => f.colony.id === dead.id);
    const plan = facts && planAction('let-go', facts, all, { partnerId: yard.weak.id }, yard.newId);
    if (!plan) throw new Error('no plan');
    const command = workOfAction(yard.apiary, plan, WEAK_DAY, yard.newId);
    yard.run(command);
    for (const step of command.steps) yard.tick(step.id, WEAK_DAY);
    expect(standOf('Nettle')).toBe(stand);
    expect(yard.apiary.colony[dead.id]).toMatchObject({ endedOn: WEAK_DAY, hiveId: null });
    expect(Object.values(yard.apiary.hive).filter((h) => h.standId === stand)).toHaveLength(1);
    expect(dueFor(yard, 'Nettle').map((f) => f.topic)).toContain('rhythm');
  });
});

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
    const { plan } = work(yard, 'combine', { partnerId: yard.colony('Rowan').id });
    expect(plan.steps[0]?.text).toBe('Find the queen of Rowan and take her out');
    expect(queenOf(yard.apiary, yard.colony('Rowan').id)?.id).toBe(young);
    expect(yard.apiary.colony[yard.weak.id]?.endedOn).toBe(WEAK_DAY);
    expect(descentOf(yard.apiary, yard.colony('Rowan')).lines).toContainEqual({
      from: yard.weak.id,
      to: yard.colony('Rowan').id,
      how: 'union',
    });
    expect(framesOfColony(yard.apiary, yard.colony('Rowan'))).toHaveLength(15);
    expect(dueFor(yard, 'Rowan').map((f) => f.topic)).toContain('rhythm');
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
    const { plan } = work(yard, 'combine', {
      partnerId: yard.colony('Rowan').id,
      alsoIds: [yard.colony('Teasel').id],
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
    const rowan = yard.colony('Rowan');
    expect(queenOf(yard.apiary, rowan.id)?.id).toBe(young);
    expect(framesOfColony(yard.apiary, rowan)).toHaveLength(20);
    for (const name of ['Nettle', 'Teasel']) expect(yard.colony(name).endedOn).toBe(WEAK_DAY);
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

describe('units behind a partition', () => {
  /** Two units in one box of ten, five combs each. */
  function partitioned() {
    const yard = new WeakYard(NO_NURSES);
    const [a, b, hiveId] = [yard.newId(), yard.newId(), yard.newId()];
    yard.run({
      type: 'addHives',
      yardId: yard.yardId,
      day: '2026-05-01',
      hives: [
        {
          hiveId,
          standId: yard.newId(),
          colonyId: a,
          name: 'Left',
          boxes: [
            {
              id: yard.newId(),
              sizeId: 'langstroth-deep',
              slots: 10,
              role: 'brood',
              frames: Array.from({ length: 10 }, (_, i) => ({
                id: yard.newId(),
                slot: i + 1,
                blank: 'drawn' as const,
                combYear: null,
              })),
            },
          ],
          besides: [{ colonyId: b, name: 'Right' }],
        },
      ],
    });
    for (const id of [a, b]) {
      const colony = yard.apiary.colony[id]!;
      yard.run({
        type: 'recordCount',
        visitId: yard.newId(),
        colonyId: id,
        day: '2026-05-15',
        note: '',
        readings: framesOfColony(yard.apiary, colony).map((p, i) => ({
          id: yard.newId(),
          frameId: p.frame.id,
          body: FULL_OF_BROOD[i % 5] as never,
        })),
      });
      yard.look(colony, { eggs: eggs() });
    }
    return { yard, a, b, hiveId };
  }

  const act = (yard: WeakYard, colonyId: string, id: ActionId, choice: ActionChoice) => {
    const all = allFacts(yard.apiary, WEAK_DAY, MILD);
    const facts = all.find((f) => f.colony.id === colonyId);
    const plan = facts && planAction(id, facts, all, choice, yard.newId);
    if (!plan) return null;
    const command = workOfAction(yard.apiary, plan, WEAK_DAY, yard.newId);
    yard.run(command);
    for (const step of command.steps) yard.tick(step.id, WEAK_DAY);
    return plan;
  };

  it('unite where they are: the hive keeps its stand and every comb', () => {
    const { yard, a, b, hiveId } = partitioned();
    const stand = yard.apiary.hive[hiveId]?.standId;
    const plan = act(yard, a, 'combine', { partnerId: b });
    expect(plan?.steps.map((s) => s.text).join(' ')).toContain('Draw the partition');
    const living = [a, b].filter((id) => yard.apiary.colony[id]?.endedOn === null);
    expect(living).toHaveLength(1);
    expect(framesOfColony(yard.apiary, yard.apiary.colony[living[0]!]!)).toHaveLength(10);
    expect(yard.apiary.hive[hiveId]?.standId).toBe(stand);
    expect(stand).not.toBeNull();
  });

  it('one that ends leaves its side free and the other where it is', () => {
    const { yard, a, b, hiveId } = partitioned();
    act(yard, a, 'let-go', {});
    expect(yard.apiary.colony[a]?.endedOn).toBe(WEAK_DAY);
    expect(framesOfColony(yard.apiary, yard.apiary.colony[b]!)).toHaveLength(5);
    expect(yard.apiary.hive[hiveId]?.standId).not.toBeNull();
    const [box] = Object.values(yard.apiary.box).filter((x) => x.hiveId === hiveId);
    expect(new Set(box?.chambers.map((c) => c.colonyId))).toEqual(new Set([b, null]));
  });

  it('goes to another hive comb to comb only: the box that it shares stays', () => {
    const { yard, a } = partitioned();
    expect(act(yard, a, 'combine', { partnerId: yard.colony('Rowan').id, how: 'paper' })).toBeNull();
  });
});
