import { daySchema, type Day } from '@incremen/core/basics';
import { operationOf } from '@incremen/core/records';
import { Router } from 'express';
import { z } from 'zod';
import type { OperationStore } from '../operations/OperationStore.ts';
import { parseRequest } from '../problems/errorHandler.ts';
import { followUpCalendar } from './followUpCalendar.ts';

const opParam = z.uuid({ error: 'The address must hold the id of an operation.' });
const question = z.object({ yard: z.uuid().nullable().default(null), day: daySchema.optional() });

/** The calendar of what is due, for other programs to subscribe to. */
export function calendarRouter(store: OperationStore, today: () => Day): Router {
  const router = Router({ mergeParams: true });
  router.get('/', async (req, res) => {
    const op = parseRequest(opParam, (req.params as { op?: string }).op);
    const { yard, day } = parseRequest(question, req.query);
    const { apiary } = await store.present(op);
    const operation = operationOf(apiary);
    const text = followUpCalendar(apiary, operation.name, day ?? operation.fixedToday ?? today(), yard);
    res.type('text/calendar; charset=utf-8').attachment('incremen-inspections.ics').send(text);
  });
  return router;
}
