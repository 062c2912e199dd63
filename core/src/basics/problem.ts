import type { ProblemCode } from './problemCode.ts';

/**
 * One thing wrong with what was asked, in words for the person who asked.
 *
 * `path` points into the request, so that an interface can show the message beside the field.
 */
export interface Problem {
  readonly code: ProblemCode;
  /** Where: keys and indices from the root of the command. */
  readonly path: readonly (string | number)[];
  /** What is wrong, naming the thing and the number. */
  readonly message: string;
  /** What to do about it. */
  readonly remedy: string;
}

/** An expected failure is a value, not an exception. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

/** Wraps a value as a success. */
export function success<T>(value: T): Result<T> {
  return { ok: true, value };
}

/** Wraps one or more problems as a failure. */
export function failure<T = never>(...problems: Problem[]): Result<T> {
  return { ok: false, problems };
}
