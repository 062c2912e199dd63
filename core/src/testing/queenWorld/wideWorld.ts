import { addDays, daysBetween, type Day } from '../../basics/index.ts';
import { QUESTIONS } from './partsWorld.ts';
import { bell, laid, type Laying, type Life, type Random, type Setting, type World } from './world.ts';
import type { QueenStateName } from '../../rules/index.ts';

/** Queens who emerge between these days find drones; outside of them hardly. */
const MATING = { from: '2026-05-01', to: '2026-08-20' } as const;
/** How often a virgin mates and comes back: in the season, and outside of it. */
const MATES = { inSeason: 0.85, outside: 0.3 } as const;

/** A time between two ends, all alike. */
const between = (random: Random, from: number, to: number): number => from + (to - from) * random();

const NEVER = Infinity;

/** A stretch of states, each from a time on. */
type Course = readonly (readonly [from: number, state: QueenStateName])[];

const stateOf =
  (course: Course) =>
  (t: number): QueenStateName =>
    course.findLast(([from]) => from <= t)?.[1] ?? course[0]?.[1] ?? 'laying';

/** Keepers: most look well, some read carelessly and tick what they have not seen. */
function keeper(random: Random): Pick<Life, 'skill' | 'slips'> {
  return random() < 0.25
    ? { skill: between(random, 0.7, 0.88), slips: between(random, 0.02, 0.05) }
    : { skill: between(random, 0.88, 0.98), slips: between(random, 0.005, 0.02) };
}

/** What becomes of a young queen from the day she emerges; workers lay when all brood is long gone. */
function youngQueen(
  random: Random,
  { from }: Setting,
  emerges: number,
  broodEnds: number,
): { readonly course: Course; readonly laying: readonly Laying[] } {
  const day = addDays(from, Math.round(emerges));
  const mates = day >= MATING.from && day <= MATING.to ? MATES.inSeason : MATES.outside;
  const eggs = emerges + 7.5 + 4.5 * Math.abs(bell(random)) + 6 * random() ** 2;
  const fate = random();
  if (fate < mates)
    return {
      course: [
        [emerges, 'virgin'],
        [eggs, 'newly-laying'],
        [eggs + 10, 'laying'],
      ],
      laying: [{ from: eggs, to: NEVER, by: 'queen' }],
    };
  const rest = (fate - mates) / (1 - mates);
  const drones = emerges + between(random, 13, 29);
  if (rest < 0.3)
    return {
      course: [
        [emerges, 'virgin'],
        [drones, 'drone-layer'],
      ],
      laying: [{ from: drones, to: NEVER, by: 'drone' }],
    };
  if (rest < 0.5) return { course: [[emerges, 'virgin']], laying: [] };
  const lost = emerges + between(random, 5, 13);
  const workers = Math.max(broodEnds + between(random, 2, 12), lost + between(random, 6, 11));
  return {
    course: [
      [emerges, 'virgin'],
      [lost, 'hopeless'],
      [workers, 'laying-workers'],
    ],
    laying: [{ from: workers, to: NEVER, by: 'workers' }],
  };
}

/** Nobody lays any more from a time on, and no queen is raised: workers lay when open brood is long gone. */
function queenless(random: Random, since: number, cellsUntil: number): Pick<Life, 'stateAt' | 'laying'> {
  const workers = since + between(random, 22, 34);
  return {
    laying: [{ from: workers, to: NEVER, by: 'workers' }],
    stateAt: stateOf([
      [-NEVER, 'laying'],
      [since, 'cells'],
      [cellsUntil, 'hopeless'],
      [workers, 'laying-workers'],
    ]),
  };
}

/** A part of a split, with the old queen or without; sometimes with a comb of eggs given later. */
function part(random: Random, setting: Setting): Omit<Life, 'skill' | 'slips'> {
  const { queenHere, gifts = [] } = setting.before;
  const old: Laying = { from: -NEVER, to: 0, by: 'queen' };
  if (random() < queenHere) return { laying: [{ ...old, to: NEVER }], cells: null, stateAt: () => 'laying' };
  const given = gifts.map((g) => daysBetween(setting.from, g.day));
  const shown: Laying[] = given.map((on) => ({ from: on - 18, to: on, by: 'queen' }));
  if (random() < 0.92) {
    const emerges = Math.min(16.4, Math.max(9.8, 12.4 + 1.9 * bell(random)));
    const { course, laying } = youngQueen(random, setting, emerges, 21);
    return {
      laying: [old, ...shown, ...laying],
      cells: { from: 2.5, to: emerges },
      stateAt: stateOf([[-NEVER, 'cells'], ...course]),
    };
  }
  const [on] = given;
  if (on !== undefined && on < 22 && random() < 0.9) {
    const emerges = on + 12 + 1.9 * bell(random);
    const { course, laying } = youngQueen(random, setting, emerges, on + 21);
    return {
      laying: [old, ...shown, ...laying],
      cells: { from: on + 2, to: emerges },
      stateAt: stateOf([[-NEVER, 'cells'], [7, 'hopeless'], [on, 'cells'], ...course]),
    };
  }
  const none = queenless(random, 0, 7);
  return { ...none, laying: [old, ...shown, ...none.laying], cells: null };
}

/** A colony that was never parted, at which something may have happened unseen. Times are days before the last inspection. */
function whole(random: Random, setting: Setting): Omit<Life, 'skill' | 'slips'> {
  const fate = random();
  const then = (to: number): Laying => ({ from: -NEVER, to, by: 'queen' });
  if (fate < 0.82)
    return {
      laying: [then(NEVER)],
      cells: null,
      stateAt: () => 'laying',
      barred: random() < 0.08,
    };
  const ago = -between(random, 2, 30);
  // She has stopped: barred from comb, starved, in a dearth. Most begin again within two weeks.
  if (fate < 0.87) {
    const stopped = Math.max(-35, 9 * Math.log(1 - random()));
    return {
      laying: [then(stopped)],
      cells: null,
      stateAt: stateOf([
        [-NEVER, 'laying'],
        [stopped, 'not-laying'],
      ]),
    };
  }
  if (fate < 0.89)
    return { laying: [{ ...then(NEVER), by: 'drone' }], cells: null, stateAt: () => 'drone-layer' };
  if (fate < 0.905)
    return {
      laying: [{ from: -30, to: NEVER, by: 'workers' }],
      cells: null,
      stateAt: () => 'laying-workers',
    };
  // Superseded: the old queen lays while her daughter is raised, and a while beside her.
  if (fate < 0.93) {
    const emerges = ago + between(random, 4, 8);
    const end = emerges + between(random, 0, 6);
    const young = youngQueen(random, setting, emerges, end + 21);
    return {
      laying: [then(end), ...young.laying],
      cells: { from: emerges - 8, to: emerges },
      stateAt: stateOf([
        [-NEVER, 'laying'],
        [Math.max(end, emerges), 'virgin'],
        ...young.course.filter(([from]) => from > Math.max(end, emerges)),
      ]),
    };
  }
  // Swarmed with the first capped cells, or lost; both raise a queen.
  if (fate < 0.985) {
    const swarmed = fate < 0.96;
    const emerges = ago + (swarmed ? 7.5 + bell(random) : 12.4 + 1.9 * bell(random));
    const { course, laying } = youngQueen(random, setting, emerges, ago + 21);
    return {
      laying: [then(ago), ...laying],
      cells: { from: swarmed ? ago - 7 : ago + 2.5, to: emerges },
      stateAt: stateOf([[-NEVER, 'laying'], [ago, 'cells'], ...course]),
    };
  }
  const none = queenless(random, ago, ago + 3);
  return { ...none, laying: [then(ago), ...none.laying], cells: null };
}

/** A colony into which a queen came: given in a cage, as a virgin, or with a swarm. */
function came(random: Random, setting: Setting): Omit<Life, 'skill' | 'slips'> {
  const { how, mated } = setting.before.came ?? { how: 'given', mated: true };
  const old: Laying = { from: -NEVER, to: 0, by: 'queen' };
  const accepted = random() < (how === 'given' ? 0.86 : 0.97);
  const isMated = how === 'given' ? mated : random() < 0.6;
  if (accepted && isMated) {
    const eggs = how === 'given' ? 3 + 9 * random() * random() + 2 * random() : 1 + 9 * random();
    const by = random() < 0.97 ? 'queen' : 'drone';
    return {
      laying: [...(how === 'given' ? [old] : []), { from: eggs, to: NEVER, by }],
      cells: null,
      stateAt: stateOf([
        [-NEVER, by === 'drone' ? 'drone-layer' : 'not-laying'],
        [eggs, by === 'drone' ? 'drone-layer' : 'laying'],
      ]),
    };
  }
  if (accepted) {
    const { course, laying } = youngQueen(random, setting, -between(random, 0, 4), 21);
    return {
      laying: [...(how === 'given' ? [old] : []), ...laying],
      cells: null,
      stateAt: stateOf([[-NEVER, 'virgin'], ...course]),
    };
  }
  if (how === 'given' && random() < 0.4) {
    const emerges = 12 + 1.9 * bell(random);
    const { course, laying } = youngQueen(random, setting, emerges, 21);
    return {
      laying: [old, ...laying],
      cells: { from: 2.5, to: emerges },
      stateAt: stateOf([[-NEVER, 'cells'], ...course]),
    };
  }
  const none = queenless(random, 0, 0);
  return { ...none, laying: [old, ...none.laying], cells: null };
}

/** What a season of an apiary brings: parts, whole colonies, queens that came, brood that was given, and careless keepers. */
export const WIDE_WORLD: World = {
  setting: (random) => {
    const from: Day = addDays('2026-04-25', Math.floor(120 * random()));
    const season = { matingFrom: MATING.from, matingUntil: MATING.to };
    const kind = random();
    if (kind < 0.4) {
      const blind = random() < 0.4;
      const gift =
        !blind && random() < 0.3 ? [{ day: addDays(from, 8 + Math.floor(10 * random())), young: true }] : [];
      return {
        from,
        before: { ...season, separatedOn: from, emergence: null, queenHere: blind ? 0.5 : 0, gifts: gift },
      };
    }
    if (kind < 0.75) return { from, before: { ...season, separatedOn: null, emergence: null, queenHere: 1 } };
    const how = random() < 0.65 ? 'given' : 'swarm';
    const mated = how === 'given' && random() < 0.75;
    return {
      from,
      before: {
        ...season,
        separatedOn: null,
        emergence: null,
        queenHere: 1,
        came: { on: from, how, mated, free: false },
      },
    };
  },
  life: (random, setting) => {
    const { separatedOn, came: arrived } = setting.before;
    const how = arrived ? came : separatedOn === null ? whole : part;
    return { ...keeper(random), ...how(random, setting) };
  },
  looks: (random, { before }) => {
    const share = () => (random() < 0.7 ? 1 : random() < 0.5 ? 0.75 : 0.5);
    // A colony of which nothing is known is looked at now, and was a week or two ago.
    const days =
      before.separatedOn === null && !before.came
        ? [-14, -7, 0].filter((d) => d === 0 || random() < 0.5)
        : [
            4 + Math.floor(6 * random()),
            13 + Math.floor(14 * random()),
            27 + Math.floor(18 * random()),
          ].filter(() => random() < 0.7);
    return (days.length === 0 ? [9] : days).map((day) => ({ day, share: share() }));
  },
  questions: QUESTIONS.map((q) => ({
    ...q,
    chances: (life, t, share) => partly(q.chances(life, t, share), life, t, share),
  })),
};

/** Where only some combs are read, what is there is found by their share; behind a barrier, on half of the combs, not at all. */
function partly(all: readonly number[], life: Life, t: number, share: number): readonly number[] {
  if (share === 1) return all;
  const seen = life.barred && share <= 0.5 && laid(life, t - 21, t) ? life.slips : share;
  const [none = 0, ...found] = all;
  return [1 - (1 - none) * seen, ...found.map((p) => p * seen)];
}
