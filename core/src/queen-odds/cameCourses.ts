import type { QueenCame } from '../records/index.ts';
import type { LikelihoodTable } from './likelihoodTable.ts';
import type { Course, DayNumber, LayingSpan } from './courses.ts';

/** Days after which a mated queen who was given lays (common practice: eggs by day 7 to 10, idle up to two weeks). */
const GIVEN_LAYS = [
  { after: 4, share: 0.25 },
  { after: 7, share: 0.4 },
  { after: 10, share: 0.22 },
  { after: 14, share: 0.13 },
] as const;
/** The old queen of a prime swarm lays as soon as there is comb (common practice: two to ten days). */
const SWARM_LAYS = [
  { after: 3, share: 0.4 },
  { after: 6, share: 0.35 },
  { after: 10, share: 0.25 },
] as const;
/** A virgin lays two to three and a half weeks after she was given, or came with a cast (Winston 1987: 8 to 21 days after she emerged). */
const VIRGIN_LAYS = [
  { after: 8, share: 0.25 },
  { after: 12, share: 0.4 },
  { after: 17, share: 0.23 },
  { after: 22, share: 0.12 },
] as const;
/** Of swarms of which nobody knows, so many are prime swarms (judgement). */
const PRIME = 0.6;
/** A queen who was given is accepted so often: in a cage, free (common practice, no source), and with her own bees. */
const ACCEPTED = { caged: 0.87, free: 0.7, swarm: 0.97 } as const;
/** Where a queen is refused, a colony that has young brood raises one of its own about as often as not (judgement). */
const RAISES_INSTEAD = 0.4;
/** Emergency cells begun when she was refused are open from day 3 on, and out on day 12. */
const CELLS = { from: 3, out: 12 } as const;
/** Workers lay when queen and open brood are gone for so long (common practice, no source). */
const WORKERS_LAY_AFTER = 26;

/** Every course that a colony can have taken into which a queen has come from outside. */
export function cameCourses(
  { how, mated, free }: QueenCame,
  on: DayNumber,
  matesOfVirgins: number,
  fates: LikelihoodTable['fates'],
): Course[] {
  // What hung there before she came is nobody's news: brood of all ages may have come with it.
  const old: LayingSpan = { from: null, to: on, by: 'queen' };
  const accepted = how !== 'given' ? ACCEPTED.swarm : free ? ACCEPTED.free : ACCEPTED.caged;
  const lays = (
    days: readonly { readonly after: number; readonly share: number }[],
    share: number,
    before: 'not-laying' | 'virgin',
  ): Course[] =>
    days.map(({ after, share: part }) => ({
      id: `came ${before} eggs ${after}`,
      prior: share * part,
      laying: [old, { from: on + after, to: null, by: 'queen' as const }],
      cells: null,
      emerged: null,
      queen: { from: on, to: null },
      stateOn: (day) =>
        day < on + after ? before : before === 'virgin' && day < on + after + 10 ? 'newly-laying' : 'laying',
    }));
  const virgins = how === 'swarm' ? 1 - PRIME : mated ? 0 : 1;
  const own = accepted * (1 - fates.droneLayer);
  const gone = 1 - accepted + accepted * virgins * (1 - matesOfVirgins);
  return [
    ...lays(how === 'given' ? GIVEN_LAYS : SWARM_LAYS, own * (1 - virgins), 'not-laying'),
    ...lays(VIRGIN_LAYS, own * virgins * matesOfVirgins, 'virgin'),
    {
      id: 'came drone-layer',
      prior: accepted * fates.droneLayer,
      laying: [old, { from: on + 6, to: null, by: 'drone-queen' as const }],
      cells: null,
      emerged: null,
      queen: { from: on, to: null },
      stateOn: () => 'drone-layer' as const,
    },
    {
      id: 'refused, raises',
      prior: gone * (how === 'given' ? RAISES_INSTEAD : 0.05),
      laying: [old, { from: on + 26, to: null, by: 'queen' as const }],
      cells: { from: on + CELLS.from, to: on + CELLS.out },
      emerged: on + CELLS.out,
      queen: { from: on + CELLS.out, to: null },
      stateOn: (day: DayNumber) =>
        day < on + CELLS.out ? 'cells' : day < on + 26 ? 'virgin' : day < on + 36 ? 'newly-laying' : 'laying',
    },
    {
      id: 'refused, none',
      prior: gone * (how === 'given' ? 1 - RAISES_INSTEAD : 0.95),
      laying: [old, { from: on + WORKERS_LAY_AFTER, to: null, by: 'workers' as const }],
      cells: null,
      emerged: null,
      queen: null,
      stateOn: (day: DayNumber) => (day < on + WORKERS_LAY_AFTER ? 'hopeless' : 'laying-workers'),
    },
  ].filter((c) => c.prior > 0) as Course[];
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
      emerged: null,
      queen: { from: null, to: null },
      stateOn: () => 'not-laying',
    },
    {
      id: 'died in her cage',
      prior: 0.03,
      laying: [old],
      cells: { from: since + CELLS.from, to: since + CELLS.out },
      emerged: null,
      queen: null,
      stateOn: (day) => (day < since + CELLS.out ? 'cells' : 'hopeless'),
    },
  ];
}
