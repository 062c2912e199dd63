import { describe, expect, it } from 'vitest';
import { CONTENT_CLASSES, CONTENT_NAMES, sumOfTenths } from '../comb/contents.ts';
import { GLOSSARY, glossaryEntry } from './glossary.ts';

const entries = GLOSSARY.flatMap((g) => g.entries);

describe('the glossary', () => {
  it('has one meaning for a word, in sentences', () => {
    const words = entries.flatMap((e) => [e.word, ...(e.also ?? [])].map((w) => w.toLowerCase()));
    expect(words.filter((w, i) => words.indexOf(w) !== i)).toEqual([]);
    expect(entries.filter((e) => !/^[A-Z].*\.$/.test(e.means)).map((e) => e.word)).toEqual([]);
  });

  it('draws whole combs', () => {
    const sums = entries.flatMap(({ comb }) => (comb ? [sumOfTenths(comb)] : []));
    expect(sums.length).toBeGreaterThan(8);
    expect(new Set(sums)).toEqual(new Set([10]));
  });

  it('knows what the combs of the pictures hold, whatever it is called', () => {
    const unknown = CONTENT_CLASSES.map((c) => CONTENT_NAMES[c]).filter((name) => !glossaryEntry(name));
    expect(unknown).toEqual([]);
    expect(glossaryEntry('Nucleus')?.word).toBe('Nuc');
    expect(glossaryEntry('heather')).toBeUndefined();
  });
});
