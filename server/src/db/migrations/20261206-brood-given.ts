import { Migration } from '@mikro-orm/migrations';

/** Brood that came into a colony from another. */
export class Migration20261206BroodGiven extends Migration {
  override up(): void {
    this.addSql(`alter table "colony" add column "brood_given" jsonb not null default '[]'`);
    this.addSql(`alter table "colony" alter column "brood_given" drop default`);
  }
}
