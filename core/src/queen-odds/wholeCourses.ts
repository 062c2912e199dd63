import { LEAST_LIKELIHOOD } from '../rules/index.ts';
import { stable, type Course, type DayNumber, type LayingSpan, type MatingSeason } from './course.ts';
import type { KeeperLikelihoods } from './keeperLikelihoods.ts';
import { COARSE, queenlessCourses, youngQueenCourses } from './youngQueen.ts';

/**
 * How long ago something may have happened that nobody saw: as likely on one day as on another. A queen that has stopped
 * mostly begins again within two weeks: long pauses are rare (judgement, no source).
 */
const AGO = [
  { days: 2, share: 4 / 34, stops: 0.3 },
  { days: 6, share: 4 / 34, stops: 0.25 },
  { days: 10, share: 4 / 34, stops: 0.2 },
  { days: 14, share: 5 / 34, stops: 0.14 },
  { days: 20, share: 7 / 34, stops: 0.08 },
  { days: 28, share: 10 / 34, stops: 0.03 },
] as const;

/** A prime swarm goes when the first cells are capped: a queen is out a week later (Winston 1987). */
const OUT_AFTER_SWARM = 8;
/** Emergency cells begun when she was lost are out on day 12 (Winston 1987). */
const OUT_AFTER_LOSS = 12;
/** Until so many days after she was lost a larva may still become one. */
const RAISES_UNTIL = 6;
/** A queen cell is seen for so many days before she is out. */
const CELL_DAYS = 11;
/** An old queen that is superseded lays on beside her daughter for some days (common practice, no source). */
const LAYS_BESIDE = 3;
/** Colonies that lose their queen unseen raise another, so many of them: the season has young brood (judgement). */
const RAISE_AFTER_LOSS = 0.6;
/** Of those that are being replaced, so many swarm; the others supersede (judgement). */
const SWARM = 0.5;

/** Every course that a colony can have taken that was never parted: nothing is known of it but its years. */
export function wholeCourses(today: DayNumber, season: MatingSeason, keeper: KeeperLikelihoods): Course[] {
  const s = keeper.table.fates;
  return [
    stable(
      'laying',
      Math.max(LEAST_LIKELIHOOD, 1 - s.notLaying - s.droneLayer - s.lost - s.layingWorkers - s.superseding),
      'laying',
      'queen',
    ),
    stable('drone-layer', s.droneLayer, 'drone-layer', 'drone-queen'),
    stable('laying-workers', s.layingWorkers, 'laying-workers', 'workers'),
    ...AGO.flatMap(({ days, share, stops }): Course[] => {
      const then = today - days;
      const old: LayingSpan = { from: null, to: then, by: 'queen' };
      const young = (id: string, prior: number, emerged: number, laidUntil: DayNumber, swarms: boolean) =>
        youngQueenCourses(
          {
            id: `${id} ${days} days ago`,
            prior: prior * share,
            emerged,
            cells: { from: emerged - CELL_DAYS, to: emerged },
            old: [{ ...old, to: laidUntil }],
            before: (day) => (day <= laidUntil && !swarms ? 'laying' : day <= then ? 'laying' : 'cells'),
            queenlessFrom: laidUntil,
          },
          season,
          keeper,
          COARSE,
        );
      const superseded = then + OUT_AFTER_SWARM;
      return [
        // She has stopped: barred, starved or in a dearth.
        {
          ...stable(`stopped ${days} days ago`, s.notLaying * stops, 'not-laying', null),
          laying: [old],
          stateOn: (day) => (day < then ? 'laying' : 'not-laying'),
        },
        ...young('swarmed', s.superseding * SWARM, then + OUT_AFTER_SWARM, then, true),
        ...young('superseded', s.superseding * (1 - SWARM), superseded, superseded + LAYS_BESIDE, false),
        ...young('lost', s.lost * RAISE_AFTER_LOSS, then + OUT_AFTER_LOSS, then, true),
        ...queenlessCourses(
          `lost ${days} days ago, raises none`,
          s.lost * (1 - RAISE_AFTER_LOSS) * share,
          [old],
          then,
          { before: 'cells', until: then + RAISES_UNTIL },
          COARSE,
        ),
      ];
    }),
  ];
}
