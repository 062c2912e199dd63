import { Migration } from '@mikro-orm/migrations';

/** The plan of the season that is followed. */
export class Migration20261211SeasonPlan extends Migration {
  override up(): void {
    this.addSql(`alter table "operation" add column "season_plan" jsonb null`);
  }
}
