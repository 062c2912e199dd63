import { Migration } from '@mikro-orm/migrations';

/** What a colony on watch has to come to. */
export class Migration20261130WatchTests extends Migration {
  override up(): void {
    this.addSql(`alter table "follow_up" add column "test" jsonb null`);
  }
}
