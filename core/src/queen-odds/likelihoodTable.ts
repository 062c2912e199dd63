import type { CappedBrood, Caps, Fate, FOUND, MISTAKEN, Sign, QueenStateName } from '../rules/index.ts';

/** All likelihoods that do not follow from the age of brood, by rows and columns. */
export interface LikelihoodTable {
  /** How often something is seen in each state, by one who knows what to look for and reads every frame. */
  readonly signs: Readonly<Record<Sign, Readonly<Record<QueenStateName, number>>>>;
  /** How often brood is found where there is some. */
  readonly found: Readonly<Record<(typeof FOUND)[number], number>>;
  /** How often something is taken for it where there is none. */
  readonly mistaken: Readonly<Record<(typeof MISTAKEN)[number], number>>;
  /** How caps look over brood of each kind; one kind's together are one, and are made so. */
  readonly caps: Readonly<Record<Caps, Readonly<Record<CappedBrood, number>>>>;
  /** How often each thing happens to queens, besides what the house rules say of raising and mating. */
  readonly fates: Readonly<Record<Fate, number>>;
}

/**
 * As they are shipped: judgement after what practice tells (no source), but for the slimness of a queen before she
 * has mated (Winston 1987).
 */
export const USUAL_TABLE: LikelihoodTable = {
  signs: {
    queenSeen: {
      laying: 0.5,
      'newly-laying': 0.45,
      virgin: 0.15,
      cells: 0.01,
      hopeless: 0.005,
      'laying-workers': 0.005,
      'drone-layer': 0.5,
      'not-laying': 0.5,
    },
    queenSlim: {
      laying: 0.06,
      'newly-laying': 0.25,
      virgin: 0.85,
      cells: 0.5,
      hopeless: 0.5,
      'laying-workers': 0.5,
      'drone-layer': 0.35,
      'not-laying': 0.25,
    },
    severalEggs: {
      laying: 0.01,
      'newly-laying': 0.15,
      virgin: 0.1,
      cells: 0.1,
      hopeless: 0.1,
      'laying-workers': 0.88,
      'drone-layer': 0.08,
      'not-laying': 0.02,
    },
    eggsOnWalls: {
      laying: 0.01,
      'newly-laying': 0.03,
      virgin: 0.1,
      cells: 0.1,
      hopeless: 0.1,
      'laying-workers': 0.5,
      'drone-layer': 0.04,
      'not-laying': 0.02,
    },
    scattered: {
      laying: 0.12,
      'newly-laying': 0.15,
      virgin: 0.3,
      cells: 0.3,
      hopeless: 0.4,
      'laying-workers': 0.85,
      'drone-layer': 0.2,
      'not-laying': 0.3,
    },
    pollen: {
      laying: 0.9,
      'newly-laying': 0.85,
      virgin: 0.6,
      cells: 0.65,
      hopeless: 0.35,
      'laying-workers': 0.3,
      'drone-layer': 0.7,
      'not-laying': 0.6,
    },
    reversing: {
      laying: 0.02,
      'newly-laying': 0.02,
      virgin: 0.02,
      cells: 0.02,
      hopeless: 0.05,
      'laying-workers': 0.55,
      'drone-layer': 0.03,
      'not-laying': 0.03,
    },
    roaring: {
      laying: 0.03,
      'newly-laying': 0.03,
      virgin: 0.12,
      cells: 0.12,
      hopeless: 0.45,
      'laying-workers': 0.4,
      'drone-layer': 0.08,
      'not-laying': 0.06,
    },
    restless: {
      laying: 0.12,
      'newly-laying': 0.12,
      virgin: 0.3,
      cells: 0.25,
      hopeless: 0.4,
      'laying-workers': 0.35,
      'drone-layer': 0.2,
      'not-laying': 0.2,
    },
    cellsBeside: {
      laying: 0.07,
      'newly-laying': 0.04,
      virgin: 0.1,
      cells: 0.5,
      hopeless: 0.01,
      'laying-workers': 0.03,
      'drone-layer': 0.15,
      'not-laying': 0.06,
    },
    openedCell: {
      laying: 0.02,
      'newly-laying': 0.3,
      virgin: 0.65,
      cells: 0.02,
      hopeless: 0.05,
      'laying-workers': 0.03,
      'drone-layer': 0.1,
      'not-laying': 0.05,
    },
  },
  found: { young: 0.85, larvae: 0.95, capped: 0.96 },
  mistaken: { eggs: 0.015, young: 0.03, larvae: 0.01, capped: 0.02 },
  // A good colony has drone brood in places too.
  caps: {
    flat: { workers: 0.9, drones: 0.02, mixed: 0.17, none: 0.34 },
    domed: { workers: 0.005, drones: 0.86, mixed: 0.13, none: 0.33 },
    both: { workers: 0.095, drones: 0.12, mixed: 0.7, none: 0.33 },
  },
  fates: {
    notLaying: 0.05,
    droneLayer: 0.02,
    lost: 0.03,
    layingWorkers: 0.015,
    superseding: 0.04,
    dronesOfUnlucky: 0.3,
    staysVirgin: 0.25,
  },
};

/** What each row and column is, in words. */
export const LIKELIHOOD_WORDS = {
  signs: {
    queenSeen: 'the queen herself',
    queenSlim: 'slender, if she is seen',
    severalEggs: 'several eggs in a cell, if eggs are seen',
    eggsOnWalls: 'eggs on cell walls, if eggs are seen',
    scattered: 'caps in a scattered patch',
    pollen: 'pollen coming in',
    reversing: 'bees backing into cells',
    roaring: 'roaring',
    restless: 'restless bees',
    cellsBeside: 'live cells out of their time',
    openedCell: 'an opened or torn cell',
  },
  found: { young: 'small larvae', larvae: 'larvae', capped: 'capped brood' },
  mistaken: {
    eggs: 'eggs',
    young: 'small larvae',
    larvae: 'larvae',
    capped: 'capped brood',
  },
  caps: { flat: 'flat caps', domed: 'domed caps in worker cells', both: 'both' },
  cappedBrood: {
    workers: 'brood of a mated queen',
    drones: 'drone brood in worker cells',
    mixed: 'brood of both',
    none: 'neither is due',
  },
  fates: {
    notLaying: 'a queen is there and does not lay',
    droneLayer: 'an old queen lays drones only',
    lost: 'a queen was lost unseen',
    layingWorkers: 'workers lay, unseen',
    superseding: 'she is being replaced',
    dronesOfUnlucky: 'of virgins that do not mate: lay drones in the end',
    staysVirgin: 'of virgins that do not mate: stay virgins',
  },
} as const satisfies {
  readonly [K in keyof LikelihoodTable]: Readonly<Record<keyof LikelihoodTable[K], string>>;
} & { readonly cappedBrood: Readonly<Record<CappedBrood, string>> };
