import { statfs } from 'node:fs/promises';
import type { RoomAnswer } from '@incremen/contract';
import type { MikroORM } from '@mikro-orm/postgresql';
import { Router } from 'express';
import { z } from 'zod';
import type { BackupKeeper } from '../backup/BackupKeeper.ts';
import { pictureBytes } from '../photos/photoContents.ts';
import { parseRequest } from '../problems/errorHandler.ts';

/** Bytes of pictures that an operation may have, where nobody says otherwise: some ten thousand photos. */
export const PICTURE_QUOTA = 4_000_000_000;
/** From this share of it on it is said. */
const NEARLY = 0.85;
/** With less free than this PostgreSQL may stop before anybody notices. */
const LITTLE_BYTES = 1_000_000_000;

/** How much room there is, and in words what to do before there is none. */
export function roomRouter(orm: MikroORM, quota: number, keeper: BackupKeeper | null): Router {
  const router = Router({ mergeParams: true });
  router.get('/room', async (req, res) => {
    const { op } = parseRequest(z.object({ op: z.uuid() }), req.params);
    const pictures = await pictureBytes(orm.em.fork(), op);
    const free = keeper === null ? null : await freeBytes(keeper.folder);
    const answer: RoomAnswer = { pictures, quota, free, warnings: warningsOf(pictures, quota, free) };
    res.json(answer);
  });
  return router;
}

async function freeBytes(folder: string): Promise<number | null> {
  try {
    const { bavail, bsize } = await statfs(folder);
    return bavail * bsize;
  } catch {
    return null;
  }
}

const megabytes = (bytes: number) => `${Math.round(bytes / 1e6).toLocaleString('en')} MB`;

/** What is said of the room, in plain words. @param free - bytes on the disk; null where that is not known */
export function warningsOf(pictures: number, quota: number, free: number | null): string[] {
  return [
    ...(free !== null && free < LITTLE_BYTES
      ? [
          `Only ${megabytes(free)} are free on the disk of the server. Make room soon: when it is full, nothing can be kept.`,
        ]
      : []),
    ...(pictures > NEARLY * quota
      ? [
          `Pictures take ${megabytes(pictures)} of ${megabytes(quota)}. Take some away, or let them have more room.`,
        ]
      : []),
  ];
}
