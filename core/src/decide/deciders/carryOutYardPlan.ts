import { handChambers } from './handChambers.ts';
import { daysBetween, type Day, shiftWindow, windowAfter } from '../../basics/index.ts';
import type { Draft } from './draft.ts';
import { type Box, type YardPlan, boxesOfHive, queenOf } from '../../records/index.ts';
import { goneUnits } from '../../work/index.ts';
import { carryOutQueens, carryOutStandsAndEnds } from './carryOutEffects.ts';
import { dropLooks } from './droppingLooks.ts';
import { takeKit } from './keepingKit.ts';
import { setUpUnit } from './settingUpUnit.ts';

type Path = readonly (string | number)[];

/** Makes the apiary what a yard plan says, provided that nothing it rests on has changed meanwhile. */
export function carryOutYardPlan(draft: Draft, plan: YardPlan, day: Day, path: Path): void {
  draft.problems.push(...goneUnits(draft.apiary, plan, path));
  if (draft.problems.length > 0) return;
  carryOutQueens(draft, plan, path);
  unite(draft, plan, day, path);
  setUpNucs(draft, plan, day, path);
  bringBoxes(draft, plan, path);
  moveFrames(draft, plan, path);
  takeBoxesAway(draft, plan);
  moveQueens(draft, plan, day);
  carryOutStandsAndEnds(draft, plan, day, path);
  const late = daysBetween(plan.day, day);
  for (const { id, colonyIds, kind, topic, window, expect } of plan.body.looks) {
    draft.add(
      'followUp',
      {
        id,
        planId: null,
        colonyIds,
        kind,
        topic,
        // Work done later than planned: its looks move with it.
        window: shiftWindow(window, late),
        expect,
        status: 'open',
      },
      path,
    );
  }
  takeKit(draft, plan.body.kit);
  draft.put('yardPlan', { ...plan, status: 'done' });
}

/** The boxes of the one are set on the other; it ends, and what was due for it is dropped. */
function unite(draft: Draft, plan: YardPlan, day: Day, path: Path): void {
  for (const { fromId, intoId } of plan.body.unions) {
    const from = draft.need('colony', fromId, path);
    const into = draft.need('colony', intoId, path);
    if (!from || !into || from.hiveId === null || into.hiveId === null) continue;
    if (from.hiveId === into.hiveId) {
      // The partition is drawn: what was the one's side is the other's now.
      for (const box of boxesOfHive(draft.apiary, into.hiveId)) handChambers(draft, box, fromId, intoId);
    } else setOnTop(draft, from.hiveId, into.hiveId, fromId, intoId);
    draft.put('colony', { ...from, endedOn: day, hiveId: null });
    const queen = queenOf(draft.apiary, fromId);
    if (queen) draft.put('queen', { ...queen, whereabouts: { known: 'gone' } });
    dropLooks(draft, fromId);
  }
}

/** The boxes that are the one's alone go on top of the other; its hive leaves the stand unless others live in it. */
function setOnTop(
  draft: Draft,
  fromHiveId: string,
  intoHiveId: string,
  fromId: string,
  intoId: string,
): void {
  const top = boxesOfHive(draft.apiary, intoHiveId).length;
  const own = boxesOfHive(draft.apiary, fromHiveId).filter((b) =>
    b.chambers.every((c) => c.colonyId === fromId || c.colonyId === null),
  );
  own.forEach((box, i) => {
    draft.put('box', { ...box, hiveId: intoHiveId, position: top + i, chambers: wholeOf(box, intoId) });
  });
  const rest = boxesOfHive(draft.apiary, fromHiveId);
  rest.forEach((box, position) => {
    draft.put('box', { ...box, position });
    handChambers(draft, { ...box, position }, fromId, null);
  });
  const hive = draft.get('hive', fromHiveId);
  if (hive && rest.length === 0) draft.put('hive', { ...hive, standId: null });
}

const wholeOf = (box: Pick<Box, 'slots'>, colonyId: string | null) => [
  { colonyId, fromSlot: 1, toSlot: box.slots },
];

function setUpNucs(draft: Draft, plan: YardPlan, day: Day, path: Path): void {
  for (const h of plan.body.newHives) {
    const unit = plan.body.units.find((u) => u.colonyId === h.colonyId);
    const giver = draft.need('colony', h.fromColonyId, path);
    if (!unit || !giver) continue;
    const raises = unit.queen === 'raises' || unit.queen === 'cell';
    setUpUnit(
      draft,
      { ...h, name: unit.name },
      {
        startedOn: day,
        origin: { how: 'split', fromColonyId: giver.id, planId: plan.id },
        separation: {
          v: 1,
          day,
          planId: plan.id,
          queen: raises ? 'elsewhere' : 'here',
          partIds: [giver.id, h.colonyId],
          // A ripe cell is given within three days and opens within two more.
          emergence: unit.queen === 'cell' ? windowAfter(day, 2, 3, 5) : null,
        },
      },
      path,
    );
  }
}

/** New boxes take the lowest place; the boxes that they replace are emptied first by the moves. */
function bringBoxes(draft: Draft, plan: YardPlan, path: Path): void {
  for (const b of plan.body.newBoxes) {
    const colony = draft.need('colony', b.colonyId, path);
    if (!colony?.hiveId) continue;
    const { hiveId } = colony;
    for (const old of boxesOfHive(draft.apiary, hiveId)) {
      draft.put('box', { ...old, position: old.position + 1 });
    }
    draft.add(
      'box',
      {
        id: b.boxId,
        hiveId,
        position: 0,
        sizeId: b.sizeId,
        slots: b.slots,
        role: 'brood',
        chambers: wholeOf(b, b.colonyId),
        excluderBelow: false,
      },
      path,
    );
  }
}

function moveFrames(draft: Draft, plan: YardPlan, path: Path): void {
  for (const m of plan.body.moves) {
    const frame = draft.need('frame', m.frameId, path);
    if (!frame) continue;
    if (frame.boxId !== (m.from?.boxId ?? null) || frame.slot !== (m.from?.slot ?? null)) {
      draft.problem(
        'frame-moved',
        path,
        'A frame of this plan has been moved since the plan was made.',
        'Drop the plan and make it again from the present state.',
      );
      continue;
    }
    draft.put(
      'frame',
      m.to
        ? { ...frame, place: 'box', boxId: m.to.boxId, slot: m.to.slot }
        : { ...frame, place: 'store', boxId: null, slot: null },
    );
  }
}

/** Boxes that are empty now go to the store; the rest of their hive closes up. */
function takeBoxesAway(draft: Draft, plan: YardPlan): void {
  const replaced = plan.body.newBoxes.flatMap(({ colonyId, boxId }) => {
    const hiveId = draft.get('colony', colonyId)?.hiveId;
    return hiveId
      ? boxesOfHive(draft.apiary, hiveId).filter((b) => b.id !== boxId && b.role === 'brood')
      : [];
  });
  const emptied = plan.body.emptiedBoxIds.flatMap((id) => draft.get('box', id) ?? []);
  const held = new Set(Object.values(draft.apiary.frame).map((f) => f.boxId));
  const hives = new Set<string>();
  for (const box of [...replaced, ...emptied]) {
    if (held.has(box.id)) continue;
    if (box.hiveId) hives.add(box.hiveId);
    draft.put('box', {
      ...box,
      hiveId: null,
      position: 0,
      chambers: wholeOf(box, null),
      excluderBelow: false,
    });
  }
  for (const hiveId of hives) {
    boxesOfHive(draft.apiary, hiveId).forEach((box, position) => {
      if (box.position !== position) draft.put('box', { ...box, position });
    });
  }
}

/** Old queens go with the nuc that takes them; their colonies raise others. */
function moveQueens(draft: Draft, plan: YardPlan, day: Day): void {
  for (const unit of plan.body.units) {
    if (!unit.queenLeaves) continue;
    const colony = draft.get('colony', unit.colonyId);
    if (!colony) continue;
    const home = plan.body.newHives.find(
      (h) =>
        plan.body.units.find((u) => u.colonyId === h.colonyId)?.queen === 'old-queen' &&
        h.fromColonyId === unit.colonyId,
    );
    if (!home) continue;
    const queen = queenOf(draft.apiary, unit.colonyId);
    if (queen) {
      draft.put('queen', { ...queen, whereabouts: { known: 'colony', colonyId: home.colonyId } });
    }
    draft.put('colony', {
      ...colony,
      separation: {
        v: 1,
        day,
        planId: plan.id,
        queen: 'elsewhere',
        partIds: [colony.id, home.colonyId],
        emergence: null,
      },
    });
  }
}
