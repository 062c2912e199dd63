import { listInWords } from '../../basics/index.ts';
import { EMERGING_WARMTH } from '../../brood/index.ts';
import type { PlanFrame } from './measure.ts';

/** What decides where a comb goes. */
type Kind = 'cells' | 'emerging' | 'capped' | 'open' | 'brood' | 'foundation' | 'food' | 'bread' | 'empty';

/** One comb of a kind, and several, where it is not "combs of" something. */
const OWN_WORDS: Partial<Readonly<Record<Kind, readonly [one: string, many: string]>>> = {
  foundation: ['one foundation', 'foundations'],
  empty: ['one empty comb', 'empty combs'],
};

const OF: Readonly<Record<Kind, string>> = {
  cells: 'queen cells',
  emerging: 'emerging brood',
  capped: 'capped brood',
  open: 'open brood',
  brood: 'brood',
  foundation: 'foundation',
  food: 'food',
  bread: 'bee bread',
  empty: 'nothing',
};

function kindOf(f: PlanFrame): Kind {
  if (f.liveCells > 0) return 'cells';
  if (f.brood > 0.1) {
    const younger = f.open + f.eggs;
    const emerging = (f.brood - f.warmed) / (1 - EMERGING_WARMTH);
    if (emerging > 0.5 * f.brood) return 'emerging';
    if (f.capped > 2 * younger) return 'capped';
    return younger > 2 * f.capped ? 'open' : 'brood';
  }
  if (f.foundation >= 0.5) return 'foundation';
  if (f.stores >= f.drawn && f.stores >= 0.2) return 'food';
  return f.beeBread >= 0.25 ? 'bread' : 'empty';
}

/** Combs by what is on them, most first: `2 combs of capped brood and one of food`. */
export function combsInWords(frames: readonly PlanFrame[]): string {
  const kinds = new Map<Kind, number>();
  for (const f of frames) kinds.set(kindOf(f), (kinds.get(kindOf(f)) ?? 0) + 1);
  return listInWords(
    [...kinds]
      .toSorted((a, b) => b[1] - a[1])
      .map(([kind, n], i) => {
        const own = OWN_WORDS[kind];
        if (own) return n === 1 ? own[0] : `${n} ${own[1]}`;
        const noun = i === 0 ? (n === 1 ? ' comb' : ' combs') : '';
        return `${n === 1 ? 'one' : n}${noun} of ${OF[kind]}`;
      }),
  );
}
