import { ReminderDesk } from './reminders/ReminderDesk.ts';
import { remindersRouter } from './reminders/router.ts';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { bundle, BUNDLE_VERSION } from '@incremen/core/formats';
import type { MikroORM } from '@mikro-orm/postgresql';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { z } from 'zod';
import { AccessDesk } from './access/AccessDesk.ts';
import { gate, signedOut } from './access/gate.ts';
import { identify, knownHost, personOf, sameOrigin, type Reach } from './access/identify.ts';
import { accessRouter, membersRouter } from './access/router.ts';
import type { BackupKeeper } from './backup/BackupKeeper.ts';
import { keptBackupsRouter } from './backup/keptRouter.ts';
import { backupRouter } from './backup/router.ts';
import { calendarRouter } from './calendar/router.ts';
import { isUpToDate } from './db/bringUpToDate.ts';
import { OperationStore } from './operations/OperationStore.ts';
import { readAhead } from './operations/packedSnapshot.ts';
import { operationsRouter } from './operations/router.ts';
import { photosRouter } from './photos/router.ts';
import { answerErrors, sendProblem } from './problems/errorHandler.ts';
import { ProblemError } from './problems/ProblemError.ts';
import { sameVersion } from './service/sameVersion.ts';
import { noteRequests, SILENT } from './service/logBook.ts';
import { Metrics } from './service/metrics.ts';
import { PICTURE_QUOTA, roomRouter } from './service/room.ts';
import { olderVisitsRouter, readingsRouter } from './readings/router.ts';
import { WeatherDesk } from './weather/WeatherDesk.ts';
import { weatherRouter } from './weather/router.ts';
import { yardPlanRouter } from './yardplan/router.ts';

/** On its own machine only, and no demonstration. */
const NOT_FAR: Reach = { names: () => [], demo: false, publicUrl: null, lan: null };

/** What the application stands on besides its database. */
export interface Surroundings {
  /** The built web client, if there is one. */
  readonly webDir?: string;
  /** Address of a weather station that is asked; null for none. */
  readonly stationUrl?: string | null;
  /** Who may come in without signing in, and under which names the server answers. */
  readonly reach?: Reach;
  readonly log?: Logger;
  /** Where backups are kept by themselves; none are without it. */
  readonly keeper?: BackupKeeper | null;
  /** Bytes that the pictures of one operation may have together. */
  readonly pictureQuota?: number;
  /** The records are read and packed before anybody asks for them. */
  readonly readsAhead?: boolean;
}

/** The application: API under /api, and the built web client if there is one. */
export function createApp(
  orm: MikroORM,
  {
    webDir,
    stationUrl = null,
    reach = NOT_FAR,
    log = SILENT,
    keeper = null,
    pictureQuota = PICTURE_QUOTA,
    readsAhead = false,
  }: Surroundings = {},
): Express {
  const app = express();
  app.disable('x-powered-by');
  // A proxy on this machine says whom it speaks for; tries at a password are counted by that.
  if (reach.publicUrl !== null) app.set('trust proxy', 'loopback');
  app.use(noteRequests(log));
  app.use(knownHost(reach));
  app.use(compression());
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'default-src': ["'self'"],
          // The prover is WebAssembly.
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          // Emotion writes its rules into style elements.
          'style-src': ["'self'", "'unsafe-inline'"],
          'connect-src': ["'self'"],
          'worker-src': ["'self'"],
          // Photos that wait to be sent are shown from the device.
          'img-src': ["'self'", 'data:', 'blob:'],
          'manifest-src': ["'self'"],
          'font-src': ["'self'"],
          'object-src': ["'none'"],
          'frame-ancestors': ["'none'"],
          'upgrade-insecure-requests': null,
        },
      },
      // Plain http on loopback: a promise of https would lock the user out.
      strictTransportSecurity: false,
    }),
  );
  const store = new OperationStore(orm);
  // Who asks first waits for less; where it fails, it is read when it is asked for.
  if (readsAhead) readAhead(store).catch((error: unknown) => log.warn({ err: error }, 'not read ahead'));
  const desk = new AccessDesk(orm);
  const metrics = new Metrics(() => store.news.listeners);
  const api = express.Router();
  api.use(metrics.measure(), sameVersion);
  api.get('/health', async (_req, res) => {
    const ok = await answers(orm);
    res.status(ok ? 200 : 503).json({ ok });
  });
  // Alive is one thing, ready for work another: a database of another version, or none.
  api.get('/ready', async (_req, res) => {
    const ready = (await answers(orm)) && (await isUpToDate(orm));
    res.status(ready ? 200 : 503).json({ ready });
  });
  api.use(sameOrigin, identify(desk, reach));
  api.get('/metrics', (req, res, next) => {
    // Who sits at the machine, an owner, or a device that an owner has given a token.
    const kind = personOf(res)?.kind;
    if (kind === 'machine' || kind === 'account' || kind === 'device') metrics.tell()(req, res, next);
    else throw signedOut();
  });
  api.use('/access', accessRouter(desk, reach));
  api.use('/operations/:op', gate(desk));
  api.use('/operations/:op/access', membersRouter(desk));
  api.get(`/schema/apiary-v${BUNDLE_VERSION}.json`, (_req, res) => {
    res.json(z.toJSONSchema(bundle, { target: 'draft-2020-12' }));
  });
  api.use('/operations', operationsRouter(store, desk));
  api.use('/operations/:op', backupRouter(orm, store, desk, keeper));
  api.use('/operations/:op', keptBackupsRouter(store, desk, keeper));
  api.use('/operations/:op', roomRouter(orm, pictureQuota, keeper));
  api.use('/operations/:op/photos', photosRouter(orm, pictureQuota));
  api.use('/operations/:op/readings', readingsRouter(orm));
  api.use('/operations/:op/visits', olderVisitsRouter(orm));
  api.use('/operations/:op/weather', weatherRouter(store, new WeatherDesk(orm, store, stationUrl)));
  api.use(
    '/operations/:op/calendar.ics',
    calendarRouter(store, () => new Date().toISOString().slice(0, 10)),
  );
  api.use('/operations/:op/yard-plan', yardPlanRouter(store));
  api.use('/operations/:op/reminders', remindersRouter(new ReminderDesk(orm, store)));
  api.use((req, res) => {
    sendProblem(
      res,
      new ProblemError(404, 'unknown-address', 'There is nothing at this address.', [
        {
          code: 'unknown-address',
          path: [],
          message: `${req.method} ${req.path} is not known.`,
          remedy: 'Check the address.',
        },
      ]),
    );
  });
  app.use('/api', api);
  if (webDir && existsSync(webDir)) serveWeb(app, webDir);
  app.use(answerErrors(log));
  return app;
}

/** Whether the database answers now: a pool that was connected once says nothing of it. */
async function answers(orm: MikroORM): Promise<boolean> {
  const asked = orm.em
    .getConnection()
    .execute('select 1')
    .then(() => true)
    .catch(() => false);
  return Promise.race([asked, new Promise<boolean>((resolve) => setTimeout(resolve, HEALTH_MS, false))]);
}

/** A database that takes longer is taken for dead. */
const HEALTH_MS = 3000;

function serveWeb(app: Express, webDir: string): void {
  app.use(
    '/assets',
    express.static(join(webDir, 'assets'), {
      immutable: true,
      maxAge: '1y',
      index: false,
      fallthrough: false,
    }),
  );
  app.use(
    express.static(webDir, {
      index: 'index.html',
      setHeaders: (res) => res.setHeader('Cache-Control', 'no-cache'),
    }),
  );
  app.get('/{*path}', (_req, res) => {
    res.set('Cache-Control', 'no-cache').sendFile(join(webDir, 'index.html'));
  });
}
