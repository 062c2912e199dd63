import { EMERGING_WARMTH } from './combWorth.ts';

/** What a comb counts for, in reference frames, as far as one is chosen before another. */
export interface CombFigures {
  readonly brood: number;
  /** Brood that bees must cover: emerging brood counts a third. */
  readonly warmed: number;
  /** Emerging brood included. */
  readonly capped: number;
  readonly open: number;
  readonly eggs: number;
  readonly beeBread: number;
  readonly stores: number;
  readonly drawn: number;
  readonly bees: number;
}

const emergingOn = (f: CombFigures) => (f.brood - f.warmed) / (1 - EMERGING_WARMTH);
const dronesOn = (f: CombFigures) => f.brood - f.eggs - f.open - f.capped;

/** In what one comb may be less use than another, from how much of it that is worth a word. */
const WORSE: readonly {
  readonly by: (other: CombFigures, chosen: CombFigures) => number;
  readonly from: number;
  readonly words: string;
}[] = [
  { by: (o, c) => emergingOn(c) - emergingOn(o), from: 0.1, words: 'its brood emerges later' },
  { by: (o, c) => o.open + o.eggs - c.open - c.eggs, from: 0.15, words: 'it has more young brood to feed' },
  { by: (o, c) => dronesOn(o) - dronesOn(c), from: 0.1, words: 'it has more drone brood' },
  { by: (o, c) => c.capped - o.capped, from: 0.15, words: 'it has less capped brood' },
  { by: (o, c) => c.eggs - o.eggs, from: 0.05, words: 'it has fewer eggs' },
  { by: (o, c) => c.stores - o.stores, from: 0.15, words: 'it has less food' },
  { by: (o, c) => c.beeBread - o.beeBread, from: 0.08, words: 'it has less bee bread' },
  { by: (o, c) => c.drawn - o.drawn, from: 0.2, words: 'it has less room to lay' },
  { by: (o, c) => c.bees - o.bees, from: 0.15, words: 'it carries fewer bees' },
];

/** Why one comb is less use than another that was chosen, in words; null where by eye they are alike. */
export function worseInWords(other: CombFigures, chosen: CombFigures): string | null {
  const most = WORSE.map((w) => ({ words: w.words, times: w.by(other, chosen) / w.from }))
    .filter((w) => w.times >= 1)
    .toSorted((a, b) => b.times - a.times)[0];
  return most?.words ?? null;
}
