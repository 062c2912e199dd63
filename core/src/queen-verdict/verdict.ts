import type { Day, Window } from '../basics/index.ts';
import type { FollowUpTopic, Evidence, QueenCame } from '../records/index.ts';

/** What a look says about the queen of a part. */
export const FINDINGS = [
  'too-early',
  'unread',
  'has-queen',
  'raising',
  'still-time',
  'hopeless',
  'virgin-or-mating',
  'eggs-unproved',
  'mated',
  'laying-workers',
  'drone-layer',
  'give-up',
  'sick',
  'unclear',
] as const;
export type Finding = (typeof FINDINGS)[number];

/** Something to do, or to leave, with its reason and time. */
export interface NextAction {
  readonly kind: 'act' | 'look' | 'leave';
  /** What the follow-up that comes of it is about. */
  readonly topic: FollowUpTopic;
  readonly what: string;
  readonly why: string;
  readonly window: Window | null;
}

/** A judgement on one part. */
export interface Verdict {
  readonly finding: Finding;
  /** `proved` follows from biology; `likely` is the usual meaning; `open` is no judgement yet. */
  readonly certainty: 'proved' | 'likely' | 'open';
  readonly headline: string;
  readonly reasons: readonly string[];
  readonly next: readonly NextAction[];
  /** Notes that cannot both be true; both are kept. */
  readonly contradictions: readonly string[];
}

/** What is known of a part besides today's look. */
export interface PartHistory {
  readonly name: string;
  /** The day the parts were separated (day 0), or null for a colony that was never split. */
  readonly separatedOn: Day | null;
  /** When the new queen is expected, if better known than from emergency cells. */
  readonly emergence: Window | null;
  /** Whether it has the bees to swarm; null where nothing was counted. */
  readonly maySwarm: boolean | null;
  /** A queen who came from outside of late. */
  readonly came: QueenCame | null;
  /** Brood that came from other colonies. */
  readonly gifts: readonly { readonly day: Day; readonly young: boolean }[];
  /** The plan has cells taken out when no more can be begun, on day 7 or 8. */
  readonly surplusOut: boolean;
  /** Earlier looks since then, oldest first. */
  readonly earlier: readonly { readonly day: Day; readonly seen: Evidence }[];
}
