import { addDays, type Day } from '../basics/index.ts';
import { noEvidence, type Evidence } from '../records/index.ts';
import { dayNumber, type DayNumber } from './course.ts';
import { USUAL_LIKELIHOODS, type KeeperLikelihoods } from './keeperLikelihoods.ts';
import { sayingsOf } from './likelihoods.ts';
import { oddsOn, type QueenBelief, type WeighedCourse } from './queenOdds.ts';
import { QUEEN_STATES } from '../rules/index.ts';

/** A single thing to look for, and the ways in which the answer may come out. */
interface Question {
  readonly what: string;
  readonly answers: readonly Partial<Evidence>[];
}

const notFound = { look: 'notFound' } as const;
const found = { look: 'found' } as const;

/** Questions that one look at all frames can answer. */
const QUESTIONS: readonly Question[] = [
  {
    what: 'Read every frame for eggs and queen cells',
    answers: [
      { eggs: { look: 'found', perCell: 'one', place: 'bottom' }, cells: notFound },
      { eggs: notFound, cells: { look: 'found', cells: [{ kind: 'capped', count: 2 }] } },
      { eggs: { look: 'found', perCell: 'several', place: 'walls' }, cells: notFound },
      { eggs: notFound, cells: notFound },
    ],
  },
  {
    what: 'Look for eggs',
    answers: [
      { eggs: { look: 'found', perCell: 'one', place: 'bottom' } },
      { eggs: { look: 'found', perCell: 'several', place: 'walls' } },
      { eggs: notFound },
    ],
  },
  {
    what: 'Look for queen cells',
    answers: [{ cells: { look: 'found', cells: [{ kind: 'capped', count: 2 }] } }, { cells: notFound }],
  },
  {
    what: 'Look at the caps of the brood',
    answers: [
      { cappedBrood: { look: 'found', cappings: 'flat', patch: 'compact' } },
      { cappedBrood: { look: 'found', cappings: 'domed', patch: 'compact' } },
      { cappedBrood: { look: 'found', cappings: 'domed', patch: 'scattered' } },
      { cappedBrood: notFound },
    ],
  },
  { what: 'Look for larvae', answers: [{ olderLarvae: found }, { olderLarvae: notFound }] },
];

/** The one observation that would tell most, and the first day on which it could. */
export interface NextObservation {
  readonly what: string;
  readonly day: Day;
  /** The chance, on average, that one will then give to what is so. */
  readonly sure: number;
}

/** When an answer can be expected to leave no more doubt than this, a look is not put off. */
const SURE_ENOUGH = 0.85;
/** A day of waiting is to be worth so much, or one looks sooner. */
const WORTH_A_DAY = 0.006;
const DAYS_AHEAD = 30;

/**
 * Which single observation would settle it, and from which day on. Looking too early decides nothing: days are tried one
 * after the other until an answer can be expected to leave little doubt.
 * What has just been seen is not asked again at once.
 */
export function nextObservation(
  { courses, last }: Pick<QueenBelief, 'courses' | 'last'>,
  from: Day,
  keeper: KeeperLikelihoods = USUAL_LIKELIHOODS,
): NextObservation {
  let best: NextObservation = { what: QUESTIONS[0]?.what ?? '', day: from, sure: 0 };
  let bestScore = 0;
  const start = dayNumber(from);
  const fresh = last ? dayNumber(last.day) + ANEW_AFTER : start;
  const alive = courses.filter((c) => c.chance > 1e-4);
  for (let k = 0; k <= DAYS_AHEAD; k++) {
    for (const { what, answers } of QUESTIONS) {
      if (start + k < fresh && last && isAnswered(answers, last.seen)) continue;
      const sure = expectedSureness(alive, answers, start + k, keeper);
      const score = sure - WORTH_A_DAY * k;
      // Of two looks that tell the same the earlier and simpler one is asked for.
      if (score > bestScore + 0.01) {
        best = { what, day: addDays(from, k), sure };
        bestScore = score;
      }
    }
    if (best.sure >= SURE_ENOUGH) break;
  }
  return best;
}

/** What has just been looked for would be answered in the same way again for so many days. */
const ANEW_AFTER = 2;

const isAnswered = (answers: readonly Partial<Evidence>[], seen: Evidence): boolean => {
  const { eggs, cells, cappedBrood, olderLarvae, framesRead, framesTotal } = seen;
  if (framesRead < framesTotal) return false;
  const looked = { eggs, cells, cappedBrood, olderLarvae };
  return answers.every((a) =>
    Object.keys(a).every((key) => looked[key as keyof typeof looked].look !== 'notLooked'),
  );
};

function expectedSureness(
  courses: readonly WeighedCourse[],
  answers: readonly Partial<Evidence>[],
  day: DayNumber,
  keeper: KeeperLikelihoods,
): number {
  const base = { ...noEvidence(1), framesRead: 1 };
  const told = answers.map((a) => {
    const sayings = sayingsOf({ ...base, ...a } as Evidence, day, keeper);
    return courses.map((c) => c.chance * sayings.reduce((p, s) => p * s.chance(c.course), 1));
  });
  // Answers are the ways in which it may come out: their chances are made to come to one for each course.
  const totals = courses.map((_, i) => told.reduce((s, t) => s + (t[i] ?? 0), 0));
  return told.reduce((sum, weights) => {
    const shared = courses.map((c, i) => ({
      course: c.course,
      chance: (totals[i] ?? 0) > 0 ? (c.chance * (weights[i] ?? 0)) / (totals[i] ?? 1) : 0,
    }));
    const odds = oddsOn(shared, day);
    return sum + Math.max(...QUEEN_STATES.map((s) => odds[s]));
  }, 0);
}
