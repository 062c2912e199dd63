import type { ProblemCode } from '@incremen/core/basics';
import { PHOTO_LIMITS } from '@incremen/core/records';
import { imageSize, disableTypes, types } from 'image-size';
import { ProblemError } from '../problems/ProblemError.ts';

/** The kinds of picture that are kept, by the name that the reader of their headers gives them. */
const MEDIA_TYPES: Readonly<Record<string, string>> = {
  jpg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
};
disableTypes(types.filter((t) => !(t in MEDIA_TYPES)));

const EDGE_LIMIT_PX = 4096;

/**
 * Reads off the content itself what kind of picture it is; what the sender calls it does not count.
 *
 * @throws ProblemError 415 when it is not one that is kept, 422 when it is larger than a photo may be
 */
export function mediaTypeOf(content: Uint8Array): string {
  let size: ReturnType<typeof imageSize> | undefined;
  try {
    size = imageSize(content);
  } catch {
    // It is no picture, or its header is broken.
  }
  const mediaType = MEDIA_TYPES[size?.type ?? ''];
  if (!size || !mediaType) {
    throw refused(
      415,
      'not-a-photo',
      'This is not a photo that can be kept.',
      'Send a JPEG, PNG or WebP picture.',
    );
  }
  if (Math.max(size.width, size.height) > EDGE_LIMIT_PX) {
    throw refused(
      422,
      'photo-too-large',
      `The photo measures ${size.width} × ${size.height} pixels.`,
      `Make it smaller: ${PHOTO_LIMITS.edgePx} pixels along the longer edge are enough.`,
    );
  }
  return mediaType;
}

function refused(status: number, code: ProblemCode, message: string, remedy: string): ProblemError {
  return new ProblemError(status, code, message, [{ code, path: [], message, remedy }]);
}
