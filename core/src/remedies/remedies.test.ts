import { describe, expect, it } from 'vitest';
import { addDays, dayInWords } from '../basics/day.ts';
import { bothSides } from '../comb/contents.ts';
import { queenLane } from '../followup/queenLane.ts';
import { NEST, withQueen } from '../testing/nests.ts';
import { PartYard } from '../testing/partYard.ts';
import { caps, eggs, NO, queen } from '../testing/queenLooks.ts';
import { FULL_OF_BROOD, NO_BROOD, NO_NURSES, WEAK_DAY, WeakYard } from '../testing/weakYard.ts';
import { remediesFor, type RemedyId } from './remedies.ts';
import type { Outside } from './unit/unitFacts.ts';

const MILD: Outside = { coldNights: false };
const COLD: Outside = { coldNights: true };

function judged(yard: WeakYard, outside = MILD, day = WEAK_DAY, on?: string) {
  const found = remediesFor(yard.apiary, yard.weak, day, outside, on);
  const of = (id: RemedyId) => found.remedies.find((r) => r.id === id);
  const [best] = found.remedies;
  return { ...found, of, best, causes: found.causes.map((c) => c.cause) };
}

const laying = (yard: WeakYard) => yard.look(yard.weak, { eggs: eggs(), queen: queen('long') });

describe('remedies for a weak unit', () => {
  it('three of bees on three of brood, cold nights: no brood, but nurses (boost sum, common practice, no source)', () => {
    const yard = new WeakYard(FULL_OF_BROOD);
    laying(yard);
    const { of, causes } = judged(yard, COLD);
    expect(causes).toContain('bees');
    expect(of('boost-brood')?.blocked).toContain('cold nights');
    expect(of('boost-nurses')).toMatchObject({ blocked: null, partner: { name: 'Rowan' } });
    expect(of('boost-nurses')?.bees).toBeGreaterThan(of('watch')?.bees ?? 99);
  });

  it('a queen whose larvae dry out under few bees needs bees, not brood, once disease is ruled out', () => {
    const yard = new WeakYard(NO_NURSES);
    laying(yard);
    const { of, best, facts, causes } = judged(yard);
    expect(causes[0]).toBe('bees');
    expect(of('boost-brood')?.blocked).toContain('Bees first');
    expect(best?.id).toBe('boost-nurses');
    expect(facts.sick).toBe(false);
  });

  it('nothing goes in or out while disease is suspected', () => {
    const yard = new WeakYard(NO_NURSES);
    yard.look(yard.weak, { eggs: eggs(), diseaseSigns: { look: 'found', signs: ['smell'] } });
    const { remedies, causes } = judged(yard);
    expect(causes[0]).toBe('disease');
    expect(remedies.filter((r) => r.blocked === null)).toEqual([]);
  });

  it('a sick colony is nobody’s donor or partner', () => {
    const yard = new WeakYard(NO_NURSES);
    laying(yard);
    for (const name of ['Rowan', 'Bryony']) {
      yard.look(yard.colony(name), { diseaseSigns: { look: 'found', signs: ['ropy'] } });
    }
    const { of } = judged(yard);
    expect(of('boost-nurses')?.blocked).toContain('No healthy colony');
    expect(of('combine')?.blocked).toContain('No healthy colony');
  });

  it('laying workers: neither cell nor queen, but shaken out or united to a strong colony', () => {
    const yard = new WeakYard(NO_BROOD);
    yard.look(yard.weak, {
      eggs: eggs('several', 'walls'),
      cappedBrood: caps('domed', 'scattered'),
      queen: NO,
      mood: 'roaring',
    });
    const { of, best } = judged(yard);
    expect(of('give-queen')?.blocked).toContain('Laying workers');
    expect(of('give-cell')?.blocked).toContain('Laying workers');
    expect(['shake-out', 'combine']).toContain(best?.id);
  });

  it('a drone layer: a mated queen in her place, or a union', () => {
    const yard = new WeakYard(FULL_OF_BROOD);
    yard.look(yard.weak, {
      eggs: eggs('one', 'bottom'),
      cappedBrood: caps('domed', 'compact'),
      queen: queen('slim'),
    });
    const { of, best } = judged(yard);
    expect(of('give-queen')).toMatchObject({ blocked: null });
    expect(of('give-queen')?.why).toContain('taken out first');
    expect(['give-queen', 'combine']).toContain(best?.id);
  });

  it('stands are changed only in a flow', () => {
    const yard = new WeakYard(NO_NURSES);
    laying(yard);
    expect(judged(yard, MILD).of('swap-stands')?.blocked).toContain('Only in a flow');
    yard.flow(WEAK_DAY);
    expect(judged(yard).of('swap-stands')?.blocked).toBeNull();
  });

  it('late in the year a cell is too late; a mated queen or a union are not', () => {
    const yard = new WeakYard(NO_BROOD);
    yard.recount('2026-08-19');
    yard.look(
      yard.weak,
      { eggs: NO, cells: NO, queen: NO, cappedBrood: NO, mood: 'roaring', pollen: NO },
      '2026-08-20',
    );
    const { of } = judged(yard, MILD, '2026-08-20');
    expect(of('give-cell')?.blocked).toContain('too late for winter bees');
    expect(of('combine')?.blocked).toBeNull();
    expect(of('combine')?.moreBees).toBeGreaterThan(0);
  });

  it('a small unit with a compact nest needs time, and is told so', () => {
    const yard = new WeakYard([
      NEST.honey(4),
      withQueen(NEST.open(5, 7)),
      NEST.capped(5, 7),
      bothSides({ drawn: 10 }, 4),
      NEST.honey(4),
    ]);
    yard.look(yard.weak, { eggs: eggs(), cappedBrood: caps('flat', 'compact'), queen: queen('long') });
    yard.flow(WEAK_DAY);
    const { causes, best } = judged(yard);
    expect(causes.at(-1)).toBe('young');
    expect(best?.blocked).toBeNull();
  });

  it('a union is weighed against both staying apart', () => {
    const yard = new WeakYard(NO_BROOD);
    yard.look(yard.weak, { eggs: NO, cells: NO, olderLarvae: NO, cappedBrood: NO, mood: 'roaring' });
    const { of, left } = judged(yard);
    expect(left.colonies).toBeLessThan(0.8);
    expect(of('combine')?.colonies).toBeLessThanOrEqual(1);
    expect(of('combine')?.partner?.name).toMatch(/Rowan|Bryony/);
  });

  it('leaves a unit shut while its virgin matures and flies, and no longer', () => {
    const lostOn = '2026-05-01';
    const yard = new PartYard(lostOn);
    const at = (day: string) => remediesFor(yard.apiary, yard.part, day, MILD).remedies;
    const open = (day: string) =>
      at(day)
        .filter((r) => r.blocked === null)
        .map((r) => r.id);
    const lane = queenLane(yard.apiary, yard.part, lostOn)!;
    expect(open(lane.handsOff.from).toSorted((a, b) => a.localeCompare(b))).toEqual(['let-go', 'watch']);
    expect(open(lane.handsOff.to).toSorted((a, b) => a.localeCompare(b))).toEqual(['let-go', 'watch']);
    expect(at(lane.handsOff.to).find((r) => r.id === 'test-frame')?.blocked).toContain(
      `Hands off until ${dayInWords(lane.handsOff.to)}`,
    );
    expect(open(addDays(lane.handsOff.to, 1))).toContain('combine');
  });
});
