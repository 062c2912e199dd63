import {
  byMonth,
  fansOf,
  joined,
  meanEnd,
  oddsOf,
  restsOn,
  typicalSeason,
  type FamilyStory,
  type MonthLine,
  type Rests,
  type Schedule,
  type SeasonBatch,
  type SeasonProblem,
  type WeekFan,
} from '@incremen/core/seasonplan';
import { useEffect, useState } from 'react';
import { manySeasons, type Halt } from '../../workers/seasonPool.ts';

/** So many seasons are run for a plan that is looked at. */
export const SEASONS = 4000;
export const SEASONS_AT_FIRST = 100;
/** What is drawn is drawn anew after so many more. */
const DRAWN_EVERY = 1000;

/** What a plan may come to, as far as it has been run. */
export interface Outlook {
  readonly seasons: number;
  readonly odds: number;
  /** How far the odds may be off for so few seasons. */
  readonly off: number;
  readonly fans: readonly WeekFan[];
  readonly story: readonly FamilyStory[];
  readonly rests: readonly Rests[];
  readonly months: readonly MonthLine[];
  readonly means: Readonly<
    Record<'colonies' | 'strong' | 'honey' | 'money' | 'hours' | 'sugar' | 'queens' | 'drawn', number>
  >;
  /** What each round makes in the mean. */
  readonly madeBy: readonly number[];
  readonly over: boolean;
}

const ENDS = ['colonies', 'strong', 'honey', 'money', 'hours', 'sugar', 'queens', 'drawn'] as const;

function outlookOf(problem: SeasonProblem, schedule: Schedule, batch: SeasonBatch, over: boolean): Outlook {
  return {
    seasons: batch.seasons,
    ...oddsOf(batch),
    fans: fansOf(batch),
    story: typicalSeason(problem, schedule, batch),
    rests: restsOn(batch),
    months: byMonth(problem, batch),
    means: Object.fromEntries(ENDS.map((e) => [e, meanEnd(batch, e)])) as Outlook['means'],
    madeBy: [...batch.madeBy].map((n) => n / batch.seasons),
    over,
  };
}

/**
 * Runs thousands of seasons of a plan in the workers; the first picture is there after a hundred.
 *
 * @param seasons - fewer while plans are still searched: the search needs the cores
 */
export function useOutlook(
  problem: SeasonProblem | null,
  schedule: Schedule | null,
  seasons = SEASONS,
): Outlook | null {
  const [known, setKnown] = useState<{ readonly key: string; readonly outlook: Outlook } | null>(null);
  const key = problem && schedule ? JSON.stringify([problem, schedule, seasons]) : '';
  useEffect(() => {
    if (key === '') return undefined;
    const [p, s, many] = JSON.parse(key) as [SeasonProblem, Schedule, number];
    // No limit is none, which JSON does not know.
    const whole = { ...p, yards: p.yards.map((y) => ({ ...y, most: y.most ?? Infinity })) };
    const halt: Halt = { stopped: false };
    const batches: SeasonBatch[] = [];
    let drawn = 0;
    let sum = 0;
    const draw = (over: boolean) => {
      drawn = sum;
      setKnown({ key, outlook: outlookOf(whole, s, joined(batches), over) });
    };
    void manySeasons(whole, s, many, halt, (batch) => {
      batches.push(batch);
      sum += batch.seasons;
      if (batches.length === 1 || sum - drawn >= DRAWN_EVERY) draw(false);
    }).then(() => {
      if (!halt.stopped && batches.length > 0) draw(true);
    });
    return () => {
      halt.stopped = true;
    };
  }, [key]);
  return known?.key === key ? known.outlook : null;
}
