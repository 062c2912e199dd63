import { Migration } from '@mikro-orm/migrations';

/** Accounts, what they may do in an operation, and what lets its bearer in; who did what, by name. */
export class Migration20261207Access extends Migration {
  override up(): void {
    this.addSql(
      `create table "account" ("id" uuid not null, "name" text not null, "sign_in" text not null, "password" text not null, "created_at" timestamptz not null, constraint "account_pkey" primary key ("id"))`,
    );
    this.addSql(`alter table "account" add constraint "account_sign_in_unique" unique ("sign_in")`);
    this.addSql(
      `create table "member" ("id" uuid not null, "account_id" uuid not null, "operation_id" uuid not null, "role" text not null, constraint "member_pkey" primary key ("id"))`,
    );
    this.addSql(`create index "member_account_id_index" on "member" ("account_id")`);
    this.addSql(`create index "member_operation_id_index" on "member" ("operation_id")`);
    this.addSql(`alter table "member" add constraint "member_once" unique ("account_id", "operation_id")`);
    this.addSql(
      `create table "pass" ("id" uuid not null, "key" text not null, "kind" text not null, "account_id" uuid null, "operation_id" uuid null, "role" text null, "label" text not null, "created_at" timestamptz not null, "seen_at" timestamptz not null, "expires_at" timestamptz null, constraint "pass_pkey" primary key ("id"))`,
    );
    this.addSql(`alter table "pass" add constraint "pass_key_unique" unique ("key")`);
    this.addSql(`create index "pass_account_id_index" on "pass" ("account_id")`);
    this.addSql(`create index "pass_operation_id_index" on "pass" ("operation_id")`);
    this.addSql(`alter table "journal" add column "by" text null`);
  }
}
