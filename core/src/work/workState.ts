import type { StepKind, WorkStep } from '../records/index.ts';

/** Minutes that a step usually takes one person (judgement, no source; searching for a queen varies most). */
export const STEP_MINUTES: Readonly<Record<StepKind, number>> = {
  prepare: 3,
  open: 3,
  find: 8,
  move: 1.5,
  shake: 1.5,
  lift: 4,
  fill: 2,
  close: 2,
  check: 1,
};

/** How a piece of work stands. */
export interface WorkState {
  readonly done: number;
  readonly total: number;
  readonly minutesLeft: number;
  /** The step that opened a hive which is not closed yet, and the units in it; null when none stands open. */
  readonly open: { readonly stepId: string; readonly unitKeys: readonly string[] } | null;
  /** Steps that close what has been begun, in the order in which they should be done when work must stop. */
  readonly closeNow: readonly WorkStep[];
  /** Where work can stop without harm: right away, or after this step. */
  readonly safeAfter: WorkStep | null;
  /** Frames that have been carried, and those that are still to be. */
  readonly carried: readonly WorkStep[];
  readonly toCarry: readonly WorkStep[];
  /** What has been done about the queen, in words; null when nothing has. */
  readonly queen: string | null;
  readonly next: WorkStep | null;
}

const isCarried = (s: WorkStep) => s.kind === 'move' && s.task === 'carry';
/** Nothing stands open after these: what is laid out before, and what is looked after when all is closed. */
const isBeside = ({ kind }: WorkStep) => kind === 'prepare' || kind === 'check';
const meet = (a: readonly string[], b: readonly string[]) => a.some((key) => b.includes(key));

/** Reads from the ticks what stands open, what to close first, what is left, and where to take it up again. */
export function workState(steps: readonly WorkStep[]): WorkState {
  const done = steps.filter((s) => s.doneOn !== null);
  const left = steps.filter((s) => s.doneOn === null);
  const opened = steps.findLast(
    (s, i) => s.kind === 'open' && s.doneOn !== null && closeOf(steps, i)?.doneOn === null,
  );
  // A closing that names no unit closes all that was touched.
  const isBegun = ({ unitKeys }: WorkStep) =>
    done.some((s) => !isBeside(s) && (unitKeys.length === 0 || meet(unitKeys, s.unitKeys)));
  const openKeys = opened?.unitKeys ?? [];
  const closeNow = left
    .filter((s) => s.kind === 'close' && isBegun(s))
    .toSorted((a, b) => Number(meet(b.unitKeys, openKeys)) - Number(meet(a.unitKeys, openKeys)));
  const found = done.findLast((s) => s.kind === 'find' && s.task === 'find-queen');
  return {
    done: done.length,
    total: steps.length,
    minutesLeft: Math.round(left.reduce((n, s) => n + STEP_MINUTES[s.kind], 0)),
    open: opened ? { stepId: opened.id, unitKeys: openKeys } : null,
    closeNow,
    safeAfter: closeNow.at(-1) ?? null,
    carried: done.filter(isCarried),
    toCarry: left.filter(isCarried),
    queen: found ? found.text : null,
    next: left[0] ?? null,
  };
}

/** The step that closes what the step at this place opens: the next close. */
function closeOf(steps: readonly WorkStep[], at: number): WorkStep | undefined {
  return steps.slice(at + 1).find((s) => s.kind === 'close');
}
