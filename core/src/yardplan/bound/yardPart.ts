import { numberAt } from '../../basics/index.ts';
import {
  STORE,
  nothingMoved,
  type Assignment,
  type YardFrame,
  type YardProblem,
} from '../problem/problem.ts';

/** One yard of a problem, as a problem of its own. */
export interface YardPart {
  readonly problem: YardProblem;
  /** Indices in the whole problem, by index in the part. */
  readonly units: readonly number[];
  readonly frames: readonly number[];
}

/**
 * The yards of a problem, one by one. Frames do not cross from yard to yard: all that yards share is the store, of
 * which each part has the whole, and the number of nucs, of which each part may make as many as it can.
 *
 * @returns null for a single yard, and where a pin carries something across
 */
export function yardParts(problem: YardProblem): YardPart[] | null {
  const yards = [...new Set(problem.units.map((u) => u.yardId))];
  if (yards.length < 2) return null;
  const yardOf = (unit: number | null) =>
    unit === null || unit === STORE ? null : (problem.units[unit]?.yardId ?? null);
  const isAcross = ({ home, pinnedTo, shakenAlready }: YardFrame) =>
    new Set([home, pinnedTo, shakenAlready].map(yardOf).filter((y) => y !== null)).size > 1;
  if (problem.frames.some(isAcross)) return null;
  return yards.map((yardId) => partOf(problem, yardId, yardOf));
}

function partOf(
  problem: YardProblem,
  yardId: string,
  yardOf: (unit: number | null) => string | null,
): YardPart {
  const own = problem.units.filter((u) => u.yardId === yardId);
  const number = new Map([[STORE, STORE], ...own.map((u, i) => [u.index, i] as const)]);
  const numberOf = (unit: number | null) => (unit === null ? null : (number.get(unit) ?? null));
  const among = (units: readonly number[]) => units.flatMap((u) => numberOf(u) ?? []);
  const frames = problem.frames.filter(
    (f) => number.has(f.home) && (yardOf(f.pinnedTo) ?? yardId) === yardId,
  );
  return {
    units: own.map((u) => u.index),
    frames: frames.map((f) => f.index),
    problem: {
      ...problem,
      units: own.map((u, index) => ({ ...u, index })),
      frames: frames.map((f, index) => ({
        ...f,
        index,
        home: number.get(f.home) as number,
        mayGoTo: among(f.mayGoTo),
        mayShakeFor: among(f.mayShakeFor),
        pinnedTo: numberOf(f.pinnedTo),
        shakenAlready: numberOf(f.shakenAlready),
      })),
      nucGoals: problem.nucGoals.map((goal) => ({
        ...goal,
        wanted: own.filter((u) => u.goalId === goal.id).length,
      })),
    },
  };
}

/** The part of a plan that is about one yard. */
export function planOfPart({ units, frames }: YardPart, plan: Assignment): Assignment {
  const number = new Map([[STORE, STORE], ...units.map((u, i) => [u, i] as const)]);
  return {
    // A comb of the store that another yard gets stays in the store of this part.
    to: frames.map((f) => number.get(numberAt(plan.to, f)) ?? STORE),
    shakenFor: frames.map((f) => {
      const unit = plan.shakenFor[f] ?? null;
      return unit === null ? null : (number.get(unit) ?? null);
    }),
  };
}

/**
 * Plans of all yards as one.
 *
 * @returns null when the store has too few combs for all of them
 */
export function planOfParts(
  problem: YardProblem,
  plans: readonly { readonly part: YardPart; readonly plan: Assignment }[],
): Assignment | null {
  const nothing = nothingMoved(problem);
  const whole = { to: [...nothing.to], shakenFor: [...nothing.shakenFor] };
  const given = new Set<number>();
  for (const { part, plan } of plans) {
    const unitOf = (u: number) => (u === STORE ? STORE : numberAt(part.units, u));
    for (const [i, f] of part.frames.entries()) {
      const frame = problem.frames[f] as YardFrame;
      const to = unitOf(numberAt(plan.to, i));
      const shaken = plan.shakenFor[i] ?? null;
      if (frame.home !== STORE) {
        whole.to[f] = to;
        whole.shakenFor[f] = shaken === null ? null : unitOf(shaken);
      } else if (to !== STORE && frame.pinnedTo === null) {
        // Each part took combs from the whole store: one that is taken already gives way to another like it.
        const free = [f, ...problem.frames.keys()].find((o) => !given.has(o) && isAlike(problem, o, f, to));
        if (free === undefined) return null;
        given.add(free);
        whole.to[free] = to;
      }
    }
  }
  return whole;
}

function isAlike(problem: YardProblem, other: number, comb: number, to: number): boolean {
  const [a, b] = [problem.frames[other], problem.frames[comb]] as [YardFrame, YardFrame];
  return (
    a.home === STORE &&
    a.pinnedTo === null &&
    a.size === b.size &&
    a.blank === b.blank &&
    a.mayGoTo.includes(to)
  );
}
