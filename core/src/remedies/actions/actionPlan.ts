import {
  type Apiary,
  cellsCutBy,
  type CommandOf,
  countedOn,
  type FollowUpTopic,
  placeOf,
  type StepDraft,
  type WorkBody,
  type WorkEffect,
  type WorkMove,
  workSteps,
} from '../../records/index.ts';
import { addDays, type Day, type Window } from '../../basics/index.ts';
import type { Kit } from '../../split/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { broodOf, type UnitBees } from '../unit/unitProspect.ts';

/** What an action is asked for besides the unit: each uses what it needs. */
export interface ActionChoice {
  /** The unit that it is united with, that changes stands with it, or that takes its stand; the best, or none, when left out. */
  readonly partnerId?: string;
  /** Further units that are united into the same one. */
  readonly alsoIds?: readonly string[];
  /** Of a union: box over paper on box, in one box with a sheet upright between them, or comb to comb. */
  readonly how?: 'paper' | 'sheet' | 'direct';
  /** Of a union: at dusk all field bees come along; by day some fly to the old stand. */
  readonly when?: 'dusk' | 'day';
  /** Of a union: whose name, and whose stand, the united colony keeps; those of the queen's unit when left out. */
  readonly nameOf?: string;
  readonly standOf?: string;
  /** Of a union: whose boxes stay below, with the others set on them or emptied; the small one that suffices, or the queen's, when left out. */
  readonly boxOf?: string;
  /** Of a boost with nurses: shaken before the entrance, or on the comb of open brood that they feed. */
  readonly nurses?: 'shaken' | 'on-comb';
  /** Where a box comes that is added; the best place when left out. */
  readonly where?: 'under' | 'over' | 'top';
  /** The queen that is given. */
  readonly queen?: {
    readonly name: string | null;
    readonly birthYear: number | null;
    readonly dot: 'white' | 'yellow' | 'red' | 'green' | 'blue' | null;
  };
}

/** A unit of an action, before and after. */
interface ActionUnit {
  readonly facts: UnitFacts;
  readonly after: UnitBees;
}

/** An action worked out for a unit: what is done in which order, and when to come back. */
export interface ActionPlan {
  readonly name: string;
  readonly units: readonly ActionUnit[];
  readonly moves: readonly WorkMove[];
  readonly shakes: WorkBody['shakes'];
  readonly unions: WorkBody['unions'];
  readonly newBoxes: WorkBody['newBoxes'];
  /** Why it is done so, in a sentence or two with its figures; left out where the steps say it. */
  readonly why?: string;
  /** Of a union: the unit whose queen stays; null where that is not to be told. */
  readonly queenOf?: string | null;
  readonly emptiedBoxIds: readonly string[];
  readonly effects: readonly WorkEffect[];
  readonly steps: readonly StepDraft[];
  readonly looks: readonly {
    readonly colonyIds: readonly string[];
    readonly kind?: 'look' | 'hands-off';
    readonly topic: FollowUpTopic;
    readonly window: Window;
    /** What its dates hang on; the day of the work when left out. */
    readonly anchor?: 'work' | 'cells';
    readonly expect: string;
  }[];
  readonly cautions: readonly string[];
  readonly kit: Kit;
}

/** An action without moves and unions, to be filled in. */
export const EMPTY_PLAN = {
  moves: [],
  shakes: [],
  unions: [],
  newBoxes: [],
  emptiedBoxIds: [],
  effects: [],
  looks: [],
  cautions: [],
  kit: [],
} as const satisfies Partial<ActionPlan>;

const strength = (facts: UnitFacts, u: UnitBees) => ({
  frames: facts.frames.length,
  bees: Math.max(0, u.bees),
  brood: Math.max(0, broodOf(u)),
  capped: Math.max(0, u.capped),
  stores: facts.state.strength.storesFrames,
});

/** Makes of an action the work that is kept, ticked off and carried into the records like any other. */
export function workOfAction(
  apiary: Apiary,
  plan: ActionPlan,
  day: Day,
  newId: () => string,
): CommandOf<'saveWork'> {
  const workId = newId();
  const yardIds = [...new Set(plan.units.flatMap((u) => placeOf(apiary, u.facts.colony).yard?.id ?? []))];
  const kept = new Map(Object.values(apiary.kit).map((k) => [k.what, k.count]));
  const body: WorkBody = {
    v: 2,
    asked: { source: 'action', yardIds },
    countedOn: plan.units.map((u) => countedOn(u.facts.frames)).find((d) => d !== null) ?? day,
    units: plan.units.map(({ facts, after }) => ({
      key: facts.colony.id,
      colonyId: facts.colony.id,
      name: facts.colony.name,
      state: 'stays',
      distance: null,
      gets: null,
      parted: null,
      before: strength(facts, facts.unit),
      after: strength(facts, after),
    })),
    newHives: [],
    newBoxes: plan.newBoxes,
    unions: plan.unions,
    emptiedBoxIds: [...plan.emptiedBoxIds],
    moves: [...plan.moves],
    shakes: [...plan.shakes],
    effects: [...plan.effects, ...cellsCutBy(plan.steps, (key) => key, newId)],
    ledger: [],
    kit: plan.kit.map((k) => {
      const has = kept.get(k.what);
      return { ...k, shortBy: has === undefined ? null : Math.max(0, k.count - has) };
    }),
    cautions: [...plan.cautions],
    looks: plan.looks.map((l) => ({
      id: newId(),
      kind: 'look',
      anchor: 'work',
      ...l,
      colonyIds: [...l.colonyIds],
      expect: l.expect.slice(0, 800),
    })),
  };
  return {
    type: 'saveWork',
    work: { id: workId, name: plan.name.slice(0, 80), day, status: 'draft', body },
    steps: workSteps(workId, plan.steps, newId),
  };
}

/** The usual look after something was given or changed. */
export const inAWeek = (facts: UnitFacts, expect: string): ActionPlan['looks'][number] => ({
  colonyIds: [facts.colony.id],
  topic: 'rhythm',
  window: { earliest: addDays(facts.day, 6), likely: addDays(facts.day, 7), latest: addDays(facts.day, 9) },
  expect,
});
