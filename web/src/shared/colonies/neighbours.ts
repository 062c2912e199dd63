import { coloniesOfYard, placeOf, type Apiary, type Colony } from '@incremen/core/records';

/** The colonies before and after one on the stands of its yard; null at either end. */
export function neighboursOf(
  apiary: Apiary,
  colony: Colony,
): { readonly before: Colony | null; readonly after: Colony | null } {
  const { yard } = placeOf(apiary, colony);
  const row = yard ? coloniesOfYard(apiary, yard.id) : [];
  const at = row.findIndex((c) => c.id === colony.id);
  return at < 0 ? { before: null, after: null } : { before: row[at - 1] ?? null, after: row[at + 1] ?? null };
}
