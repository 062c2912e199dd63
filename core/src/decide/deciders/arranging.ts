import { BARE_BOX, type Box, boxesOfHive, type CommandOf, NO_CARE } from '../../records/index.ts';
import type { Draft } from './draft.ts';

type Path = readonly (string | number)[];
type Arranged = CommandOf<'arrangeHive'>['boxes'][number];

/** Lets a hive stand as said: boxes from the bottom up, excluders, partitions. */
export function decideArrangeHive(draft: Draft, command: CommandOf<'arrangeHive'>, path: Path): void {
  if (!draft.need('hive', command.hiveId, [...path, 'hiveId'])) return;
  const living = new Map(
    Object.values(draft.apiary.colony)
      .filter((c) => c.hiveId === command.hiveId && c.endedOn === null)
      .map((c) => [c.id, c]),
  );
  const named = new Set(command.boxes.map((b) => b.id));
  for (const box of boxesOfHive(draft.apiary, command.hiveId)) {
    if (!named.has(box.id)) draft.put('box', { ...box, hiveId: null, position: 0, excluderBelow: false });
  }
  command.boxes.forEach((wanted, position) => {
    const at = [...path, 'boxes', position];
    if (command.boxes.findIndex((b) => b.id === wanted.id) < position) {
      draft.problem('box-twice', [...at, 'id'], 'This box is named twice.', 'Let it stand in one place.');
    }
    const box = wanted.fresh
      ? freshBox(draft, wanted, command.hiveId, position, at)
      : draft.need('box', wanted.id, [...at, 'id']);
    if (!box) return;
    if (box.hiveId !== null && box.hiveId !== command.hiveId) {
      draft.problem(
        'box-elsewhere',
        [...at, 'id'],
        'This box stands on another hive.',
        'Take it off there first.',
      );
      return;
    }
    checkChambers(draft, wanted, box.slots, living, at);
    draft.put('box', {
      ...box,
      hiveId: command.hiveId,
      position,
      role: wanted.role,
      excluderBelow: wanted.excluderBelow && position > 0,
      chambers: wanted.chambers,
    });
  });
  for (const [colonyId, colony] of living) {
    if (command.boxes.some((b) => b.chambers.some((c) => c.colonyId === colonyId))) continue;
    draft.problem(
      'colony-without-box',
      [...path, 'boxes'],
      `${colony.name} would have no box to live in.`,
      'Leave it a box, or a chamber of one.',
    );
  }
}

function freshBox(
  draft: Draft,
  wanted: Arranged,
  hiveId: string,
  position: number,
  at: Path,
): Box | undefined {
  const { fresh } = wanted;
  if (!fresh) return undefined;
  const box: Box = {
    ...BARE_BOX,
    id: wanted.id,
    hiveId,
    position,
    sizeId: fresh.sizeId,
    slots: fresh.slots,
    role: wanted.role,
    chambers: wanted.chambers,
    excluderBelow: wanted.excluderBelow,
  };
  draft.add('box', box, [...at, 'id']);
  fresh.frames.forEach((f, i) =>
    draft.add(
      'frame',
      {
        id: f.id,
        sizeId: fresh.sizeId,
        place: 'box',
        boxId: wanted.id,
        slot: f.slot,
        blank: f.blank,
        combYear: f.combYear,
        readingId: null,
        care: NO_CARE,
      },
      [...at, 'fresh', 'frames', i, 'id'],
    ),
  );
  return draft.get('box', wanted.id);
}

/** Chambers follow one another from the first slot to the last, and belong to colonies of this hive. */
function checkChambers(
  draft: Draft,
  wanted: Arranged,
  slots: number,
  living: ReadonlyMap<string, unknown>,
  at: Path,
): void {
  let next = 1;
  wanted.chambers.forEach((c, i) => {
    const chamberAt = [...at, 'chambers', i];
    if (c.fromSlot !== next || c.toSlot < c.fromSlot) {
      draft.problem(
        'chambers-gap',
        [...chamberAt, 'fromSlot'],
        `Chamber ${i + 1} goes from slot ${c.fromSlot} to ${c.toSlot}; it must begin at slot ${next}.`,
        'Let the chambers follow one another without gap or overlap.',
      );
    }
    next = c.toSlot + 1;
    if (c.colonyId !== null && !living.has(c.colonyId)) {
      draft.problem(
        'colony-elsewhere',
        [...chamberAt, 'colonyId'],
        'This colony does not live in this hive.',
        'Give the chamber to a colony of this hive, or to all in common.',
      );
    }
  });
  if (next !== slots + 1) {
    draft.problem(
      'chambers-gap',
      [...at, 'chambers'],
      `The chambers end at slot ${next - 1}; the box has ${slots}.`,
      'Let the last chamber end at the last slot.',
    );
  }
}
