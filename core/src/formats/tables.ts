import type { Day } from '../basics/index.ts';
import {
  boxesOfHive,
  boxName,
  COLONY_END_WORDS,
  framesOfColony,
  placeOf,
  queenOf,
  type Apiary,
  type Colony,
} from '../records/index.ts';
import { sumOfTenths, type Contents } from '../comb/index.ts';

/** A table for a spreadsheet: headings and rows of plain values. */
export interface Table {
  readonly name: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number | null)[])[];
}

const byName = (a: { readonly name: string }, b: { readonly name: string }) => a.name.localeCompare(b.name);

/** Every colony, those that are gone as well. */
export function colonyTable(apiary: Apiary): Table {
  return {
    name: 'colonies',
    columns: [
      'colony',
      'yard',
      'stand',
      'since',
      'origin',
      'from',
      'ended',
      'how',
      'words',
      'queen',
      'queen_year',
    ],
    rows: Object.values(apiary.colony)
      .toSorted(byName)
      .map((c) => {
        const { yard, stand } = placeOf(apiary, c);
        const queen = queenOf(apiary, c.id);
        const from = 'fromColonyId' in c.origin ? c.origin.fromColonyId : null;
        return [
          c.name,
          yard?.name ?? '',
          stand?.name ?? '',
          c.startedOn,
          c.origin.how,
          from === null
            ? c.origin.how === 'bought'
              ? c.origin.from
              : ''
            : (apiary.colony[from]?.name ?? ''),
          c.endedOn ?? '',
          c.end ? COLONY_END_WORDS[c.end.how] : '',
          c.end?.words ?? '',
          queen?.name ?? '',
          queen?.birthYear ?? null,
        ];
      }),
  };
}

const CONTENTS = [
  'eggs',
  'open',
  'capped',
  'emerging',
  'drone',
  'beeBread',
  'honey',
  'nectar',
  'foundation',
] as const;

/** Every frame of every living colony as it was read last, in tenths of the whole frame: it can be read in again. */
export function countTable(apiary: Apiary): Table {
  const rowsOf = (colony: Colony) => {
    const boxes = colony.hiveId === null ? [] : boxesOfHive(apiary, colony.hiveId);
    return framesOfColony(apiary, colony).flatMap((p) => {
      if (!p.reading) return [];
      const { sides, queenSeen, cells } = p.reading.body;
      const mean = (of: (c: Contents) => number) => (of(sides[0].contents) + of(sides[1].contents)) / 2;
      const countOf = (kind: string) => cells.reduce((n, c) => (c.kind === kind ? n + c.count : n), 0);
      return [
        [
          placeOf(apiary, colony).yard?.name ?? '',
          colony.name,
          boxes.findIndex((b) => b.id === p.box.id) + 1,
          p.slot,
          p.reading.day,
          p.frame.sizeId,
          (sides[0].bees + sides[1].bees) / 2,
          ...CONTENTS.map((k) => mean((c) => c[k] ?? 0)),
          queenSeen ? 'yes' : '',
          countOf('cup'),
          countOf('charged'),
          countOf('open'),
          countOf('capped'),
        ],
      ];
    });
  };
  return {
    name: 'counts',
    columns: [
      ...[
        'yard',
        'hive',
        'box',
        'slot',
        'day',
        'size',
        'bees',
        'eggs',
        'open',
        'capped',
        'emerging',
        'drone',
      ],
      ...[
        'bee_bread',
        'honey',
        'nectar',
        'foundation',
        'queen',
        'cups',
        'charged_cells',
        'open_cells',
        'capped_cells',
      ],
    ],
    rows: Object.values(apiary.colony)
      .filter((c) => c.endedOn === null)
      .toSorted(byName)
      .flatMap(rowsOf),
  };
}

/** Every queen, those that are gone as well. */
export function queenTable(apiary: Apiary): Table {
  return {
    name: 'queens',
    columns: [
      ...['queen', 'number', 'colony', 'born', 'born_by', 'mark', 'clipped', 'mating', 'mated_at', 'origin'],
      ...['breeder', 'line', 'mother', 'caged_since', 'laying_since', 'ended', 'how'],
    ],
    rows: Object.values(apiary.queen).map((q) => [
      q.name ?? '',
      q.number ?? '',
      q.whereabouts.known === 'colony'
        ? (apiary.colony[q.whereabouts.colonyId]?.name ?? '')
        : q.whereabouts.known === 'stock'
          ? 'in stock'
          : '',
      q.birthYear,
      q.bornWithin?.to ?? null,
      q.dot ?? '',
      q.clipped === null ? '' : q.clipped ? 'yes' : 'no',
      q.mating,
      q.matingPlace ?? '',
      q.origin ?? '',
      q.breeder ?? '',
      q.line ?? '',
      (q.motherQueenId && apiary.queen[q.motherQueenId]?.name) ?? '',
      q.cagedSince ?? '',
      q.layingSince ?? '',
      q.end?.day ?? '',
      q.end?.how ?? '',
    ]),
  };
}

/** Equipment and combs in the store, kept apart or not. */
export function storeTable(apiary: Apiary): Table {
  const combs = Object.values(apiary.frame).filter((f) => f.place === 'store' || f.care.quarantine !== null);
  return {
    name: 'store',
    columns: ['kind', 'what', 'count', 'size', 'year', 'kept_apart_since', 'where'],
    rows: [
      ...Object.values(apiary.kit).map((k) => ['equipment', k.what, k.count, '', null, '', 'store']),
      ...combs.map((f) => {
        const reading = f.readingId === null ? undefined : apiary.reading[f.readingId];
        const box = f.boxId === null ? undefined : apiary.box[f.boxId];
        const honey = reading ? sumOfTenths({ honey: reading.body.sides[0].contents.honey ?? 0 }) : 0;
        return [
          'comb',
          honey >= 5 ? 'with honey' : f.blank,
          1,
          f.sizeId,
          f.combYear,
          f.care.quarantine?.since ?? '',
          box?.hiveId
            ? `${apiary.hive[box.hiveId]?.name ?? 'a hive'}, ${boxName(boxesOfHive(apiary, box.hiveId), box.id)}`
            : 'store',
        ];
      }),
    ],
  };
}

/** Every visit, latest first: one line each. */
export function visitTable(apiary: Apiary, words: (visitId: string) => string): Table {
  return {
    name: 'visits',
    columns: ['day', 'time', 'colony', 'kind', 'seen', 'note'],
    rows: Object.values(apiary.visit)
      .toSorted((a, b) => `${b.day} ${b.time ?? ''}`.localeCompare(`${a.day} ${a.time ?? ''}`))
      .map((v) => [
        v.day,
        v.time ?? '',
        apiary.colony[v.colonyId]?.name ?? '',
        v.purpose === 'count' ? 'count' : 'inspection',
        words(v.id),
        v.note,
      ]),
  };
}

/** A day in the past on which a table was written, for the name of its file. */
export const tableFile = (table: Table, day: Day): string => `incremen-${table.name}-${day}.csv`;
