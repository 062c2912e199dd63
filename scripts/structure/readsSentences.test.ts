import { describe, expect, it } from 'vitest';
import { sentenceReads } from './readsSentences.ts';
import { parseSource, sourcesOf } from './sources.ts';

/** Where text is compared all the same, and why that is no decision. */
const EXCEPTIONS: Readonly<Record<string, string>> = {
  'core/src/formats/versionOne/upgradeWork.ts':
    'Version 1 said only in words what a step is about: they are read for the last time.',
  'core/src/shorthand/frameScanner.ts': 'Shorthand is a language that people write: its letters are read.',
  'web/src/features/ways/WayCard.tsx': 'A sentence that stands above already is not said twice.',
  'web/src/features/yardplan/useBench.ts': 'A sentence that stands above already is not said twice.',
};

const readsIn = (text: string) => sentenceReads(parseSource('core/src/planted.ts', text)).map((r) => r.line);

describe('code never reads its own sentences', () => {
  it.each(['core', 'contract', 'server', 'web'])('in %s', (workspace) => {
    const found = sourcesOf(workspace)
      .flatMap(sentenceReads)
      .filter((r) => !(r.path in EXCEPTIONS));
    expect(found.map((r) => `${r.path}:${r.line}: ${r.code}`)).toEqual([]);
  });

  it('and an exception that is not needed any more is taken off the list', () => {
    const read = new Set(
      ['core', 'contract', 'server', 'web']
        .flatMap(sourcesOf)
        .flatMap(sentenceReads)
        .map((r) => r.path),
    );
    expect(Object.keys(EXCEPTIONS).filter((path) => !read.has(path))).toEqual([]);
  });
});

describe('a planted reading is found:', () => {
  it.each([
    ['the first word of a reason', "if (state.reason.startsWith('Disease')) last();"],
    ['a word within a step', "const carried = step.text.includes('→');"],
    ['a pattern on a step', 'const isQueen = /queen/i.test(step.text);'],
    ['through a chain of calls', "const sick = line?.message.toLowerCase().indexOf('sick') >= 0;"],
    ['two sentences held against each other', 'const same = a.text === b.text;'],
    ['a sentence in a case', "switch (word) { case 'Nuc is full': act(); }"],
    ['a piece of prose anywhere', "const full = whatever === 'Honey-bound nest here';"],
    ['a word taken out of one', "const name = step.text.replace(/^Open /, '');"],
  ])('%s', (_what, text) => {
    expect(readsIn(text)).toEqual([1]);
  });

  it.each([
    ['an id', "if (state.notice.id === 'swarm-cells') act();"],
    ['a tag', "if (step.kind === 'open') begin();"],
    ['a key on the keyboard', "if (e.key === 'Enter') send();"],
    ['an empty field', "if (step.detail === '') hide();"],
    ['an identifier by its beginning', "const own = id.startsWith('own:');"],
  ])('but not %s', (_what, text) => {
    expect(readsIn(text)).toEqual([]);
  });
});
