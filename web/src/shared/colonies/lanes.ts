import { byName } from '@incremen/core/basics';
import type { ColonyState, Lane } from '@incremen/core/colony';
import type { BoardView, Sort } from '../../state/boardSlice.ts';

/** The lanes of a board in the order in which they are shown, with what each means. */
export const LANES: readonly { readonly lane: Lane; readonly title: string; readonly meaning: string }[] = [
  { lane: 'strong', title: 'Strong', meaning: 'stronger than your donor threshold' },
  { lane: 'unfit', title: 'On hold', meaning: 'nothing in, nothing out' },
  { lane: 'weak', title: 'Weak', meaning: 'boost, watch or unite' },
  { lane: 'watch', title: 'Watch', meaning: 'an inspection settles it' },
  { lane: 'raising', title: 'Raising a queen', meaning: 'one is on the way' },
  { lane: 'even', title: 'Steady', meaning: 'OK, leave them to build up' },
  { lane: 'uncounted', title: 'Not counted', meaning: 'nothing is known of these yet' },
];

const VALUES: Readonly<Record<Exclude<Sort, 'stand' | 'name'>, (s: ColonyState) => number>> = {
  bees: (s) => s.strength.framesOfBees.likely,
  brood: (s) => s.strength.broodFrames.likely,
  stores: (s) => s.strength.storesFrames,
  age: (s) => s.countAgeDays ?? Infinity,
};

/** Puts colonies in order and leaves out those that are not looked for. They come in the order of stands. */
export function arranged(
  states: readonly ColonyState[],
  { sort, find, lane }: Pick<BoardView, 'sort' | 'find' | 'lane'>,
): ColonyState[] {
  const wanted = find.trim().toLowerCase();
  const shown = states.filter(
    (s) => (lane === null || s.lane === lane) && s.colony.name.toLowerCase().includes(wanted),
  );
  if (sort === 'stand') return shown;
  const inOrder = (a: ColonyState, b: ColonyState) => byName(a.colony, b.colony);
  if (sort === 'name') return shown.toSorted(inOrder);
  const value = VALUES[sort];
  return shown.toSorted((a, b) => value(b) - value(a) || inOrder(a, b));
}
