/** Which hives are opened, as far as that is settled. */
export interface HiveChoice {
  /** By index of the unit. */
  readonly opened: ReadonlySet<number>;
  readonly closed: ReadonlySet<number>;
  /** By yard: how many hives are opened in all, at least and at most. */
  readonly count: ReadonlyMap<string, readonly [least: number, most: number]>;
}

/** Nothing is settled. */
export const ANY_HIVES: HiveChoice = { opened: new Set(), closed: new Set(), count: new Map() };
