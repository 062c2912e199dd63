import type { Day } from '../../basics/index.ts';
import type { Apiary } from '../../records/index.ts';
import type { FitReason } from '../base/fit.ts';
import type { SplitMethod } from '../base/method.ts';
import type { Situation } from '../base/situation.ts';
import { makePlan } from './makePlan.ts';
import { isSplitMethod, WORTH_IT, type MethodAdvice, type RankedMethod } from '../methods/findMethods.ts';
import { optionsFor } from '../methods/optionsFor.ts';

/** What came of working a way out for the colony as it stands. */
interface Trial {
  /** The schools with which it goes, or falls least short. */
  readonly options: Readonly<Record<string, string>>;
  /** What its plan falls short of, in words; empty when it keeps every rule. */
  readonly shortOf: readonly string[];
}

/** By method. */
export type Trials = Readonly<Record<string, Trial>>;

/** More ways are not worked out: who has these to choose from needs no others. */
const MOST = 4;

/**
 * Works out the ways that look best, so that none is praised whose plan breaks a rule. Where a part loses too many field
 * bees it is tried beside the old place, and in the second yard where there is one; where all cells are on one comb, cut out.
 */
export function tryOut(
  apiary: Apiary,
  colonyId: string,
  now: Situation,
  day: Day,
  { ranked }: MethodAdvice,
  newId: () => string,
): Trials {
  const trials: Record<string, Trial> = {};
  const worth = ranked.flatMap((r) =>
    r.fit.cannot === null && r.fit.score >= WORTH_IT && isSplitMethod(r.method) ? [r.method] : [],
  );
  for (const method of worth.slice(0, MOST)) {
    const options = optionsFor(method.id, now);
    const where = [
      {},
      ...(asksFor(method, 'distance', 'beside') ? [{ distance: 'beside' }] : []),
      ...(now.secondYard && asksFor(method, 'distance', 'away') ? [{ distance: 'away' }] : []),
    ];
    const tries = (asksFor(method, 'cells', 'cut-out') ? [{}, { cells: 'cut-out' }] : [{}]).flatMap((cut) =>
      where.map((w) => ({ ...options, ...cut, ...w })),
    );
    let best: Trial | null = null;
    for (const said of tries) {
      const trial = { options: said, shortOf: shortOf(apiary, colonyId, method, said, day, newId) };
      if (best === null || trial.shortOf.length < best.shortOf.length) best = trial;
      if (best.shortOf.length === 0) break;
    }
    if (best) trials[method.id] = best;
  }
  return trials;
}

const asksFor = (method: SplitMethod, question: string, school: string) =>
  method.options.some((o) => o.id === question && o.schools.some((s) => s.id === school));

function shortOf(
  apiary: Apiary,
  colonyId: string,
  method: SplitMethod,
  options: Readonly<Record<string, string>>,
  day: Day,
  newId: () => string,
): string[] {
  const made = makePlan(
    apiary,
    { colonyId, methodId: method.id, day, newName: 'the new part', options },
    newId,
  );
  if (!made.ok) return made.problems.map((p) => p.message);
  return made.value.command.work.body.ledger
    .filter((l) => l.state === 'broken')
    .map(
      (l) =>
        `${l.label}: ${figure(l.value)} ${l.sense === 'atLeast' ? 'where at least' : 'where at most'} ${figure(l.threshold)} is wanted`,
    );
}

/** Two decimals for small figures: more is not in a count by eye. */
const figure = (n: number) => String(Math.abs(n) < 3 ? Math.round(n * 100) / 100 : Math.round(n * 10) / 10);

/** Where the new part stands that it goes at all. */
const ELSEWHERE: Readonly<Record<string, FitReason>> = {
  away: {
    speaksFor: true,
    text: 'Worked out with the new part taken to the other yard: beside it too many field bees would fly home.',
  },
  beside: {
    speaksFor: true,
    text: 'Worked out with both parts left and right of the old place, so that the field bees divide.',
  },
};

const withReason = (r: RankedMethod, reason: FitReason | undefined): RankedMethod =>
  reason ? { ...r, fit: { ...r.fit, reasons: [reason, ...r.fit.reasons] } } : r;

/**
 * The advice once the ways were worked out: one that falls short is not worth a split, says by how much, and stands
 * behind those that go.
 */
export function afterTrials({ ranked, waitBecause }: MethodAdvice, trials: Trials): MethodAdvice {
  const tried = ranked.map((r) => {
    const trial = trials[r.method.id];
    if (!trial) return r;
    const short = trial.shortOf;
    if (short.length === 0) return withReason(r, ELSEWHERE[trial.options['distance'] ?? '']);
    const text = `Worked out for the colony as it stands, it falls short. ${short.join('. ')}.`;
    const told = withReason(r, { speaksFor: false, text });
    return { ...told, fit: { ...told.fit, score: Math.min(r.fit.score, WORTH_IT - 1) } };
  });
  const sorted = tried.toSorted((a, b) => b.fit.score - a.fit.score);
  const [best] = sorted;
  const nothingLeft = waitBecause.length === 0 && best && best.fit.score < WORTH_IT;
  return {
    ranked: sorted,
    waitBecause: nothingLeft ? [`${best.method.name}: ${best.fit.reasons[0]?.text ?? ''}`] : waitBecause,
  };
}
