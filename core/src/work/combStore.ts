import {
  operationOf,
  type Apiary,
  type Frame,
  type Hive,
  framesInStore,
  isOpenWork,
  STORE_KEY,
} from '../records/index.ts';
import { shareOf, type FrameSizeId } from '../comb/index.ts';
import { houseRules } from '../rules/index.ts';
import { storeLines } from './kitStore.ts';

/** What a comb of the store is good for. */
type CombKind = 'with stores' | 'drawn' | 'foundation';

/** Combs of one size and kind that lie in the store. */
export interface CombLine {
  readonly sizeId: FrameSizeId;
  readonly kind: CombKind;
  readonly count: number;
  /** So many of them are spoken for by plans that are kept. */
  readonly promised: number;
  /** So many of them have been used for longer than the house rule allows. */
  readonly old: number;
  /** Year of the oldest of which it is known; null when it is known of none. */
  readonly oldest: number | null;
}

/** Half of it full of honey or nectar. */
const WITH_STORES = 0.5;

const kindOf = (apiary: Apiary, f: Frame): CombKind => {
  const reading = f.readingId === null ? undefined : apiary.reading[f.readingId];
  if (reading && shareOf(reading.body, 'honey', 'nectar') >= WITH_STORES) return 'with stores';
  return f.blank;
};

/** Combs in the store by size and kind, with what plans take of them and what should be melted down. */
export function combLines(apiary: Apiary, year: number): CombLine[] {
  const { combYears } = houseRules(operationOf(apiary).houseRules.changes);
  const taken = promisedCombs(apiary);
  const groups = new Map<string, Frame[]>();
  for (const f of framesInStore(apiary)) {
    const key = `${f.sizeId}/${kindOf(apiary, f)}`;
    groups.set(key, [...(groups.get(key) ?? []), f]);
  }
  return [...groups.values()]
    .flatMap((frames): CombLine[] => {
      const [first] = frames;
      if (!first) return [];
      const years = frames.flatMap((f) => f.combYear ?? []);
      return [
        {
          sizeId: first.sizeId,
          kind: kindOf(apiary, first),
          count: frames.length,
          promised: frames.filter((f) => taken.has(f.id)).length,
          old: years.filter((y) => year - y >= combYears).length,
          oldest: years.length > 0 ? Math.min(...years) : null,
        },
      ];
    })
    .toSorted((a, b) => a.sizeId.localeCompare(b.sizeId) || a.kind.localeCompare(b.kind));
}

/** Combs of a hive that have served their years. */
interface HiveToRenew {
  readonly hive: Hive;
  readonly frames: readonly Frame[];
  /** The year in which the oldest was drawn. */
  readonly oldest: number;
}

/** Combs that have been used for longer than the house rule allows, hive by hive and in the store; oldest first. */
export function combsToReplace(
  apiary: Apiary,
  year: number,
): { readonly hives: readonly HiveToRenew[]; readonly store: readonly Frame[]; readonly years: number } {
  const { combYears } = houseRules(operationOf(apiary).houseRules.changes);
  const isOld = (f: Frame) => f.combYear !== null && year - f.combYear >= combYears;
  const byHive = new Map<string, Frame[]>();
  for (const frame of Object.values(apiary.frame)) {
    const hiveId = frame.boxId === null ? null : (apiary.box[frame.boxId]?.hiveId ?? null);
    if (hiveId !== null && isOld(frame)) byHive.set(hiveId, [...(byHive.get(hiveId) ?? []), frame]);
  }
  const hives = [...byHive].flatMap(([id, frames]): HiveToRenew[] => {
    const hive = apiary.hive[id];
    if (!hive) return [];
    const ordered = frames.toSorted((a, b) => (a.slot ?? 0) - (b.slot ?? 0));
    return [{ hive, frames: ordered, oldest: Math.min(...frames.flatMap((f) => f.combYear ?? [])) }];
  });
  return {
    hives: hives.toSorted((a, b) => a.oldest - b.oldest || a.hive.name.localeCompare(b.hive.name)),
    store: framesInStore(apiary).filter(isOld),
    years: combYears,
  };
}

function promisedCombs(apiary: Apiary): Set<string> {
  return new Set(
    Object.values(apiary.work)
      .filter(isOpenWork)
      .flatMap((w) => w.body.moves.flatMap((m) => (m.fromKey === STORE_KEY ? [m.frameId] : []))),
  );
}

/** Something to be bought or made before the work. */
export interface ShoppingLine {
  readonly what: string;
  readonly count: number;
}

/** What plans that are kept will lack: equipment that was counted and is too little, and combs that are not there. */
export function shoppingList(apiary: Apiary): ShoppingLine[] {
  const kit = storeLines(apiary).flatMap((l) =>
    l.count !== null && l.count < l.promised ? [{ what: l.what, count: l.promised - l.count }] : [],
  );
  const plans = Object.values(apiary.work).filter(isOpenWork);
  const combs = new Map<string, number>();
  for (const { what, shortBy } of plans.flatMap((p) => p.body.kit)) {
    if (shortBy !== null && shortBy > 0) combs.set(what, (combs.get(what) ?? 0) + shortBy);
  }
  const others = [...combs].filter(([what]) => !kit.some((k) => k.what === what));
  return [...kit, ...others.map(([what, count]) => ({ what, count }))];
}
