import { describe, expect, it } from 'vitest';
import { FULL_BOX, methodPlan } from '../testing/methodPlans.ts';
import { stepBoxes } from './stepBoxes.ts';

describe('the small picture of a step', () => {
  const { yard, command } = methodPlan('queen-to-nuc', [FULL_BOX, FULL_BOX]);
  const pictures = (task: string) =>
    command.steps.filter((s) => s.task === task).map((s) => stepBoxes(yard.apiary, command.work, s));

  it('of a comb that is carried shows the slot it leaves and the slot it gets', () => {
    const carried = pictures('carry');
    expect(carried.length).toBeGreaterThan(2);
    for (const boxes of carried) {
      expect(boxes.map((b) => [b.out.length, b.into.length])).toEqual([
        [1, 0],
        [0, 1],
      ]);
      expect(boxes[1]?.slots).toBe(5);
    }
  });

  it('of combs that slide shows one box, as many slots left as taken', () => {
    for (const boxes of pictures('slide')) {
      expect(boxes).toHaveLength(1);
      expect(boxes[0]?.out.length).toBe(boxes[0]?.into.length);
    }
  });

  it('of a step about no comb there is none', () => {
    expect(pictures('find-queen').flat()).toEqual([]);
  });
});
