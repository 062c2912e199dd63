import type { Day } from '../../basics/index.ts';
import { shifted } from './lateWork.ts';
import {
  BARE_STAND,
  boxesOfHive,
  newQueen,
  queenOf,
  type Work,
  type WorkEffect,
} from '../../records/index.ts';
import { cutCells } from './cutCells.ts';
import type { Draft } from './draft.ts';
import { dropLooks } from './droppingLooks.ts';
import { endOf } from './endOf.ts';
import { handChambers } from './handChambers.ts';
import { retireQueen } from './retireQueen.ts';

type Path = readonly (string | number)[];

/** Queens and cells that come, go or move with the work. Before units are united, so that the right one stays. */
export function carryOutQueens(draft: Draft, work: Work, day: Day, late: number, path: Path): void {
  for (const effect of work.body.effects)
    if (!isIntoNewUnit(work, effect)) queenEffect(draft, work, effect, day, late, path);
}

/** Old queens that go with a new unit, or may have: once it is there. */
export function partQueens(draft: Draft, work: Work, path: Path): void {
  for (const effect of work.body.effects) {
    if (effect.kind === 'queen-unsure') {
      const queen = queenOf(draft.apiary, effect.fromId);
      if (queen)
        draft.put('queen', { ...queen, whereabouts: { known: 'oneOf', colonyIds: effect.colonyIds } });
    }
    if (effect.kind === 'queen-over' && isIntoNewUnit(work, effect)) {
      const queen = queenOf(draft.apiary, effect.colonyId);
      if (queen) draft.put('queen', { ...queen, whereabouts: { known: 'colony', colonyId: effect.intoId } });
      else draft.need('colony', effect.intoId, path);
    }
  }
}

const isIntoNewUnit = (work: Work, effect: WorkEffect) =>
  effect.kind === 'queen-over' && work.body.newHives.some((h) => h.colonyId === effect.intoId);

const OF_THE_HIVE = [
  'unit-ends',
  'excluder-in',
  'excluder-out',
  'box-to-super',
  'queen-off-comb',
  'cells-cut',
  'new-stand',
] as const;
type OfTheHive = Extract<WorkEffect, { readonly kind: (typeof OF_THE_HIVE)[number] }>;

/** An effect on the hive and its stand, carried out when frames and boxes have found theirs. */
const isOfTheHive = (effect: WorkEffect): effect is OfTheHive =>
  OF_THE_HIVE.some((kind) => kind === effect.kind);

function queenEffect(draft: Draft, work: Work, effect: WorkEffect, day: Day, late: number, path: Path): void {
  if (!('colonyId' in effect) || isOfTheHive(effect)) return;
  const colony = draft.need('colony', effect.colonyId, path);
  if (!colony) return;
  const queen = queenOf(draft.apiary, colony.id);
  switch (effect.kind) {
    case 'queen-out':
      if (queen) retireQueen(draft, queen, day, 'killed');
      return;
    case 'queen-over':
      if (queen) {
        draft.put('queen', { ...queen, whereabouts: { known: 'colony', colonyId: effect.intoId } });
        const into = draft.need('colony', effect.intoId, path);
        // It raises none any more: it has one.
        if (into?.separation) draft.put('colony', { ...into, separation: null });
      }
      return;
    case 'queen-in':
      draft.add(
        'queen',
        newQueen({
          id: effect.queenId,
          name: effect.name,
          birthYear: effect.birthYear,
          dot: effect.dot,
          mating: 'mated',
          whereabouts: { known: 'colony', colonyId: colony.id },
        }),
        path,
      );
      dropLooks(draft, colony.id);
      if (colony.separation) draft.put('colony', { ...colony, separation: null });
      return;
    case 'cell-in':
      // What was due for the queen that was to come: another is expected now.
      dropLooks(draft, colony.id);
      // Its history as a part begins anew: what was seen before says nothing of this cell.
      draft.put('colony', {
        ...colony,
        separation: {
          v: 1,
          day,
          workId: work.id,
          queen: 'elsewhere',
          partIds: colony.separation?.partIds ?? [colony.id],
          emergence: shifted(effect.emergence.window, effect.emergence.anchor, late),
        },
      });
  }
}

/** Excluders, hives that change places, and units that are no more. After frames and boxes have found theirs. */
export function carryOutStandsAndEnds(draft: Draft, work: Work, day: Day, path: Path): void {
  for (const effect of work.body.effects) {
    if (effect.kind === 'excluder-in') putExcluder(draft, effect.colonyId, path);
    if (effect.kind === 'excluder-out') takeExcluders(draft, effect.colonyId, path);
    if (effect.kind === 'stands-swapped') swap(draft, effect.colonyIds, path);
    if (effect.kind === 'box-to-super') turnIntoSuper(draft, effect, path);
    if (effect.kind === 'queen-off-comb') leaveComb(draft, effect, path);
    if (effect.kind === 'cells-cut') cutCells(draft, effect, day, path);
    if (effect.kind === 'new-stand') setOnNewStand(draft, effect, path);
    if (effect.kind === 'unit-ends') endUnit(draft, effect.colonyId, day, path);
  }
}

/** Under the lowest super, where the hive has none yet. */
function putExcluder(draft: Draft, colonyId: string, path: Path): void {
  const hiveId = draft.need('colony', colonyId, path)?.hiveId;
  const boxes = hiveId ? boxesOfHive(draft.apiary, hiveId) : [];
  const lowestSuper = boxes.find((b) => b.role === 'super');
  if (lowestSuper && !boxes.some((b) => b.excluderBelow))
    draft.put('box', { ...lowestSuper, excluderBelow: true });
}

function takeExcluders(draft: Draft, colonyId: string, path: Path): void {
  const hiveId = draft.need('colony', colonyId, path)?.hiveId;
  for (const box of hiveId ? boxesOfHive(draft.apiary, hiveId) : [])
    if (box.excluderBelow) draft.put('box', { ...box, excluderBelow: false });
}

/** The one excluder of the hive comes to lie under the box that is the lowest super now. */
function turnIntoSuper(
  draft: Draft,
  { colonyId, boxId }: Extract<WorkEffect, { readonly kind: 'box-to-super' }>,
  path: Path,
): void {
  takeExcluders(draft, colonyId, path);
  const box = draft.need('box', boxId, path);
  if (box) draft.put('box', { ...box, role: 'super', excluderBelow: true });
}

/** What the inspection showed stays as it was; from now on she is not on that comb. */
function leaveComb(
  draft: Draft,
  { frameId, readingId: id }: Extract<WorkEffect, { readonly kind: 'queen-off-comb' }>,
  path: Path,
): void {
  const frame = draft.need('frame', frameId, path);
  const reading = frame?.readingId ? draft.get('reading', frame.readingId) : undefined;
  if (!frame || !reading) return;
  draft.add('reading', { ...reading, id, visitId: null, body: { ...reading.body, queenSeen: false } }, path);
  draft.put('frame', { ...frame, readingId: id });
}

/** The new stand is called as the hive; the one that it leaves stays empty. */
function setOnNewStand(
  draft: Draft,
  { colonyId, standId }: Extract<WorkEffect, { readonly kind: 'new-stand' }>,
  path: Path,
): void {
  const hiveId = draft.need('colony', colonyId, path)?.hiveId;
  const hive = hiveId ? draft.get('hive', hiveId) : undefined;
  const old = hive?.standId ? draft.get('stand', hive.standId) : undefined;
  if (!hive || !old) return;
  const order = Object.values(draft.apiary.stand).filter((s) => s.yardId === old.yardId).length;
  draft.put('stand', { ...old, name: `Old stand of ${hive.name}`.slice(0, 80) });
  draft.add('stand', { ...BARE_STAND, id: standId, yardId: old.yardId, name: hive.name, order }, path);
  draft.put('hive', { ...hive, standId });
}

function swap(draft: Draft, [a = '', b = '']: readonly string[], path: Path): void {
  const hiveOf = (colonyId: string) => {
    const colony = draft.need('colony', colonyId, path);
    return colony?.hiveId ? draft.need('hive', colony.hiveId, path) : undefined;
  };
  const one = hiveOf(a);
  const other = hiveOf(b);
  if (!one || !other) return;
  draft.put('hive', { ...one, standId: other.standId });
  draft.put('hive', { ...other, standId: one.standId });
}

function endUnit(draft: Draft, colonyId: string, day: Day, path: Path): void {
  const colony = draft.need('colony', colonyId, path);
  if (!colony) return;
  const { hiveId } = colony;
  draft.put('colony', { ...colony, endedOn: day, hiveId: null, end: endOf('broken-up') });
  dropLooks(draft, colonyId);
  const hive = hiveId ? draft.get('hive', hiveId) : undefined;
  // Others may live behind the partition.
  const shared = Object.values(draft.apiary.colony).some((c) => c.hiveId === hiveId && c.id !== colonyId);
  if (hive && !shared) draft.put('hive', { ...hive, standId: null });
  // Its side of a box that others share is free.
  for (const box of hiveId ? boxesOfHive(draft.apiary, hiveId) : []) handChambers(draft, box, colonyId, null);
}
