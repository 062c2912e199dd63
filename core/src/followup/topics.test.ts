import { describe, expect, it } from 'vitest';
import { followUpInShort } from './topics.ts';

describe('a follow-up in one line', () => {
  it('says what is to be done, in its first sentence', () => {
    const cutOff = 'The cut-off: eggs or not, decide today. Without eggs unite both hives again.';
    expect(followUpInShort({ topic: 'act', expect: cutOff })).toBe('The cut-off: eggs or not, decide today');
    const keep = 'Keep one or two of the 3 cells; take the others out. No new ones can be begun.';
    expect(followUpInShort({ topic: 'act', expect: keep })).toBe(
      'Keep one or two of the 3 cells; take the others out',
    );
    expect(followUpInShort({ topic: 'act', expect: 'Feed it.' })).toBe('Feed it');
  });

  it('names every other by its topic', () => {
    expect(followUpInShort({ topic: 'rhythm', expect: 'Look in a week.' })).toBe('Weekly inspection');
    expect(followUpInShort({ topic: 'act', expect: '' })).toBe('To be done');
  });
});
