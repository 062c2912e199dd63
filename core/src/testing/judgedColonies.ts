import { bothSides, type Contents, type FrameReading } from '../comb/contents.ts';
import { eggs, NO, queen } from './queenLooks.ts';
import { honey } from './scene.ts';

/** Colonies and inspections that many judgements are about. */
export const comb = (contents: Contents, bees: number): FrameReading => bothSides(contents, bees);
export const bare = (bees = 7) => comb({ drawn: 8, honey: 2 }, bees);
const full = comb({ eggs: 1, open: 2, capped: 4, honey: 2, beeBread: 1 }, 10);
export const STRONG = [honey, ...Array.from({ length: 8 }, () => full), honey];
export const WEAK = [honey, comb({ eggs: 1, open: 2, capped: 2, honey: 2, drawn: 3 }, 4), honey];
export const NO_BROOD = { youngLarvae: NO, olderLarvae: NO, cappedBrood: NO } as const;
export const WELL = { eggs: eggs(), queen: queen('long'), diseaseSigns: NO, cells: NO } as const;
/** Words that end a colony, or begin it anew. */
export const ENDS = /unite it|shake it out|give a mated queen|comb of eggs today/i;
/** Remedies that move bees, combs or queens. */
export const MOVES = [
  'boost-brood',
  'boost-nurses',
  'combine',
  'swap-stands',
  'give-queen',
  'give-cell',
  'shake-out',
];
