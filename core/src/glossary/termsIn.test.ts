import { describe, expect, it } from 'vitest';
import { GLOSSARY } from './glossary.ts';
import { termsIn } from './termsIn.ts';

const marked = (sentence: string) =>
  termsIn(sentence).flatMap((p) => (p.word ? [`${p.text}=${p.word}`] : []));

describe('trade words in a sentence', () => {
  it.each([
    ['Virgins fly for a week: hands off.', ['Virgins=Virgin', 'hands off=Hands off']],
    ['Give it a nuc, or two nucs.', ['nuc=Nuc']],
    ['A nucleus with capped brood.', ['nucleus=Nuc', 'capped brood=Capped brood']],
    ['The driftwood and the reflow of flower honey.', []],
    ['Honey in a box on its stand.', []],
    ['', []],
  ])('%s', (sentence, words) => {
    expect(marked(sentence)).toEqual(words);
  });

  it('gives back the whole sentence, whatever stands in it', () => {
    for (const { means, word } of GLOSSARY.flatMap((g) => g.entries)) {
      const sentence = `${word}: ${means} (${word.toUpperCase()}) $1 \\b [x]`;
      expect(
        termsIn(sentence)
          .map((p) => p.text)
          .join(''),
      ).toBe(sentence);
    }
  });
});
