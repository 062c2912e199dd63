import { Migration } from '@mikro-orm/migrations';

/** When a picture came, and what it was made of: it is kept without what a camera writes beside it. What each command said, and who counted. */
export class Migration20261208Pictures extends Migration {
  override up(): void {
    this.addSql(`alter table "photo_content" add column "kept_at" timestamptz not null default now()`);
    this.addSql(`alter table "photo_content" add column "source" text null`);
    this.addSql(`alter table "journal" add column "digest" text null`);
    this.addSql(`alter table "visit" add column "by" text null`);
  }
}
