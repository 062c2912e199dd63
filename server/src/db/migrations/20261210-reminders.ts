import { Migration } from '@mikro-orm/migrations';

/** Browsers that are told the evening before what is due, and the key by which push services know this server. */
export class Migration20261210Reminders extends Migration {
  override up(): void {
    this.addSql(
      `create table "push_subscription" ("id" uuid not null, "operation_id" uuid not null, "endpoint" text not null, "p256dh" text not null, "auth" text not null, "told_on" date null, constraint "push_subscription_pkey" primary key ("id"))`,
    );
    this.addSql(
      `create index "push_subscription_operation_id_index" on "push_subscription" ("operation_id")`,
    );
    this.addSql(
      `alter table "push_subscription" add constraint "push_subscription_endpoint_unique" unique ("endpoint")`,
    );
    this.addSql(
      `create table "push_key" ("id" serial primary key, "public_key" text not null, "private_key" text not null)`,
    );
  }
}
