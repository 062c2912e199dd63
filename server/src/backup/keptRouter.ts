import { Router } from 'express';
import { z } from 'zod';
import type { AccessDesk } from '../access/AccessDesk.ts';
import type { OperationStore } from '../operations/OperationStore.ts';
import { parseRequest } from '../problems/errorHandler.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import type { BackupKeeper } from './BackupKeeper.ts';

const address = z.object({
  op: z.uuid({ error: 'The address must hold the id of an operation.' }),
  name: z.string().max(80).optional(),
});

/** The backups that the server keeps by itself: their list, one more now, one of them as a file, and back to one of them. */
export function keptBackupsRouter(
  store: OperationStore,
  desk: AccessDesk,
  keeper: BackupKeeper | null,
): Router {
  const router = Router({ mergeParams: true });
  const asked = (params: unknown) => {
    if (!keeper) throw noKeeper();
    const { op, name = '' } = parseRequest(address, params);
    return { keeper, op, name };
  };

  router.get('/backups', async (req, res) => {
    const { keeper: kept, op } = asked(req.params);
    res.json(await kept.list(op));
  });

  router.post('/backups', async (req, res) => {
    const { keeper: kept, op } = asked(req.params);
    res.status(201).json(await kept.make(op, 'asked'));
  });

  router.get('/backups/:name', async (req, res) => {
    const { keeper: kept, op, name } = asked(req.params);
    res.download(await kept.pathOf(op, name), `incremen-${name}`);
  });

  router.post('/backups/:name/restore', async (req, res) => {
    const { keeper: kept, op, name } = asked(req.params);
    const path = await kept.pathOf(op, name);
    // What stands there now is kept first: going back can be taken back.
    await kept.make(op, 'before-import');
    const restored = await store.restore(path, op);
    await desk.passOn(op, restored.operationId);
    await kept.passOn(op, restored.operationId);
    res.json(restored);
  });

  return router;
}

const noKeeper = (): ProblemError =>
  new ProblemError(404, 'unknown-address', 'This server keeps no backups by itself.', [
    {
      code: 'unknown-address',
      path: [],
      message: 'The demonstration is made anew at will.',
      remedy: 'Back up to a file.',
    },
  ]);
