import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { makePlan } from '../split/plan/makePlan.ts';
import { closingFor, TestYard } from '../testing/builders.ts';
import { applyChanges, type Change } from '../records/change.ts';
import type { Command } from '../records/commands.ts';
import { decide } from './decide.ts';
import { newQueen } from '../records/kinds/queen.ts';
import type { Apiary } from '../records/records.ts';
import { framesOfBox, housemates } from '../records/views.ts';
import { undoChanges } from './undo.ts';
import { sampleSize } from '../testing/sampleSize.ts';

const brood = bothSides({ eggs: 1, open: 2, capped: 4, honey: 2, beeBread: 1 }, 8);
const honey = bothSides({ honey: 8, beeBread: 1, drawn: 1 }, 5);
const box = [honey, brood, brood, brood, brood, honey];

/** Every frame in one place, no slot with two, no slot outside its box, and no frame without its entry. */
function expectConserved(apiary: Apiary, entered: ReadonlySet<string>): void {
  expect(new Set(Object.keys(apiary.frame))).toEqual(entered);
  const slots = new Set<string>();
  for (const f of Object.values(apiary.frame)) {
    expect(f.place === 'box').toBe(f.boxId !== null && f.slot !== null);
    if (f.boxId === null) continue;
    expect(f.slot).toBeLessThanOrEqual(apiary.box[f.boxId]?.slots ?? 0);
    const key = `${f.boxId}/${f.slot}`;
    expect(slots.has(key)).toBe(false);
    slots.add(key);
  }
}

/** What a random user may try; numbers pick among what is there. */
type Attempt =
  | {
      readonly kind: 'move';
      readonly frames: readonly number[];
      readonly box: number;
      readonly slots: readonly number[];
    }
  | { readonly kind: 'toStore'; readonly frame: number }
  | { readonly kind: 'swap'; readonly a: number; readonly b: number }
  | { readonly kind: 'split'; readonly colony: number; readonly method: number; readonly ticks: number }
  | { readonly kind: 'stock'; readonly n: number }
  | { readonly kind: 'happen'; readonly what: number; readonly one: number; readonly other: number }
  | {
      readonly kind: 'arrange';
      readonly hive: number;
      readonly order: readonly number[];
      readonly fresh: boolean;
    }
  | { readonly kind: 'undo' };

const n = fc.nat(60);
const attempt: fc.Arbitrary<Attempt> = fc.oneof(
  fc.record({
    kind: fc.constant('move' as const),
    frames: fc.array(n, { minLength: 1, maxLength: 3 }),
    box: n,
    slots: fc.array(fc.integer({ min: 1, max: 14 }), { minLength: 3, maxLength: 3 }),
  }),
  fc.record({ kind: fc.constant('toStore' as const), frame: n }),
  fc.record({ kind: fc.constant('swap' as const), a: n, b: n }),
  fc.record({
    kind: fc.constant('split' as const),
    colony: n,
    method: fc.nat(1),
    ticks: fc.integer({ min: 0, max: 40 }),
  }),
  fc.record({ kind: fc.constant('stock' as const), n: fc.integer({ min: 1, max: 4 }) }),
  fc.record({
    kind: fc.constant('arrange' as const),
    hive: n,
    order: fc.array(n, { minLength: 1, maxLength: 4 }),
    fresh: fc.boolean(),
  }),
  fc.record({ kind: fc.constant('happen' as const), what: fc.nat(20), one: n, other: n }),
  fc.record({ kind: fc.constant('undo' as const) }),
);

/** Commands of which each must have been carried out at least once, or the property says nothing of it. */
const HAPPENINGS = [
  'careForCombs',
  'changeCells',
  'endColony',
  'enterCells',
  'moveHive',
  'noteQueen',
  'recordSwarm',
  'setInserts',
  'stackHives',
  'unstackHive',
] as const;

/** A queen is in one place, a cell alive hangs in a hive, and what is kept apart is in no living colony. */
function expectThingsInPlace(apiary: Apiary): void {
  const queens = Object.values(apiary.queen);
  expect(queens.filter((q) => (q.whereabouts.known === 'gone') !== (q.end !== null))).toEqual([]);
  const homes = queens.flatMap((q) => (q.whereabouts.known === 'colony' ? [q.whereabouts.colonyId] : []));
  expect(homes.filter((id) => apiary.colony[id]?.endedOn !== null)).toEqual([]);
  const alive = Object.values(apiary.cell).filter((c) => c.fate === null);
  expect(alive.filter((c) => apiary.frame[c.frameId]?.place !== 'box')).toEqual([]);
  const stands = Object.values(apiary.hive).flatMap((h) => h.standId ?? []);
  expect(new Set(stands).size).toBe(stands.length);
  const overlaps = Object.values(apiary.box).filter((box) =>
    box.inserts.some(({ slot }) => framesOfBox(apiary, box.id).some((f) => f.slot === slot)),
  );
  expect(overlaps).toEqual([]);
}

describe('frames are conserved', () => {
  it('by any sequence of commands, splits and undos, refused ones included', () => {
    let carriedOut = 0;
    let splitsDone = 0;
    const happened = new Set<string>();
    fc.assert(
      fc.property(fc.array(attempt, { minLength: 1, maxLength: 14 }), (attempts) => {
        const yard = new TestYard(7);
        yard.hive('A', [box, box]);
        yard.hive('B', [box]);
        yard.stock('drawn', 3);
        yard.run({
          type: 'putQueen',
          queen: newQueen({ id: yard.newId(), whereabouts: { known: 'stock' }, mating: 'mated' }),
        });
        const entered = new Set(Object.keys(yard.apiary.frame));
        const history: (readonly Change[])[] = [];
        const ask = (command: Command) => {
          const result = decide(yard.apiary, command);
          if (!result.ok) return false;
          yard.apiary = applyChanges(yard.apiary, result.value);
          history.push(result.value);
          for (const c of result.value) if (c.kind === 'frame' && c.before === null) entered.add(c.id);
          carriedOut++;
          happened.add(command.type);
          expectConserved(yard.apiary, entered);
          expectThingsInPlace(yard.apiary);
          return true;
        };
        for (const a of attempts) attemptOne(yard, a, ask, history, entered, () => splitsDone++);
      }),
      { numRuns: sampleSize(75, 150), seed: 42 },
    );
    // The property says nothing if nearly everything was refused.
    expect(carriedOut).toBeGreaterThan(500);
    expect(splitsDone).toBeGreaterThan(10);
    expect(HAPPENINGS.filter((h) => !happened.has(h))).toEqual([]);
  });

  it('on two devices that work without a signal and send what they did later', () => {
    const step = fc.oneof(
      { weight: 4, arbitrary: fc.record({ device: fc.nat(1), attempt }) },
      { weight: 1, arbitrary: fc.record({ device: fc.nat(1), attempt: fc.constant(null) }) },
    );
    const told = { kept: 0, refused: 0 };
    fc.assert(
      fc.property(fc.array(step, { minLength: 4, maxLength: 24 }), (steps) => {
        const server = new TestYard(7);
        server.hive('A', [box, box]);
        server.hive('B', [box]);
        server.stock('drawn', 3);
        server.run({
          type: 'putQueen',
          queen: newQueen({ id: server.newId(), whereabouts: { known: 'stock' }, mating: 'mated' }),
        });
        const entered = new Set(Object.keys(server.apiary.frame));
        const devices = [11, 12].map((seed) => {
          const copy: Copy = {
            apiary: server.apiary,
            newId: new TestYard(seed).newId,
            yardId: server.yardId,
          };
          return { copy, waiting: [] as Command[], own: new Set(entered) };
        });
        for (const { device, attempt: what } of steps) {
          const here = devices[device]!;
          const { copy, waiting } = here;
          if (what?.kind === 'undo') continue; // Taking back is asked of the server.
          if (what) {
            const ask = (command: Command) => {
              const result = decide(copy.apiary, command);
              if (!result.ok) return false;
              copy.apiary = applyChanges(copy.apiary, result.value);
              for (const c of result.value) if (c.kind === 'frame' && c.before === null) here.own.add(c.id);
              waiting.push(command);
              return true;
            };
            attemptOne(copy, what, ask, [], here.own, () => undefined);
          } else {
            // What the other has made impossible meanwhile is refused as a whole; the rest is carried out.
            for (const command of waiting.splice(0)) {
              const result = decide(server.apiary, command);
              told[result.ok ? 'kept' : 'refused']++;
              if (!result.ok) continue;
              server.apiary = applyChanges(server.apiary, result.value);
              for (const c of result.value) if (c.kind === 'frame' && c.before === null) entered.add(c.id);
              expectConserved(server.apiary, entered);
              expectThingsInPlace(server.apiary);
            }
            copy.apiary = server.apiary;
            here.own = new Set(entered);
          }
          expectConserved(copy.apiary, here.own);
          expectThingsInPlace(copy.apiary);
        }
      }),
      { numRuns: sampleSize(60, 300), seed: 17 },
    );
    expect(told.kept).toBeGreaterThan(40);
    expect(told.refused).toBeGreaterThan(2);
  });

  it('refuses two frames in one slot and a slot that is not there', () => {
    const yard = new TestYard();
    const a = yard.hive('A', [[honey, brood]]);
    const boxId = Object.values(yard.apiary.box).find((b) => b.hiveId === a.hiveId)?.id ?? '';
    const [first] = Object.values(yard.apiary.frame);
    const to = (slot: number): Command => ({
      type: 'moveFrames',
      moves: [{ frameId: first?.id ?? '', to: { place: 'box', boxId, slot } }],
    });
    expect(yard.refused(to(2))[0]).toContain('slot-taken');
    expect(yard.refused(to(11))[0]).toContain('no-such-slot');
    expect(yard.refused(to(3))).toEqual([]);
  });
});

/** Records with what makes identifiers for them: a yard, or the copy of it on a device. */
type Copy = Pick<TestYard, 'apiary' | 'newId' | 'yardId'>;

function attemptOne(
  yard: Copy,
  a: Attempt,
  ask: (command: Command) => boolean,
  history: (readonly Change[])[],
  entered: Set<string>,
  splitDone: () => void,
): void {
  const frames = Object.values(yard.apiary.frame);
  const boxes = Object.values(yard.apiary.box);
  const at = <T>(list: readonly T[], i: number) => list[i % list.length] as T;
  switch (a.kind) {
    case 'move':
      ask({
        type: 'moveFrames',
        moves: a.frames.map((f, i) => ({
          frameId: at(frames, f).id,
          to: { place: 'box', boxId: at(boxes, a.box).id, slot: at(a.slots, i) },
        })),
      });
      return;
    case 'toStore':
      ask({ type: 'moveFrames', moves: [{ frameId: at(frames, a.frame).id, to: { place: 'store' } }] });
      return;
    case 'swap': {
      const [x, y] = [at(frames, a.a), at(frames, a.b)];
      if (x.boxId === null || y.boxId === null || x.slot === null || y.slot === null) return;
      ask({
        type: 'moveFrames',
        moves: [
          { frameId: x.id, to: { place: 'box', boxId: y.boxId, slot: y.slot } },
          { frameId: y.id, to: { place: 'box', boxId: x.boxId, slot: x.slot } },
        ],
      });
      return;
    }
    case 'split': {
      const colony = at(Object.values(yard.apiary.colony), a.colony);
      const planned = makePlan(
        yard.apiary,
        {
          colonyId: colony.id,
          methodId: a.method === 0 ? 'walk-away-halves' : 'queen-to-nuc',
          day: '2026-05-10',
          newName: `N${history.length}`,
          options: {},
        },
        yard.newId,
      );
      if (!planned.ok || !ask(planned.value.command)) return;
      const { steps } = planned.value.command;
      const ticked = steps.slice(0, a.ticks).every((s) =>
        ask({
          type: 'tickStep',
          stepId: s.id,
          done: true,
          day: '2026-05-10',
          ...closingFor(yard.apiary, s.id),
        }),
      );
      if (ticked && a.ticks >= steps.length) splitDone();
      return;
    }
    case 'stock':
      ask({
        type: 'addToStore',
        frames: Array.from({ length: a.n }, () => ({
          id: yard.newId(),
          sizeId: 'langstroth-deep',
          blank: 'foundation',
          combYear: null,
        })),
      });
      return;
    case 'arrange': {
      const hive = at(Object.values(yard.apiary.hive), a.hive);
      const living = Object.values(yard.apiary.colony).find((c) => c.hiveId === hive.id && !c.endedOn);
      // Any boxes of the operation, some of them on other hives, perhaps one twice.
      const picked = a.order.map((i) => at(boxes, i));
      const chambers = (slots: number) => [{ colonyId: living?.id ?? null, fromSlot: 1, toSlot: slots }];
      ask({
        type: 'arrangeHive',
        hiveId: hive.id,
        boxes: [
          ...picked.map((b) => ({
            id: b.id,
            role: b.role,
            excluderBelow: false,
            chambers: chambers(b.slots),
            fresh: null,
          })),
          ...(a.fresh
            ? [
                {
                  id: yard.newId(),
                  role: 'super' as const,
                  excluderBelow: true,
                  chambers: chambers(4),
                  fresh: {
                    sizeId: 'langstroth-medium' as const,
                    slots: 4,
                    frames: [{ id: yard.newId(), slot: 2, blank: 'drawn' as const, combYear: null }],
                  },
                },
              ]
            : []),
        ],
      });
      return;
    }
    case 'happen':
      ask(happening(yard, a));
      return;
    case 'undo': {
      const last = history.pop();
      if (!last) return;
      const result = undoChanges(yard.apiary, last);
      if (!result.ok) return;
      yard.apiary = applyChanges(yard.apiary, result.value);
      for (const c of result.value) if (c.kind === 'frame' && c.after === null) entered.delete(c.id);
      expectConserved(yard.apiary, entered);
      expectThingsInPlace(yard.apiary);
    }
  }
}

/** Something that happens to what is there, or is tried with it. */
function happening(yard: Copy, a: Extract<Attempt, { kind: 'happen' }>): Command {
  const at = <T>(list: readonly T[], i: number) => list[i % list.length] as T;
  const ids = Array.from({ length: 8 }, yard.newId);
  const day = '2026-05-12';
  const { apiary } = yard;
  const hives = Object.values(apiary.hive);
  const colony = at(Object.values(apiary.colony), a.one);
  const to = {
    standId: yard.newId(),
    fresh: { yardId: yard.yardId, name: 'Another stand' },
  };
  const stands = Object.values(apiary.stand);
  const frame = at(Object.values(apiary.frame), a.one);
  const cells = Object.keys(apiary.cell);
  const stacked = Object.values(apiary.colony).filter((c) => housemates(apiary, c).length > 0);
  const known = at(Object.values(apiary.queen), a.one);
  switch (a.what) {
    case 0:
    case 1:
      return {
        type: 'moveHive',
        hiveId: at(hives, a.one).id,
        day,
        hour: 'dusk',
        // A new stand, or one that may be taken.
        to: a.what === 0 ? to : { standId: at(stands, a.other).id, fresh: null },
        entrance: 'shut',
        obstacleUntil: null,
        newIds: ids,
      };
    case 2:
    case 3:
      return {
        type: 'stackHives',
        upperHiveId: at(hives, a.one).id,
        lowerHiveId: at(hives, a.other).id,
        parting: 'paper',
        day,
        newIds: ids,
      };
    case 4:
    case 5:
    case 6:
      // Those that share a hive, where any do.
      return {
        type: 'unstackHive',
        colonyId: at([...stacked, ...(stacked.length > 0 ? [] : [colony])], a.one).id,
        day,
        to,
        hiveId: yard.newId(),
        newIds: ids,
      };
    case 7:
      return {
        type: 'endColony',
        colonyId: colony.id,
        day,
        how: 'dead',
        cause: a.other % 2 === 0 ? 'not-infectious' : 'unknown',
        words: '',
        combs: at(['stay', 'store', 'apart', 'gone'] as const, a.other),
      };
    case 8:
      return {
        type: 'recordSwarm',
        colonyId: colony.id,
        day,
        hivedId: a.other % 2 === 0 ? null : at(Object.keys(apiary.colony), a.other),
        newIds: ids,
      };
    case 9:
    case 10:
    case 11:
      return {
        type: 'noteQueen',
        queenId: known.id,
        day,
        did: at(['put-in', 'put-in', 'caged', 'released', 'to-stock', 'lost'] as const, a.other),
        into: { colonyId: colony.id, caged: true, beside: false },
        newIds: ids,
      };
    case 12:
    case 13:
    case 14:
      return {
        type: 'enterCells',
        cells: [
          {
            id: yard.newId(),
            frameId: frame.id,
            place: 'face',
            egg: { earliest: day, likely: day, latest: day },
            datedBy: 'stage',
            notedOn: day,
            quality: null,
            origin: 'unknown',
            reserved: false,
            fromColonyId: null,
            fate: null,
            history: [],
          },
        ],
      };
    case 15:
    case 16:
      return {
        type: 'changeCells',
        cellIds: [cells.length > 0 ? at(cells, a.one) : yard.newId()],
        day,
        change:
          a.what === 15
            ? { what: 'cut-out', toFrameId: at(Object.keys(apiary.frame), a.other) }
            : { what: 'fate', how: 'broken' },
      };
    case 17:
    case 18:
      return {
        type: 'careForCombs',
        frameIds: [frame.id],
        day,
        change: at(
          [{ what: 'apart', why: 'other' }, { what: 'release' }, { what: 'melt' }] as const,
          a.other,
        ),
      };
    default:
      return {
        type: 'setInserts',
        boxId: at(Object.keys(apiary.box), a.one),
        inserts: [{ what: 'frame-feeder', slot: 1 + (a.other % 12) }],
      };
  }
}
