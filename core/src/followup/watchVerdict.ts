import { operationOf, type Apiary, type FollowUp, framesOfColony, nestOf } from '../records/index.ts';
import type { Day } from '../basics/index.ts';
import { strengthOf } from '../forecast/index.ts';

/** How a watch stands by what was counted since it was begun. */
export type WatchVerdict =
  | { readonly is: 'uncounted' }
  | {
      /** Stood and failed are final; early: short of it, and its day has not come yet. */
      readonly is: 'stood' | 'failed' | 'early';
      readonly day: Day;
      readonly brood: number;
      readonly bees: number;
    };

/** Judges a watch by the latest count; null for a look that is no watch, or whose test is in words alone. */
export function watchVerdict(apiary: Apiary, followUp: FollowUp): WatchVerdict | null {
  const { test, colonyIds } = followUp;
  const colony = apiary.colony[colonyIds[0] ?? ''];
  if (!test || !colony) return null;
  const frames = framesOfColony(apiary, colony);
  const days = frames.flatMap((f) => (f.reading ? [f.reading.day] : []));
  const day = days.reduce((a, b) => (b > a ? b : a), '');
  if (day <= test.since) return { is: 'uncounted' };
  const { frames: sums, framesOfBees } = strengthOf(nestOf(frames), operationOf(apiary).referenceSize);
  const brood = sums.eggs + sums.open + sums.capped + sums.emerging;
  const bees = framesOfBees.likely;
  const stood = brood >= test.brood - NEAR || bees > test.bees + NEAR;
  return { is: stood ? 'stood' : day >= followUp.window.earliest ? 'failed' : 'early', day, brood, bees };
}

/** Counts are by eye: nobody sees a twentieth of a frame. */
const NEAR = 0.05;
