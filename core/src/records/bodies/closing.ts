import { z } from 'zod';
import type { Apiary, CallOut, Colony } from '../records.ts';
import { coloniesOfWork } from '../views.ts';
import type { WorkBody } from './work.ts';

/** Where the queen of a unit is when its lid goes on, as far as it is known. */
const QUEEN_AT_CLOSING = ['seen', 'not-seen', 'caged', 'none'] as const;
const FED_AT_CLOSING = ['fed', 'this-evening', 'no-need'] as const;

/** What must hold for every unit before a visit closes, and what is to be known of it. */
export const closingAnswer = z.strictObject({
  colonyId: z.uuid(),
  /** Open, and wide enough for its bees; of one that is carried away in the evening shut, with air. A shut one kills within hours. */
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
  /** It is carried away in the evening: its entrance is shut until it stands there, with air. */
  readonly leaves: boolean;
}

/** The keys of all units that work changes, those that end with it included. */
export function changedBy(
  body: Pick<WorkBody, 'units' | 'moves' | 'shakes' | 'unions' | 'effects'>,
): ReadonlySet<string> {
  const keyOf = new Map(body.units.map((u) => [u.colonyId, u.key]));
  const ids = [
    ...body.unions.flatMap((u) => [u.fromId, u.intoId]),
    ...body.effects.flatMap((e) => ('colonyIds' in e ? e.colonyIds : [e.colonyId])),
  ];
  return new Set([
    ...body.units.flatMap((u) => (u.state === 'new' || u.parted ? [u.key] : [])),
    ...body.moves.flatMap((m) => [m.fromKey, m.toKey]),
    ...body.shakes.flatMap((s) => [s.fromKey, s.toKey]),
    ...ids.map((id) => keyOf.get(id) ?? id),
  ]);
}

/** The units that work makes or changes, with those made beside it. A box above a colony is no unit of its own. */
export function unitsOfWork(
  apiary: Pick<Apiary, 'colony'>,
  work: {
    readonly id: string;
    readonly body: Pick<WorkBody, 'units' | 'moves' | 'shakes' | 'unions' | 'effects'>;
  },
): ClosingUnit[] {
  const { body } = work;
  const changed = changedBy(body);
  // Nobody closes a hive that is no more.
  const gone = new Set([
    ...body.unions.map((u) => u.fromId),
    ...body.effects.flatMap((e) => (e.kind === 'unit-ends' ? [e.colonyId] : [])),
  ]);
  // Of work that changes nothing in the records every unit was opened all the same.
  const untouched = changed.size === 0;
  const planned = body.units.filter(
    (u) =>
      u.state === 'new' ||
      (u.state === 'stays' && (changed.has(u.key) || untouched) && !gone.has(u.colonyId)),
  );
  return [
    ...planned.map((u) => ({ ...u, leaves: u.state === 'new' && u.distance === 'away' })),
    ...unitsBeside(apiary, work).map((c) => ({ colonyId: c.id, name: c.name, leaves: false })),
  ];
}

/** The units that answer before a break-up is finished: those that were filled, and the givers that stay. */
export function unitsOfCallOut(
  apiary: Pick<Apiary, 'colony'>,
  { body }: Pick<CallOut, 'body'>,
): ClosingUnit[] {
  const filled = body.units.filter((u) => body.calls.some((c) => c.to.at === 'unit' && c.to.key === u.key));
  const stay = body.givers.flatMap((g) => (g.whole ? [] : (apiary.colony[g.colonyId] ?? [])));
  return [
    ...filled.map(({ colonyId, name, recipe }) => ({ colonyId, name, leaves: recipe.distance === 'away' })),
    ...stay.map(({ id, name }) => ({ colonyId: id, name, leaves: false })),
  ];
}

/** The colonies that were made in the course of the work and stand in no plan. */
export function unitsBeside(
  apiary: Pick<Apiary, 'colony'>,
  work: { readonly id: string; readonly body: Pick<WorkBody, 'units'> },
): Colony[] {
  return coloniesOfWork(apiary, work.id).filter((c) => !work.body.units.some((p) => p.colonyId === c.id));
}

/** The units that have not answered. */
export function silentUnits(
  units: readonly ClosingUnit[],
  answers: readonly ClosingAnswer[] | undefined,
): ClosingUnit[] {
  return units.filter((u) => !answers?.some((a) => a.colonyId === u.colonyId));
}
