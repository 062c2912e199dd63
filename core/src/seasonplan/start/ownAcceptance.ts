import { daysBetween, type Day } from '../../basics/index.ts';
import type { Known } from '../../odds/index.ts';
import type { Apiary, Queen } from '../../records/index.ts';

/** How queens fared that were put into colonies. */
export interface AcceptanceResults {
  readonly accepted: number;
  readonly refused: number;
}

/** Nine of ten mated queens are accepted where the cage is used by the book, as if ten had told (common practice, no source). */
const PRIOR: Known = { well: 9, ill: 1 };
/** Bees that have kept a queen for so long keep her: by then her first brood is capped (judgement). */
const SETTLED_DAYS = 21;

/** Queens of one's own that were put into colonies, and whether they were kept: those too young to tell are left out. */
export function ownAcceptance(apiary: Apiary, today: Day): AcceptanceResults {
  const results = { accepted: 0, refused: 0 };
  for (const queen of Object.values(apiary.queen)) {
    const kept = wasKept(queen, today);
    if (kept !== null) results[kept ? 'accepted' : 'refused']++;
  }
  return results;
}

/** Whether the bees kept her where she was first put in; null where she was not, or nobody can say yet. */
function wasKept({ history, end }: Queen, today: Day): boolean | null {
  const put = history.find((h) => h.did === 'put-in');
  if (!put) return null;
  const laid = history.some((h) => h.did === 'laying' && h.day >= put.day);
  if (laid) return true;
  const goneAfter = end === null ? null : daysBetween(put.day, end.day);
  if (goneAfter !== null && goneAfter <= SETTLED_DAYS)
    // Sold or killed by the keeper says nothing of the bees.
    return end?.how === 'lost' || end?.how === 'died' ? false : null;
  return daysBetween(put.day, today) > SETTLED_DAYS ? true : null;
}

/** The chance that a mated queen is accepted: what practice gives, and one's own results on top. */
export const chanceOfAcceptance = ({ accepted, refused }: AcceptanceResults): Known => ({
  well: PRIOR.well + accepted,
  ill: PRIOR.ill + refused,
});
