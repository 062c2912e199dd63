import { changeSchema, RECORD_SCHEMAS, type RecordKind } from '@incremen/core/records';
import { scaleHour, weatherHour } from '@incremen/core/weather';
import { DeferMode, defineEntity, p, type EntitySchema } from '@mikro-orm/postgresql';
import { z } from 'zod';
import { zodJson } from './zodJson.ts';

/**
 * The tables. A row is a record of the core plus the operation that it belongs to, property by property;
 * what has parts of its own is a jsonb body that is checked on the way in and out.
 *
 * References are checked at commit, so that a change may be written in any order and two frames may swap
 * slots. The unique slot of a frame is the database's own guard of conservation.
 */
const S = RECORD_SCHEMAS;
const json = (schema: z.ZodType) => p.type(zodJson(schema));
const deferred = DeferMode.INITIALLY_DEFERRED;

export const OperationEntity = defineEntity({
  name: 'Operation',
  tableName: 'operation',
  properties: {
    id: p.uuid().primary(),
    name: p.text(),
    hemisphere: p.text(),
    units: p.text(),
    referenceSize: p.text(),
    fixedToday: p.date().nullable(),
    houseRules: json(S.operation.shape.houseRules),
    ownSizes: json(S.operation.shape.ownSizes),
    words: p.text(),
    weekStart: p.text(),
    currency: p.text(),
    seasonPlan: json(S.operation.shape.seasonPlan).nullable(),
    /** Raised by every command: tells a cached copy that it is old. */
    revision: p.integer().default(0),
  },
});

const ofOperation = () =>
  p
    .manyToOne(OperationEntity)
    .mapToPk()
    .fieldName('operation_id')
    .deleteRule('cascade')
    .deferMode(deferred)
    .index();

/** A reference to a row that must be there. It is checked at commit. */
const refers = (entity: EntitySchema, column: string) =>
  p.manyToOne(entity).mapToPk().fieldName(column).deferMode(deferred);

/** The same where there may be none. */
const perhaps = (entity: EntitySchema, column: string) =>
  refers(entity, column).nullable().deleteRule('no action');

const YardEntity = defineEntity({
  name: 'Yard',
  tableName: 'yard',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    name: p.text(),
    note: p.text(),
    closedOn: p.date().nullable(),
    position: json(S.yard.shape.position).nullable(),
    season: json(S.yard.shape.season).nullable(),
  },
});

const StandEntity = defineEntity({
  name: 'Stand',
  tableName: 'stand',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    yardId: () => refers(YardEntity, 'yard_id').index(),
    name: p.text(),
    order: p.integer(),
    spot: json(S.stand.shape.spot).nullable(),
  },
});

const HiveEntity = defineEntity({
  name: 'Hive',
  tableName: 'hive',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    standId: () => perhaps(StandEntity, 'stand_id').index(),
    name: p.text(),
    entrance: json(S.hive.shape.entrance),
    wears: json(S.hive.shape.wears),
  },
});

const BoxEntity = defineEntity({
  name: 'Box',
  tableName: 'box',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    hiveId: () => perhaps(HiveEntity, 'hive_id').index(),
    position: p.integer(),
    sizeId: p.text(),
    slots: p.integer(),
    role: p.text(),
    chambers: json(S.box.shape.chambers),
    excluderBelow: p.boolean(),
    sheetBelow: p.text().nullable(),
    inserts: json(S.box.shape.inserts),
  },
});

const ColonyEntity = defineEntity({
  name: 'Colony',
  tableName: 'colony',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    name: p.text(),
    hiveId: () => perhaps(HiveEntity, 'hive_id').index(),
    startedOn: p.date(),
    endedOn: p.date().nullable(),
    origin: json(S.colony.shape.origin),
    separation: json(S.colony.shape.separation).nullable(),
    end: json(S.colony.shape.end).nullable(),
    broodGiven: json(S.colony.shape.broodGiven),
  },
});

const QueenEntity = defineEntity({
  name: 'Queen',
  tableName: 'queen',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    name: p.text().nullable(),
    birthYear: p.integer().nullable(),
    bornWithin: json(S.queen.shape.bornWithin).nullable(),
    dot: p.text().nullable(),
    number: p.text().nullable(),
    clipped: p.boolean().nullable(),
    mating: p.text(),
    matingPlace: p.text().nullable(),
    origin: p.text().nullable(),
    motherColonyId: p.uuid().nullable(),
    motherQueenId: p.uuid().nullable(),
    line: p.text().nullable(),
    breeder: p.text().nullable(),
    whereabouts: json(S.queen.shape.whereabouts),
    cagedSince: p.date().nullable(),
    layingSince: p.date().nullable(),
    end: json(S.queen.shape.end).nullable(),
    history: json(S.queen.shape.history),
  },
});

const FrameEntity = defineEntity({
  name: 'Frame',
  tableName: 'frame',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    sizeId: p.text(),
    place: p.text(),
    boxId: () => perhaps(BoxEntity, 'box_id'),
    slot: p.integer().nullable(),
    blank: p.text(),
    combYear: p.integer().nullable(),
    readingId: () => perhaps(ReadingEntity, 'reading_id').index(),
    care: json(S.frame.shape.care),
  },
  uniques: [{ name: 'frame_one_a_slot', properties: ['boxId', 'slot'], deferMode: deferred }],
  checks: [
    {
      name: 'frame_in_one_place',
      expression: `(place = 'box') = (box_id is not null) and (place = 'box') = (slot is not null)`,
    },
  ],
});

const VisitEntity = defineEntity({
  name: 'Visit',
  tableName: 'visit',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    colonyId: () => refers(ColonyEntity, 'colony_id').index(),
    day: p.date(),
    time: p.text().nullable(),
    purpose: p.text(),
    note: p.text(),
    evidence: json(S.visit.shape.evidence).nullable(),
    conditions: json(S.visit.shape.conditions).nullable(),
    clash: json(S.visit.shape.clash).nullable(),
    unexpected: json(S.visit.shape.unexpected).nullable(),
    by: p.text().nullable(),
  },
});

const PhotoEntity = defineEntity({
  name: 'Photo',
  tableName: 'photo',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    visitId: () => refers(VisitEntity, 'visit_id').index(),
    takenOn: p.date(),
    mediaType: p.text(),
    widthPx: p.integer(),
    heightPx: p.integer(),
    bytes: p.integer(),
    caption: p.text(),
  },
});

/**
 * The picture of a photo, under the photo's id. It arrives before the photo's record and stays when that is
 * taken away, as the journal can bring it back; so nothing refers to it in the database.
 */
export const PhotoContentEntity = defineEntity({
  name: 'PhotoContent',
  tableName: 'photo_content',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    mediaType: p.text(),
    content: p.blob(),
    keptAt: p.datetime().fieldName('kept_at').defaultRaw('now()'),
    /** SHA-256 of what was sent, by which it is known again. */
    source: p.text().nullable(),
  },
});

export const ReadingEntity = defineEntity({
  name: 'Reading',
  tableName: 'reading',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    visitId: () => perhaps(VisitEntity, 'visit_id').index(),
    frameId: () => refers(FrameEntity, 'frame_id').index(),
    day: p.date(),
    boxId: () => perhaps(BoxEntity, 'box_id').index(),
    slot: p.integer().nullable(),
    body: json(S.reading.shape.body),
  },
});

const WorkEntity = defineEntity({
  name: 'Work',
  tableName: 'work',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    name: p.text(),
    day: p.date(),
    status: p.text(),
    body: json(S.work.shape.body),
  },
});

const WorkStepEntity = defineEntity({
  name: 'WorkStep',
  tableName: 'work_step',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    workId: () => refers(WorkEntity, 'work_id').index(),
    order: p.integer(),
    kind: p.text(),
    task: p.text().nullable(),
    text: p.text(),
    detail: p.text(),
    doneOn: p.date().nullable(),
    unitKeys: json(S.workStep.shape.unitKeys),
    frameIds: json(S.workStep.shape.frameIds),
  },
});

const FollowUpEntity = defineEntity({
  name: 'FollowUp',
  tableName: 'follow_up',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    workId: () => perhaps(WorkEntity, 'work_id').index(),
    colonyIds: json(S.followUp.shape.colonyIds),
    kind: p.text(),
    topic: p.text(),
    window: json(S.followUp.shape.window),
    expect: p.text(),
    status: p.text(),
    test: json(S.followUp.shape.test).nullable(),
    move: json(S.followUp.shape.move).nullable(),
  },
});

const KitEntity = defineEntity({
  name: 'Kit',
  tableName: 'kit',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    what: p.text(),
    count: p.integer(),
  },
});

const ExpenseEntity = defineEntity({
  name: 'Expense',
  tableName: 'expense',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    day: p.date(),
    what: p.text(),
    amount: p.double(),
  },
});

const CallOutEntity = defineEntity({
  name: 'CallOut',
  tableName: 'call_out',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    name: p.text(),
    day: p.date(),
    status: p.text(),
    body: json(S.callOut.shape.body),
  },
});

const CellEntity = defineEntity({
  name: 'Cell',
  tableName: 'cell',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    frameId: () => refers(FrameEntity, 'frame_id').index(),
    place: p.text(),
    egg: json(S.cell.shape.egg),
    datedBy: p.text(),
    notedOn: p.date(),
    quality: p.text().nullable(),
    origin: p.text(),
    reserved: p.boolean(),
    fromColonyId: p.uuid().nullable(),
    fate: json(S.cell.shape.fate).nullable(),
    history: json(S.cell.shape.history),
  },
});

const GivenEntity = defineEntity({
  name: 'Given',
  tableName: 'given',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    colonyId: () => refers(ColonyEntity, 'colony_id').index(),
    day: p.date(),
    body: json(S.given.shape.body),
    outOn: p.date().nullable(),
    note: p.text(),
  },
});

const EventEntity = defineEntity({
  name: 'Event',
  tableName: 'event',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    colonyId: () => refers(ColonyEntity, 'colony_id').index(),
    day: p.date(),
    body: json(S.event.shape.body),
  },
});

/** An hour of weather or of a scale; sent again, it takes the place of what was there. */
export const MeasurementEntity = defineEntity({
  name: 'Measurement',
  tableName: 'measurement',
  properties: {
    operationId: p
      .manyToOne(OperationEntity)
      .mapToPk()
      .primary()
      .fieldName('operation_id')
      .deleteRule('cascade')
      .deferMode(deferred),
    kind: p.text().primary(),
    source: p.text().primary(),
    hive: p.text().primary(),
    time: p.text().primary(),
    body: json(z.union([weatherHour, scaleHour])),
  },
});

/** Append-only: one row a command, under the command's own id, which is what makes it happen once. */
export const JournalEntity = defineEntity({
  name: 'Journal',
  tableName: 'journal',
  properties: {
    id: p.uuid().primary(),
    operationId: ofOperation,
    seq: p.integer(),
    madeAt: p.datetime(),
    doneAt: p.datetime(),
    type: p.text(),
    summary: p.text(),
    undoneBy: p.uuid().nullable(),
    by: p.text().nullable(),
    /** SHA-256 of the command as it was sent, so that its id is known to be its own; null for those of a file. */
    digest: p.text().nullable(),
    body: json(z.strictObject({ v: z.literal(1), changes: z.array(changeSchema) })),
  },
  uniques: [{ name: 'journal_seq', properties: ['operationId', 'seq'] }],
});

/** The table of each kind of record. */
export const RECORD_ENTITIES: Readonly<Record<RecordKind, EntitySchema>> = {
  operation: OperationEntity,
  yard: YardEntity,
  stand: StandEntity,
  hive: HiveEntity,
  box: BoxEntity,
  colony: ColonyEntity,
  queen: QueenEntity,
  frame: FrameEntity,
  visit: VisitEntity,
  reading: ReadingEntity,
  photo: PhotoEntity,
  work: WorkEntity,
  workStep: WorkStepEntity,
  followUp: FollowUpEntity,
  kit: KitEntity,
  callOut: CallOutEntity,
  cell: CellEntity,
  given: GivenEntity,
  event: EventEntity,
  expense: ExpenseEntity,
} as never;
