import { Migration } from '@mikro-orm/migrations';

/** A count that the counts before it did not lead to. */
export class Migration20261205UnexpectedCounts extends Migration {
  override up(): void {
    this.addSql(`alter table "visit" add column "unexpected" jsonb null`);
  }
}
