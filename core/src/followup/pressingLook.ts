import { isInspection } from './topics.ts';
import type { Day } from '../basics/index.ts';
import type { FollowUp } from '../records/index.ts';

/**
 * The inspection of one colony that counts on a day: one that is due; else the last that was missed, for what can still
 * be told; else the next to come.
 *
 * @param followUps - what is open for that colony
 */
export function pressingLook(followUps: readonly FollowUp[], today: Day): FollowUp | undefined {
  const looks = followUps
    .filter(isInspection)
    .toSorted((a, b) => a.window.latest.localeCompare(b.window.latest));
  const begun = looks.filter((f) => f.window.earliest <= today);
  const next = () => looks.toSorted((a, b) => a.window.earliest.localeCompare(b.window.earliest)).at(0);
  return begun.find((f) => f.window.latest >= today) ?? begun.at(-1) ?? next();
}
