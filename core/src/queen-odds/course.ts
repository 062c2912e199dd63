import { daysBetween, type Day, type Window } from '../basics/index.ts';
import type { QueenCame } from '../records/index.ts';
import type { QueenStateName } from '../rules/index.ts';

/** Days since the beginning of 2000: thousands of comparisons are made of them. */
export type DayNumber = number;

/** The number of a day. */
export const dayNumber = (day: Day): DayNumber => daysBetween('2000-01-01', day);

/** Whose eggs are laid: of a mated queen, of an unmated one, or of workers. */
export type Layer = 'queen' | 'drone-queen' | 'workers';

/** A stretch of days in which somebody lays, both ends included; null ends are open. */
export interface LayingSpan {
  readonly from: DayNumber | null;
  readonly to: DayNumber | null;
  readonly by: Layer;
}

/** One way in which it may have come, from the loss of the queen to now and beyond. */
export interface Course {
  readonly id: string;
  /** How likely it is before anything was seen. */
  readonly prior: number;
  readonly laying: readonly LayingSpan[];
  /** Live queen cells are in it, from one day to another. */
  readonly cells: { readonly from: DayNumber; readonly to: DayNumber } | null;
  readonly stateOn: (day: DayNumber) => QueenStateName;
}

/** Between these days virgins find drones: one who emerges before or after them hardly mates. Unknown where not given. */
export interface MatingSeason {
  readonly matingFrom?: Day;
  readonly matingUntil?: Day;
}

/** What is known of a part before it is looked at. */
export interface PartBefore extends MatingSeason {
  /** The day on which it was parted; null for a colony that was never split. */
  readonly separatedOn: Day | null;
  /** When a new queen is expected, where that is known better than from emergency cells. */
  readonly emergence: Window | null;
  /** The chance that the old queen is in it. */
  readonly queenHere: number;
  /** A queen who came from outside: what was seen before says nothing of her. */
  readonly came?: QueenCame | null;
  /** Brood that came from elsewhere: it is not her evidence, and of the young a queen can be raised. */
  readonly gifts?: readonly { readonly day: Day; readonly young: boolean }[];
  /** Boxes that are still there in which others than its queen lay, as was seen of late box by box. */
  readonly theirBoxes?: readonly string[];
  /** Since when its own queen sits in a cage. */
  readonly cagedSince?: Day | null;
}

/** Whether somebody laid on any day of a span. */
export function laidBetween(course: Course, from: DayNumber, to: DayNumber, by?: Layer): boolean {
  // A plain loop: this is asked hundreds of thousands of times for a board.
  for (const l of course.laying)
    if (
      (by === undefined || l.by === by) &&
      (l.from === null || l.from <= to) &&
      (l.to === null || l.to >= from)
    )
      return true;
  return false;
}

/** One that stays as it is. */
export function stable(id: string, prior: number, state: QueenStateName, by: Layer | null): Course {
  return {
    id,
    prior,
    laying: by ? [{ from: null, to: null, by }] : [],
    cells: null,
    stateOn: () => state,
  };
}
