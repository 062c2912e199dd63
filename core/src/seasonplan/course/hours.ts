/**
 * Hours of work: for a colony in a week of the season, a colony that is made, one that moves into a full-size hive, a feeding, ten
 * kilograms of honey, uniting two, a comb that is given. Our estimates, no published source: some eight hours a colony and year.
 */
export const HOURS = {
  colony: 0.2,
  part: 0.75,
  hiveUp: 0.5,
  feed: 0.1,
  tenKg: 0.8,
  unite: 0.5,
  level: 0.2,
} as const;
