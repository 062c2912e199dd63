import { z } from 'zod';
import { QUEEN_STATES, type QueenStateName } from './queenStates.ts';

/** Signs that are seen with different chances in the states of a queen. */
const SIGNS = [
  'queenSeen',
  'queenSlim',
  'severalEggs',
  'eggsOnWalls',
  'scattered',
  'pollen',
  'reversing',
  'roaring',
  'restless',
  'cellsBeside',
  'openedCell',
] as const;
export type Sign = (typeof SIGNS)[number];

/** Brood that is found where it is; of eggs and cells the house rules tell how often. */
export const FOUND = ['young', 'larvae', 'capped'] as const;
/** What something else is taken for. */
export const MISTAKEN = ['eggs', 'young', 'larvae', 'capped'] as const;

/** What caps look like. */
const CAPS = ['flat', 'domed', 'both'] as const;
export type Caps = (typeof CAPS)[number];
/** Whose brood is under the caps. */
export const CAPPED_BROOD = ['workers', 'drones', 'mixed', 'none'] as const;
export type CappedBrood = (typeof CAPPED_BROOD)[number];

/** What happens to queens now and then. */
const FATES = [
  'notLaying',
  'droneLayer',
  'lost',
  'layingWorkers',
  'superseding',
  'dronesOfUnlucky',
  'staysVirgin',
] as const;
export type Fate = (typeof FATES)[number];

/** The name of one likelihood: its row and its column. */
export type LikelihoodId =
  | `${Sign}.${QueenStateName}`
  | `found.${(typeof FOUND)[number]}`
  | `mistaken.${(typeof MISTAKEN)[number]}`
  | `${Caps}.${CappedBrood}`
  | `fate.${Fate}`;

const cross = <R extends string, C extends string>(rows: readonly R[], columns: readonly C[]) =>
  rows.flatMap((r) => columns.map((c) => `${r}.${c}` as const));

/** Every likelihood by its name. */
export const LIKELIHOOD_IDS: readonly LikelihoodId[] = [
  ...cross(SIGNS, QUEEN_STATES),
  ...cross(['found'] as const, FOUND),
  ...cross(['mistaken'] as const, MISTAKEN),
  ...cross(CAPS, CAPPED_BROOD),
  ...cross(['fate'] as const, FATES),
];

/** Nothing is certain: a likelihood of none or all would let one slip of the eye rule out the truth. */
export const LEAST_LIKELIHOOD = 0.001;
export const MOST_LIKELIHOOD = 0.999;

/** Likelihoods that a beekeeper has changed; the rest keep their defaults. */
export const likelihoodChanges = z.partialRecord(
  z.enum(LIKELIHOOD_IDS as [LikelihoodId, ...LikelihoodId[]]),
  z
    .number()
    .min(LEAST_LIKELIHOOD, 'A chance is at least 0.1 %: nothing is ruled out by one look.')
    .max(MOST_LIKELIHOOD, 'A chance is at most 99.9 %: nothing is certain by one look.'),
);
export type LikelihoodChanges = z.infer<typeof likelihoodChanges>;
