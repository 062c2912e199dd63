import { Migration } from '@mikro-orm/migrations';

/** What is seen besides frames, excluders, frame sizes of one's own, and photos. */
export class Migration20261125Counting extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}

const STATEMENTS = [
  `alter table "operation" add column "own_sizes" jsonb not null default '[]'`,
  `alter table "operation" alter column "own_sizes" drop default`,
  `alter table "box" add column "excluder_below" boolean not null default false`,
  `alter table "box" alter column "excluder_below" drop default`,
  `alter table "visit" add column "time" text null, add column "conditions" jsonb null, add column "clash" jsonb null`,
  `create table "photo" ("id" uuid not null, "operation_id" uuid not null, "visit_id" uuid not null, "taken_on" date not null, "media_type" text not null, "width_px" int not null, "height_px" int not null, "bytes" int not null, "caption" text not null, constraint "photo_pkey" primary key ("id"))`,
  `create index "photo_operation_id_index" on "photo" ("operation_id")`,
  `create index "photo_visit_id_index" on "photo" ("visit_id")`,
  `alter table "photo" add constraint "photo_operation_id_foreign" foreign key ("operation_id") references "operation" ("id") on update cascade on delete cascade deferrable initially deferred`,
  `alter table "photo" add constraint "photo_visit_id_foreign" foreign key ("visit_id") references "visit" ("id") on update cascade deferrable initially deferred`,
  `create table "photo_content" ("id" uuid not null, "operation_id" uuid not null, "media_type" text not null, "content" bytea not null, constraint "photo_content_pkey" primary key ("id"))`,
  `create index "photo_content_operation_id_index" on "photo_content" ("operation_id")`,
  `alter table "photo_content" add constraint "photo_content_operation_id_foreign" foreign key ("operation_id") references "operation" ("id") on update cascade on delete cascade deferrable initially deferred`,
];
