import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { z } from 'zod';
import { ProblemError, toDocument } from './ProblemError.ts';

/** Errors that the body parser and the router raise themselves. */
const knownError = z.object({ status: z.int().min(400).max(499), type: z.string().optional() });

const PARSER_ERRORS: Readonly<Record<string, [title: string, remedy: string]>> = {
  'entity.parse.failed': [
    'The body is not valid JSON, or holds a character that no text may hold.',
    'Send one JSON object, its texts without control characters and half characters.',
  ],
  'entity.too.large': [
    'The body is too large.',
    'Send less at once: a photo has 1.5 MB at most; a whole operation goes to the bundle address.',
  ],
  'encoding.unsupported': ['The encoding of the body is not supported.', 'Send it as plain UTF-8 or gzip.'],
  'charset.unsupported': ['The character set of the body is not supported.', 'Send UTF-8.'],
};

/** Answers every error with a problem document; what was not expected is logged and not told. */
export const answerErrors =
  (log: Logger): ErrorRequestHandler =>
  (error: unknown, _req, res, next) => {
    if (res.headersSent) {
      next(error);
      return;
    }
    const problem = asProblem(error);
    if (problem.status >= 500) log.error({ err: error }, problem.message);
    sendProblem(res, problem);
  };

/** Sends a problem document. */
export function sendProblem(res: Response, problem: ProblemError): void {
  res
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify(toDocument(problem)));
}

/** The primary key of a table spoke up: the id is that of another row, perhaps of another operation. */
const isTaken = (error: unknown): boolean =>
  error instanceof Error &&
  'code' in error &&
  error.code === '23505' &&
  'constraint' in error &&
  /_pkey$/.test(String(error.constraint));

/** PostgreSQL has no room to write (53100), or the file system has none. */
const isFull = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && (error.code === '53100' || error.code === 'ENOSPC');

function asProblem(error: unknown): ProblemError {
  if (error instanceof ProblemError) return error;
  if (isTaken(error)) {
    return new ProblemError(409, 'id-taken', 'An id is taken already. Nothing was changed.', [
      {
        code: 'id-taken',
        path: [],
        message: 'Something else bears one of these ids.',
        remedy: 'Make a new id for each new record.',
      },
    ]);
  }
  if (isFull(error)) {
    return new ProblemError(507, 'no-room', 'The disk of the server is full. Nothing was changed.', [
      {
        code: 'no-room',
        path: [],
        message: 'There is no room left where the records are kept.',
        remedy: 'Make room on that disk; what you entered waits on this device and is sent then.',
      },
    ]);
  }
  const known = knownError.safeParse(error);
  if (known.success) {
    const [title, remedy] = PARSER_ERRORS[known.data.type ?? ''] ?? [
      'The request could not be read.',
      'Check its address and body.',
    ];
    return new ProblemError(known.data.status, 'malformed', title, [
      { code: 'malformed', path: [], message: title, remedy },
    ]);
  }
  return new ProblemError(500, 'internal', 'Something went wrong in the server. Nothing was changed.');
}

/** Parses a request with a schema; what does not fit becomes a 400 that names each field. */
export function parseRequest<T>(schema: z.ZodType<T>, value: unknown): T {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  throw new ProblemError(
    400,
    'malformed',
    'The request does not have the expected shape.',
    parsed.error.issues.slice(0, 20).map((issue) => ({
      code: 'malformed' as const,
      path: issue.path.map((p) => (typeof p === 'symbol' ? String(p) : p)),
      message: issue.message,
      remedy: 'Correct this field.',
    })),
  );
}
