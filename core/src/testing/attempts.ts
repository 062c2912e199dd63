import fc from 'fast-check';
import type { Command } from '../records/commands.ts';
import { housemates } from '../records/views.ts';
import { makePlan } from '../split/plan/makePlan.ts';
import { closingFor, type TestYard } from './builders.ts';

/** What a random user may try; numbers pick among what is there. */
export type Attempt =
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
export const anyAttempt: fc.Arbitrary<Attempt> = fc.oneof(
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

/** Records with what makes identifiers for them: a yard, or the copy of it on a device. */
export type Copy = Pick<TestYard, 'apiary' | 'newId' | 'yardId'>;

/** How an attempt is carried out. */
export interface Hands {
  /** Asks for a command; whether it was carried out. */
  readonly ask: (command: Command) => boolean;
  /** Takes back what was done last. */
  readonly undo: () => void;
  /** A split was done to its last step. */
  readonly splitDone: () => void;
}

/** Tries one thing with what the records hold now. */
export function tryOne(yard: Copy, a: Attempt, { ask, undo, splitDone }: Hands): void {
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
          newName: `N${Object.keys(yard.apiary.colony).length}`,
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
    case 'undo':
      undo();
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
