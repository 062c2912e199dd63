import { coloniesOfYard, type Apiary, type Colony, type YardPlanRequest } from '@incremen/core/records';
import type { Situation, YardMethod } from '@incremen/core/split';

/** What a yard method asks of the planner for this colony. */
export function askFor(
  apiary: Apiary,
  method: YardMethod,
  colony: Colony,
  yardId: string,
  day: string,
  now: Situation,
): YardPlanRequest {
  const box = Object.values(apiary.box).find((b) => b.hiveId === colony.hiveId && b.role === 'brood');
  return method.ask({
    colonyId: colony.id,
    yardId,
    otherIds: coloniesOfYard(apiary, yardId)
      .map((c) => c.id)
      .filter((id) => id !== colony.id),
    sizeId: box?.sizeId ?? 'langstroth-deep',
    day,
    now,
  });
}
