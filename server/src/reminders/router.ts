import { isIP } from 'node:net';
import express, { Router } from 'express';
import { z } from 'zod';
import { parseRequest } from '../problems/errorHandler.ts';
import { requireJson } from '../problems/requireJson.ts';
import type { ReminderDesk } from './ReminderDesk.ts';

const operationId = z.uuid({ error: 'The address must hold the id of an operation.' });

/** Push services are on the open net: a server that posts wherever it is told to could be turned on its own network. */
const isOutside = (address: string): boolean => {
  if (!URL.canParse(address)) return false;
  const { protocol, hostname, port } = new URL(address);
  return (
    protocol === 'https:' &&
    (port === '' || port === '443') &&
    isIP(hostname.replace(/^\[|\]$/g, '')) === 0 &&
    hostname.includes('.') &&
    !/\.(local|internal|lan|home|localdomain)$/i.test(hostname)
  );
};

const endpoint = z.url().max(1000).refine(isOutside, 'This is not the address of a push service.');
const key = z.string().regex(/^[\w-]{16,200}={0,2}$/, 'This is not a key of a browser.');
const subscription = z.object({ endpoint, keys: z.object({ p256dh: key, auth: key }) });

/** Whom to tell the evening before. */
export function remindersRouter(desk: ReminderDesk): Router {
  const router = Router({ mergeParams: true });
  const op = (params: unknown) => parseRequest(operationId, (params as { op?: string }).op);
  router.get('/', async (_req, res) => {
    res.json({ publicKey: (await desk.keys()).publicKey });
  });
  router.post('/', express.json({ limit: '8kb' }), requireJson, async (req, res) => {
    await desk.join(op(req.params), parseRequest(subscription, req.body));
    res.status(204).end();
  });
  router.delete('/', express.json({ limit: '8kb' }), requireJson, async (req, res) => {
    await desk.leave(
      op(req.params),
      parseRequest(z.object({ endpoint: z.string().max(1000) }), req.body).endpoint,
    );
    res.status(204).end();
  });
  return router;
}
