import { assess } from '@incremen/core/assessment';
import type { Day } from '@incremen/core/basics';
import { coloniesOfYard, countedOn, framesOfColony, type Apiary, type Colony } from '@incremen/core/records';

/** How far the first count of a yard has come. */
export interface CountRound {
  readonly counted: number;
  readonly all: number;
  /** The first, by the order of the stands, that was never counted; null when each was. */
  readonly next: Colony | null;
}

/** How many colonies of a yard have ever been counted, and which comes next. */
export function countRound(apiary: Apiary, yardId: string): CountRound {
  const colonies = coloniesOfYard(apiary, yardId);
  const never = colonies.filter((c) => countedOn(framesOfColony(apiary, c)) === null);
  return { counted: colonies.length - never.length, all: colonies.length, next: never[0] ?? null };
}

/** A first count that is asked for, in words. */
export interface FirstCount {
  readonly colony: Colony;
  /** “Count Hive 1” */
  readonly say: string;
  readonly why: string;
  /** Where it is counted: in a few numbers. */
  readonly to: string;
  /** Whether others of the yard were counted before it. */
  readonly goesOn: boolean;
}

/**
 * The next first count of a yard; null when each hive was counted. One that must stay shut is not opened for it: what is known
 * is entered.
 */
export function firstCount(apiary: Apiary, yardId: string, today: Day): FirstCount | null {
  const { next, counted, all } = countRound(apiary, yardId);
  if (!next) return null;
  const { may, because, why } = assess(apiary, next, today).opening;
  const first = may
    ? 'Bees, brood and food in a few numbers: two minutes.'
    : because === 'winter'
      ? 'It stays shut in winter: give your last count with its day, or judge by the bees under the lid and the weight.'
      : `${why} What you know of it is entered with its day.`;
  return {
    colony: next,
    say: may ? `Count ${next.name}` : `Enter what you know of ${next.name}`,
    why: counted === 0 ? first : `${counted} of ${all} counted.`,
    to: `/colonies/${next.id}/count?by=quick`,
    goesOn: counted > 0,
  };
}
