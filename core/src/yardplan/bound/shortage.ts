import { INFINITE, solveModel, type Solver } from '../model/linearModel.ts';
import { pooledModel } from '../model/pooledModel.ts';
import type { YardProblem } from '../problem/problem.ts';

/** Something that the yards have too little of for the nucs that are asked for. */
export interface Shortage {
  readonly what: string;
  /** At least so much is missing. */
  readonly missing: number;
  readonly unit: string;
}

/** By the end of a rule's id: what is short when it is missed, one and many of it, and how a missed unit counts. */
const RESOURCE: Readonly<Record<string, readonly [what: string, one: string, many: string, each: number]>> = {
  floor: ['brood', 'frame of brood', 'frames of brood', 1],
  brood: ['brood', 'frame of brood', 'frames of brood', 1],
  'brood-combs-least': ['combs with brood', 'comb with brood', 'combs with brood', 1],
  bees: ['bees', 'frame of bees', 'frames of bees', 1],
  cover: ['bees', 'frame of bees', 'frames of bees', 1.25],
  'stores-combs': ['combs of honey', 'comb of honey', 'combs of honey', 1],
  stores: ['stores', 'frame of honey', 'frames of honey', 1],
  bread: ['bee bread', 'frame of bee bread', 'frames of bee bread', 1],
  empty: ['drawn comb', 'drawn comb', 'drawn combs', 1],
  eggs: ['eggs', 'tenth of a side with eggs', 'tenths of a side with eggs', 0.1],
};

/** What is done beyond a limit of the day counts for so much. */
const LIMITS = [
  {
    limit: 'hives',
    what: 'hives opened',
    price: 0.1,
    wordsOf: (n: number) => `${n === 1 ? 'hive' : 'hives'} to open`,
  },
  {
    limit: 'frames',
    what: 'frames carried',
    price: 0.02,
    wordsOf: (n: number) => `${n === 1 ? 'frame' : 'frames'} to carry`,
  },
] as const;

/**
 * What is missing for all the nucs that are asked for: the least that would have to be added, over all ways
 * to share out what is there. Empty when nothing is.
 *
 * Every rule may be missed at a price of one a unit, and nothing else costs anything. Frames may be divided,
 * so that what comes out is a floor: word it "at least".
 */
export function shortageOf(problem: YardProblem, solver: Solver): Shortage[] {
  if (problem.nucGoals.every((g) => g.count === null)) return [];
  const { model, pools, ruleRows, limitRows } = pooledModel(problem);
  model.forgetCosts();
  for (const goal of problem.nucGoals) {
    if (goal.count === null) continue;
    const own = pools.filter((p) => p.goalId === goal.id);
    if (own.length === 0) return [noGiver];
    const row = model.row(goal.count, goal.count);
    for (const p of own) {
      model.setBounds(p.made, 0, goal.count);
      model.add(row, p.made, 1);
    }
  }
  const slacks = ruleRows.flatMap(({ row, rule }) => {
    if (!rule.hard) return [];
    const resource = RESOURCE[rule.id.slice(rule.id.lastIndexOf('/') + 1)];
    // What is no resource is missed only when nothing else helps.
    const column = model.column(resource ? resource[3] : 20, 0, INFINITE, false);
    model.add(row, column, rule.sense === 'atLeast' ? 1 : -1);
    return [{ column, resource }];
  });
  // To open one hive more, or to carry a frame more, is easier than to find a frame of anything.
  const beyond = LIMITS.flatMap(({ limit, what, price, wordsOf }) => {
    const row = limitRows[limit];
    if (row === null) return [];
    const column = model.column(price, 0, INFINITE, false);
    model.add(row, column, -1);
    return [{ column, what, wordsOf }];
  });
  const { values } = solveModel(solver, model, 'relaxed');
  if (!values) return [];
  const byWhat = new Map<string, Shortage>();
  for (const { column, resource } of slacks) {
    const missing = values[column] ?? 0;
    if (!resource || missing < 0.05) continue;
    const [what, one, many] = resource;
    const sum = (byWhat.get(what)?.missing ?? 0) + missing;
    const rounded = Math.round(sum * 10) / 10;
    byWhat.set(what, { what, unit: rounded === 1 ? one : many, missing: rounded });
  }
  const found = [...byWhat.values()].filter((s) => s.missing >= 0.1);
  for (const { column, what, wordsOf } of beyond) {
    const missing = Math.ceil((values[column] ?? 0) - 0.05);
    if (missing > 0)
      found.push({ what, missing, unit: `${wordsOf(missing)} beyond the limit that you have set` });
  }
  return found.toSorted((a, b) => b.missing - a.missing);
}

const noGiver: Shortage = {
  what: 'a colony that can give',
  missing: 1,
  unit: 'colony above its floors, of that frame size',
};
