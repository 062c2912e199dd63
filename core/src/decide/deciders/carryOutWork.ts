import { daysBetween, listInWords, onDay, type Day } from '../../basics/index.ts';
import {
  BARE_BOX,
  boxesOfHive,
  queenOf,
  type Box,
  type Colony,
  type Parting,
  type Work,
  type WorkUnit,
} from '../../records/index.ts';
import { carriedTo } from '../../colony/index.ts';
import { goneUnits } from '../../work/index.ts';
import { carryOutQueens, carryOutStandsAndEnds, partQueens } from './carryOutEffects.ts';
import type { Draft } from './draft.ts';
import { dropLooks, dropLooksOfLastSplit } from './droppingLooks.ts';
import { endOf } from './endOf.ts';
import { fileJob } from './fileJob.ts';
import { handChambers } from './handChambers.ts';
import { takeKit } from './keepingKit.ts';
import { shifted } from './lateWork.ts';
import { noteGift } from './noteGift.ts';
import { retireQueen } from './retireQueen.ts';
import { setUpHive } from './settingUpUnit.ts';

type Path = readonly (string | number)[];

/**
 * Makes the apiary what work says, whatever asked for it, provided that nothing it rests on has changed meanwhile.
 *
 * Work that is done later than planned shifts what hangs on its day, and nothing else.
 */
export function carryOutWork(draft: Draft, work: Work, day: Day, path: Path): void {
  draft.problems.push(...goneUnits(draft.apiary, work, path));
  if (draft.problems.length > 0) return;
  const late = daysBetween(work.day, day);
  carryOutQueens(draft, work, day, late, path);
  unite(draft, work, day, path);
  setUpNewUnits(draft, work, day, late, path);
  bringBoxes(draft, work, path);
  moveFrames(draft, work, day, path);
  takeBoxesAway(draft, work);
  partColonies(draft, work, day, late);
  partQueens(draft, work, path);
  carryOutStandsAndEnds(draft, work, day, path);
  carryAway(draft, work, day);
  settleActs(draft, work, day);
  for (const { id, colonyIds, kind, topic, window, anchor, expect } of work.body.looks) {
    draft.add(
      'followUp',
      {
        id,
        workId: work.id,
        colonyIds,
        kind,
        topic,
        window: shifted(window, anchor, late),
        expect,
        status: 'open',
      },
      path,
    );
  }
  fileFeeding(draft, work, day);
  takeKit(draft, work.body.kit);
  draft.put('work', { ...work, status: 'done' });
}

/** The boxes of the one are set on the other; it ends, and what was due for it is dropped. */
function unite(draft: Draft, work: Work, day: Day, path: Path): void {
  for (const { fromId, intoId, nameOf, standOf } of work.body.unions) {
    const from = draft.need('colony', fromId, path);
    const into = draft.need('colony', intoId, path);
    if (!from || !into || from.hiveId === null || into.hiveId === null) continue;
    const stand = draft.get('hive', from.hiveId)?.standId ?? null;
    if (from.hiveId === into.hiveId) {
      // The partition is drawn: what was the one's side is the other's now.
      for (const box of boxesOfHive(draft.apiary, into.hiveId)) handChambers(draft, box, fromId, intoId);
    } else setOnTop(draft, from.hiveId, into.hiveId, fromId, intoId);
    draft.put('colony', { ...from, endedOn: day, hiveId: null, end: endOf('united', into.name) });
    const queen = queenOf(draft.apiary, fromId);
    if (queen) retireQueen(draft, queen, day, 'lost');
    dropLooks(draft, fromId);
    if (nameOf === fromId) takeName(draft, intoId, from.name);
    if (standOf === fromId) takeStand(draft, into.hiveId, stand);
  }
}

/** The one that stays is called as the other was. */
function takeName(draft: Draft, colonyId: string, name: string): void {
  const colony = draft.get('colony', colonyId);
  const hive = colony?.hiveId ? draft.get('hive', colony.hiveId) : undefined;
  if (!colony || !hive) return;
  if (hive.name === colony.name) draft.put('hive', { ...hive, name });
  draft.put('colony', { ...colony, name });
}

/** The one that stays is set on the other's stand, unless somebody still lives there. */
function takeStand(draft: Draft, hiveId: string, standId: string | null): void {
  const hive = draft.get('hive', hiveId);
  const isTaken = Object.values(draft.apiary.hive).some((h) => h.standId === standId);
  if (hive && standId !== null && !isTaken) draft.put('hive', { ...hive, standId });
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

function setUpNewUnits(draft: Draft, work: Work, day: Day, late: number, path: Path): void {
  for (const h of work.body.newHives) {
    const unit = work.body.units.find((u) => u.colonyId === h.colonyId);
    const parent = draft.need('colony', h.fromColonyId, path);
    if (!unit || !parent) continue;
    setUpHive(
      draft,
      { ...h, name: unit.name },
      {
        startedOn: day,
        origin: { how: 'split', fromColonyId: parent.id, workId: work.id },
        separation: unit.parted && separationBy(work, unit.parted, day, late),
      },
      path,
    );
  }
}

/** Units that go to another yard, be they new or what is left of one that was broken up. */
function carryAway(draft: Draft, work: Work, day: Day): void {
  for (const unit of work.body.units) {
    const hiveId = unit.distance === 'away' ? (draft.get('colony', unit.colonyId)?.hiveId ?? null) : null;
    const standId = hiveId === null ? null : (draft.get('hive', hiveId)?.standId ?? null);
    const yardId = standId === null ? undefined : draft.get('stand', standId)?.yardId;
    if (hiveId !== null && yardId !== undefined) leaveShut(draft, unit, hiveId, yardId, day);
  }
}

/**
 * What goes to another yard is carried there the same evening, its entrance shut until then. The job bears the identifier
 * of the hive, which nothing else of its kind can have.
 */
function leaveShut(draft: Draft, unit: WorkUnit, hiveId: string, yardId: string, day: Day): void {
  const to = carriedTo(draft.apiary, yardId, unit.toYardId);
  const hive = draft.get('hive', hiveId);
  if (hive) draft.put('hive', { ...hive, entrance: { state: 'shut', since: day } });
  fileJob(draft, [hiveId], {
    colonyIds: [unit.colonyId],
    topic: 'carry',
    window: onDay(day),
    expect: `At dusk, carry ${unit.name} to ${to?.name ?? 'the other yard'}, more than 3 km (2 miles) away: strapped, its entrance shut and aired, and opened as soon as it stands.`,
    ...(to && {
      move: { to: { standId: hiveId, fresh: { yardId: to.id, name: unit.name } }, hour: 'dusk' as const },
    }),
  });
}

/** What is fed this evening. The job bears the identifier of the work, which nothing else of its kind can have. */
function fileFeeding(draft: Draft, work: Work, day: Day): void {
  const fed = (work.body.closing ?? []).filter((a) => a.fed === 'this-evening');
  const names = fed.flatMap((a) => draft.get('colony', a.colonyId)?.name ?? []);
  fileJob(draft, [work.id], {
    colonyIds: fed.map((a) => a.colonyId).slice(0, 12),
    topic: 'feed',
    window: onDay(day),
    expect:
      `This evening, feed ${listInWords(names)}. Inside, when nothing flies, a small entrance, nothing spilt: robbers smell syrup.`.slice(
        0,
        800,
      ),
  });
}

/** What was to be done about a colony is done: it is no longer due. */
function settleActs(draft: Draft, work: Work, day: Day): void {
  if (work.body.asked.source !== 'action') return;
  for (const id of new Set(work.body.looks.flatMap((l) => l.colonyIds)))
    dropLooks(draft, id, (f) => f.topic === 'act' && f.window.earliest <= day);
}

/** Colonies that stay and are parted from others, or from their queen. */
function partColonies(draft: Draft, work: Work, day: Day, late: number): void {
  for (const { state, colonyId, parted } of work.body.units) {
    const colony = state === 'stays' && parted ? draft.get('colony', colonyId) : undefined;
    if (!colony || !parted) continue;
    dropLooksOfLastSplit(draft, colony);
    draft.put('colony', { ...colony, separation: separationBy(work, parted, day, late) });
  }
}

const separationBy = (
  work: Work,
  { queen, emergence, partIds }: Parting,
  day: Day,
  late: number,
): Colony['separation'] => ({
  v: 1,
  day,
  workId: work.id,
  queen,
  partIds,
  emergence: emergence && shifted(emergence.window, emergence.anchor, late),
});

/** Boxes that are brought find their place in the stack; the moves empty those that are replaced. */
function bringBoxes(draft: Draft, work: Work, path: Path): void {
  for (const b of work.body.newBoxes) {
    const colony = draft.need('colony', b.colonyId, path);
    if (!colony?.hiveId) continue;
    const { hiveId } = colony;
    const there = boxesOfHive(draft.apiary, hiveId);
    const position = positionOf(b, there);
    for (const box of there)
      if (box.position >= position) draft.put('box', { ...box, position: box.position + 1 });
    const old = b.insteadOf === undefined ? undefined : draft.get('box', b.insteadOf);
    draft.add(
      'box',
      {
        id: b.boxId,
        hiveId,
        position,
        sizeId: b.sizeId,
        slots: b.slots,
        role: b.place === 'top' ? 'super' : 'brood',
        chambers: wholeOf(b, b.colonyId),
        ...BARE_BOX,
        ...(old && { inserts: old.inserts }),
        excluderBelow: b.excluderBelow ?? old?.excluderBelow ?? false,
      },
      path,
    );
    if (old) draft.put('box', { ...old, inserts: [] });
  }
}

/** Where in the stack a box comes, from 0 at the bottom. @param there - the boxes of its hive, bottom first */
function positionOf({ place }: Work['body']['newBoxes'][number], there: readonly Box[]): number {
  switch (place) {
    case 'top':
      return there.length;
    case 'over':
      return there.findLastIndex((b) => b.role === 'brood') + 1;
    case 'under':
    case 'in-place':
      return 0;
  }
}

function moveFrames(draft: Draft, work: Work, day: Day, path: Path): void {
  for (const m of work.body.moves) {
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
    if (m.to) makeRoom(draft, m.to);
    if (m.to) noteGift(draft, work, m, frame, day);
    draft.put(
      'frame',
      m.to
        ? { ...frame, place: 'box', boxId: m.to.boxId, slot: m.to.slot }
        : { ...frame, place: 'store', boxId: null, slot: null },
    );
  }
}

/** A comb that is hung where a feeder or a board was has taken its place. */
function makeRoom(draft: Draft, to: { readonly boxId: string; readonly slot: number }): void {
  const box = draft.get('box', to.boxId);
  if (!box?.inserts.some((n) => n.slot === to.slot)) return;
  draft.put('box', { ...box, inserts: box.inserts.filter((n) => n.slot !== to.slot) });
}

/** Boxes that are empty now go to the store; the rest of their hive closes up. */
function takeBoxesAway(draft: Draft, work: Work): void {
  const brought = new Set(work.body.newBoxes.map((b) => b.boxId));
  const replaced = work.body.newBoxes.flatMap(({ colonyId, place }) => {
    if (place !== 'in-place') return [];
    const hiveId = draft.get('colony', colonyId)?.hiveId;
    return hiveId
      ? boxesOfHive(draft.apiary, hiveId).filter((b) => !brought.has(b.id) && b.role === 'brood')
      : [];
  });
  const emptied = work.body.emptiedBoxIds.flatMap((id) => draft.get('box', id) ?? []);
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
