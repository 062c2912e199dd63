import type { Day } from '../../basics/index.ts';
import { nestOfUnit, type StoreFill, storeFills } from '../../callout/index.ts';
import { shareOfBees } from '../../comb/index.ts';
import { blankComb, combOf, hangNest } from '../../nest/index.ts';
import { ripeCellEmergence } from '../../followup/index.ts';
import {
  type CallUnit,
  type Frame,
  STORE_KEY,
  type FrameCall,
  type KitLine,
  type CommandOf,
  type CallOut,
  boxesOfColony,
  boxesOfHive,
  combSlots,
  framesOfBox,
  framesOfColony,
  isSlotOf,
  readingOf,
  type Work,
  type WorkEffect,
  type WorkMove,
  type WorkUnit,
} from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { decideCount } from './counting.ts';
import { carryOutWork } from './carryOutWork.ts';

type Path = readonly (string | number)[];
type Finish = CommandOf<'finishCallOut'>;

/**
 * Makes the apiary what was called: the readings first, and then work like any other, with every called frame as a
 * move.
 */
export function carryOutCallOut(draft: Draft, callOut: CallOut, command: Finish, path: Path): void {
  keepReadings(draft, callOut, command, path);
  const work = workOfCallOut(draft, callOut, command);
  draft.add('work', work, path);
  carryOutWork(draft, work, command.day, path);
  const { closing } = command;
  draft.put('callOut', {
    ...callOut,
    status: 'done',
    body: { ...callOut.body, ...(closing && { closing }) },
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

/** What was called, as work. It keeps the identifier of its break-up. */
function workOfCallOut(draft: Draft, callOut: CallOut, command: Finish): Work {
  const { body } = callOut;
  const filled = body.units.filter((u) => framesOf(callOut, u).length > 0);
  const fills = command.fill ? storeFills(draft.apiary, callOut) : [];
  const ends = body.givers.filter((g) => g.whole && isEmptied(draft, callOut, g.colonyId));
  return {
    id: callOut.id,
    name: callOut.name,
    day: command.day,
    status: 'draft',
    body: {
      v: 2,
      asked: { source: 'call-out', callOutId: callOut.id },
      countedOn: command.day,
      units: [
        ...body.givers.flatMap((g) => giverOf(draft, callOut, g.colonyId, ends.includes(g))),
        ...filled.map((u) => unitOf(callOut, u, command.day)),
      ],
      newHives: filled.map((u) => ({
        colonyId: u.colonyId,
        hiveId: u.hiveId,
        standId: u.standId,
        yardId: body.yardId,
        fromColonyId: motherOf(callOut, u),
        boxes: [
          {
            from: 'kit',
            boxId: u.boxId,
            sizeId: u.recipe.sizeId,
            slots: u.recipe.slots,
            fromSlot: u.fromSlot,
          },
        ],
      })),
      newBoxes: [],
      unions: [],
      emptiedBoxIds: ends.flatMap((g) => {
        const hiveId = draft.get('colony', g.colonyId)?.hiveId;
        return hiveId ? boxesOfHive(draft.apiary, hiveId).map((b) => b.id) : [];
      }),
      moves: [
        ...filled.flatMap((u) => movesInto(draft, callOut, u, fills)),
        ...body.givers.flatMap((g) =>
          ends.includes(g) ? [] : pushedTogether(draft, callOut, g.colonyId, fills),
        ),
      ],
      shakes: [],
      effects: [
        ...queenEffects(callOut),
        ...ends.map((g): WorkEffect => ({ kind: 'unit-ends', colonyId: g.colonyId })),
      ],
      ledger: [],
      kit: kitOf(filled),
      cautions: [],
      looks: command.looks.map(({ id, colonyIds, kind, topic, window, expect }) => ({
        id,
        colonyIds,
        kind,
        topic,
        window,
        anchor: 'work',
        expect,
      })),
      ...(command.closing && { closing: command.closing }),
    },
  };
}

/** A comb of the store on its way. */
const fromStore = (frame: Frame, to: { boxId: string; slot: number }, toKey: string): WorkMove => ({
  frameId: frame.id,
  from: null,
  to,
  fromKey: STORE_KEY,
  toKey,
  reason: frame.blank === 'drawn' ? 'Drawn comb fills the free slot.' : 'Foundation fills the free slot.',
});

function movesInto(draft: Draft, callOut: CallOut, unit: CallUnit, fills: readonly StoreFill[]): WorkMove[] {
  const stored = fills.find((f) => f.key === unit.key)?.frames ?? [];
  const nest = nestOfUnit(callOut.body, unit, stored);
  const slotOf = (id: string) => unit.fromSlot - 1 + (nest.get(id) ?? 1);
  const comes = stored.map((f) => fromStore(f, { boxId: unit.boxId, slot: slotOf(f.id) }, unit.key));
  const called = framesOf(callOut, unit).flatMap((c): WorkMove[] => {
    const frame = draft.get('frame', c.frameId);
    if (!frame || c.to.at !== 'unit') return [];
    return [
      {
        frameId: frame.id,
        from: frame.boxId === null || frame.slot === null ? null : { boxId: frame.boxId, slot: frame.slot },
        to: { boxId: unit.boxId, slot: unit.fromSlot - 1 + (nest.get(c.id) ?? c.to.slot) },
        fromKey: c.giverId,
        toKey: unit.key,
        reason: 'Called frame by frame.',
      },
    ];
  });
  return [...called, ...comes];
}

/** What stays of a donor is pushed together: no gap for wild comb, brood beside brood. */
function pushedTogether(
  draft: Draft,
  { body }: CallOut,
  colonyId: string,
  fills: readonly StoreFill[],
): WorkMove[] {
  const colony = draft.get('colony', colonyId);
  if (!colony) return [];
  const gone = new Set(body.calls.flatMap((c) => (c.to.at === 'unit' ? [c.frameId] : [])));
  const all = framesOfColony(draft.apiary, colony);
  return boxesOfColony(draft.apiary, colony).flatMap((box): WorkMove[] => {
    const own = all.filter((f) => f.box.id === box.id);
    const left = own.filter((f) => !gone.has(f.frame.id));
    const stored = fills.find((f) => f.key === colonyId && f.boxId === box.id)?.frames ?? [];
    if (box.role !== 'brood' || (left.length === own.length && stored.length === 0)) return [];
    const hung = hangNest(
      [
        ...left.map((f) => {
          const comb = combOf(f.frame.id, readingOf(f));
          return { frame: comb, slot: f.slot, fixed: comb.liveCells > 0 };
        }),
        ...stored.map((f) => ({ frame: blankComb(f.id, f.blank), slot: null })),
      ],
      combSlots(box).filter((s) => isSlotOf(box, s, colonyId)),
      'nest',
      left.reduce((n, f) => n + shareOfBees(readingOf(f)), 0),
    );
    const comes = stored.flatMap((f): WorkMove[] => {
      const slot = hung.get(f.id);
      return slot === undefined ? [] : [fromStore(f, { boxId: box.id, slot }, colonyId)];
    });
    const slid = left.flatMap((f): WorkMove[] => {
      const slot = hung.get(f.frame.id) ?? f.slot;
      return slot === f.slot
        ? []
        : [
            {
              frameId: f.frame.id,
              from: { boxId: box.id, slot: f.slot },
              to: { boxId: box.id, slot },
              fromKey: colonyId,
              toKey: colonyId,
              reason: 'Pushed together: brood beside brood, and no gap for wild comb.',
            },
          ];
    });
    return [...slid, ...comes];
  });
}

/** The mother of a unit is the colony that gave it most. */
function motherOf(callOut: CallOut, unit: CallUnit): string {
  const givers = framesOf(callOut, unit).map((c) => c.giverId);
  const given = (id: string) => givers.filter((g) => g === id).length;
  return givers.toSorted((a, b) => given(b) - given(a))[0] ?? '';
}

/** Nothing of a giver is left: every frame of it was called into a unit. */
function isEmptied(draft: Draft, { body }: CallOut, colonyId: string): boolean {
  const hiveId = draft.get('colony', colonyId)?.hiveId;
  const boxes = hiveId ? boxesOfHive(draft.apiary, hiveId) : [];
  const gone = new Set(body.calls.flatMap((c) => (c.to.at === 'unit' ? [c.frameId] : [])));
  return boxes.every((b) => framesOfBox(draft.apiary, b.id).every((f) => gone.has(f.id)));
}

/** Nobody measured them: the pad adds up what is called, and the records have the readings. */
const NOT_MEASURED = { frames: 0, bees: 0, brood: 0, capped: 0, stores: 0 } as const;

function giverOf(draft: Draft, callOut: CallOut, colonyId: string, ends: boolean): WorkUnit[] {
  const colony = draft.get('colony', colonyId);
  if (!colony) return [];
  const queen = callOut.body.queens.find((q) => q.giverId === colonyId);
  const parts = partsOf(callOut, colonyId).filter((p) => p !== colonyId);
  const stays = ends || queen?.now === 'home' || parts.length === 0;
  return [
    {
      key: colonyId,
      colonyId,
      name: colony.name,
      state: 'stays',
      distance: null,
      gets: null,
      parted: stays
        ? null
        : {
            queen: queen ? 'elsewhere' : 'unknown',
            emergence: null,
            partIds: [colonyId, ...parts].slice(0, MOST_PARTS),
          },
      before: null,
      after: { ...NOT_MEASURED },
    },
  ];
}

function unitOf(callOut: CallOut, unit: CallUnit, day: Day): WorkUnit {
  const { body } = callOut;
  const givers = framesOf(callOut, unit).map((c) => c.giverId);
  const mother = motherOf(callOut, unit);
  const notFound = givers.some((g) => !body.queens.some((q) => q.giverId === g));
  const perhaps = notFound ? partsOf(callOut, mother) : [];
  // In the only unit there is she must be.
  const hasHer = perhaps.length === 1 || body.queens.some((q) => q.now === unit.key);
  const { queen: gets } = unit.recipe;
  const hasQueen = hasHer || gets === 'mated';
  return {
    key: unit.key,
    colonyId: unit.colonyId,
    name: unit.name,
    state: 'new',
    distance: unit.recipe.distance,
    gets: hasHer ? 'old-queen' : gets,
    parted: {
      queen: hasQueen ? 'here' : notFound ? 'unknown' : 'elsewhere',
      emergence: !hasQueen && gets === 'cell' ? { window: ripeCellEmergence(day), anchor: 'work' } : null,
      partIds: perhaps.length > 1 ? perhaps : [mother, unit.colonyId],
    },
    before: null,
    after: { ...NOT_MEASURED },
  };
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
function queenEffects(callOut: CallOut): WorkEffect[] {
  const { body } = callOut;
  const unseen = body.givers.filter((g) => !body.queens.some((q) => q.giverId === g.colonyId));
  return [
    ...unseen.flatMap(({ colonyId }): WorkEffect[] => {
      const parts = partsOf(callOut, colonyId);
      const [only] = parts;
      if (parts.length > 1) return [{ kind: 'queen-unsure', fromId: colonyId, colonyIds: parts }];
      return only === undefined || only === colonyId ? [] : [{ kind: 'queen-over', colonyId, intoId: only }];
    }),
    ...body.queens.flatMap(({ giverId, now }): WorkEffect[] => {
      const unit = body.units.find((u) => u.key === now);
      if (now === 'home') return [];
      return unit
        ? [{ kind: 'queen-over', colonyId: giverId, intoId: unit.colonyId }]
        : [{ kind: 'queen-out', colonyId: giverId }];
    }),
  ];
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
