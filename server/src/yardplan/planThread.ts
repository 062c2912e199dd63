import type { YardPlanAnswer, YardPlanQuestion } from '@incremen/contract';
import { failure, success, type Result } from '@incremen/core/basics';
import type { Apiary } from '@incremen/core/records';
import {
  buildProblem,
  evaluate,
  faultsOfPlan,
  gapOfPlan,
  makeYardPlan,
  NO_PROOF,
  nucsInOrder,
  proofsOf,
  shortageOf,
  YardSearch,
} from '@incremen/core/yardplan';
import loadSolver from 'highs';
import { randomUUID } from 'node:crypto';
import { parentPort, workerData } from 'node:worker_threads';

/** A proof of many yards takes long; no better one is looked for after so many milliseconds. */
const PROOF_MS = 60_000;

/** What the thread is given to work on. */
export interface PlanWork {
  readonly apiary: Apiary;
  readonly question: YardPlanQuestion;
}

async function workOut({ apiary, question }: PlanWork): Promise<Result<YardPlanAnswer>> {
  const built = buildProblem(apiary, question.request);
  if (!built.ok) return failure(...built.problems);
  const problem = built.value;
  const search = new YardSearch(problem);
  search.first();
  for (let r = 0; r < question.rounds; r++) search.round();
  const found = search.best();
  const solver = question.prove === 'no' ? null : await loadSolver();
  let proof = NO_PROOF;
  const started = performance.now();
  for (const next of solver ? proofsOf(problem, solver) : []) {
    proof = next;
    // What is shown by then is the answer: nobody waits for more.
    if (question.prove === 'quick' || performance.now() - started > PROOF_MS) break;
  }
  const { bound, better } = proof;
  const isBetter = better !== null && (!found.feasible || better.price < found.price);
  const { plan: asFound, price, feasible } = isBetter ? { ...better, feasible: true } : found;
  const plan = nucsInOrder(problem, asFound);
  const seen = evaluate(problem, plan);
  const { work } = makeYardPlan(
    apiary,
    problem,
    plan,
    { names: {}, bound, name: 'Worked out by the server' },
    randomUUID,
  );
  return success({
    plan: work,
    nucsMade: seen.nucsMade,
    mostNucs: proof.mostNucs,
    hivesOpened: seen.hivesOpened,
    combsCarried: seen.combsCarried,
    cost: price,
    bound,
    gap: gapOfPlan(problem, seen, proof),
    shortfalls: seen.shortfalls.map((s) => s.text),
    shortages: solver && seen.shortfalls.some((s) => s.unit === null) ? shortageOf(problem, solver) : [],
    faults: feasible ? [] : faultsOfPlan(problem, plan),
  });
}

parentPort?.postMessage(await workOut(workerData as PlanWork));
