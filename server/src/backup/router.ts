import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import { z } from 'zod';
import { revisionOf } from '../operations/revisionOf.ts';
import type { AccessDesk } from '../access/AccessDesk.ts';
import type { OperationStore } from '../operations/OperationStore.ts';
import { parseRequest } from '../problems/errorHandler.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import { OperationEntity } from '../db/entities.ts';
import { archiveOf } from './archive.ts';
import type { BackupKeeper } from './BackupKeeper.ts';
import { atOneMoment } from './atOneMoment.ts';
import { bundleText } from './bundleText.ts';

const address = z.object({ op: z.uuid({ error: 'The address must hold the id of an operation.' }) });

/** Bytes that an upload may have at most: the history of thousands of colonies is well under it. */
const LARGEST = 8_000_000_000;

/**
 * The file of an operation. `/bundle` is its records as JSON; `/backup` is an archive of that JSON with the pictures
 * beside it. Either address takes either file.
 */
export function backupRouter(
  orm: MikroORM,
  store: OperationStore,
  desk: AccessDesk,
  keeper: BackupKeeper | null,
): Router {
  const router = Router({ mergeParams: true });
  const send =
    (
      name: string,
      type: string,
      content: (em: EntityManager, op: string) => Promise<Readable>,
    ): RequestHandler =>
    async (req, res) => {
      const { op } = parseRequest(address, req.params);
      await atOneMoment(orm, async (em) => {
        await revisionOf(em, op, false);
        res.attachment(name).type(type);
        await pipeline(await content(em, op), res);
      });
    };
  router.get(
    '/bundle',
    send('incremen-apiary.json', 'application/json', (em, op) =>
      Promise.resolve(Readable.from(bundleText(em, op))),
    ),
  );
  router.get('/backup', send('incremen-apiary.zip', 'application/zip', archiveOf));
  const take = async (req: Request, res: Response) => {
    const { op } = parseRequest(address, req.params);
    await uploaded(req, async (path) => {
      // What it takes the place of is kept: a wrong file can be taken back.
      if (await isThere(orm, op)) await keeper?.make(op, 'before-import');
      const restored = await store.restore(path, op);
      await desk.passOn(op, restored.operationId);
      await keeper?.passOn(op, restored.operationId);
      res.json(restored);
    });
  };
  router.put('/bundle', take);
  router.put('/backup', take);
  return router;
}

const isThere = async (orm: MikroORM, id: string): Promise<boolean> =>
  (await orm.em.fork().count(OperationEntity, { id })) > 0;

/** Keeps the body of a request in a file of its own for as long as it is used. */
async function uploaded(req: Request, read: (path: string) => Promise<void>): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'incremen-restore-'));
  const path = join(folder, 'upload');
  try {
    await pipeline(req, limited, createWriteStream(path));
    await read(path);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function* limited(source: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  let bytes = 0;
  for await (const piece of source) {
    bytes += piece.length;
    if (bytes > LARGEST) throw tooLarge();
    yield piece;
  }
  if (bytes === 0) throw nothingSent();
}

const tooLarge = (): ProblemError =>
  new ProblemError(413, 'malformed', 'The file is too large. Nothing was changed.', [
    { code: 'malformed', path: [], message: 'The file has more than 8 GB.', remedy: 'Send a smaller one.' },
  ]);

const nothingSent = (): ProblemError =>
  new ProblemError(400, 'malformed', 'There is no file in the body. Nothing was changed.', [
    { code: 'malformed', path: [], message: 'The body is empty.', remedy: 'Send the backup as the body.' },
  ]);
