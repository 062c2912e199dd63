import type { Frame } from './records.ts';

/** Combs of the store in a few words: `3 drawn, 1 foundation`. */
export function blanksInWords(combs: readonly { readonly blank: Frame['blank'] | null }[]): string {
  const drawn = combs.filter((c) => c.blank === 'drawn').length;
  const foundation = combs.filter((c) => c.blank === 'foundation').length;
  return [
    ...(drawn > 0 ? [`${drawn} drawn`] : []),
    ...(foundation > 0 ? [`${foundation} foundation`] : []),
  ].join(', ');
}
