import { ColonyModel, CombSide, type DayConditions, type ModelRules } from '../clock/index.ts';
import { bothSides, type Contents, type FrameReading } from '../comb/index.ts';

/** A day at the height of the season without a flow. */
export const SUMMER: DayConditions = {
  laying: 1,
  winterBees: 0,
  coldNights: false,
  cluster: false,
  pollen: true,
  forage: false,
  flow: false,
  gathersKg: 0,
};
/** The same while nectar comes in. */
export const FLOW: DayConditions = { ...SUMMER, flow: true };
/** A day in the winter cluster. */
export const WINTER: DayConditions = {
  laying: 0,
  winterBees: 1,
  coldNights: true,
  cluster: true,
  pollen: false,
  forage: false,
  flow: false,
  gathersKg: 0,
};

const RULES: ModelRules = { layingMost: 1500, coverWarm: 0.8, coverCold: 0.6, appetite: 1 };

/** A colony of deep combs, in tenths of a side. */
export const comb = (contents: Contents, bees: number): FrameReading => bothSides(contents, bees);

/** A model of combs that were read. @param eggsPerDay - what the queen lays now; null for no queen */
export function modelOf(
  combs: readonly FrameReading[],
  eggsPerDay: number | null,
  { rules = RULES, winterShare = 0 }: { rules?: ModelRules; winterShare?: number } = {},
): ColonyModel {
  const model = new ColonyModel(rules);
  model.join(
    combs.flatMap((r) => r.sides.map((s) => CombSide.of(s, 'langstroth-deep', true))),
    winterShare,
  );
  model.lays = eggsPerDay !== null;
  model.rate = eggsPerDay ?? 0;
  return model;
}

/** Lets days pass under the same conditions. */
export function after(model: ColonyModel, days: number, on: DayConditions): ColonyModel {
  for (let d = 0; d < days; d++) model.pass(on);
  return model;
}

/** Worker brood and bees of a model in frames of the common deep size. */
export const broodFrames = (model: ColonyModel): number => model.broodCells / 7040;
