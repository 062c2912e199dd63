import { numberAt } from '../../basics/index.ts';
import type { Assignment, YardProblem } from '../problem/problem.ts';

/** Which hives are opened, as far as that is settled. */
export interface HiveChoice {
  /** By index of the unit. */
  readonly opened: ReadonlySet<number>;
  readonly closed: ReadonlySet<number>;
  /** By yard: how many hives are opened in all, at least and at most. */
  readonly count: ReadonlyMap<string, readonly [least: number, most: number]>;
}

/** Nothing is settled. */
export const ANY_HIVES: HiveChoice = { opened: new Set(), closed: new Set(), count: new Map() };

/** The same yard with all other hives left shut. */
export function onlyHives(problem: YardProblem, hives: ReadonlySet<number>): YardProblem {
  const mayOpen = (u: number) => problem.units[u]?.kind !== 'colony' || hives.has(u);
  return {
    ...problem,
    frames: problem.frames.map((f) => ({
      ...f,
      mayGoTo: mayOpen(f.home) ? f.mayGoTo.filter(mayOpen) : [],
      mayShakeFor: mayOpen(f.home) ? f.mayShakeFor.filter(mayOpen) : [],
    })),
  };
}

/** A share of a hive, or of a nuc, that is as good as none, or as one. */
export const PART = 0.02;

/**
 * The hives that are opened for the most part, as many as are opened in all, and so many more; and the one that
 * comes next.
 *
 * @param opening - by index of the unit: in how far it is opened
 */
export function mostlyOpened(
  opening: ReadonlyMap<number, number>,
  more = 0,
): { readonly hives: ReadonlySet<number>; readonly next: number | null } {
  const order = [...opening].filter(([, part]) => part > 1e-6).sort((a, b) => b[1] - a[1] || a[0] - b[0]);
  const sum = order.reduce((s, [, part]) => s + part, 0);
  const count = sum <= PART ? 0 : Math.ceil(sum - PART) + more;
  return { hives: new Set(order.slice(0, count).map(([unit]) => unit)), next: order[count]?.[0] ?? null };
}

/** The hives that a plan opens. */
export function hivesOpenedBy(problem: YardProblem, plan: Assignment): Set<number> {
  const touched = problem.frames.flatMap((f, i) => {
    const to = numberAt(plan.to, i);
    const shaken = plan.shakenFor[i] ?? null;
    return [...(to === f.home ? [] : [to, f.home]), ...(shaken === null ? [] : [shaken, f.home])];
  });
  return new Set(touched.filter((u) => problem.units[u]?.kind === 'colony'));
}
