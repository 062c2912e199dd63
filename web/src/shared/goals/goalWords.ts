import { dayInWords } from '@incremen/core/basics';
import { type Apiary, type Operation, type YardGoal, type YardGoalOf } from '@incremen/core/records';
import { count, mass } from '../../ui/format.ts';

/** The kinds of goals in the order in which they are offered, and what each is for. */
export const GOAL_KINDS: readonly {
  readonly kind: YardGoal['kind'];
  readonly title: string;
  readonly what: string;
}[] = [
  { kind: 'makeNucs', title: 'Make nucs', what: 'A set number, or as many as possible.' },
  { kind: 'level', title: 'Level the yard', what: 'Strong hives give brood to weak ones.' },
  { kind: 'raise', title: 'Raise the weak', what: 'To a target by a day, with brood or nurse bees.' },
  { kind: 'relieve', title: 'Free honey-bound nests', what: 'Stores out, empty comb in.' },
  {
    kind: 'hiveUp',
    title: 'Move into a full-size hive',
    what: 'A full-sized box, stores from a neighbour, combs to draw.',
  },
  { kind: 'calm', title: 'Take swarm pressure off', what: 'Less brood, more room.' },
  { kind: 'provision', title: 'Provision', what: 'So much food for winter or a dearth.' },
  { kind: 'shrink', title: 'Bring down to fewer boxes', what: 'As many as its bees will cover.' },
  { kind: 'unite', title: 'Unite two colonies', what: 'One becomes part of the other.' },
];

export const titleOf = (kind: YardGoal['kind']) => GOAL_KINDS.find((g) => g.kind === kind)?.title ?? kind;

/** How a nuc gets its queen. */
export const QUEEN_WAYS = [
  ['raises', 'raises its own queen'],
  ['cell', 'gets a ripe cell'],
  ['mated', 'gets a mated queen'],
  ['old-queen', 'takes the old queen along'],
] as const;

const QUEEN_SHORT = {
  raises: 'own queens',
  cell: 'ripe cells',
  mated: 'mated queens',
  'old-queen': 'old queens',
};

/** A request in a few words, for the table of alternatives and the list of work. */
export function labelOf(goals: readonly YardGoal[], apiary: Apiary, units: Operation['units']): string {
  return goals.map((g) => wordsOf(g, apiary, units)).join(', ') || 'Nothing asked';
}

function wordsOf(goal: YardGoal, apiary: Apiary, units: Operation['units']): string {
  const name = (id: string) => apiary.colony[id]?.name ?? 'a colony';
  const names = (ids: readonly string[], all: string) => (ids.length === 0 ? all : ids.map(name).join(', '));
  switch (goal.kind) {
    case 'makeNucs':
      return goal.wholeOfId === undefined
        ? nucWords(goal)
        : `${name(goal.wholeOfId)} whole into ${nucWords(goal)}`;
    case 'level':
      return `level by ${goal.by === 'capped' ? 'capped brood' : 'brood'}`;
    case 'raise':
      return `raise ${names(goal.colonyIds, 'the weak')} to ${goal.targetFrames} of ${goal.by} by ${dayInWords(goal.onDay)}`;
    case 'calm':
      return `calm ${names(goal.colonyIds, 'all')}`;
    case 'shrink':
      return `${name(goal.colonyId)} down to ${count(goal.boxes, 'box', 'boxes')}`;
    case 'relieve':
      return `free ${names(goal.colonyIds, 'honey-bound nests')}`;
    case 'provision':
      return `${mass(goal.storesKg, units)} for ${names(goal.colonyIds, 'each')}`;
    case 'unite':
      return `unite ${name(goal.fromId)} into ${name(goal.intoId)}`;
    case 'hiveUp':
      return `move ${name(goal.colonyId)} into a full-size hive${goal.droneComb ? ', with a drone comb' : ''}`;
  }
}

function nucWords(goal: YardGoalOf<'makeNucs'>): string {
  const many = goal.count === null ? 'most nucs' : count(goal.count, 'nuc');
  return `${many}, ${QUEEN_SHORT[goal.recipe.queen]}${goal.recipe.distance === 'away' ? ', away' : ''}`;
}
