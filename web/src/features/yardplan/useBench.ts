import { type Apiary, type FramePin, STORE_KEY, type YardPlanRequest } from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import {
  buildProblem,
  evaluate,
  gapOfPlan,
  nucsInOrder,
  NO_PROOF,
  type Assignment,
  type Evaluation,
  type Proof as ProofOfYard,
  type Shortage,
  STORE,
  type YardProblem,
} from '@incremen/core/yardplan';
import { proxy } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import { askProver, endProver, yardPlanner } from '../../workers/yardPlanner.ts';
import type { Found } from '../../workers/yardPlanner.worker.ts';

/** Rounds of search after the first plan; each takes some 0.3 s in a yard of twelve. */
const ROUNDS = 10;
/** Asking waits so long for the next change of what is asked. */
const PAUSE_MS = 120;

/** What the bench shows. */
export interface Bench {
  readonly problem: YardProblem | null;
  /** The plan as found, with what was placed by hand. */
  readonly plan: Assignment | null;
  readonly seen: Evaluation | null;
  readonly problems: readonly Problem[];
  readonly round: number;
  readonly rounds: number;
  readonly busy: boolean;
  /** Every plan costs at least so much; null while nothing is proven. */
  readonly bound: number | null;
  /** By how much of its price the plan may be from the best there is; null while nothing is proven. */
  readonly gap: number | null;
  /** No plan makes more nucs; null while that is not shown. */
  readonly mostNucs: number | null;
  readonly proving: boolean;
  readonly shortages: readonly Shortage[];
  readonly wait: { readonly day: string; readonly days: number } | null;
  readonly stop: () => void;
}

interface Answer {
  readonly key: string;
  readonly apiary: Apiary;
  readonly found: Found | null;
  readonly problems: readonly Problem[];
  readonly over: boolean;
}
interface Proof extends ProofOfYard {
  readonly key: string;
  readonly apiary: Apiary;
  readonly over: boolean;
  readonly shortages: readonly Shortage[];
  readonly wait: Bench['wait'];
}

/** Works out what is asked, in the open: first plan, better ones, proof, and what is missing. */
export function useBench(apiary: Apiary, request: YardPlanRequest, placed: readonly FramePin[]): Bench {
  const key = JSON.stringify(request);
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [proof, setProof] = useState<Proof | null>(null);
  const built = useMemo(() => buildProblem(apiary, JSON.parse(key) as YardPlanRequest), [apiary, key]);
  const halt = useRef<() => void>(() => undefined);
  useEffect(() => {
    let current = true;
    halt.current = () => {
      current = false;
      void yardPlanner('bench').stop();
      endProver();
    };
    const asked = JSON.parse(key) as YardPlanRequest;
    const timer = setTimeout(() => {
      void search(apiary, asked, (part) => {
        if (current) setAnswer((a) => withNews(fresh(a, apiary, key), part));
      });
      void prove(
        apiary,
        asked,
        () => current,
        (part) => {
          if (current) setProof((p) => ({ ...freshProof(p, apiary, key), ...part }));
        },
      );
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      halt.current();
    };
  }, [apiary, key]);

  const mine = answer?.key === key && answer.apiary === apiary ? answer : null;
  const proven = proof?.key === key && proof.apiary === apiary ? proof : null;
  const problem = built.ok ? built.value : null;
  const searched = mine?.found ?? null;
  // The proof may come upon a better plan than the search.
  const better = proven?.better ?? null;
  const found =
    searched && better && (searched.faults.length > 0 || better.price < searched.price - 1e-6)
      ? { ...searched, ...better, faults: [] }
      : searched;
  const foundPlan = found?.plan ?? null;
  const plan = useMemo(
    () => (problem && foundPlan ? withPlaced(problem, nucsInOrder(problem, foundPlan), placed) : null),
    [problem, foundPlan, placed],
  );
  const seen = useMemo(() => (problem && plan ? evaluate(problem, plan) : null), [problem, plan]);
  const bound = proven?.bound ?? null;
  return {
    problem,
    plan,
    seen,
    problems: [
      ...(built.ok ? [] : built.problems),
      ...(mine?.problems ?? []),
      ...(placed.length === 0 ? (found?.faults ?? []) : []),
    ].filter((p, i, all) => all.findIndex((q) => q.message === p.message) === i),
    round: found?.round ?? 0,
    rounds: found?.rounds ?? ROUNDS,
    busy: built.ok && !mine?.over,
    bound,
    gap: problem && seen && proven && placed.length === 0 ? gapOfPlan(problem, seen, proven) : null,
    mostNucs: proven?.mostNucs ?? null,
    proving: built.ok && !proven?.over,
    shortages: proven?.shortages ?? [],
    wait: proven?.wait ?? null,
    stop: () => {
      halt.current();
      setAnswer((a) => ({ ...fresh(a, apiary, key), over: true }));
      setProof((p) => ({ ...freshProof(p, apiary, key), over: true }));
    },
  };
}

const fresh = (a: Answer | null, apiary: Apiary, key: string): Answer =>
  a?.key === key && a.apiary === apiary ? a : { key, apiary, found: null, problems: [], over: false };

/** A round that found nothing better leaves the plan as it is, so that nothing is drawn anew. */
function withNews(a: Answer, part: Partial<Answer>): Answer {
  const { found } = part;
  if (!found || !a.found || found.price !== a.found.price) return { ...a, ...part };
  return { ...a, ...part, found: { ...found, plan: a.found.plan } };
}

const freshProof = (p: Proof | null, apiary: Apiary, key: string): Proof =>
  p?.key === key && p.apiary === apiary
    ? p
    : { key, apiary, ...NO_PROOF, over: false, shortages: [], wait: null };

async function search(
  apiary: Apiary,
  request: YardPlanRequest,
  report: (part: Partial<Answer>) => void,
): Promise<void> {
  try {
    const problems = await yardPlanner('bench').solve(
      apiary,
      request,
      ROUNDS,
      proxy((found: Found) => report({ found })),
    );
    report({ problems, over: true });
  } catch (error) {
    report({ problems: [failed(error)], over: true });
  }
}

/** A quick bound first, then what is missing, then better bounds and plans as they are found. */
async function prove(
  apiary: Apiary,
  request: YardPlanRequest,
  isWanted: () => boolean,
  report: (part: Partial<Proof>) => void,
): Promise<void> {
  try {
    const say = proxy((proof: ProofOfYard) => report(proof));
    await askProver((p) => p.prove(apiary, request, 'quick', say));
    if (request.goals.some((g) => g.kind === 'makeNucs' && g.count !== null)) {
      const shortages = await askProver((p) => p.shortage(apiary, request));
      report({ shortages: [...shortages] });
      if (shortages.length > 0) {
        report({ wait: await yardPlanner('days').firstDay(apiary, request) });
      }
    }
    if (!isWanted()) return;
    await askProver((p) => p.prove(apiary, request, 'thorough', say));
    report({ over: true });
  } catch {
    // Without a proof the plan is as good as it is; it is only not known how good.
    report({ over: true });
  }
}

/** A plan with frames put elsewhere by hand; what is not there any more is passed over. */
export function withPlaced(problem: YardProblem, plan: Assignment, placed: readonly FramePin[]): Assignment {
  if (placed.length === 0) return plan;
  const to = [...plan.to];
  const shakenFor = [...plan.shakenFor];
  for (const p of placed) {
    const i = problem.frames.findIndex((f) => f.id === p.frameId);
    const unit = p.to === STORE_KEY ? STORE : problem.units.findIndex((u) => u.key === p.to);
    if (i < 0 || (unit < 0 && p.to !== STORE_KEY)) continue;
    to[i] = unit;
    if (unit !== problem.frames[i]?.home) shakenFor[i] = null;
  }
  return { to, shakenFor };
}

const failed = (error: unknown): Problem => ({
  code: 'planner-failed',
  path: [],
  message: 'The planner has failed.',
  remedy: String(error),
});
