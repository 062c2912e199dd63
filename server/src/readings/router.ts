import type { OlderVisits, Readings } from '@incremen/contract';
import { daySchema } from '@incremen/core/basics';
import type { MikroORM } from '@mikro-orm/postgresql';
import { Router } from 'express';
import { z } from 'zod';
import { olderVisits } from '../db/apiaryRows.ts';
import { needOperation } from '../operations/unknownOperation.ts';
import { parseRequest } from '../problems/errorHandler.ts';
import { readingsAsOf, readingsOfColony } from './readings.ts';

const params = z.object({ op: z.uuid({ error: 'The address must hold the id of an operation.' }) });
const query = z.union([z.strictObject({ colony: z.uuid() }), z.strictObject({ asOf: daySchema })], {
  error: 'Ask with ?colony= and an id, or with ?asOf= and a day.',
});

/** Readings that newer ones have replaced: of one colony, or of all frames as of a day. */
export function readingsRouter(orm: MikroORM): Router {
  const router = Router({ mergeParams: true });
  router.get('/', async (req, res) => {
    const { op } = parseRequest(params, req.params);
    const asked = parseRequest(query, { ...req.query });
    const em = orm.em.fork();
    await needOperation(em, op);
    const answer: Readings =
      'colony' in asked
        ? await readingsOfColony(em, op, asked.colony)
        : await readingsAsOf(em, op, asked.asOf);
    res.json(answer);
  });
  return router;
}

const visitsQuery = z.strictObject(
  { colony: z.uuid().optional() },
  { error: 'Ask for all, or with ?colony= and an id.' },
);

/** Visits that a device does not keep: of one colony, or of all. */
export function olderVisitsRouter(orm: MikroORM): Router {
  const router = Router({ mergeParams: true });
  router.get('/', async (req, res) => {
    const { op } = parseRequest(params, req.params);
    const { colony = null } = parseRequest(visitsQuery, { ...req.query });
    const em = orm.em.fork();
    await needOperation(em, op);
    const answer: OlderVisits = { visits: await olderVisits(em, op, colony) };
    res.json(answer);
  });
  return router;
}
