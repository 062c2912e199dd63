import { IsolationLevel, type EntityManager, type MikroORM } from '@mikro-orm/postgresql';

/** What is read in between is the state of one moment, whatever others write meanwhile; nobody waits for it. */
export const atOneMoment = (orm: MikroORM, read: (em: EntityManager) => Promise<void>): Promise<void> =>
  orm.em.fork().transactional(read, { isolationLevel: IsolationLevel.REPEATABLE_READ, readOnly: true });
