import {
  boxesOfColony,
  colonyOfFrame,
  STORE_KEY,
  type Apiary,
  type Work,
  type WorkMove,
  type WorkReport,
} from '../records/index.ts';
import { failure, success, type Result } from '../basics/index.ts';
import type { Replanned, UnderReport } from './replanned.ts';

/**
 * What was really done in the course of an action about one colony. Its plan was not searched for, so nothing is
 * planned anew: moves that did not happen are taken out or led elsewhere, and the rest stands.
 */
export function replanAction({ apiary, work, steps, report }: UnderReport): Result<Replanned> {
  const moves = movesAfter(apiary, work, report);
  if (!moves.ok) return moves;
  const told = 'frameId' in report ? report.frameId : null;
  return success({
    body: { ...work.body, moves: moves.value },
    before: steps,
    anew: steps.filter((s) => s.kind !== 'move' || told === null || s.frameIds.join() !== told),
    settled: new Set<string>(),
    virginSeen: false,
  });
}

function movesAfter(apiary: Apiary, { body }: Work, report: WorkReport): Result<WorkMove[]> {
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
      fromKey: home?.id ?? STORE_KEY,
      toKey: report.toColonyId,
      reason: 'It went there.',
    },
  ]);
}
