import { Migration } from '@mikro-orm/migrations';

/** Where a hive is to be carried on the day of an appointment. */
export class Migration20261203PlannedMoves extends Migration {
  override up(): void {
    this.addSql(`alter table "follow_up" add column "move" jsonb null`);
  }
}
