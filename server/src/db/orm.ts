import { Migrator } from '@mikro-orm/migrations';
import { MikroORM } from '@mikro-orm/postgresql';
import { JournalEntity, MeasurementEntity, PhotoContentEntity, RECORD_ENTITIES } from './entities.ts';
import { AccountEntity, MemberEntity, PassEntity } from '../access/entities.ts';
import { PushKeyEntity, PushSubscriptionEntity } from '../reminders/entities.ts';
import { migrations } from './migrations/index.ts';

/** Connects to the database. Call `orm.migrator.up()` before the first use, `orm.close(true)` at the end. */
export async function openOrm(clientUrl: string): Promise<MikroORM> {
  return MikroORM.init({
    clientUrl,
    entities: [
      ...Object.values(RECORD_ENTITIES),
      JournalEntity,
      MeasurementEntity,
      PhotoContentEntity,
      AccountEntity,
      MemberEntity,
      PassEntity,
      PushSubscriptionEntity,
      PushKeyEntity,
    ],
    extensions: [Migrator],
    migrations: { migrationsList: migrations, snapshot: false, silent: true, tableName: 'migration' },
    discovery: { disableDynamicFileAccess: true },
    pool: { min: 0, max: 8 },
    forceUtcTimezone: true,
  });
}
