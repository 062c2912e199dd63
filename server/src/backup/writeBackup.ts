import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { MikroORM } from '@mikro-orm/postgresql';
import { archiveOf } from './archive.ts';
import { atOneMoment } from './atOneMoment.ts';
import { bundleText } from './bundleText.ts';

/** Writes an operation to a file: its records alone to one that ends in .json, with the pictures beside them to any other. */
export async function writeBackup(orm: MikroORM, operationId: string, path: string): Promise<void> {
  await atOneMoment(orm, async (em) => {
    const content = path.endsWith('.json')
      ? Readable.from(bundleText(em, operationId))
      : await archiveOf(em, operationId);
    await pipeline(content, createWriteStream(path));
  });
}
