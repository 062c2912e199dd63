import type { Place } from '../../handling/index.ts';
import type { Weighing } from './fit.ts';
import type { MethodId, FollowUpTopic, StepDraft } from '../../records/index.ts';
import type { Day, Window } from '../../basics/index.ts';
import type { LedgerLine } from '../../cells/index.ts';
import type { FrameSizeId } from '../../comb/index.ts';
import type { Distance } from '../../brood/index.ts';
import type { Choice, PlanFrame, PartMeasure } from './measure.ts';
import type { PlanRule } from './rules.ts';
import type { HouseRules } from '../../rules/index.ts';

/** A question on which good beekeepers differ, with the schools and a reasoned default. */
export interface MethodOption {
  readonly id: string;
  readonly question: string;
  readonly schools: readonly { readonly id: string; readonly label: string; readonly why: string }[];
  readonly default: string;
}

/** One box of the colony to be split. */
export interface DonorBox {
  readonly id: string;
  readonly name: string;
  readonly sizeId: FrameSizeId;
  readonly slots: number;
  /** Those in which a comb can hang: a feeder or a board takes one. */
  readonly combSlots: readonly number[];
  readonly role: 'brood' | 'super';
  /** An excluder lies under it. */
  readonly excluderBelow: boolean;
}

/** The colony to be split, brought to the day of the work. */
export interface Donor {
  readonly colonyId: string;
  readonly name: string;
  /** Bottom first. */
  readonly boxes: readonly DonorBox[];
  readonly frames: readonly PlanFrame[];
  /** Its live queen cells, as every page dates them. */
  readonly cells: readonly LedgerLine[];
  readonly countedOn: Day;
}

/** What a method gets to see. */
export interface MethodInput {
  readonly donor: Donor;
  readonly day: Day;
  readonly options: Readonly<Record<string, string>>;
  readonly rules: HouseRules;
  readonly newName: string;
}

/** How a method frames the problem that the planner then solves. */
export interface Setup {
  readonly distance: Distance;
  /** Where the old queen is afterwards, in the part that stays and in the new one. */
  readonly queen: readonly ['here' | 'elsewhere' | 'unknown', 'here' | 'elsewhere' | 'unknown'];
  readonly rules: readonly PlanRule[];
  /** What is nice to have, as a price on top of the rules. */
  readonly wish: (stay: PartMeasure, fresh: PartMeasure, choice: Choice) => number;
  readonly start: Choice;
  /** Part in which each frame hangs without any frame being lifted. */
  readonly restingPart: readonly (0 | 1)[];
  readonly movable: readonly number[];
  readonly shakable: readonly number[];
  readonly maxShakes: number;
  readonly newPart: { readonly min: number; readonly max: number };
  /** Boxes that go to the new stand as they are: a brood box, or supers on top of the box that is brought. */
  readonly boxesThatMove: readonly string[];
  /** The box to bring, when no brood box moves. */
  readonly broughtBox: { readonly sizeId: FrameSizeId; readonly slots: number } | null;
  readonly emergence: Window;
  /** The emergence hangs on cells that were there before, not on the day of the split. */
  readonly fromCells: boolean;
}

/** A frame on its way, for texts. */
export interface PlannedMove {
  readonly frameId: string;
  readonly frame: PlanFrame | null;
  /** Null for a frame from the store. */
  readonly fromLabel: string;
  readonly toLabel: string;
  readonly toPart: 0 | 1;
  /** Null is the store. */
  readonly from: Place | null;
  readonly to: Place;
  readonly blank: 'drawn' | 'foundation' | null;
  /** It only slides over within its box. */
  readonly slides: boolean;
}

/** Where a frame of a part hangs when the work is done. */
export interface PartSlot {
  readonly boxId: string;
  readonly slot: number;
  readonly frameId: string;
}

/** A part as it will stand. */
export interface PlannedPart {
  readonly key: PartKey;
  readonly colonyId: string;
  readonly name: string;
  readonly queen: 'here' | 'elsewhere' | 'unknown';
  readonly distance: Distance | 'stand';
  readonly measure: PartMeasure;
  readonly slots: readonly PartSlot[];
}

/** What is known once the frames are chosen. */
export interface Solved {
  readonly input: MethodInput;
  readonly setup: Setup;
  readonly stay: PartMeasure;
  readonly fresh: PartMeasure;
  readonly moves: readonly PlannedMove[];
  readonly shakes: readonly PlanFrame[];
  /** Where combs hang that have been carried already. */
  readonly hung: ReadonlyMap<string, Place>;
}

/** The parts by their keys: the colony that stays, and what comes out of it. */
export type PartKey = 'stay' | 'new';

/** A step of a method: it is done at one part, or at both. */
export type StepText = Omit<StepDraft, 'units'> & { readonly units?: readonly PartKey[] };

/** A follow-up before it gets an identifier. */
export interface FollowUpText {
  readonly parts: readonly PartKey[];
  readonly kind: 'look' | 'hands-off';
  readonly topic: FollowUpTopic;
  readonly window: Window;
  /** What its dates hang on: the day of the work, or cells that were there before. */
  readonly anchor: 'work' | 'cells';
  readonly expect: string;
}

/** What is told of every way to make increase, and how it is weighed up. */
export interface MethodCard<Id extends string = string> {
  readonly id: Id;
  readonly name: string;
  readonly aim: string;
  readonly season: string;
  /** What has to be there, in words. */
  readonly needs: string;
  /** Who gets queen, brood, bees and food. */
  readonly shares: string;
  /** What need not be done. */
  readonly skips: string;
  readonly goesWrong: readonly { readonly what: string; readonly wayOut: string }[];
  /** Whether it suits what a beekeeper has and wants. */
  fit(weighing: Weighing): Weighing;
}

/** A way to make one new part of one colony: everything that is particular to it, and nothing common to all. */
export interface SplitMethod extends MethodCard<MethodId> {
  readonly options: readonly MethodOption[];
  setUp(input: MethodInput): Setup;
  steps(solved: Solved): StepText[];
  /** Equipment besides frames, by name. */
  kit(solved: Solved): { readonly what: string; readonly count: number }[];
  followUps(solved: Solved): FollowUpText[];
  cautions(solved: Solved): string[];
}

/** The chosen school for an option; the default when none was chosen. */
export function chosen(method: Pick<SplitMethod, 'options'>, input: MethodInput, optionId: string): string {
  const option = method.options.find((o) => o.id === optionId);
  if (!option) throw new Error(`no option ${optionId}`);
  const wanted = input.options[optionId];
  return option.schools.some((s) => s.id === wanted) ? (wanted as string) : option.default;
}

/** The new part is fed: always by choice, or when it has too little for days without field bees. */
export function needsFeed(
  method: Pick<SplitMethod, 'options'>,
  input: MethodInput,
  storesFrames: number,
): boolean {
  return chosen(method, input, 'feed') === 'always' || storesFrames < input.rules.minStoresNoField;
}
