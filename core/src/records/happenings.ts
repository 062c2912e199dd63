import { z } from 'zod';
import { daySchema } from '../basics/index.ts';
import { frameReading, frameSizeId } from '../comb/index.ts';
import { flowSpell } from '../season/index.ts';
import { evidence } from './bodies/evidence.ts';
import { markingColourSchema } from './bodies/markingColour.ts';
import { CELL_FATES, cellRecord } from './kinds/cell.ts';
import { COLONY_ENDS, DEATH_CAUSES } from './kinds/colonyEnd.ts';
import { givenRecord } from './kinds/given.ts';
import { STACK_PARTINGS } from './kinds/hiveEvent.ts';
import { plannedMove, standPlace as place } from './kinds/plannedMove.ts';
import { QUEEN_DEEDS } from './kinds/queen.ts';
import { boxRecord, expenseRecord, hiveRecord, standRecord, yardRecord } from './records.ts';

/**
 * Commands for what happens in a yard besides counts and planned work: hives move, colonies end, queens come and go,
 * cells are cut, combs are put apart, feed is given.
 */

const id = z.uuid();
const words = z.string().trim().max(200);
/** Identifiers that the client has made for records that the command may add. */
const newIds = z.array(id).min(1).max(60);

/** Renames, places, closes or opens a yard. */
const editYard = z.strictObject({
  type: z.literal('editYard'),
  yardId: id,
  name: z.string().trim().min(1, 'Give it a name.').max(80).optional(),
  note: z.string().max(4000).optional(),
  position: yardRecord.shape.position.unwrap().optional(),
  closedOn: daySchema.nullable().optional(),
  season: yardRecord.shape.season.unwrap().optional(),
});

/**
 * Nectar comes in, or no longer does. A flow that is on record on that day and goes on gets the gain that is told now.
 */
const noteFlow = z.strictObject({
  type: z.literal('noteFlow'),
  yardId: id,
  what: z.enum(['begins', 'ends']),
  /** The first day with nectar, or the first without. */
  day: daySchema,
  by: flowSpell.shape.by.unwrap(),
  kgPerDay: flowSpell.shape.kgPerDay.unwrap(),
});

/** Orders the stands of a yard, and puts them in its drawn plan. */
const arrangeStands = z.strictObject({
  type: z.literal('arrangeStands'),
  yardId: id,
  stands: z
    .array(
      z.strictObject({
        id,
        order: z.int().min(0).max(9999),
        spot: standRecord.shape.spot.unwrap(),
        name: z.string().trim().min(1, 'Give it a name.').max(80).optional(),
      }),
    )
    .min(1)
    .max(400),
});

/** Carries a hive with all that lives in it to another stand. */
const moveHive = z.strictObject({
  type: z.literal('moveHive'),
  hiveId: id,
  day: daySchema,
  hour: z.enum(['day', 'dusk']),
  to: place,
  /** How its entrance was left. */
  entrance: z.enum(['open', 'shut']),
  /** Something is set before the entrance until this day; null for nothing. */
  obstacleUntil: daySchema.nullable(),
  newIds,
});

/** Plans to carry a hive to another stand; it stays where it is until that is done. */
const planMove = plannedMove.extend({
  type: z.literal('planMove'),
  followUpId: id,
  hiveId: id,
  day: daySchema,
});

/** Shuts an entrance, or opens it again. */
const setEntrance = z.strictObject({
  type: z.literal('setEntrance'),
  hiveId: id,
  day: daySchema,
  state: z.enum(['open', 'shut']),
  newIds,
});

/** Sets a hive on another: two families in one stack. */
const stackHives = z.strictObject({
  type: z.literal('stackHives'),
  upperHiveId: id,
  lowerHiveId: id,
  parting: z.enum(STACK_PARTINGS),
  day: daySchema,
  newIds,
});

/** Takes a family of a stack down to a stand of its own. */
const unstackHive = z.strictObject({
  type: z.literal('unstackHive'),
  colonyId: id,
  day: daySchema,
  to: place,
  hiveId: id,
  newIds,
});

/** Ends a colony, and says what becomes of its combs and its boxes. */
const endColony = z.strictObject({
  type: z.literal('endColony'),
  colonyId: id,
  day: daySchema,
  how: z.enum(COLONY_ENDS),
  cause: z.enum(DEATH_CAUSES).nullable(),
  words,
  /** `stay`: they are left standing; `store`: clean, to be used; `apart`: quarantine; `gone`: went along. */
  combs: z.enum(['stay', 'store', 'apart', 'gone']),
});

/** Takes a hive in which nobody lives any more off its stand: boxes and combs go to the store. */
const clearHive = z.strictObject({ type: z.literal('clearHive'), hiveId: id });

/** The old queen has left with a swarm. The hive it was put into is added beforehand, where it was caught. */
const recordSwarm = z.strictObject({
  type: z.literal('recordSwarm'),
  colonyId: id,
  day: daySchema,
  hivedId: id.nullable(),
  newIds,
});

/** Honey was taken from a colony. */
const noteHarvest = z.strictObject({
  type: z.literal('noteHarvest'),
  eventId: id,
  colonyId: id,
  day: daySchema,
  kg: z.number().positive('Say how much, in kilograms.').max(500),
});

/** Money was spent: on sugar, queens, boxes, whatever it was. */
const noteExpense = z.strictObject({
  type: z.literal('noteExpense'),
  expenseId: id,
  day: daySchema,
  what: expenseRecord.shape.what,
  amount: expenseRecord.shape.amount,
});

/** An amount was no expense. */
const dropExpense = z.strictObject({ type: z.literal('dropExpense'), expenseId: id });

/** Says where a colony came from, and since when it has no queen: bought, a swarm, made by hand, split before. */
const setOrigin = z.strictObject({
  type: z.literal('setOrigin'),
  colonyId: id,
  origin: z.discriminatedUnion('how', [
    z.strictObject({ how: z.literal('entered') }),
    z.strictObject({ how: z.literal('swarm'), fromColonyId: id.nullable() }),
    z.strictObject({ how: z.literal('bought'), from: z.string().trim().max(80) }),
    z.strictObject({ how: z.literal('made'), fromColonyId: id.nullable() }),
  ]),
  startedOn: daySchema,
  queenlessSince: daySchema.nullable(),
  /** For what is due of the queen that it raises. */
  newIds: z.array(id).max(60).default([]),
});

/** Notes of a queen what was done or seen on a day. */
const noteQueen = z.strictObject({
  type: z.literal('noteQueen'),
  queenId: id,
  day: daySchema,
  did: z.enum(QUEEN_DEEDS),
  /** With `put-in`: the colony that she goes into, whether in a cage, and whether beside a queen that is there. */
  into: z.strictObject({ colonyId: id, caged: z.boolean(), beside: z.boolean() }).optional(),
  /** With `marked`. */
  mark: z
    .strictObject({
      dot: markingColourSchema.nullable(),
      number: z.string().trim().min(1).max(12).nullable(),
    })
    .optional(),
  newIds,
});

/** Enters queen cells one by one, so that each can be followed. */
const enterCells = z.strictObject({
  type: z.literal('enterCells'),
  cells: z.array(cellRecord).min(1).max(60),
});

/** What is done with cells that are followed, or seen of them. */
const changeCells = z.strictObject({
  type: z.literal('changeCells'),
  cellIds: z.array(id).min(1).max(60),
  day: daySchema,
  change: z.discriminatedUnion('what', [
    /** Cut out and pressed into another comb. */
    z.strictObject({ what: z.literal('cut-out'), toFrameId: id }),
    z.strictObject({ what: z.literal('reserve'), reserved: z.boolean() }),
    z.strictObject({ what: z.literal('fate'), how: z.enum(CELL_FATES) }),
    z.strictObject({ what: z.literal('quality'), quality: cellRecord.shape.quality.unwrap() }),
  ]),
});

/** What is done with combs, or known of them, besides what is in them. */
const careForCombs = z.strictObject({
  type: z.literal('careForCombs'),
  frameIds: z.array(id).min(1).max(2000),
  day: daySchema,
  change: z.discriminatedUnion('what', [
    z.strictObject({ what: z.literal('apart'), why: z.enum(['dead-colony', 'disease', 'other']) }),
    z.strictObject({ what: z.literal('release') }),
    z.strictObject({ what: z.literal('melt') }),
    z.strictObject({ what: z.literal('moth'), there: z.boolean() }),
    z.strictObject({ what: z.literal('cut-by'), day: daySchema.nullable() }),
    z.strictObject({ what: z.literal('year'), combYear: z.int().min(1980).max(2100).nullable() }),
    z.strictObject({ what: z.literal('from'), from: z.string().trim().min(1).max(80).nullable() }),
    z.strictObject({ what: z.literal('size'), sizeId: frameSizeId }),
  ]),
});

/** What is in combs that lie in the store. */
const readLoose = z.strictObject({
  type: z.literal('readLoose'),
  day: daySchema,
  readings: z
    .array(z.strictObject({ id, frameId: id, body: frameReading }))
    .min(1)
    .max(400),
});

/** What a hive wears from a day on. */
const dressHive = z.strictObject({
  type: z.literal('dressHive'),
  hiveId: id,
  day: daySchema,
  wears: hiveRecord.shape.wears.unwrap(),
  newIds,
});

/** What takes slots of a box and is no comb. */
const setInserts = z.strictObject({
  type: z.literal('setInserts'),
  boxId: id,
  inserts: boxRecord.shape.inserts.unwrap(),
});

/** Feed or a treatment that a colony was given. */
const give = z.strictObject({ type: z.literal('give'), given: givenRecord, newIds });

/** It is taken up, or was taken out. */
const takeOut = z.strictObject({
  type: z.literal('takeOut'),
  givenId: id,
  day: daySchema,
  leftKg: z.number().min(0).max(500).nullable(),
});

/** Corrects what was noted of a visit, its day too. The journal keeps what stood there. */
const correctVisit = z.strictObject({
  type: z.literal('correctVisit'),
  visitId: id,
  day: daySchema,
  time: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/)
    .nullable(),
  note: z.string().max(4000),
  evidence: evidence.nullable().optional(),
});

export const happenings = [
  editYard,
  noteFlow,
  arrangeStands,
  moveHive,
  planMove,
  setEntrance,
  stackHives,
  unstackHive,
  endColony,
  clearHive,
  recordSwarm,
  setOrigin,
  noteHarvest,
  noteExpense,
  dropExpense,
  noteQueen,
  enterCells,
  changeCells,
  careForCombs,
  readLoose,
  dressHive,
  setInserts,
  give,
  takeOut,
  correctVisit,
] as const;
