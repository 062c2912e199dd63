import { expect, it } from 'vitest';
import { TestYard } from '../../testing/builders.ts';
import { STRONG_BOX } from '../../testing/nests.ts';
import { Draft } from './draft.ts';
import { noteEnded } from './noteEnded.ts';

it('a colony that is no more is named with the day it ended; one that lives, or is unknown, is no matter', () => {
  const yard = new TestYard();
  const colony = yard.hive('A', [STRONG_BOX]);
  const draft = new Draft(yard.apiary);
  noteEnded(draft, colony, ['at'], 'Choose another.');
  noteEnded(draft, undefined, ['at'], 'Choose another.');
  expect(draft.problems).toEqual([]);
  noteEnded(draft, { ...colony, endedOn: '2026-05-15' }, ['at'], 'Choose another.');
  expect(draft.problems).toEqual([
    { code: 'colony-ended', path: ['at'], message: 'A ended on Fri 15 May.', remedy: 'Choose another.' },
  ]);
});
