import { counted, floatAt } from '../../basics/index.ts';
import { coverShare, givesCombs, type HouseRules } from '../../rules/index.ts';
import { AT, type Measured } from './measures.ts';
import type { NucRecipe, YardPlanRequest } from '../../records/index.ts';
import { sumOf, type UnitRule } from './unitRule.ts';

/** What the search pays for a rule missed by one, on its way to a plan that breaks none. */
const RULE_PRICE = 60;

/** In how far the request changes what a giver has to keep. */
type Circumstances = Pick<YardPlanRequest, 'nights' | 'season'>;

const hard = (rule: Omit<UnitRule, 'hard' | 'price' | 'goalId'> & { price?: number }): UnitRule => ({
  price: RULE_PRICE,
  ...rule,
  hard: true,
  goalId: null,
});

/** Brood that the bees of a unit keep warm. */
function coverRule(
  unit: string,
  rules: HouseRules,
  nights: Circumstances['nights'],
  most?: number,
): UnitRule {
  const share = coverShare(rules, nights);
  // A colony that has too much brood already must not get worse.
  const threshold = Math.max(share, most ?? 0);
  return hard({
    id: `${unit}/cover`,
    label: 'Brood to bees',
    unit: 'brood a frame of bees',
    terms: [
      ['warmed', 1],
      ['bees', -threshold],
    ],
    sense: 'atMost',
    threshold: 0.02,
    nearWithin: 0.08,
    ratio: { of: 'warmed', to: 'bees', threshold },
    why:
      nights === 'cold'
        ? 'Bees must cover their brood on the coldest night to come.'
        : 'Bees must cover their brood, on the day and in the night.',
    mend: () => 'More brood than bees: shake in nurses, give it less brood, or wait for warmer nights.',
  });
}

/**
 * What a colony that is there must keep, whatever is taken from it or given to it.
 *
 * Where it falls short already, the rule is that it must not fall any shorter.
 *
 * @param before - the colony as it is, by measure
 * @param winterStores - frames of stores that it needs for the winter; null while the year is not that far
 */
export function colonyRules(
  unit: string,
  rules: HouseRules,
  when: Circumstances,
  before: Measured,
  slots: number,
  winterStores: number | null = null,
): UnitRule[] {
  const dearth = when.season === 'dearth';
  const b = (m: keyof typeof AT) => floatAt(before, AT[m]);
  const nowCover = b('warmed') < 0.05 ? 0 : b('warmed') / Math.max(b('bees'), 0.01);
  const keep = (rule: UnitRule): UnitRule => ({
    ...rule,
    threshold: Math.min(rule.threshold, sumOf(rule, before)),
  });
  return [
    keep(
      hard({
        id: `${unit}/floor`,
        label: 'Brood left',
        unit: 'frames of brood',
        terms: [['brood', 1]],
        sense: 'atLeast',
        threshold: dearth ? rules.donorFloorDearth : rules.donorFloorBrood,
        nearWithin: 0.4,
        why: dearth
          ? 'About eight weeks to recover, and winter bees to raise.'
          : 'In build-up one or two good brood frames carry on: the field bees come home to it.',
        mend: (n) => `${counted(n, 'frame')} of brood under its floor: take less, or wait for more brood.`,
      }),
    ),
    hard({
      id: `${unit}/given`,
      label: 'Brood combs given to others',
      unit: 'combs',
      terms: [['given', 1]],
      sense: 'atMost',
      threshold: givesCombs(b('broodCombs'), rules),
      nearWithin: 0,
      why: 'Of seven brood combs it gives one and keeps six.',
      mend: (n) => `${counted(n, 'comb')} too many: let another colony give.`,
    }),
    coverRule(unit, rules, when.nights, nowCover),
    keep(
      hard({
        id: `${unit}/bees`,
        label: 'Bees left',
        unit: 'frames of bees',
        terms: [['bees', 1]],
        sense: 'atLeast',
        threshold: rules.weakBees,
        nearWithin: 0.5,
        why: 'Helping one colony must not make another weak.',
        mend: (n) => `Short by ${counted(n, 'frame')} of bees: take fewer frames or shake fewer.`,
      }),
    ),
    keep(
      hard({
        id: `${unit}/stores`,
        label: winterStores === null ? 'Stores left' : 'Stores left for the winter',
        unit: 'frames',
        terms: [['stores', 1]],
        sense: 'atLeast',
        threshold: Math.max(winterStores ?? 0, dearth ? rules.minStoresDearth : rules.minStoresOnStand),
        nearWithin: 0.2,
        why:
          winterStores !== null
            ? 'What it needs until spring, by its size and the climate of its yard.'
            : dearth
              ? 'Nothing comes in.'
              : 'Field bees come home to it, but rain can last.',
        mend: (n) => `Short by ${n} of a frame: leave it a comb of honey, or feed.`,
      }),
    ),
    keep(
      hard({
        id: `${unit}/bread`,
        label: 'Bee bread left',
        unit: 'frames',
        terms: [['beeBread', 1]],
        sense: 'atLeast',
        threshold: rules.minBeeBreadFrames,
        nearWithin: 0.05,
        why: 'Without bee bread no brood is raised.',
        mend: (n) => `Short by ${n} of a frame of bee bread.`,
      }),
    ),
    hard({
      id: `${unit}/shaken`,
      label: 'Frames shaken',
      unit: 'frames',
      terms: [['shaken', 1]],
      sense: 'atMost',
      threshold: rules.shakesPerGiver,
      nearWithin: 0,
      why: 'Shaking more bares the brood.',
      mend: (n) => `${counted(n, 'frame')} too many: shake from another colony.`,
    }),
    hard({
      id: `${unit}/queen`,
      label: 'Eggs or cells where the queen goes',
      unit: 'tenths of a side with eggs',
      // Met by her presence; without her by eggs enough, or by a cell.
      terms: [
        ['eggsTenths', 1],
        ['cells', rules.minEggsTenths],
        ['queens', rules.minEggsTenths],
      ],
      sense: 'atLeast',
      threshold: b('queens') > 0 ? rules.minEggsTenths : 0,
      nearWithin: 0,
      why: 'A colony whose queen moves out must raise another.',
      mend: () => 'Leave it a comb with eggs, or a cell.',
    }),
    hard({
      id: `${unit}/slots`,
      label: 'Frames in its boxes',
      unit: 'frames',
      terms: [['frames', 1]],
      sense: 'atMost',
      threshold: Math.max(slots, b('frames')),
      nearWithin: 0,
      price: 400,
      why: 'A comb needs a slot of its size.',
      mend: (n) => `${counted(n, 'frame')} too many: take as many combs out.`,
    }),
  ];
}

/** What a nuc must have when it is made. */
export function nucRules(
  unit: string,
  rules: HouseRules,
  when: Circumstances,
  recipe: NucRecipe,
): UnitRule[] {
  const raises = recipe.queen === 'raises';
  return [
    hard({
      id: `${unit}/bees`,
      label: 'Bees after drift',
      unit: 'frames of bees',
      terms: [['bees', 1]],
      sense: 'atLeast',
      threshold: rules.minBeesNewPart,
      nearWithin: 0.3,
      why: 'Below this a small colony neither keeps brood warm nor feeds queen larvae well.',
      mend: (n) =>
        `Short by ${counted(n, 'frame')} of bees: shake in nurses, or carry it beyond 3 km (2 miles).`,
    }),
    coverRule(unit, rules, when.nights),
    hard({
      id: `${unit}/brood`,
      label: 'Brood',
      unit: 'frames of brood',
      terms: [['brood', 1]],
      sense: 'atLeast',
      threshold: recipe.broodFrames,
      nearWithin: 0.15,
      why: 'The recipe: the bees that will replace those it begins with.',
      mend: (n) => `Short by ${counted(n, 'frame')} of brood: wait for more, or make one nuc fewer.`,
    }),
    hard({
      id: `${unit}/brood-combs-least`,
      label: 'Combs with brood, at least',
      unit: 'combs',
      terms: [['broodCombs', 1]],
      sense: 'atLeast',
      threshold: recipe.broodCombs.min,
      nearWithin: 0,
      why: 'The recipe.',
      mend: (n) => `Short by ${counted(n, 'comb')} with brood.`,
    }),
    hard({
      id: `${unit}/brood-combs-most`,
      label: 'Combs with brood, at most',
      unit: 'combs',
      terms: [['broodCombs', 1]],
      sense: 'atMost',
      threshold: recipe.broodCombs.max,
      nearWithin: 0,
      why: 'The recipe: more than this its bees will not cover.',
      mend: (n) => `${counted(n, 'comb')} with brood too many.`,
    }),
    hard({
      id: `${unit}/stores-combs`,
      label: 'Combs of stores',
      unit: 'combs',
      terms: [['storesCombs', 1]],
      sense: 'atLeast',
      threshold: recipe.storesCombs,
      nearWithin: 0,
      why: 'The recipe: food for the days without field bees.',
      mend: (n) => `Short by ${counted(n, 'comb')} of honey: feed instead and ask for fewer.`,
    }),
    hard({
      id: `${unit}/stores`,
      label: 'Stores',
      unit: 'frames',
      terms: [['stores', 1]],
      sense: 'atLeast',
      threshold: rules.minStoresNoField,
      nearWithin: 0.2,
      why: 'Without field bees it lives on what it is given.',
      mend: (n) => `Short by ${n} of a frame: add honey, or feed in the evening.`,
    }),
    hard({
      id: `${unit}/bread`,
      label: 'Bee bread',
      unit: 'frames',
      terms: [['beeBread', 1]],
      sense: 'atLeast',
      threshold: rules.minBeeBreadFrames,
      nearWithin: 0.05,
      why: 'Without bee bread no brood and no good queen is raised.',
      mend: (n) => `Short by ${n} of a frame of bee bread.`,
    }),
    hard({
      id: `${unit}/empty`,
      label: 'Empty drawn combs',
      unit: 'combs',
      terms: [['emptyCombs', 1]],
      sense: 'atLeast',
      threshold: recipe.emptyCombs,
      nearWithin: 0,
      why: 'The recipe: a young queen needs cells to lay in.',
      mend: (n) => `Short by ${counted(n, 'drawn comb')}: make room for it, or put more into the store.`,
    }),
    hard({
      id: `${unit}/eggs`,
      label: raises ? 'Eggs to raise a queen from' : 'Eggs',
      unit: 'tenths of a side',
      terms: [['eggsTenths', 1]],
      sense: 'atLeast',
      threshold: raises ? rules.minEggsTenths : 0,
      nearWithin: 0.5,
      why: raises
        ? 'Bees raise good queens from larvae under a day old; eggs become that.'
        : 'None are needed: it is given a queen or a cell.',
      mend: (n) => `Short by ${n} tenths: one of its combs needs eggs.`,
    }),
    hard({
      id: `${unit}/queen`,
      label: recipe.queen === 'old-queen' ? 'Old queen with it' : 'Queens left at home',
      unit: 'queens',
      terms: [['queens', recipe.queen === 'old-queen' ? 1 : -1]],
      sense: 'atLeast',
      threshold: recipe.queen === 'old-queen' ? 1 : 0,
      nearWithin: 0,
      why: recipe.queen === 'old-queen' ? 'The recipe moves her.' : 'A donor keeps its queen.',
      mend: () =>
        recipe.queen === 'old-queen'
          ? 'Find a queen first: only a frame on which she was seen can be planned with.'
          : 'Leave the frame with the queen at home.',
    }),
    hard({
      id: `${unit}/one-queen`,
      label: 'Queens in it',
      unit: 'queens',
      terms: [['queens', 1]],
      sense: 'atMost',
      threshold: 1,
      nearWithin: 0,
      why: 'Two queens fight.',
      mend: () => 'Leave one of the frames with a queen at home.',
    }),
    hard({
      id: `${unit}/slots`,
      label: 'Frames in its box',
      unit: 'frames',
      terms: [['frames', 1]],
      sense: 'atMost',
      threshold: recipe.slots,
      nearWithin: 0,
      price: 400,
      why: 'A comb needs a slot.',
      mend: (n) => `${counted(n, 'frame')} too many for its box.`,
    }),
  ];
}

/** What is left of a colony that is broken up whole is one more nuc of the recipe; its queen is in it. */
export const remainderRules = (
  unit: string,
  rules: HouseRules,
  when: Circumstances,
  recipe: NucRecipe,
): UnitRule[] =>
  nucRules(unit, rules, when, { ...recipe, queen: 'old-queen' }).filter(
    // Where she was not seen she is among those that stay until an inspection shows otherwise.
    (r) => r.id !== `${unit}/queen` && r.id !== `${unit}/eggs`,
  );
