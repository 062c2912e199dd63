import { JournalUpgrade, upgradeRecords } from '@incremen/core/formats';
import { Migration } from '@mikro-orm/migrations';

/**
 * Splits, plans for yards and what is done about one colony become one kind of work.
 *
 * What the tables hold is read as the file of version 1 is, by the same code; the journal goes along, so that what
 * was done before can still be undone.
 */
export class Migration20261201OneKindOfWork extends Migration {
  override async up(): Promise<void> {
    const old = await this.readOld();
    for (const statement of TABLES) await this.execute(statement);
    for (const [operationId, records] of old) await this.writeWork(operationId, records);
    for (const statement of REFERENCES) await this.execute(statement);
    await this.upgradeJournals();
  }

  /** The records of each operation that change shape, as version 1 had them. */
  private async readOld(): Promise<Map<string, Record<string, Row[]>>> {
    const found = new Map<string, Record<string, Row[]>>();
    for (const [kind, sql] of Object.entries(OLD_RECORDS)) {
      for (const { operation_id: operationId, record } of (await this.execute(sql)) as OldRow[]) {
        const own = found.get(operationId) ?? {};
        found.set(operationId, { ...own, [kind]: [...(own[kind] ?? []), record] });
      }
    }
    return found;
  }

  private async writeWork(operationId: string, records: Record<string, Row[]>): Promise<void> {
    const { work = [], workStep = [] } = upgradeRecords(records) as { work?: Row[]; workStep?: Row[] };
    for (const w of work) {
      await this.execute(
        'insert into "work" ("id", "operation_id", "name", "day", "status", "body") values (?, ?, ?, ?, ?, ?::jsonb)',
        [w['id'], operationId, w['name'], w['day'], w['status'], JSON.stringify(w['body'])],
      );
    }
    for (const s of workStep) {
      await this.execute(
        'insert into "work_step" ("id", "operation_id", "work_id", "order", "kind", "task", "text", "detail", "done_on", "unit_keys", "frame_ids") values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?::jsonb, ?::jsonb)',
        [
          s['id'],
          operationId,
          s['workId'],
          s['order'],
          s['kind'],
          s['task'],
          s['text'],
          s['detail'],
          s['doneOn'],
          JSON.stringify(s['unitKeys']),
          JSON.stringify(s['frameIds']),
        ],
      );
    }
  }

  /** Entry by entry in their order, some at a time: a journal of years need not fit into memory. */
  private async upgradeJournals(): Promise<void> {
    const operations = (await this.execute('select distinct "operation_id" from "journal"')) as OldRow[];
    for (const { operation_id: operationId } of operations) {
      const upgrade = new JournalUpgrade();
      let after = 0;
      for (;;) {
        const entries = (await this.execute(
          'select "id", "seq", "body" from "journal" where "operation_id" = ? and "seq" > ? order by "seq" limit ?',
          [operationId, after, ENTRIES_AT_ONCE],
        )) as JournalRow[];
        for (const { id, seq, body } of entries) {
          await this.execute('update "journal" set "body" = ?::jsonb where "id" = ?', [
            JSON.stringify({ ...body, changes: upgrade.next(body.changes) }),
            id,
          ]);
          after = seq;
        }
        if (entries.length < ENTRIES_AT_ONCE) break;
      }
    }
  }
}

const ENTRIES_AT_ONCE = 200;

type Row = Record<string, unknown>;
interface OldRow {
  readonly operation_id: string;
  readonly record: Row;
}
interface JournalRow {
  readonly id: string;
  readonly seq: number;
  readonly body: { readonly changes: Parameters<JournalUpgrade['next']>[0] };
}

const step = (table: string, of: string, plan: string) =>
  `select "operation_id", jsonb_build_object('id', "id", '${of}', "${plan}", 'order', "order", 'kind', "kind", 'text', "text", 'detail', "detail", 'doneOn', "done_on", 'frameIds', "frame_ids") as "record" from "${table}"`;

const OLD_RECORDS = {
  plan: `select "operation_id", jsonb_build_object('id', "id", 'colonyId', "colony_id", 'methodId', "method_id", 'day', "day", 'status', "status", 'body', "body") as "record" from "plan"`,
  move: `select "operation_id", jsonb_build_object('id', "id", 'planId', "plan_id", 'order', "order", 'frameId', "frame_id", 'fromBoxId', "from_box_id", 'fromSlot', "from_slot", 'toBoxId', "to_box_id", 'toSlot', "to_slot", 'reason', "reason") as "record" from "move"`,
  step: step('work_step', 'planId', 'plan_id'),
  yardPlan: `select "operation_id", jsonb_build_object('id', "id", 'name', "name", 'day', "day", 'status', "status", 'body', "body") as "record" from "yard_plan"`,
  yardStep: step('yard_step', 'yardPlanId', 'yard_plan_id'),
} as const;

const TABLES = [
  `create table "work" ("id" uuid not null, "operation_id" uuid not null, "name" text not null, "day" date not null, "status" text not null, "body" jsonb not null, constraint "work_pkey" primary key ("id"))`,
  `create index "work_operation_id_index" on "work" ("operation_id")`,
  `alter table "work" add constraint "work_operation_id_foreign" foreign key ("operation_id") references "operation" ("id") on update cascade on delete cascade deferrable initially deferred`,
  `drop table "work_step"`,
  `create table "work_step" ("id" uuid not null, "operation_id" uuid not null, "work_id" uuid not null, "order" int not null, "kind" text not null, "task" text null, "text" text not null, "detail" text not null, "done_on" date null, "unit_keys" jsonb not null, "frame_ids" jsonb not null, constraint "work_step_pkey" primary key ("id"))`,
  `create index "work_step_operation_id_index" on "work_step" ("operation_id")`,
  `create index "work_step_work_id_index" on "work_step" ("work_id")`,
  `alter table "work_step" add constraint "work_step_operation_id_foreign" foreign key ("operation_id") references "operation" ("id") on update cascade on delete cascade deferrable initially deferred`,
  `alter table "work_step" add constraint "work_step_work_id_foreign" foreign key ("work_id") references "work" ("id") on update cascade deferrable initially deferred`,
];

const REFERENCES = [
  `alter table "follow_up" drop constraint "follow_up_plan_id_foreign"`,
  `alter table "follow_up" rename column "plan_id" to "work_id"`,
  `alter table "follow_up" add constraint "follow_up_work_id_foreign" foreign key ("work_id") references "work" ("id") on update cascade on delete no action deferrable initially deferred`,
  `update "colony" set "origin" = ("origin" - 'planId') || jsonb_build_object('workId', "origin"->'planId') where jsonb_exists("origin", 'planId')`,
  `update "colony" set "separation" = ("separation" - 'planId') || jsonb_build_object('workId', "separation"->'planId') where jsonb_exists("separation", 'planId')`,
  // Constraints that wait for the end of the transaction do not let a table go.
  `set constraints all immediate`,
  `set constraints all deferred`,
  `drop table "move"`,
  `drop table "yard_step"`,
  `drop table "yard_plan"`,
  `drop table "plan"`,
];
