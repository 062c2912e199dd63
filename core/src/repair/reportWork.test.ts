import { describe, expect, it } from 'vitest';
import { applyChanges } from '../records/change.ts';
import { decide } from '../decide/decide.ts';
import { undoChanges } from '../decide/undo.ts';
import { framesInStore, framesOfColony, openFollowUps } from '../records/views.ts';
import type { FrameReading } from '../comb/contents.ts';
import type { MethodId } from '../records/bodies/methodId.ts';
import { COMBS, FULL_BOX, METHOD_DAY, methodPlan, withCells, withQueen } from '../testing/methodPlans.ts';
import { unitsOfWork } from '../records/bodies/closing.ts';
import { tagsOfWork } from '../work/hiveTags.ts';
import { reportWork } from './reportWork.ts';
import type { WorkReport } from '../records/bodies/workReport.ts';

const { young, capped, honey } = COMBS;
const CELLS = withCells(young, 'charged', 3);
/** A strong colony with its queen on the fourth frame of the upper box. */
const UPPER = [honey, capped, young, withQueen(young), capped, young, capped, capped, honey, honey];

/** A plan kept and begun, with what is done to it. */
function begun(
  methodId: MethodId,
  boxes: readonly (readonly FrameReading[])[] = [FULL_BOX, UPPER],
  options: Record<string, string> = {},
) {
  const { yard, command, stay, fresh } = methodPlan(methodId, boxes, options);
  yard.stock('drawn', 12);
  yard.run(command);
  const workId = command.work.id;
  const now = () => {
    const plan = yard.apiary.work[workId];
    if (!plan) throw new Error('the plan must be there');
    return plan;
  };
  const steps = () =>
    Object.values(yard.apiary.workStep)
      .filter((s) => s.workId === workId)
      .toSorted((a, b) => a.order - b.order);
  const tick = (part: string | RegExp) => {
    const step = steps().find((s) => s.doneOn === null && s.text.match(part));
    if (!step) throw new Error(`no step ${String(part)}`);
    yard.tick(step.id, METHOD_DAY);
    return step;
  };
  const report = (what: WorkReport) => reportWork(yard.apiary, workId, what, METHOD_DAY, yard.newId);
  const tell = (what: WorkReport) => {
    const done = report(what);
    if (!done.ok) throw new Error(done.problems[0]?.message);
    yard.run(done.value);
  };
  const finish = () => {
    for (const s of steps()) {
      if (s.doneOn === null) yard.tick(s.id, METHOD_DAY);
    }
  };
  /** The two parts as the plan now has them, every frame with its slot when the work is done. */
  const parts = () => {
    const { units, moves, newHives } = now().body;
    const newBoxes = new Set(newHives.flatMap((h) => h.boxes.map((b) => b.boxId)));
    const moved = new Map(moves.map((m) => [m.frameId, m.to]));
    const slots = Object.values(yard.apiary.frame).flatMap((f) => {
      const to = moved.has(f.id)
        ? moved.get(f.id)
        : f.boxId && f.slot
          ? { boxId: f.boxId, slot: f.slot }
          : null;
      return to ? [{ frameId: f.id, ...to }] : [];
    });
    return ([false, true] as const).map((isNew) => {
      const unit = units.find((u) => (u.state !== 'stays') === isNew);
      return {
        queen: unit?.parted?.queen,
        brood: unit?.after.brood ?? 0,
        slots: slots.filter((s) => newBoxes.has(s.boxId) === isNew),
      };
    });
  };
  /** When a new queen is expected from cells; null for emergency cells. */
  const emergence = () =>
    now().body.units.find((u) => u.parted?.emergence)?.parted?.emergence?.window ?? null;
  const move = (n = 0) => {
    const found = steps().filter((s) => s.kind === 'move' && s.frameIds.length === 1 && s.doneOn === null)[n];
    if (!found) throw new Error('no frame is to be carried');
    return found;
  };
  return { parts, emergence, yard, workId, now, steps, tick, report, tell, finish, stay, fresh, move };
}
const textsOf = (steps: readonly { text: string; doneOn: string | null }[]) =>
  steps.filter((s) => s.doneOn === null).map((s) => s.text);

describe('a frame that went elsewhere', () => {
  it('hangs where it went when the work is done, and others make up for it', () => {
    const w = begun('queen-to-nuc');
    w.tick(/^Open/);
    // Not hers: that one would be carried over all the same.
    const old = w.yard.apiary.colony[w.stay.colonyId];
    const hers = old && framesOfColony(w.yard.apiary, old).find((p) => p.reading?.body.queenSeen)?.frame.id;
    const step = [w.move(0), w.move(1)].find((m) => m.frameIds[0] !== hers) ?? w.move(1);
    const [frameId = ''] = step.frameIds;
    w.tell({ what: 'frame-went', frameId, toColonyId: w.stay.colonyId, slot: null });
    const told = w.steps().find((s) => s.id === step.id);
    expect(told).toMatchObject({ doneOn: METHOD_DAY, detail: `Planned: ${step.text}` });
    expect(told?.text).toMatch(/^Old, .* stayed$/);
    const { reports } = w.now().body;
    expect(w.parts()[1]?.slots.map((s) => s.frameId)).not.toContain(frameId);
    expect(reports?.map((r) => r.words)).toEqual([told?.text]);
    // Another comb takes its place: the nuc is as full as it was planned.
    expect(w.parts()[1]?.brood).toBeGreaterThan(w.fresh.measure.broodFrames - 0.5);
    w.finish();
    const nuc = w.yard.apiary.colony[w.fresh.colonyId];
    expect(nuc && framesOfColony(w.yard.apiary, nuc).map((p) => p.frame.id)).not.toContain(frameId);
  });

  it('into the nuc though it was to stay: it keeps its slot, and the rest is laid out around it', () => {
    const w = begun('queen-to-nuc');
    w.tick(/^Open/);
    const going = new Set(w.fresh.slots.map((s) => s.frameId));
    const extra = w.stay.slots.find((s) => {
      const reading = w.yard.apiary.frame[s.frameId]?.readingId;
      return (
        !going.has(s.frameId) && reading && w.yard.apiary.reading[reading]?.body.sides[0].contents.capped
      );
    });
    if (!extra) throw new Error('a capped comb must stay');
    w.tell({ what: 'frame-went', frameId: extra.frameId, toColonyId: w.fresh.colonyId, slot: 3 });
    const slots = w.parts()[1]?.slots ?? [];
    expect(slots.find((s) => s.frameId === extra.frameId)?.slot).toBe(3);
    expect(new Set(slots.map((s) => s.slot)).size).toBe(slots.length);
    w.finish();
    expect(w.yard.apiary.frame[extra.frameId]).toMatchObject({ slot: 3, place: 'box' });
  });

  it('what was carried before stays where it was hung', () => {
    const w = begun('queen-to-nuc');
    w.tick(/^Open/);
    const first = w.move();
    const [carried = ''] = first.frameIds;
    const planned = w.fresh.slots.find((s) => s.frameId === carried)?.slot;
    w.tick(first.text.slice(0, 12));
    const [other = ''] = w.move().frameIds;
    w.tell({ what: 'frame-went', frameId: other, toColonyId: w.stay.colonyId, slot: null });
    expect(w.parts()[1]?.slots.find((s) => s.frameId === carried)?.slot).toBe(planned);
    expect(w.steps().filter((s) => s.frameIds.includes(carried) && s.doneOn === null)).toEqual([]);
  });

  it('to a colony that has no part in the plan is in the records at once', () => {
    const w = begun('queen-to-nuc');
    const other = w.yard.hive('Other', [[honey, young]]);
    const [frameId = ''] = w.move().frameIds;
    w.tell({ what: 'frame-went', frameId, toColonyId: other.id, slot: null });
    expect(framesOfColony(w.yard.apiary, other).map((p) => p.frame.id)).toContain(frameId);
    w.finish();
    expect(w.now().status).toBe('done');
    expect(framesOfColony(w.yard.apiary, other).map((p) => p.frame.id)).toContain(frameId);
  });

  it('is refused where no slot is free, or the slot is taken, and nothing changes', () => {
    const w = begun('queen-to-nuc');
    const full = w.yard.hive('Full', [FULL_BOX]);
    const [frameId = ''] = w.move().frameIds;
    const before = w.yard.apiary;
    const toFull = w.report({ what: 'frame-went', frameId, toColonyId: full.id, slot: null });
    expect(!toFull.ok && toFull.problems[0]).toMatchObject({
      code: 'no-slot-free',
      message: 'No slot for a frame of this size is free in Full.',
    });
    const taken = w.report({ what: 'frame-went', frameId, toColonyId: w.stay.colonyId, slot: 1 });
    expect(!taken.ok && taken.problems[0]?.code).toBe('slot-taken');
    expect(w.yard.apiary).toBe(before);
  });

  it('conserves every frame, whatever went where', () => {
    const w = begun('queen-to-nuc');
    const all = Object.keys(w.yard.apiary.frame).toSorted();
    w.tick(/^Open/);
    w.tell({
      what: 'frame-went',
      frameId: w.move().frameIds[0] ?? '',
      toColonyId: w.stay.colonyId,
      slot: null,
    });
    w.tick(w.move().text.slice(0, 12));
    w.finish();
    expect(Object.keys(w.yard.apiary.frame).toSorted()).toEqual(all);
    expect(framesInStore(w.yard.apiary).length).toBeLessThanOrEqual(12);
  });

  it('can be taken back', () => {
    const w = begun('queen-to-nuc');
    const before = w.yard.apiary;
    const [frameId = ''] = w.move().frameIds;
    const told = w.report({ what: 'frame-went', frameId, toColonyId: w.stay.colonyId, slot: null });
    const changes = told.ok ? decide(before, told.value) : told;
    if (!changes.ok) throw new Error('it can be reported');
    const after = applyChanges(before, changes.value);
    expect(after).not.toEqual(before);
    const back = undoChanges(after, changes.value);
    expect(back.ok && applyChanges(after, back.value)).toEqual(before);
  });
});

describe('a queen found', () => {
  it('where nobody looked: the day of parting tells which half has her, and only the other is watched', () => {
    const w = begun('walk-away-halves', [FULL_BOX, FULL_BOX]);
    w.tick(/^Open/);
    const upper = framesOfColony(w.yard.apiary, Object.values(w.yard.apiary.colony)[0]!).find(
      (p) => p.box.position === 1,
    );
    w.tell({ what: 'queen-found', colonyId: w.stay.colonyId, frameId: upper?.frame.id ?? '' });
    const { looks } = w.now().body;
    expect(w.parts().map((p) => p.queen)).toEqual(['elsewhere', 'here']);
    // Her frame is not carried to the other half.
    expect(w.parts()[1]?.slots.map((s) => s.frameId)).toContain(upper?.frame.id);
    expect(looks.map((f) => f.topic)).not.toContain('which-part');
    const watched = looks.filter((f) => f.topic !== 'bees-stay');
    expect(watched.every((f) => f.colonyIds.join() === w.stay.colonyId)).toBe(true);
    w.finish();
    const filed = openFollowUps(w.yard.apiary).filter((f) => f.topic !== 'bees-stay');
    expect(filed.every((f) => f.colonyIds.join() === w.stay.colonyId)).toBe(true);
  });

  it('on another frame than she was seen on: that one goes with her now', () => {
    const w = begun('queen-to-nuc');
    w.tick(/^Open/);
    const home = framesOfColony(w.yard.apiary, Object.values(w.yard.apiary.colony)[0]!);
    const lower = home.find((p) => p.box.position === 0 && p.reading?.body.sides[0].contents.eggs);
    w.tell({ what: 'queen-found', colonyId: w.stay.colonyId, frameId: lower?.frame.id ?? '' });
    expect(w.parts()[1]?.slots.map((s) => s.frameId)).toContain(lower?.frame.id);
    expect(textsOf(w.steps()).some((t) => /^Find the queen/.test(t))).toBe(false);
  });

  it('beside the frames, in a half', () => {
    const w = begun('walk-away-halves', [FULL_BOX, FULL_BOX]);
    w.tell({ what: 'queen-found', colonyId: w.fresh.colonyId, frameId: null });
    expect(w.parts().map((p) => p.queen)).toEqual(['elsewhere', 'here']);
  });

  it('on a frame that is in the nuc already though she is to stay: it is carried back first', () => {
    const w = begun('caged-queen', [FULL_BOX, FULL_BOX]);
    w.tick(/^Open/);
    const step = w.move();
    const [frameId = ''] = step.frameIds;
    w.tick(step.text.slice(0, 12));
    w.tell({ what: 'queen-found', colonyId: w.fresh.colonyId, frameId });
    expect(textsOf(w.steps())[0]).toBe('Carry the frame with the queen back from New to Old');
    expect(w.parts()[1]?.slots.map((s) => s.frameId)).not.toContain(frameId);
  });
});

describe('cells', () => {
  const withTwo = [
    FULL_BOX,
    [honey, capped, CELLS, withQueen(young), capped, young, capped, CELLS, honey, honey],
  ];

  it('a reserved one is neither carried nor shaken, and need not be chosen again', () => {
    const w = begun('side-by-side', withTwo);
    const at = framesOfColony(w.yard.apiary, Object.values(w.yard.apiary.colony)[0]!).find(
      (p) => (p.reading?.body.cells.length ?? 0) > 0,
    );
    const frameId = at?.frame.id ?? '';
    expect(textsOf(w.steps()).some((t) => /^Reserve/.test(t))).toBe(true);
    w.tell({ what: 'cell-reserved', frameId });
    expect(textsOf(w.steps()).some((t) => /^Reserve/.test(t))).toBe(false);
    expect(w.now().body.shakes.map((s) => s.frameId)).not.toContain(frameId);
    expect(w.parts()[0]?.slots.map((s) => s.frameId)).toContain(frameId);
  });

  it('the reserved one broke: another is to be chosen', () => {
    const w = begun('side-by-side', withTwo);
    const at = framesOfColony(w.yard.apiary, Object.values(w.yard.apiary.colony)[0]!).find(
      (p) => (p.reading?.body.cells.length ?? 0) > 0,
    );
    w.tick(/^Reserve/);
    w.tell({ what: 'cell-broken', frameId: at?.frame.id ?? '' });
    expect(textsOf(w.steps()).some((t) => /^Reserve/.test(t))).toBe(true);
  });

  it('the only one broke: dates are those of a queen raised from eggs', () => {
    const one = withCells(young, 'capped', 1);
    const w = begun('queen-to-nuc', [FULL_BOX, [honey, capped, one, withQueen(young), ...UPPER.slice(4)]]);
    const before = w.now().body.looks.find((f) => f.topic === 'eggs-due')?.window.likely ?? '';
    expect(w.emergence()).not.toBeNull();
    const at = framesOfColony(w.yard.apiary, Object.values(w.yard.apiary.colony)[0]!).find(
      (p) => (p.reading?.body.cells.length ?? 0) > 0,
    );
    w.tell({ what: 'cell-broken', frameId: at?.frame.id ?? '' });
    expect(w.emergence()).toBeNull();
    const after = w.now().body.looks.find((f) => f.topic === 'eggs-due')?.window.likely ?? '';
    expect(after > before).toBe(true);
  });

  it('a virgin is out already: dates begin today, and it is said that two do not stay two', () => {
    const w = begun('spare-cells', [
      [honey, capped, CELLS, young, capped, CELLS, capped, capped, honey, honey],
    ]);
    w.tell({ what: 'virgin-seen', colonyId: w.fresh.colonyId });
    expect(w.emergence()).toMatchObject({ earliest: METHOD_DAY, likely: METHOD_DAY });
    expect(w.now().body.cautions[0]).toMatch(/^A virgin runs here already/);
  });
});

describe('one unit more than planned', () => {
  it('is in the records at once with its looks, and the plan goes on with what is left', () => {
    const w = begun('queen-to-nuc');
    const inNuc = new Set(w.fresh.slots.map((s) => s.frameId));
    const two = w.stay.slots
      .filter((s) => !inNuc.has(s.frameId))
      .slice(1, 3)
      .map((s) => s.frameId);
    w.tell({ what: 'unit-added', fromColonyId: w.stay.colonyId, name: 'Third', frameIds: two });
    const third = Object.values(w.yard.apiary.colony).find((c) => c.name === 'Third');
    expect(third && framesOfColony(w.yard.apiary, third).map((p) => p.frame.id)).toEqual(two);
    expect(
      openFollowUps(w.yard.apiary)
        .filter((f) => f.colonyIds.includes(third?.id ?? ''))
        .map((f) => f.topic),
    ).toEqual(['which-part', 'rest', 'eggs-due']);
    expect(unitsOfWork(w.yard.apiary, w.now()).map((u) => u.name)).toContain('Third');
    expect(tagsOfWork(w.yard.apiary, w.now()).at(-1)).toMatchObject({ name: 'Third', mother: 'Old' });
    w.finish();
    expect(w.now().status).toBe('done');
    expect(w.now().body.closing?.map((a) => a.colonyId)).toContain(third?.id);
  });

  it('needs a name that is free and frames of the colony', () => {
    const w = begun('queen-to-nuc');
    const [frame] = w.stay.slots;
    const named = w.report({
      what: 'unit-added',
      fromColonyId: w.stay.colonyId,
      name: 'Old',
      frameIds: [frame?.frameId ?? ''],
    });
    expect(!named.ok && named.problems[0]?.code).toBe('name-taken');
  });
});

describe('an amended plan', () => {
  it('does not lose a tick that came meanwhile, and is not amended once it is done', () => {
    const w = begun('queen-to-nuc');
    const [frameId = ''] = w.move().frameIds;
    const late = w.report({ what: 'frame-went', frameId, toColonyId: w.stay.colonyId, slot: null });
    if (!late.ok) throw new Error('it can be reported');
    w.tick(/^Open/);
    expect(w.yard.refused(late.value).join()).toContain('tick-lost');
    w.finish();
    expect(w.yard.refused(late.value).join()).toContain('plan-closed');
  });
});
