import { z } from 'zod';
import { daySchema, windowSchema } from '../basics/index.ts';
import { frameSizeId } from '../comb/index.ts';
import { closingAnswers } from './closing.ts';
import { keptReport } from './workReport.ts';
import { followUpTopic } from './followUpTopic.ts';

const recordId = z.uuid();
const finite = z.number();

/** One line of the rule ledger. */
export const ruleLine = z.strictObject({
  id: z.string(),
  label: z.string(),
  state: z.enum(['met', 'near', 'broken']),
  value: finite,
  threshold: finite,
  sense: z.enum(['atLeast', 'atMost']),
  unit: z.string(),
  why: z.string(),
  /** What would mend it, with the number that is missing; empty when met. */
  mend: z.string(),
});
export type RuleLine = z.infer<typeof ruleLine>;

/** What one part amounts to when the work is done. */
const partMeasure = z.strictObject({
  frames: finite,
  framesOfBeesNow: finite,
  framesOfBeesAfterDrift: finite,
  broodFrames: finite,
  openFrames: finite,
  cappedFrames: finite,
  eggsTenths: finite,
  beeBreadFrames: finite,
  storesFrames: finite,
  drawnFrames: finite,
  liveCells: finite,
});
export type PartMeasure = z.infer<typeof partMeasure>;

/** Where a frame of the plan hangs afterwards. */
const planSlot = z.strictObject({
  boxId: recordId,
  slot: z.int().min(1).max(40),
  frameId: recordId,
});

/** A part as it will stand. */
const planPart = z.strictObject({
  key: z.enum(['stay', 'new']),
  colonyId: recordId,
  name: z.string(),
  queen: z.enum(['here', 'elsewhere', 'unknown']),
  distance: z.enum(['stand', 'same-yard', 'beside', 'away', 'above']),
  measure: partMeasure,
  slots: z.array(planSlot),
});
export type PlanPart = z.infer<typeof planPart>;

/** A piece of equipment to bring. */
export const kitLine = z.strictObject({
  what: z.string(),
  count: finite,
  /** How many the store lacks; null where the store does not keep count of it. */
  shortBy: finite.nullable(),
});
export type KitLine = z.infer<typeof kitLine>;

/** A follow-up that is filed when the work is done. */
const plannedFollowUp = z.strictObject({
  id: recordId,
  parts: z.array(z.enum(['stay', 'new'])).min(1),
  kind: z.enum(['look', 'hands-off']),
  topic: followUpTopic,
  window: windowSchema,
  /** What its dates hang on: the day of the split, or cells that were there before. */
  anchor: z.enum(['split', 'cells']),
  expect: z.string(),
});

/** What the plan builds: the new hive, from a box that exists or one that is brought. */
const newHive = z.strictObject({
  hiveId: recordId,
  standId: recordId,
  yardId: recordId,
  boxes: z.array(
    z.discriminatedUnion('from', [
      z.strictObject({ from: z.literal('old-hive'), boxId: recordId }),
      z.strictObject({
        from: z.literal('kit'),
        boxId: recordId,
        sizeId: frameSizeId,
        slots: z.int().min(1).max(40),
      }),
    ]),
  ),
});

/** The stored body of a plan: all that was worked out, as it was shown when the plan was made. */
export const planBody = z.strictObject({
  v: z.literal(1),
  options: z.record(z.string(), z.string()),
  /** The day of the counts it rests on, and how far they were projected. */
  countedOn: daySchema,
  projectedDays: z.int().min(0),
  newHive,
  parts: z.tuple([planPart, planPart]),
  ledger: z.array(ruleLine),
  shakes: z.array(z.strictObject({ frameId: recordId, reason: z.string() })),
  kit: z.array(kitLine),
  cautions: z.array(z.string()),
  emergence: windowSchema.nullable(),
  followUps: z.array(plannedFollowUp),
  /** How each part was left; since the work was done. */
  closing: closingAnswers.optional(),
  /** What was done, or turned out, other than planned. */
  reports: z.array(keptReport).max(200).optional(),
});
export type PlanBody = z.infer<typeof planBody>;
