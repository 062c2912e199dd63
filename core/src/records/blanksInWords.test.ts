import { expect, it } from 'vitest';
import { blanksInWords } from './blanksInWords.ts';

it('combs of the store are said by what they are, drawn ones first', () => {
  const combs = (drawn: number, foundation: number) => [
    ...Array.from({ length: foundation }, () => ({ blank: 'foundation' as const })),
    ...Array.from({ length: drawn }, () => ({ blank: 'drawn' as const })),
  ];
  expect([combs(3, 1), combs(2, 0), combs(0, 4), []].map(blanksInWords)).toEqual([
    '3 drawn, 1 foundation',
    '2 drawn',
    '4 foundation',
    '',
  ]);
});
