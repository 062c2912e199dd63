/** What is looked at of a step, of whichever plan it is. */
export interface WorkStep {
  readonly id: string;
  readonly kind: 'prepare' | 'open' | 'find' | 'move' | 'shake' | 'lift' | 'fill' | 'close' | 'check';
  readonly text: string;
  readonly detail: string;
  readonly doneOn: string | null;
  /** The frames that it is about. */
  readonly frameIds?: readonly string[];
}

/** Minutes that a step usually takes one person (judgement, no source; searching for a queen varies most). */
export const STEP_MINUTES: Readonly<Record<WorkStep['kind'], number>> = {
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
  /** The step that opened a hive which is not closed yet, and the hive; null when none stands open. */
  readonly open: { readonly stepId: string; readonly name: string } | null;
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

/** The hive or nuc that a step opens or closes; "both" where a split closes its two parts at once. */
function nameIn(step: WorkStep): string {
  const name = step.text.replace(/^(Open|Close) /, '');
  return (name.split(/;| from the back| to a /)[0] ?? name).trim();
}

const isCarried = (s: WorkStep) => s.kind === 'move' && s.text.includes('→');

/** Reads from the ticks what stands open, what to close first, what is left, and where to take it up again. */
export function workState(steps: readonly WorkStep[]): WorkState {
  const done = steps.filter((s) => s.doneOn !== null);
  const left = steps.filter((s) => s.doneOn === null);
  const opened = steps.findLast(
    (s, i) => s.kind === 'open' && s.doneOn !== null && closeOf(steps, i)?.doneOn === null,
  );
  const begun = (close: WorkStep) => {
    const name = nameIn(close);
    if (name === 'both') return done.some((s) => s.kind !== 'prepare' && s.kind !== 'check');
    return done.some((s) => s.kind !== 'prepare' && s.kind !== 'check' && mentions(s, name));
  };
  const closeNow = left.filter((s) => s.kind === 'close' && begun(s));
  const openName = opened ? nameIn(opened) : null;
  closeNow.sort((a, b) => Number(nameIn(b) === openName) - Number(nameIn(a) === openName));
  const found = done.findLast((s) => s.kind === 'find' && /queen/i.test(s.text));
  return {
    done: done.length,
    total: steps.length,
    minutesLeft: Math.round(left.reduce((n, s) => n + STEP_MINUTES[s.kind], 0)),
    open: opened ? { stepId: opened.id, name: openName ?? '' } : null,
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

/** Names are told apart by what surrounds them: "Nuc 1" is not in "Nuc 12". */
function mentions(step: WorkStep, name: string): boolean {
  const at = step.text.indexOf(name);
  if (at < 0) return false;
  const after = step.text[at + name.length];
  return after === undefined || !/[\w]/.test(after);
}
