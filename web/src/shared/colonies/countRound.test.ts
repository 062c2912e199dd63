import { decide } from '@incremen/core/decide';
import { applyChanges, noEvidence } from '@incremen/core/records';
import { TestYard, NEST } from '@incremen/core/testing';
import { describe, expect, it } from 'vitest';
import { countRound, firstCount } from './countRound.ts';

const { capped, honey } = NEST;
const DAY = '2026-05-14';

describe('the first count of a yard', () => {
  it('goes from stand to stand, and is over when each was counted once', () => {
    const yard = new TestYard(5);
    yard.hive('Hive 1', [[honey(8), capped(6, 8)]], DAY);
    const first = countRound(yard.apiary, yard.yardId);
    expect(first).toEqual({ counted: 1, all: 1, next: null });
    // Set up and not counted.
    for (const name of ['Hive 2', 'Hive 3']) {
      const [hiveId, standId, colonyId] = [yard.newId(), yard.newId(), yard.newId()];
      const boxes = [
        {
          id: yard.newId(),
          sizeId: 'langstroth-deep' as const,
          slots: 10,
          role: 'brood' as const,
          frames: [],
        },
      ];
      const hives = [{ hiveId, standId, colonyId, name, boxes }];
      yard.run({ type: 'addHives', yardId: yard.yardId, day: DAY, hives });
    }
    const { counted, all, next } = countRound(yard.apiary, yard.yardId);
    expect([counted, all, next?.name]).toEqual([1, 3, 'Hive 2']);
    expect(firstCount(yard.apiary, yard.yardId, DAY)).toMatchObject({
      say: 'Count Hive 2',
      why: '1 of 3 counted.',
    });
  });

  it('opens no hive in winter: what is known is entered', () => {
    const yard = new TestYard(5);
    yard.hive('Hive 1', [[honey(8), capped(6, 8)]], DAY);
    const frame = Object.fromEntries(
      Object.entries(yard.apiary.frame).map(([id, f]) => [id, { ...f, readingId: null }]),
    );
    const apiary = { ...yard.apiary, reading: {}, visit: {}, frame };
    const asked = firstCount(apiary, yard.yardId, '2026-12-14');
    expect(asked?.say).toBe('Enter what you know of Hive 1');
    expect(asked?.why).toContain('stays shut');
    expect(firstCount(apiary, yard.yardId, DAY)?.say).toBe('Count Hive 1');
    // Shut for another reason: that one is said.
    const [colony] = Object.values(apiary.colony);
    const robbed = decide(apiary, {
      type: 'recordLook',
      followUpId: null,
      day: DAY,
      note: '',
      parts: [
        {
          visitId: yard.newId(),
          colonyId: colony!.id,
          evidence: { ...noEvidence(10), robbing: { look: 'found' } },
        },
      ],
      newIds: Array.from({ length: 12 }, () => yard.newId()),
    });
    if (!robbed.ok) throw new Error(robbed.problems[0]?.message);
    const after = firstCount(applyChanges(apiary, robbed.value), yard.yardId, DAY);
    expect(after?.say).toBe('Enter what you know of Hive 1');
    expect(after?.why).toMatch(/^Robbing: .* is entered with its day\.$/);
  });
});
