import { daySchema } from '@incremen/core/basics';
import express, { Router } from 'express';
import { z } from 'zod';
import { ProblemError } from '../problems/ProblemError.ts';
import { parseRequest } from '../problems/errorHandler.ts';
import type { OperationStore } from '../operations/OperationStore.ts';
import { MEASUREMENT_KINDS } from './measurements.ts';
import type { WeatherDesk } from './WeatherDesk.ts';

const opParam = z.uuid({ error: 'The address must hold the id of an operation.' });
const question = z.object({ day: daySchema, hour: z.coerce.number().int().min(0).max(23).default(12) });
const sender = z.object({ source: z.string().trim().min(1).max(80).default('sent') });

/** A month of hourly rows is some 40 kB. */
const FILE_LIMIT = '2mb';

/**
 * Weather of an operation, and the open door for stations and scales: a file of comma-separated values is sent to
 * `/observed`, `/forecast` or `/scale`, as `text/csv`.
 */
export function weatherRouter(store: OperationStore, desk: WeatherDesk): Router {
  const router = Router({ mergeParams: true });
  const opOf = async (params: Record<string, unknown>) => {
    const op = parseRequest(opParam, params['op']);
    // Unknown operations are told apart from those without weather.
    await store.present(op);
    return op;
  };

  router.get('/', async (req, res) => {
    const op = await opOf(req.params);
    const { day, hour } = parseRequest(question, req.query);
    res.json(await desk.report(op, day, hour));
  });

  router.post('/:kind', express.text({ type: 'text/csv', limit: FILE_LIMIT }), async (req, res) => {
    const op = await opOf(req.params);
    const kind = parseRequest(z.enum(MEASUREMENT_KINDS), req.params['kind']);
    const { source } = parseRequest(sender, req.query);
    if (typeof req.body !== 'string') {
      throw new ProblemError(415, 'not-csv', 'The body must be comma-separated values.', [
        {
          code: 'not-csv',
          path: [],
          message: 'There is no text in the body.',
          remedy: 'Send Content-Type: text/csv.',
        },
      ]);
    }
    const taken = await desk.takeIn(op, kind, source, req.body);
    if (!taken.ok) {
      throw new ProblemError(
        422,
        'unsound-file',
        'This cannot be taken in. Nothing was changed.',
        taken.problems,
      );
    }
    res.status(201).json({ hours: taken.value });
  });

  return router;
}
