import { describe, expect, it } from 'vitest';
import { shareOf } from '../../comb/contents.ts';
import { readingOf, framesOfColony, openFollowUps, placeOf, queenOf } from '../../records/views.ts';
import { addDays } from '../../basics/day.ts';
import { queenLane } from '../../followup/queenLane.ts';
import { queenBeliefOf } from '../../queen-odds/beliefOf.ts';
import { allFacts } from '../remedies.ts';
import { caps, eggs, NO, queen } from '../../testing/queenLooks.ts';
import { FULL_OF_BROOD, NO_BROOD, NO_NURSES, WEAK_DAY, WeakYard } from '../../testing/weakYard.ts';
import { MILD, planned, work } from '../../testing/workedAction.ts';
import { workOfAction, type ActionChoice } from './actionPlan.ts';
import { ACTION_IDS, type ActionId } from '../../records/bodies/actionId.ts';
import { planAction } from './actions.ts';

const allFrames = (yard: WeakYard) => Object.values(yard.apiary.frame).length;
const dueFor = (yard: WeakYard, name: string) =>
  openFollowUps(yard.apiary).filter((f) => f.colonyIds.includes(yard.colony(name).id));

describe('actions about one unit', () => {
  // These take a strong hive, or one of several boxes: see their own tests.
  it.each(ACTION_IDS.filter((a) => !['shake-out-part', 'drone-comb', 'box-to-super'].includes(a)))(
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

describe('nurses on the comb that they feed', () => {
  it('come with it, and it hangs beside her brood; the donor keeps its floor', () => {
    const yard = new WeakYard(NO_NURSES);
    const { plan } = work(yard, 'boost-nurses', { nurses: 'on-comb' });
    const [move] = plan.moves;
    expect(plan.shakes).toMatchObject([{ frameId: move?.frameId, toKey: yard.weak.id }]);
    const given = framesOfColony(yard.apiary, yard.weak).find((f) => f.frame.id === move?.frameId);
    expect(given && shareOf(readingOf(given), 'open')).toBeGreaterThanOrEqual(0.2);
    expect(
      plan.steps.some((s) => s.detail.includes('Its bees stay on it: read both sides for the queen')),
    ).toBe(true);
    const [giver, weak] = plan.units;
    expect(weak?.after.bees).toBeGreaterThan((weak?.facts.unit.bees ?? 0) + 0.3);
    expect(giver?.after.bees).toBeLessThan(giver?.facts.unit.bees ?? 0);
  });

  it('are shaken instead while nights are cold: a comb more could not be warmed', () => {
    const yard = new WeakYard(NO_NURSES);
    const all = allFacts(yard.apiary, WEAK_DAY, { coldNights: true });
    const facts = all.find((f) => f.colony.id === yard.weak.id);
    const plan = facts && planAction('boost-nurses', facts, all, { nurses: 'on-comb' }, yard.newId);
    expect(plan?.moves).toEqual([]);
    expect(plan?.shakes.length).toBeGreaterThanOrEqual(2);
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
