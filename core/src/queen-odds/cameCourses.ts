import type { QueenCame } from '../records/index.ts';
import type { Course, DayNumber, LayingSpan, MatingSeason } from './course.ts';
import type { KeeperLikelihoods } from './keeperLikelihoods.ts';
import { spread } from './spread.ts';
import { queenlessCourses, youngQueenCourses } from './youngQueen.ts';

/** Days after which a mated queen who was given lays (common practice: eggs by day 7 to 10, idle up to two weeks). */
const GIVEN_LAYS = spread({ earliest: 3, likely: 6, latest: 14 });
/** The old queen of a prime swarm lays as soon as there is comb (common practice: two to ten days). */
const SWARM_LAYS = spread({ earliest: 2, likely: 4, latest: 10 });
/** A virgin is given, or comes with a cast, some days after she emerged (judgement). */
const OUT_BEFORE = 2;
/** Of swarms of which nobody knows, so many are prime swarms (judgement). */
const PRIME = 0.6;
/** A queen who was given is accepted so often: in a cage, free (common practice, no source), and with her own bees. */
const ACCEPTED = { caged: 0.87, free: 0.7, swarm: 0.97 } as const;
/** Where a queen is refused, a colony that has young brood raises one of its own about as often as not (judgement). */
const RAISES_INSTEAD = { given: 0.4, swarm: 0.05 } as const;
/** Emergency cells begun when she was refused are open from day 3 on, and out on day 12. */
const CELLS = { from: 3, out: 12 } as const;

/** Every course that a colony can have taken into which a queen has come from outside. */
export function cameCourses(
  { how, mated, free }: QueenCame,
  on: DayNumber,
  season: MatingSeason,
  keeper: KeeperLikelihoods,
): Course[] {
  // What hung there before she was given is nobody's news: brood of all ages. A swarm comes to bare comb.
  const old: readonly LayingSpan[] = how === 'given' ? [{ from: null, to: on, by: 'queen' }] : [];
  const { droneLayer } = keeper.table.fates;
  const accepted = how !== 'given' ? ACCEPTED.swarm : free ? ACCEPTED.free : ACCEPTED.caged;
  const virgins = how === 'swarm' ? 1 - PRIME : mated ? 0 : 1;
  const raises = how === 'given' ? RAISES_INSTEAD.given : RAISES_INSTEAD.swarm;
  const out = on + CELLS.out;
  return [
    ...(how === 'given' ? GIVEN_LAYS : SWARM_LAYS).map(({ after, share }): Course => ({
      id: `came, eggs ${after}`,
      prior: accepted * (1 - droneLayer) * (1 - virgins) * share,
      laying: [...old, { from: on + after, to: null, by: 'queen' }],
      cells: null,
      stateOn: (day) => (day < on + after ? 'not-laying' : 'laying'),
    })),
    {
      id: 'came, lays drones',
      prior: accepted * droneLayer * (1 - virgins),
      laying: [...old, { from: on + 6, to: null, by: 'drone-queen' as const }],
      cells: null,
      stateOn: () => 'drone-layer' as const,
    },
    ...youngQueenCourses(
      {
        id: 'came a virgin',
        prior: accepted * virgins,
        emerged: on - OUT_BEFORE,
        cells: null,
        old,
        before: () => 'virgin',
        queenlessFrom: on,
      },
      season,
      keeper,
    ),
    ...youngQueenCourses(
      {
        id: 'refused, raises',
        prior: (1 - accepted) * raises,
        emerged: out,
        cells: { from: on + CELLS.from, to: out },
        old,
        before: () => 'cells',
        queenlessFrom: on,
      },
      season,
      keeper,
    ),
    ...queenlessCourses('refused, raises none', (1 - accepted) * (1 - raises), old, on, {
      before: 'hopeless',
      until: on,
    }),
  ].filter((c) => c.prior > 0);
}

/** A queen who sits in a cage in her own colony: she is there, and lays nothing until she is let out. */
export function cagedCourses(since: DayNumber): Course[] {
  const old: LayingSpan = { from: null, to: since, by: 'queen' };
  return [
    {
      id: 'caged',
      prior: 0.97,
      laying: [old],
      cells: null,
      stateOn: () => 'not-laying',
    },
    {
      id: 'died in her cage',
      prior: 0.03,
      laying: [old],
      cells: { from: since + CELLS.from, to: since + CELLS.out },
      stateOn: (day) => (day < since + CELLS.out ? 'cells' : 'hopeless'),
    },
  ];
}
