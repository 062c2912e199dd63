import { addDays, type Day } from '../basics/index.ts';
import type { Apiary, Colony, Queen } from './records.ts';
import { queenOf } from './views.ts';

/** How a queen who was not raised in a colony came into it. */
export interface QueenCame {
  readonly on: Day;
  /** Given by the keeper; or with a swarm: the old queen of a prime swarm, or nobody knows which. */
  readonly how: 'given' | 'prime-swarm' | 'swarm';
  readonly mated: boolean;
  /** She was let out of her cage, or never sat in one. */
  readonly free: boolean;
}

/** A queen who came so long ago is judged as any other. */
const NEW_DAYS = 45;

/** The queen who has come into a colony of late; null where none has, or where she is known to lay. */
export function queenCame(apiary: Apiary, colony: Colony, today: Day): QueenCame | null {
  const since = addDays(today, -NEW_DAYS);
  const queen = queenOf(apiary, colony.id);
  const deed = queen?.history.findLast(
    (h) => h.colonyId === colony.id && (h.did === 'put-in' || h.did === 'swarmed') && h.day <= today,
  );
  // Parted since, it is judged as a part.
  const partedOn = colony.separation?.day ?? '';
  if (queen && deed && deed.day >= since && deed.day >= partedOn) {
    if (queen.layingSince !== null && queen.layingSince >= deed.day) return null;
    return {
      on: deed.day,
      how: deed.did === 'put-in' ? 'given' : 'prime-swarm',
      mated: deed.did === 'swarmed' || queen.mating !== 'virgin',
      free: queen.cagedSince === null,
    };
  }
  const swarm =
    colony.origin.how === 'swarm' &&
    colony.startedOn >= since &&
    colony.startedOn <= today &&
    !colony.separation;
  return swarm && !queen ? { on: colony.startedOn, how: 'swarm', mated: false, free: true } : null;
}

/**
 * The first day of which an inspection speaks of the queen who is there now: the day after she came, or that on which she
 * was noted to lay. Null where all that was seen is of her.
 */
export function speaksOfQueenFrom(apiary: Apiary, colony: Colony, today: Day): Day | null {
  const came = queenCame(apiary, colony, today);
  if (came) return addDays(came.on, 1);
  const laying = queenOf(apiary, colony.id)?.layingSince ?? null;
  return laying !== null && laying <= today ? laying : null;
}

/** The queen who sits in a cage in her own colony, with the day since when; null where none does. */
export function cagedAtHome(apiary: Apiary, colony: Colony, today: Day): { queen: Queen; since: Day } | null {
  const queen = queenOf(apiary, colony.id);
  if (!queen || queen.cagedSince === null || queen.cagedSince > today) return null;
  const camein = queen.history.some((h) => h.did === 'put-in' && h.day === queen.cagedSince);
  return camein ? null : { queen, since: queen.cagedSince };
}
