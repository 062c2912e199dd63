import { z } from 'zod';
import { daySchema, windowSchema } from '../../basics/index.ts';
import { frameSizeId } from '../../comb/index.ts';
import {
  closingAnswers,
  followUpTopic,
  keptReport,
  kitLine,
  markingColourSchema,
  METHOD_IDS,
  NUC_QUEENS,
  ruleLine,
  STEP_KINDS,
  unitKey,
  yardPlanRequest,
} from '../../records/index.ts';

/**
 * Work as version 1 of the file kept it: splits with moves and steps of their own, plans for yards, which actions
 * were too, with others. Frozen: it is only read.
 */

const id = z.uuid();
const finite = z.number();
const slotNumber = z.int().min(1).max(40);
const slot = z.strictObject({ boxId: id, slot: slotNumber });
const status = z.enum(['draft', 'working', 'done', 'dropped']);
const name = z.string().trim().min(1).max(80);
const closing = closingAnswers.optional();
const reports = z.array(keptReport).max(200).optional();

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

const planPart = z.strictObject({
  key: z.enum(['stay', 'new']),
  colonyId: id,
  name: z.string(),
  queen: z.enum(['here', 'elsewhere', 'unknown']),
  distance: z.enum(['stand', 'same-yard', 'beside', 'away', 'above']),
  measure: partMeasure,
  slots: z.array(z.strictObject({ boxId: id, slot: slotNumber, frameId: id })),
});

export const planV1 = z.strictObject({
  id,
  colonyId: id,
  methodId: z.enum(METHOD_IDS),
  day: daySchema,
  status,
  body: z.strictObject({
    v: z.literal(1),
    options: z.record(z.string(), z.string()),
    countedOn: daySchema,
    projectedDays: z.int().min(0),
    newHive: z.strictObject({
      hiveId: id,
      standId: id,
      yardId: id,
      boxes: z.array(
        z.discriminatedUnion('from', [
          z.strictObject({ from: z.literal('old-hive'), boxId: id }),
          z.strictObject({ from: z.literal('kit'), boxId: id, sizeId: frameSizeId, slots: slotNumber }),
        ]),
      ),
    }),
    parts: z.tuple([planPart, planPart]),
    ledger: z.array(ruleLine),
    shakes: z.array(z.strictObject({ frameId: id, reason: z.string() })),
    kit: z.array(kitLine),
    cautions: z.array(z.string()),
    emergence: windowSchema.nullable(),
    followUps: z.array(
      z.strictObject({
        id,
        parts: z.array(z.enum(['stay', 'new'])).min(1),
        kind: z.enum(['look', 'hands-off']),
        topic: followUpTopic,
        window: windowSchema,
        anchor: z.enum(['split', 'cells']),
        expect: z.string(),
      }),
    ),
    closing,
    reports,
  }),
});
export type PlanV1 = z.infer<typeof planV1>;

export const moveV1 = z.strictObject({
  id,
  planId: id,
  order: z.int().min(0).max(999),
  frameId: id,
  fromBoxId: id.nullable(),
  fromSlot: slotNumber.nullable(),
  toBoxId: id,
  toSlot: slotNumber,
  reason: z.string().min(1).max(400),
});
export type MoveV1 = z.infer<typeof moveV1>;

const anyStep = {
  id,
  order: z.int().min(0).max(3999),
  kind: z.enum(STEP_KINDS),
  text: z.string().min(1).max(400),
  detail: z.string().max(1600),
  doneOn: daySchema.nullable(),
  frameIds: z.array(id).max(60).default([]),
};
export const stepV1 = z.strictObject({ ...anyStep, planId: id });
export const yardStepV1 = z.strictObject({ ...anyStep, yardPlanId: id });
export type StepV1 = Omit<z.infer<typeof stepV1>, 'planId'>;

const strengthLine = z.strictObject({
  frames: finite,
  bees: finite,
  brood: finite,
  capped: finite,
  stores: finite,
});

const effectV1 = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('queen-out'), colonyId: id }),
  z.strictObject({ kind: z.literal('queen-over'), colonyId: id, intoId: id }),
  z.strictObject({
    kind: z.literal('queen-in'),
    colonyId: id,
    queenId: id,
    name: name.nullable(),
    birthYear: z.int().min(1990).max(2100).nullable(),
    dot: markingColourSchema.nullable(),
  }),
  z.strictObject({ kind: z.literal('cell-in'), colonyId: id, emergence: windowSchema }),
  z.strictObject({ kind: z.literal('stands-swapped'), colonyIds: z.array(id).length(2) }),
  z.strictObject({ kind: z.literal('unit-ends'), colonyId: id }),
]);

export const yardPlanV1 = z.strictObject({
  id,
  name,
  day: daySchema,
  status,
  body: z.strictObject({
    v: z.literal(1),
    request: yardPlanRequest,
    countedOn: daySchema,
    units: z
      .array(
        z.strictObject({
          key: unitKey,
          colonyId: id,
          name,
          kind: z.enum(['colony', 'nuc']),
          queen: z.enum(NUC_QUEENS).nullable(),
          queenLeaves: z.boolean(),
          before: strengthLine,
          after: strengthLine,
        }),
      )
      .max(600),
    newHives: z
      .array(
        z.strictObject({
          colonyId: id,
          hiveId: id,
          standId: id,
          yardId: id,
          boxId: id,
          sizeId: frameSizeId,
          slots: slotNumber,
          fromColonyId: id,
        }),
      )
      .max(120),
    newBoxes: z
      .array(z.strictObject({ colonyId: id, boxId: id, sizeId: frameSizeId, slots: slotNumber }))
      .max(40),
    unions: z.array(z.strictObject({ fromId: id, intoId: id })).max(40),
    emptiedBoxIds: z.array(id).max(400),
    moves: z
      .array(
        z.strictObject({
          frameId: id,
          from: slot.nullable(),
          to: slot.nullable(),
          fromKey: unitKey,
          toKey: unitKey,
          reason: z.string().min(1).max(400),
        }),
      )
      .max(6000),
    shakes: z
      .array(z.strictObject({ frameId: id, fromKey: unitKey, toKey: unitKey, reason: z.string().max(400) }))
      .max(1000),
    ledger: z.array(ruleLine).max(8000),
    shortfalls: z.array(z.string().max(400)).max(800),
    kit: z.array(kitLine),
    cautions: z.array(z.string()),
    looks: z
      .array(
        z.strictObject({
          id,
          colonyIds: z.array(id).min(1).max(12),
          kind: z.enum(['look', 'hands-off']),
          topic: followUpTopic,
          window: windowSchema,
          expect: z.string().max(800),
        }),
      )
      .max(800),
    cost: finite,
    bound: finite.nullable(),
    effects: z.array(effectV1).max(200).optional(),
    closing,
    reports,
  }),
});
export type YardPlanV1 = z.infer<typeof yardPlanV1>;
