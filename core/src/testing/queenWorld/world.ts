import type { Day } from '../../basics/index.ts';
import type { PartBefore } from '../../queen-odds/index.ts';
import type { Evidence } from '../../records/index.ts';
import type { QueenStateName } from '../../rules/index.ts';

/** Draws a number from 0 to 1. */
export type Random = () => number;

/** Who lays, from one time to another; times are days since the setting's first day and need not be whole. */
export interface Laying {
  readonly from: number;
  readonly to: number;
  readonly by: 'queen' | 'drone' | 'workers';
}

/** How it truly went in one colony, and who looks at it: what nobody knows. */
export interface Life {
  readonly stateAt: (t: number) => QueenStateName;
  readonly laying: readonly Laying[];
  /** Live queen cells hang there from one time to another. */
  readonly cells: { readonly from: number; readonly to: number } | null;
  /** How often this keeper finds brood that is there, from 0 to 1. */
  readonly skill: number;
  /** How often this keeper takes for brood what is none, or ticks the wrong thing. */
  readonly slips: number;
  /** A barrier keeps her in the box that is seldom opened. */
  readonly barred?: boolean;
}

/** What the records know of a colony before it is looked at. */
export interface Setting {
  readonly before: PartBefore;
  /** The day that times are counted from. */
  readonly from: Day;
}

/** An inspection that is being written down. */
export type Draft = { -readonly [K in keyof Evidence]: Evidence[K] };

/** Something that an inspection may say, with how likely each answer is. What hides in a life is asked in no other way. */
export interface Question {
  /** How often it is looked for at all; the same in every life. */
  readonly asked: number;
  /** How each answer is written down, at a time. */
  readonly answers: readonly ((draft: Draft, t: number) => void)[];
  /** How likely each answer is; their sum is 1. */
  readonly chances: (life: Life, t: number, share: number) => readonly number[];
}

/** A made-up world of colonies whose truth is known. */
export interface World {
  readonly setting: (random: Random) => Setting;
  readonly life: (random: Random, setting: Setting) => Life;
  /** On which days it is looked at, and what share of the combs is read then. */
  readonly looks: (
    random: Random,
    setting: Setting,
  ) => readonly { readonly day: number; readonly share: number }[];
  readonly questions: readonly Question[];
}

/** Whether somebody laid at any time of a span. */
export const laid = ({ laying }: Life, from: number, to: number, by?: Laying['by']): boolean =>
  laying.some((l) => (by === undefined || l.by === by) && l.from <= to && l.to >= from);

/** Sum of four draws about 0: near to a normal with a standard deviation of 0.58, and never beyond 2. */
export const bell = (random: Random): number => random() + random() + random() + random() - 2;
