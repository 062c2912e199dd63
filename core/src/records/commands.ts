import { callOutChange, callOutRecord } from './bodies/callOut.ts';
import { daySchema } from '../basics/index.ts';
import { frameReading, frameSizeId } from '../comb/index.ts';
import { evidence } from './bodies/evidence.ts';
import { houseRuleChanges, likelihoodChanges } from '../rules/index.ts';
import {
  boxRecord,
  followUpRecord,
  frameRecord,
  id,
  kitRecord,
  operationRecord,
  photoRecord,
  visitRecord,
  yardRecord,
} from './records.ts';
import { workRecord, workStepRecord } from './bodies/work.ts';
import { queenSaid } from './kinds/queen.ts';
import { seasonPlan } from './bodies/seasonPlan.ts';
import { closingAnswers } from './bodies/closing.ts';
import { happenings } from './happenings.ts';
import { z } from 'zod';

const name = yardRecord.shape.name;

const newFrame = z.strictObject({
  id,
  slot: z.int().min(1).max(40),
  blank: frameRecord.shape.blank,
  combYear: frameRecord.shape.combYear,
});

const newBox = z.strictObject({
  id,
  sizeId: frameSizeId,
  slots: boxRecord.shape.slots,
  role: boxRecord.shape.role,
  frames: z.array(newFrame).max(40),
  excluderBelow: z.boolean().optional(),
});

const newHive = z.strictObject({
  hiveId: id,
  standId: id,
  colonyId: id,
  name,
  boxes: z.array(newBox).min(1).max(12),
  /** More colonies behind partitions: brood boxes are parted evenly, supers are in common. */
  besides: z
    .array(z.strictObject({ colonyId: id, name }))
    .max(7)
    .optional(),
});

const countReading = z.strictObject({
  id,
  frameId: id,
  body: frameReading,
  /** The reading that the counter's device showed for this frame, null for none: tells a clash. */
  replaces: id.nullable().optional(),
});

/** Adds a yard. */
const addYard = z.strictObject({
  type: z.literal('addYard'),
  yard: yardRecord.pick({ id: true, name: true, note: true }),
});

/** Puts hives with colonies on stands of a yard. The combs in them enter the operation here. */
const addHives = z.strictObject({
  type: z.literal('addHives'),
  yardId: id,
  day: daySchema,
  hives: z.array(newHive).min(1).max(200),
});

/** Frames that come into the store, bought or made up. */
const addToStore = z.strictObject({
  type: z.literal('addToStore'),
  frames: z
    .array(
      z.strictObject({
        id,
        sizeId: frameSizeId,
        blank: frameRecord.shape.blank,
        combYear: frameRecord.shape.combYear,
      }),
    )
    .min(1)
    .max(2000),
});

/** What was read off the frames of one colony on one day. */
const recordCount = z.strictObject({
  type: z.literal('recordCount'),
  visitId: id,
  colonyId: id,
  day: daySchema,
  note: z.string().max(4000),
  readings: z.array(countReading).max(200),
  time: visitRecord.shape.time.optional(),
  /** What was seen besides frames. A count without readings must have this. */
  evidence: evidence.nullable().optional(),
  conditions: visitRecord.shape.conditions.optional(),
  /** For what an inspection files; without them it is kept, and nothing follows from it. */
  newIds: z.array(id).max(60).optional(),
});

/** Puts a photo to a visit. Its content is sent before, under the same id. */
const addPhoto = z.strictObject({ type: z.literal('addPhoto'), photo: photoRecord });

/** Takes a photo away. */
const removePhoto = z.strictObject({ type: z.literal('removePhoto'), photoId: id });

/**
 * Says how a hive now stands, from the bottom up. Boxes of the hive that are not named go into the store
 * with their frames; boxes that are `fresh` enter the operation; others come out of the store.
 */
const arrangeHive = z.strictObject({
  type: z.literal('arrangeHive'),
  hiveId: id,
  boxes: z
    .array(
      z.strictObject({
        id,
        role: boxRecord.shape.role,
        excluderBelow: z.boolean(),
        chambers: boxRecord.shape.chambers,
        fresh: z
          .strictObject({
            sizeId: frameSizeId,
            slots: boxRecord.shape.slots,
            frames: z.array(newFrame).max(40),
          })
          .nullable(),
      }),
    )
    .min(1)
    .max(20),
});

/** Enters or corrects a queen. */
const putQueen = z.strictObject({ type: z.literal('putQueen'), queen: queenSaid });

/** Renames a colony. */
const renameColony = z.strictObject({ type: z.literal('renameColony'), colonyId: id, name });

/** Moves frames by hand: between slots, into the store, out of it. All at once, so that two can swap. */
const moveFrames = z.strictObject({
  type: z.literal('moveFrames'),
  moves: z
    .array(
      z.strictObject({
        frameId: id,
        to: z.discriminatedUnion('place', [
          z.strictObject({ place: z.literal('box'), boxId: id, slot: z.int().min(1).max(40) }),
          z.strictObject({ place: z.literal('store') }),
        ]),
      }),
    )
    .min(1)
    .max(200),
});

/** Keeps work that was planned. */
const saveWork = z.strictObject({
  type: z.literal('saveWork'),
  work: workRecord,
  steps: z.array(workStepRecord).min(1).max(4000),
});

/** Puts work that was planned anew around what was really done in the place of the one under way. */
const amendWork = saveWork.extend({ type: z.literal('amendWork') });

/** One more unit than planned, made at once of frames of a colony. */
const addUnit = z.strictObject({
  type: z.literal('addUnit'),
  day: daySchema,
  /** The work in the course of which it was made. */
  workId: id,
  fromColonyId: id,
  unit: z.strictObject({
    colonyId: id,
    hiveId: id,
    standId: id,
    boxId: id,
    yardId: id,
    name,
    sizeId: frameSizeId,
    slots: boxRecord.shape.slots,
  }),
  frames: z
    .array(z.strictObject({ frameId: id, slot: z.int().min(1).max(40) }))
    .min(1)
    .max(40),
  looks: z.array(followUpRecord).max(12),
});

/** Drops work that is not wanted any more; what was done at the hives already is not touched. */
const dropWork = z.strictObject({ type: z.literal('dropWork'), workId: id });

/** Ticks a step, or takes the tick back. Ticking the last carries the work into the records. */
const tickStep = z.strictObject({
  type: z.literal('tickStep'),
  stepId: id,
  done: z.boolean(),
  day: daySchema,
  /** With the last step: how each unit was left. Ignored with any other. */
  closing: closingAnswers.optional(),
});

/** One look at the parts of a split, or at one colony. */
const recordLook = z.strictObject({
  type: z.literal('recordLook'),
  followUpId: id.nullable(),
  day: daySchema,
  note: z.string().max(4000),
  parts: z
    .array(z.strictObject({ visitId: id, colonyId: id, evidence }))
    .min(1)
    .max(12),
  time: visitRecord.shape.time.optional(),
  conditions: visitRecord.shape.conditions.optional(),
  /** Identifiers for follow-ups that the verdict may file. */
  newIds: z.array(id).min(4).max(60),
});

/** Closes a follow-up without a look. */
const closeFollowUp = z.strictObject({ type: z.literal('closeFollowUp'), followUpId: id });

/** Files a look by hand: a colony that is watched with a test and a date. */
const fileFollowUp = z.strictObject({ type: z.literal('fileFollowUp'), followUp: followUpRecord });

/** Puts a look on another day. What was expected stays, with the reason. */
const moveFollowUp = z.strictObject({
  type: z.literal('moveFollowUp'),
  followUpId: id,
  window: followUpRecord.shape.window,
  why: z.string().trim().min(1).max(200),
});

/** Begins a break-up that is called frame by frame. */
const startCallOut = z.strictObject({ type: z.literal('startCallOut'), callOut: callOutRecord });

/** A call, or a change to what was called. */
const changeCallOut = z.strictObject({
  type: z.literal('changeCallOut'),
  callOutId: id,
  change: callOutChange,
});

/** Carries a break-up into the records, once every unit has answered. */
const finishCallOut = z.strictObject({
  type: z.literal('finishCallOut'),
  callOutId: id,
  day: daySchema,
  closing: closingAnswers.optional(),
  /** Free slots were filled from the store: those of the units, and of donors as far as their bees draw. */
  fill: z.boolean().optional(),
  /** The visits under which the readings of each giver are kept. */
  visits: z.array(z.strictObject({ colonyId: id, visitId: id })).max(20),
  looks: z.array(followUpRecord).max(120),
});

/** Gives a break-up up. */
const dropCallOut = z.strictObject({ type: z.literal('dropCallOut'), callOutId: id });

/** Says how many pieces of equipment the store holds, by name. */
const setKit = z.strictObject({
  type: z.literal('setKit'),
  items: z.array(kitRecord).min(1).max(200),
});

/** Changes the settings of the operation. */
const changeSettings = z.strictObject({
  type: z.literal('changeSettings'),
  name: name.optional(),
  hemisphere: z.enum(['north', 'south']).optional(),
  units: z.enum(['metric', 'imperial']).optional(),
  referenceSize: frameSizeId.optional(),
  ownSizes: operationRecord.shape.ownSizes.unwrap().optional(),
  words: operationRecord.shape.words.unwrap().optional(),
  weekStart: operationRecord.shape.weekStart.unwrap().optional(),
  currency: operationRecord.shape.currency.unwrap().optional(),
  houseRules: houseRuleChanges.optional(),
  likelihoods: likelihoodChanges.optional(),
});

/** Follows a plan of the season from now on, in the place of any other; null follows none. */
const keepSeasonPlan = z.strictObject({ type: z.literal('keepSeasonPlan'), plan: seasonPlan.nullable() });

const single = [
  addYard,
  addHives,
  addToStore,
  recordCount,
  addPhoto,
  removePhoto,
  arrangeHive,
  putQueen,
  renameColony,
  moveFrames,
  saveWork,
  amendWork,
  addUnit,
  dropWork,
  tickStep,
  recordLook,
  closeFollowUp,
  fileFollowUp,
  moveFollowUp,
  setKit,
  startCallOut,
  changeCallOut,
  finishCallOut,
  dropCallOut,
  changeSettings,
  keepSeasonPlan,
  ...happenings,
] as const;

/** Several commands that happen together or not at all. */
const batch = z.strictObject({
  type: z.literal('batch'),
  commands: z.array(z.discriminatedUnion('type', single)).min(1).max(2000),
});

/** Everything that can be asked of an apiary, save taking a change back. */
export const command = z.discriminatedUnion('type', [...single, batch]);
export type Command = z.infer<typeof command>;
export type CommandOf<T extends Command['type']> = Extract<Command, { type: T }>;
export type NewHive = z.infer<typeof newHive>;

/** The photos that a command puts to visits: their pictures are sent before it. */
export function photosIn(given: Command): string[] {
  const commands = given.type === 'batch' ? given.commands : [given];
  return commands.flatMap((c) => (c.type === 'addPhoto' ? [c.photo.id] : []));
}
