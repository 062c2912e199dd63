import { silentUnits, type ClosingAnswer, type ClosingUnit } from '../../records/index.ts';
import type { Draft } from './draft.ts';

type Path = readonly (string | number)[];

/** A visit closes only when each unit has answered: a shut entrance kills within hours. @returns whether it does */
export function closes(
  draft: Draft,
  units: readonly ClosingUnit[],
  answers: readonly ClosingAnswer[] | undefined,
  path: Path,
): boolean {
  const silent = silentUnits(units, answers);
  if (silent.length === 0) return true;
  draft.problem(
    'not-closed',
    path,
    `The visit is not closed: ${silent.map((u) => u.name).join(', ')} ${silent.length === 1 ? 'has' : 'have'} not answered.`,
    'Say for each: entrance open, lid on, tag on, queen, feed, excluder, strips.',
  );
  return false;
}
