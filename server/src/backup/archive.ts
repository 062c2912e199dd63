import { open } from 'node:fs/promises';
import { createReadStream } from 'node:fs';
import { basename, extname } from 'node:path';
import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { PHOTO_LIMITS } from '@incremen/core/records';
import type { EntityManager } from '@mikro-orm/postgresql';
import { openPromise, type Entry, type ZipFile as ZipReader } from 'yauzl';
import { ZipFile } from 'yazl';
import { loadPhoto, photosOf, type Picture } from '../photos/photoContents.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import { bundleText } from './bundleText.ts';

/** The records of a backup and the folder of its pictures, as they are called in the archive. */
const RECORDS = 'apiary.json';
const PICTURES = 'photos/';

/** A whole operation as an archive: its records as JSON, and each picture as a file of its own beside them. */
export async function archiveOf(em: EntityManager, operationId: string): Promise<Readable> {
  const pictures = await photosOf(em, operationId);
  const archive = new ZipFile();
  archive.addReadStream(Readable.from(bundleText(em, operationId)), RECORDS);
  for (const { id, mediaType } of pictures) {
    // A picture is packed already. It is read only when its turn has come.
    archive.addReadStreamLazy(
      `${PICTURES}${id}.${mediaType.replace(/^image\//, '')}`,
      { compress: false },
      (give) => {
        loadPhoto(em, operationId, id).then(
          ({ content }) => give(null, Readable.from([Buffer.from(content)])),
          (error: unknown) => give(error, Readable.from([])),
        );
      },
    );
  }
  archive.end();
  const out = archive.outputStream as Readable;
  archive.on('error', (error: unknown) => out.destroy(error as Error));
  return out;
}

/** A backup on disk, read as often as is needed and never as a whole. */
export interface BackupFile {
  /** The text of its JSON, from the start. */
  json(): Promise<Readable>;
  /** The pictures that lie beside it. */
  pictures(): AsyncIterable<Picture>;
  close(): void;
}

/**
 * Opens an archive, or a JSON file on its own.
 *
 * @throws ProblemError 400 when it is an archive that is broken or holds no records
 */
export async function openBackup(path: string): Promise<BackupFile> {
  if (!(await isArchive(path))) {
    return {
      json: () => Promise.resolve(createReadStream(path)),
      pictures: noPictures,
      close: () => undefined,
    };
  }
  let archive: ZipReader | null = null;
  try {
    const opened = await openPromise(path, { lazyEntries: true, autoClose: false });
    archive = opened;
    const entries: Entry[] = [];
    for await (const entry of opened.eachEntry()) entries.push(entry);
    const records = entries.find((e) => e.fileName === RECORDS);
    if (!records) throw new Error(`there is no ${RECORDS} in it`);
    return {
      json: () => opened.openReadStreamPromise(records),
      pictures: () => picturesIn(opened, entries),
      close: () => opened.close(),
    };
  } catch (error) {
    archive?.close();
    throw brokenArchive((error as Error).message);
  }
}

async function isArchive(path: string): Promise<boolean> {
  const file = await open(path);
  try {
    const { buffer: head } = await file.read({ buffer: Buffer.alloc(2), position: 0 });
    return head.toString('latin1') === 'PK';
  } finally {
    await file.close();
  }
}

async function* noPictures(): AsyncGenerator<Picture> {
  // A JSON file on its own has none beside it.
}

async function* picturesIn(archive: ZipReader, entries: readonly Entry[]): AsyncGenerator<Picture> {
  for (const entry of entries) {
    if (!entry.fileName.startsWith(PICTURES) || entry.fileName.endsWith('/')) continue;
    if (entry.uncompressedSize > PHOTO_LIMITS.bytes)
      throw brokenArchive(`${entry.fileName} is larger than a photo may be`);
    const content = await buffer(await archive.openReadStreamPromise(entry));
    yield { id: basename(entry.fileName, extname(entry.fileName)), content };
  }
}

const brokenArchive = (why: string): ProblemError =>
  new ProblemError(400, 'malformed', 'This archive cannot be read. Nothing was changed.', [
    {
      code: 'malformed',
      path: [],
      message: `The archive is broken: ${why}.`,
      remedy: 'Choose a file that “Back up to a file” wrote, whole and unchanged.',
    },
  ]);
