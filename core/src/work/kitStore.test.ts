import { describe, expect, it } from 'vitest';
import { FULL_BOX, METHOD_DAY, methodPlan, withQueen } from '../testing/methodPlans.ts';
import { againstStore, promisedKit, storeLines, usedUp } from './kitStore.ts';

const UPPER = FULL_BOX.map((f, i) => (i === 3 ? withQueen(f) : f));

/** A kept plan of a nuc, and a store with so many pieces. */
function storeOf(pieces: Readonly<Record<string, number>>) {
  const made = methodPlan('queen-to-nuc', [FULL_BOX, UPPER]);
  const { yard, command } = made;
  yard.run({
    type: 'setKit',
    items: Object.entries(pieces).map(([what, count]) => ({ id: yard.newId(), what, count })),
  });
  yard.run(command);
  const countOf = (what: string) => Object.values(yard.apiary.kit).find((k) => k.what === what)?.count;
  return { ...made, countOf };
}
const NUC_BOX = 'nuc box, 5 frames, with floor and lid';

describe('equipment in the store', () => {
  it('a kit list says what is short, and by how many; what is not counted is not short', () => {
    const { yard, body } = storeOf({ [NUC_BOX]: 0, 'hive tag': 1 });
    const lines = againstStore(yard.apiary, body.kit);
    expect(lines.find((l) => l.what === NUC_BOX)).toMatchObject({ inStore: 0, shortBy: 1 });
    expect(lines.find((l) => l.what === 'hive tag')).toMatchObject({ count: 2, inStore: 1, shortBy: 1 });
    expect(lines.find((l) => l.what === 'stand')).toMatchObject({ inStore: null, shortBy: null });
  });

  it('what another plan will take is not there for this one', () => {
    const { yard, command, body } = storeOf({ [NUC_BOX]: 1 });
    expect(promisedKit(yard.apiary, command.work.id)).toEqual([]);
    const other = promisedKit(yard.apiary, null);
    expect(againstStore(yard.apiary, body.kit, other).find((l) => l.what === NUC_BOX)?.shortBy).toBe(1);
  });

  it('is less by what the work leaves in the yard; tools come home', () => {
    const { yard, command, countOf } = storeOf({ [NUC_BOX]: 3, 'queen cage or clip': 2 });
    for (const s of command.steps) yard.tick(s.id, METHOD_DAY);
    expect([countOf(NUC_BOX), countOf('queen cage or clip')]).toEqual([2, 2]);
    expect(promisedKit(yard.apiary, null)).toEqual([]);
  });

  it('does not fall below nothing', () => {
    const { yard, command, countOf } = storeOf({ [NUC_BOX]: 0 });
    for (const s of command.steps) yard.tick(s.id, METHOD_DAY);
    expect(countOf(NUC_BOX)).toBe(0);
  });

  it('lists what runs out first on top, and the usual things that nobody has counted', () => {
    const { yard } = storeOf({ roof: 9, [NUC_BOX]: 1, 'hive tag': 1 });
    const lines = storeLines(yard.apiary);
    expect(lines[0]).toMatchObject({ what: 'hive tag', count: 1, promised: 2 });
    expect(lines[1]).toMatchObject({ what: NUC_BOX, count: 1, promised: 1 });
    expect(lines.find((l) => l.what === 'floor')).toMatchObject({ count: null, promised: 0 });
  });

  it('counts a kind once', () => {
    const { yard } = storeOf({ roof: 2 });
    const again = { type: 'setKit' as const, items: [{ id: yard.newId(), what: 'roof', count: 4 }] };
    expect(yard.refused(again)).toEqual(['kit-twice at items.0.what']);
  });

  it('combs are counted one by one elsewhere', () => {
    expect(usedUp([{ what: 'frame of drawn comb from the store', count: 4, shortBy: 0 }])).toEqual([]);
  });
});
