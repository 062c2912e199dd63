import { Migration } from '@mikro-orm/migrations';

/** Plans for yards, and the steps of the work on them. */
export class Migration20261126YardPlans extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `create table "yard_plan" ("id" uuid not null, "operation_id" uuid not null, "name" text not null, "day" date not null, "status" text not null, "body" jsonb not null, constraint "yard_plan_pkey" primary key ("id"))`,
  `create index "yard_plan_operation_id_index" on "yard_plan" ("operation_id")`,
  `alter table "yard_plan" add constraint "yard_plan_operation_id_foreign" foreign key ("operation_id") references "operation" ("id") on update cascade on delete cascade deferrable initially deferred`,
  `create table "yard_step" ("id" uuid not null, "operation_id" uuid not null, "yard_plan_id" uuid not null, "order" int not null, "kind" text not null, "text" text not null, "detail" text not null, "done_on" date null, constraint "yard_step_pkey" primary key ("id"))`,
  `create index "yard_step_operation_id_index" on "yard_step" ("operation_id")`,
  `create index "yard_step_yard_plan_id_index" on "yard_step" ("yard_plan_id")`,
  `alter table "yard_step" add constraint "yard_step_operation_id_foreign" foreign key ("operation_id") references "operation" ("id") on update cascade on delete cascade deferrable initially deferred`,
  `alter table "yard_step" add constraint "yard_step_yard_plan_id_foreign" foreign key ("yard_plan_id") references "yard_plan" ("id") on update cascade deferrable initially deferred`,
];
