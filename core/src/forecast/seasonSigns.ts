import { addDays, dayInWords, type Day } from '../basics/index.ts';
import { shareOf } from '../comb/index.ts';
import { coloniesOfYard, visitsOf, type Apiary, type Reading, type Yard } from '../records/index.ts';
import { daysIntoSeason, type SeasonEvent } from '../season/index.ts';
import { seasonOfYard } from './yardSeason.ts';

/** Something seen this year that says that an event comes sooner than the calendar has it. */
export interface SeasonSign {
  readonly event: SeasonEvent;
  /** Days after midwinter. */
  readonly to: number;
  readonly day: Day;
  readonly because: string;
}

/** Capped drone brood of unknown age emerges within two weeks; drones can mate about twelve days later (Winston 1987). */
const DRONES_FLY_AFTER = 14;
/** A share of a comb that is more than a few cells at its edge. */
const SOME = 0.02;

/** What was seen in a yard this season that moves its calendar; nothing where the calendar was right or late. */
export function seasonSigns(apiary: Apiary, yard: Yard, today: Day): SeasonSign[] {
  const season = seasonOfYard(apiary, yard, today);
  const colonies = new Set(coloniesOfYard(apiary, yard.id).map((c) => c.id));
  const readings = Object.values(apiary.reading).filter(
    (r) =>
      r.day >= season.midwinter &&
      r.day <= today &&
      r.visitId !== null &&
      colonies.has(apiary.visit[r.visitId]?.colonyId ?? ''),
  );
  const first = (is: (r: Reading) => boolean) =>
    readings.reduce<Day | null>((d, r) => (is(r) && (d === null || r.day < d) ? r.day : d), null);
  const drones = first((r) => shareOf(r.body, 'drone') > SOME);
  const cells = earliest(
    first((r) => r.body.cells.some((c) => c.kind === 'charged' || c.kind === 'open')),
    ...[...colonies].flatMap((id) =>
      visitsOf(apiary, id).flatMap((v) =>
        v.day >= season.midwinter &&
        v.day <= today &&
        v.evidence?.cells.look === 'found' &&
        v.evidence.cells.cells.some((c) => c.kind === 'charged')
          ? [v.day]
          : [],
      ),
    ),
  );
  const sooner = (event: SeasonEvent, day: Day | null, because: string): SeasonSign[] =>
    day !== null && day < season.days[event]
      ? [{ event, to: daysIntoSeason(season, day), day, because }]
      : [];
  return [
    ...sooner(
      'first-drones',
      drones && addDays(drones, DRONES_FLY_AFTER),
      drones ? `Drone brood was counted on ${dayInWords(drones)}: drones fly about two weeks later.` : '',
    ),
    ...sooner('swarm-start', cells, cells ? `Charged queen cells were seen on ${dayInWords(cells)}.` : ''),
  ];
}

const earliest = (...days: readonly (Day | null)[]): Day | null =>
  days.reduce<Day | null>((e, d) => (d !== null && (e === null || d < e) ? d : e), null);
