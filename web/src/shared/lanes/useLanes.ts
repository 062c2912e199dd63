import { addDays, type Day } from '@incremen/core/basics';
import { openFollowUps } from '@incremen/core/records';
import {
  clashesOf,
  pastLast,
  planBOf,
  queenLane,
  reschedulesFor,
  type Clash,
  type PlanB,
  type QueenLane,
  type Reschedule,
} from '@incremen/core/followup';
import { useMemo } from 'react';
import { useApiary, useToday } from '../../mirror/hooks.ts';
import { useWeather } from '../weather/useWeather.ts';
import { senseOf } from '../weather/weatherWords.ts';

/** A part on its way to a queen, with its fallback. */
export interface LaneWithFallback {
  readonly lane: QueenLane;
  readonly planB: PlanB;
  /** What is said of a part past its last date; null before. */
  readonly pastLast: string | null;
}

/** Every part that raises a queen as its looks and the weather date it, what clashes, and what rain moves. */
export function useLanes(): {
  readonly lanes: readonly LaneWithFallback[];
  readonly clashes: readonly Clash[];
  readonly moves: readonly Reschedule[];
} {
  const apiary = useApiary();
  const today = useToday();
  const { report, now } = useWeather();
  const sense = useMemo(() => (report && now ? senseOf(report, now) : null), [report, now]);
  return useMemo(() => {
    const lanes = Object.values(apiary.colony).flatMap((colony): LaneWithFallback[] => {
      const lane = queenLane(apiary, colony, today, sense?.flying);
      if (!lane) return [];
      const planB = planBOf(apiary, lane, today);
      return [{ lane, planB, pastLast: pastLast(lane, planB, today) }];
    });
    const until: Day = report?.forecast.at(-1)?.time.slice(0, 10) ?? addDays(today, -1);
    const goodDays = [...new Set(sense?.windows.map((w) => w.day) ?? [])];
    return {
      lanes,
      clashes: clashesOf(
        apiary,
        lanes.map((l) => l.lane),
        today,
      ),
      moves: sense ? reschedulesFor(openFollowUps(apiary), goodDays, today, until) : [],
    };
  }, [apiary, today, sense, report]);
}
