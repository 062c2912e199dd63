import type { Apiary, Work, WorkStep } from '@incremen/core/records';
import { stepBoxes, type StepBox } from '@incremen/core/work';

const drawn = new WeakMap<Work['body'], Map<string, readonly StepBox[]>>();

/**
 * By step, the boxes and slots that it is about. They are kept as long as the plan is the same: a tick changes none, and
 * no row is drawn anew for them.
 */
export function stepPictures(
  apiary: Apiary,
  work: Work,
  steps: readonly WorkStep[],
): ReadonlyMap<string, readonly StepBox[]> {
  const known = drawn.get(work.body) ?? new Map<string, readonly StepBox[]>();
  drawn.set(work.body, known);
  for (const step of steps) if (!known.has(step.id)) known.set(step.id, stepBoxes(apiary, work, step));
  return known;
}
