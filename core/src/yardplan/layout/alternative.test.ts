import { describe, expect, it } from 'vitest';
import { framesInStore } from '../../records/views.ts';
import { generatedYards } from '../../testing/generatedYards.ts';
import { fiveFrames, nucs, planned, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { DEFAULT_HOUSE_RULES } from '../../rules/houseRules.ts';
import { alternativeOf } from './alternative.ts';
import { evaluate } from '../search/evaluate.ts';
import { layOutYard } from './layOutYard.ts';

const apiary = generatedYards({ colonies: 6, seed: 12 });
const beside = (queen: 'raises' | 'cell' | 'mated') => {
  const problem = problemOf(apiary, requestFor(apiary, [nucs(2, fiveFrames({ queen }))]));
  return alternativeOf(problem, evaluate(problem, planned(problem, 1).plan));
};

describe('plans side by side', () => {
  it('count colonies, boxes and queens, and what they cost', () => {
    const own = beside('raises');
    const mated = beside('mated');
    const rules = DEFAULT_HOUSE_RULES;
    expect(own).toMatchObject({ nucs: 2, coloniesAfter: 8, boxesNeeded: 2, queensBought: 0 });
    expect(own.cost).toBe(2 * rules.priceNucBox);
    expect(mated).toMatchObject({ nucs: 2, queensBought: 2, cellsNeeded: 0 });
    expect(mated.cost).toBe(2 * rules.priceNucBox + 2 * rules.priceMatedQueen);
    expect(beside('cell').cost).toBe(2 * rules.priceNucBox + 2 * rules.priceQueenCell);
    // A mated queen is likelier to lay than one that has to mate.
    expect(mated.queensExpected).toBeGreaterThan(own.queensExpected);
    expect(own.leastBees).toBeGreaterThanOrEqual(rules.minBeesNewPart);
    expect(own.honeyGivenUpKg).toBeGreaterThan(0);
  });
});

describe('the order of frames', () => {
  it('stays as it is when that is asked for', () => {
    const problem = problemOf(apiary, requestFor(apiary, [nucs(2)], { order: 'keep' }));
    const { plan } = planned(problem, 1);
    const laid = layOutYard(problem, plan, evaluate(problem, plan), framesInStore(apiary));
    for (const unit of problem.units.filter((u) => u.kind === 'colony')) {
      for (const box of unit.boxes) {
        const own = (laid.units[unit.index] ?? [])
          .filter((l) => l.boxId === box.id && !l.isNew && l.frame.boxId === box.id)
          .toSorted((a, b) => a.slot - b.slot)
          .map((l) => l.frame.slot);
        expect(own).toEqual(own.toSorted((a, b) => a - b));
      }
    }
  });
});
