import {
  type CommandOf,
  type Apiary,
  type YardPlan,
  type YardStep,
  boxesOfColony,
  colonyOfFrame,
  type KeptReport,
  type WorkReport,
} from '../records/index.ts';
import { failure, success, type Result } from '../basics/index.ts';
import { withReport } from './mergeSteps.ts';

/**
 * What was really done in the course of an action about one unit. Its plan was not searched for, so nothing is
 * planned anew: moves that did not happen are taken out or led elsewhere, and the rest stands.
 */
export function reportOnAction(
  apiary: Apiary,
  plan: YardPlan,
  steps: readonly YardStep[],
  kept: KeptReport,
  newId: () => string,
): Result<CommandOf<'amendYardPlan'>> {
  const { report } = kept;
  const moves = movesAfter(apiary, plan, report);
  if (!moves.ok) return moves;
  const frameId = 'frameId' in report ? report.frameId : null;
  const done = withReport(steps, {
    id: newId(),
    kind: report.what === 'frame-went' || report.what === 'unit-added' ? 'move' : 'find',
    text: kept.words,
    day: kept.day,
    frameId,
  });
  const open = steps.filter((s) => s.doneOn === null && !done.some((d) => d.id === s.id));
  return success({
    type: 'amendYardPlan',
    yardPlan: {
      ...plan,
      status: 'working',
      body: { ...plan.body, moves: moves.value, reports: [...(plan.body.reports ?? []), kept] },
    },
    steps: [...done, ...open].map((s, order) => ({ ...s, order, yardPlanId: plan.id })),
  });
}

function movesAfter(
  apiary: Apiary,
  { body }: YardPlan,
  report: WorkReport,
): Result<YardPlan['body']['moves']> {
  if (report.what === 'unit-added') {
    return success(body.moves.filter((m) => !report.frameIds.includes(m.frameId)));
  }
  if (report.what !== 'frame-went') return success(body.moves);
  const rest = body.moves.filter((m) => m.frameId !== report.frameId);
  const home = colonyOfFrame(apiary, report.frameId);
  if (home?.id === report.toColonyId && report.slot === null) return success(rest);
  const frame = apiary.frame[report.frameId];
  const to = apiary.colony[report.toColonyId];
  const box = to && boxesOfColony(apiary, to).find((b) => b.sizeId === frame?.sizeId);
  const taken = (slot: number) =>
    Object.values(apiary.frame).some(
      (f) => f.boxId === box?.id && f.slot === slot && !rest.some((m) => m.frameId === f.id && m.to !== null),
    ) || rest.some((m) => m.to?.boxId === box?.id && m.to?.slot === slot);
  const free = box && Array.from({ length: box.slots }, (_, i) => i + 1).find((s) => !taken(s));
  const slot = report.slot ?? free;
  if (!frame || !box || slot === undefined || taken(slot)) {
    return failure({
      code: 'no-slot-free',
      path: ['toColonyId'],
      message: `There is no free slot for this frame in ${to?.name ?? 'that colony'}.`,
      remedy: 'Say in which slot it hangs, or take a comb out there first.',
    });
  }
  const from = frame.boxId !== null && frame.slot !== null ? { boxId: frame.boxId, slot: frame.slot } : null;
  return success([
    ...rest,
    {
      frameId: frame.id,
      from,
      to: { boxId: box.id, slot },
      fromKey: home?.id ?? 'store',
      toKey: report.toColonyId,
      reason: 'It went there.',
    },
  ]);
}
