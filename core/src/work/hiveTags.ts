import {
  type Apiary,
  type CallOut,
  type Plan,
  type YardPlan,
  openFollowUps,
  queenOf,
  unitsBeside,
} from '../records/index.ts';
import { dayInWords, type Day } from '../basics/index.ts';

/** What stands on the tag of a hive, so that in four weeks nobody has to guess. */
export interface HiveTag {
  readonly colonyId: string;
  readonly name: string;
  readonly day: Day;
  /** The colony whose brood or queen it has. */
  readonly mother: string | null;
  /** Queen and mating status, in a few words. */
  readonly queen: string;
  /** Year in which she was or will be born; null when unknown. */
  readonly year: number | null;
  /** What to do with it next. */
  readonly note: string;
}

/** Tags for both parts of a split, and for units made beside it. */
export function tagsOfPlan(apiary: Apiary, plan: Plan): HiveTag[] {
  const mother = apiary.colony[plan.colonyId]?.name ?? null;
  const old = queenOf(apiary, plan.colonyId);
  const oldYear = old?.birthYear ?? null;
  const year = Number(plan.day.slice(0, 4));
  const [stay, fresh] = plan.body.parts;
  const bothHave = stay.queen === 'here' && fresh.queen === 'here';
  // Brood that only went above makes no hive.
  const planned = plan.body.parts
    .filter((p) => p.distance !== 'above')
    .map((part): HiveTag => {
      const isNew = part.key === 'new';
      const common = {
        colonyId: part.colonyId,
        name: part.name,
        day: plan.day,
        mother: isNew ? mother : null,
      };
      if (part.queen === 'here') {
        return bothHave && isNew
          ? {
              ...common,
              queen: 'mated, given in a cage',
              year: null,
              note: 'Cage on day 3 to 5. Robbers: small entrance.',
            }
          : {
              ...common,
              queen: isNew ? `old queen of ${mother ?? 'its parent'}` : 'its old queen',
              year: oldYear,
              note: 'Laying.',
            };
      }
      return part.queen === 'unknown'
        ? { ...common, queen: 'unknown until day 7', year: null, note: 'Eggs on day 7: the queen is here.' }
        : { ...common, queen: 'raising, not mated yet', year, note: restNote(plan.body.followUps, part.key) };
    });
  return [...planned, ...tagsBeside(apiary, plan)];
}

/** Tags for the nucs that a yard plan makes, and for units made beside it. */
export function tagsOfYardPlan(apiary: Apiary, plan: YardPlan): HiveTag[] {
  const year = Number(plan.day.slice(0, 4));
  const planned = plan.body.newHives.map((hive): HiveTag => {
    const unit = plan.body.units.find((u) => u.colonyId === hive.colonyId);
    const mother = apiary.colony[hive.fromColonyId];
    const old = mother && queenOf(apiary, mother.id);
    const rest = plan.body.looks.find((l) => l.kind === 'hands-off' && l.colonyIds.includes(hive.colonyId));
    const note = rest ? handsOff(rest.window.earliest, rest.window.latest) : 'Look in a week.';
    const common = {
      colonyId: hive.colonyId,
      name: unit?.name ?? 'Nuc',
      day: plan.day,
      mother: mother?.name ?? null,
    };
    switch (unit?.queen) {
      case 'old-queen':
        return {
          ...common,
          queen: `old queen of ${mother?.name ?? 'its parent'}`,
          year: old?.birthYear ?? null,
          note,
        };
      case 'mated':
        return { ...common, queen: 'mated, given in a cage', year: null, note };
      case 'cell':
        return { ...common, queen: 'ripe cell, not mated yet', year, note };
      case 'raises':
      case null:
      case undefined:
        return { ...common, queen: 'raising, not mated yet', year, note };
    }
  });
  return [...planned, ...tagsBeside(apiary, plan)];
}

const UNIT_QUEEN = {
  raises: 'raising, not mated yet',
  cell: 'ripe cell, not mated yet',
  mated: 'mated, given in a cage',
  'old-queen': 'old queen',
} as const;

/** Tags for the units of a break-up, one for each side of a shared box. */
export function tagsOfCallOut(apiary: Apiary, { day, body }: CallOut): HiveTag[] {
  const year = Number(day.slice(0, 4));
  return body.units
    .filter((u) => body.calls.some((c) => c.to.at === 'unit' && c.to.key === u.key))
    .map((u): HiveTag => {
      const givers = body.calls.flatMap((c) => (c.to.at === 'unit' && c.to.key === u.key ? [c.giverId] : []));
      const own = body.queens.find((q) => q.now === u.key);
      const rest = openFollowUps(apiary).find(
        (f) => f.kind === 'hands-off' && f.colonyIds.includes(u.colonyId),
      );
      return {
        colonyId: u.colonyId,
        name: u.name,
        day,
        mother: apiary.colony[givers[0] ?? '']?.name ?? null,
        queen: own
          ? `old queen of ${apiary.colony[own.giverId]?.name ?? 'its parent'}`
          : UNIT_QUEEN[u.recipe.queen],
        year: own || u.recipe.queen === 'mated' ? null : year,
        note: rest ? handsOff(rest.window.earliest, rest.window.latest) : 'Look in a week.',
      };
    });
}

/** Tags for the units that were made in the course of the work: nobody planned a queen for them. */
function tagsBeside(apiary: Apiary, plan: Plan | YardPlan): HiveTag[] {
  return unitsBeside(apiary, plan).map((c) => {
    const mother = c.origin.how === 'split' ? apiary.colony[c.origin.fromColonyId] : undefined;
    return {
      colonyId: c.id,
      name: c.name,
      day: c.startedOn,
      mother: mother?.name ?? null,
      queen: 'raising, or none: look on day 7',
      year: Number(c.startedOn.slice(0, 4)),
      note: 'Cells on day 7: it raises. None: give eggs, a cell or a queen.',
    };
  });
}

function restNote(followUps: Plan['body']['followUps'], part: 'stay' | 'new'): string {
  const rest = followUps.find((f) => f.kind === 'hands-off' && f.parts.includes(part));
  return rest ? handsOff(rest.window.earliest, rest.window.latest) : 'Hands off until eggs are due.';
}

const handsOff = (from: Day, to: Day) => `Hands off ${dayInWords(from)} to ${dayInWords(to)}.`;
