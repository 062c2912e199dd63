import { z } from 'zod';
import type { Apiary, Colony } from './records.ts';
import type { PlanBody } from './planBody.ts';
import type { YardPlanBody } from './yardPlanBody.ts';

/** Where the queen of a unit is when its lid goes on, as far as it is known. */
const QUEEN_AT_CLOSING = ['seen', 'not-seen', 'caged', 'none'] as const;
const FED_AT_CLOSING = ['fed', 'this-evening', 'no-need'] as const;

/** What must hold for every unit before a visit closes, and what is to be known of it. */
export const closingAnswer = z.strictObject({
  colonyId: z.uuid(),
  /** Open, and wide enough for its bees: a shut one kills within hours. */
  entranceOpen: z.literal(true),
  lidOn: z.literal(true),
  tagOn: z.literal(true),
  /** `not-seen` is knowingly not accounted for. */
  queen: z.enum(QUEEN_AT_CLOSING),
  fed: z.enum(FED_AT_CLOSING),
  excluder: z.enum(['none', 'in']),
  strips: z.enum(['none', 'in']),
});
export type ClosingAnswer = z.infer<typeof closingAnswer>;

/** The answers of all units of a piece of work. */
export const closingAnswers = z.array(closingAnswer).min(1).max(200);

/** An answer on its way: nothing is taken for granted. */
export type ClosingDraft = {
  readonly [K in Exclude<keyof ClosingAnswer, 'colonyId'>]:
    ClosingAnswer[K] | (ClosingAnswer[K] extends true ? false : null);
};

/** A unit that was left as it should be, with nothing in it and nobody looked for. */
export const LEFT_IN_ORDER = {
  entranceOpen: true,
  lidOn: true,
  tagOn: true,
  queen: 'not-seen',
  fed: 'no-need',
  excluder: 'none',
  strips: 'none',
} as const satisfies Omit<ClosingAnswer, 'colonyId'>;

/** Nothing is answered yet. */
export const UNANSWERED: ClosingDraft = {
  entranceOpen: false,
  lidOn: false,
  tagOn: false,
  queen: null,
  fed: null,
  excluder: null,
  strips: null,
};

const WORDS: Readonly<Record<keyof ClosingDraft, string>> = {
  entranceOpen: 'entrance',
  lidOn: 'lid',
  tagOn: 'tag',
  queen: 'queen',
  fed: 'feed',
  excluder: 'excluder',
  strips: 'strips',
};

/** What a unit has not answered for, in words. */
export function stillToAnswer(draft: ClosingDraft): string[] {
  return (Object.keys(WORDS) as (keyof ClosingDraft)[])
    .filter((k) => draft[k] === false || draft[k] === null)
    .map((k) => WORDS[k]);
}

/** The answer of a unit; null while something is open. */
export function answerOf(colonyId: string, draft: ClosingDraft): ClosingAnswer | null {
  const parsed = closingAnswer.safeParse({ colonyId, ...draft });
  return parsed.success ? parsed.data : null;
}

/** A unit that answers before a visit closes. */
export interface ClosingUnit {
  readonly colonyId: string;
  readonly name: string;
}

/** The hives that a split leaves, with those made beside the plan: brood that only went above makes none. */
export function unitsOfPlan(
  apiary: Pick<Apiary, 'colony'>,
  plan: { readonly id: string; readonly body: Pick<PlanBody, 'parts'> },
): ClosingUnit[] {
  const planned = plan.body.parts.filter((p) => p.distance !== 'above');
  return [...planned, ...unitsBeside(apiary, plan).map((c) => ({ colonyId: c.id, name: c.name }))];
}

/** The keys of all units that a plan for yards changes, those that end with it included. */
export function changedBy(
  body: Pick<YardPlanBody, 'moves' | 'shakes' | 'unions' | 'effects'>,
): ReadonlySet<string> {
  return new Set([
    ...body.moves.flatMap((m) => [m.fromKey, m.toKey]),
    ...body.shakes.flatMap((s) => [s.fromKey, s.toKey]),
    ...body.unions.flatMap((u) => [u.fromId, u.intoId]),
    ...(body.effects ?? []).flatMap((e) => ('colonyIds' in e ? e.colonyIds : [e.colonyId])),
  ]);
}

/** The units that a plan for yards makes or changes, with those made beside it. */
export function unitsOfYardPlan(
  apiary: Pick<Apiary, 'colony'>,
  plan: {
    readonly id: string;
    readonly body: Pick<YardPlanBody, 'units' | 'moves' | 'shakes' | 'unions' | 'effects'>;
  },
): ClosingUnit[] {
  const { body } = plan;
  const effects = body.effects ?? [];
  const changed = changedBy(body);
  // Nobody closes a hive that is no more.
  const gone = new Set([
    ...body.unions.map((u) => u.fromId),
    ...effects.flatMap((e) => (e.kind === 'unit-ends' ? [e.colonyId] : [])),
  ]);
  // Of work that changes nothing in the records every unit was opened all the same.
  const untouched = changed.size === 0;
  const planned = body.units.filter(
    (u) => u.kind === 'nuc' || ((changed.has(u.key) || untouched) && !gone.has(u.key)),
  );
  return [...planned, ...unitsBeside(apiary, plan).map((c) => ({ colonyId: c.id, name: c.name }))];
}

/** A plan of either kind, as far as its units are concerned. */
type PlanOfUnits = { readonly id: string } & (
  { readonly body: Pick<PlanBody, 'parts'> } | { readonly body: Pick<YardPlanBody, 'units'> }
);

/** The colonies that were made in the course of the work and stand in no plan. */
export function unitsBeside(apiary: Pick<Apiary, 'colony'>, plan: PlanOfUnits): Colony[] {
  const planned: readonly ClosingUnit[] = 'parts' in plan.body ? plan.body.parts : plan.body.units;
  return Object.values(apiary.colony).filter(
    (c) =>
      c.origin.how === 'split' && c.origin.planId === plan.id && !planned.some((p) => p.colonyId === c.id),
  );
}

/** The units that have not answered. */
export function silentUnits(
  units: readonly ClosingUnit[],
  answers: readonly ClosingAnswer[] | undefined,
): ClosingUnit[] {
  return units.filter((u) => !answers?.some((a) => a.colonyId === u.colonyId));
}
