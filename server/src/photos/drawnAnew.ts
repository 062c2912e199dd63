import sharp from 'sharp';
import { ProblemError } from '../problems/ProblemError.ts';

/** JPEG and WebP lose a little each time; at this quality nobody sees it. */
const QUALITY = 88;
/** More points than this are no photo: a small file can unfold to fill the memory. */
const MOST_POINTS = 4096 * 4096;

/**
 * A picture drawn anew from its points, upright, in its own format: position, names and whatever else a camera or a stranger
 * writes into the file stay behind.
 *
 * @throws ProblemError 415 for one that cannot be drawn to its end
 */
export async function drawnAnew(content: Uint8Array): Promise<Buffer> {
  try {
    const image = sharp(content, { limitInputPixels: MOST_POINTS, failOn: 'error' }).rotate();
    const { format } = await image.metadata();
    if (format === 'png') return await image.png().toBuffer();
    if (format === 'webp') return await image.webp({ quality: QUALITY }).toBuffer();
    return await image.jpeg({ quality: QUALITY, mozjpeg: true }).toBuffer();
  } catch (error) {
    throw new ProblemError(415, 'not-a-photo', 'This is not a photo that can be kept.', [
      {
        code: 'not-a-photo',
        path: [],
        message: `The picture is broken: ${(error as Error).message}`.slice(0, 200),
        remedy: 'Send a JPEG, PNG or WebP picture that opens elsewhere.',
      },
    ]);
  }
}

/** The same picture, drawn anew only where something stands beside its points: what is clean already is not made worse. */
export async function withoutTraces(content: Uint8Array): Promise<Buffer> {
  const { exif, xmp, iptc, orientation } = await sharp(content, { failOn: 'none' }).metadata();
  return exif || xmp || iptc || (orientation ?? 1) !== 1 ? drawnAnew(content) : Buffer.from(content);
}
