import { PHOTO_LIMITS } from '@incremen/core/records';
import type { MikroORM } from '@mikro-orm/postgresql';
import express, { Router } from 'express';
import { z } from 'zod';
import { needOperation } from '../operations/unknownOperation.ts';
import { parseRequest } from '../problems/errorHandler.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import { keepPhoto, loadPhoto } from './photoContents.ts';

const address = z.object({
  op: z.uuid({ error: 'The address must hold the id of an operation.' }),
  id: z.uuid({ error: 'The address must end in the id of a photo.' }),
});

/** The pictures of photos, by the id of their record. */
export function photosRouter(orm: MikroORM, quota: number): Router {
  const router = Router({ mergeParams: true });

  router.put('/:id', express.raw({ type: () => true, limit: PHOTO_LIMITS.bytes }), async (req, res) => {
    const { op, id } = parseRequest(address, req.params);
    if (!Buffer.isBuffer(req.body)) {
      throw new ProblemError(415, 'not-a-photo', 'There is no picture in the body.', [
        {
          code: 'not-a-photo',
          path: [],
          message: 'The body is empty.',
          remedy: 'Send a JPEG, PNG or WebP picture.',
        },
      ]);
    }
    const em = orm.em.fork();
    await needOperation(em, op);
    await keepPhoto(em, op, id, req.body, quota);
    res.status(204).end();
  });

  router.get('/:id', async (req, res) => {
    const { op, id } = parseRequest(address, req.params);
    const { mediaType, content } = await loadPhoto(orm.em.fork(), op, id);
    // A picture never changes under its id.
    res
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .type(mediaType)
      .send(Buffer.from(content));
  });

  return router;
}
