import type { Day } from '../basics/index.ts';

/**
 * What is to be said of a colony in one line. Code goes by the id; the words are for people and may change.
 */
const NOTICE_IDS = [
  'not-counted',
  'count-old',
  'disease-suspected',
  'laying-workers-likely',
  'domed-caps-only',
  'brood-drying',
  'swarm-cells',
  'supersedure-cells',
  'hungry',
  'robbed',
  'no-eggs-seen',
  'no-brood-counted',
  'scattered-brood',
  'small-but-compact',
  'hands-off',
  'winter-rest',
  'queen-act',
  'queen-look',
  'raising-queen',
  'inspection-overdue',
  'inspection-due',
  'inspection-to-come',
  'nuc-full',
  'honey-bound',
  'can-split',
  'can-spare-brood',
  'covers-more-brood',
  'needs-bees',
  'steady',
] as const;
export type NoticeId = (typeof NOTICE_IDS)[number];

export interface Notice {
  readonly id: NoticeId;
  readonly words: string;
  /** It cannot wait. */
  readonly urgent: boolean;
  /** The last day for it, where it hangs on one. */
  readonly by?: Day;
}

/** A notice that can wait. */
export const calmly = (id: NoticeId, words: string): Notice => ({ id, words, urgent: false });

/** A notice that cannot. */
export const urgently = (id: NoticeId, words: string, by?: Day): Notice => ({
  id,
  words,
  urgent: true,
  ...(by !== undefined && { by }),
});
