import { daySchema, type Day } from '../basics/index.ts';
import { COUNT_COLUMNS, type CountRow, type RowProblem } from './countCsv.ts';

/** What else a column of counts may be called, in small letters without signs. */
const ALSO: Readonly<Record<string, readonly string[]>> = {
  yard: ['apiary', 'site', 'location'],
  hive: ['colony', 'hive name', 'colony name', 'name', 'hive no', 'hive number'],
  box: ['body', 'hive body', 'brood box', 'box no', 'storey', 'level'],
  slot: ['frame', 'frame no', 'frame number', 'position', 'comb'],
  day: ['date', 'counted', 'counted on', 'day counted', 'inspected', 'inspection date'],
  size: ['frame size', 'format'],
  bees: ['covered', 'bees covered', 'frame of bees', 'adult bees'],
  eggs: ['egg'],
  open: ['larvae', 'open brood', 'unsealed', 'unsealed brood', 'uncapped'],
  capped: ['sealed', 'capped brood', 'sealed brood'],
  emerging: ['emerging brood'],
  drone: ['drones', 'drone brood'],
  bee_bread: ['pollen', 'bee bread', 'stored pollen'],
  honey: ['stores', 'capped honey'],
  nectar: ['open nectar'],
  foundation: ['undrawn'],
  queen: ['queen seen', 'q'],
  cups: ['queen cups', 'empty cups'],
  charged_cells: ['charged cups', 'charged'],
  open_cells: ['open queen cells'],
  capped_cells: ['capped queen cells', 'sealed queen cells'],
};

const plain = (heading: string) =>
  heading
    .toLowerCase()
    .replace(/\(.*?\)/g, ' ')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** Which column a heading means; null where it is none of them. Each column is taken once, by the first that means it. */
export function matchColumns(headings: readonly string[]): Record<string, string | null> {
  const taken = new Set<string>();
  return Object.fromEntries(
    headings.map((heading) => {
      const words = plain(heading);
      const column = COUNT_COLUMNS.find(
        ({ name }) =>
          !taken.has(name) && (plain(name) === words || (ALSO[name] ?? []).some((a) => plain(a) === words)),
      );
      if (column) taken.add(column.name);
      return [heading, column?.name ?? null];
    }),
  );
}

/** How the parts of a date follow one another. */
const DAY_ORDERS = ['ymd', 'dmy', 'mdy'] as const;
export type DayOrder = (typeof DAY_ORDERS)[number];
export const DAY_ORDER_WORDS: Readonly<Record<DayOrder, string>> = {
  ymd: 'year, month, day',
  dmy: 'day, month, year',
  mdy: 'month, day, year',
};

/** A date as it was written, read in one order; null where it is none. Years of two figures are of this century. */
export function readDay(text: string, order: DayOrder): Day | null {
  const parts = text
    .trim()
    .split(/[^0-9]+/)
    .filter(Boolean);
  if (parts.length < 3) return null;
  const [a = '', b = '', c = ''] = parts;
  const [year, month, day] = order === 'ymd' ? [a, b, c] : order === 'dmy' ? [c, b, a] : [c, a, b];
  if (order === 'ymd' ? year.length !== 4 : year.length !== 4 && year.length !== 2) return null;
  const full = `${year.length === 2 ? `20${year}` : year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return daySchema.safeParse(full).success ? full : null;
}

const isDate = (text: string) => DAY_ORDERS.some((order) => readDay(text, order) !== null);

/**
 * The orders in which every date of a file can be read: one when it is clear, several to be asked, none when mixed.
 * What is no date in any order is not heard: its row is refused by itself.
 */
export const dayOrders = (texts: readonly string[]): DayOrder[] =>
  DAY_ORDERS.filter((order) => texts.filter(isDate).every((t) => readDay(t, order) !== null));

/** Rows under the names that the import knows, their days as it wants them; or what is wrong with the days. */
export function renamedRows(
  rows: readonly CountRow[],
  columns: Readonly<Record<string, string | null>>,
  order: DayOrder | null,
): { readonly rows: readonly CountRow[]; readonly problems: readonly RowProblem[] } {
  const dayHeading = Object.keys(columns).find((h) => columns[h] === 'day');
  const days = dayHeading === undefined ? [] : rows.map((r) => r.fields[dayHeading] ?? '').filter(Boolean);
  const possible = dayOrders(days);
  const read = order ?? possible[0] ?? null;
  const problems: RowProblem[] = [];
  if (read === null && dayHeading !== undefined) {
    const first = rows.find((r) => isDate(r.fields[dayHeading] ?? ''));
    const known = DAY_ORDERS.find((o) => first && readDay(first.fields[dayHeading] ?? '', o) !== null);
    const other = rows.find((r) => {
      const text = r.fields[dayHeading] ?? '';
      return isDate(text) && (known === undefined || readDay(text, known) === null);
    });
    problems.push({
      line: other?.line ?? 1,
      column: dayHeading,
      message: `The days are not all written in one way: line ${first?.line ?? 2} has "${first?.fields[dayHeading] ?? ''}", line ${other?.line ?? 2} has "${other?.fields[dayHeading] ?? ''}".`,
      remedy: 'Write them all in one way, best as 2026-05-14.',
    });
  }
  const renamed = rows.map(({ line, fields }): CountRow => ({
    line,
    fields: Object.fromEntries(
      Object.entries(fields).flatMap(([heading, value]) => {
        const column = columns[heading];
        if (!column) return [];
        const day = column === 'day' && read ? readDay(value, read) : null;
        return [[column, day ?? value]];
      }),
    ),
  }));
  return { rows: renamed, problems };
}
