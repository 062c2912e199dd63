import { NucPricer } from './nucPricer.ts';
import type { NucPool, Way } from '../model/pooledModel.ts';
import { STORE, nothingMoved, type Assignment, type YardProblem } from '../problem/problem.ts';

/** The nucs of one recipe in one yard, with what prices them. */
export interface PoolHunt {
  readonly pool: NucPool;
  /** Ways to fill them; items of the pricer. */
  readonly ways: readonly Way[];
  readonly pricer: NucPricer;
  /** The row that says that as many nucs are taken as are made. */
  readonly row: number;
  readonly hives: readonly number[];
  readonly known: Set<string>;
}

/** A nuc whole, as one column. */
export interface WholeNuc {
  readonly hunt: PoolHunt;
  readonly items: readonly number[];
}

/** Whether pins have begun a nuc, so that it can no longer be taken whole. */
export function hasBegunNucs(problem: YardProblem): boolean {
  const isNuc = (u: number | null) => u !== null && problem.units[u]?.kind === 'nuc';
  return problem.frames.some((f) => isNuc(f.pinnedTo) || isNuc(f.shakenAlready));
}

/** What prices the nucs of a pool. @param row - the row that counts them */
export function huntOf(pool: NucPool, all: readonly Way[], row: number): PoolHunt {
  const ways = all.filter((w) => w.pool === pool);
  const first = pool.nucs[0] as NucPool['nucs'][number];
  const items = ways.map((w) => ({
    thing: w.frame.index,
    isShake: w.isShake,
    home: w.frame.home,
    most: Math.min(w.most, first.slots),
    brings: w.brings,
  }));
  return {
    pool,
    ways,
    row,
    pricer: new NucPricer(items, first.rules, first.slots),
    hives: [...new Set(ways.map((w) => w.frame.home))].filter((h) => h !== STORE).toSorted((a, b) => a - b),
    known: new Set(),
  };
}

/** The nucs of a pool that a plan makes, each by its items. */
export function nucsOfPlan(problem: YardProblem, hunt: PoolHunt, plan: Assignment): number[][] {
  return hunt.pool.nucs
    .map((nuc) =>
      hunt.ways.flatMap((way, i) => {
        const taken = alike(problem, way).filter((f) =>
          way.isShake ? plan.shakenFor[f] === nuc.index : plan.to[f] === nuc.index,
        );
        return taken.map(() => i);
      }),
    )
    .filter((items) => items.length > 0);
}

/** The plan that does certain things so many times, and makes certain nucs. */
export function planOfNucs(
  problem: YardProblem,
  done: readonly { readonly way: Way; readonly times: number }[],
  made: readonly { readonly nuc: WholeNuc; readonly times: number }[],
): Assignment {
  const nothing = nothingMoved(problem);
  const plan = { to: [...nothing.to], shakenFor: [...nothing.shakenFor] };
  const taken = new Set<number>();
  const carryOut = (way: Way, unit: number) => {
    const frame = alike(problem, way).find((f) => !taken.has(f));
    if (frame === undefined) return;
    taken.add(frame);
    if (way.isShake) plan.shakenFor[frame] = unit;
    else plan.to[frame] = unit;
  };
  for (const { way, times } of done) for (let n = 0; n < times; n++) carryOut(way, way.to);
  const count = new Map<PoolHunt, number>();
  for (const { nuc, times } of made) {
    for (let n = 0; n < times; n++) {
      const nth = count.get(nuc.hunt) ?? 0;
      const unit = nuc.hunt.pool.nucs[nth];
      if (!unit) break;
      count.set(nuc.hunt, nth + 1);
      for (const i of nuc.items) carryOut(nuc.hunt.ways[i] as Way, unit.index);
    }
  }
  return plan;
}

/** The frames that a way stands for: one, or all alike combs of the store. */
function alike(problem: YardProblem, { frame, to }: Way): number[] {
  if (frame.home !== STORE) return [frame.index];
  return problem.frames.flatMap((f) =>
    f.home === STORE &&
    f.pinnedTo === null &&
    f.size === frame.size &&
    f.blank === frame.blank &&
    f.mayGoTo.includes(to)
      ? [f.index]
      : [],
  );
}
