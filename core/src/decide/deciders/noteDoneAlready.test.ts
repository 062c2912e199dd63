import { expect, it } from 'vitest';
import { Draft } from './draft.ts';
import { kindInWords } from '../../records/kindInWords.ts';
import { emptyApiary } from '../../records/records.ts';
import { noteDoneAlready } from './noteDoneAlready.ts';

it('a step that is ticked twice says when it was ticked, and what to do with the second entry', () => {
  const draft = new Draft(emptyApiary());
  noteDoneAlready(draft, '2026-05-15', ['stepId']);
  expect(draft.problems).toEqual([
    {
      code: 'step-done',
      path: ['stepId'],
      message: 'This step is ticked already, on Fri 15 May.',
      remedy: 'It stands in the records: an entry that waits for it can be thrown away.',
    },
  ]);
});

it('records are called what a beekeeper calls them', () => {
  expect([kindInWords('workStep'), kindInWords('reading'), kindInWords('queen')]).toEqual([
    'step of the work',
    'count of a frame',
    'queen',
  ]);
  const draft = new Draft(emptyApiary());
  draft.need('callOut', 'x', []);
  expect(draft.problems[0]?.message).toBe('There is no break-up on the pad with the id x.');
});
