import { createHash } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import { PhotoContentEntity } from '../db/entities.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import { drawnAnew, withoutTraces } from './drawnAnew.ts';
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
  quota: number = Infinity,
): Promise<void> {
  const mediaType = mediaTypeOf(content);
  const source = createHash('sha256').update(content).digest('hex');
  const there = (await em.findOne(PhotoContentEntity, { id }, once)) as
    (Row & { operationId: string; source: string | null }) | null;
  if (there) {
    const isSame = there.source === source || Buffer.compare(there.content, content) === 0;
    if (there.operationId === operationId && isSame) return;
    throw new ProblemError(409, 'id-taken', 'This id belongs to another photo.', [
      {
        code: 'id-taken',
        path: [],
        message: 'Another photo was sent under this id.',
        remedy: 'Make a new id for each photo.',
      },
    ]);
  }
  const drawn = await drawnAnew(content);
  await needRoom(em, operationId, drawn.length, quota);
  await em.insert(PhotoContentEntity, { id, operationId, mediaType, content: drawn, source });
}

/** @throws ProblemError 507 when the pictures of an operation would be more than they may */
async function needRoom(em: EntityManager, operationId: string, bytes: number, quota: number): Promise<void> {
  const there = await pictureBytes(em, operationId);
  if (there + bytes <= quota) return;
  throw new ProblemError(507, 'no-room', 'There is no room for more pictures. Nothing was changed.', [
    {
      code: 'no-room',
      path: [],
      message: `The pictures take ${Math.round(there / 1e6)} MB; ${Math.round(quota / 1e6)} MB are kept for them.`,
      remedy: 'Take pictures away that nobody needs, or let the owner of the server give them more room.',
    },
  ]);
}

/** Bytes of all pictures of an operation. */
export async function pictureBytes(em: EntityManager, operationId: string): Promise<number> {
  const [row] = await em
    .getConnection()
    .execute<{ bytes: string | null }[]>(
      'select sum(octet_length(content)) as bytes from photo_content where operation_id = ?',
      [operationId],
      'all',
      em.getTransactionContext(),
    );
  return Number(row?.bytes ?? 0);
}

/** Days for which a picture that was taken away can be brought back by undoing that. */
const KEPT_DAYS = 30;

/** Takes away the pictures to which no record refers and whose taking away nobody will undo. @returns how many */
export async function sweepPictures(em: EntityManager): Promise<number> {
  const swept = await em
    .getConnection()
    .execute<{ affectedRows: number }>(
      `delete from photo_content c where c.kept_at < now() - make_interval(days => ${KEPT_DAYS}) and not exists (select 1 from photo p where p.id = c.id) and not exists (select 1 from journal j where j.operation_id = c.operation_id and j.done_at > now() - make_interval(days => ${KEPT_DAYS}) and j.body::text like '%' || c.id || '%')`,
      [],
      'run',
    );
  return swept.affectedRows;
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

/** Takes in a picture of a backup; one of an older version may still say where it was taken. @throws ProblemError as {@link mediaTypeOf} */
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
    content: await withoutTraces(content),
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
