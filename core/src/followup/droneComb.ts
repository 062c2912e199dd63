import { addDays, type Day } from '../basics/index.ts';
import type { FollowUpTopic } from '../records/index.ts';
import type { LookText } from './newUnitLooks.ts';

/** From so many frames of bees a colony can spare food and nurses for drones (common practice, no source). */
export const BEES_FOR_DRONES = 8;

/** Days from the egg to the drone (Winston 1987): the comb is cut before, when it is capped. */
const CUT = { from: 18, best: 21, last: 23 } as const;

/** What a drone comb is, as it is hung. */
export const DRONE_FRAME =
  'A frame without foundation, a strip of it at the top, or drone foundation. Mark its top bar.';

/** When a drone comb that is hung on a day is cut out, and why it must not be forgotten. @param slot - where it hangs */
export function cutDroneComb(day: Day, slot: number): LookText & { readonly topic: FollowUpTopic } {
  return {
    topic: 'drone-comb',
    kind: 'look',
    window: {
      earliest: addDays(day, CUT.from),
      likely: addDays(day, CUT.best),
      latest: addDays(day, CUT.last),
    },
    expect: `Cut the drone comb in slot ${slot} while it is capped, before drones emerge; freeze or melt it the same day. Left too long it raises mites.`,
  };
}
