import { counted } from '../../basics/index.ts';
import type { PartMeasure } from '../base/measure.ts';
import { coverOf, type PlanRule } from '../base/rules.ts';
import { coverShare, type HouseRules } from '../../rules/index.ts';
import { donorFrames } from './donorFrames.ts';
import type { Donor } from '../base/method.ts';

/** A part by its place in the pair and the name to call it by. */
interface Part {
  readonly at: 'stay' | 'fresh';
  readonly name: string;
}

const pick = (part: Part) => (stay: PartMeasure, fresh: PartMeasure) => (part.at === 'stay' ? stay : fresh);

/** A part that has to raise a queen needs eggs or larvae under a day old. */
export function eggsRule(part: Part, rules: HouseRules): PlanRule {
  const of = pick(part);
  return {
    id: `eggs-${part.at}`,
    label: `Eggs in ${part.name}`,
    unit: 'tenths of a side',
    sense: 'atLeast',
    threshold: rules.minEggsTenths,
    nearWithin: 0.5,
    price: 60,
    why: 'Bees raise good queens from larvae under a day old; eggs become that.',
    value: (s, f) => of(s, f).eggsTenths,
    mend: (missing) =>
      `Short by ${counted(missing, 'tenth')} of a side: give it part of a comb with eggs, from this or another healthy colony, or wait until she lays again.`,
  };
}

/** Bees left in a part when the field bees have flown home. */
export function beesRule(part: Part, threshold: number, why: string): PlanRule {
  const of = pick(part);
  return {
    id: `bees-${part.at}`,
    label: `Bees left in ${part.name}`,
    unit: 'frames',
    sense: 'atLeast',
    threshold,
    nearWithin: 0.5,
    price: 25,
    why,
    value: (s, f) => of(s, f).framesOfBeesAfterDrift,
    mend: (missing) =>
      part.at === 'fresh'
        ? `Short by ${counted(missing, 'frame')} of bees: shake in nurse bees from open brood, carry it beyond 3 km (2 miles), or wait for capped brood to emerge.`
        : `Short by ${counted(missing, 'frame')} of bees: give the other part less, or wait for capped brood to emerge.`,
  };
}

/** Brood that the bees of a part can keep warm. */
export function coverRule(part: Part, rules: HouseRules, cold: boolean): PlanRule {
  const of = pick(part);
  const threshold = coverShare(rules, cold ? 'cold' : 'mild');
  return {
    id: `cover-${part.at}`,
    label: `Brood to bees in ${part.name}`,
    unit: 'brood a frame of bees',
    sense: 'atMost',
    threshold,
    nearWithin: 0.08,
    price: 40,
    why: cold ? 'Bees must cover their brood on cold nights.' : 'Bees must cover their brood.',
    value: (s, f) => coverOf(of(s, f)),
    mend: () =>
      'More brood than bees: leave a brood frame with the other part, shake in bees, or wait for warmer nights.',
  };
}

/** Bee bread, without which no brood is raised. */
export function beeBreadRule(part: Part, rules: HouseRules): PlanRule {
  const of = pick(part);
  return {
    id: `bread-${part.at}`,
    label: `Bee bread in ${part.name}`,
    unit: 'frames',
    sense: 'atLeast',
    threshold: rules.minBeeBreadFrames,
    nearWithin: 0.05,
    price: 20,
    why: 'Without bee bread no brood and no good queen is raised.',
    value: (s, f) => of(s, f).beeBreadFrames,
    mend: (missing) => `Short by ${counted(missing, 'frame')}: add a comb with bee bread.`,
  };
}

/** Honey and nectar for the days without field bees. */
export function storesRule(part: Part, threshold: number, why: string): PlanRule {
  const of = pick(part);
  return {
    id: `stores-${part.at}`,
    label: `Stores in ${part.name}`,
    unit: 'frames',
    sense: 'atLeast',
    threshold,
    nearWithin: 0.2,
    price: 15,
    why,
    value: (s, f) => of(s, f).storesFrames,
    mend: (missing) => `Short by ${counted(missing, 'frame')}: add a comb of honey, or feed in the evening.`,
  };
}

/** The brood that the giver keeps. */
export function donorFloorRule(part: Part, rules: HouseRules): PlanRule {
  const of = pick(part);
  return {
    id: 'donor-floor',
    label: `Brood left in ${part.name}`,
    unit: 'frames',
    sense: 'atLeast',
    threshold: rules.donorFloorBrood,
    nearWithin: 0.4,
    price: 30,
    why: 'The donor must carry on: its floor is a house rule.',
    value: (s, f) => of(s, f).broodFrames,
    mend: (missing) =>
      `${counted(missing, 'frame')} of brood under its floor: take less, or wait for more brood.`,
  };
}

/** The colony is strong enough for the method at all. */
export function strengthRule(threshold: number, name: string): PlanRule {
  return {
    id: 'strength',
    label: `Bees in ${name} before`,
    unit: 'frames',
    sense: 'atLeast',
    threshold,
    nearWithin: 1,
    price: 10,
    why: 'A colony split too weak gives two weak ones.',
    value: (s, f) => s.framesOfBeesNow + f.framesOfBeesNow,
    mend: (missing) =>
      `Short by ${counted(missing, 'frame')} of bees: wait, boost it, or take a smaller nuc.`,
  };
}

/** No cell travels with a queen that is to stay: she would be replaced, or swarm again. */
export function noCellRule(name: string): PlanRule {
  return {
    id: 'cells-fresh',
    label: `Cells in ${name}`,
    unit: 'cells',
    sense: 'atMost',
    threshold: 0,
    nearWithin: 0,
    price: 500,
    why: 'No cell travels with a queen that is to stay.',
    value: (_s, f) => f.liveCells,
    mend: () => 'Choose frames free of cells; brush bees aside and look along the edges.',
  };
}

/** So many live cells in a part that raises its queen from them. */
export function cellsRule(part: Part, least: number, why: string): PlanRule {
  const of = pick(part);
  return {
    id: `cells-${part.at}`,
    label: `Cells left in ${part.name}`,
    unit: 'cells',
    sense: 'atLeast',
    threshold: least,
    nearWithin: 0,
    price: 500,
    why,
    value: (s, f) => of(s, f).liveCells,
    mend: () => `Leave at least ${least === 1 ? 'one frame with a cell' : `${least} cells`}.`,
  };
}

/** The parent raises from its cells or, without any, from eggs. */
export function queenForParentRule(donor: Donor, rules: HouseRules): PlanRule {
  const parent = { at: 'stay', name: donor.name } as const;
  return donorFrames(donor).hasCells
    ? cellsRule(parent, 1, 'The parent raises its queen from the cells that it has.')
    : eggsRule(parent, rules);
}
