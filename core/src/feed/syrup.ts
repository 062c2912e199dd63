import { failure, success, type Result } from '../basics/index.ts';

/**
 * Density of sucrose solutions at 20 °C in g/mL, by per cent of sugar by weight.
 *
 * 40, 50 and 60 %: tables of the sugar industry (ICUMSA; US National Bureau of Standards). The other lines of the same
 * tables are given from memory. A syrup of 2:1 has 66.7 %.
 */
const SUCROSE_DENSITY: readonly (readonly [percent: number, gPerMl: number])[] = [
  [0, 0.9982],
  [10, 1.0381],
  [20, 1.081],
  [30, 1.127],
  [40, 1.1764],
  [50, 1.2296],
  [60, 1.2865],
  [66.7, 1.3264],
  [70, 1.3472],
];

/** What dissolves at room temperature, in per cent by weight (about 67 at 20 °C, same tables). */
const MOST_PERCENT = 67;

/** Density of a syrup at 20 °C in g/mL. @param percent - sugar by weight, 0 to 70 */
export function densityOf(percent: number): number {
  const at = SUCROSE_DENSITY.findIndex(([p]) => p >= percent);
  const above = SUCROSE_DENSITY[Math.max(1, at)];
  const below = SUCROSE_DENSITY[Math.max(1, at) - 1];
  if (at < 0 || !above || !below) throw new RangeError(`${percent} % is not in the table`);
  return below[1] + ((above[1] - below[1]) * (percent - below[0])) / (above[0] - below[0]);
}

/** A syrup: what goes in, and what comes out at 20 °C. */
export interface Syrup {
  readonly sugarKg: number;
  readonly waterKg: number;
  /** Sugar by weight, in per cent. */
  readonly percent: number;
  readonly litres: number;
}

const problem = (what: string, message: string, remedy: string) =>
  failure({ code: 'syrup', path: [what], message, remedy });

/** A syrup of so much sugar and water, both in kg. A litre of water is 0.998 kg. */
export function syrupOf(sugarKg: number, waterKg: number): Result<Syrup> {
  if (!(sugarKg > 0) || !(waterKg > 0)) {
    return problem('amounts', 'Sugar and water must both be more than nothing.', 'Enter both amounts.');
  }
  const percent = (100 * sugarKg) / (sugarKg + waterKg);
  if (percent > MOST_PERCENT + 0.1) {
    return problem(
      'ratio',
      `${percent.toFixed(0)} % sugar does not stay dissolved: about ${MOST_PERCENT} % is the most.`,
      'Take more water, or make fondant.',
    );
  }
  return success({ sugarKg, waterKg, percent, litres: (sugarKg + waterKg) / densityOf(percent) });
}

/** The syrup of a ratio (parts of sugar to one of water, by weight) that comes to so many litres. */
export function syrupOfLitres(litres: number, sugarPerWater: number): Result<Syrup> {
  if (!(litres > 0))
    return problem('litres', 'The amount must be more than nothing.', 'Enter how much you want.');
  const one = syrupOf(sugarPerWater, 1);
  if (!one.ok) return one;
  const times = litres / one.value.litres;
  return syrupOf(sugarPerWater * times, times);
}

/** The syrup of a ratio that so much sugar makes. */
export function syrupOfSugar(sugarKg: number, sugarPerWater: number): Result<Syrup> {
  return syrupOf(sugarKg, sugarKg / sugarPerWater);
}

/** Ratios as they are used, sugar to water by weight. */
export const SYRUP_RATIOS = [
  { id: '1:1', sugarPerWater: 1, use: 'to stimulate and to draw comb' },
  { id: '3:2', sugarPerWater: 1.5, use: 'between the two' },
  { id: '2:1', sugarPerWater: 2, use: 'for stores; dissolves in hot water, is fed cool' },
] as const;
