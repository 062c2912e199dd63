import { API_VERSION, VERSION_HEADER } from '@incremen/contract';
import type { RequestHandler } from 'express';
import { sendProblem } from '../problems/errorHandler.ts';
import { ProblemError } from '../problems/ProblemError.ts';

/**
 * Says which API this is, and turns away a page that speaks another before it changes anything: what it has made waits on its
 * device. Programs that say nothing are taken at their word.
 */
export const sameVersion: RequestHandler = (req, res, next) => {
  res.set(VERSION_HEADER, String(API_VERSION));
  const theirs = req.get(VERSION_HEADER);
  if (theirs === undefined || theirs === String(API_VERSION) || req.method === 'GET') {
    next();
    return;
  }
  const isOld = Number(theirs) < API_VERSION;
  sendProblem(
    res,
    new ProblemError(
      409,
      'other-version',
      'This page and the server are of two versions. Nothing was changed.',
      [
        {
          code: 'other-version',
          path: [],
          message: isOld ? 'The page is older than the server.' : 'The page is newer than the server.',
          remedy: isOld
            ? 'Open the page anew: what waits here is kept and sent then.'
            : 'Start the newer version on the server: what waits here is kept and sent then.',
        },
      ],
    ),
  );
};
