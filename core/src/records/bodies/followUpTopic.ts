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
  /** A cage: empty, and no cells drawn? */
  'cage',
  /** A unit made in its yard: have enough bees stayed? */
  'bees-stay',
  /** Of a colony that was broken up whole: nothing may stand where it stood. */
  'empty-stand',
  /** What is fed in the evening, when nothing flies. */
  'feed',
  /** An entrance that is shut waits to be opened. */
  'entrance',
  /** A hive that is to be carried to another yard. */
  'carry',
  /** Something before the entrance or on the hive that is to go. */
  'take-off',
  /** A treatment that is to come out. */
  'take-out',
  /** A drone comb to be cut or frozen. */
  'drone-comb',
]);
export type FollowUpTopic = z.infer<typeof followUpTopic>;
