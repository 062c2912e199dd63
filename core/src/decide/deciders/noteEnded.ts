import { dayInWords, type Problem } from '../../basics/index.ts';
import type { Draft } from './draft.ts';
import type { Colony } from '../../records/index.ts';

/** Nothing can be entered for a colony that is no more. What is not there at all is noted where it is looked up. */
export function noteEnded(
  draft: Draft,
  colony: Colony | undefined,
  path: Problem['path'],
  remedy: string,
): void {
  if (!colony || colony.endedOn === null) return;
  draft.problem('colony-ended', path, `${colony.name} ended on ${dayInWords(colony.endedOn)}.`, remedy);
}
