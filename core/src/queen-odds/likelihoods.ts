import { countCells, sourcesOf, type Evidence } from '../records/index.ts';
import { laidBetween, type Course, type DayNumber } from './course.ts';
import type { Sign, QueenStateName } from '../rules/index.ts';
import { USUAL_LIKELIHOODS, type KeeperLikelihoods } from './keeperLikelihoods.ts';

/** One thing that a look can say, with the chance that it says so in a course. */
export interface Saying {
  /** What was seen, in words. */
  readonly words: string;
  readonly chance: (course: Course) => number;
}

/** Brood that came from elsewhere, on a day. */
export interface Gift {
  readonly on: DayNumber;
  readonly young: boolean;
}

/** The last worker of an egg that was given is out after so many days (Winston 1987). */
const CAPS_OF_GIFT = 21;

/** Everything that a look says, each with its chance in a course. What was not looked for says nothing. */
export function sayingsOf(
  seen: Evidence,
  day: DayNumber,
  keeper: KeeperLikelihoods = USUAL_LIKELIHOODS,
  gifts: readonly Gift[] = [],
): Saying[] {
  const share = seen.framesTotal > 0 ? Math.min(1, seen.framesRead / seen.framesTotal) : 1;
  const say: Saying[] = [];
  const { signs, found: finds, mistaken } = keeper.table;
  const state = (of: Sign, words: string, was: boolean) => {
    const row = signs[of];
    say.push({ words, chance: (c) => yes(row[c.stateOn(day)], was) });
  };
  // Brood by its age: eggs are up to 3 days old, larvae to 9, capped brood to 21 (Winston 1987).
  const brood = (
    look: { readonly look: Evidence['eggs']['look'] },
    kind: 'eggs' | keyof typeof finds,
    name: string,
    from: number,
    to: number,
  ) => {
    if (look.look === 'notLooked') return;
    const found = look.look === 'found';
    say.push({
      words: found ? `${name} seen` : share < 1 ? `no ${name} on the frames that were read` : `no ${name}`,
      chance: (c) => {
        // What was given is there whoever lives in it.
        const given = gifts.some(
          // A comb is hung in when the nest has been read: what was missed on that day was missed without it.
          (g) => (g.young || kind === 'capped') && (found ? g.on <= day : g.on < day) && day - g.on <= to,
        );
        const own =
          kind === 'capped' ? flatCaps(c, day) || domedCaps(c, day) : laidBetween(c, day - to, day - from);
        const there = given || own;
        const sure = kind === 'eggs' ? keeper.findsEggs : finds[kind];
        const p = there ? sure * (found ? 1 : share) : mistaken[kind];
        return yes(p, found);
      },
    });
  };
  brood(seen.eggs, 'eggs', 'eggs', 0, 3);
  brood(seen.youngLarvae, 'young', 'small larvae', 3, 5);
  brood(seen.olderLarvae, 'larvae', 'larvae', 4, 9);
  brood(seen.cappedBrood, 'capped', 'capped brood', 9, 21);
  // What others lay in boxes of their own says nothing against the queen whose brood is in hers.
  const two = sourcesOf(seen) !== null;
  if (seen.eggs.look === 'found' && !two) {
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
  const givenCaps = gifts.some((g) => g.on <= day && day - g.on <= CAPS_OF_GIFT);
  if (seen.cappedBrood.look === 'found' && !(givenCaps && seen.cappedBrood.cappings === 'flat'))
    cappings(
      two ? { ...seen.cappedBrood, cappings: 'flat', patch: 'unsure' } : seen.cappedBrood,
      day,
      say,
      state,
      keeper,
    );
  cellsSeen(seen, day, share, say, state, keeper);
  if (seen.queen.look !== 'notLooked') {
    const found = seen.queen.look === 'found';
    say.push({
      words: found ? 'a queen seen' : 'no queen seen',
      chance: (c) => yes(queenFound(c.stateOn(day), keeper) * (found ? 1 : share), found),
    });
    if (seen.queen.look === 'found' && seen.queen.build !== 'unsure') {
      state(
        'queenSlim',
        seen.queen.build === 'slim' ? 'she is slender and small' : 'she is long',
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
function queenFound(state: QueenStateName, { findsQueen, table }: KeeperLikelihoods): number {
  const usual = table.signs.queenSeen[state];
  return Math.min(0.98, (usual * findsQueen) / USUAL_LIKELIHOODS.findsQueen);
}

const yes = (p: number, was: boolean) => Math.min(0.995, Math.max(0.005, was ? p : 1 - p));

/** Whose brood is capped on a day: workers from day 9 to 21, drones in worker cells from 10 to 24 (Winston 1987). */
const flatCaps = (course: Course, day: DayNumber): boolean =>
  laidBetween(course, day - CAPS_OF_GIFT, day - 9, 'queen');
const domedCaps = (course: Course, day: DayNumber): boolean =>
  laidBetween(course, day - 24, day - 10, 'drone-queen') ||
  laidBetween(course, day - 24, day - 10, 'workers');

function cappings(
  capped: Extract<Evidence['cappedBrood'], { look: 'found' }>,
  day: DayNumber,
  say: Saying[],
  state: (of: Sign, words: string, was: boolean) => void,
  { table }: KeeperLikelihoods,
): void {
  const words = {
    flat: 'flat caps',
    domed: 'domed caps in worker cells',
    both: 'flat and domed caps',
  } as const;
  const seen = capped.cappings;
  if (seen !== 'unsure')
    say.push({
      words: words[seen],
      chance: (c) => {
        const flat = flatCaps(c, day);
        const domed = domedCaps(c, day);
        const brood = flat && domed ? 'mixed' : flat ? 'workers' : domed ? 'drones' : 'none';
        const { caps } = table;
        return caps[seen][brood] / (caps.flat[brood] + caps.domed[brood] + caps.both[brood]);
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

function cellsSeen(
  seen: Evidence,
  day: DayNumber,
  share: number,
  say: Saying[],
  state: (of: Sign, words: string, was: boolean) => void,
  { findsCells, table }: KeeperLikelihoods,
): void {
  if (seen.cells.look === 'notLooked') return;
  const live = countCells(seen, 'charged', 'open', 'capped');
  const opened = countCells(seen, 'emerged', 'torn');
  say.push({
    words: live > 0 ? `${live} live queen ${live === 1 ? 'cell' : 'cells'}` : 'no live queen cell',
    chance: (c) => {
      const due = c.cells !== null && day >= c.cells.from + 1 && day <= c.cells.to;
      const p = due ? findsCells * (live > 0 ? 1 : share) : table.signs.cellsBeside[c.stateOn(day)];
      return yes(p, live > 0);
    },
  });
  if (opened > 0) state('openedCell', 'a cell that is opened or torn', true);
}
