import { listInWords } from '../../../basics/index.ts';
import {
  BARE_HIVE,
  boxesOfHive,
  coloniesOfHive,
  type CommandOf,
  type StackParting,
} from '../../../records/index.ts';
import type { Draft } from '../draft.ts';
import { noteEnded } from '../noteEnded.ts';
import { freeStand, notBefore, standingHive } from './places.ts';

type Path = readonly (string | number)[];

/** More boxes than this in one stack nobody lifts. */
const MOST_BOXES = 20;

/** Sets one hive on another. Both families keep their boxes; what parts them lies between. */
export function decideStackHives(draft: Draft, command: CommandOf<'stackHives'>, path: Path): void {
  const upper = standingHive(draft, command.upperHiveId, [...path, 'upperHiveId']);
  const lower = standingHive(draft, command.lowerHiveId, [...path, 'lowerHiveId']);
  if (!upper || !lower) return;
  if (upper.id === lower.id) {
    draft.problem(
      'unite-with-itself',
      [...path, 'lowerHiveId'],
      `${upper.name} cannot be set on itself.`,
      'Choose two hives.',
    );
    return;
  }
  const yardOf = (standId: string | null) => (standId === null ? null : draft.get('stand', standId)?.yardId);
  if (yardOf(upper.standId) !== yardOf(lower.standId)) {
    draft.problem(
      'yards-apart',
      [...path, 'lowerHiveId'],
      `${upper.name} and ${lower.name} stand in two yards.`,
      'Move the one to the yard of the other first.',
    );
    return;
  }
  const below = boxesOfHive(draft.apiary, lower.id);
  const above = boxesOfHive(draft.apiary, upper.id);
  if (below.length + above.length > MOST_BOXES) {
    draft.problem(
      'box-too-small',
      [...path, 'upperHiveId'],
      `The stack would be ${below.length + above.length} boxes high; it may have ${MOST_BOXES}.`,
      'Take supers off first.',
    );
    return;
  }
  const families = [...coloniesOfHive(draft.apiary, lower.id), ...coloniesOfHive(draft.apiary, upper.id)];
  const [lowest] = families;
  const ids = [...command.newIds];
  for (const colony of coloniesOfHive(draft.apiary, upper.id)) {
    notBefore(draft, colony, command.day, [...path, 'day']);
    draft.put('colony', { ...colony, hiveId: lower.id });
    const id = ids.shift();
    if (id === undefined || !lowest) continue;
    const body = { what: 'stacked' as const, onColonyId: lowest.id, parting: command.parting };
    draft.add('event', { id, colonyId: colony.id, day: command.day, body }, [...path, 'newIds']);
  }
  above.forEach((box, i) =>
    draft.put('box', {
      ...box,
      hiveId: lower.id,
      position: below.length + i,
      ...(i === 0 && partingOf(command.parting)),
    }),
  );
  draft.put('hive', { ...upper, standId: null, wears: [] });
  draft.put('hive', { ...lower, name: listInWords(families.map((c) => c.name)).slice(0, 80) });
}

const partingOf = (parting: StackParting) => ({
  excluderBelow: parting === 'excluder',
  sheetBelow: parting === 'excluder' ? null : parting,
});

/** Takes a family down from a stack, with the boxes that are its alone. */
export function decideUnstackHive(draft: Draft, command: CommandOf<'unstackHive'>, path: Path): void {
  const at = [...path, 'colonyId'];
  const colony = draft.need('colony', command.colonyId, at);
  if (!colony) return;
  noteEnded(draft, colony, at, 'Choose a colony that is there.');
  notBefore(draft, colony, command.day, [...path, 'day']);
  const hiveId = colony.hiveId ?? '';
  const families = coloniesOfHive(draft.apiary, hiveId);
  const own = boxesOfHive(draft.apiary, hiveId).filter((b) =>
    b.chambers.every((c) => c.colonyId === colony.id),
  );
  const stays = families.filter((c) => c.id !== colony.id);
  const [neighbour] = stays;
  if (!neighbour || own.length === 0) {
    draft.problem(
      'box-shared',
      at,
      neighbour
        ? `${colony.name} has no box of its own in this stack: it lives behind a partition.`
        : `${colony.name} has its hive for itself.`,
      neighbour ? 'Give it a box first, then take it down.' : 'Move the hive instead.',
    );
    return;
  }
  const hive = draft.need('hive', hiveId, at);
  const standId = freeStand(draft, command.to, hiveId, [...path, 'to']);
  if (!hive || standId === undefined) return;
  if (standId === hive.standId) {
    draft.problem(
      'stand-taken',
      [...path, 'to', 'standId'],
      `${neighbour.name} keeps this stand.`,
      'Choose a free stand or a new one.',
    );
    return;
  }
  draft.add('hive', { ...BARE_HIVE, id: command.hiveId, standId, name: colony.name }, [...path, 'hiveId']);
  own.forEach((box, position) =>
    draft.put('box', {
      ...box,
      hiveId: command.hiveId,
      position,
      ...(position === 0 && { excluderBelow: false, sheetBelow: null }),
    }),
  );
  boxesOfHive(draft.apiary, hiveId).forEach((box, position) =>
    draft.put('box', {
      ...box,
      position,
      // The lowest stands on its floor; what parted two families is gone with one of them.
      ...(position === 0 && { excluderBelow: false }),
      ...((position === 0 || stays.length === 1) && { sheetBelow: null }),
    }),
  );
  draft.put('hive', { ...hive, name: listInWords(stays.map((c) => c.name)).slice(0, 80) });
  draft.put('colony', { ...colony, hiveId: command.hiveId });
  const [id] = command.newIds;
  if (id !== undefined)
    draft.add(
      'event',
      {
        id,
        colonyId: colony.id,
        day: command.day,
        body: { what: 'unstacked', fromColonyId: neighbour.id },
      },
      [...path, 'newIds'],
    );
}
