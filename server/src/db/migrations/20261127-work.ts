import { Migration } from '@mikro-orm/migrations';

/** Steps know the frames that they are about. */
export class Migration20261127Work extends Migration {
  override up(): void {
    for (const table of ['work_step', 'yard_step']) {
      this.addSql(`alter table "${table}" add column "frame_ids" jsonb not null default '[]'`);
      this.addSql(`alter table "${table}" alter column "frame_ids" drop default`);
    }
  }
}
