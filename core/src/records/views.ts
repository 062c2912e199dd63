import type { NestFrame } from '../brood/index.ts';
import { daysBetween, type Day } from '../basics/index.ts';
import { bothSides, type FrameReading } from '../comb/index.ts';
import type {
  Apiary,
  Box,
  Cell,
  Colony,
  Frame,
  FollowUp,
  Given,
  Hive,
  HiveEvent,
  Photo,
  Queen,
  Reading,
  Stand,
  Visit,
  Work,
  Yard,
} from './records.ts';
import type { WorkStep } from './bodies/work.ts';

/** A reading whose body may have been reckoned for another day. */
interface PlacedReading extends Omit<Reading, 'body'> {
  readonly body: FrameReading;
}

/** A frame in its slot with the latest reading, if any. */
export interface PlacedFrame {
  readonly frame: Frame;
  readonly box: Box;
  readonly slot: number;
  readonly reading: PlacedReading | null;
}

/**
 * Groups a table once and keeps the groups for as long as the table is the same: a board asks for every
 * hive, box and colony in turn.
 *
 * @param keysOf - under which keys a record is found; several where it belongs to several
 */
function groupedBy<T>(
  keysOf: (record: T) => string | null | readonly string[],
  order?: (a: T, b: T) => number,
): (table: Readonly<Record<string, T>>, key: string) => readonly T[] {
  const kept = new WeakMap<object, Map<string, T[]>>();
  return (table, key) => {
    let groups = kept.get(table);
    if (!groups) {
      groups = new Map();
      for (const record of Object.values(table)) {
        const keys = keysOf(record);
        for (const of of typeof keys === 'string' ? [keys] : (keys ?? [])) {
          const group = groups.get(of);
          if (group) group.push(record);
          else groups.set(of, [record]);
        }
      }
      if (order) for (const group of groups.values()) group.sort(order);
      kept.set(table, groups);
    }
    return groups.get(key) ?? [];
  };
}

const boxesByHive = groupedBy<Box>(
  (b) => b.hiveId,
  (a, b) => a.position - b.position,
);
const framesByBox = groupedBy<Frame>(
  (f) => f.boxId,
  (a, b) => (a.slot ?? 0) - (b.slot ?? 0),
);
/** Under one key, as all of them are asked for together. */
const NOT_IN_BOXES = 'elsewhere';
const framesElsewhere = groupedBy<Frame>((f) => (f.boxId === null ? NOT_IN_BOXES : null));
const visitsByColony = groupedBy<Visit>(
  (v) => v.colonyId,
  (a, b) => `${b.day} ${b.time ?? ''}`.localeCompare(`${a.day} ${a.time ?? ''}`),
);

const readingsByVisit = groupedBy<Reading>(
  (r) => r.visitId,
  (a, b) => (a.slot ?? 0) - (b.slot ?? 0),
);

const queensByColony = groupedBy<Queen>((q) =>
  q.whereabouts.known === 'colony' ? q.whereabouts.colonyId : null,
);
const queensPerhapsByColony = groupedBy<Queen>((q) =>
  q.whereabouts.known === 'oneOf' ? q.whereabouts.colonyIds : null,
);
const livingByHive = groupedBy<Colony>((c) => (c.endedOn === null ? c.hiveId : null));
const coloniesByWork = groupedBy<Colony>((c) => (c.origin.how === 'split' ? c.origin.workId : null));
const worksByColony = groupedBy<Work>(
  (w) => [...new Set(w.body.units.map((u) => u.colonyId))],
  (a, b) => a.day.localeCompare(b.day) || a.id.localeCompare(b.id),
);
const hivesByStand = groupedBy<Hive>((h) => h.standId);
const standsByYard = groupedBy<Stand>(
  (s) => s.yardId,
  (a, b) => a.order - b.order,
);
const photosByVisit = groupedBy<Photo>(
  (p) => p.visitId,
  (a, b) => a.id.localeCompare(b.id),
);
const byDayBackwards = (a: { day: Day; id: string }, b: { day: Day; id: string }) =>
  b.day.localeCompare(a.day) || a.id.localeCompare(b.id);
const givenByColony = groupedBy<Given>((g) => g.colonyId, byDayBackwards);
const eventsByColony = groupedBy<HiveEvent>((e) => e.colonyId, byDayBackwards);
const cellsByFrame = groupedBy<Cell>(
  (c) => c.frameId,
  (a, b) => Number(a.fate !== null) - Number(b.fate !== null) || a.egg.likely.localeCompare(b.egg.likely),
);
const stepsByWork = groupedBy<WorkStep>(
  (s) => s.workId,
  (a, b) => a.order - b.order,
);
const bySoonest = (a: FollowUp, b: FollowUp) =>
  a.window.earliest.localeCompare(b.window.earliest) || a.id.localeCompare(b.id);
/** Under one key, as all of them are asked for together. */
const OPEN = 'open';
const followUpsByStatus = groupedBy<FollowUp>((f) => f.status, bySoonest);

/** The frames that were read on a visit. */
export function readingsOfVisit(apiary: Apiary, visitId: string): readonly Reading[] {
  return readingsByVisit(apiary.reading, visitId);
}

/** The boxes of a hive, bottom first. */
export function boxesOfHive(apiary: Apiary, hiveId: string): readonly Box[] {
  return boxesByHive(apiary.box, hiveId);
}

/** The boxes in which a colony has a chamber, bottom first. */
export function boxesOfColony(apiary: Apiary, colony: Colony): Box[] {
  if (colony.hiveId === null) return [];
  return boxesOfHive(apiary, colony.hiveId).filter((b) => b.chambers.some((c) => c.colonyId === colony.id));
}

/** True when the slot lies in a chamber of the colony. */
export function isSlotOf(box: Box, slot: number, colonyId: string): boolean {
  return box.chambers.some((c) => c.colonyId === colonyId && slot >= c.fromSlot && slot <= c.toSlot);
}

/** The colony whose chamber holds the slot, or null for a shared or empty chamber. */
export function colonyAtSlot(box: Box, slot: number): string | null {
  return box.chambers.find((c) => slot >= c.fromSlot && slot <= c.toSlot)?.colonyId ?? null;
}

/** The frames of a box by slot. */
export function framesOfBox(apiary: Apiary, boxId: string): readonly Frame[] {
  return framesByBox(apiary.frame, boxId);
}

/** The frames that hang in no box: in the store, lent, or gone. */
export function framesNotInBoxes(apiary: Apiary): readonly Frame[] {
  return framesElsewhere(apiary.frame, NOT_IN_BOXES);
}

/** The frames of a colony, bottom box first, by slot. */
export function framesOfColony(apiary: Apiary, colony: Colony): PlacedFrame[] {
  return boxesOfColony(apiary, colony).flatMap((box) =>
    framesOfBox(apiary, box.id)
      .filter((f) => f.slot !== null && isSlotOf(box, f.slot, colony.id))
      .map((frame) => placed(apiary, frame, box)),
  );
}

/** The boxes of a colony's hive in which all of its colonies store in common, bottom first. */
export function sharedBoxesOf(apiary: Apiary, colony: Colony): Box[] {
  if (colony.hiveId === null) return [];
  return boxesOfHive(apiary, colony.hiveId).filter((b) => b.chambers.some((c) => c.colonyId === null));
}

/** The frames that hang in common above a colony and its neighbours, bottom box first, by slot. */
export function sharedFramesOf(apiary: Apiary, colony: Colony): PlacedFrame[] {
  return sharedBoxesOf(apiary, colony).flatMap((box) =>
    framesOfBox(apiary, box.id)
      .filter((f) => f.slot !== null && colonyAtSlot(box, f.slot) === null)
      .map((frame) => placed(apiary, frame, box)),
  );
}

/** The other colonies that live in a colony's hive. */
export function housemates(apiary: Apiary, colony: Colony): Colony[] {
  if (colony.hiveId === null) return [];
  return livingByHive(apiary.colony, colony.hiveId).filter((c) => c.id !== colony.id);
}

/** The slots of a box in which a comb can hang: a feeder or a board takes one. */
export const combSlots = (box: Box): number[] =>
  Array.from({ length: box.slots }, (_, i) => i + 1).filter((s) => !box.inserts.some((n) => n.slot === s));

/** True when a comb hangs in a box made for another size, which is a stop-gap at best. */
export function hangsWrong({ frame, box }: Pick<PlacedFrame, 'frame' | 'box'>): boolean {
  return frame.sizeId !== box.sizeId;
}

function placed(apiary: Apiary, frame: Frame, box: Box): PlacedFrame {
  return {
    frame,
    box,
    slot: frame.slot as number,
    reading: frame.readingId === null ? null : (apiary.reading[frame.readingId] ?? null),
  };
}

/** What to take an unread frame for: its blank comb, without bees. */
export function readingOf(placed: PlacedFrame): FrameReading {
  return placed.reading?.body ?? bothSides({ [placed.frame.blank]: 10 }, 0, { estimated: true });
}

/** A colony's frames for arithmetic; frames that were never read count as blank. */
export function nestOf(frames: readonly PlacedFrame[]): NestFrame[] {
  return frames.map((p) => ({ id: p.frame.id, size: p.frame.sizeId, reading: readingOf(p) }));
}

/** The day of the oldest reading that still speaks for a frame of the colony; null when none was read. */
export function countedOn(frames: readonly PlacedFrame[]): Day | null {
  return frames.reduce<Day | null>(
    (oldest, p) => (p.reading && (oldest === null || p.reading.day < oldest) ? p.reading.day : oldest),
    null,
  );
}

/** Days since the colony was counted; null when it never was. */
export function ageOfCount(frames: readonly PlacedFrame[], today: Day): number | null {
  const day = countedOn(frames);
  return day === null ? null : daysBetween(day, today);
}

/** The queen known to be in a colony. */
export function queenOf(apiary: Apiary, colonyId: string): Queen | undefined {
  return queensByColony(apiary.queen, colonyId)[0];
}

/** A queen that is in this colony or in another: known to be one of several. */
export function queenPerhapsIn(apiary: Apiary, colonyId: string): Queen | undefined {
  return queensPerhapsByColony(apiary.queen, colonyId)[0];
}

/** Stand and yard of a colony, where it has them. */
export function placeOf(apiary: Apiary, colony: Colony): { hive?: Hive; stand?: Stand; yard?: Yard } {
  const hive = colony.hiveId === null ? undefined : apiary.hive[colony.hiveId];
  const stand = hive?.standId ? apiary.stand[hive.standId] : undefined;
  const yard = stand ? apiary.yard[stand.yardId] : undefined;
  return { ...(hive && { hive }), ...(stand && { stand }), ...(yard && { yard }) };
}

/** The living colonies of a yard, by the order of their stands. */
export function coloniesOfYard(apiary: Apiary, yardId: string): Colony[] {
  return standsByYard(apiary.stand, yardId)
    .flatMap((stand) =>
      hivesByStand(apiary.hive, stand.id)
        .flatMap((hive) => livingByHive(apiary.colony, hive.id))
        .map((colony) => ({ colony, order: stand.order })),
    )
    .toSorted((a, b) => a.order - b.order || a.colony.name.localeCompare(b.colony.name))
    .map(({ colony }) => colony);
}

/** The colonies that a piece of work has made. */
export function coloniesOfWork(apiary: Pick<Apiary, 'colony'>, workId: string): readonly Colony[] {
  return coloniesByWork(apiary.colony, workId);
}

/** A colony's visits, latest first. */
export function visitsOf(apiary: Apiary, colonyId: string): readonly Visit[] {
  return visitsByColony(apiary.visit, colonyId);
}

/** The photos of a visit, in a stable order. */
export function photosOf(apiary: Apiary, visitId: string): readonly Photo[] {
  return photosByVisit(apiary.photo, visitId);
}

/** Work at a colony, whatever became of it, by the day that it was planned for. */
export function worksAt(apiary: Pick<Apiary, 'work'>, colonyId: string): readonly Work[] {
  return worksByColony(apiary.work, colonyId);
}

/** The steps of work, in their order. */
export function stepsOfWork(apiary: Pick<Apiary, 'workStep'>, workId: string): readonly WorkStep[] {
  return stepsByWork(apiary.workStep, workId);
}

/** Follow-ups that wait, soonest first. */
export function openFollowUps(apiary: Apiary): readonly FollowUp[] {
  return followUpsByStatus(apiary.followUp, OPEN);
}

/** Every queen known to be in a colony: rarely more than one. */
export function queensOf(apiary: Apiary, colonyId: string): readonly Queen[] {
  return queensByColony(apiary.queen, colonyId);
}

/** Living colonies of a hive, those lowest in the stack first. */
export function coloniesOfHive(apiary: Apiary, hiveId: string): Colony[] {
  const lowest = (c: Colony) =>
    boxesOfHive(apiary, hiveId).findIndex((b) => b.chambers.some((k) => k.colonyId === c.id));
  return livingByHive(apiary.colony, hiveId).toSorted((a, b) => lowest(a) - lowest(b));
}

/** The hives on a stand: one, or none. */
export function hivesOnStand(apiary: Apiary, standId: string): readonly Hive[] {
  return hivesByStand(apiary.hive, standId);
}

/** The stands of a yard in their order. */
export function standsOfYard(apiary: Apiary, yardId: string): readonly Stand[] {
  return standsByYard(apiary.stand, yardId);
}

/** What a colony was given, latest first. */
export function givenTo(apiary: Apiary, colonyId: string): readonly Given[] {
  return givenByColony(apiary.given, colonyId);
}

/** What happened to a colony besides counts and work, latest first. */
export function eventsOf(apiary: Apiary, colonyId: string): readonly HiveEvent[] {
  return eventsByColony(apiary.event, colonyId);
}

/** The cells that are followed on a comb, those alive first. */
export function cellsOnFrame(apiary: Apiary, frameId: string): readonly Cell[] {
  return cellsByFrame(apiary.cell, frameId);
}

/** Combs that are in no plan and no sum: kept apart, or lying in the store with wax moth in them. */
const isApart = (f: Frame) => f.care.quarantine !== null || (f.place === 'store' && f.care.waxMoth);

/** Frames that are kept apart, in the store or in hives of nobody. */
export function framesApart(apiary: Apiary): Frame[] {
  return Object.values(apiary.frame).filter((f) => f.place !== 'gone' && isApart(f));
}

/** Frames in the store that can be used, those drawn first, in a stable order. What is kept apart is not among them. */
export function framesInStore(apiary: Apiary): Frame[] {
  return Object.values(apiary.frame)
    .filter((f) => f.place === 'store' && !isApart(f))
    .toSorted((a, b) => a.blank.localeCompare(b.blank) || a.id.localeCompare(b.id));
}

/** Where a frame hangs, in words: `lower box, frame 4`. */
export function placeInWords(apiary: Apiary, colony: Colony, box: Box, slot: number): string {
  const boxes = boxesOfColony(apiary, colony);
  return `${boxName(boxes, box.id)}, frame ${slot}`;
}

/** A box among its fellows: lower and upper for two, numbered from the bottom for more. */
export function boxName(boxes: readonly Box[], boxId: string): string {
  const at = boxes.findIndex((b) => b.id === boxId);
  if (boxes.length <= 1) return 'box';
  if (boxes.length === 2) return at === 0 ? 'lower box' : 'upper box';
  return `box ${at + 1}`;
}

/** A box as it is said in a sentence: "the upper box", "box 2". @param name - as {@link boxName} gives it */
export const theBox = (name: string): string => (/\d$/.test(name) ? name : `the ${name}`);
