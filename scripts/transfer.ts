import { existsSync } from 'node:fs';
import { join } from 'node:path';
import {
  BackupKeeper,
  bringUpToDate,
  DatabaseNotReady,
  openOrm,
  OperationStore,
  startPostgres,
  writeBackup,
} from '@incremen/server';
import { dataFolder, runningOn, type DataName } from './dataFolder.ts';

// npm run export  -- FILE [--data demo|own]     writes the whole operation to a file: .zip with its pictures, .json without
// npm run import  -- FILE [--data demo|own]     puts the file's operation in the place of the present one
// npm run backup                                keeps a backup in the data folder, read back whole
// npm run restore -- [FILE | NAME | latest]     goes back to a backup; what stands there now is kept first
const USAGE = `Usage: npm run export -- FILE [--data demo|own]
       npm run import -- FILE [--data demo|own]
       npm run backup [-- --data demo|own]
       npm run restore -- FILE | NAME | latest [--data demo|own]`;
const [direction = '', ...given] = process.argv.slice(2);
const at = given.indexOf('--data');
const data = (at >= 0 ? given[at + 1] : 'own') as DataName;
const [file = ''] = given.filter((_, i) => at < 0 || (i !== at && i !== at + 1));

const asksForFile = direction === 'export' || direction === 'import';
const isKnown = asksForFile || direction === 'backup' || direction === 'restore';
if (!isKnown || (asksForFile && file === '') || !['demo', 'own'].includes(data)) {
  console.error(USAGE);
  process.exit(2);
}

const folder = dataFolder(data);
const serving = runningOn(folder);
const postgres = await startPostgres({ dataDir: join(folder, 'postgres') });
const orm = await openOrm(postgres.url);
try {
  await bringUpToDate(orm);
  const store = new OperationStore(orm);
  const [present] = await store.list();
  const keeper = new BackupKeeper(orm, join(folder, 'backups'));
  /** A file as it is, else one of those that are kept, by its name. */
  const backupCalled = async (name: string): Promise<string> => {
    if (existsSync(name)) return name;
    const kept = present ? await keeper.list(present.id) : [];
    const wanted = name === 'latest' ? kept[0] : kept.find((b) => b.name === name);
    if (!present || !wanted) {
      const names = kept.map((b) => `  ${b.name}`).join('\n');
      throw new Error(`There is no backup called ${name}.${names === '' ? '' : ` There are:\n${names}`}`);
    }
    return keeper.pathOf(present.id, wanted.name);
  };
  if (direction === 'export') {
    if (!present)
      throw new Error(
        `There is nothing to export in ${folder}. Start Incremen once, or name other data with --data.`,
      );
    await writeBackup(orm, present.id, file);
    console.log(`${present.name} written to ${file}`);
  } else if (direction === 'backup') {
    if (!present) throw new Error(`There is nothing to keep in ${folder}. Start Incremen once.`);
    const { name, bytes } = await keeper.make(present.id, 'asked');
    console.log(`${present.name} kept as ${name}, ${Math.ceil(bytes / 1000)} kB, read back whole`);
  } else {
    const path = direction === 'restore' ? await backupCalled(file || 'latest') : file;
    if (present) await keeper.make(present.id, 'before-import');
    const { operationId } = await store.restore(path, present?.id ?? null);
    if (present) await keeper.passOn(present.id, operationId);
    const [now] = await store.list();
    console.log(`${path} read; the operation is now ${now?.name ?? 'empty'}`);
  }
} catch (error) {
  console.error(explain(error));
  process.exitCode = 1;
} finally {
  await orm.close(true);
  // A server that is up goes on using the database.
  if (!serving) await postgres.stop();
}

function explain(error: unknown): string {
  const problems =
    (error as { problems?: { path: (string | number)[]; message: string; remedy: string }[] }).problems ?? [];
  return [
    (error as Error).message,
    ...(error instanceof DatabaseNotReady ? [`  ${error.remedy}`] : []),
    ...problems.map((p) => `  ${p.path.join('/')}: ${p.message} ${p.remedy}`),
  ].join('\n');
}
