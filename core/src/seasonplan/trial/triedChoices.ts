import type { ChoiceOfPlan } from '../search/choices.ts';
import type { TriedPlan } from './triedPlan.ts';
import { signature } from '../search/score.ts';
import { MAKES } from '../course/problem.ts';

/** A plan that was found and tried, and what speaks for it. */
export interface TriedChoice extends TriedPlan {
  readonly merit: ChoiceOfPlan;
}

/**
 * The plans to choose from once they were tried: what came out smaller may not be what it was chosen for any more. The best comes
 * first; of the rest those that still have what speaks for them.
 */
export function triedChoices(plans: readonly TriedChoice[]): TriedChoice[] {
  const [first, ...rest] = plans.toSorted((a, b) => b.scored.score - a.scored.score);
  if (!first) return [];
  const best: TriedChoice = { ...first, merit: 'best' };
  const seen = new Set([signature(best.schedule)]);
  const others = rest.filter((p) => {
    const key = signature(p.schedule);
    if (seen.has(key) || !HOLDS[p.merit](p, best)) return false;
    seen.add(key);
    return true;
  });
  // What was thought best at first is another plan now, if something speaks for it.
  return [
    best,
    ...others.map(
      (p) =>
        (p.merit === 'best'
          ? { ...p, merit: p.scored.honey > best.scored.honey ? 'honey' : 'more' }
          : p) as TriedChoice,
    ),
  ];
}

const making = (p: TriedPlan) => p.schedule.filter((r) => MAKES.has(r.what)).length;

/** Whether a plan still has what speaks for it beside the best. */
const HOLDS: Readonly<Record<ChoiceOfPlan, (p: TriedPlan, best: TriedPlan) => boolean>> = {
  best: (p, b) => p.scored.honey > b.scored.honey * 1.05 || p.scored.colonies > b.scored.colonies + 0.5,
  honey: (p, b) => p.scored.honey > b.scored.honey * 1.03,
  'fewer-rounds': (p, b) => making(p) < making(b),
  cheap: (p, b) => p.scored.money < b.scored.money * 0.9,
  more: (p, b) => p.scored.colonies > b.scored.colonies + 0.5,
};
