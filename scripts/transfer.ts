import { join } from 'node:path';
import {
  bringUpToDate,
  DatabaseNotReady,
  openOrm,
  OperationStore,
  startPostgres,
  writeBackup,
} from '@incremen/server';
import { dataFolder, runningOn, type DataName } from './dataFolder.ts';

// npm run export -- FILE [--data demo|own]    writes the whole operation to a file: .zip with its pictures, .json without
// npm run import -- FILE [--data demo|own]    puts the file's operation in the place of the present one
const [direction, file, ...rest] = process.argv.slice(2);
const at = rest.indexOf('--data');
const data = (at >= 0 ? rest[at + 1] : 'own') as DataName;

if ((direction !== 'export' && direction !== 'import') || !file || !['demo', 'own'].includes(data)) {
  console.error(
    'Usage: npm run export -- FILE [--data demo|own]\n       npm run import -- FILE [--data demo|own]',
  );
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
  if (direction === 'export') {
    if (!present)
      throw new Error(
        `There is nothing to export in ${folder}. Start Incremen once, or name other data with --data.`,
      );
    await writeBackup(orm, present.id, file);
    console.log(`${present.name} written to ${file}`);
  } else {
    await store.restore(file, present?.id ?? null);
    const [now] = await store.list();
    console.log(`${file} read; the operation is now ${now?.name ?? 'empty'}`);
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
