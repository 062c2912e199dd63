import decodeQR from 'qr/decode.js';

/** Between one look at the picture and the next. */
const PAUSE_MS = 60;

/**
 * Looks through the camera until a code is read, and lets go of the camera in every case.
 *
 * @returns what the code says; null when it was told to stop
 * @throws DOMException where there is no camera, or the page may not use it
 */
export async function scanCode(video: HTMLVideoElement, signal: AbortSignal): Promise<string | null> {
  const stream = await navigator.mediaDevices.getUserMedia({
    video: { facingMode: 'environment', width: { ideal: 1280 } },
  });
  try {
    if (signal.aborted) return null;
    video.srcObject = stream;
    await video.play();
    const canvas = document.createElement('canvas');
    canvas.width = video.videoWidth;
    canvas.height = video.videoHeight;
    const pen = canvas.getContext('2d', { willReadFrequently: true });
    while (pen && !signal.aborted) {
      pen.drawImage(video, 0, 0, canvas.width, canvas.height);
      try {
        return decodeQR(pen.getImageData(0, 0, canvas.width, canvas.height));
      } catch {
        // No code in this picture.
      }
      await new Promise((r) => setTimeout(r, PAUSE_MS));
    }
    return null;
  } finally {
    for (const track of stream.getTracks()) track.stop();
    video.srcObject = null;
  }
}

/** The page that a tag leads to: an address of this application, whatever host it was printed with; null for another code. */
export function placeOfCode(said: string): string | null {
  const path =
    /^(?:https?:\/\/[^/]+)?(\/(?:colonies|queens|yards|worksheet|look)\/[0-9a-f-]{36}(?:\/\w+)?)$/i.exec(
      said.trim(),
    )?.[1];
  return path ?? null;
}
