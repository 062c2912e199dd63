/** A colony in one week: frames of bees and of brood, kg of food. */
export interface FamilyWeek {
  readonly frames: number;
  readonly brood: number;
  readonly kg: number;
  readonly lays: boolean;
  readonly nuc: boolean;
}

/** What becomes of a colony in one season, for a picture of it. */
export interface FamilyStory {
  readonly start: number | null;
  readonly parent: number;
  readonly round: number;
  readonly from: number;
  /** The week in which it ended; null where it stands at the end. */
  until: number | null;
  end: 'united' | 'dead' | null;
  unitedInto: number;
  /** By week from `from` on: frames of bees, kg of food, whether a queen lays. */
  readonly weeks: FamilyWeek[];
}
