import { z } from 'zod';
import { seasonPlan } from './bodies/seasonPlan.ts';
import { daySchema, REGIONS, WEEK_STARTS, windowSchema } from '../basics/index.ts';
import { callOutRecord } from './bodies/callOut.ts';
import { frameReading, frameSizeId } from '../comb/index.ts';
import { followUpTopic } from './bodies/followUpTopic.ts';
import { evidence } from './bodies/evidence.ts';
import { cellRecord } from './kinds/cell.ts';
import { colonyEnd } from './kinds/colonyEnd.ts';
import { givenRecord } from './kinds/given.ts';
import { eventRecord } from './kinds/hiveEvent.ts';
import { plannedMove } from './kinds/plannedMove.ts';
import { queenRecord } from './kinds/queen.ts';
import { boxInsert, wornThing } from './kinds/wear.ts';
import { houseRuleChanges, likelihoodChanges } from '../rules/index.ts';
import { seasonSetting } from '../season/index.ts';
import { watchTest } from './bodies/watchTest.ts';
import { workRecord, workStepRecord } from './bodies/work.ts';

/**
 * The records of an operation, one schema a kind. They are at once the rows of the database, the shape of
 * the API and the content of the exported file. Identifiers are made by the client that creates a record.
 */
export const id = z.uuid();
const name = z.string().trim().min(1, 'Give it a name.').max(80);
const note = z.string().max(4000);

/** How large a photo may be once it is resized, how long its longer edge, and how many a visit holds. */
export const PHOTO_LIMITS = { bytes: 1_500_000, edgePx: 1600, perVisit: 6 } as const;

/** One enterprise: everything below belongs to exactly one. */
export const operationRecord = z.strictObject({
  id,
  name,
  hemisphere: z.enum(['north', 'south']),
  units: z.enum(['metric', 'imperial']),
  referenceSize: frameSizeId,
  /** A day that stands still, for demonstrations and tests; null when the calendar rules. */
  fixedToday: daySchema.nullable(),
  /** Changes of house rules from their defaults; the body carries its version. */
  houseRules: z.strictObject({
    v: z.literal(1),
    changes: houseRuleChanges,
    /** Changes of the chances by which queen states are judged. */
    likelihoods: likelihoodChanges.optional(),
  }),
  /** Frame sizes of the user's own, by the names that they are known by here. */
  ownSizes: z
    .array(z.strictObject({ id: frameSizeId, name }))
    .max(40)
    .default([]),
  /** Names of things as they are said where the keeper lives. */
  words: z.enum(REGIONS).default('us'),
  weekStart: z.enum(WEEK_STARTS).default('monday'),
  /** The money that sums are in, by its code of ISO 4217. */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/, 'Three letters, such as EUR or USD.')
    .default('EUR'),
  /** The plan of the season that is followed; null while none is. */
  seasonPlan: seasonPlan.nullable().default(null),
});

/** A place with hives on stands. */
export const yardRecord = z.strictObject({
  id,
  name,
  note,
  /** No hive is kept there since; null for a yard in use. */
  closedOn: daySchema.nullable().default(null),
  /** On the globe, in degrees. */
  position: z
    .strictObject({ latitude: z.number().min(-90).max(90), longitude: z.number().min(-180).max(180) })
    .nullable()
    .default(null),
  /** The year of the yard, as the keeper has set it; null for the usual year of a temperate climate. */
  season: seasonSetting.nullable().default(null),
});

/** One spot in a yard. Field bees return to the stand. */
export const standRecord = z.strictObject({
  id,
  yardId: id,
  name,
  order: z.int().min(0).max(9999),
  /** Its place in the drawn plan of the yard, in hundredths of the plan's sides; null until it is put somewhere. */
  spot: z
    .strictObject({ x: z.number().min(0).max(100), y: z.number().min(0).max(100) })
    .nullable()
    .default(null),
});

/** The equipment on a stand. */
export const hiveRecord = z.strictObject({
  id,
  standId: id.nullable(),
  name,
  /** A shut entrance kills within hours on a warm day: since when it is shut is said wherever the hive is shown. */
  entrance: z
    .strictObject({ state: z.enum(['open', 'shut']), since: daySchema.nullable() })
    .default({ state: 'open', since: null }),
  wears: z.array(wornThing).max(20).default([]),
});

/** A chamber of a box: the slots that one colony, or none, has for itself. */
const chamber = z.strictObject({
  colonyId: id.nullable(),
  fromSlot: z.int().min(1).max(40),
  toSlot: z.int().min(1).max(40),
});

/** One hive body. `position` 0 is the bottom. A box without a hive stands in the store. */
export const boxRecord = z.strictObject({
  id,
  hiveId: id.nullable(),
  position: z.int().min(0).max(30),
  sizeId: frameSizeId,
  slots: z.int().min(1).max(40),
  role: z.enum(['brood', 'super']),
  chambers: z.array(chamber).min(1).max(8),
  /** A queen excluder lies under this box. */
  excluderBelow: z.boolean().default(false),
  /** What parts it from the family below, where two live in one stack; an excluder is said above. */
  sheetBelow: z.enum(['sheet', 'paper']).nullable().default(null),
  /** What takes slots and is no comb. */
  inserts: z.array(boxInsert).max(12).default([]),
});

/** What is known of a comb besides what is in it. */
const combCare = z.strictObject({
  /** Kept apart after a death or disease: never planned with, never in the store's sum. */
  quarantine: z
    .strictObject({ since: daySchema, why: z.enum(['dead-colony', 'disease', 'other']) })
    .nullable(),
  /** Fed syrup is stored in it, or strips hung beside it: not honey to extract. */
  fedOn: daySchema.nullable(),
  treatedOn: daySchema.nullable(),
  waxMoth: z.boolean(),
  /** A drone comb: the day by which it is cut out or frozen. */
  cutBy: daySchema.nullable(),
  /** Where it came from, in words. */
  from: z.string().trim().max(80).nullable(),
});
/** A comb of which nothing is known besides what is in it. */
export const NO_CARE: z.infer<typeof combCare> = {
  quarantine: null,
  fedOn: null,
  treatedOn: null,
  waxMoth: false,
  cutBy: null,
  from: null,
};

/** A comb. It is in exactly one place: a slot of a box, the store, or gone for good. */
export const frameRecord = z.strictObject({
  id,
  sizeId: frameSizeId,
  place: z.enum(['box', 'store', 'gone']),
  boxId: id.nullable(),
  slot: z.int().min(1).max(40).nullable(),
  /** What it is while nobody has read it. */
  blank: z.enum(['drawn', 'foundation']),
  combYear: z.int().min(1980).max(2100).nullable(),
  /** The latest reading, by its day. */
  readingId: id.nullable(),
  care: combCare.default(NO_CARE),
});

/** How a colony came to be. */
const origin = z.discriminatedUnion('how', [
  z.strictObject({ how: z.literal('entered') }),
  z.strictObject({ how: z.literal('split'), fromColonyId: id, workId: id }),
  /** A swarm that was hived; of one's own colony where it is known. */
  z.strictObject({ how: z.literal('swarm'), fromColonyId: id.nullable() }),
  z.strictObject({ how: z.literal('bought'), from: z.string().trim().max(80) }),
  /** Made by hand before it was entered: from a colony of one's own where it is known. */
  z.strictObject({ how: z.literal('made'), fromColonyId: id.nullable() }),
]);

/**
 * The day a colony was last parted, and what is known of the old queen since: here, elsewhere, or open
 * between the parts. An open question stays open until a look settles it.
 */
const separation = z.strictObject({
  v: z.literal(1),
  day: daySchema,
  /** Null where no work parted it: a swarm left, or it was entered as queenless. */
  workId: id.nullable(),
  queen: z.enum(['here', 'elsewhere', 'unknown']),
  /** All parts, this colony among them; itself alone where it was not split but raises a queen from a cell. */
  partIds: z.array(id).min(1).max(12),
  /** When a new queen is expected from cells that were there already; null for emergency cells. */
  emergence: windowSchema.nullable(),
});

/** The living unit. */
const colonyRecord = z.strictObject({
  id,
  name,
  hiveId: id.nullable(),
  startedOn: daySchema,
  endedOn: daySchema.nullable(),
  origin,
  separation: separation.nullable(),
  end: colonyEnd.nullable().default(null),
  /** Days on which combs with brood came into it from other colonies, of late; young where they held eggs or larvae. */
  broodGiven: z
    .array(z.strictObject({ day: daySchema, young: z.boolean() }))
    .max(60)
    .default([]),
});

/** Weather and time of a visit, each only as far as it was noted. */
const conditions = z.strictObject({
  v: z.literal(1),
  temperatureC: z.number().min(-30).max(55).nullable(),
  sky: z.enum(['sun', 'cloud', 'rain']).nullable(),
  wind: z.enum(['calm', 'breeze', 'wind']).nullable(),
  /** Minutes that the hive was open. */
  minutesOpen: z.int().min(0).max(600).nullable(),
});
export type Conditions = z.infer<typeof conditions>;

/**
 * Two counts of the same frames that did not know of each other, as from two devices. Both are kept; the
 * later in the day stands for the frames.
 */
const clash = z.strictObject({
  v: z.literal(1),
  withVisitId: id,
  frames: z.int().min(1),
  /** Which of the two counts the frames now show. */
  stands: z.enum(['this', 'other']),
});

/** A count that those before it did not lead to, in frames of bees of the reference size on the combs that were read. */
const unexpectedCount = z.strictObject({ expected: z.number().min(0), counted: z.number().min(0) });
export type UnexpectedCount = z.infer<typeof unexpectedCount>;

/** One time that a colony was opened. */
export const visitRecord = z.strictObject({
  id,
  colonyId: id,
  day: daySchema,
  /** Local time of day, as 14:05, where it is known. */
  time: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/)
    .nullable()
    .default(null),
  purpose: z.enum(['count', 'look']),
  note,
  evidence: evidence.nullable(),
  conditions: conditions.nullable().default(null),
  clash: clash.nullable().default(null),
  unexpected: unexpectedCount.nullable().default(null),
  /** Who counted or looked, by name, as the server knows; null where nobody was signed in. */
  by: z.string().trim().min(1).max(130).nullable().default(null),
});

/** A photo of a visit, as resized by the browser. Its content is kept beside the records. */
export const photoRecord = z.strictObject({
  id,
  visitId: id,
  takenOn: daySchema,
  mediaType: z.enum(['image/jpeg', 'image/png', 'image/webp']),
  widthPx: z.int().min(1).max(4096),
  heightPx: z.int().min(1).max(4096),
  bytes: z.int().min(1).max(PHOTO_LIMITS.bytes),
  caption: z.string().max(200),
});

/** One frame as read on one visit, with the place it had then; a loose comb is read in the store, on no visit. */
const readingRecord = z.strictObject({
  id,
  visitId: id.nullable(),
  frameId: id,
  day: daySchema,
  boxId: id.nullable(),
  slot: z.int().min(1).max(40).nullable(),
  body: frameReading,
});

/** A day to look, or days to keep hands off, for one or several colonies. */
export const followUpRecord = z.strictObject({
  id,
  /** The work that it was filed by; null when it was filed by an inspection or by hand. */
  workId: id.nullable(),
  colonyIds: z.array(id).min(1).max(12),
  kind: z.enum(['look', 'hands-off']),
  topic: followUpTopic,
  window: windowSchema,
  expect: z.string().max(800),
  status: z.enum(['open', 'done', 'dropped']),
  /** Of a colony on watch: what decides. */
  test: watchTest.nullish(),
  /** Of a hive that is to be carried: where to. */
  move: plannedMove.nullish(),
});

/** So many pieces of one kind of equipment in the store. */
export const kitRecord = z.strictObject({ id, what: name, count: z.int().min(0).max(9999) });

/** Money that was spent on the bees, in the money of the operation. */
export const expenseRecord = z.strictObject({
  id,
  day: daySchema,
  what: name,
  amount: z.number().positive('Say how much it was.').max(1_000_000),
});

/** The schema of every kind of record, by its name. Order: what is named earlier is referred to later. */
export const RECORD_SCHEMAS = {
  operation: operationRecord,
  yard: yardRecord,
  stand: standRecord,
  hive: hiveRecord,
  box: boxRecord,
  colony: colonyRecord,
  queen: queenRecord,
  frame: frameRecord,
  visit: visitRecord,
  reading: readingRecord,
  photo: photoRecord,
  work: workRecord,
  workStep: workStepRecord,
  followUp: followUpRecord,
  kit: kitRecord,
  callOut: callOutRecord,
  cell: cellRecord,
  given: givenRecord,
  event: eventRecord,
  expense: expenseRecord,
} as const;

export type RecordKind = keyof typeof RECORD_SCHEMAS;
export type RecordOf<K extends RecordKind> = z.infer<(typeof RECORD_SCHEMAS)[K]>;
export type AnyRecord = { [K in RecordKind]: RecordOf<K> }[RecordKind];

export type Operation = RecordOf<'operation'>;
export type Yard = RecordOf<'yard'>;
export type Stand = RecordOf<'stand'>;
export type Hive = RecordOf<'hive'>;
export type Box = RecordOf<'box'>;
export type Frame = RecordOf<'frame'>;
export type Colony = RecordOf<'colony'>;
export type Queen = RecordOf<'queen'>;
export type Visit = RecordOf<'visit'>;
export type Photo = RecordOf<'photo'>;
export type Reading = RecordOf<'reading'>;
export type Work = RecordOf<'work'>;
export type FollowUp = RecordOf<'followUp'>;
export type CallOut = RecordOf<'callOut'>;
export type Cell = RecordOf<'cell'>;
export type Given = RecordOf<'given'>;
export type HiveEvent = RecordOf<'event'>;
export type Expense = RecordOf<'expense'>;

/** All kinds, those that are referred to before those that refer to them. */
export const RECORD_KINDS = Object.keys(RECORD_SCHEMAS) as RecordKind[];

/** An operation's records by kind and identifier. */
export type Apiary = { readonly [K in RecordKind]: Readonly<Record<string, RecordOf<K>>> };

/** What a box, a hive, a stand and a yard are before anything is said of them. */
export const BARE_BOX = { excluderBelow: false, sheetBelow: null, inserts: [] } satisfies Partial<Box>;
export const BARE_HIVE = { entrance: { state: 'open', since: null }, wears: [] } satisfies Partial<Hive>;
export const BARE_STAND = { spot: null } satisfies Partial<Stand>;
export const BARE_YARD = { closedOn: null, position: null, season: null } satisfies Partial<Yard>;

/** An apiary without a single record. */
export function emptyApiary(): Apiary {
  return Object.fromEntries(RECORD_KINDS.map((k) => [k, {}])) as unknown as Apiary;
}

/** An operation with the usual settings and nothing in it. */
export function newOperation(id: string, name: string, rest: Partial<Operation> = {}): Operation {
  return {
    id,
    name,
    hemisphere: 'north',
    units: 'metric',
    referenceSize: 'langstroth-deep',
    fixedToday: null,
    houseRules: { v: 1, changes: {} },
    ownSizes: [],
    words: 'us',
    weekStart: 'monday',
    currency: 'EUR',
    seasonPlan: null,
    ...rest,
  };
}

/** The one operation record of an apiary. @throws Error if there is none. */
export function operationOf(apiary: Apiary): Operation {
  const [operation] = Object.values(apiary.operation);
  if (!operation) throw new Error('an apiary must hold its operation');
  return operation;
}
