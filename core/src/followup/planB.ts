import { type Apiary, type Colony, queenOf } from '../records/index.ts';
import { addDays, dayInWords, type Day } from '../basics/index.ts';
import { colonySeason, yardSeason } from '../forecast/index.ts';
import { DAYS_TO_EGGS } from '../brood/index.ts';
import type { QueenLane } from './queenLane.ts';

/** What is done when a part fails, from the first choice to the last. */
type Fallback = 'reunite' | 'test-frame' | 'give-cell' | 'give-queen';

/** The fallback of a part that raises its queen, and until when it is decided. */
export interface PlanB {
  readonly decideBy: Day;
  readonly because: string;
  readonly choices: readonly { readonly what: Fallback; readonly words: string }[];
  /** The part with the old queen, to be reunited with. */
  readonly reuniteWith: Colony | null;
}

const WORDS = {
  'test-frame': 'a comb of eggs from a healthy colony',
  'give-cell': 'a ripe cell',
  'give-queen': 'a mated queen',
} as const;

/** The fallback of a part, from the day it is made: what can still be done by then depends on the season. */
export function planBOf(apiary: Apiary, lane: QueenLane, day: Day): PlanB {
  const colony = apiary.colony[lane.colonyId];
  const season = colony ? colonySeason(apiary, colony, day) : yardSeason(apiary, day);
  const parts = colony?.separation?.partIds ?? [];
  const withQueen = parts
    .flatMap((id) => apiary.colony[id] ?? [])
    .find((c) => c.id !== lane.colonyId && c.endedOn === null && queenOf(apiary, c.id));
  // The last day on which a mated queen still raises winter bees.
  const lastHelp = addDays(season.lastForWinterBees, -DAYS_TO_EGGS['give-queen']);
  const bySeason = lastHelp < lane.decideBy;
  const decideBy = bySeason ? (lastHelp > day ? lastHelp : day) : lane.decideBy;
  const inTime = (['test-frame', 'give-cell', 'give-queen'] as const).filter(
    (w) => addDays(decideBy, DAYS_TO_EGGS[w]) <= season.lastForWinterBees,
  );
  // By the date of decision workers may be about to lay: a mated queen is surest, then a cell, then eggs.
  const choices: { what: Fallback; words: string }[] = inTime
    .toReversed()
    .map((what) => ({ what, words: WORDS[what] }));
  const reunite = {
    what: 'reunite' as const,
    words: withQueen ? `reunite with ${withQueen.name}` : 'unite it with a queenright colony',
  };
  return {
    decideBy,
    because: bySeason
      ? `A queen must lay by ${dayInWords(season.lastForWinterBees)} to raise winter bees.`
      : 'A virgin that does not lay four weeks after she emerged hardly ever will.',
    choices: bySeason ? [reunite, ...choices] : [...choices, reunite],
    reuniteWith: withQueen ?? null,
  };
}

/**
 * What is said of a part that has run past its last date, when losses are cut; null before, or when eggs are known.
 * Eggs that nobody looked for may be there: then a look comes first.
 */
export function pastLast(lane: QueenLane, planB: PlanB, day: Day): string | null {
  const last = planB.decideBy < lane.latestEggs ? planB.decideBy : lane.latestEggs;
  if (lane.laying || day <= last) return null;
  const due = lane.events.find((e) => e.id === 'eggs')?.window.earliest ?? last;
  return lane.lookedForEggsOn !== null && lane.lookedForEggsOn >= due
    ? `Past its last date (${dayInWords(last)}) without eggs: cut the loss.`
    : `Eggs were due by ${dayInWords(last)}, and nobody has looked since they could be there. Look now; without eggs, cut the loss.`;
}
