import { Migration } from '@mikro-orm/migrations';

/** Break-ups that are called frame by frame. */
export class Migration20261128CallOuts extends Migration {
  override up(): void {
    this.addSql(
      `create table "call_out" ("id" uuid not null, "operation_id" uuid not null, "name" text not null, "day" date not null, "status" text not null, "body" jsonb not null, constraint "call_out_pkey" primary key ("id"))`,
    );
    this.addSql(`create index "call_out_operation_id_index" on "call_out" ("operation_id")`);
    this.addSql(
      `alter table "call_out" add constraint "call_out_operation_id_foreign" foreign key ("operation_id") references "operation" ("id") on update cascade on delete cascade deferrable initially deferred`,
    );
  }
}
