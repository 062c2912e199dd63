import type { RequestHandler } from 'express';
import { ProblemError } from './ProblemError.ts';

/** Refuses a request whose body was not read as JSON. */
export const requireJson: RequestHandler = (req, _res, next) => {
  if (req.body !== undefined) {
    next();
    return;
  }
  next(
    new ProblemError(415, 'not-json', 'The body must be JSON.', [
      {
        code: 'not-json',
        path: [],
        message: 'There is no JSON body.',
        remedy: 'Send Content-Type: application/json.',
      },
    ]),
  );
};
