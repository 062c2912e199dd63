import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sampleSize } from '../testing/sampleSize.ts';
import { liftsOf, workHive, type HandledBox, type HandledMove, type HiveWorked } from './workHive.ts';

// The order of work at a tall hive: common practice, no source.

const SLOTS = 4;
interface Shake {
  readonly frameId: string;
  readonly boxId: string;
}
type Worked = HiveWorked<HandledBox, HandledMove, Shake>;

interface Hive {
  readonly boxes: readonly HandledBox[];
  readonly hanging: readonly { readonly frameId: string; readonly boxId: string; readonly slot: number }[];
  readonly moves: readonly HandledMove[];
  readonly shakes: readonly Shake[];
}

/** A hive of one to five boxes, some of which go, and combs that end in other slots of it, elsewhere, or come. */
const anyHive: fc.Arbitrary<Hive> = fc
  .record({
    roles: fc.array(fc.constantFrom('brood' as const, 'super' as const), { minLength: 0, maxLength: 4 }),
    going: fc.array(fc.boolean(), { minLength: 5, maxLength: 5 }),
    full: fc.array(fc.boolean(), { minLength: 20, maxLength: 20 }),
    order: fc.shuffledSubarray(
      Array.from({ length: 20 }, (_, i) => i),
      { minLength: 20, maxLength: 20 },
    ),
    stays: fc.array(fc.boolean(), { minLength: 20, maxLength: 20 }),
    out: fc.array(fc.boolean(), { minLength: 20, maxLength: 20 }),
    fills: fc.integer({ min: 0, max: 3 }),
    shaken: fc.array(fc.nat(19), { maxLength: 2 }),
  })
  .map(({ roles, going, full, order, stays, out, fills, shaken }) => {
    const kinds = ['brood' as const, ...roles.toSorted()];
    const boxes = kinds.map((role, i) => ({ id: `b${i}`, role, goes: i > 0 && going[i] === true }));
    const places = boxes.flatMap((b) =>
      Array.from({ length: SLOTS }, (_, s) => ({ boxId: b.id, slot: s + 1 })),
    );
    const hanging = places.flatMap((p, i) => (full[i] ? [{ frameId: `f${i}`, ...p }] : []));
    // Whoever stays keeps its slot; the others share out what is left, or leave.
    const moving = hanging.filter((_, i) => !stays[i]);
    const kept = new Set(hanging.filter((_, i) => stays[i]).map((h) => `${h.boxId}/${h.slot}`));
    const free = order.flatMap((i) => places[i] ?? []).filter((p) => !kept.has(`${p.boxId}/${p.slot}`));
    const moves = moving.map(({ frameId, boxId, slot }, i): HandledMove => ({
      frameId,
      from: { boxId, slot },
      to: out[i] ? null : (free.shift() ?? null),
    }));
    for (let n = 0; n < fills; n++) {
      const to = free.shift();
      if (to) moves.push({ frameId: `s${n}`, from: null, to });
    }
    const real = moves.filter((m) => m.from?.boxId !== m.to?.boxId || m.from?.slot !== m.to?.slot);
    return {
      boxes,
      hanging,
      moves: real,
      shakes: shaken.flatMap((i) => {
        const h = hanging[i];
        return h && stays[i] ? [{ frameId: h.frameId, boxId: h.boxId }] : [];
      }),
    };
  });

/** Does what is written, and says what cannot be done. */
function replay({ boxes, hanging, moves }: Hive, worked: Worked): string[] {
  const wrong: string[] = [];
  const at = new Map(hanging.map((h) => [h.frameId, `${h.boxId}/${h.slot}`]));
  const stack = boxes.map((b) => b.id);
  const beside = new Set<string>();
  const waits = new Set<string>();
  const reachable = (boxId: string) => stack.at(-1) === boxId || beside.has(boxId);
  const isFull = (place: string) => [...at.values()].includes(place);
  const reach = (boxId: string | undefined) => {
    if (boxId !== undefined && !reachable(boxId)) wrong.push(`${boxId} is not at hand`);
  };
  const hang = (m: HandledMove) => {
    at.delete(m.frameId);
    if (!m.to) return;
    reach(m.to.boxId);
    const place = `${m.to.boxId}/${m.to.slot}`;
    if (isFull(place)) wrong.push(`${place} is full`);
    at.set(m.frameId, place);
  };
  const isAt = (m: HandledMove) => {
    reach(m.from?.boxId);
    if (m.from && at.get(m.frameId) !== `${m.from.boxId}/${m.from.slot}`)
      wrong.push(`${m.frameId} is not there`);
  };
  for (const e of [...worked.down, ...worked.up]) {
    switch (e.what) {
      case 'at-hand':
        reach(e.box.id);
        break;
      case 'set-down':
        if (stack.at(-1) !== e.box.id) wrong.push(`${e.box.id} has something on it`);
        stack.pop();
        beside.add(e.box.id);
        break;
      case 'set-back':
        if (!beside.delete(e.box.id)) wrong.push(`${e.box.id} was not set down`);
        stack.push(e.box.id);
        break;
      case 'set-over':
        if (!beside.has(e.box.id) && stack.at(-1) !== e.box.id) wrong.push(`${e.box.id} has something on it`);
        break;
      case 'carry':
        isAt(e.move);
        hang(e.move);
        break;
      case 'aside':
        isAt(e.move);
        at.delete(e.move.frameId);
        waits.add(e.move.frameId);
        break;
      case 'hang':
        if (!waits.delete(e.move.frameId)) wrong.push(`${e.move.frameId} does not wait`);
        hang(e.move);
        break;
      case 'slide':
        e.moves.forEach(isAt);
        for (const m of e.moves) at.delete(m.frameId);
        e.moves.forEach(hang);
        break;
      case 'shake':
        reach(e.shake.boxId);
        break;
      case 'fill':
        e.moves.forEach(hang);
    }
  }
  for (const m of moves) {
    const place = m.to ? `${m.to.boxId}/${m.to.slot}` : undefined;
    if (at.get(m.frameId) !== place) wrong.push(`${m.frameId} is not where it belongs`);
  }
  if (waits.size > 0) wrong.push('something is left aside');
  if (
    stack.join() !==
    boxes
      .filter((b) => !b.goes && stack.includes(b.id))
      .map((b) => b.id)
      .join()
  )
    wrong.push('not built up in its order');
  const stay = boxes.filter((b) => !b.goes);
  if (stay.some((b) => !stack.includes(b.id))) wrong.push('a box that stays was not set back');
  return wrong;
}

describe('the work at a hive', () => {
  it('can be done as it is written, whatever is carried from where to where', () => {
    fc.assert(
      fc.property(anyHive, fc.boolean(), (hive, toTheBottom) => {
        const worked = workHive(hive.boxes, hive.moves, hive.shakes, hive.hanging, toTheBottom);
        expect(replay(hive, worked)).toEqual([]);
      }),
      { numRuns: sampleSize(2000, 50_000) },
    );
  });

  it('lifts a box once, and none that need not be lifted', () => {
    fc.assert(
      fc.property(anyHive, (hive) => {
        const worked = workHive(hive.boxes, hive.moves, hive.shakes, hive.hanging);
        const downs = worked.down.flatMap((e) => (e.what === 'set-down' ? [e.box.id] : []));
        expect(new Set(downs).size).toBe(downs.length);
        expect(liftsOf(worked).length).toBeLessThanOrEqual(2 * hive.boxes.length);
        const named = [
          ...hive.moves.flatMap((m) => [m.from?.boxId, m.to?.boxId]),
          ...hive.shakes.map((s) => s.boxId),
          ...hive.boxes.filter((b) => b.goes).map((b) => b.id),
        ];
        const lowest = hive.boxes.findIndex((b) => named.includes(b.id));
        for (const id of downs) {
          const at = hive.boxes.findIndex((b) => b.id === id);
          expect(at > lowest || hive.boxes[at]?.goes).toBe(true);
        }
      }),
      { numRuns: sampleSize(500, 10_000) },
    );
  });

  it('three boxes, two combs of the lowest and one of the middle: two boxes set down and set back', () => {
    const box = (id: string, role: 'brood' | 'super' = 'brood') => ({ id, role, goes: false });
    const boxes = [box('low'), box('middle'), box('super', 'super')];
    const hanging = ['low', 'middle'].flatMap((boxId) =>
      [1, 2, 3].map((slot) => ({ frameId: `${boxId}${slot}`, boxId, slot })),
    );
    const out = (boxId: string, slot: number) => ({
      frameId: `${boxId}${slot}`,
      from: { boxId, slot },
      to: null,
    });
    const worked = workHive(boxes, [out('low', 1), out('middle', 2), out('low', 3)], [], hanging);
    const words = [...worked.down, ...worked.up].map((e) =>
      'box' in e ? `${e.what} ${e.box.id}` : 'move' in e ? `${e.what} ${e.move.frameId}` : e.what,
    );
    expect(words).toEqual([
      'at-hand super',
      'set-down super',
      'at-hand middle',
      'carry middle2',
      'set-down middle',
      'at-hand low',
      'carry low1',
      'carry low3',
      'set-back middle',
      'set-back super',
    ]);
  });

  it('nothing to do is nothing to lift', () => {
    expect(workHive([{ id: 'a', role: 'brood', goes: false }], [], [], [])).toEqual({ down: [], up: [] });
  });
});
