import { z } from 'zod';
import { workEffect } from './workEffect.ts';
import { daySchema, windowSchema } from '../basics/index.ts';
import { frameSizeId } from '../comb/index.ts';
import { followUpTopic } from './followUpTopic.ts';
import { kitLine, ruleLine } from './planBody.ts';
import { NUC_QUEENS, unitKey, yardPlanRequest } from './request.ts';
import { closingAnswers } from './closing.ts';
import { keptReport } from './workReport.ts';

const recordId = z.uuid();
const finite = z.number();
const slot = z.strictObject({ boxId: recordId, slot: z.int().min(1).max(40) });

/** What a unit amounts to, in frames, before and after the work. */
const strengthLine = z.strictObject({
  frames: finite,
  bees: finite,
  brood: finite,
  capped: finite,
  stores: finite,
});

/** A colony or nuc of a plan as it will stand. */
const plannedUnit = z.strictObject({
  key: unitKey,
  colonyId: recordId,
  name: z.string().trim().min(1).max(80),
  kind: z.enum(['colony', 'nuc']),
  /** Null for a colony, which keeps the queen it has unless `queenLeaves`. */
  queen: z.enum(NUC_QUEENS).nullable(),
  queenLeaves: z.boolean(),
  before: strengthLine,
  after: strengthLine,
});
export type PlannedUnit = z.infer<typeof plannedUnit>;

/** A hive that is set up for a nuc. */
const plannedHive = z.strictObject({
  colonyId: recordId,
  hiveId: recordId,
  standId: recordId,
  yardId: recordId,
  boxId: recordId,
  sizeId: frameSizeId,
  slots: z.int().min(1).max(40),
  /** The colony that most of its brood is from. */
  fromColonyId: recordId,
});

/** A box that takes the place of those a colony has. */
const newBox = z.strictObject({
  colonyId: recordId,
  boxId: recordId,
  sizeId: frameSizeId,
  slots: z.int().min(1).max(40),
});

/** A frame on its way; null is the store. */
const plannedMove = z.strictObject({
  frameId: recordId,
  from: slot.nullable(),
  to: slot.nullable(),
  fromKey: unitKey,
  toKey: unitKey,
  reason: z.string().min(1).max(400),
});

const plannedLook = z.strictObject({
  id: recordId,
  colonyIds: z.array(recordId).min(1).max(12),
  kind: z.enum(['look', 'hands-off']),
  topic: followUpTopic,
  window: windowSchema,
  expect: z.string().max(800),
});
export type YardLook = z.infer<typeof plannedLook>;

/** A plan for one or several yards as it is kept: what was asked, what was found, what is to be done. */
export const yardPlanBody = z.strictObject({
  v: z.literal(1),
  request: yardPlanRequest,
  countedOn: daySchema,
  units: z.array(plannedUnit).max(600),
  newHives: z.array(plannedHive).max(120),
  newBoxes: z.array(newBox).max(40),
  unions: z.array(z.strictObject({ fromId: recordId, intoId: recordId })).max(40),
  /** Boxes that are empty afterwards and go to the store. */
  emptiedBoxIds: z.array(recordId).max(400),
  moves: z.array(plannedMove).max(6000),
  shakes: z
    .array(
      z.strictObject({ frameId: recordId, fromKey: unitKey, toKey: unitKey, reason: z.string().max(400) }),
    )
    .max(1000),
  ledger: z.array(ruleLine).max(8000),
  shortfalls: z.array(z.string().max(400)).max(800),
  kit: z.array(kitLine),
  cautions: z.array(z.string()),
  looks: z.array(plannedLook).max(800),
  /** What the plan costs in points, and what any plan would cost at least; null when that was not proven. */
  cost: finite,
  bound: finite.nullable(),
  /** What else the work changes: queens, cells, stands, and units that end. */
  effects: z.array(workEffect).max(200).optional(),
  /** How each unit was left; since the work was done. */
  closing: closingAnswers.optional(),
  /** What was done, or turned out, other than planned. */
  reports: z.array(keptReport).max(200).optional(),
});
export type YardPlanBody = z.infer<typeof yardPlanBody>;
