import type { Evidence } from './evidence.ts';

/** Boxes of a hive in which different ones lay. */
export interface Sources {
  /** Boxes with worker brood: a mated queen lays there. */
  readonly hers: readonly string[];
  /** Boxes with drone brood in worker cells and none of hers: others lay there, or she did before she failed. */
  readonly theirs: readonly string[];
}

/** Where one box shows worker brood and another only drones: two stories in two places. Null where it is one. */
export function sourcesOf({ byBox }: Evidence): Sources | null {
  const of = (...caps: readonly string[]) =>
    byBox.filter((b) => b.caps !== null && caps.includes(b.caps)).map((b) => b.boxId);
  const hers = of('flat', 'both');
  const theirs = of('domed');
  return hers.length > 0 && theirs.length > 0 ? { hers, theirs } : null;
}
