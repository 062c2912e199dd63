import equal from 'fast-deep-equal';
import { failure, success, type Result } from '../basics/index.ts';
import { applyChanges, reverseChanges, type Change, kindInWords, type Apiary } from '../records/index.ts';
import { conservationProblems } from './conservation.ts';

/**
 * The changes that take back earlier ones, if the records are still as those left them.
 *
 * A record changed since by something else is a problem that names it: taking back must not silently undo
 * later work too.
 */
export function undoChanges(apiary: Apiary, changes: readonly Change[]): Result<readonly Change[]> {
  const moved = changes.find((c) => !equal(apiary[c.kind][c.id] ?? null, c.after));
  if (moved) {
    return failure({
      code: 'changed-since',
      path: ['entryId'],
      message: `This cannot be undone: a ${kindInWords(moved.kind)} that it touched has been changed since.`,
      remedy: 'Undo the later change first.',
    });
  }
  const reversed = reverseChanges(changes);
  const problems = conservationProblems(applyChanges(apiary, reversed), reversed);
  return problems.length > 0 ? failure(...problems) : success(reversed);
}
