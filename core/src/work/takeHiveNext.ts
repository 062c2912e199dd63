import type { WorkStep } from '../records/index.ts';

/** From the step that opens a hive to the one that closes it; empty when it is no such step. */
function blockOf(steps: readonly WorkStep[], openId: string): readonly WorkStep[] {
  const from = steps.findIndex((s) => s.id === openId && s.kind === 'open');
  if (from < 0) return [];
  const to = steps.findIndex((s, i) => i > from && s.kind === 'close');
  return to < 0 ? [] : steps.slice(from, to + 1);
}

/** Whether another hive could be taken before this one, and none of it has begun. */
export function mayTakeHiveNext(steps: readonly WorkStep[], openId: string): boolean {
  const block = blockOf(steps, openId);
  const first = steps.find((s) => s.kind === 'open' && s.doneOn === null);
  return block.length > 0 && first?.id !== openId && block.every((s) => s.doneOn === null);
}

/**
 * The same steps with one hive taken before the others that are left, in the yard where one is. Frames go straight
 * from their hive to where they are for, so that hives can be taken in any order.
 */
export function takeHiveNext(steps: readonly WorkStep[], openId: string): WorkStep[] {
  if (!mayTakeHiveNext(steps, openId)) return [...steps];
  const block = blockOf(steps, openId);
  const rest = steps.filter((s) => !block.includes(s));
  const at = rest.findIndex((s, i) => s.kind === 'open' && s.doneOn === null && !isBegun(rest, i));
  const place = at < 0 ? rest.length : at;
  return [...rest.slice(0, place), ...block, ...rest.slice(place)].map((s, order) => ({ ...s, order }));
}

/** A step of the hive that the step at this place opens is done already. */
function isBegun(steps: readonly WorkStep[], at: number): boolean {
  const to = steps.findIndex((s, i) => i > at && s.kind === 'close');
  return steps.slice(at, to + 1).some((s) => s.doneOn !== null);
}
