import { z } from 'zod';

/** A problem document (RFC 9457), with one entry a field that is wrong. */
export const problemDocument = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  errors: z.array(
    z.object({
      code: z.string(),
      /** JSON Pointer (RFC 6901) into the request body. */
      pointer: z.string(),
      message: z.string(),
      remedy: z.string(),
    }),
  ),
});
export type ProblemDocument = z.infer<typeof problemDocument>;

/**
 * A path of keys and indices as a JSON Pointer.
 *
 * @example pointerOf(['readings', 3, 'a/b']) // => '/readings/3/a~1b'
 */
export function pointerOf(path: readonly (string | number)[]): string {
  return path.map((p) => `/${String(p).replaceAll('~', '~0').replaceAll('/', '~1')}`).join('');
}
