import type { Evidence } from '@incremen/core/records';

/** What every question about what was seen is given. */
export interface EvidenceProps {
  readonly evidence: Evidence;
  readonly set: (change: Partial<Evidence>) => void;
  /** The accessible name of a question, such as `Tansy: eggs`. */
  readonly name: (what: string) => string;
}

/** Whether a question that asks only for some of the evidence has to be drawn anew. */
export function sameEvidence<P extends EvidenceProps>(...asked: readonly (keyof Evidence)[]) {
  return (before: P, after: P): boolean =>
    asked.every((key) => before.evidence[key] === after.evidence[key]) &&
    (Object.keys(after) as (keyof P)[]).every((key) => key === 'evidence' || before[key] === after[key]);
}
