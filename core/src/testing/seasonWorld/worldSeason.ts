import { addDays, daysBetween, seededRandom, type Day } from '../../basics/index.ts';
import { midwinterBefore, phaseAt, pullOf, type SeasonCalendar } from '../../season/index.ts';
import {
  BEES_A_FRAME,
  bare,
  broodOf,
  CELLS_A_FRAME,
  framesOf,
  worldDay,
  type WorldColony,
} from './worldColony.ts';

/** A round as the world carries it out; the same words as in a season plan. */
export interface WorldRound {
  readonly day: number;
  readonly what: 'nucs' | 'halves' | 'queen-out';
  readonly queen: 'raises' | 'mated';
  readonly parts: number;
}

/** What the world is told: what stands there, what is done, and what the keeper does where no queen comes of it. */
export interface WorldTold {
  readonly calendar: SeasonCalendar;
  readonly from: Day;
  readonly days: number;
  readonly colonies: readonly { readonly frames: number; readonly brood: number; readonly kg: number }[];
  readonly rounds: readonly WorldRound[];
  readonly buysQueens: boolean;
}

/** How a season of the world ended: frames of bees of each colony with a laying queen, or one that is on her way; kg of honey. */
export interface WorldEnd {
  readonly colonies: number;
  readonly frames: readonly number[];
  /** Frames of bees of all that live. */
  readonly all: number;
  readonly honey: number;
  readonly made: number;
}

/** Half a day of rain in three keeps queens at home; what that does to mating is the world's own (common practice for the odds, 0.7 to 0.9). */
const MATED = [0.68, 0.78, 0.84, 0.88, 0.74, 0.82, 0.9, 0.62] as const;
/** Years of nectar, against a usual one (our estimate: they differ by a half). */
const YEARS = [0.45, 0.7, 0.85, 1, 1.1, 1.3, 1.6] as const;

/** Rain takes a day in five: what a forager brings in the rest is that much more, so that a usual year brings a usual harvest. */
const FINE_DAYS = 1.6;

/** One season of the world. */
export function worldSeason(told: WorldTold, seed: number): WorldEnd {
  const random = seededRandom(seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const of = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const mates = of(MATED);
  const year = of(YEARS);
  const late = Math.round(6 * normal());
  const hard = 0.5 * normal();
  const vigour = Math.exp(0.1 * normal());
  const all: WorldColony[] = told.colonies.map((c) => {
    const off = Math.exp(0.15 * normal());
    const bees = c.frames * BEES_A_FRAME * off;
    const brood = c.brood * CELLS_A_FRAME * off;
    return {
      ...bare(),
      hive: bees * 0.6,
      foragers: bees * 0.4,
      open: brood * 0.4,
      capped: brood * 0.6,
      food: c.kg * 1000,
      lays: true,
      queen: vigour * Math.exp(0.14 * normal()),
      small: false,
      young: false,
    };
  });
  const delays = told.rounds.map(() => {
    let days = 0;
    while (random() < 0.18 && days < 21) days += 7;
    return days;
  });
  let honey = 0;
  let rain = 0;
  const weakest = (but: WorldColony) =>
    all.filter((c) => c.alive && c.lays && c !== but).toSorted((a, b) => framesOf(a) - framesOf(b))[0];
  const unite = (c: WorldColony, into: WorldColony) => {
    into.hive += c.hive;
    into.foragers += c.foragers;
    into.open += c.open;
    into.capped += c.capped;
    into.food += c.food;
    c.alive = false;
  };
  for (let d = 0; d < told.days; d++) {
    const day = addDays(told.from, d);
    const at = daysBetween(midwinterBefore(day, 'north'), day);
    const shifted = at < told.calendar['main-flow-end'] ? at - late : at;
    const pull = pullOf(told.calendar, shifted);
    const phase = phaseAt(told.calendar, shifted);
    rain = rain > 0 ? rain - 1 : random() < 0.1 ? 1 + Math.floor(random() * 4) : 0;
    const flow = phase === 'main-flow' ? 0.1 : phase === 'build-up' || phase === 'autumn-flow' ? 0.055 : 0.02;
    const nectar = pull.cluster || rain > 0 ? 0 : flow * FINE_DAYS * year;
    told.rounds.forEach((r, i) => {
      if (r.day + (delays[i] ?? 0) === d) make(all, r, at, told.calendar, random, mates);
    });
    for (const c of [...all]) {
      if (!c.alive) continue;
      worldDay(c, {
        laying: pull.laying,
        nectar,
        winter: pull.cluster,
        longLived: pull.winterBees,
      });
      c.rested++;
      if (c.small && c.lays && framesOf(c) > 4.5) c.small = false;
      queen(c, at);
      if (!c.alive) continue;
      // Crowded in the swarm season, a colony may go.
      const season = at >= told.calendar['swarm-start'] && at <= told.calendar['swarm-end'];
      if (season && c.lays && !c.small && framesOf(c) > 12 && c.rested > 21 && random() < 0.004) {
        c.hive *= 0.55;
        c.foragers *= 0.5;
        c.lays = false;
        c.wait = 25;
        c.well = random() < mates;
        c.rested = 0;
      }
      if (c.lays && random() < 0.0004) {
        c.lays = false;
        c.wait = 33;
        c.well =
          at > told.calendar['first-drones'] && at < told.calendar['last-mating'] - 12 && random() < 0.85;
      }
      if (at === told.calendar['main-flow-end'] || at === told.calendar['autumn-flow-end']) {
        const keep = at === told.calendar['main-flow-end'] ? 8000 : 18_000;
        if (!c.small && c.food > keep + 1000) {
          honey += (0.85 * (c.food - keep)) / 1000;
          c.food -= 0.85 * (c.food - keep);
        }
      }
      if (at === told.calendar['brood-restart'] && d > 60) {
        const base = c.young ? Math.log(3) : Math.log(5.67);
        const odds = base + hard - 0.6 * Math.max(0, 4 - framesOf(c));
        c.young = false;
        if (random() > 1 / (1 + Math.exp(-odds))) c.alive = false;
      }
      if (framesOf(c) < 0.4) c.alive = false;
    }
  }
  function queen(c: WorldColony, at: number): void {
    if (c.lays) return;
    if (c.wait > 0) {
      c.wait--;
      if (c.wait > 0) return;
      if (c.well) {
        c.lays = true;
        c.queen = vigour * Math.exp(0.14 * normal());
        return;
      }
      c.wait = -14;
    }
    if (c.wait < 0) {
      c.wait++;
      if (c.wait < 0) return;
    }
    // Found: a bought queen while there is time, else united.
    if (told.buysQueens && at >= told.calendar['first-drones'] && at <= told.calendar['first-frost'] - 42) {
      c.wait = 8;
      c.well = random() < 0.9;
      return;
    }
    const into = weakest(c);
    if (into && at >= told.calendar['brood-restart'] && at <= told.calendar['last-opening']) unite(c, into);
  }
  const alive = all.filter((c) => c.alive);
  return {
    colonies: alive.length,
    frames: alive.flatMap((c) => (c.lays || (c.wait > 0 && c.well) ? [framesOf(c)] : [])),
    all: alive.reduce((n, c) => n + framesOf(c), 0),
    honey,
    made: all.length - told.colonies.length,
  };
}

/** Makes new colonies as the round says, of the strongest that can give. */
function make(
  all: WorldColony[],
  round: WorldRound,
  at: number,
  calendar: SeasonCalendar,
  random: () => number,
  mates: number,
): void {
  const last = round.queen === 'mated' ? calendar['first-frost'] - 42 : calendar['last-mating'] - 12;
  if (at < calendar['first-drones'] || at > last) return;
  const given = new Map<WorldColony, number>();
  const standing = [...all];
  for (let n = 0; n < round.parts; n++) {
    const least = round.what === 'halves' ? 12 : 8;
    const donor = standing
      .filter((c) => {
        const times = given.get(c) ?? 0;
        if (!c.alive || !c.lays || c.small) return false;
        if (round.what !== 'nucs') return times === 0 && framesOf(c) >= least && broodOf(c) >= 3;
        return times < 4 && (times > 0 || framesOf(c) >= least) && framesOf(c) >= 8 && broodOf(c) >= 3.2;
      })
      .toSorted((a, b) => broodOf(b) + framesOf(b) / 4 - (broodOf(a) + framesOf(a) / 4))[0];
    if (!donor) return;
    given.set(donor, (given.get(donor) ?? 0) + 1);
    const part = bare();
    const half = round.what === 'halves';
    const brood = half ? 0.5 : Math.min(0.9, 1.2 / broodOf(donor));
    const bees = half ? 0.5 : Math.min(0.8, (3 * BEES_A_FRAME) / donor.hive);
    part.open = donor.open * brood;
    part.capped = donor.capped * brood;
    part.hive = donor.hive * bees;
    part.foragers = half ? donor.foragers * 0.15 : 0;
    donor.open -= part.open;
    donor.capped -= part.capped;
    donor.hive -= part.hive;
    donor.foragers -= part.foragers;
    part.small = !half;
    const kg = half ? donor.food / 2 : Math.min(2400, donor.food * 0.4);
    part.food = kg;
    donor.food -= kg;
    donor.rested = 0;
    const waits = round.what === 'queen-out' ? donor : part;
    const goes = round.what === 'queen-out' ? part : null;
    if (goes) {
      goes.lays = true;
      goes.queen = donor.queen;
    }
    waits.lays = false;
    waits.wait = round.queen === 'mated' ? 8 : 22 + Math.floor(random() * 14);
    waits.well = random() < (round.queen === 'mated' ? 0.9 : mates);
    if (!goes) part.queen = donor.queen;
    all.push(part);
  }
}
