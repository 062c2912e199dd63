import { daysBetween, type Day, type Problem } from '../../basics/index.ts';
import { colonyOn, openingGate } from '../../forecast/index.ts';
import {
  boxesOfColony,
  coloniesOfYard,
  newYardPlanRequest,
  NUC_RECIPES,
  operationOf,
  placeOf,
  type Apiary,
  type Colony,
  type NucRecipe,
  type SeasonRound,
  type Work,
  type YardGoal,
} from '../../records/index.ts';
import { houseRules } from '../../rules/index.ts';
import { apiaryAfter } from '../../remedies/index.ts';
import { makePlan } from '../../split/index.ts';
import { ownFlows } from '../year/ownFlows.ts';
import type { FamilyStory } from '../course/story.ts';
import type { SeasonProblem } from '../course/problem.ts';
import { asInSeason } from './asInSeason.ts';
import { inUsualYear } from './usualYear.ts';
import {
  buildProblem,
  evaluate,
  makeYardPlan,
  nothingMoved,
  planOfAll,
  YardSearch,
  type Solver,
} from '../../yardplan/index.ts';

/** What the planner of a day makes of a round, on its day, with the rounds before it done. */
export interface RoundTrial {
  readonly round: SeasonRound;
  /** Colonies that it makes without breaking a rule; for rounds that make none, 1 when it can be done. */
  readonly possible: number;
  /** Why it is not all that was asked; null where it is. */
  readonly why: string | null;
  /** The colonies that give, by name, yard by yard. */
  readonly donors: readonly { readonly yard: string; readonly names: readonly string[] }[];
  /** Colonies that stand in these yards and were never counted: nobody can plan with their combs. */
  readonly uncounted: readonly string[];
}

/** A few colonies are enough to say where a count is missing. */
const ROUNDS_OF_SEARCH = 2;

/** What is planned so soon is tried on the combs as they hang; what lies further ahead, on what the season makes of them. */
const AS_THEY_HANG_DAYS = 14;

/**
 * Tries the rounds of a season one after another in the planner of a day: each on the records as the ones before will leave
 * them, in a usual year. What it cannot make is said with its reason.
 *
 * @param story - a typical season of these rounds
 * @param solver - looks for more nucs where the quick search finds fewer than asked
 */
export function tryRounds(
  apiary: Apiary,
  problem: SeasonProblem,
  rounds: readonly SeasonRound[],
  story: readonly FamilyStory[],
  newId: () => string,
  solver: Solver | null,
): RoundTrial[] {
  let now = inUsualYear(apiary, problem.from, ownFlows(apiary).likely);
  const uncounted = Object.values(apiary.colony)
    .filter((c) => c.endedOn === null && colonyOn(apiary, c, problem.from).model === null)
    .map((c) => c.id);
  return rounds.map((round): RoundTrial => {
    // A queen that is moved is looked for on the day: where she sits today says nothing.
    const ahead = round.what === 'queen-out' || daysBetween(problem.from, round.day) > AS_THEY_HANG_DAYS;
    // Who was never counted is supposed to be what the season makes of it.
    const then =
      ahead || uncounted.length > 0
        ? asInSeason(now, problem, story, round.day, newId, ahead ? null : new Set(uncounted))
        : now;
    const { trial, works } = tryRound(then, round, new Set(uncounted), newId, solver);
    now = works.reduce((a, work) => apiaryAfter(a, work), then);
    return trial;
  });
}

interface Tried {
  readonly trial: RoundTrial;
  readonly works: readonly Work[];
}

function tryRound(
  apiary: Apiary,
  round: SeasonRound,
  never: ReadonlySet<string>,
  newId: () => string,
  solver: Solver | null,
): Tried {
  const yards = Object.values(apiary.yard).filter(
    (y) => y.closedOn === null && (round.yardId === null || y.id === round.yardId),
  );
  const yardIds = yards.filter((y) => coloniesOfYard(apiary, y.id).length > 0).map((y) => y.id);
  const uncounted = yardIds.flatMap((id) =>
    coloniesOfYard(apiary, id)
      .filter((c) => never.has(c.id))
      .map((c) => c.name),
  );
  const none = (why: string): Tried => ({
    trial: { round, possible: 0, why, donors: [], uncounted },
    works: [],
  });
  if (yardIds.length === 0) return none('No colony stands in this yard.');
  switch (round.what) {
    case 'nucs':
    case 'queen-out':
      return tryNucs(apiary, round, yardIds, uncounted, newId, solver);
    case 'halves':
      return tryHalves(apiary, round, yardIds, uncounted, newId);
    case 'level': {
      const built = buildProblem(apiary, {
        ...newYardPlanRequest(yardIds, round.day),
        goals: [{ id: 'level', kind: 'level', by: 'capped', importance: 2 }],
      });
      if (!built.ok) return none(said(built.problems));
      const search = new YardSearch(built.value);
      search.first();
      search.round();
      const still = nothingMoved(built.value).to;
      const moves = search.best().plan.to.some((to, i) => to !== still[i]);
      return moves
        ? { trial: { round, possible: 1, why: null, donors: [], uncounted }, works: [] }
        : none('The colonies are level already.');
    }
    case 'unite':
    case 'come-down': {
      const gates = yards.map((y) => openingGate(apiary, y, round.day));
      const [gate] = gates;
      return gate && gates.every((g) => g !== null)
        ? none(gate.why)
        : { trial: { round, possible: 1, why: null, donors: [], uncounted }, works: [] };
    }
  }
}

const said = (problems: readonly Problem[]): string => problems[0]?.message ?? 'It cannot be planned.';

/** Nucs of the usual recipe in the yard's own frames. */
export function recipeFor(apiary: Apiary, yardIds: readonly string[], queen: NucRecipe['queen']): NucRecipe {
  const usual = NUC_RECIPES[0]?.recipe as NucRecipe;
  const sizes = new Map<string, number>();
  for (const id of yardIds)
    for (const c of coloniesOfYard(apiary, id))
      for (const b of boxesOfColony(apiary, c))
        if (b.role === 'brood') sizes.set(b.sizeId, (sizes.get(b.sizeId) ?? 0) + 1);
  const [most] = [...sizes].toSorted((a, b) => b[1] - a[1]);
  return { ...usual, queen, ...(most && { sizeId: most[0] as NucRecipe['sizeId'] }) };
}

function tryNucs(
  apiary: Apiary,
  round: SeasonRound,
  yardIds: readonly string[],
  uncounted: readonly string[],
  newId: () => string,
  solver: Solver | null,
): Tried {
  const recipe = recipeFor(apiary, yardIds, round.what === 'queen-out' ? 'old-queen' : round.queen);
  const goal: YardGoal = {
    id: 'nucs',
    kind: 'makeNucs',
    count: Math.min(120, round.parts),
    recipe,
    importance: 2,
  };
  const built = buildProblem(apiary, { ...newYardPlanRequest(yardIds, round.day), goals: [goal] });
  if (!built.ok)
    return { trial: { round, possible: 0, why: said(built.problems), donors: [], uncounted }, works: [] };
  const problem = built.value;
  const search = new YardSearch(problem);
  search.first();
  for (let r = 0; r < ROUNDS_OF_SEARCH; r++) search.round(0.3);
  let { plan, feasible } = search.best();
  let seen = evaluate(problem, plan);
  if ((!feasible || seen.nucsMade < round.parts) && solver) {
    const better = planOfAll(problem, solver);
    if (better && (!feasible || evaluate(problem, better.plan).nucsMade > seen.nucsMade)) {
      plan = better.plan;
      seen = evaluate(problem, plan);
      feasible = true;
    }
  }
  const possible = feasible ? seen.nucsMade : 0;
  if (possible === 0)
    return {
      trial: { round, possible, why: seen.shortfalls[0]?.text ?? NOT_ENOUGH, donors: [], uncounted },
      works: [],
    };
  const made = makeYardPlan(
    apiary,
    problem,
    plan,
    { names: {}, bound: null, name: 'a round of the season' },
    newId,
  );
  const donors = byYard(
    apiary,
    [...new Set(made.work.body.newHives.map((h) => h.fromColonyId))].flatMap((id) => apiary.colony[id] ?? []),
  );
  return {
    trial: {
      round,
      possible,
      why: possible >= round.parts ? null : (seen.shortfalls[0]?.text ?? NOT_ENOUGH),
      donors,
      uncounted,
    },
    works: [made.work],
  };
}

const NOT_ENOUGH = 'The colonies have no more bees, brood or combs to give on that day.';

/** Colonies by the yard in which they stand. */
function byYard(apiary: Apiary, colonies: readonly Colony[]): RoundTrial['donors'] {
  const yards = new Map<string, string[]>();
  for (const c of colonies) {
    const yard = placeOf(apiary, c).yard?.name ?? '';
    yards.set(yard, [...(yards.get(yard) ?? []), c.name]);
  }
  return [...yards].map(([yard, names]) => ({ yard, names }));
}

/** Halves are made colony by colony, the strongest first. */
function tryHalves(
  apiary: Apiary,
  round: SeasonRound,
  yardIds: readonly string[],
  uncounted: readonly string[],
  newId: () => string,
): Tried {
  const rules = houseRules(operationOf(apiary).houseRules.changes);
  const strength = (c: Colony) => colonyOn(apiary, c, round.day).model?.framesOfBees ?? 0;
  const strong = yardIds
    .flatMap((id) => coloniesOfYard(apiary, id))
    .map((colony) => ({ colony, frames: strength(colony) }))
    .filter((s) => s.frames >= rules.strongForHalves)
    .toSorted((a, b) => b.frames - a.frames);
  const works: Work[] = [];
  const donors: Colony[] = [];
  let why: string | null = null;
  for (const { colony } of strong) {
    if (works.length >= round.parts) break;
    const found = halvesOf(apiary, colony, round.day, newId);
    if (typeof found === 'string') why ??= `${colony.name}: ${found}`;
    else {
      works.push(found);
      donors.push(colony);
    }
  }
  const enough = works.length >= round.parts;
  return {
    trial: {
      round,
      possible: works.length,
      why: enough
        ? null
        : (why ??
          `Only ${strong.length} of the colonies have ${rules.strongForHalves} frames of bees on that day.`),
      donors: byYard(apiary, donors),
      uncounted,
    },
    works,
  };
}

/** The split of one colony into halves that breaks no rule, on its stand or beside it; else why there is none. */
function halvesOf(apiary: Apiary, colony: Colony, day: Day, newId: () => string): Work | string {
  let why = NOT_ENOUGH;
  for (const options of [
    {},
    { distance: 'beside' },
    { frames: 'even' },
    { frames: 'even', distance: 'beside' },
  ]) {
    const made = makePlan(
      apiary,
      { colonyId: colony.id, methodId: 'walk-away-halves', day, newName: `${colony.name} II`, options },
      newId,
    );
    if (!made.ok) {
      why = said(made.problems);
      continue;
    }
    const { work } = made.value.command;
    const broken = work.body.ledger.find((l) => l.state === 'broken');
    if (!broken) return work;
    why = `${broken.label} is not kept.`;
  }
  return why;
}
