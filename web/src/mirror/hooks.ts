import { operationOf, type Apiary, type Operation, type Command } from '@incremen/core/records';
import type { Day, Problem } from '@incremen/core/basics';
import { useCallback, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { send, type Sent } from './actions.ts';

/** The records of the operation. */
export function useApiary(): Apiary {
  return useAppSelector((s) => s.mirror.apiary);
}

/** The operation itself. */
export function useOperation(): Operation {
  // The record stays the same while others change: who asks for it is not drawn anew for every tick.
  return useAppSelector((s) => operationOf(s.mirror.apiary));
}

/** Today's date on this device, as a calendar day, with its clock corrected by so much. */
function deviceToday(offsetMs = 0, at = new Date()): Day {
  const now = new Date(at.getTime() + offsetMs);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** The day that the application reckons with: the demonstration's standing day, or the device's. */
export function useToday(): Day {
  const offset = useAppSelector((s) => s.mirror.clockOffsetMs);
  const corrected = Math.abs(offset) > CLOCK_TOLERANCE_MS ? offset : 0;
  return useOperation().fixedToday ?? deviceToday(corrected);
}

/** A day in a form: today until another is chosen, also when the server tells its day only after the form is shown. */
export function useChosenDay(): [day: string, choose: (day: string) => void] {
  const today = useToday();
  const [chosen, choose] = useState<string | null>(null);
  return [chosen ?? today, choose];
}

/** A clock further off than this is wrong; less may be a time zone or a slow answer. */
const CLOCK_TOLERANCE_MS = 12 * 3_600_000;

/** Days by which this device's clock is off, when it is wrong and it matters; else null. */
export function useClockFault(): number | null {
  const offset = useAppSelector((s) => s.mirror.clockOffsetMs);
  const { fixedToday } = useOperation();
  return fixedToday === null && Math.abs(offset) > CLOCK_TOLERANCE_MS
    ? Math.round(-offset / 86_400_000)
    : null;
}

/** A way to send commands, with what is wrong with the last one and whether one is under way. */
export function useSend(): {
  readonly send: (command: Command) => Promise<Sent>;
  readonly problems: readonly Problem[];
  readonly busy: boolean;
  readonly clear: () => void;
} {
  const dispatch = useAppDispatch();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const sendOne = useCallback(
    async (command: Command) => {
      setBusy(true);
      setProblems([]);
      try {
        const sent = await dispatch(send(command));
        if (!sent.ok) setProblems(sent.problems);
        return sent;
      } finally {
        setBusy(false);
      }
    },
    [dispatch],
  );
  const clear = useCallback(() => setProblems([]), []);
  return { send: sendOne, problems, busy, clear };
}
