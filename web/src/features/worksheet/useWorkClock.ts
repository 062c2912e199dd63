import type { WorkState } from '@incremen/core/work';
import { useEffect, useState } from 'react';
import { keepClock, readClock, type WorkClock } from './workClock.ts';

const BEAT_MS = 15_000;

/** The clock of a piece of work: how long a hive has stood open, whether work is stopped, and since when. */
export function useWorkClock(workId: string, state: WorkState) {
  const [clock, setClock] = useState(() => readClock(workId));
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const beat = setInterval(() => setNow(Date.now()), BEAT_MS);
    return () => clearInterval(beat);
  }, []);
  const openStep = state.open?.stepId ?? null;
  const openedAt = openStep === null ? null : (clock.openedAt[openStep] ?? null);
  // A hive that has just been opened begins its clock; the beat before is near enough.
  if (openStep !== null && openedAt === null) {
    setClock({ ...clock, openedAt: { ...clock.openedAt, [openStep]: now } });
  }
  useEffect(() => keepClock(workId, clock), [workId, clock]);
  const change = (next: WorkClock) => {
    setClock(next);
    setNow(Date.now());
  };
  return {
    openMinutes: openedAt === null ? 0 : Math.max(0, Math.floor((now - openedAt) / 60_000)),
    endsAt: new Date(now + state.minutesLeft * 60_000),
    pausedAt: clock.pausedAt === null ? null : new Date(clock.pausedAt),
    closed: clock.closed,
    now,
    until: clock.until,
    setUntil: (until: number | null) => change({ ...clock, until }),
    pause: (closed: readonly string[]) => change({ ...clock, pausedAt: Date.now(), closed: [...closed] }),
    goOn: () => {
      // What was closed for the time being is opened anew, and its clock begins again.
      const openedAgain = openStep === null ? clock.openedAt : { ...clock.openedAt, [openStep]: Date.now() };
      change({ ...clock, openedAt: openedAgain, pausedAt: null, closed: [] });
    },
  };
}
