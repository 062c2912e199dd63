import { z } from 'zod';
import { moveV1, planV1, stepV1, yardPlanV1, yardStepV1, type MoveV1, type PlanV1 } from './schemas.ts';
import { workOfPlan, workOfYardPlan, workStepOf } from './upgradeWork.ts';
import type { Work } from '../../records/index.ts';

/**
 * From version 1 to 2: splits, plans for yards and what is done about one colony become one kind of work.
 *
 * Identifiers stay. Nothing is thrown away: a move is in the body of its work now. What did not change shape goes
 * through as it is, and is checked by whoever reads it.
 */

type Raw = Record<string, unknown>;

/** The records of version 1, by kind, as they come out of a file or a database. */
export type RecordsV1 = Readonly<Record<string, readonly unknown[] | undefined>>;

/** The kinds that are not there any more. */
const KINDS_GONE = ['plan', 'move', 'step', 'yardPlan', 'yardStep'] as const;

/** What becomes of a colony and a follow-up: they name the work that they come from as what it is. */
export function renamePlanId(record: unknown): unknown {
  if (typeof record !== 'object' || record === null) return record;
  const { planId, ...rest } = record as Raw;
  const renamed: Raw = planId === undefined ? { ...(record as Raw) } : { ...rest, workId: planId };
  for (const part of ['origin', 'separation']) {
    if (typeof renamed[part] === 'object' && renamed[part] !== null)
      renamed[part] = renamePlanId(renamed[part]);
  }
  return renamed;
}

const byPlan = (moves: readonly MoveV1[]) => {
  const of = new Map<string, MoveV1[]>();
  for (const m of moves) of.set(m.planId, [...(of.get(m.planId) ?? []), m]);
  return of;
};

/** Records of version 1 as those of version 2. @throws ZodError where work has not the shape of version 1 */
export function upgradeRecords(records: RecordsV1): Record<string, unknown[]> {
  const list = <T>(kind: string, schema: z.ZodType<T>): T[] =>
    z
      .object({ records: z.object({ [kind]: z.array(schema).default([]) }) })
      .parse({ records: { [kind]: records[kind] } }).records[kind] as T[];
  const moves = byPlan(list('move', moveV1));
  const work = [
    ...list('plan', planV1).map((p) => workOfPlan(p, moves.get(p.id) ?? [])),
    ...list('yardPlan', yardPlanV1).map(workOfYardPlan),
  ];
  const byId = new Map(work.map((w) => [w.id, w]));
  const steps = [
    ...list('step', stepV1).map(({ planId, ...s }) => workStepOf(s, byId.get(planId), planId)),
    ...list('yardStep', yardStepV1).map(({ yardPlanId, ...s }) =>
      workStepOf(s, byId.get(yardPlanId), yardPlanId),
    ),
  ];
  const rest = Object.fromEntries(
    Object.entries(records).flatMap(([kind, of]) =>
      KINDS_GONE.some((gone) => gone === kind) ? [] : [[kind, [...(of ?? [])]]],
    ),
  );
  return {
    ...rest,
    ...(rest['colony'] && { colony: rest['colony'].map(renamePlanId) }),
    ...(rest['followUp'] && { followUp: rest['followUp'].map(renamePlanId) }),
    work,
    workStep: steps,
  };
}

/** One record before and after, of version 1. */
interface ChangeV1 {
  readonly kind: string;
  readonly id: string;
  readonly before: unknown;
  readonly after: unknown;
}

/**
 * The journal of an operation, entry by entry in the order in which it was written: a split and its moves were
 * records of their own, so that a change of the one is read beside the other as it then was.
 */
export class JournalUpgrade {
  private readonly plans = new Map<string, PlanV1>();
  private readonly moves = new Map<string, Map<string, MoveV1>>();
  private readonly works = new Map<string, Work>();

  /** The changes of the next entry. @throws ZodError where one has not the shape of version 1 */
  next(changes: readonly ChangeV1[]): ChangeV1[] {
    const touched = new Map<string, { before: Work | null; plan: PlanV1 | null }>();
    const touch = (planId: string) => {
      if (touched.has(planId)) return;
      const plan = this.plans.get(planId) ?? null;
      touched.set(planId, { before: plan && this.workOf(plan), plan });
    };
    for (const c of changes) {
      if (c.kind === 'plan') touch(c.id);
      if (c.kind === 'move') touch(moveV1.parse(c.after ?? c.before).planId);
    }
    for (const c of changes) {
      if (c.kind === 'plan') this.keep(this.plans, c.id, c.after === null ? null : planV1.parse(c.after));
      if (c.kind === 'move') this.keepMove(moveV1.parse(c.after ?? c.before), c.after !== null);
    }
    const works = [...touched].map(([id, { before }]): ChangeV1 => {
      const plan = this.plans.get(id);
      const after = plan ? this.workOf(plan) : null;
      if (after) this.works.set(id, after);
      return { kind: 'work', id, before, after };
    });
    return [
      ...works.filter((c) => c.before !== null || c.after !== null),
      // Work before its steps: what a step is about is read with the names of its units.
      ...changes.filter((c) => c.kind === 'yardPlan').flatMap((c) => this.other(c)),
      ...changes.filter((c) => c.kind !== 'yardPlan').flatMap((c) => this.other(c)),
    ];
  }

  private other(change: ChangeV1): ChangeV1[] {
    const { kind, id, before, after } = change;
    const both = (kindNow: string, map: (record: unknown) => unknown): ChangeV1[] => [
      {
        kind: kindNow,
        id,
        before: before === null ? null : map(before),
        after: after === null ? null : map(after),
      },
    ];
    switch (kind) {
      case 'plan':
      case 'move':
        return [];
      case 'yardPlan':
        return both('work', (r) => {
          const work = workOfYardPlan(yardPlanV1.parse(r));
          this.works.set(id, work);
          return work;
        });
      case 'step':
        return both('workStep', (r) => {
          const { planId, ...s } = stepV1.parse(r);
          return workStepOf(s, this.works.get(planId), planId);
        });
      case 'yardStep':
        return both('workStep', (r) => {
          const { yardPlanId, ...s } = yardStepV1.parse(r);
          return workStepOf(s, this.works.get(yardPlanId), yardPlanId);
        });
      case 'colony':
      case 'followUp':
        return both(kind, renamePlanId);
      default:
        return [change];
    }
  }

  private workOf(plan: PlanV1): Work {
    return workOfPlan(plan, [...(this.moves.get(plan.id)?.values() ?? [])]);
  }

  private keepMove(move: MoveV1, isThere: boolean): void {
    const own = this.moves.get(move.planId) ?? new Map<string, MoveV1>();
    this.moves.set(move.planId, own);
    this.keep(own, move.id, isThere ? move : null);
  }

  private keep<T>(table: Map<string, T>, id: string, record: T | null): void {
    if (record === null) table.delete(id);
    else table.set(id, record);
  }
}
