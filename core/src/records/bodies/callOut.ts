import { z } from 'zod';
import { closingAnswers } from './closing.ts';
import { daySchema } from '../../basics/index.ts';
import { frameReading } from '../../comb/index.ts';
import { nucRecipe } from './request.ts';

const recordId = z.uuid();
const unitKey = z.string().min(1).max(40);

/** Where a called frame was put. */
const callPlace = z.discriminatedUnion('at', [
  z.strictObject({ at: z.literal('unit'), key: unitKey, slot: z.int().min(1).max(12) }),
  /** It stays with its giver, or comes back to it. */
  z.strictObject({ at: z.literal('home') }),
  /** Laid aside until it is known which unit is short. */
  z.strictObject({ at: z.literal('aside') }),
]);
export type CallPlace = z.infer<typeof callPlace>;

/** A frame that was called: what is on it, and where it went. Its identifier becomes that of the reading. */
const frameCall = z.strictObject({
  id: recordId,
  frameId: recordId,
  giverId: recordId,
  reading: frameReading,
  to: callPlace,
  /** Who called it, where several call at one pad. The server writes it. */
  by: z.string().trim().min(1).max(130).optional(),
});
export type FrameCall = z.infer<typeof frameCall>;

/** A colony that gives, and what it keeps. */
const callGiver = z.strictObject({
  colonyId: recordId,
  keepBroodCombs: z.int().min(0).max(20),
  keepStoresCombs: z.int().min(0).max(20),
  /** Broken up wholly: nothing stays on its stand. */
  whole: z.boolean(),
});
export type CallGiver = z.infer<typeof callGiver>;

/** A unit that is filled. Two with the same box have a side of it each. */
const callUnit = z.strictObject({
  key: unitKey,
  colonyId: recordId,
  standId: recordId,
  hiveId: recordId,
  boxId: recordId,
  /** Its first slot in the box: beyond 1 on the far side of a partition. */
  fromSlot: z.int().min(1).max(40),
  name: z.string().trim().min(1).max(80),
  recipe: nucRecipe,
  /** Lid on: nothing more goes in. */
  closed: z.boolean(),
});
export type CallUnit = z.infer<typeof callUnit>;

/** Where the queen of a giver was found and where she is: at home, in a cage, taken away, or in a unit by its key. */
const calledQueen = z.strictObject({
  giverId: recordId,
  /** The call of the frame on which she was; null when she was beside the frames. */
  callId: recordId.nullable(),
  now: z.union([z.literal('home'), z.literal('caged'), z.literal('gone'), unitKey]),
});

/** Everything about a break-up while it is under way, and as it was when it is done. */
const callOutBody = z.strictObject({
  v: z.literal(1),
  yardId: recordId,
  givers: z.array(callGiver).min(1).max(20),
  units: z.array(callUnit).min(1).max(24),
  calls: z.array(frameCall).max(400),
  queens: z.array(calledQueen).max(20),
  /** Where the cells that the units get are from, and where their queens will mate; for the tags. */
  cells: z
    .strictObject({ breeder: z.string().trim().max(80), matingPlace: z.string().trim().max(80) })
    .optional(),
  closing: closingAnswers.optional(),
});
export type CallOutBody = z.infer<typeof callOutBody>;

/** A break-up that is called frame by frame. */
export const callOutRecord = z.strictObject({
  id: recordId,
  name: z.string().trim().min(1).max(80),
  day: daySchema,
  status: z.enum(['open', 'done', 'dropped']),
  body: callOutBody,
});

/** A change to a break-up under way. */
export const callOutChange = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('call'), call: frameCall }),
  z.strictObject({ what: z.literal('take-back'), callId: recordId }),
  /** A called frame goes elsewhere, or is read anew. */
  z.strictObject({ what: z.literal('place'), callId: recordId, to: callPlace }),
  z.strictObject({ what: z.literal('read'), callId: recordId, reading: frameReading }),
  z.strictObject({ what: z.literal('exchange'), callId: recordId, withId: recordId }),
  z.strictObject({ what: z.literal('queen'), queen: calledQueen }),
  z.strictObject({ what: z.literal('queen-not-found'), giverId: recordId }),
  z.strictObject({ what: z.literal('close-unit'), key: unitKey, closed: z.boolean() }),
]);
export type CallOutChange = z.infer<typeof callOutChange>;
