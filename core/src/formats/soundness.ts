import { problemsOfReading } from '../comb/index.ts';
import type { Problem } from '../basics/index.ts';
import type { Apiary, Reading } from '../records/index.ts';

/** More than this is not listed: the file is broken as a whole. */
const MOST_LISTED = 20;

/**
 * What commands would have refused and a file may hold all the same: contents over ten tenths, a frame that shows
 * another frame's reading, two queens of one id in two places, colonies and queens that descend from themselves.
 */
export function soundnessProblems(apiary: Apiary): Problem[] {
  const problems: Problem[] = [];
  for (const reading of Object.values(apiary.reading)) {
    problems.push(...contentProblems(reading));
    if (problems.length >= MOST_LISTED) return problems;
  }
  for (const frame of Object.values(apiary.frame)) {
    const reading = frame.readingId === null ? undefined : apiary.reading[frame.readingId];
    if (reading && reading.frameId !== frame.id)
      problems.push(
        unsound(['records', 'frame', frame.id, 'readingId'], 'It shows the reading of another frame.'),
      );
  }
  const parentOf = (id: string): string | null => {
    const origin = apiary.colony[id]?.origin;
    return origin && 'fromColonyId' in origin ? origin.fromColonyId : null;
  };
  for (const id of Object.keys(apiary.colony))
    if (isInRing(id, parentOf))
      problems.push(unsound(['records', 'colony', id, 'origin'], 'The colony descends from itself.'));
  for (const id of Object.keys(apiary.queen))
    if (isInRing(id, (q) => apiary.queen[q]?.motherQueenId ?? null))
      problems.push(unsound(['records', 'queen', id, 'motherQueenId'], 'The queen descends from herself.'));
  return problems;
}

/** Contents that no comb can hold. */
export const contentProblems = (reading: Reading): Problem[] =>
  problemsOfReading(reading.body, ['records', 'reading', reading.id, 'body']);

function isInRing(start: string, next: (id: string) => string | null): boolean {
  const seen = new Set<string>();
  for (let id = next(start); id !== null; id = next(id)) {
    if (id === start) return true;
    if (seen.has(id)) return false;
    seen.add(id);
  }
  return false;
}

const unsound = (path: Problem['path'], message: string): Problem => ({
  code: 'bundle-unsound',
  path,
  message,
  remedy: 'Make the backup again; if the file was edited by hand, correct this place.',
});
