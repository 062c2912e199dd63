/**
 * A colony of the simulated world against which season plans are held. Its equations are not those of the season plan: hive bees,
 * foragers, open and capped brood and food by the published model with food (Khoury, Barron & Myerscough 2013, Modelling food and
 * population dynamics in honey bee colonies, PLoS ONE 8(3) e59084; equations and values as remembered), day by day. What the
 * seasons do to its rates is ours.
 */
export interface WorldColony {
  hive: number;
  foragers: number;
  open: number;
  capped: number;
  /** In grams. */
  food: number;
  lays: boolean;
  /** Days until the queen that is awaited lays, and whether she will. */
  wait: number;
  well: boolean;
  /** A queen may be better or worse than most. */
  queen: number;
  small: boolean;
  young: boolean;
  alive: boolean;
  rested: number;
}

/** What a day does to colonies of the world. */
export interface WorldDay {
  /** Share of her best at which a queen lays. */
  readonly laying: number;
  /** Grams that a forager brings a day. */
  readonly nectar: number;
  readonly winter: boolean;
  /** Share of the bees that emerge or live now that are long-lived. */
  readonly longLived: number;
}

const LAYS = 1700;
const NURSED = 5000;
const HATCH = 1 / 9;
const EMERGE = 1 / 12;
const RECRUIT = 0.25;
const HUNGER = 0.25;
const INHIBIT = 0.75;
const FOOD_HALF = 500;
const EATS_ADULT = 0.007;
const EATS_BROOD = 0.018;
const DIES_SUMMER = 0.13;
const DIES_WINTER = 0.004;
/** Grams that a colony with supers holds; a nuc holds less. */
const HOLDS = 60_000;

/** A day of a colony. @returns grams of food that the keeper had to give */
export function worldDay(c: WorldColony, day: WorldDay): number {
  const bees = c.hive + c.foragers;
  if (day.winter) {
    c.hive *= 1 - DIES_WINTER;
    c.foragers *= 1 - DIES_WINTER;
    c.food -= 0.0021 * bees;
  } else {
    const fed = c.food ** 2 / (c.food ** 2 + FOOD_HALF ** 2);
    const eggs = c.lays ? LAYS * c.queen * day.laying * fed * (c.hive / (c.hive + NURSED)) : 0;
    const share = bees > 0 ? c.foragers / bees : 0;
    const recruited = Math.max(0, c.hive * (RECRUIT + HUNGER * (1 - fed) - INHIBIT * share) * 0.6);
    const hatched = HATCH * c.open;
    const emerged = EMERGE * c.capped;
    const dies = DIES_SUMMER * (1 - day.longLived) + 0.02 * day.longLived;
    c.open += eggs - hatched;
    c.capped += hatched * 0.92 - emerged;
    c.hive += emerged - recruited;
    c.foragers += recruited - dies * c.foragers;
    const room = c.small ? 9000 : HOLDS;
    c.food = Math.min(room, c.food + day.nectar * c.foragers) - EATS_ADULT * bees - EATS_BROOD * c.open;
  }
  // A keeper sees to it in time.
  if (c.food >= 1500) return 0;
  const given = 3000 - c.food;
  c.food = 3000;
  return given;
}

/** Bees on a frame, as the season plan has them; both are measured by it. */
export const BEES_A_FRAME = 2288;
export const CELLS_A_FRAME = 7040;

export const framesOf = (c: WorldColony): number => (c.hive + c.foragers) / BEES_A_FRAME;
export const broodOf = (c: WorldColony): number => (c.open + c.capped) / CELLS_A_FRAME;

/** The same state again, as food and bees are shared out. */
export const bare = (): WorldColony => ({
  hive: 0,
  foragers: 0,
  open: 0,
  capped: 0,
  food: 2500,
  lays: false,
  wait: 0,
  well: false,
  queen: 1,
  small: true,
  young: true,
  alive: true,
  rested: 0,
});
