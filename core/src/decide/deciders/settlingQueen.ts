import { daysBetween, type Day } from '../../basics/index.ts';
import type { JointVerdict } from '../../queen-verdict/index.ts';
import { newUnitLooks } from '../../followup/index.ts';
import { queenOf, queenPerhapsIn, visitsOf, type Colony } from '../../records/index.ts';
import type { Draft } from './draft.ts';
import { dropLooksOfItsQueen } from './droppingLooks.ts';
import { fileLooks } from './fileJob.ts';

/** From this day on eggs in a part were laid there: an egg lies three days (Winston 1987). */
const EGGS_PROVE_FROM = 4;

/**
 * Puts on record which part of a split has the old queen, once one is proved to.
 *
 * Where nobody knew, it is settled for every part. Where the notes say otherwise they were swapped: the part that was noted
 * as hers has been raising a queen since the split, and its days are filed.
 */
export function settleQueen(draft: Draft, { queenIn, parts }: JointVerdict, day: Day, ids: string[]): void {
  const separation = queenIn === null ? null : draft.get('colony', queenIn)?.separation;
  if (queenIn === null || !separation) return;
  if (separation.queen === 'unknown') {
    for (const id of separation.partIds) note(draft, id, id === queenIn ? 'here' : 'elsewhere');
    bring(draft, queenPerhapsIn(draft.apiary, queenIn)?.id, queenIn);
    return;
  }
  const proof = parts.find((p) => p.id === queenIn)?.verdict;
  if (separation.queen !== 'elsewhere' || proof?.certainty !== 'proved') return;
  const noted = separation.partIds.flatMap((id) => draft.get('colony', id) ?? []);
  const wrong = noted.find((c) => c.separation?.queen === 'here' && c.separation.day === separation.day);
  note(draft, queenIn, 'here');
  // Eggs in both are two queens, and hers stays where it is.
  if (!wrong || laysSince(draft, wrong, separation.day)) return;
  note(draft, wrong.id, 'elsewhere');
  bring(draft, queenOf(draft.apiary, wrong.id)?.id, queenIn);
  for (const id of [queenIn, wrong.id]) dropLooksOfItsQueen(draft, id);
  const looks = newUnitLooks('raises', separation.day).filter((l) => l.window.latest >= day);
  fileLooks(draft, ids, wrong.id, looks);
}

function note(draft: Draft, colonyId: string, queen: 'here' | 'elsewhere'): void {
  const part = draft.get('colony', colonyId);
  if (part?.separation) draft.put('colony', { ...part, separation: { ...part.separation, queen } });
}

function bring(draft: Draft, queenId: string | undefined, colonyId: string): void {
  const queen = queenId === undefined ? undefined : draft.get('queen', queenId);
  if (queen) draft.put('queen', { ...queen, whereabouts: { known: 'colony', colonyId } });
}

function laysSince(draft: Draft, colony: Colony, day: Day): boolean {
  return visitsOf(draft.apiary, colony.id).some(
    (v) => v.evidence?.eggs.look === 'found' && daysBetween(day, v.day) >= EGGS_PROVE_FROM,
  );
}
