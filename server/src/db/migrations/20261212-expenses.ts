import { Migration } from '@mikro-orm/migrations';

/** What was spent on the bees. */
export class Migration20261212Expenses extends Migration {
  override up(): void {
    this.addSql(
      `create table "expense" ("id" uuid not null, "operation_id" uuid not null, "day" date not null, "what" text not null, "amount" double precision not null, constraint "expense_pkey" primary key ("id"))`,
    );
    this.addSql(`create index "expense_operation_id_index" on "expense" ("operation_id")`);
    this.addSql(
      `alter table "expense" add constraint "expense_operation_id_foreign" foreign key ("operation_id") references "operation" ("id") on update cascade on delete cascade deferrable initially deferred`,
    );
  }
}
