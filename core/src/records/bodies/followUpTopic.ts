import { z } from 'zod';

/** What a follow-up is about. */
export const followUpTopic = z.enum([
  'early-capped',
  'which-part',
  'surplus-cells',
  'eggs-due',
  'capped-due',
  'rhythm',
  'rest',
  'act',
  'watch',
]);
export type FollowUpTopic = z.infer<typeof followUpTopic>;
