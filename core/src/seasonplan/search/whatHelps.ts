import { MAKES, type Round, type Schedule, type SeasonProblem } from '../course/problem.ts';
import { inOrder, scoreOf, signature, type Scored } from './score.ts';

/** A small change of a plan, and what it does to its odds. */
export interface Change {
  readonly what:
    | { readonly kind: 'week'; readonly round: number; readonly by: number }
    | { readonly kind: 'parts'; readonly round: number; readonly by: number }
    | { readonly kind: 'mated'; readonly round: number }
    | { readonly kind: 'unite' };
  readonly schedule: Schedule;
  readonly scored: Scored;
  /** Odds with it, less the odds without. */
  readonly gain: number;
  readonly colonies: number;
  readonly honey: number;
  readonly money: number;
}

/** Less is chance. */
const TELLS = 0.012;

/**
 * What would raise the odds of a plan: each of its rounds a week sooner or later, a colony or two more or fewer, bought queens
 * instead of raised ones, the weak united before winter. The same seasons for all.
 */
export function whatHelps(problem: SeasonProblem, schedule: Schedule, seasons: number, most = 5): Change[] {
  const base = scoreOf(problem, schedule, seasons);
  const changed = (i: number, change: Partial<Round>) =>
    inOrder(schedule.map((r, j) => (j === i ? { ...r, ...change } : r)));
  const ideas = schedule.flatMap((r, i): Pick<Change, 'what' | 'schedule'>[] => {
    if (!MAKES.has(r.what)) return [];
    return [
      ...[-1, 1].flatMap((by) =>
        r.week + by >= 0
          ? [{ what: { kind: 'week' as const, round: i, by }, schedule: changed(i, { week: r.week + by }) }]
          : [],
      ),
      ...[-1, 1, 2].flatMap((by) =>
        r.parts + by > 0
          ? [
              {
                what: { kind: 'parts' as const, round: i, by },
                schedule: changed(i, { parts: r.parts + by }),
              },
            ]
          : [],
      ),
      ...(r.what === 'nucs' && r.queen !== 'mated'
        ? [{ what: { kind: 'mated' as const, round: i }, schedule: changed(i, { queen: 'mated' }) }]
        : []),
    ];
  });
  const late = (problem.weeks[0] ?? []).findLastIndex((w) => w.mated);
  if (late > 0 && !schedule.some((r) => r.what === 'unite'))
    ideas.push({
      what: { kind: 'unite' },
      schedule: inOrder([...schedule, { week: late, yard: -1, what: 'unite', queen: 'raises', parts: 0 }]),
    });
  const seen = new Set([signature(schedule)]);
  return ideas
    .filter((idea) => !seen.has(signature(idea.schedule)))
    .map((idea): Change => {
      const scored = scoreOf(problem, idea.schedule, seasons);
      return {
        ...idea,
        scored,
        gain: scored.odds - base.odds,
        colonies: scored.colonies - base.colonies,
        honey: scored.honey - base.honey,
        money: scored.money - base.money,
      };
    })
    .filter((c) => c.gain > TELLS)
    .toSorted((a, b) => b.gain - a.gain)
    .slice(0, most);
}

/** What a week's delay of the next round costs: the same plan with every round that is left a week later. */
export function costOfAWeek(
  problem: SeasonProblem,
  schedule: Schedule,
  seasons: number,
): Pick<Change, 'gain' | 'colonies' | 'honey'> {
  const base = scoreOf(problem, schedule, seasons);
  const late = scoreOf(
    problem,
    inOrder(schedule.map((r) => (MAKES.has(r.what) ? { ...r, week: r.week + 1 } : r))),
    seasons,
  );
  return {
    gain: late.odds - base.odds,
    colonies: late.colonies - base.colonies,
    honey: late.honey - base.honey,
  };
}
