import {
  type Apiary,
  type CallOut,
  openFollowUps,
  queenOf,
  unitsBeside,
  type Work,
} from '../records/index.ts';
import { dayInWords, yearOf, type Day } from '../basics/index.ts';

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

/** Tags for the hives that work leaves parted from their queen, or makes, and for units made beside it. */
export function tagsOfWork(apiary: Apiary, work: Work): HiveTag[] {
  const { units, newHives, looks, asked } = work.body;
  const year = yearOf(work.day);
  // A plan for yards tags what it makes; a split both of its parts.
  const tagged = units.filter(
    (u) => u.state === 'new' || (u.state === 'stays' && asked.source === 'split' && u.parted),
  );
  const planned = tagged.map((unit): HiveTag => {
    const isNew = unit.state === 'new';
    const motherId = isNew ? newHives.find((h) => h.colonyId === unit.colonyId)?.fromColonyId : unit.colonyId;
    const mother = motherId === undefined ? undefined : apiary.colony[motherId];
    const old = mother && queenOf(apiary, mother.id);
    const rest = looks.find((l) => l.kind === 'hands-off' && l.colonyIds.includes(unit.colonyId));
    const note = rest ? handsOff(rest.window.earliest, rest.window.latest) : 'Inspect in a week.';
    const common = {
      colonyId: unit.colonyId,
      name: unit.name,
      day: work.day,
      mother: isNew ? (mother?.name ?? null) : null,
    };
    switch (unit.gets) {
      case 'old-queen':
        return {
          ...common,
          queen: `old queen of ${mother?.name ?? 'its parent'}`,
          year: old?.birthYear ?? null,
          note: rest ? note : 'Laying.',
        };
      case 'mated':
        return {
          ...common,
          queen: 'mated, given in a cage',
          year: null,
          note: 'Cage on day 3 to 5. Robbing: small entrance.',
        };
      case 'cell':
        return { ...common, queen: 'ripe cell, not mated yet', year, note };
      case 'raises':
      case null:
        break;
    }
    switch (unit.parted?.queen) {
      case 'here':
        return { ...common, queen: 'its old queen', year: old?.birthYear ?? null, note: 'Laying.' };
      case 'unknown':
        return {
          ...common,
          queen: 'unknown until day 7',
          year: null,
          note: 'Eggs on day 7: the queen is here.',
        };
      case 'elsewhere':
      case undefined:
        return {
          ...common,
          queen: 'raising, not mated yet',
          year,
          note: rest ? note : 'Hands off until eggs are due.',
        };
    }
  });
  return [...planned, ...tagsBeside(apiary, work)];
}

const UNIT_QUEEN = {
  raises: 'raising, not mated yet',
  cell: 'ripe cell, not mated yet',
  mated: 'mated, given in a cage',
  'old-queen': 'old queen',
} as const;

/** Tags for the units of a break-up, one for each side of a shared box. */
export function tagsOfCallOut(apiary: Apiary, { day, body }: CallOut): HiveTag[] {
  const year = yearOf(day);
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
          : `${UNIT_QUEEN[u.recipe.queen]}${u.recipe.queen === 'cell' ? originOf(body.cells) : ''}`,
        year: own || u.recipe.queen === 'mated' ? null : year,
        note: rest ? handsOff(rest.window.earliest, rest.window.latest) : 'Inspect in a week.',
      };
    });
}

/** The line of a cell and where its queen mates, as far as they were told. */
function originOf(cells: CallOut['body']['cells']): string {
  const from = cells?.breeder ? `, of ${cells.breeder}` : '';
  return cells?.matingPlace ? `${from}; mates at ${cells.matingPlace}` : from;
}

/** Tags for the units that were made in the course of the work: nobody planned a queen for them. */
function tagsBeside(apiary: Apiary, work: Work): HiveTag[] {
  return unitsBeside(apiary, work).map((c) => {
    const mother = c.origin.how === 'split' ? apiary.colony[c.origin.fromColonyId] : undefined;
    return {
      colonyId: c.id,
      name: c.name,
      day: c.startedOn,
      mother: mother?.name ?? null,
      queen: 'raising, or none: inspect on day 7',
      year: yearOf(c.startedOn),
      note: 'Cells on day 7: it raises. None: give eggs, a cell or a queen.',
    };
  });
}

const handsOff = (from: Day, to: Day) => `Hands off ${dayInWords(from)} to ${dayInWords(to)}.`;
