import { commandEnvelope, undoRequest, type CommandEnvelope, type Snapshot } from '@incremen/contract';
import { toBundle } from '@incremen/core/formats';
import express, { Router } from 'express';
import { z } from 'zod';
import { ProblemError } from '../problems/ProblemError.ts';
import { parseRequest } from '../problems/errorHandler.ts';
import { newsStream } from './news.ts';
import type { OperationStore } from './OperationStore.ts';

const operationId = z.uuid({ error: 'The address must hold the id of an operation.' });

/** A count of a large hive is some 30 kB, a plan for 240 colonies about 1 MB. */
const COMMAND_LIMIT = '4mb';

/** Snapshots, commands and journal of operations. */
export function operationsRouter(store: OperationStore): Router {
  const router = Router();
  const opOf = (params: { op?: string | undefined }) => parseRequest(operationId, params.op);

  router.get('/', async (_req, res) => {
    res.json(await store.list());
  });

  router.get('/:op/snapshot', async (req, res) => {
    const { revision, apiary } = await store.present(opOf(req.params));
    const snapshot: Snapshot = { revision, records: toBundle(apiary, []).records };
    res.json(snapshot);
  });

  router.post(
    '/:op/commands',
    express.json({ limit: COMMAND_LIMIT, reviver: noNulCharacters }),
    requireJson,
    async (req, res) => {
      const op = opOf(req.params);
      const envelope = parseRequest(commandEnvelope, req.body) as CommandEnvelope;
      const result = await store.run(op, envelope);
      res.status(result.replayed ? 200 : 201).json(result);
    },
  );

  router.post(
    '/:op/undo',
    express.json({ limit: COMMAND_LIMIT, reviver: noNulCharacters }),
    requireJson,
    async (req, res) => {
      const op = opOf(req.params);
      const result = await store.undo(op, parseRequest(undoRequest, req.body));
      res.status(result.replayed ? 200 : 201).json(result);
    },
  );

  router.get('/:op/journal', async (req, res) => {
    const before =
      req.query['before'] === undefined
        ? null
        : parseRequest(z.coerce.number().int().min(1), req.query['before']);
    res.json(await store.journal(opOf(req.params), before));
  });

  router.get('/:op/news', newsStream(store));

  return router;
}

export const requireJson: express.RequestHandler = (req, _res, next) => {
  if (req.body !== undefined) {
    next();
    return;
  }
  next(
    new ProblemError(415, 'not-json', 'The body must be JSON.', [
      {
        code: 'not-json',
        path: [],
        message: 'There is no JSON body.',
        remedy: 'Send Content-Type: application/json.',
      },
    ]),
  );
};

/** PostgreSQL cannot keep the character U+0000; it has no place in a note either. */
function noNulCharacters(_key: string, value: unknown): unknown {
  if (typeof value === 'string' && value.includes('\u0000')) throw new SyntaxError('U+0000 in a text');
  return value;
}
