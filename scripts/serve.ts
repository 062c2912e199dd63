import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { demoScenario } from '@incremen/core/demo';
import { newOperation } from '@incremen/core/records';
import { toBundle } from '@incremen/core/formats';
import {
  BackupKeeper,
  bringUpToDate,
  createApp,
  dumpBeforeMigration,
  DatabaseNotReady,
  hasOwner,
  LanDoor,
  openJobs,
  openLog,
  sweepPictures,
  type Jobs,
  type Reach,
  openOrm,
  OperationStore,
  ReminderDesk,
  startPostgres,
} from '@incremen/server';
import { configuration } from './configuration.ts';
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
  /** Open the way in from the home network; as it was left when this is not said. */
  readonly lan?: boolean;
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
  const set = configuration();
  const folder = options.data === 'throwaway' ? undefined : dataFolder(options.data);
  const already = folder && runningOn(folder);
  if (already) {
    console.log(`Incremen is running already: ${already.url}`);
    return;
  }
  if (options.build) buildWeb();
  let postgres = await startPostgres(folder ? { dataDir: join(folder, 'postgres') } : { fast: true });
  const orm = await openOrm(postgres.url);
  const log = openLog(folder ? join(folder, 'logs') : null, folder ? set.LOG_LEVEL : 'fatal');
  const backups = folder && join(folder, 'backups');
  try {
    if (backups) {
      const dump = await dumpBeforeMigration(orm, postgres.url, backups);
      if (dump) console.log(`Before the records are brought up to this version they were kept in ${dump}`);
    }
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
  const door =
    options.data === 'own' && folder
      ? new LanDoor({
          folder: join(folder, 'home-network'),
          securePort: set.LAN_PORT,
          // The page that makes a phone trust it is on the next one.
          pairingPort: set.LAN_PORT + 1,
          ...(set.LAN_CERTIFICATE !== undefined &&
            set.LAN_KEY !== undefined && { given: { certificate: set.LAN_CERTIFICATE, key: set.LAN_KEY } }),
        })
      : null;
  const reach: Reach = {
    names: () => door?.names() ?? [],
    demo: options.data !== 'own',
    publicUrl: set.PUBLIC_URL === undefined ? null : new URL(set.PUBLIC_URL).origin,
    lan: door && {
      isOpen: () => door.isOpen(),
      addresses: () => door.addresses(),
      pairingAddresses: () => door.pairingAddresses(),
      set: (open) => (open ? door.openFor(app) : door.shut(true)),
    },
  };
  const keeper = options.data === 'own' && backups ? new BackupKeeper(orm, backups) : null;
  const app = createApp(orm, {
    webDir: join(ROOT, 'web/dist'),
    stationUrl: station?.url ?? null,
    reach,
    log,
    keeper,
    pictureQuota: set.PICTURE_QUOTA_MB * 1e6,
    readsAhead: true,
  });
  const server = await listen(app, options);
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  if (folder) noteRunning(folder, url);
  log.info({ url, data: options.data }, 'started');
  const tending = keeper && tend(orm, postgres.url, keeper, log);
  tending?.catch((error: unknown) => log.error({ err: error }, 'the queue of jobs could not be opened'));
  console.log(`\nIncremen is at ${url}\n${folder ? `Its data is in ${folder}\n` : ''}Ctrl-C stops it.\n`);

  if (door && (options.lan || door.wasOpen())) await openDoor(orm, door, app);

  let stopping = false;
  // A database that dies is started again, at the address that is known; one that will not start ends the program.
  const keepAlive = async (): Promise<void> => {
    for (;;) {
      await postgres.gone;
      if (stopping || !folder) return;
      console.error('The database has stopped. Starting it again…');
      log.error('the database has stopped');
      try {
        postgres = await startPostgres({ dataDir: join(folder, 'postgres'), port: postgres.port });
        console.error('The database is there again.');
      } catch (error) {
        console.error(`The database does not start: ${(error as Error).message}`);
        log.fatal({ err: error }, 'the database does not start');
        process.exit(1);
      }
    }
  };
  void keepAlive();
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    console.log('Stopping…');
    log.info('stopping');
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
    await door?.shut(false);
    await (await tending?.catch(() => null))?.stop();
    await orm.close(true);
    await postgres.stop();
    station?.stop();
    if (folder) noteStopped(folder);
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop());
}

/** The calendar day where this machine stands. */
const localDay = (now: Date): string =>
  `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;

/** From hour to hour, so that a machine that was asleep does it when it wakes. */
const EACH_HOUR = '17 * * * *';

/** Backups of the day, and pictures that nobody refers to: once now, and from hour to hour; by one process, if there are several. */
async function tend(
  orm: Awaited<ReturnType<typeof openOrm>>,
  url: string,
  keeper: BackupKeeper,
  log: ReturnType<typeof openLog>,
): Promise<Jobs> {
  const told = async (run: () => Promise<number>) => {
    try {
      return await run();
    } catch (error) {
      console.error(`The backup of the day could not be made: ${(error as Error).message}`);
      throw error;
    }
  };
  const reminders = new ReminderDesk(orm, new OperationStore(orm));
  const jobs = await openJobs(url, log, {
    'backups-of-the-day': { cron: EACH_HOUR, run: () => told(() => keeper.daily()) },
    'sweep-pictures': { cron: EACH_HOUR, run: () => sweepPictures(orm.em.fork()) },
    'remind-of-tomorrow': {
      cron: EACH_HOUR,
      run: () => {
        const now = new Date();
        return reminders.remind(localDay(now), now.getHours());
      },
    },
  });
  await jobs.ask('backups-of-the-day');
  await jobs.ask('sweep-pictures');
  return jobs;
}

/** Nobody comes in from outside before there is somebody to sign in as. */
async function openDoor(
  orm: Awaited<ReturnType<typeof openOrm>>,
  door: LanDoor,
  app: ReturnType<typeof createApp>,
): Promise<void> {
  if (!(await hasOwner(orm))) {
    console.log(
      'The home network stays shut: make an owner account first, under “People and devices”.\nThen open it there, or start again with --lan.\n',
    );
    return;
  }
  try {
    await door.openFor(app);
    // With a certificate that is given nothing has to be trusted first: the phone opens the application itself.
    const pairing = door.pairingAddresses();
    const opens = pairing.length > 0 ? pairing : door.addresses();
    console.log(`For a phone in the home network:\n  ${opens.join('\n  ')}\n`);
  } catch (error) {
    console.error(`The home network stays shut: ${(error as Error).message}\n`);
  }
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
