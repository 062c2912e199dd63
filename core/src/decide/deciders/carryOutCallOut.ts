import { listInWords } from '../../basics/index.ts';
import { ripeCellEmergence } from '../../followup/index.ts';
import {
  type CallUnit,
  type FrameCall,
  type KitLine,
  type CommandOf,
  type CallOut,
  boxesOfHive,
  framesOfBox,
  queenOf,
} from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { decideCount } from './counting.ts';
import { dropLooks, dropLooksOfLastSplit } from './droppingLooks.ts';
import { takeKit } from './keepingKit.ts';

type Path = readonly (string | number)[];
type Finish = CommandOf<'finishCallOut'>;

/** Makes the apiary what was called: readings, boxes, frames, queens, descent and looks. */
export function carryOutCallOut(draft: Draft, callOut: CallOut, command: Finish, path: Path): void {
  const { body } = callOut;
  keepReadings(draft, callOut, command, path);
  const filled = body.units.filter((u) => framesOf(callOut, u).length > 0);
  setUpBoxes(draft, callOut, filled, path);
  for (const u of filled) setUpColony(draft, callOut, u, command, path);
  for (const u of filled) {
    for (const c of framesOf(callOut, u)) {
      const frame = draft.need('frame', c.frameId, path);
      if (!frame || c.to.at !== 'unit') continue;
      draft.put('frame', { ...frame, place: 'box', boxId: u.boxId, slot: u.fromSlot - 1 + c.to.slot });
    }
  }
  moveQueens(draft, callOut);
  leaveGivers(draft, callOut, command);
  for (const look of command.looks) draft.add('followUp', look, path);
  takeKit(draft, kitOf(filled));
  draft.put('callOut', {
    ...callOut,
    status: 'done',
    body: { ...body, ...(command.closing && { closing: command.closing }) },
  });
}

const framesOf = ({ body }: CallOut, unit: CallUnit): FrameCall[] =>
  body.calls.filter((c) => c.to.at === 'unit' && c.to.key === unit.key);

/** What was called of a giver is a count of it on that day. */
function keepReadings(draft: Draft, { body }: CallOut, command: Finish, path: Path): void {
  for (const { colonyId, visitId } of command.visits) {
    const calls = body.calls.filter((c) => c.giverId === colonyId);
    if (calls.length === 0) continue;
    decideCount(
      draft,
      {
        type: 'recordCount',
        visitId,
        colonyId,
        day: command.day,
        note: 'Called frame by frame when it was broken up.',
        readings: calls.map((c) => ({ id: c.id, frameId: c.frameId, body: c.reading })),
      },
      path,
    );
  }
}

/** Units that share a box have a chamber of it each. */
function setUpBoxes(draft: Draft, { body }: CallOut, filled: readonly CallUnit[], path: Path): void {
  for (const boxId of new Set(filled.map((u) => u.boxId))) {
    const sides = filled.filter((u) => u.boxId === boxId).toSorted((a, b) => a.fromSlot - b.fromSlot);
    const [first] = sides;
    const last = sides.at(-1);
    if (!first || !last) continue;
    const name = listInWords(sides.map((s) => s.name));
    const order = Object.values(draft.apiary.stand).filter((s) => s.yardId === body.yardId).length;
    draft.add('stand', { id: first.standId, yardId: body.yardId, name, order }, path);
    draft.add('hive', { id: first.hiveId, standId: first.standId, name: name.slice(0, 80) }, path);
    // A side that was left empty belongs to nobody.
    const empty = first.fromSlot > 1 ? [{ colonyId: null, fromSlot: 1, toSlot: first.fromSlot - 1 }] : [];
    draft.add(
      'box',
      {
        id: boxId,
        hiveId: first.hiveId,
        position: 0,
        sizeId: first.recipe.sizeId,
        slots: last.fromSlot - 1 + last.recipe.slots,
        role: 'brood',
        chambers: [
          ...empty,
          ...sides.map((s) => ({
            colonyId: s.colonyId,
            fromSlot: s.fromSlot,
            toSlot: s.fromSlot - 1 + s.recipe.slots,
          })),
        ],
        excluderBelow: false,
      },
      path,
    );
  }
}

function setUpColony(draft: Draft, callOut: CallOut, unit: CallUnit, command: Finish, path: Path): void {
  const givers = framesOf(callOut, unit).map((c) => c.giverId);
  // Its mother is the colony that gave it most.
  const fromColonyId = givers.toSorted(
    (a, b) => givers.filter((g) => g === b).length - givers.filter((g) => g === a).length,
  )[0];
  if (!fromColonyId) return;
  const notFound = givers.some((g) => !callOut.body.queens.some((q) => q.giverId === g));
  const perhaps = notFound ? partsOf(callOut, fromColonyId) : [];
  // In the only unit there is she must be.
  const hasHer = perhaps.length === 1;
  const hasQueen =
    hasHer || callOut.body.queens.some((q) => q.now === unit.key) || unit.recipe.queen === 'mated';
  draft.add(
    'colony',
    {
      id: unit.colonyId,
      name: unit.name,
      hiveId: unit.hiveId,
      startedOn: command.day,
      endedOn: null,
      origin: { how: 'split', fromColonyId, workId: callOut.id },
      separation: {
        v: 1,
        day: command.day,
        workId: callOut.id,
        queen: hasQueen ? 'here' : notFound ? 'unknown' : 'elsewhere',
        partIds: perhaps.length > 1 ? perhaps : [fromColonyId, unit.colonyId],
        emergence: !hasQueen && unit.recipe.queen === 'cell' ? ripeCellEmergence(command.day) : null,
      },
    },
    path,
  );
}

/** Where a queen that was never found can be: in the units that got frames of her colony, and in what stays of it. */
function partsOf({ body }: Pick<CallOut, 'body'>, giverId: string): string[] {
  const stays = body.givers.some((g) => g.colonyId === giverId && !g.whole);
  const units = body.units.filter((u) =>
    body.calls.some((c) => c.giverId === giverId && c.to.at === 'unit' && c.to.key === u.key),
  );
  return [...(stays ? [giverId] : []), ...units.map((u) => u.colonyId)].slice(0, MOST_PARTS);
}

/** More than these are not kept apart. */
const MOST_PARTS = 12;

/** A queen is in the unit that has her, still at home, was taken away, or in one of several when nobody found her. */
function moveQueens(draft: Draft, callOut: CallOut): void {
  const { body } = callOut;
  for (const { colonyId } of body.givers.filter((g) => !body.queens.some((q) => q.giverId === g.colonyId))) {
    const queen = queenOf(draft.apiary, colonyId);
    const parts = partsOf(callOut, colonyId);
    const [only] = parts;
    if (!queen || !only) continue;
    draft.put('queen', {
      ...queen,
      whereabouts:
        parts.length > 1 ? { known: 'oneOf', colonyIds: parts } : { known: 'colony', colonyId: only },
    });
  }
  for (const { giverId, now } of body.queens) {
    const queen = queenOf(draft.apiary, giverId);
    const unit = body.units.find((u) => u.key === now);
    if (!queen || now === 'home') continue;
    draft.put('queen', {
      ...queen,
      whereabouts: unit ? { known: 'colony', colonyId: unit.colonyId } : { known: 'gone' },
    });
  }
}

function leaveGivers(draft: Draft, { id, body }: CallOut, command: Finish): void {
  for (const giver of body.givers) {
    const colony = draft.get('colony', giver.colonyId);
    if (!colony) continue;
    const boxes = colony.hiveId === null ? [] : boxesOfHive(draft.apiary, colony.hiveId);
    const left = boxes.reduce((n, b) => n + framesOfBox(draft.apiary, b.id).length, 0);
    if (giver.whole && left === 0) {
      for (const box of boxes) {
        const chambers = [{ colonyId: null, fromSlot: 1, toSlot: box.slots }];
        draft.put('box', { ...box, hiveId: null, position: 0, chambers, excluderBelow: false });
      }
      draft.put('colony', { ...colony, endedOn: command.day, hiveId: null });
      dropLooks(draft, colony.id);
      continue;
    }
    const queen = body.queens.find((q) => q.giverId === colony.id);
    const parts = partsOf({ body }, colony.id).filter((p) => p !== colony.id);
    if (queen?.now === 'home' || parts.length === 0) continue;
    dropLooksOfLastSplit(draft, colony);
    draft.put('colony', {
      ...colony,
      separation: {
        v: 1,
        day: command.day,
        workId: id,
        queen: queen ? 'elsewhere' : 'unknown',
        partIds: [colony.id, ...parts].slice(0, MOST_PARTS),
        emergence: null,
      },
    });
  }
}

/** What the units take out of the store. */
function kitOf(units: readonly CallUnit[]): KitLine[] {
  const boxes = new Map<string, number>();
  for (const boxId of new Set(units.map((u) => u.boxId))) {
    const sides = units.filter((u) => u.boxId === boxId);
    const slots = sides.reduce((n, u) => n + u.recipe.slots, 0);
    const what =
      sides.length > 1
        ? `box of ${slots}, partitioned, with floor and lids`
        : `nuc box, ${slots} frames, with floor and lid`;
    boxes.set(what, (boxes.get(what) ?? 0) + 1);
  }
  return [...boxes].map(([what, count]) => ({ what, count, shortBy: null }));
}
