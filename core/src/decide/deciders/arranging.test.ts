import { describe, expect, it } from 'vitest';
import { bothSides } from '../../comb/contents.ts';
import { TestYard } from '../../testing/builders.ts';
import type { CommandOf } from '../../records/commands.ts';
import { boxesOfHive, framesOfColony } from '../../records/views.ts';

const brood = bothSides({ open: 2, capped: 4, honey: 4 }, 6);
type Arranged = CommandOf<'arrangeHive'>['boxes'][number];

function yardOf() {
  const yard = new TestYard();
  const colony = yard.hive('A', [[brood, brood], [brood]]);
  const hiveId = colony.hiveId ?? '';
  const stand = (): Arranged[] =>
    boxesOfHive(yard.apiary, hiveId).map((b) => ({
      id: b.id,
      role: b.role,
      excluderBelow: b.excluderBelow,
      chambers: b.chambers,
      fresh: null,
    }));
  const arrange = (boxes: Arranged[]): CommandOf<'arrangeHive'> => ({ type: 'arrangeHive', hiveId, boxes });
  return { yard, colony, stand, arrange, hiveId };
}

describe('how a hive stands', () => {
  it('turns boxes over, puts an excluder in and a fresh super on, frames and all', () => {
    const { yard, colony, stand, arrange, hiveId } = yardOf();
    const [lower, upper] = stand() as [Arranged, Arranged];
    const fresh: Arranged = {
      id: yard.newId(),
      role: 'super',
      excluderBelow: true,
      chambers: [{ colonyId: colony.id, fromSlot: 1, toSlot: 8 }],
      fresh: {
        sizeId: 'langstroth-medium',
        slots: 8,
        frames: [{ id: yard.newId(), slot: 1, blank: 'foundation', combYear: null }],
      },
    };
    yard.run(arrange([upper, lower, fresh]));
    const boxes = boxesOfHive(yard.apiary, hiveId);
    expect(boxes.map((b) => [b.id, b.excluderBelow])).toEqual([
      [upper.id, false],
      [lower.id, false],
      [fresh.id, true],
    ]);
    expect(framesOfColony(yard.apiary, colony)).toHaveLength(4);
  });

  it('a box that is left out goes into the store with its frames, and can come back', () => {
    const { yard, colony, stand, arrange, hiveId } = yardOf();
    const [lower, upper] = stand() as [Arranged, Arranged];
    yard.run(arrange([lower]));
    expect(yard.apiary.box[upper.id]!.hiveId).toBeNull();
    expect(Object.values(yard.apiary.frame)).toHaveLength(3);
    expect(framesOfColony(yard.apiary, colony)).toHaveLength(2);
    yard.run(arrange([lower, upper]));
    expect(boxesOfHive(yard.apiary, hiveId)).toHaveLength(2);
  });

  it.each<[string, (b: Arranged[], yard: TestYard) => Arranged[], string]>([
    [
      'a colony without a box',
      ([lower]) => [{ ...lower!, chambers: [{ colonyId: null, fromSlot: 1, toSlot: 10 }] }],
      'colony-without-box at boxes',
    ],
    [
      'chambers that leave a gap',
      ([lower]) => [{ ...lower!, chambers: [{ ...lower!.chambers[0]!, fromSlot: 2 }] }],
      'chambers-gap at boxes.0.chambers.0.fromSlot',
    ],
    [
      'chambers that end early',
      ([lower]) => [{ ...lower!, chambers: [{ ...lower!.chambers[0]!, toSlot: 9 }] }],
      'chambers-gap at boxes.0.chambers',
    ],
    [
      'a chamber for a colony of another hive',
      ([lower], yard) => [
        lower!,
        {
          ...lower!,
          id: Object.values(yard.apiary.box)[1]!.id,
          chambers: [{ colonyId: yard.newId(), fromSlot: 1, toSlot: 10 }],
        },
      ],
      'colony-elsewhere at boxes.1.chambers.0.colonyId',
    ],
    ['a box named twice', ([lower]) => [lower!, lower!], 'box-twice at boxes.1.id'],
    [
      'a box that there is not',
      ([lower], yard) => [lower!, { ...lower!, id: yard.newId() }],
      'unknown-id at boxes.1.id',
    ],
  ])('refuses %s', (_what, change, problem) => {
    const { yard, stand, arrange } = yardOf();
    expect(yard.refused(arrange(change(stand(), yard)))).toContain(problem);
  });

  it('refuses a box that stands on another hive', () => {
    const { yard, stand, arrange } = yardOf();
    const other = yard.hive('B', [[brood]]);
    const [box] = boxesOfHive(yard.apiary, other.hiveId ?? '');
    const taken: Arranged = {
      id: box!.id,
      role: 'brood',
      excluderBelow: false,
      chambers: box!.chambers,
      fresh: null,
    };
    expect(yard.refused(arrange([...stand(), taken]))).toContain('box-elsewhere at boxes.2.id');
  });
});
