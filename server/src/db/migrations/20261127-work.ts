import { Migration } from '@mikro-orm/migrations';

/** Steps know the frames that they are about; the store counts equipment. */
export class Migration20261127Work extends Migration {
  override up(): void {
    for (const table of ['work_step', 'yard_step']) {
      this.addSql(`alter table "${table}" add column "frame_ids" jsonb not null default '[]'`);
      this.addSql(`alter table "${table}" alter column "frame_ids" drop default`);
    }
    this.addSql(
      `create table "kit" ("id" uuid not null, "operation_id" uuid not null, "what" text not null, "count" int not null, constraint "kit_pkey" primary key ("id"))`,
    );
    this.addSql(`create index "kit_operation_id_index" on "kit" ("operation_id")`);
    this.addSql(
      `alter table "kit" add constraint "kit_operation_id_foreign" foreign key ("operation_id") references "operation" ("id") on update cascade on delete cascade deferrable initially deferred`,
    );
  }
}
