import { commandEnvelope, undoRequest, type CommandEnvelope } from '@incremen/contract';
import express, { Router } from 'express';
import { z } from 'zod';
import type { AccessDesk } from '../access/AccessDesk.ts';
import { signedOut } from '../access/gate.ts';
import { personOf } from '../access/identify.ts';
import { nameOf } from '../access/roles.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import { parseRequest } from '../problems/errorHandler.ts';
import { requireJson } from '../problems/requireJson.ts';
import { newsStream } from './news.ts';
import type { OperationStore } from './OperationStore.ts';
import { packedSnapshot, snapshotOf } from './packedSnapshot.ts';

const operationId = z.uuid({ error: 'The address must hold the id of an operation.' });

/** A count of a large hive is some 30 kB, a plan for 240 colonies about 1 MB. */
const COMMAND_LIMIT = '4mb';

/** Snapshots, commands and journal of operations. */
export function operationsRouter(store: OperationStore, desk: AccessDesk): Router {
  const router = Router();
  const opOf = (params: { op?: string | undefined }) => parseRequest(operationId, params.op);

  router.get('/', async (_req, res) => {
    const person = personOf(res);
    if (!person) throw signedOut();
    const own = await desk.operationsOf(person);
    res.json((await store.list()).filter((o) => own === null || own.includes(o.id)));
  });

  router.get('/:op/snapshot', async (req, res) => {
    const present = await store.present(opOf(req.params));
    if (req.acceptsEncodings('br') === 'br') {
      res.set({ 'Content-Encoding': 'br', Vary: 'Accept-Encoding' }).type('json');
      res.end(await packedSnapshot(present));
    } else res.json(snapshotOf(present));
  });

  router.post(
    '/:op/commands',
    express.json({ limit: COMMAND_LIMIT, reviver: onlyText }),
    requireJson,
    async (req, res) => {
      const op = opOf(req.params);
      const envelope = parseRequest(commandEnvelope, req.body) as CommandEnvelope;
      if (changesSettings(envelope.command) && res.locals['role'] !== 'owner') throw settingsAreOwners();
      const result = await store.run(op, envelope, byOf(res));
      res.status(result.replayed ? 200 : 201).json(result);
    },
  );

  router.post(
    '/:op/undo',
    express.json({ limit: COMMAND_LIMIT, reviver: onlyText }),
    requireJson,
    async (req, res) => {
      const op = opOf(req.params);
      const result = await store.undo(op, parseRequest(undoRequest, req.body), byOf(res));
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

  router.get(
    '/:op/news',
    newsStream(store, async (res, op) => {
      const person = personOf(res);
      return person !== null && desk.mayStillLook(person, op);
    }),
  );

  return router;
}

const byOf = (res: express.Response) => {
  const person = personOf(res);
  return person && nameOf(person);
};

/** Thresholds and settings are the owner's, also among several commands that go together. */
const changesSettings = (command: CommandEnvelope['command']): boolean =>
  command.type === 'batch' ? command.commands.some(changesSettings) : command.type === 'changeSettings';

const settingsAreOwners = () =>
  new ProblemError(403, 'not-allowed', 'You may not do this. Nothing was changed.', [
    {
      code: 'not-allowed',
      path: ['command'],
      message: 'House rules and settings are changed by the owner.',
      remedy: 'Ask the owner.',
    },
  ]);

/**
 * Controls of the C0 set that no note needs, all but tab, line feed and carriage return, and half characters. PostgreSQL cannot
 * keep U+0000, no file can keep half a character, and nobody can see what a control does.
 */
// oxlint-disable-next-line no-control-regex
const NO_TEXT = /[\u0000-\u0008\u000B\u000C\u000E-\u001F]|\p{Surrogate}/u;

function onlyText(_key: string, value: unknown): unknown {
  if (typeof value === 'string' && NO_TEXT.test(value))
    throw new SyntaxError('a character that no text may hold');
  return value;
}
