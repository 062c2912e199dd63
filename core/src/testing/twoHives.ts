import { bothSides } from '../comb/contents.ts';
import { newQueen } from '../records/kinds/queen.ts';
import type { Colony } from '../records/records.ts';
import { TestYard } from './builders.ts';

const brood = bothSides({ eggs: 1, open: 2, capped: 4, honey: 2, beeBread: 1 }, 8);
export const honey = bothSides({ honey: 8, beeBread: 1, drawn: 1 }, 5);

/** Two counted hives in one yard, and a second yard, for tests of what happens to them. */
export function twoHives() {
  const yard = new TestYard();
  const heather = yard.hive('Heather', [[honey, brood, brood, honey]]);
  const bracken = yard.hive('Bracken', [[honey, brood, honey]]);
  const ids = (n: number) => Array.from({ length: n }, yard.newId);
  const away = yard.newId();
  yard.run({ type: 'addYard', yard: { id: away, name: 'Away', note: '' } });
  const queen = (colony: Colony, name: string) => {
    const id = yard.newId();
    yard.run({
      type: 'putQueen',
      queen: newQueen({ id, name, mating: 'mated', whereabouts: { known: 'colony', colonyId: colony.id } }),
    });
    return id;
  };
  return { yard, heather, bracken, ids, away, queen };
}
