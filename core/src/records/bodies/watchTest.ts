import { z } from 'zod';
import { daySchema } from '../../basics/index.ts';

/** What a watched colony has to come to: so much worker brood, or more bees. */
export const watchTest = z.strictObject({
  /** Counts after this day are judged. */
  since: daySchema,
  /** Frames of worker brood at least, in frames of the reference size. */
  brood: z.number().min(0).max(100),
  /** Or more frames of bees than these. */
  bees: z.number().min(0).max(100),
});
export type WatchTest = z.infer<typeof watchTest>;
