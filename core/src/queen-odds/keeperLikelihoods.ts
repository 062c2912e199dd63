import type { Operation } from '../records/index.ts';
import {
  DEFAULT_HOUSE_RULES,
  houseRules,
  type HouseRules,
  type LikelihoodChanges,
  type LikelihoodId,
} from '../rules/index.ts';
import { USUAL_TABLE, type LikelihoodTable } from './likelihoodTable.ts';

/** Likelihoods that differ from keeper to keeper and from yard to yard: house rules, by their names there, and the table. */
export interface KeeperLikelihoods extends Pick<
  HouseRules,
  'findsEggs' | 'findsQueen' | 'findsCells' | 'raisesCells' | 'matesOfVirgins'
> {
  readonly table: LikelihoodTable;
}

/** As they are shipped. */
export const USUAL_LIKELIHOODS: KeeperLikelihoods = { ...DEFAULT_HOUSE_RULES, table: USUAL_TABLE };

/** The likelihoods by which an operation judges. */
export function keeperLikelihoods({ houseRules: h }: Operation): KeeperLikelihoods {
  return { ...houseRules(h.changes), table: h.likelihoods ? changed(h.likelihoods) : USUAL_TABLE };
}

/** The usual table with what a beekeeper has changed in it. */
function changed(changes: LikelihoodChanges): LikelihoodTable {
  const row = <T extends Readonly<Record<string, number>>>(name: string, values: T): T =>
    Object.fromEntries(
      Object.entries(values).map(([column, p]) => [
        column,
        changes[`${name}.${column}` as LikelihoodId] ?? p,
      ]),
    ) as T;
  const rows = <T extends Readonly<Record<string, Readonly<Record<string, number>>>>>(table: T): T =>
    Object.fromEntries(Object.entries(table).map(([name, values]) => [name, row(name, values)])) as T;
  return {
    signs: rows(USUAL_TABLE.signs),
    found: row('found', USUAL_TABLE.found),
    mistaken: row('mistaken', USUAL_TABLE.mistaken),
    caps: rows(USUAL_TABLE.caps),
    fates: row('fate', USUAL_TABLE.fates),
  };
}
