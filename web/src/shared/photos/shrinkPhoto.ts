import { PHOTO_LIMITS } from '@incremen/core/records';
import type { Problem, ProblemCode, Result } from '@incremen/core/basics';

/** A photo made small enough to keep and send. */
export interface ShrunkPhoto {
  readonly blob: Blob;
  readonly mediaType: 'image/jpeg';
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Larger files are not even opened: a phone may run out of memory over them. */
const MOST_BYTES = 30_000_000;
const QUALITIES = [0.82, 0.7, 0.55, 0.4] as const;

const refused = (code: ProblemCode, message: string, remedy: string): { ok: false; problems: Problem[] } => ({
  ok: false,
  problems: [{ code, path: ['photo'], message, remedy }],
});

/**
 * Makes a photo small in the browser: at most {@link PHOTO_LIMITS.edgePx} along its longer edge, as JPEG,
 * upright. What the camera wrote into the file, such as the place, is left behind.
 */
export async function shrinkPhoto(file: File): Promise<Result<ShrunkPhoto>> {
  if (file.size > MOST_BYTES) {
    const mb = Math.round(file.size / 1_000_000);
    return refused(
      'photo-too-large',
      `${file.name} has ${mb} MB; a photo may have ${MOST_BYTES / 1_000_000} MB before it is made smaller.`,
      'Let the camera take smaller pictures, or cut this one down first.',
    );
  }
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return refused(
      'not-a-photo',
      `${file.name} is not a photo that this browser can read.`,
      'Choose a JPEG, PNG or WebP picture.',
    );
  }
  const scale = Math.min(1, PHOTO_LIMITS.edgePx / Math.max(bitmap.width, bitmap.height));
  const widthPx = Math.max(1, Math.round(bitmap.width * scale));
  const heightPx = Math.max(1, Math.round(bitmap.height * scale));
  const canvas = document.createElement('canvas');
  canvas.width = widthPx;
  canvas.height = heightPx;
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, widthPx, heightPx);
  bitmap.close();
  for (const quality of QUALITIES) {
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));
    if (blob && blob.size <= PHOTO_LIMITS.bytes) {
      return { ok: true, value: { blob, mediaType: 'image/jpeg', widthPx, heightPx } };
    }
  }
  return refused('photo-too-large', `${file.name} stays too large.`, 'Choose another picture.');
}
