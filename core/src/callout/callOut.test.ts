import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { CallOut, Colony } from '../records/records.ts';
import {
  boxesOfColony,
  framesInStore,
  framesOfColony,
  openFollowUps,
  queenOf,
  readingOf,
} from '../records/views.ts';
import { bothSides, shareOf, type FrameReading } from '../comb/contents.ts';
import { TestYard } from '../testing/builders.ts';
import { NEST, STRONG_BOX, withQueen } from '../testing/nests.ts';
import { LEFT_IN_ORDER } from '../records/bodies/closing.ts';
import { NUC_RECIPES, type NucRecipe } from '../records/bodies/request.ts';
import type { CallOutChange, CallPlace } from '../records/bodies/callOut.ts';
import { callOutLooks } from './callOutLooks.ts';
import { newCallOut } from './newCallOut.ts';
import { advise, padCorrection } from './padAdvice.ts';
import { padState } from './padState.ts';
import { storeFills } from './storeFills.ts';
import { blankComb, combOf, roleOf } from '../nest/nestComb.ts';
import { tagsOfCallOut } from '../work/hiveTags.ts';

const DAY = '2026-05-16';
const FOUR = NUC_RECIPES[1]?.recipe as NucRecipe;

/** A colony of two boxes that is broken up into units. */
class BreakUpTest {
  readonly yard = new TestYard();
  readonly colony: Colony;
  readonly id: string;

  constructor({
    whole = true,
    names = ['A', 'B', 'C'],
    recipe = FOUR,
    shared = false,
    cells,
  }: {
    whole?: boolean;
    names?: string[];
    recipe?: typeof FOUR;
    shared?: boolean;
    cells?: { breeder: string; matingPlace: string };
  } = {}) {
    this.colony = this.yard.hive('Big', [[...STRONG_BOX], STRONG_BOX.map(withoutQueen)], '2026-05-14');
    this.yard.run({
      type: 'putQueen',
      queen: {
        id: this.yard.newId(),
        name: 'Regan',
        birthYear: 2025,
        dot: null,
        mating: 'mated',
        whereabouts: { known: 'colony', colonyId: this.colony.id },
      },
    });
    const callOut = newCallOut(
      {
        yardId: this.yard.yardId,
        day: DAY,
        givers: [{ colonyId: this.colony.id, keepBroodCombs: 2, keepStoresCombs: 1, whole }],
        names,
        recipe,
        shared,
        ...(cells && { cells }),
      },
      'Big into nucs',
      this.yard.newId,
    );
    this.id = callOut.id;
    this.yard.run({ type: 'startCallOut', callOut });
  }

  get callOut(): CallOut {
    return this.yard.apiary.callOut[this.id] as CallOut;
  }
  get frames() {
    return framesOfColony(this.yard.apiary, this.colony);
  }
  change(change: CallOutChange): void {
    this.yard.run({ type: 'changeCallOut', callOutId: this.id, change });
  }
  refused(change: CallOutChange): string {
    return this.yard.refused({ type: 'changeCallOut', callOutId: this.id, change }).join();
  }
  call(index: number, to: CallPlace, reading?: FrameReading): CallOutChange & { what: 'call' } {
    const placed = this.frames[index];
    if (!placed) throw new Error('no such frame');
    return {
      what: 'call',
      call: {
        id: this.yard.newId(),
        frameId: placed.frame.id,
        giverId: this.colony.id,
        reading: (reading ?? readingOf(placed)) as never,
        to,
      },
    };
  }
  /** Calls all that is left as it was counted, and does what the pad says. */
  callAll(): void {
    for (let state = padState(this.yard.apiary, this.callOut); state.left.length > 0;) {
      const [next] = state.left;
      const reading = next?.counted;
      if (!next || !reading) throw new Error('all were counted');
      const [best] = advise(state, { ...next, reading });
      if (!best) throw new Error('there is always a place');
      this.change({
        what: 'call',
        call: {
          id: this.yard.newId(),
          frameId: next.frameId,
          giverId: next.giverId,
          reading: reading as never,
          to: best.to,
        },
      });
      state = padState(this.yard.apiary, this.callOut);
    }
    for (let state = padState(this.yard.apiary, this.callOut); state.aside.length > 0;) {
      const [c] = state.aside;
      if (!c) throw new Error('one lies aside');
      const to = advise(state, c, c.id).find((a) => a.to.at !== 'aside')?.to;
      this.change({ what: 'place', callId: c.id, to: to ?? { at: 'home' } });
      state = padState(this.yard.apiary, this.callOut);
    }
  }
  finish(extra: object = {}) {
    const { body } = this.callOut;
    return {
      type: 'finishCallOut' as const,
      callOutId: this.id,
      day: DAY,
      closing: [...body.units.map((u) => u.colonyId), this.colony.id].map((colonyId) => ({
        colonyId,
        ...LEFT_IN_ORDER,
      })),
      visits: [{ colonyId: this.colony.id, visitId: this.yard.newId() }],
      looks: callOutLooks(body, DAY, this.yard.newId),
      ...extra,
    };
  }
}

const withoutQueen = (r: FrameReading): FrameReading => ({ ...r, queenSeen: false });

describe('a break-up that is called', () => {
  it('fills every unit by its recipe and carries it into the records', () => {
    const t = new BreakUpTest({ names: ['A', 'B', 'C', 'D'] });
    const before = Object.keys(t.yard.apiary.frame).length;
    t.callAll();
    t.change({ what: 'queen', queen: { giverId: t.colony.id, callId: null, now: 'u2' } });
    const state = padState(t.yard.apiary, t.callOut);
    for (const units of state.totals.slice(1)) {
      expect(units.frames).toBe(4);
      expect(units.broodCombs).toBeGreaterThanOrEqual(2);
      expect(units.brood).toBeGreaterThanOrEqual(1);
      expect(units.young).toBeGreaterThan(0.1);
    }
    t.yard.run(t.finish());
    const colony = t.yard.colony('A');
    expect(framesOfColony(t.yard.apiary, colony)).toHaveLength(4);
    expect(colony.origin).toEqual({ how: 'split', fromColonyId: t.colony.id, workId: t.id });
    expect(colony.separation?.queen).toBe('elsewhere');
    expect(queenOf(t.yard.apiary, t.yard.colony('B').id)?.name).toBe('Regan');
    expect(t.yard.colony('B').separation?.queen).toBe('here');
    expect(Object.keys(t.yard.apiary.frame)).toHaveLength(before);
    const looks = openFollowUps(t.yard.apiary).filter((f) => f.colonyIds.includes(colony.id));
    expect(looks.map((f) => f.topic)).toEqual([
      'empty-stand',
      'bees-stay',
      'surplus-cells',
      'rest',
      'eggs-due',
    ]);
    // What was called is a count of that day.
    const visit = Object.values(t.yard.apiary.visit).find((v) => v.day === DAY);
    expect(Object.values(t.yard.apiary.reading).filter((r) => r.visitId === visit?.id)).toHaveLength(20);
  });

  it('is called from the top box, slot by slot: the lower is reached when the upper is off', () => {
    const test = new BreakUpTest();
    const boxes = boxesOfColony(test.yard.apiary, test.colony).map((b) => b.id);
    const at = padState(test.yard.apiary, test.callOut).left.map((l) => test.yard.apiary.frame[l.frameId]);
    expect([...new Set(at.map((f) => f?.boxId))]).toEqual(boxes.toReversed());
    expect(at.slice(0, 10).map((f) => f?.slot)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
  });

  it('ends the donor when nothing of it is left, and keeps it when combs stay', () => {
    const whole = new BreakUpTest({ names: ['A', 'B', 'C', 'D', 'E'] });
    whole.callAll();
    whole.yard.run(whole.finish());
    const left = framesOfColony(whole.yard.apiary, whole.colony).length;
    // Nothing stands where it stood, no box for stragglers either: it would collect the field bees of all.
    const [job] = openFollowUps(whole.yard.apiary).filter((f) => f.topic === 'empty-stand');
    expect(job).toMatchObject({ window: { earliest: DAY, latest: DAY } });
    expect(job?.expect).toMatch(/no box for stragglers/);
    expect(job?.colonyIds).toHaveLength(5);
    expect(whole.yard.colony('Big').endedOn).toBe(left === 0 ? DAY : null);
    expect(left).toBe(0);

    const stays = new BreakUpTest({ whole: false, names: ['A', 'B'] });
    stays.callAll();
    stays.yard.run(stays.finish());
    expect(stays.yard.colony('Big').endedOn).toBeNull();
    const kept = framesOfColony(stays.yard.apiary, stays.colony).map(readingOf);
    expect(
      kept.filter((r) => shareOf(r, 'eggs', 'open', 'capped', 'emerging') >= 0.25).length,
    ).toBeGreaterThanOrEqual(2);
    // A comb that was half full two days ago: some of it is eaten.
    expect(kept.filter((r) => shareOf(r, 'honey', 'nectar') >= 0.45).length).toBeGreaterThanOrEqual(1);
  });

  it('says that a queen nobody found is in one of several, and asks for the look that tells', () => {
    const t = new BreakUpTest({ names: ['A', 'B', 'C', 'D', 'E'] });
    t.callAll();
    t.change({ what: 'queen-not-found', giverId: t.colony.id });
    t.yard.run(t.finish());
    const ids = ['A', 'B', 'C', 'D', 'E'].map((n) => t.yard.colony(n).id);
    const [regan] = Object.values(t.yard.apiary.queen);
    expect(regan?.whereabouts).toEqual({ known: 'oneOf', colonyIds: ids });
    expect(t.yard.colony('A').separation).toMatchObject({ queen: 'unknown', partIds: ids });
    const topics = openFollowUps(t.yard.apiary)
      .filter((f) => f.colonyIds.includes(ids[0] ?? ''))
      .map((f) => f.topic);
    expect(topics).toEqual(['empty-stand', 'bees-stay', 'which-part', 'rest', 'eggs-due']);
  });

  it('gives two units a side each of one box, with the brood at the partition', () => {
    const t = new BreakUpTest({ names: ['Left', 'Right'], shared: true, whole: false });
    t.callAll();
    t.yard.run(t.finish());
    const [left, right] = ['Left', 'Right'].map((n) => framesOfColony(t.yard.apiary, t.yard.colony(n)));
    expect(new Set([...(left ?? []), ...(right ?? [])].map((p) => p.box.id)).size).toBe(1);
    expect(left?.map((p) => p.slot)).toEqual([1, 2, 3, 4]);
    expect(right?.map((p) => p.slot)).toEqual([5, 6, 7, 8]);
    const brood = (p: { slot: number } | undefined) =>
      shareOf(readingOf(p as never), 'eggs', 'open', 'capped', 'emerging');
    expect(brood(left?.at(-1))).toBeGreaterThan(brood(left?.[0]));
    expect(brood(right?.[0])).toBeGreaterThan(brood(right?.at(-1)));
  });

  it('says what cannot be, and what to do', () => {
    const t = new BreakUpTest();
    const first = t.call(0, { at: 'unit', key: 'u1', slot: 1 });
    t.change(first);
    expect(t.refused(t.call(0, { at: 'home' }))).toContain('called-twice');
    expect(t.refused(t.call(1, { at: 'unit', key: 'u1', slot: 1 }))).toContain('slot-taken');
    expect(t.refused(t.call(1, { at: 'unit', key: 'u1', slot: 5 }))).toContain('no-such-slot');
    expect(t.refused(t.call(1, { at: 'unit', key: 'nobody', slot: 1 }))).toContain('unknown-unit');
    expect(
      t.refused({ what: 'call', call: { ...t.call(1, { at: 'home' }).call, frameId: t.yard.newId() } }),
    ).toContain('frame-elsewhere');
    t.change({ what: 'close-unit', key: 'u1', closed: true });
    expect(t.refused(t.call(1, { at: 'unit', key: 'u1', slot: 2 }))).toContain('unit-closed');
    t.change({ what: 'close-unit', key: 'u1', closed: false });
    t.change(t.call(4, { at: 'unit', key: 'u1', slot: 2 }));
    expect(t.refused(t.call(5, { at: 'home' }, withQueen(NEST.open())))).toContain('queen-twice');
    t.change(t.call(1, { at: 'aside' }));
    expect(t.yard.refused(t.finish()).join()).toContain('frames-aside');
    t.change({ what: 'place', callId: t.callOut.body.calls.at(-1)?.id ?? '', to: { at: 'home' } });
    expect(t.yard.refused(t.finish({ closing: undefined })).join()).toContain('not-closed');
    t.change({ what: 'queen', queen: { giverId: t.colony.id, callId: null, now: 'caged' } });
    expect(t.yard.refused(t.finish()).join()).toContain('queen-caged');
    t.yard.run({ type: 'dropCallOut', callOutId: t.id });
    expect(t.refused(first)).toContain('call-out-closed');
  });

  it('lets the queen travel with her frame until she is caged', () => {
    const t = new BreakUpTest();
    const call = t.call(4, { at: 'unit', key: 'u1', slot: 2 });
    t.change(call);
    const now = () => t.callOut.body.queens[0]?.now;
    expect(now()).toBe('u1');
    t.change({ what: 'place', callId: call.call.id, to: { at: 'unit', key: 'u3', slot: 1 } });
    expect(now()).toBe('u3');
    t.change({ what: 'queen', queen: { giverId: t.colony.id, callId: call.call.id, now: 'caged' } });
    t.change({ what: 'place', callId: call.call.id, to: { at: 'home' } });
    expect(now()).toBe('caged');
    t.change({ what: 'take-back', callId: call.call.id });
    expect(now()).toBeUndefined();
  });

  it('keeps a queen who is to stay with her donor, unless she is caged, and warns of cells', () => {
    const t = new BreakUpTest({ whole: false, names: ['A', 'B'] });
    const state = padState(t.yard.apiary, t.callOut);
    const frame = {
      ...(state.left[4] as NonNullable<(typeof state.left)[number]>),
      reading: withQueen(NEST.open()),
    };
    expect(advise(state, frame)[0]).toMatchObject({ to: { at: 'home' }, behind: 0 });
    expect(advise(state, frame)[0]?.why).toContain('The queen is on it');
    t.change({ what: 'queen', queen: { giverId: t.colony.id, callId: null, now: 'caged' } });
    expect(advise(padState(t.yard.apiary, t.callOut), frame)[0]?.why).not.toContain('The queen is on it');

    const cells = new BreakUpTest({ whole: false, names: ['A'], recipe: { ...FOUR, queen: 'cell' } });
    const swarming = { ...NEST.open(), cells: [{ kind: 'capped' as const, count: 1 }] };
    const [left] = padState(cells.yard.apiary, cells.callOut).left;
    if (!left) throw new Error('frames are left');
    const intoUnit = advise(padState(cells.yard.apiary, cells.callOut), { ...left, reading: swarming }).find(
      (a) => a.to.at === 'unit',
    );
    expect(intoUnit?.why).toContain('Take its queen cells off first');
  });

  it('offers an exchange at the end when the places could be better', () => {
    const t = new BreakUpTest({ names: ['A', 'B'], whole: false });
    t.callAll();
    const good = padCorrection(padState(t.yard.apiary, t.callOut));
    // By hand the worst: a brood comb of A against a food comb of B.
    const inUnit = (key: string, brood: boolean) =>
      t.callOut.body.calls.find(
        (c) =>
          c.to.at === 'unit' &&
          c.to.key === key &&
          shareOf(c.reading, 'eggs', 'open', 'capped', 'emerging') >= 0.25 === brood,
      );
    t.change({
      what: 'exchange',
      callId: inUnit('u1', true)?.id ?? '',
      withId: inUnit('u2', false)?.id ?? '',
    });
    const worse = padCorrection(padState(t.yard.apiary, t.callOut));
    expect(worse?.gain).toBeGreaterThan(good?.gain ?? 0);
  });

  it('keeps every frame in one place through any calls, corrections and taking back', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(7), fc.nat(19), fc.nat(4), fc.nat(3)), { maxLength: 40 }),
        (doings) => {
          const t = new BreakUpTest();
          for (const [kind, frame, unit, slot] of doings) {
            const to: CallPlace =
              unit < 3
                ? { at: 'unit', key: `u${unit + 1}`, slot: slot + 1 }
                : unit === 3
                  ? { at: 'home' }
                  : { at: 'aside' };
            const { calls } = t.callOut.body;
            const one = calls[frame % Math.max(1, calls.length)];
            const other = calls[(frame + 1) % Math.max(1, calls.length)];
            const change: CallOutChange | undefined =
              kind < 4
                ? t.call(frame, to)
                : !one || !other
                  ? undefined
                  : kind === 4
                    ? { what: 'take-back', callId: one.id }
                    : kind === 5
                      ? { what: 'exchange', callId: one.id, withId: other.id }
                      : { what: 'place', callId: one.id, to };
            // What is refused changes nothing; what is taken keeps these.
            if (change && t.refused(change) === '') t.change(change);
          }
          const { calls, queens } = t.callOut.body;
          expect(new Set(calls.map((c) => c.frameId)).size).toBe(calls.length);
          const slots = calls.flatMap((c) => (c.to.at === 'unit' ? [`${c.to.key}/${c.to.slot}`] : []));
          expect(new Set(slots).size).toBe(slots.length);
          expect(queens.length).toBeLessThanOrEqual(1);
          const finish = t.finish();
          const all = Object.keys(t.yard.apiary.frame).length;
          if (t.yard.refused(finish).length === 0) t.yard.run(finish);
          const hung = Object.values(t.yard.apiary.frame).map((f) => `${f.boxId}/${f.slot}`);
          expect(new Set(hung).size).toBe(all);
        },
      ),
      { numRuns: 40, seed: 7 },
    );
  });
});

// Common practice, no source.
describe('what a break-up leaves behind', () => {
  it('a drone comb stays with the strong donor', () => {
    const t = new BreakUpTest({ whole: false });
    const drones = bothSides({ drone: 7, drawn: 3 }, 7);
    const [left] = padState(t.yard.apiary, t.callOut).left;
    const [best] = advise(padState(t.yard.apiary, t.callOut), { ...left!, reading: drones });
    expect(best?.to).toEqual({ at: 'home' });
    expect(best?.why).toMatch(/drone comb stays with the strong/);
  });

  it('no comb of brood lies aside while a unit has none', () => {
    const t = new BreakUpTest({ names: ['A', 'B', 'C', 'D'] });
    const state = padState(t.yard.apiary, t.callOut);
    for (const left of state.left) {
      const reading = left.counted!;
      const brood = state.numbersOf(reading, left.giverId).brood;
      if (brood < 0.25) continue;
      expect(advise(state, { ...left, reading })[0]?.to.at).not.toBe('aside');
    }
  });

  it('free slots of units and donor are filled from the store: drawn comb beside the brood, each a nest', () => {
    const t = new BreakUpTest({ whole: false, recipe: { ...FOUR, slots: 5 }, names: ['A', 'B'] });
    t.yard.stock('drawn', 4);
    t.yard.stock('foundation', 20);
    t.callAll();
    const wanted = storeFills(t.yard.apiary, t.callOut);
    expect(wanted.map((f) => f.key)).toContain(t.colony.id);
    t.yard.run(t.finish({ fill: true }));
    for (const { key, frames } of wanted) {
      const unit = t.callOut.body.units.find((u) => u.key === key);
      for (const f of frames)
        expect(t.yard.apiary.frame[f.id]).toMatchObject({
          place: 'box',
          ...(unit && { boxId: unit.boxId }),
        });
    }
    for (const c of Object.values(t.yard.apiary.colony)) {
      const slots = framesOfColony(t.yard.apiary, c).map((f) => `${f.box.id}/${f.slot}`);
      expect(new Set(slots).size).toBe(slots.length);
      for (const box of boxesOfColony(t.yard.apiary, c)) {
        const row = framesOfColony(t.yard.apiary, c)
          .filter((f) => f.box.id === box.id)
          .toSorted((a, b) => a.slot - b.slot)
          .map((f) => roleOf(f.reading ? combOf('', readingOf(f)) : blankComb('', f.frame.blank)));
        const first = row.indexOf('brood');
        const nest = first < 0 ? [] : row.slice(first, row.lastIndexOf('brood') + 1);
        expect(nest.includes('foundation')).toBe(false);
      }
    }
    // Not asked for, nothing is taken.
    const plain = new BreakUpTest({ whole: false, names: ['A', 'B'] });
    plain.yard.stock('drawn', 4);
    plain.callAll();
    plain.yard.run(plain.finish());
    expect(framesInStore(plain.yard.apiary)).toHaveLength(4);
  });

  it('the tags say of which line a cell is and where its queen mates', () => {
    const t = new BreakUpTest({
      recipe: { ...FOUR, queen: 'cell' },
      cells: { breeder: 'Juniper', matingPlace: 'High Moor' },
    });
    t.callAll();
    expect(tagsOfCallOut(t.yard.apiary, t.callOut)[0]?.queen).toBe(
      'ripe cell, not mated yet, of Juniper; mates at High Moor',
    );
  });
});
