import { Migration } from '@mikro-orm/migrations';

/** What weather stations and scales have measured or foretold, by hour. */
export class Migration20261129Measurements extends Migration {
  override up(): void {
    this.addSql(
      `create table "measurement" ("operation_id" uuid not null, "kind" text not null, "source" text not null, "hive" text not null, "time" text not null, "body" jsonb not null, constraint "measurement_pkey" primary key ("operation_id", "kind", "source", "hive", "time"))`,
    );
    this.addSql(
      `alter table "measurement" add constraint "measurement_operation_id_foreign" foreign key ("operation_id") references "operation" ("id") on update cascade on delete cascade deferrable initially deferred`,
    );
  }
}
