import type { Evidence } from '@incremen/core';

/** What every question about what was seen is given. */
export interface EvidenceProps {
  readonly evidence: Evidence;
  readonly set: (change: Partial<Evidence>) => void;
  /** The accessible name of a question, such as `Tansy: eggs`. */
  readonly name: (what: string) => string;
}
