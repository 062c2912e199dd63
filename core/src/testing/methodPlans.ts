import { bothSides, type FrameReading } from '../comb/contents.ts';
import { seededIds } from '../demo/seededIds.ts';
import type { MethodId } from '../records/bodies/methodId.ts';
import { makePlan } from '../split/plan/makePlan.ts';
import { TestYard } from './builders.ts';

/** The day of the work in tests of methods. */
export const METHOD_DAY = '2026-05-09';

/** Combs of a strong colony. */
export const COMBS = {
  honey: bothSides({ honey: 8, beeBread: 1, drawn: 1 }, 8),
  young: bothSides({ eggs: 2, open: 4, beeBread: 1, honey: 1, drawn: 2 }, 9),
  capped: bothSides({ capped: 6, beeBread: 1, honey: 2, drawn: 1 }, 9),
  drawn: bothSides({ drawn: 9, nectar: 1 }, 3),
} as const;

/** A comb with open, charged cells, or with capped ones. */
export const withCells = (comb: FrameReading, kind: 'charged' | 'capped', count: number): FrameReading => ({
  ...comb,
  cells: [kind === 'charged' ? { kind, count, larvaAgeDays: 1 } : { kind, count }],
});

/** The same comb with the queen on it. */
export const withQueen = (comb: FrameReading): FrameReading => ({ ...comb, queenSeen: true });

const { honey, young, capped } = COMBS;
/** Ten combs of a full brood box. */
export const FULL_BOX = [honey, capped, young, young, capped, young, capped, capped, honey, honey];

/** A plan by a method for a colony in these boxes. */
export function methodPlan(
  methodId: MethodId,
  boxes: readonly (readonly FrameReading[])[],
  options: Readonly<Record<string, string>> = {},
) {
  const yard = new TestYard();
  const colony = yard.hive('Old', boxes);
  const plan = makePlan(
    yard.apiary,
    { colonyId: colony.id, methodId, day: METHOD_DAY, newName: 'New', options },
    seededIds(4),
  );
  if (!plan.ok) throw new Error(plan.problems[0]?.message);
  const { command, frames, parts } = plan.value;
  const { body } = command.work;
  const goes = new Set(parts[1].slots.map((s) => s.frameId));
  return {
    yard,
    command,
    body,
    stay: parts[0],
    fresh: parts[1],
    moved: frames.filter((f) => goes.has(f.id)),
    stayed: frames.filter((f) => !goes.has(f.id)),
    broken: body.ledger.filter((l) => l.state === 'broken').map((l) => l.id),
    looks: body.looks.map((f) => [f.topic, f.window.earliest, f.window.latest] as const),
    texts: command.steps.map((s) => `${s.text}. ${s.detail}`).join('\n'),
  };
}
