import { MAKES, type Schedule } from '../course/problem.ts';
import { signature, type Scored } from './score.ts';

/** What speaks for one of several plans. */
export type ChoiceOfPlan = 'best' | 'honey' | 'fewer-rounds' | 'cheap' | 'more';

/** A plan out of those that were found, and what speaks for it. */
export interface PlanChoice {
  readonly merit: ChoiceOfPlan;
  readonly scored: Scored;
}

/** Odds that are told apart; less is chance. */
const NEAR_ODDS = 0.08;

/** Whether two plans differ for the keeper: other ways, other yards, or a fortnight, or a third of the colonies that are made. */
function isOther(a: Schedule, b: Schedule): boolean {
  const [x, y] = [a.filter((r) => MAKES.has(r.what)), b.filter((r) => MAKES.has(r.what))];
  if (x.length !== y.length) return true;
  return x.some((r, i) => {
    const s = y[i];
    return (
      !s ||
      s.what !== r.what ||
      s.queen !== r.queen ||
      s.yard !== r.yard ||
      Math.abs(s.week - r.week) >= 3 ||
      Math.abs(s.parts - r.parts) > Math.max(1, 0.34 * r.parts)
    );
  });
}

/**
 * A few clearly different plans out of all that were tried: the best; then what brings more honey, takes fewer rounds, costs less,
 * or makes more colonies, each at odds that are not much worse, or as near as it comes.
 */
export function planChoices(tried: Iterable<Scored>, seasons: number): PlanChoice[] {
  const told = [...tried].filter((s) => s.seasons >= seasons).toSorted((a, b) => b.score - a.score);
  const [best] = told;
  if (!best) return [];
  const chosen: PlanChoice[] = [{ merit: 'best', scored: best }];
  const near = told.filter((s) => s.odds >= best.odds - NEAR_ODDS && s.strong >= best.strong - 1);
  const making = (s: Scored) => s.schedule.filter((r) => MAKES.has(r.what)).length;
  const pick = (
    merit: ChoiceOfPlan,
    from: readonly Scored[],
    than: (s: Scored) => boolean,
    by: (s: Scored) => number,
  ) => {
    const [first] = from
      .filter((s) => than(s) && chosen.every((c) => isOther(c.scored.schedule, s.schedule)))
      .toSorted((a, b) => by(b) - by(a));
    if (first) chosen.push({ merit, scored: first });
  };
  pick(
    'honey',
    near,
    (s) => s.honey > best.honey * 1.05 + 1,
    (s) => s.honey,
  );
  pick(
    'fewer-rounds',
    near,
    (s) => making(s) < making(best),
    (s) => s.score,
  );
  pick(
    'cheap',
    near,
    (s) => s.money < best.money * 0.85,
    (s) => -s.money,
  );
  pick(
    'more',
    told,
    (s) => s.colonies > best.colonies + 0.8,
    (s) => s.score,
  );
  return chosen;
}

/** A point between more colonies and more honey that nothing beats in both. */
export interface FrontierPoint {
  readonly scored: Scored;
}

/** The plans that none beats in colonies and honey at once, from most honey to most colonies. */
export function frontierOf(tried: Iterable<Scored>, seasons: number): FrontierPoint[] {
  const sorted = [...tried]
    .filter((s) => s.seasons >= seasons)
    .toSorted((a, b) => b.honey - a.honey || b.colonies - a.colonies);
  const front: Scored[] = [];
  for (const s of sorted) {
    const last = front.at(-1);
    // A tenth of a colony is no other plan.
    if (!last || s.colonies > last.colonies + 0.1) front.push(s);
  }
  const seen = new Set<string>();
  return front
    .filter((s) => {
      const key = signature(s.schedule);
      return seen.has(key) ? false : (seen.add(key), true);
    })
    .map((scored) => ({ scored }));
}
