import { joined, typicalSeason, type SeasonBatch } from '../course/batch.ts';
import type { Schedule, SeasonProblem } from '../course/problem.ts';
import type { FamilyStory } from '../course/story.ts';
import {
  byMonth,
  fansOf,
  meanEnd,
  oddsOf,
  restsOn,
  type MonthLine,
  type Rests,
  type WeekFan,
} from './spread.ts';

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

/** What the seasons that were run so far tell. @param over - there are no more to come */
export function outlookOf(
  problem: SeasonProblem,
  schedule: Schedule,
  batches: readonly SeasonBatch[],
  over: boolean,
): Outlook {
  const batch = joined(batches);
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
