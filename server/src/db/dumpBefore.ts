import { execFile } from 'node:child_process';
import { mkdir, readdir, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type { MikroORM } from '@mikro-orm/postgresql';
import { findPgBin } from './privatePostgres.ts';

const run = promisify(execFile);
/** So many are kept, the newest. */
const KEPT = 3;

/**
 * Dumps the whole database as it is before its tables are changed, by PostgreSQL's own tools: only the version that wrote
 * them can read old tables otherwise. It is read back before it gets its name.
 *
 * @returns the file, or null where there is nothing to lose: no tables yet, or none to change
 */
export async function dumpBeforeMigration(
  orm: MikroORM,
  url: string,
  folder: string,
): Promise<string | null> {
  const [done, pending] = [
    await orm.migrator.getExecutedMigrations(),
    await orm.migrator.getPendingMigrations(),
  ];
  if (done.length === 0 || pending.length === 0) return null;
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const name = `before-${pending[0]?.name ?? 'migration'}.dump`;
  const half = join(folder, `${name}.half`);
  const tool = (program: string) => join(findPgBin(), program);
  try {
    await run(tool('pg_dump'), ['--format=custom', `--file=${half}`, url]);
    await run(tool('pg_restore'), ['--list', half], { maxBuffer: 1e8 });
    await rename(half, join(folder, name));
  } finally {
    await rm(half, { force: true });
  }
  const dumps = (await readdir(folder)).filter((n) => n.endsWith('.dump')).toSorted();
  for (const old of dumps.slice(0, -KEPT)) await rm(join(folder, old), { force: true });
  return join(folder, name);
}
