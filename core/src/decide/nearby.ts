import {
  applyChanges,
  boxesOfHive,
  coloniesOfYard,
  eventsOf,
  framesNotInBoxes,
  framesOfBox,
  placeOf,
  readingsOfVisit,
  visitsOf,
  worksAt,
  type Apiary,
  type Change,
  type Colony,
  type Command,
  type Frame,
  type Reading,
  type Visit,
} from '../records/index.ts';

/** Kinds of which a large apiary has by far the most: of these only what is near is looked at. */
const BULK = ['frame', 'reading', 'visit'] as const;
const isBulk = (c: Change): boolean => (BULK as readonly string[]).includes(c.kind);

/**
 * The part of an apiary that a count or an inspection can have to do with: of combs, readings and visits those of the
 * colonies concerned, of their yards where something was done that reaches from hive to hive, and what lies in the store; of
 * everything else all. Deciding on it gives the same changes as on the whole, at the price of a hive or a yard.
 *
 * @param later - changes since `apiary` that are not in it yet
 * @returns null for commands that may reach further
 */
export function nearbyOf(apiary: Apiary, later: readonly Change[], command: Command): Apiary | null {
  const named = coloniesNamed(command);
  if (named === null) return null;
  const without = applyChanges(
    { ...apiary, frame: {}, reading: {}, visit: {} },
    later.filter((c) => !isBulk(c)),
  );
  const near = neighbours(without, named);
  const frame: Record<string, Frame> = {};
  const reading: Record<string, Reading> = {};
  const visit: Record<string, Visit> = {};
  const take = (f: Frame) => {
    frame[f.id] = f;
    const present = f.readingId === null ? undefined : apiary.reading[f.readingId];
    if (present) reading[present.id] = present;
  };
  for (const f of framesNotInBoxes(apiary)) take(f);
  const boxIds = new Set<string | null>();
  for (const id of near) {
    const hiveId = without.colony[id]?.hiveId ?? null;
    for (const box of hiveId === null ? [] : boxesOfHive(without, hiveId)) {
      boxIds.add(box.id);
      for (const f of framesOfBox(apiary, box.id)) take(f);
    }
    for (const v of visitsOf(apiary, id)) {
      visit[v.id] = v;
      for (const r of readingsOfVisit(apiary, v.id)) {
        // Combs may hang elsewhere since they were read here.
        reading[r.id] = r;
        const comb = apiary.frame[r.frameId];
        if (comb) frame[comb.id] = comb;
      }
    }
  }
  // Combs that were hung here since from somewhere else.
  for (const c of later) if (c.kind === 'frame' && c.after && boxIds.has(c.after.boxId)) take(c.after);
  // Who last read a comb that lies in the store may be of any yard.
  for (const r of Object.values(reading)) {
    const at = r.visitId === null ? undefined : apiary.visit[r.visitId];
    if (at) visit[at.id] = at;
  }
  for (const c of later) {
    // What was read of these combs on a visit since, and nothing of other yards.
    if (c.kind === 'frame' && frame[c.id]) put(frame, c);
    else if (c.kind === 'visit' && near.has((c.after ?? c.before)?.colonyId ?? '')) put(visit, c);
    else if (c.kind === 'reading' && (reading[c.id] || frame[c.after?.frameId ?? ''])) put(reading, c);
  }
  return { ...without, frame, reading, visit };
}

function put<T>(
  table: Record<string, T>,
  { id, after }: { readonly id: string; readonly after: T | null },
): void {
  if (after === null) delete table[id];
  else table[id] = after;
}

/** The colonies that a command names; null where it is none of those that stay within their yards. */
function coloniesNamed(command: Command): string[] | null {
  if (command.type === 'recordCount') return [command.colonyId];
  if (command.type === 'recordLook') return command.parts.map((p) => p.colonyId);
  if (command.type !== 'batch') return null;
  // A photo alone may be of a visit anywhere.
  const each = command.commands.map((c) => (c.type === 'addPhoto' ? [] : coloniesNamed(c)));
  return each.every((ids) => ids !== null) && each.some((ids) => ids.length > 0) ? each.flat() : null;
}

/** Colonies that are tied to those named, by work, descent, parting, queens and looks; of yards that were stirred all. */
function neighbours(apiary: Apiary, named: readonly string[]): Set<string> {
  const tied = new Set(named);
  // Twice: the sister of a part that was parted again.
  for (let round = 0; round < 2; round++)
    for (const id of [...tied]) for (const other of tiedTo(apiary, id)) tied.add(other);
  const yards = new Set<string>();
  for (const id of tied) {
    const colony = apiary.colony[id];
    if (!colony) continue;
    const { yard } = placeOf(apiary, colony);
    if (yard) yards.add(yard.id);
    for (const { body } of eventsOf(apiary, id)) {
      if (body.what !== 'moved') continue;
      for (const stand of [body.fromStandId, body.toStandId]) {
        const of = stand === null ? undefined : apiary.stand[stand]?.yardId;
        if (of !== undefined) yards.add(of);
      }
    }
  }
  for (const yardId of yards) {
    const colonies = coloniesOfYard(apiary, yardId);
    if (colonies.some((c) => isStirred(apiary, c))) for (const { id } of colonies) tied.add(id);
  }
  return tied;
}

/** Whether something was done at a hive by which bees or combs may have gone to others of its yard, or come from them. */
const isStirred = (apiary: Apiary, { id, origin }: Colony): boolean =>
  origin.how === 'split' || eventsOf(apiary, id).length > 0 || worksAt(apiary, id).length > 0;

function tiedTo(apiary: Apiary, id: string): string[] {
  const colony = apiary.colony[id];
  if (!colony) return [];
  const { origin, separation } = colony;
  return [
    ...('fromColonyId' in origin && origin.fromColonyId !== null ? [origin.fromColonyId] : []),
    ...(separation?.partIds ?? []),
    ...worksAt(apiary, id).flatMap((w) => w.body.units.map((u) => u.colonyId)),
    ...Object.values(apiary.queen).flatMap((q) =>
      q.whereabouts.known === 'oneOf' && q.whereabouts.colonyIds.includes(id) ? q.whereabouts.colonyIds : [],
    ),
    ...Object.values(apiary.followUp).flatMap((f) =>
      f.status === 'open' && f.colonyIds.includes(id) ? f.colonyIds : [],
    ),
  ];
}
