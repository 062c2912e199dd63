import type { WorkStep } from '../records/index.ts';
import { STEP_MINUTES, workState } from './workState.ts';

/** How far work gets before rain, dark or the day's end. */
export interface StopBefore {
  /** All of it is done by then. */
  readonly fits: boolean;
  /** Minutes that the whole of it still takes. */
  readonly needed: number;
  /** The last step after which every hive is closed; null when none is reached in time. */
  readonly after: WorkStep | null;
}

/** Tells after which step to stop, so that no hive stands open when time is up. */
export function stopBefore(steps: readonly WorkStep[], minutes: number): StopBefore {
  let open = workState(steps).open !== null;
  let spent = 0;
  let after: WorkStep | null = null;
  for (const s of steps) {
    if (s.doneOn !== null) continue;
    spent += STEP_MINUTES[s.kind];
    if (s.kind === 'open') open = true;
    if (s.kind === 'close') open = false;
    // What follows a close until the next hive is opened can wait as well as be done.
    if (!open && s.kind === 'close' && spent <= minutes) after = s;
  }
  return { fits: spent <= minutes, needed: Math.round(spent), after };
}
