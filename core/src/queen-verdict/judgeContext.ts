import type { Day } from '../basics/index.ts';
import type { QueenCalendar } from '../brood/index.ts';
import type { Evidence } from '../records/index.ts';
import type { Finding, NextAction, PartHistory, Verdict } from './verdict.ts';

/** Makes a verdict, with the contradictions of the look added to it. */
export type MakeVerdict = (
  finding: Finding,
  certainty: Verdict['certainty'],
  headline: string,
  reasons: readonly string[],
  next: readonly NextAction[],
) => Verdict;

/** What every judgement on a part of a split looks at. */
export interface JudgeContext {
  /** Days since the separation. */
  readonly n: number;
  readonly day: Day;
  readonly lostOn: Day;
  readonly dates: QueenCalendar;
  readonly seen: Evidence;
  readonly history: PartHistory;
  readonly verdict: MakeVerdict;
}
