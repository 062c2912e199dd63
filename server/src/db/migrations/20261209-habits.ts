import { Migration } from '@mikro-orm/migrations';

/** How a keeper is used to read: words of the region, the first day of the week, and the money. */
export class Migration20261209Habits extends Migration {
  override up(): void {
    this.addSql(`alter table "operation" add column "words" text not null default 'us'`);
    this.addSql(`alter table "operation" add column "week_start" text not null default 'monday'`);
    this.addSql(`alter table "operation" add column "currency" text not null default 'EUR'`);
    for (const column of ['words', 'week_start', 'currency'])
      this.addSql(`alter table "operation" alter column "${column}" drop default`);
  }
}
