import { yearOf } from '../basics/index.ts';
import { COLONY_END_WORDS, type Apiary, type ColonyEndHow, type Expense } from '../records/index.ts';

/** What a year came to. */
export interface YearReview {
  readonly year: number;
  /** Colonies on the first day of the year, and on its last, or today. */
  readonly atStart: number;
  readonly atEnd: number;
  /** Colonies that stood there already when they were first entered. */
  readonly entered: number;
  readonly made: number;
  readonly bought: number;
  readonly swarmsHived: number;
  readonly ended: readonly { readonly how: ColonyEndHow; readonly words: string; readonly count: number }[];
  readonly queensBorn: number;
  readonly queensGone: number;
  readonly visits: number;
  readonly fedKg: number;
  readonly harvestedKg: number;
  readonly treatments: number;
  /** What was spent, the latest first. */
  readonly expenses: readonly Expense[];
  /** All of it together, in the money of the operation. */
  readonly spent: number;
}

/** The years of which anything is on record, latest first. */
export function yearsOnRecord(apiary: Apiary): number[] {
  const days = [
    ...Object.values(apiary.colony).flatMap((c) => [c.startedOn, ...(c.endedOn ? [c.endedOn] : [])]),
    ...Object.values(apiary.visit).map((v) => v.day),
    ...Object.values(apiary.given).map((g) => g.day),
    ...Object.values(apiary.expense).map((e) => e.day),
  ];
  return [...new Set(days.map(yearOf))].toSorted((a, b) => b - a);
}

/** A year in numbers, from the records alone. */
export function yearReview(apiary: Apiary, year: number): YearReview {
  const first = `${year}-01-01`;
  const next = `${year + 1}-01-01`;
  const colonies = Object.values(apiary.colony).filter((c) => c.end?.how !== 'error');
  const livingOn = (day: string) =>
    colonies.filter((c) => c.startedOn < day && (c.endedOn === null || c.endedOn >= day)).length;
  const begun = colonies.filter((c) => yearOf(c.startedOn) === year);
  const gone = colonies.filter((c) => c.endedOn !== null && yearOf(c.endedOn) === year);
  const given = Object.values(apiary.given).filter((g) => yearOf(g.day) === year);
  const hows = new Map<ColonyEndHow, number>();
  for (const c of gone) {
    const how = c.end?.how ?? 'broken-up';
    hows.set(how, (hows.get(how) ?? 0) + 1);
  }
  const expenses = Object.values(apiary.expense)
    .filter((e) => yearOf(e.day) === year)
    .toSorted((a, b) => b.day.localeCompare(a.day) || a.what.localeCompare(b.what));
  const queens = Object.values(apiary.queen);
  return {
    year,
    atStart: livingOn(first),
    atEnd: livingOn(next),
    entered: begun.filter((c) => c.origin.how === 'entered').length,
    made: begun.filter((c) => c.origin.how === 'split' || c.origin.how === 'made').length,
    bought: begun.filter((c) => c.origin.how === 'bought').length,
    swarmsHived: begun.filter((c) => c.origin.how === 'swarm').length,
    ended: [...hows].map(([how, count]) => ({ how, words: COLONY_END_WORDS[how], count })),
    queensBorn: queens.filter((q) => q.birthYear === year).length,
    queensGone: queens.filter((q) => q.end && yearOf(q.end.day) === year).length,
    visits: Object.values(apiary.visit).filter((v) => yearOf(v.day) === year).length,
    fedKg: given.reduce((kg, { body }) => (body.kind === 'feed' ? kg + body.kg - (body.leftKg ?? 0) : kg), 0),
    harvestedKg: Object.values(apiary.event).reduce(
      (kg, e) => (e.body.what === 'harvested' && yearOf(e.day) === year ? kg + e.body.kg : kg),
      0,
    ),
    treatments: given.filter((g) => g.body.kind === 'treatment').length,
    expenses,
    spent: expenses.reduce((sum, e) => sum + e.amount, 0),
  };
}
