import { type CommandOf, PHOTO_LIMITS } from '../../records/index.ts';
import type { Draft } from './draft.ts';

type Path = readonly (string | number)[];

/** Puts a photo to a visit. */
export function decideAddPhoto(draft: Draft, { photo }: CommandOf<'addPhoto'>, path: Path): void {
  if (!draft.need('visit', photo.visitId, [...path, 'photo', 'visitId'])) return;
  const there = Object.values(draft.apiary.photo).filter((p) => p.visitId === photo.visitId).length;
  if (there >= PHOTO_LIMITS.perVisit) {
    draft.problem(
      'too-many-photos',
      [...path, 'photo', 'visitId'],
      `This visit has ${there} photos already.`,
      'Take one away first.',
    );
    return;
  }
  draft.add('photo', photo, [...path, 'photo', 'id']);
}

/** Takes a photo away; its content stays as long as the journal can bring it back. */
export function decideRemovePhoto(draft: Draft, command: CommandOf<'removePhoto'>, path: Path): void {
  if (draft.need('photo', command.photoId, [...path, 'photoId'])) draft.remove('photo', command.photoId);
}
