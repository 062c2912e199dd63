import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { atLeast, binomial } from '../odds/index.ts';
import { emptyApiary, newOperation, type Apiary, type Colony } from '../records/index.ts';
import { chanceOfWinter, deadOfLastWinter, ownWinters, WINTER_PRIOR } from './ownWinters.ts';
import { nucsFor, springOdds } from './spares.ts';

/** A chance that is known as well as never in life: the closed form of the binomial holds then. */
const known = (p: number) => ({ well: p * 1e6, ill: (1 - p) * 1e6 });

describe('spares for the winter', () => {
  it('are so many as the binomial says where the chances are known', () => {
    // Four dead for certain, nucs at two in three: six replace them in 68 winters of 100, eight in 91 (the table of the trade).
    const four = { colonies: 4, ofColonies: { well: 1e-9, ill: 1e6 }, ofNucs: known(2 / 3) };
    for (const [nucs, chance] of [
      [6, 0.68],
      [7, 0.83],
      [8, 0.91],
    ] as const)
      expect(springOdds({ ...four, nucs }).replaced).toBeCloseTo(chance, 2);
    expect(nucsFor(0.9, four)).toBe(8);
    // The average alone, four by two thirds, would have said six.
    expect(nucsFor(0.5, four)).toBe(6);
  });

  it('agree with adding up every case by hand', () => {
    const odds = springOdds({ colonies: 3, nucs: 2, ofColonies: known(0.8), ofNucs: known(0.75) });
    let byHand = 0;
    binomial(3, 0.2).forEach((p, dead) => (byHand += p * atLeast(binomial(2, 0.75), dead)));
    expect(odds.replaced).toBeCloseTo(byHand, 4);
    expect(odds.alive.reduce((s, p, k) => s + k * p, 0)).toBeCloseTo(3 * 0.8 + 2 * 0.75, 3);
  });

  it('never fall with one nuc more, and never rise with one colony more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 0, max: 20 }),
        fc.double({ min: 0.5, max: 30, noNaN: true }),
        fc.double({ min: 0.5, max: 30, noNaN: true }),
        (colonies, nucs, well, ill) => {
          const of = { ofColonies: { well, ill }, ofNucs: { well, ill } };
          const { replaced } = springOdds({ colonies, nucs, ...of });
          expect(springOdds({ colonies, nucs: nucs + 1, ...of }).replaced).toBeGreaterThanOrEqual(
            replaced - 1e-9,
          );
          expect(springOdds({ colonies: colonies + 1, nucs, ...of }).replaced).toBeLessThanOrEqual(
            replaced + 1e-9,
          );
        },
      ),
      { numRuns: 60 },
    );
  });

  it('say that no number will do where nucs do not live', () => {
    expect(
      nucsFor(0.9, { colonies: 10, ofColonies: known(0.5), ofNucs: { well: 1e-9, ill: 1e6 } }),
    ).toBeNull();
    expect(nucsFor(0.9, { colonies: 0, ofColonies: known(0.5), ofNucs: known(0.5) })).toBe(0);
  });
});

describe('one’s own winters', () => {
  let n = 0;
  const colony = (startedOn: string, more: Partial<Colony> = {}): Colony => ({
    id: `00000000-0000-4000-8000-${String(++n).padStart(12, '0')}`,
    name: `C${n}`,
    hiveId: null,
    startedOn,
    endedOn: null,
    origin: { how: 'entered' },
    separation: null,
    end: null,
    broodGiven: [],
    ...more,
  });
  const ended = (endedOn: string, how: 'dead' | 'sold'): Partial<Colony> => ({
    endedOn,
    end: { v: 1, how, cause: how === 'dead' ? 'unknown' : null, words: '' },
  });
  const apiary = (colonies: readonly Colony[], hemisphere: 'north' | 'south' = 'north'): Apiary => ({
    ...emptyApiary(),
    operation: { o: newOperation('o', 'Mine', { hemisphere }) },
    colony: Object.fromEntries(colonies.map((c) => [c.id, c])),
  });

  it('count who lived and who died, young ones apart, and leave out who was sold', () => {
    const here = apiary([
      colony('2024-04-01'),
      colony('2024-04-01', ended('2025-01-20', 'dead')),
      colony('2024-04-01', ended('2024-12-01', 'sold')),
      colony('2024-06-01', { origin: { how: 'made', fromColonyId: null } }),
      colony('2024-06-01', { origin: { how: 'made', fromColonyId: null }, ...ended('2025-02-01', 'dead') }),
      // Dead in summer, and not there yet: neither says anything of a winter.
      colony('2023-11-05', ended('2024-07-01', 'dead')),
      colony('2025-05-01'),
    ]);
    expect(ownWinters(here, '2025-05-15')).toEqual({
      grown: { lived: 1, died: 1 },
      young: { lived: 1, died: 1 },
    });
    // The winter that is not over counts nobody yet.
    expect(ownWinters(here, '2025-02-15').grown).toEqual({ lived: 0, died: 0 });
    expect(deadOfLastWinter(here, '2025-03-20').map((c) => c.endedOn)).toEqual(['2025-01-20', '2025-02-01']);
    expect(deadOfLastWinter(here, '2026-01-20')).toEqual([]);
  });

  it('lie half a year apart in the south', () => {
    const there = apiary([colony('2024-01-01', ended('2024-07-10', 'dead')), colony('2024-01-01')], 'south');
    expect(ownWinters(there, '2024-10-15').grown).toEqual({ lived: 1, died: 1 });
    expect(deadOfLastWinter(there, '2024-10-15')).toHaveLength(1);
  });

  it('outweigh what is taken for granted as they gather', () => {
    expect(chanceOfWinter('grown', { lived: 0, died: 0 })).toEqual(WINTER_PRIOR.grown);
    const { well, ill } = chanceOfWinter('grown', { lived: 30, died: 30 });
    expect(well / (well + ill)).toBeGreaterThan(0.5);
    expect(well / (well + ill)).toBeLessThan(0.6);
  });
});
