import { isOpenWork, type Apiary, type KitLine } from '../records/index.ts';

/** Equipment that every increase takes, as plans name it: what a store is asked about first. */
const USUAL_KIT = [
  'floor',
  'box',
  'inner cover',
  'roof',
  'stand',
  'entrance block',
  'feeder',
  'queen excluder',
  'hive tag',
  'nuc box, 5 frames, with floor and lid',
  'nuc box, 4 frames, with floor and lid',
  'queen cage or clip',
  'sheet of newspaper',
] as const;

/** Tools that come home again, combs, which are counted one by one, and what is bought for the day. */
const NOT_USED_UP = /^(queen cage|drawing pin|frames? |sheet of newspaper|mated queen|ripe queen)/;

/** What of a kit list stays in the yard. */
export function usedUp(kit: readonly KitLine[]): KitLine[] {
  return kit.filter((k) => !NOT_USED_UP.test(k.what));
}

/**
 * A kit list held against the store: what is short, and by how many. Lines that the store does not count stay as
 * they are.
 *
 * @param promised - kit of other plans that is not used up yet
 */
export function againstStore(
  apiary: Apiary,
  kit: readonly KitLine[],
  promised: readonly KitLine[] = [],
): (KitLine & { readonly inStore: number | null })[] {
  const store = new Map(Object.values(apiary.kit).map((k) => [k.what, k.count]));
  return kit.map((line) => {
    const counted = store.get(line.what);
    if (counted === undefined || line.shortBy !== null) return { ...line, inStore: null };
    const spoken = promised.reduce((n, p) => (p.what === line.what ? n + p.count : n), 0);
    const inStore = Math.max(0, counted - spoken);
    return { ...line, inStore, shortBy: Math.max(0, line.count - inStore) };
  });
}

/** Kit of plans that are kept and not carried out, other than one. */
export function promisedKit(apiary: Apiary, besides: string | null): KitLine[] {
  return Object.values(apiary.work)
    .filter((w) => isOpenWork(w) && w.id !== besides)
    .flatMap((w) => usedUp(w.body.kit));
}

/** A line of the store: what there is, what plans will take, and what is left then. */
export interface StoreLine {
  readonly what: string;
  /** Null when nobody has counted it. */
  readonly id: string | null;
  readonly count: number | null;
  readonly promised: number;
}

/** The store by kind of equipment: the usual, what plans ask for, and what was entered; what runs out first on top. */
export function storeLines(apiary: Apiary): StoreLine[] {
  const promised = promisedKit(apiary, null);
  const counted = Object.values(apiary.kit);
  const names = new Set([...counted.map((k) => k.what), ...promised.map((k) => k.what), ...USUAL_KIT]);
  const left = (l: StoreLine) => (l.count === null ? Infinity : l.count - l.promised);
  return [...names]
    .filter((what) => usedUp([{ what, count: 1, shortBy: null }]).length > 0)
    .map((what): StoreLine => {
      const line = counted.find((k) => k.what === what);
      return {
        what,
        id: line?.id ?? null,
        count: line?.count ?? null,
        promised: promised.reduce((n, p) => (p.what === what ? n + p.count : n), 0),
      };
    })
    .sort((a, b) => left(a) - left(b) || b.promised - a.promised);
}
