import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { anyAttempt, tryOne, type Copy } from '../testing/attempts.ts';
import { TestYard } from '../testing/builders.ts';
import { applyChanges, type Change } from '../records/change.ts';
import type { Command } from '../records/commands.ts';
import { decide } from './decide.ts';
import { newQueen } from '../records/kinds/queen.ts';
import type { Apiary } from '../records/records.ts';
import { framesOfBox } from '../records/views.ts';
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
      fc.property(fc.array(anyAttempt, { minLength: 1, maxLength: 14 }), (attempts) => {
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
        const undo = () => {
          const last = history.pop();
          if (!last) return;
          const result = undoChanges(yard.apiary, last);
          if (!result.ok) return;
          yard.apiary = applyChanges(yard.apiary, result.value);
          for (const c of result.value) if (c.kind === 'frame' && c.after === null) entered.delete(c.id);
          expectConserved(yard.apiary, entered);
          expectThingsInPlace(yard.apiary);
        };
        for (const a of attempts) tryOne(yard, a, { ask, undo, splitDone: () => splitsDone++ });
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
      { weight: 4, arbitrary: fc.record({ device: fc.nat(1), attempt: anyAttempt }) },
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
          if (what) {
            const ask = (command: Command) => {
              const result = decide(copy.apiary, command);
              if (!result.ok) return false;
              copy.apiary = applyChanges(copy.apiary, result.value);
              for (const c of result.value) if (c.kind === 'frame' && c.before === null) here.own.add(c.id);
              waiting.push(command);
              return true;
            };
            // Taking back is asked of the server.
            tryOne(copy, what, { ask, undo: () => undefined, splitDone: () => undefined });
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
