import { addDays, daysBetween, type Day } from '../../basics/index.ts';
import { shareOf } from '../../comb/index.ts';
import { queenOf, STORE_KEY, visitsOf, type Colony, type Frame, type Work } from '../../records/index.ts';
import type { Draft } from './draft.ts';

/** Brood that came so long ago has emerged. */
const KEPT_DAYS = 60;
/** More of a side than a cell or two, as a share of the comb. */
const SOME = 0.01;
/** From this day after the loss on no larva of its own can become a queen any more. */
const TOO_OLD_FROM = 6;

/**
 * Notes brood that comes into a colony from another: it is not its queen's, and of eggs and young larvae a colony without
 * a queen can raise one, which begins its lane anew.
 */
export function noteGift(
  draft: Draft,
  work: Work,
  move: Work['body']['moves'][number],
  frame: Frame,
  day: Day,
): void {
  const to = work.body.units.find((u) => u.key === move.toKey);
  if (to?.state !== 'stays' || move.fromKey === move.toKey || move.fromKey === STORE_KEY) return;
  const colony = draft.get('colony', to.colonyId);
  const reading = frame.readingId === null ? undefined : draft.get('reading', frame.readingId);
  if (!colony || !reading || shareOf(reading.body, 'eggs', 'open', 'capped', 'emerging') <= SOME) return;
  const young = shareOf(reading.body, 'eggs', 'open') > SOME;
  const kept = colony.broodGiven.filter((g) => g.day >= addDays(day, -KEPT_DAYS) && g.day !== day);
  const today = colony.broodGiven.some((g) => g.day === day && g.young);
  draft.put('colony', {
    ...colony,
    broodGiven: [...kept, { day, young: young || today }],
    separation: young ? begunAnew(draft, colony, day) : colony.separation,
  });
}

/** A colony that can no longer raise a queen from its own brood, and has no cells, begins with the eggs that it gets. */
function begunAnew(draft: Draft, colony: Colony, day: Day): Colony['separation'] {
  const { separation } = colony;
  if (separation?.queen !== 'elsewhere' || daysBetween(separation.day, day) < TOO_OLD_FROM) return separation;
  if (queenOf(draft.apiary, colony.id)) return separation;
  const raises = visitsOf(draft.apiary, colony.id).some(
    (v) => v.day > separation.day && v.evidence?.cells.look === 'found',
  );
  return raises ? separation : { ...separation, day, workId: null, partIds: [colony.id], emergence: null };
}
