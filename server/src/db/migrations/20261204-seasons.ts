import { Migration } from '@mikro-orm/migrations';

/** The year of a yard: its climate, the dates that were moved, and the flows that were confirmed. */
export class Migration20261204Seasons extends Migration {
  override up(): void {
    this.addSql(`alter table "yard" add column "season" jsonb null`);
  }
}
