import { countCells, type Evidence } from '../queen/evidence.ts';
import { laidBetween, type Course, type DayNumber } from './courses.ts';
import { USUAL_LIKELIHOODS, type KeeperLikelihoods } from './keeperLikelihoods.ts';
import type { QueenStateName } from './queenStates.ts';

/** One thing that a look can say, with the chance that it says so in a course. */
export interface Saying {
  /** What was seen, in words. */
  readonly words: string;
  readonly chance: (course: Course) => number;
}

/**
 * How often something is seen in each state, where it does not follow from the age of brood. Judgement after what
 * practice tells (no source), but for the queen's slimness before mating (Winston 1987). Every value is for a whole
 * look of one who knows what to look for.
 */
export const SIGHT: Readonly<Record<string, Readonly<Record<QueenStateName, number>>>> = {
  queenSeen: {
    laying: 0.5,
    'newly-laying': 0.45,
    virgin: 0.15,
    cells: 0.01,
    hopeless: 0.005,
    'laying-workers': 0.005,
    'drone-layer': 0.5,
    'not-laying': 0.5,
  },
  queenSlim: {
    laying: 0.06,
    'newly-laying': 0.25,
    virgin: 0.85,
    cells: 0.5,
    hopeless: 0.5,
    'laying-workers': 0.5,
    'drone-layer': 0.35,
    'not-laying': 0.25,
  },
  severalEggs: {
    laying: 0.01,
    'newly-laying': 0.15,
    virgin: 0.1,
    cells: 0.1,
    hopeless: 0.1,
    'laying-workers': 0.88,
    'drone-layer': 0.08,
    'not-laying': 0.1,
  },
  eggsOnWalls: {
    laying: 0.01,
    'newly-laying': 0.03,
    virgin: 0.1,
    cells: 0.1,
    hopeless: 0.1,
    'laying-workers': 0.5,
    'drone-layer': 0.04,
    'not-laying': 0.1,
  },
  scattered: {
    laying: 0.12,
    'newly-laying': 0.15,
    virgin: 0.3,
    cells: 0.3,
    hopeless: 0.4,
    'laying-workers': 0.85,
    'drone-layer': 0.2,
    'not-laying': 0.3,
  },
  pollen: {
    laying: 0.9,
    'newly-laying': 0.85,
    virgin: 0.6,
    cells: 0.65,
    hopeless: 0.35,
    'laying-workers': 0.3,
    'drone-layer': 0.7,
    'not-laying': 0.6,
  },
  reversing: {
    laying: 0.02,
    'newly-laying': 0.02,
    virgin: 0.02,
    cells: 0.02,
    hopeless: 0.05,
    'laying-workers': 0.55,
    'drone-layer': 0.03,
    'not-laying': 0.03,
  },
  roaring: {
    laying: 0.03,
    'newly-laying': 0.03,
    virgin: 0.12,
    cells: 0.12,
    hopeless: 0.45,
    'laying-workers': 0.4,
    'drone-layer': 0.08,
    'not-laying': 0.06,
  },
  restless: {
    laying: 0.12,
    'newly-laying': 0.12,
    virgin: 0.3,
    cells: 0.25,
    hopeless: 0.4,
    'laying-workers': 0.35,
    'drone-layer': 0.2,
    'not-laying': 0.2,
  },
  cellsBeside: {
    laying: 0.07,
    'newly-laying': 0.04,
    virgin: 0.2,
    cells: 0.5,
    hopeless: 0.01,
    'laying-workers': 0.03,
    'drone-layer': 0.15,
    'not-laying': 0.06,
  },
  openedCell: {
    laying: 0.02,
    'newly-laying': 0.3,
    virgin: 0.65,
    cells: 0.02,
    hopeless: 0.05,
    'laying-workers': 0.03,
    'drone-layer': 0.1,
    'not-laying': 0.05,
  },
};

/** How often what is there is found by one who reads every frame (eggs and cells: house rules), and how often something is taken for it that is not. */
const FOUND = { young: 0.85, larvae: 0.97, capped: 0.99 } as const;
const MISTAKEN = { eggs: 0.015, young: 0.03, larvae: 0.01, capped: 0.02, cells: 0.02 } as const;

/** Everything that a look says, each with its chance in a course. What was not looked for says nothing. */
export function sayingsOf(
  seen: Evidence,
  day: DayNumber,
  keeper: KeeperLikelihoods = USUAL_LIKELIHOODS,
): Saying[] {
  const share = seen.framesTotal > 0 ? Math.min(1, seen.framesRead / seen.framesTotal) : 1;
  const say: Saying[] = [];
  const state = (of: string, words: string, was: boolean) => {
    const table = SIGHT[of];
    if (table) say.push({ words, chance: (c) => yes(table[c.stateOn(day)], was) });
  };
  // Brood by its age: eggs are up to 3 days old, larvae to 9, capped brood to 21 (Winston 1987).
  const brood = (
    look: { readonly look: Evidence['eggs']['look'] },
    kind: 'eggs' | keyof typeof FOUND,
    name: string,
    from: number,
    to: number,
  ) => {
    if (look.look === 'notLooked') return;
    const found = look.look === 'found';
    say.push({
      words: found ? `${name} seen` : share < 1 ? `no ${name} on the frames that were read` : `no ${name}`,
      chance: (c) => {
        const there = laidBetween(c, day - to, day - from);
        const sure = kind === 'eggs' ? keeper.findsEggs : FOUND[kind];
        const p = there ? sure * (found ? 1 : share) : MISTAKEN[kind];
        return yes(p, found);
      },
    });
  };
  brood(seen.eggs, 'eggs', 'eggs', 0, 3);
  brood(seen.youngLarvae, 'young', 'small larvae', 3, 5);
  brood(seen.olderLarvae, 'larvae', 'larvae', 4, 9);
  brood(seen.cappedBrood, 'capped', 'capped brood', 9, 21);
  if (seen.eggs.look === 'found') {
    state(
      'severalEggs',
      seen.eggs.perCell === 'several' ? 'several eggs in a cell' : 'one egg in each cell',
      seen.eggs.perCell === 'several',
    );
    if (seen.eggs.place !== 'unsure') {
      state(
        'eggsOnWalls',
        seen.eggs.place === 'walls' ? 'eggs on cell walls' : 'eggs at the bottom of cells',
        seen.eggs.place === 'walls',
      );
    }
  }
  if (seen.cappedBrood.look === 'found') cappings(seen.cappedBrood, day, say, state);
  cellsSeen(seen, day, share, say, state, keeper.findsCells);
  if (seen.queen.look !== 'notLooked') {
    const found = seen.queen.look === 'found';
    say.push({
      words: found ? 'a queen seen' : 'no queen seen',
      chance: (c) => yes(queenFound(c.stateOn(day), keeper) * (found ? 1 : share), found),
    });
    if (seen.queen.look === 'found' && seen.queen.build !== 'unsure') {
      state(
        'queenSlim',
        seen.queen.build === 'slim' ? 'she is slim and small' : 'she is long',
        seen.queen.build === 'slim',
      );
    }
  }
  if (seen.pollen.look !== 'notLooked')
    state(
      'pollen',
      seen.pollen.look === 'found' ? 'pollen comes in' : 'no pollen comes in',
      seen.pollen.look === 'found',
    );
  if (seen.beesReversing.look !== 'notLooked')
    state(
      'reversing',
      seen.beesReversing.look === 'found' ? 'bees back into cells' : 'no bees back into cells',
      seen.beesReversing.look === 'found',
    );
  if (seen.mood !== null) {
    state(
      'roaring',
      seen.mood === 'roaring' ? 'the hive roars' : 'it does not roar',
      seen.mood === 'roaring',
    );
    if (seen.mood === 'restless' || seen.mood === 'calm') {
      state(
        'restless',
        seen.mood === 'restless' ? 'bees are restless' : 'bees are calm',
        seen.mood === 'restless',
      );
    }
  }
  return say;
}

/** How often a queen is found in a state: the table, for a keeper who finds laying queens better or worse than most. */
function queenFound(state: QueenStateName, { findsQueen }: KeeperLikelihoods): number {
  const usual = SIGHT['queenSeen']?.[state] ?? 0.1;
  return Math.min(0.98, (usual * findsQueen) / USUAL_LIKELIHOODS.findsQueen);
}

const yes = (p: number, was: boolean) => Math.min(0.995, Math.max(0.005, was ? p : 1 - p));

function cappings(
  capped: Extract<Evidence['cappedBrood'], { look: 'found' }>,
  day: DayNumber,
  say: Saying[],
  state: (of: string, words: string, was: boolean) => void,
): void {
  const words = {
    flat: 'flat caps',
    domed: 'domed caps in worker cells',
    both: 'flat and domed caps',
  } as const;
  say.push({
    words: words[capped.cappings],
    chance: (c) => {
      const span = [day - 24, day - 9] as const;
      const flat = laidBetween(c, ...span, 'queen');
      const domed = laidBetween(c, ...span, 'drone-queen') || laidBetween(c, ...span, 'workers');
      const p = flat && domed ? MIXED : flat ? FLAT : domed ? DOMED : EVEN;
      return p[capped.cappings];
    },
  });
  if (capped.patch !== 'unsure') {
    state(
      'scattered',
      capped.patch === 'scattered' ? 'in a scattered patch' : 'in a compact patch',
      capped.patch === 'scattered',
    );
  }
}

/** What caps look like over brood of queens, of drones, and of both; a good colony has drone brood in places too. */
const FLAT = { flat: 0.9, domed: 0.015, both: 0.085 } as const;
const DOMED = { flat: 0.04, domed: 0.86, both: 0.1 } as const;
const MIXED = { flat: 0.3, domed: 0.2, both: 0.5 } as const;
const EVEN = { flat: 0.34, domed: 0.33, both: 0.33 } as const;

function cellsSeen(
  seen: Evidence,
  day: DayNumber,
  share: number,
  say: Saying[],
  state: (of: string, words: string, was: boolean) => void,
  findsCells: number,
): void {
  if (seen.cells.look === 'notLooked') return;
  const live = countCells(seen, 'charged', 'open', 'capped');
  const opened = countCells(seen, 'emerged', 'torn');
  say.push({
    words: live > 0 ? `${live} live queen ${live === 1 ? 'cell' : 'cells'}` : 'no live queen cell',
    chance: (c) => {
      const due = c.cells !== null && day >= c.cells.from + 1 && day <= c.cells.to;
      const p = due
        ? findsCells * (live > 0 ? 1 : share)
        : (SIGHT['cellsBeside']?.[c.stateOn(day)] ?? MISTAKEN.cells);
      return yes(p, live > 0);
    },
  });
  if (opened > 0) state('openedCell', 'a cell that is opened or torn', true);
}
