import { pointerOf, type ProblemDocument } from '@incremen/contract';
import type { Problem } from '@incremen/core/basics';

/** An expected failure on its way to the client as a problem document (RFC 9457). */
export class ProblemError extends Error {
  readonly status: number;
  readonly code: string;
  readonly problems: readonly Problem[];

  constructor(status: number, code: string, title: string, problems: readonly Problem[] = []) {
    super(title);
    this.name = 'ProblemError';
    this.status = status;
    this.code = code;
    this.problems = problems;
  }
}

/** The problem document of an expected failure. */
export function toDocument(error: ProblemError): ProblemDocument {
  return {
    type: `/problems/${error.code}`,
    title: error.message,
    status: error.status,
    detail: error.problems.map((p) => `${p.message} ${p.remedy}`).join(' ') || error.message,
    errors: error.problems.map((p) => ({
      code: p.code,
      pointer: pointerOf(p.path),
      message: p.message,
      remedy: p.remedy,
    })),
  };
}
