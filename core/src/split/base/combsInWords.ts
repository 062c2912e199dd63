import { listInWords } from '../../basics/index.ts';
import type { PlanFrame } from './measure.ts';

/** What a comb is in a few words, by what decides where it goes. */
export function kindOfComb(f: PlanFrame): string {
  if (f.liveCells > 0) return 'queen cells';
  if (f.brood > 0.1) {
    const younger = f.open + f.eggs;
    if (f.capped > 2 * younger) return 'capped brood';
    return younger > 2 * f.capped ? 'open brood' : 'brood';
  }
  if (f.foundation >= 0.5) return 'foundation';
  if (f.stores >= f.drawn && f.stores >= 0.2) return 'food';
  return f.beeBread >= 0.25 ? 'bee bread' : 'empty comb';
}

/** Combs by what is on them, most first: `2 combs of capped brood and one of food`. */
export function combsInWords(frames: readonly PlanFrame[]): string {
  const kinds = new Map<string, number>();
  for (const f of frames) kinds.set(kindOfComb(f), (kinds.get(kindOfComb(f)) ?? 0) + 1);
  const parts = [...kinds].toSorted((a, b) => b[1] - a[1]);
  return listInWords(
    parts.map(([kind, n], i) => {
      const many = n === 1 ? 'one' : String(n);
      const noun = i === 0 ? (n === 1 ? ' comb' : ' combs') : '';
      if (kind === 'foundation') return n === 1 ? 'one foundation' : `${n} foundations`;
      if (kind === 'empty comb') return n === 1 ? 'one empty comb' : `${n} empty combs`;
      return `${many}${noun} of ${kind}`;
    }),
  );
}
