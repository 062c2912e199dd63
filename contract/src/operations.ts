import type { Bundle } from '@incremen/core/formats';
import type { Change, Reading, Visit } from '@incremen/core/records';
import { z } from 'zod';

/** One operation in the list of those that there are. */
export const operationSummary = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  /** Raised by every change: tells a device that its copy is old. */
  revision: z.int().min(0),
});
export type OperationSummary = z.infer<typeof operationSummary>;

/**
 * All records of an operation as of one revision, older readings of frames and older visits left out: what a device
 * needs to work without a network.
 */
export interface Snapshot {
  readonly revision: number;
  readonly records: Bundle['records'];
}

/** Something that has changed in an operation, as it is told to those who follow it. */
export interface News {
  /** The entry of the journal; null when it is none, or not known. */
  readonly entryId: string | null;
  readonly revision: number;
  /** Null when they are to be fetched. */
  readonly changes: readonly Change[] | null;
}

/** Readings of frames, newer and older. */
export interface Readings {
  readonly readings: readonly Reading[];
  /** The visits on which they were read: a device may not have the older ones. */
  readonly visits: readonly Visit[];
}

/** Visits that are no longer among the present records, latest first. */
export interface OlderVisits {
  readonly visits: readonly Visit[];
}
