import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { bundle, BUNDLE_VERSION } from '@incremen/core/formats';
import type { MikroORM } from '@mikro-orm/postgresql';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { z } from 'zod';
import { backupRouter } from './backup/router.ts';
import { calendarRouter } from './calendar/router.ts';
import { OperationStore } from './operations/OperationStore.ts';
import { operationsRouter } from './operations/router.ts';
import { photosRouter } from './photos/router.ts';
import { answerErrors, sendProblem } from './problems/errorHandler.ts';
import { ProblemError } from './problems/ProblemError.ts';
import { readingsRouter } from './readings/router.ts';
import { WeatherDesk } from './weather/WeatherDesk.ts';
import { weatherRouter } from './weather/router.ts';
import { yardPlanRouter } from './yardplan/router.ts';

/**
 * The application: API under /api, and the built web client if there is one in `webDir`.
 *
 * @param stationUrl - address of a weather station that is asked; null for none
 */
export function createApp(orm: MikroORM, webDir?: string, stationUrl: string | null = null): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(onlyFromThisMachine);
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
  const api = express.Router();
  api.get('/health', async (_req, res) => {
    res.json({ ok: await orm.isConnected() });
  });
  api.get(`/schema/apiary-v${BUNDLE_VERSION}.json`, (_req, res) => {
    res.json(z.toJSONSchema(bundle, { target: 'draft-2020-12' }));
  });
  api.use('/operations', operationsRouter(store));
  api.use('/operations/:op', backupRouter(orm, store));
  api.use('/operations/:op/photos', photosRouter(orm));
  api.use('/operations/:op/readings', readingsRouter(orm));
  api.use('/operations/:op/weather', weatherRouter(store, new WeatherDesk(orm, store, stationUrl)));
  api.use(
    '/operations/:op/calendar.ics',
    calendarRouter(store, () => new Date().toISOString().slice(0, 10)),
  );
  api.use('/operations/:op/yard-plan', yardPlanRouter(store));
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
  app.use(answerErrors);
  return app;
}

/** Until there are accounts, a page from elsewhere must not reach the API by a name that points here. */
const onlyFromThisMachine: RequestHandler = (req, res, next) => {
  const host = (req.headers.host ?? '').replace(/:\d+$/, '');
  if (['localhost', '127.0.0.1', '[::1]'].includes(host)) {
    next();
    return;
  }
  sendProblem(
    res,
    new ProblemError(421, 'wrong-host', 'This server answers on this machine only.', [
      {
        code: 'wrong-host',
        path: [],
        message: `The name ${host} is not served.`,
        remedy: 'Use http://localhost or http://127.0.0.1.',
      },
    ]),
  );
};

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
