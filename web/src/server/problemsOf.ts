import { isProblemCode, type Problem, type ProblemCode } from '@incremen/core/basics';
import { ApiError } from './api.ts';

/** A newer server may name problems that this version does not know. */
const known = (code: string): ProblemCode => (isProblemCode(code) ? code : 'server-fails');

/** What went wrong, as problems that can be shown beside their fields. */
export function problemsOf(error: unknown): Problem[] {
  if (!(error instanceof ApiError)) throw error;
  const { problem } = error;
  if (problem.errors.length === 0) {
    return [{ code: known(problem.type), path: [], message: problem.title, remedy: problem.detail }];
  }
  return problem.errors.map((e) => ({
    code: known(e.code),
    path: e.pointer.split('/').slice(1),
    message: e.message,
    remedy: e.remedy,
  }));
}
