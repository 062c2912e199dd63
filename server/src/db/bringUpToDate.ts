import type { MikroORM } from '@mikro-orm/postgresql';
import { migrations } from './migrations/index.ts';

/** A database that cannot be used: why, and what to do. Nothing in it was changed. */
export class DatabaseNotReady extends Error {
  readonly remedy: string;

  constructor(message: string, remedy: string, cause?: unknown) {
    super(message, { cause });
    this.name = 'DatabaseNotReady';
    this.remedy = remedy;
  }
}

/** Whether the tables are those of this version. */
export async function isUpToDate(orm: MikroORM): Promise<boolean> {
  const done = (await orm.migrator.getExecutedMigrations()).map((m) => m.name);
  return done.length === migrations.length && migrations.every((m) => done.includes(m.name));
}

/**
 * Brings the tables up to this version: all that is missing, in one transaction, or nothing.
 *
 * @throws DatabaseNotReady for a database of a newer version, one in which versions are missing in between, and one
 *   whose records cannot be read
 */
export async function bringUpToDate(orm: MikroORM): Promise<void> {
  const done = (await orm.migrator.getExecutedMigrations()).map((m) => m.name);
  const known = migrations.map((m) => m.name);
  const foreign = done.filter((name) => !known.includes(name));
  if (foreign.length > 0) {
    throw new DatabaseNotReady(
      `These records were kept by a newer version of Incremen (${foreign.join(', ')}). Nothing was changed.`,
      'Start the newer version, or restore a backup that this version has written.',
    );
  }
  const missing = known.slice(0, done.length).filter((name) => !done.includes(name));
  if (missing.length > 0) {
    throw new DatabaseNotReady(
      `The database is half brought up to date: ${missing.join(', ')} is missing before what came later. Nothing was changed.`,
      'Restore the last backup into an empty database.',
    );
  }
  try {
    await orm.migrator.up();
  } catch (error) {
    throw new DatabaseNotReady(
      `The records could not be brought up to this version: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`,
      'Start the version that was used before, write a backup, and restore it here.',
      error,
    );
  }
}
