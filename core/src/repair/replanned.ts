import type { Day } from '../basics/index.ts';
import type { Apiary, KeptReport, Work, WorkBody, WorkReport, WorkStep } from '../records/index.ts';

/** Work under way, and what has just been told of it. */
export interface UnderReport {
  readonly apiary: Apiary;
  readonly work: Work;
  /** Its steps in their order. */
  readonly steps: readonly WorkStep[];
  readonly report: WorkReport;
  /** All that was told, this report last. */
  readonly reports: readonly KeptReport[];
  readonly day: Day;
  readonly newId: () => string;
}

/** The rest of work, planned anew around what was done. */
export interface Replanned {
  readonly body: WorkBody;
  /** The steps that were there, with what the report undid. */
  readonly before: readonly WorkStep[];
  /** The whole of the steps as they would be now; what is done of them is told apart by whoever merges them. */
  readonly anew: readonly WorkStep[];
  /** Frames that need no step any more. */
  readonly settled: ReadonlySet<string>;
  readonly virginSeen: boolean;
}
