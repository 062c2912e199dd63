import type { z } from 'zod';
import type { Problem } from '../basics/index.ts';

/** What is wrong with the shape of a value, at its place in the file; 20 problems at most. */
export function shapeProblems(error: z.ZodError, path: readonly (string | number)[] = []): Problem[] {
  return error.issues.slice(0, 20).map((issue) => ({
    code: 'bundle-shape',
    path: [...path, ...issue.path.map((p) => (typeof p === 'symbol' ? String(p) : p))],
    message: issue.message,
    remedy: 'Correct the file at this place, or make the backup again.',
  }));
}
