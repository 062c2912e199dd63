import { z } from 'zod';

/** How a colony came to its end as one of the keeper's. */
export const COLONY_ENDS = [
  'united',
  'broken-up',
  'dead',
  'sold',
  'given-away',
  'absconded',
  'stolen',
  'error',
] as const;
export type ColonyEndHow = (typeof COLONY_ENDS)[number];
export const COLONY_END_WORDS: Readonly<Record<ColonyEndHow, string>> = {
  united: 'united with another',
  'broken-up': 'broken up',
  dead: 'died out',
  sold: 'sold',
  'given-away': 'given away',
  absconded: 'absconded',
  stolen: 'stolen',
  error: 'entered by mistake',
};

/** What a colony died of, as far as it matters for its combs. */
export const DEATH_CAUSES = ['not-infectious', 'unknown', 'infectious'] as const;
export type DeathCause = (typeof DEATH_CAUSES)[number];
export const DEATH_CAUSE_WORDS: Readonly<Record<DeathCause, string>> = {
  'not-infectious': 'known, and not infectious (starved, queen failed, robbed, cold)',
  unknown: 'not known',
  infectious: 'a disease, or signs of one',
};

/** The end of a colony: how, and what is known of it. The day is the colony's own. */
export const colonyEnd = z.strictObject({
  v: z.literal(1),
  how: z.enum(COLONY_ENDS),
  cause: z.enum(DEATH_CAUSES).nullable(),
  /** To whom it was sold or given, or what it died of, in words. */
  words: z.string().trim().max(200),
});
