import { addDays, seededRandom, type Day } from '../../basics/index.ts';
import { calendarOf, type Climate, type Hemisphere } from '../../season/index.ts';
import { FRAME_OF_BEES, FRAME_OF_CELLS } from '../../seasonplan/course/family.ts';
import type { Round, SeasonProblem, StartColony } from '../../seasonplan/course/problem.ts';
import { seasonWeeks } from '../../seasonplan/year/seasonWeek.ts';
import type { SeasonAim } from '../../records/bodies/seasonPlan.ts';
import type { WorldTold } from './worldSeason.ts';

/** A colony as a keeper says it. */
interface PlainColony {
  readonly frames: number;
  readonly brood: number;
  readonly kg: number;
}

/** What a season is told by, where no records stand behind it. */
export interface PlainSeason {
  readonly climate: Climate;
  readonly hemisphere?: Hemisphere;
  readonly from: Day;
  readonly weeks: number;
  readonly colonies: readonly PlainColony[];
  readonly aim?: Partial<SeasonAim>;
  readonly seed?: number;
  readonly change?: Partial<SeasonProblem>;
}

/** An aim without limits: ten colonies by autumn, by raised and by bought queens. */
export const plainAim = (change: Partial<SeasonAim> = {}): SeasonAim => ({
  colonies: 10,
  by: '2026-10-01',
  atMost: false,
  strongFrames: 3,
  honeyKg: 0,
  moneyMost: null,
  hoursMost: null,
  queens: ['raises', 'mated'],
  weekendsOnly: false,
  yards: [],
  ...change,
});

/** The usual rules and chances, with nothing learned. */
export function plainProblem(told: PlainSeason): SeasonProblem {
  const weeks = seasonWeeks(calendarOf(told.climate), told.hemisphere ?? 'north', told.from, told.weeks);
  return {
    aim: plainAim({
      colonies: told.colonies.length,
      by: addDays(told.from, 7 * (told.weeks - 1)),
      ...told.aim,
    }),
    from: told.from,
    seed: told.seed ?? 1,
    yards: [{ id: 'yard', name: 'Yard', most: Infinity }],
    weeks: [weeks],
    starts: told.colonies.map((c, i) => plainStart(c, i, weeks[0]?.laying ?? 1)),
    life: { layingMost: 1500, coverWarm: 0.8, coverCold: 0.6, appetite: 1 },
    donors: {
      keepsBees: 5,
      keepsBrood: 2,
      strongForNuc: 8,
      strongForHalves: 12,
      nucBees: 3,
      nucBrood: 1.2,
      nucSlots: 5,
      winterBees: 5,
      levelWithin: 0.75,
    },
    chances: {
      raises: { well: 16, ill: 4 },
      accepts: { well: 9, ill: 1 },
      wintersGrown: { well: 8.5, ill: 1.5 },
      wintersYoung: { well: 3.75, ill: 1.25 },
      flow: 1,
      flowSpread: 0.63,
    },
    prices: { nucBox: 40, hive: 90, queen: 40, cell: 8, frame: 3, sugarKg: 1.2 },
    winterKg: [20],
    storeCombs: 20,
    storeNucBoxes: 20,
    storeHives: 20,
    ...told.change,
  };
}

/** Two families in three are in the house; brood is of all ages alike. */
function plainStart({ frames, brood, kg }: PlainColony, index: number, laying: number): StartColony {
  const bees = frames * FRAME_OF_BEES;
  const cells = (brood * FRAME_OF_CELLS) / 3;
  const best = 1500 * laying;
  return {
    colonyId: null,
    name: `Hive ${index + 1}`,
    yard: 0,
    brood: [cells, cells, cells],
    house: [bees * 0.2, bees * 0.2, bees * 0.2],
    field: bees * 0.4,
    winter: 0,
    kg,
    combs: 20,
    places: 40,
    nuc: false,
    grown: true,
    lays: true,
    wait: 0,
    pace: best > 150 ? Math.min(1.2, Math.max(0.25, (brood * FRAME_OF_CELLS) / 21 / best)) : 1,
    doubt: 0.15,
  };
}

/** A case of the world: colonies, a season and rounds as keepers have them. */
export interface WorldCase {
  readonly problem: SeasonProblem;
  readonly schedule: readonly Round[];
  readonly told: WorldTold;
}

/** Cases by chance: four to seventeen colonies, three climates, one or two rounds, to autumn or over the winter. */
export function worldCases(many: number, seed: number): WorldCase[] {
  const random = seededRandom(seed);
  const of = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  return Array.from({ length: many }, (_, k): WorldCase => {
    const climate = of<Climate>(['temperate', 'maritime', 'continental']);
    const calendar = calendarOf(climate);
    const from = addDays('2025-12-21', calendar['first-drones'] + Math.floor(random() * 30));
    const overWinter = random() < 0.4;
    const weeks = overWinter
      ? 50
      : Math.floor((calendar['first-frost'] - 10 - (calendar['first-drones'] + 20)) / 7);
    const many = 4 + Math.floor(random() * 14);
    const colonies = Array.from({ length: many }, () => {
      const frames = 5 + random() * 9;
      return { frames, brood: Math.min(7, frames * (0.35 + 0.2 * random())), kg: 6 + random() * 8 };
    });
    const buys = random() < 0.5;
    const problem = plainProblem({
      climate,
      from,
      weeks,
      colonies,
      seed: k,
      aim: { queens: buys ? ['raises', 'mated'] : ['raises'] },
    });
    const [own = []] = problem.weeks;
    const rounds = Array.from({ length: 1 + Math.floor(random() * 2) }, (): Round => {
      const what = of(['nucs', 'nucs', 'halves', 'queen-out'] as const);
      const queen =
        what === 'queen-out'
          ? 'old-queen'
          : what === 'nucs' && buys
            ? of(['raises', 'mated'] as const)
            : 'raises';
      const open = own.flatMap((w, i) => ((queen === 'mated' ? w.mated : w.raises) ? [i] : []));
      return { week: of(open) ?? 0, yard: -1, what, queen, parts: 1 + Math.floor(random() * many * 0.8) };
    });
    const schedule = rounds.toSorted((a, b) => a.week - b.week);
    return {
      problem,
      schedule,
      told: {
        calendar,
        from,
        days: weeks * 7,
        colonies,
        rounds: schedule.map((r) => ({
          day: r.week * 7 + 3,
          what: r.what as 'nucs' | 'halves' | 'queen-out',
          queen: r.queen === 'mated' ? 'mated' : 'raises',
          parts: r.parts,
        })),
        buysQueens: buys,
      },
    };
  });
}
