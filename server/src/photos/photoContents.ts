import type { PhotoContent } from '@incremen/core/formats';
import type { EntityManager } from '@mikro-orm/postgresql';
import { PhotoContentEntity } from '../db/entities.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import { mediaTypeOf } from './photoKind.ts';

interface Row {
  id: string;
  mediaType: string;
  content: Uint8Array;
}

const once = { disableIdentityMap: true } as const;

/**
 * Keeps the picture of a photo. Sent again, the same picture changes nothing.
 *
 * @throws ProblemError 409 when the id belongs to another picture, 415 or 422 as {@link mediaTypeOf}
 */
export async function keepPhoto(
  em: EntityManager,
  operationId: string,
  id: string,
  content: Uint8Array,
): Promise<void> {
  const mediaType = mediaTypeOf(content);
  const there = (await em.findOne(PhotoContentEntity, { id }, once)) as
    (Row & { operationId: string }) | null;
  if (there) {
    if (there.operationId === operationId && Buffer.compare(there.content, content) === 0) return;
    throw new ProblemError(409, 'id-taken', 'This id belongs to another photo.', [
      {
        code: 'id-taken',
        path: [],
        message: 'Another photo was sent under this id.',
        remedy: 'Make a new id for each photo.',
      },
    ]);
  }
  await em.insert(PhotoContentEntity, { id, operationId, mediaType, content: Buffer.from(content) });
}

/** The picture of a photo. @throws ProblemError 404 when there is none */
export async function loadPhoto(em: EntityManager, operationId: string, id: string): Promise<Row> {
  const row = (await em.findOne(PhotoContentEntity, { id, operationId }, once)) as Row | null;
  if (!row) throw unknownPhoto(404, id);
  return row;
}

/** Sees to it that these pictures have arrived before something refers to them. */
export async function needPhotos(
  em: EntityManager,
  operationId: string,
  ids: readonly string[],
): Promise<void> {
  for (const id of ids) {
    if ((await em.count(PhotoContentEntity, { id, operationId })) === 0) throw unknownPhoto(409, id);
  }
}

/** All pictures of an operation, for its file. */
export async function allPhotos(em: EntityManager, operationId: string): Promise<PhotoContent[]> {
  const rows = (await em.find(PhotoContentEntity, { operationId }, once)) as Row[];
  return rows.map(({ id, content }) => ({ id, base64: Buffer.from(content).toString('base64') }));
}

/** Takes in the pictures of a file. @throws ProblemError as {@link mediaTypeOf} */
export async function takeInPhotos(
  em: EntityManager,
  operationId: string,
  photos: readonly PhotoContent[],
): Promise<void> {
  for (const { id, base64 } of photos) {
    const content = Buffer.from(base64, 'base64');
    await em.insert(PhotoContentEntity, { id, operationId, mediaType: mediaTypeOf(content), content });
  }
}

function unknownPhoto(status: 404 | 409, id: string): ProblemError {
  return new ProblemError(status, 'photo-not-here', 'The picture of this photo is not here.', [
    {
      code: 'photo-not-here',
      path: [],
      message: `No picture came under the id ${id}.`,
      remedy: 'Send the picture first.',
    },
  ]);
}
