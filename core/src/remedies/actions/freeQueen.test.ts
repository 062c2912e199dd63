import { describe, expect, it } from 'vitest';
import { framesInStore, framesOfColony } from '../../records/views.ts';
import type { FrameReading } from '../../comb/contents.ts';
import { unitFacts } from '../unit/unitFacts.ts';
import { NEST, withQueen } from '../../testing/nests.ts';
import { WEAK_DAY, WeakYard } from '../../testing/weakYard.ts';
import { workOfAction } from './actionPlan.ts';
import { freeQueen } from './freeQueen.ts';

/** Works it off, as at the hive. */
function freed(combs: readonly FrameReading[], stored: readonly ('drawn' | 'foundation')[] = []) {
  const yard = new WeakYard(combs, 10);
  const [first] = framesOfColony(yard.apiary, yard.weak);
  if (stored.length > 0) {
    yard.run({
      type: 'addToStore',
      frames: stored.map((blank) => ({
        id: yard.newId(),
        sizeId: first!.frame.sizeId,
        blank,
        combYear: null,
      })),
    });
  }
  const before = framesOfColony(yard.apiary, yard.weak).map((f) => f.frame.id);
  yard.flow(WEAK_DAY);
  const facts = unitFacts(yard.apiary, yard.weak, WEAK_DAY, { coldNights: false });
  const plan = freeQueen(facts);
  const command = workOfAction(yard.apiary, plan, WEAK_DAY, yard.newId);
  yard.run(command);
  for (const step of command.steps) yard.tick(step.id, WEAK_DAY);
  const hanging = framesOfColony(yard.apiary, yard.weak);
  return { yard, plan, before, slot: (n: number) => hanging.find((f) => f.slot === n)!, hanging };
}

// Brood in slots 4 and 5, barred by honey on both sides; empty combs hang at the walls.
const BARRED = [
  NEST.empty(1),
  NEST.honey(5),
  NEST.honey(5),
  withQueen(NEST.open(7)),
  NEST.capped(5),
  NEST.honey(5),
  NEST.honey(5),
  NEST.empty(1),
];

describe('a queen barred by honey', () => {
  it('gets her own empty combs beside her brood; the honey hangs outside', () => {
    const { plan, slot, before, hanging } = freed(BARRED);
    expect(plan.moves).toHaveLength(4);
    for (const beside of [3, 6]) expect(slot(beside).reading?.body.sides[0].contents.drawn).toBe(10);
    for (const outside of [1, 8]) expect(slot(outside).reading?.body.sides[0].contents.honey).toBe(10);
    // Nothing is lost, and her brood has stayed where it was.
    expect(hanging.map((f) => f.frame.id).toSorted((a, b) => a.localeCompare(b))).toEqual(
      before.toSorted((a, b) => a.localeCompare(b)),
    );
    expect(slot(4).reading?.body.queenSeen).toBe(true);
  });

  it('gets drawn combs of the store where she has none; foundation is no room', () => {
    const full = BARRED.slice(1, 7);
    const { yard, plan, hanging } = freed(full, ['foundation', 'drawn', 'drawn']);
    expect(plan.moves.filter((m) => m.to === null)).toHaveLength(2);
    expect(hanging).toHaveLength(full.length);
    expect(framesInStore(yard.apiary).filter((f) => f.blank === 'foundation')).toHaveLength(1);
    expect(framesInStore(yard.apiary)).toHaveLength(3);
  });

  it('keeps two combs of food whatever the store has', () => {
    const { plan } = freed(
      [NEST.honey(5), withQueen(NEST.open(7)), NEST.capped(5), NEST.honey(5)],
      ['drawn', 'drawn'],
    );
    expect(plan.moves).toEqual([]);
    expect(plan.steps.map((s) => s.text)).toContain('Hang two empty drawn combs beside the brood');
  });
});
