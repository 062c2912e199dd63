import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { demoScenario } from '@incremen/core/demo';
import { newOperation } from '@incremen/core/records';
import { toBundle } from '@incremen/core/formats';
import {
  bringUpToDate,
  createApp,
  DatabaseNotReady,
  openOrm,
  OperationStore,
  startPostgres,
} from '@incremen/server';
import { startStation } from './startStation.ts';
import { dataFolder, noteRunning, noteStopped, ROOT, runningOn, type DataName } from './dataFolder.ts';

/** How to serve. */
export interface ServeOptions {
  readonly data: DataName | 'throwaway';
  /** Port to try first; a free one when it is taken, unless `strictPort`. */
  readonly port: number;
  readonly strictPort?: boolean;
  /** Build the web client first. */
  readonly build: boolean;
}

/** Builds the web client into web/dist. */
export function buildWeb(): void {
  execFileSync(
    process.execPath,
    [join(ROOT, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'warn'],
    {
      cwd: join(ROOT, 'web'),
      stdio: 'inherit',
    },
  );
}

/** Starts everything, prints the address, and stops everything at Ctrl-C or SIGTERM. */
export async function serve(options: ServeOptions): Promise<void> {
  const folder = options.data === 'throwaway' ? undefined : dataFolder(options.data);
  const already = folder && runningOn(folder);
  if (already) {
    console.log(`Incremen is running already: ${already.url}`);
    return;
  }
  if (options.build) buildWeb();
  const postgres = await startPostgres(folder ? { dataDir: join(folder, 'postgres') } : { fast: true });
  const orm = await openOrm(postgres.url);
  try {
    await bringUpToDate(orm);
  } catch (error) {
    if (!(error instanceof DatabaseNotReady)) throw error;
    console.error(`\n${error.message}\n${error.remedy}\n`);
    await orm.close(true);
    await postgres.stop();
    process.exit(1);
  }
  await fillIfEmpty(new OperationStore(orm), options.data);
  const station = await startStation(options.data);
  const server = await listen(createApp(orm, join(ROOT, 'web/dist'), station?.url ?? null), options);
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  if (folder) noteRunning(folder, url);
  console.log(`\nIncremen is at ${url}\n${folder ? `Its data is in ${folder}\n` : ''}Ctrl-C stops it.\n`);

  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    console.log('Stopping…');
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
    await orm.close(true);
    await postgres.stop();
    station?.stop();
    if (folder) noteStopped(folder);
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop());
}

async function fillIfEmpty(store: OperationStore, data: ServeOptions['data']): Promise<void> {
  if ((await store.list()).length > 0) return;
  if (data === 'own') {
    await store.create(newOperation(randomUUID(), 'My bees'));
    return;
  }
  const { apiary, journal } = demoScenario();
  await store.importBundle(toBundle(apiary, journal), null);
}

async function listen(app: ReturnType<typeof createApp>, options: ServeOptions): Promise<Server> {
  const on = (port: number) =>
    new Promise<Server>((resolve, reject) => {
      const server = app.listen(port, '127.0.0.1', (error?: Error) =>
        error ? reject(error) : resolve(server),
      );
    });
  try {
    return await on(options.port);
  } catch (error) {
    const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
    if (!taken || options.strictPort) throw error;
    return on(0);
  }
}
