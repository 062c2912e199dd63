import type { WorkStep } from '../records/bodies/work.ts';
import type { Apiary, Work } from '../records/records.ts';

/**
 * Does a plan's steps one after the other, and says what cannot be done: a comb that is not where the step takes it from, a
 * slot in which another hangs, a comb that no step carries, or two.
 *
 * @param before - the records before the work
 */
export function replaySteps(before: Apiary, work: Work, steps: readonly WorkStep[]): string[] {
  const wrong: string[] = [];
  const keyOf = (p: { readonly boxId: string; readonly slot: number }) => `${p.boxId}/${p.slot}`;
  const moves = new Map(work.body.moves.map((m) => [m.frameId, m]));
  const at = new Map<string, string>();
  for (const f of Object.values(before.frame))
    if (f.boxId !== null && f.slot !== null) at.set(f.id, keyOf({ boxId: f.boxId, slot: f.slot }));
  const moved = new Set<string>();
  for (const step of [...steps].toSorted((a, b) => a.order - b.order)) {
    if (step.kind !== 'move' && step.kind !== 'fill' && step.kind !== 'close') continue;
    if (step.task === 'aside') {
      for (const id of step.frameIds) {
        const from = moves.get(id)?.from;
        if (!from || at.get(id) !== keyOf(from)) wrong.push(`${step.text}: not there`);
        at.delete(id);
      }
      continue;
    }
    for (const id of step.frameIds) {
      const move = moves.get(id);
      if (!move) continue;
      if (moved.has(id)) wrong.push(`${step.text}: carried twice`);
      moved.add(id);
      const place = at.get(id);
      if (place !== undefined && move.from && place !== keyOf(move.from))
        wrong.push(`${step.text}: not there`);
      at.delete(id);
    }
    for (const id of step.frameIds) {
      const to = moves.get(id)?.to;
      if (!to) continue;
      const place = keyOf(to);
      if ([...at.values()].includes(place)) wrong.push(`${step.text}: slot ${to.slot} is full`);
      at.set(id, place);
    }
  }
  for (const m of work.body.moves) if (!moved.has(m.frameId)) wrong.push(`no step carries ${m.reason}`);
  return wrong;
}
