import type { FollowUpText, Setup } from '../base/method.ts';

/** Looks that only a part without its queen needs. */
const OF_RAISING: readonly FollowUpText['topic'][] = [
  'early-capped',
  'surplus-cells',
  'rest',
  'eggs-due',
  'capped-due',
];

/**
 * Follow-ups once it is known which part has the queen: nobody looks for that any more, and only the other
 * part is watched as one that raises a queen. They stay as they are while it is not known.
 */
export function settleQueen(
  followUps: readonly FollowUpText[],
  [stay, fresh]: Setup['queen'],
): readonly FollowUpText[] {
  if ((stay === 'here') === (fresh === 'here') || stay === 'unknown' || fresh === 'unknown') return followUps;
  const without = stay === 'here' ? 'new' : 'stay';
  return followUps.flatMap((f) => {
    if (f.parts.length < 2) return [f];
    if (f.topic === 'which-part') return [];
    return OF_RAISING.includes(f.topic) ? [{ ...f, parts: [without] as const }] : [f];
  });
}
