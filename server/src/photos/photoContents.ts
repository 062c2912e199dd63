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

/** A picture of a backup by the id of its photo. */
export interface Picture {
  readonly id: string;
  readonly content: Uint8Array;
}

/** Which pictures an operation has, without their contents. */
export async function photosOf(
  em: EntityManager,
  operationId: string,
): Promise<{ id: string; mediaType: string }[]> {
  return (await em.find(
    PhotoContentEntity,
    { operationId },
    { ...once, orderBy: { id: 'asc' }, fields: ['id', 'mediaType'] as never },
  )) as Row[];
}

/** Takes in a picture of a backup. @throws ProblemError as {@link mediaTypeOf} */
export async function takeInPhoto(
  em: EntityManager,
  operationId: string,
  id: string,
  content: Uint8Array,
): Promise<void> {
  await em.insert(PhotoContentEntity, {
    id,
    operationId,
    mediaType: mediaTypeOf(content),
    content: Buffer.from(content),
  });
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
