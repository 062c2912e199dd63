import { runSeasons } from '../../seasonplan/course/batch.ts';
import { worldCases } from './plainSeason.ts';
import { worldSeason } from './worldSeason.ts';

/** What was said and what came true. */
export interface Calibration {
  readonly cases: number;
  readonly said: number;
  readonly came: number;
}

/** How near to the wanted odds an aim must be said to be taken. */
const NEAR = 0.08;

/**
 * For each case an aim that the season plan gives four chances in five, “at least so many colonies with three frames of bees”, and
 * whether one season of the world brings it. Honey and bees: what eight of ten seasons are said to exceed.
 */
export function seasonCalibration(
  cases: number,
  seasons: number,
  seed: number,
): Readonly<Record<'colonies' | 'honey' | 'frames', Calibration>> {
  const sums = { colonies: [0, 0, 0], honey: [0, 0, 0], frames: [0, 0, 0] };
  const count = (of: keyof typeof sums, said: number, came: boolean) => {
    const s = sums[of];
    s[0] = (s[0] ?? 0) + 1;
    s[1] = (s[1] ?? 0) + said;
    s[2] = (s[2] ?? 0) + (came ? 1 : 0);
  };
  worldCases(cases, seed).forEach(({ problem, schedule, told }, k) => {
    const { ends } = runSeasons(problem, schedule, 0, seasons);
    const end = worldSeason(told, 1000 * seed + k);
    let best = { n: -1, off: Infinity, said: 0 };
    const most = Math.max(...ends.strong);
    for (let n = 1; n <= most; n++) {
      const said = ends.strong.filter((x) => x >= n).length / seasons;
      if (Math.abs(said - 0.8) < best.off) best = { n, off: Math.abs(said - 0.8), said };
    }
    if (best.off < NEAR) count('colonies', best.said, end.frames.filter((f) => f >= 3).length >= best.n);
    const low = (of: Float64Array) => of.toSorted()[Math.floor(0.2 * seasons)] ?? 0;
    count('honey', 0.8, end.honey >= low(ends.honey));
    count('frames', 0.8, end.all >= low(ends.frames));
  });
  const told = ([cases = 0, said = 0, came = 0]: readonly number[]): Calibration => ({
    cases,
    said: said / Math.max(1, cases),
    came: came / Math.max(1, cases),
  });
  return { colonies: told(sums.colonies), honey: told(sums.honey), frames: told(sums.frames) };
}
