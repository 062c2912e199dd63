import { yardPlanRequest, type Work } from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import { z } from 'zod';

/** Asks the server to work a plan out: for other programs, and for yards too large for a phone. */
export const yardPlanQuestion = z.strictObject({
  request: yardPlanRequest,
  /** Rounds of search after the first plan. The same number gives the same plan. */
  rounds: z.int().min(0).max(200).default(20),
  /** How hard to look for a proof: `thorough` takes up to a minute. */
  prove: z.enum(['no', 'quick', 'thorough']).default('quick'),
});
export type YardPlanQuestion = z.infer<typeof yardPlanQuestion>;

/** A plan as the server has worked it out, in the shape in which it would be kept. */
export interface YardPlanAnswer {
  readonly plan: Work;
  readonly nucsMade: number;
  /** No plan makes more nucs; null when that was not shown. */
  readonly mostNucs: number | null;
  readonly hivesOpened: number;
  readonly combsCarried: number;
  /**
   * What the plan costs in points, what any would cost at least, and how far it may be from that, as a share of what
   * the work costs.
   */
  readonly cost: number;
  readonly bound: number | null;
  readonly gap: number | null;
  readonly shortfalls: readonly string[];
  readonly shortages: readonly { readonly what: string; readonly missing: number; readonly unit: string }[];
  /** Rules that frames placed by hand leave no way to keep. */
  readonly faults: readonly Problem[];
}
