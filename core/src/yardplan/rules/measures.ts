/**
 * What is reckoned of a unit. All but the counts are in frames of the reference size.
 *
 * Every rule of the planner is linear in these, so that the search, the proof and the ledger can share one
 * statement of it.
 */
const MEASURES = [
  /** Frames of bees, after drift. */
  'bees',
  'brood',
  /** Brood that bees must cover: emerging brood counts a third. */
  'warmed',
  'capped',
  /** Eggs and open brood. */
  'open',
  /** Tenths of a side with eggs. */
  'eggsTenths',
  'beeBread',
  'stores',
  /** Empty comb and foundation: where she can lay or bees can build. */
  'room',
  'broodCombs',
  'storesCombs',
  'emptyCombs',
  /** Frames in slots of the unit's brood boxes, of their size. */
  'frames',
  /** Queen cells with life in them. */
  'cells',
  'queens',
  /** Brood combs given to other colonies. */
  'given',
  /** Frames whose bees are shaken out for another unit. */
  'shaken',
  /** Frames lifted out, put in or shaken: a hive with any has to be opened. */
  'touched',
] as const;
export type Measure = (typeof MEASURES)[number];

/** Where each measure stands in an array of them. */
export const AT = Object.fromEntries(MEASURES.map((m, i) => [m, i])) as Readonly<Record<Measure, number>>;
export const MEASURE_COUNT = MEASURES.length;

/** The measures of one unit, by {@link AT}. */
export type Measured = Float64Array;

/** Nothing of anything. */
export const noMeasures = (): Measured => new Float64Array(MEASURE_COUNT);
