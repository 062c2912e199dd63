import { addDays, daysBetween, type Day } from '../basics/index.ts';
import { ColonyModel, CombSide } from '../clock/index.ts';
import { beesPerFrame, bothSides } from '../comb/index.ts';
import { operationOf, placeOf, type Apiary, type Colony } from '../records/index.ts';
import { conditionsAt, courseOf, modelRules } from './colonyOn.ts';

/** Bees of a colony on a later day, and what work on an earlier one adds to them, by the one clock. */
export interface BeesAhead {
  /** Frames of bees on the later day if the colony is left alone. */
  readonly alone: number;
  /** Frames of bees that one frame of bees more, or one of capped brood more, makes by then. */
  readonly ofBees: number;
  readonly ofCapped: number;
}

/** A colony that covers what it is given, with food for weeks: what is asked is what bees and brood become. */
const COVERING = Array.from({ length: 8 }, () => bothSides({ honey: 4, beeBread: 1, drawn: 5 }, 8));

/**
 * What a colony has on a later day, as a sum of what it has when the work is done: for plans that are searched.
 *
 * @param from - the day of the work
 * @returns null where it was never counted
 */
export function beesAhead(apiary: Apiary, colony: Colony, from: Day, to: Day): BeesAhead | null {
  const days = Math.max(0, daysBetween(from, to));
  const then = courseOf(apiary, colony, from, days).at(-1);
  if (!then) return null;
  const { referenceSize } = operationOf(apiary);
  const conditions = conditionsAt(apiary, placeOf(apiary, colony).yard);
  const aFrame = beesPerFrame(referenceSize).likely;
  const side = (r: ReturnType<typeof bothSides>) => r.sides.map((s) => CombSide.of(s, referenceSize, true));
  const after = (more: (model: ColonyModel) => void): number => {
    const model = new ColonyModel(modelRules(apiary));
    model.join(COVERING.flatMap(side), 0);
    more(model);
    for (let d = 0; d < days; d++) model.pass({ ...conditions(addDays(from, d)), forage: true });
    return model.adults.total / aFrame;
  };
  const bare = after(() => undefined);
  return {
    alone: then.bees,
    ofBees: after((m) => m.gain(aFrame, 'house')) - bare,
    ofCapped: after((m) => m.join(side(bothSides({ capped: 10 }, 0)), 0)) - bare,
  };
}
