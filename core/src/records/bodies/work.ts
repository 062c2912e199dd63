import { z } from 'zod';
import { daySchema, windowSchema } from '../../basics/index.ts';
import { DISTANCES } from '../../brood/index.ts';
import { frameSizeId } from '../../comb/index.ts';
import { closingAnswers } from './closing.ts';
import { followUpTopic } from './followUpTopic.ts';
import { METHOD_IDS } from './methodId.ts';
import { NUC_QUEENS, unitKey, yardPlanRequest } from './request.ts';
import { anchor, workEffect } from './workEffect.ts';
import { keptReport } from './workReport.ts';

/**
 * Work: something that is done at hives, worked out beforehand, ticked off step by step and carried into the
 * records with the last tick. A split, a plan for yards, what is done about one weak colony and a break-up that was
 * called frame by frame differ in what was asked, and in nothing that follows from it.
 */

const recordId = z.uuid();
const finite = z.number();
const slotNumber = z.int().min(1).max(40);
const slot = z.strictObject({ boxId: recordId, slot: slotNumber });

/** What was asked, and what only this kind of asking has to tell. */
const workAsked = z.discriminatedUnion('source', [
  /** One colony split, or its brood moved, by a method. */
  z.strictObject({
    source: z.literal('split'),
    colonyId: recordId,
    methodId: z.enum(METHOD_IDS),
    /** The school chosen for each question on which good beekeepers differ. */
    options: z.record(z.string(), z.string()),
    /** How far its counts were brought forward. */
    projectedDays: z.int().min(0),
  }),
  /** Goals for one or several yards. */
  z.strictObject({
    source: z.literal('yard'),
    request: yardPlanRequest,
    /** What the plan costs in points, and what any plan would cost at least; null when that was not proven. */
    cost: finite,
    bound: finite.nullable(),
    shortfalls: z.array(z.string().max(400)).max(800),
  }),
  /** What is done about one colony. */
  z.strictObject({ source: z.literal('action'), yardIds: z.array(recordId).max(40) }),
  /** A break-up, called frame by frame. */
  z.strictObject({ source: z.literal('call-out'), callOutId: recordId }),
]);
export type WorkAsked = z.infer<typeof workAsked>;
export type WorkSource = WorkAsked['source'];

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

/** A piece of equipment to bring. */
export const kitLine = z.strictObject({
  what: z.string(),
  count: finite,
  /** How many the store lacks; null where the store does not keep count of it. */
  shortBy: finite.nullable(),
  /** The frame size that it has to fit, in words; left out where it fits any. */
  size: z.string().max(60).optional(),
});
export type KitLine = z.infer<typeof kitLine>;

/** What a unit amounts to, in frames; bees as they are once the field bees have flown home. */
const unitStrength = z.strictObject({
  frames: finite,
  bees: finite,
  brood: finite,
  capped: finite,
  stores: finite,
});
export type UnitStrength = z.infer<typeof unitStrength>;

/** What is known of the old queen in a unit that the work parts from others or from its queen. */
const parting = z.strictObject({
  queen: z.enum(['here', 'elsewhere', 'unknown']),
  /** When a new queen is expected from cells that are there or are given; null for emergency cells. */
  emergence: z.strictObject({ window: windowSchema, anchor }).nullable(),
  /** All units that are parted from each other, this one among them. */
  partIds: z.array(recordId).min(1).max(12),
});
export type Parting = z.infer<typeof parting>;

/** A unit as it will stand: a colony that stays, a new one, or a box above a colony that stays one. */
const workUnit = z.strictObject({
  key: unitKey,
  colonyId: recordId,
  name: z.string().trim().min(1).max(80),
  state: z.enum(['stays', 'new', 'above']),
  /** How far a new one stands from where its bees were; null where that changes nothing. */
  distance: z.enum(DISTANCES).nullable(),
  /** The yard to which one that goes away is carried; left out where that is told when it is there. */
  toYardId: recordId.optional(),
  /** How a new one comes by its queen; null where an inspection has to show it, and for what stays. */
  gets: z.enum(NUC_QUEENS).nullable(),
  parted: parting.nullable(),
  /** Null for what is not there yet, and where nobody counted. */
  before: unitStrength.nullable(),
  after: unitStrength,
});
export type WorkUnit = z.infer<typeof workUnit>;

/** Whether the work makes something else of a unit than it was: those that are only listed stay as they are. */
export const isChanged = ({ before, after }: WorkUnit): boolean =>
  before === null ||
  Object.entries(after).some(([what, n]) => Math.abs(n - before[what as keyof typeof before]) > 0.005);

/** A hive that is set up for a new unit, bottom box first, from boxes that exist or are brought. */
const newHive = z.strictObject({
  colonyId: recordId,
  hiveId: recordId,
  standId: recordId,
  yardId: recordId,
  /** The colony that it is descended from: most of its brood, or its queen, is from there. */
  fromColonyId: recordId,
  boxes: z
    .array(
      z.discriminatedUnion('from', [
        z.strictObject({ from: z.literal('old-hive'), boxId: recordId }),
        z.strictObject({
          from: z.literal('kit'),
          boxId: recordId,
          sizeId: frameSizeId,
          slots: slotNumber,
          /** The first slot of the unit where several share the box, a side each; 1 when left out. */
          fromSlot: slotNumber.optional(),
        }),
      ]),
    )
    .min(1)
    .max(12),
});

/**
 * Where a box comes that a colony gets. `top`: a super. `over`, `under`: one for brood, above the brood boxes that it has or
 * below them. `in-place`: the lowest, in the place of the brood boxes that it had.
 */
const BOX_PLACES = ['top', 'over', 'under', 'in-place'] as const;

/** A box that a colony gets. */
const newBox = z.strictObject({
  colonyId: recordId,
  boxId: recordId,
  sizeId: frameSizeId,
  slots: slotNumber,
  place: z.enum(BOX_PLACES),
  /** The box for which it is exchanged: feeders, boards and the excluder go over. */
  insteadOf: recordId.optional(),
  /** An excluder lies under it; none when left out. */
  excluderBelow: z.boolean().optional(),
});

/** A frame on its way; null is the store. */
const workMove = z.strictObject({
  frameId: recordId,
  from: slot.nullable(),
  to: slot.nullable(),
  fromKey: unitKey,
  toKey: unitKey,
  reason: z.string().min(1).max(400),
});
export type WorkMove = z.infer<typeof workMove>;

/** A frame whose bees are shaken out for another unit; the frame stays. */
const workShake = z.strictObject({
  frameId: recordId,
  fromKey: unitKey,
  toKey: unitKey,
  reason: z.string().max(400),
});

/** An inspection, or hands-off days, filed when the work is done. */
const workLook = z.strictObject({
  id: recordId,
  colonyIds: z.array(recordId).min(1).max(12),
  kind: z.enum(['look', 'hands-off']),
  topic: followUpTopic,
  window: windowSchema,
  anchor,
  expect: z.string().max(800),
});
export type WorkLook = z.infer<typeof workLook>;

/** The stored body of work: what was asked, what was worked out, as it was shown when the plan was made. */
const workBody = z.strictObject({
  v: z.literal(2),
  asked: workAsked,
  /** The day of the oldest count that it rests on. */
  countedOn: daySchema,
  units: z.array(workUnit).max(600),
  newHives: z.array(newHive).max(120),
  newBoxes: z.array(newBox).max(40),
  /** What is united into what; whose name and whose stand are kept, where it is not those of the one that stays. */
  unions: z
    .array(
      z.strictObject({
        fromId: recordId,
        intoId: recordId,
        nameOf: recordId.optional(),
        standOf: recordId.optional(),
      }),
    )
    .max(40),
  /** Boxes that are empty afterwards and go to the store. */
  emptiedBoxIds: z.array(recordId).max(400),
  moves: z.array(workMove).max(6000),
  shakes: z.array(workShake).max(1000),
  /** What else changes: queens, cells, excluders, stands, and units that end. */
  effects: z.array(workEffect).max(200),
  ledger: z.array(ruleLine).max(8000),
  kit: z.array(kitLine),
  cautions: z.array(z.string()),
  looks: z.array(workLook).max(800),
  /** How each unit was left; since the work was done. */
  closing: closingAnswers.optional(),
  /** What was done, or turned out, other than planned. */
  reports: z.array(keptReport).max(200).optional(),
});
export type WorkBody = z.infer<typeof workBody>;

/** A piece of work. Where it comes from is in `body.asked`. */
export const workRecord = z.strictObject({
  id: recordId,
  name: z.string().trim().min(1).max(80),
  day: daySchema,
  status: z.enum(['draft', 'working', 'done', 'dropped']),
  body: workBody,
});

export const STEP_KINDS = [
  'prepare',
  'open',
  'find',
  'move',
  'shake',
  'lift',
  'fill',
  'close',
  'check',
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/**
 * What a step is for, where its kind does not say it: code goes by this and never by the words.
 *
 * `carry`: one frame from one unit to another. `aside`: a frame out of its slot, which waits to be hung. `slide`: frames within a box. `carry-back`: a frame that hangs where
 * it must not. `find-queen`, `keep-cell`, `cut-cells`: what is searched for. `told`: a report of what was done.
 */
const STEP_TASKS = [
  'carry',
  'aside',
  'slide',
  'carry-back',
  'find-queen',
  'keep-cell',
  'cut-cells',
  'told',
] as const;
export type StepTask = (typeof STEP_TASKS)[number];

/** One step of the work at the hives. */
export const workStepRecord = z.strictObject({
  id: recordId,
  workId: recordId,
  order: z.int().min(0).max(3999),
  kind: z.enum(STEP_KINDS),
  task: z.enum(STEP_TASKS).nullable(),
  text: z.string().min(1).max(400),
  detail: z.string().max(1600),
  doneOn: daySchema.nullable(),
  /** The units that it is done at, by their keys. */
  unitKeys: z.array(unitKey).max(24),
  /** The frames that it is about, so that what was really done with them can be told. */
  frameIds: z.array(recordId).max(60),
});
export type WorkStep = z.infer<typeof workStepRecord>;

/** A step before it gets an identifier. Most have no task, and are about no frame. */
export type StepDraft = Pick<WorkStep, 'kind' | 'text' | 'detail'> & {
  readonly task?: StepTask;
  readonly units?: readonly string[];
  readonly frameIds?: readonly string[];
  /** What is lifted, in kg: for the sum of a plan; it is not kept with the step. */
  readonly kg?: number;
};

/** The steps of work in their order, with identifiers. */
export function workSteps(workId: string, drafts: readonly StepDraft[], newId: () => string): WorkStep[] {
  return drafts.map(({ kind, task, text, detail, units, frameIds }, order) => ({
    id: newId(),
    workId,
    order,
    kind,
    task: task ?? null,
    text,
    detail: detail.slice(0, 1600),
    doneOn: null,
    unitKeys: [...(units ?? [])],
    frameIds: [...(frameIds ?? [])],
  }));
}

/** Work that will still be carried out. */
export const isOpenWork = ({ status }: { readonly status: z.infer<typeof workRecord>['status'] }): boolean =>
  status === 'draft' || status === 'working';
