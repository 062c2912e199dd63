import type { Day } from '@incremen/core/basics';
import { colonyState, isAboutToSwarm, type Lane } from '@incremen/core/colony';
import {
  type Apiary,
  boxesOfColony,
  coloniesOfYard,
  NUC_RECIPES,
  type YardGoal,
} from '@incremen/core/records';

/** A colony that a goal may be about. */
export interface GoalColony {
  readonly id: string;
  readonly lane: Lane;
  /** Slots of all its boxes. */
  readonly slots: number;
}

/** The colonies of yards, for a goal to begin with; last those that are about to swarm: calming or uniting is no help to them. */
export function goalColonies(apiary: Apiary, yardIds: readonly string[], day: Day): GoalColony[] {
  const known = yardIds
    .flatMap((id) => coloniesOfYard(apiary, id))
    .map((c) => ({
      state: colonyState(apiary, c, day),
      slots: boxesOfColony(apiary, c).reduce((n, b) => n + b.slots, 0),
    }));
  return known
    .toSorted((a, b) => Number(isAboutToSwarm(a.state)) - Number(isAboutToSwarm(b.state)))
    .map(({ state, slots }) => ({ id: state.colony.id, lane: state.lane, slots }));
}

/** A box of so many slots or fewer is a nuc's. */
const NUC_SLOTS = 6;

/**
 * A goal of a kind with the settings that most would begin with.
 *
 * @param about - the colony that it is asked for; the one that most would mean if left out
 */
export function newGoal(
  kind: YardGoal['kind'],
  id: string,
  colonies: readonly GoalColony[],
  day: Day,
  about?: string,
): YardGoal {
  const base = { id, importance: 2 } as const;
  const first = about ?? colonies[0]?.id ?? '';
  const nuc = about ?? colonies.find((c) => c.slots <= NUC_SLOTS)?.id ?? first;
  const tall = about ?? colonies.toSorted((a, b) => b.slots - a.slots)[0]?.id ?? first;
  const strong = about ?? colonies.find((c) => c.lane === 'strong')?.id ?? first;
  switch (kind) {
    case 'makeNucs': {
      const recipe = NUC_RECIPES[0]?.recipe;
      if (!recipe) throw new Error('there must be a recipe');
      return { ...base, kind, count: 2, recipe };
    }
    case 'level':
      return { ...base, kind, by: 'capped' };
    case 'raise':
      return { ...base, kind, colonyIds: [], by: 'bees', targetFrames: 6, onDay: day };
    case 'calm':
      return { ...base, kind, colonyIds: [strong] };
    case 'shrink':
      return { ...base, kind, colonyId: tall, boxes: 1 };
    case 'relieve':
      return { ...base, kind, colonyIds: [] };
    case 'provision':
      return { ...base, kind, colonyIds: [], storesKg: 12 };
    case 'unite':
      return { ...base, kind, ...pairOf(colonies, about) };
    case 'hiveUp':
      return { ...base, kind, colonyId: nuc, slots: 10 };
  }
}

/** Which is united with which: a weak one with one of middling strength in a full-size hive, or else with a strong one. */
function pairOf(colonies: readonly GoalColony[], about?: string): { fromId: string; intoId: string } {
  const weak = colonies.find((c) => c.lane === 'weak' || c.lane === 'watch')?.id;
  const fromId = about ?? weak ?? colonies[1]?.id ?? colonies[0]?.id ?? '';
  const others = colonies.filter((c) => c.id !== fromId);
  const full = others.filter((c) => c.slots > NUC_SLOTS);
  const into =
    full.find((c) => c.lane === 'even') ?? full.find((c) => c.lane === 'strong') ?? others[0] ?? colonies[0];
  return { fromId, intoId: into?.id ?? '' };
}
