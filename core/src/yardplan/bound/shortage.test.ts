import loadSolver from 'highs';
import { describe, expect, it } from 'vitest';
import { generatedYards } from '../../testing/generatedYards.ts';
import { fiveFrames, nucs, problemOf, requestFor } from '../../testing/yardRequests.ts';
import { evaluate } from '../search/evaluate.ts';
import { proveYard } from './proveYard.ts';
import { shortageOf } from './shortage.ts';

async function shortOf(count: number | null, recipe = fiveFrames(), colonies = 4, drawn = 20) {
  const solver = await loadSolver();
  const apiary = generatedYards({ colonies, seed: 3, drawn });
  return shortageOf(problemOf(apiary, requestFor(apiary, [nucs(count, recipe)])), solver);
}

describe('what is missing for all that is asked for', () => {
  it('is nothing where there is enough', async () => {
    expect(await shortOf(1)).toEqual([]);
  });

  it('is nothing where as many as possible are asked for', async () => {
    expect(await shortOf(null)).toEqual([]);
  });

  it('grows with what is asked for, largest first', async () => {
    const total = (list: Awaited<ReturnType<typeof shortOf>>) => list.reduce((n, s) => n + s.missing, 0);
    const [some, many] = [await shortOf(12), await shortOf(24)];
    expect(total(many)).toBeGreaterThan(total(some));
    expect(many.map((s) => s.missing)).toEqual(many.map((s) => s.missing).toSorted((a, b) => b - a));
    for (const s of many) expect(s.missing).toBeGreaterThanOrEqual(0.1);
  });

  it('names combs of honey when the recipe wants more than there are', async () => {
    const short = await shortOf(6, fiveFrames({ slots: 8, storesCombs: 5 }), 5);
    expect(short.map((s) => s.what)).toContain('combs of honey');
  });

  it('says one of a thing as one, and more as more', async () => {
    const short = [...(await shortOf(4, fiveFrames(), 1, 4)), ...(await shortOf(2, fiveFrames(), 1, 4))];
    const [ones, more] = [true, false].map((one) =>
      short.filter((s) => (s.missing === 1) === one).map((s) => s.unit),
    );
    expect(ones).toEqual(['comb of honey', 'frame of brood']);
    expect(more).toContain('frames of bees');
  });

  it('names the limit of hives when it is all that is in the way', async () => {
    const solver = await loadSolver();
    const apiary = generatedYards({ colonies: 8, seed: 3 });
    const shortWith = (hives: number | null) =>
      shortageOf(
        problemOf(apiary, requestFor(apiary, [nucs(4)], { limits: { hives, frames: null } })),
        solver,
      );
    expect(shortWith(null)).toEqual([]);
    const [first, ...more] = shortWith(1);
    expect(more).toEqual([]);
    expect(first?.what).toBe('hives opened');
    expect(first?.missing).toBeGreaterThanOrEqual(1);
    expect(first?.unit).toMatch(/^hives? to open beyond the limit that you have set$/);
  });

  it('names the limit of frames as well', async () => {
    const solver = await loadSolver();
    const apiary = generatedYards({ colonies: 8, seed: 3 });
    const limits = { hives: null, frames: 9 };
    const problem = problemOf(apiary, requestFor(apiary, [nucs(4)], { limits }));
    const [first, ...more] = shortageOf(problem, solver);
    expect(more).toEqual([]);
    expect(first).toMatchObject({
      what: 'frames carried',
      unit: 'frames to carry beyond the limit that you have set',
    });
    // Four nucs by the recipe need three combs each at least from hives.
    expect(first?.missing).toBeGreaterThanOrEqual(3);
    // The proof keeps to the limit too.
    const { better, mostNucs } = proveYard(problem, solver, 'thorough');
    const seen = better && evaluate(problem, better.plan);
    expect(seen?.broken).toEqual([]);
    expect(seen?.combsCarried).toBeLessThanOrEqual(9);
    expect(seen?.nucsMade).toBe(mostNucs);
  });

  it('names a donor when no colony has that frame size', async () => {
    const short = await shortOf(1, fiveFrames({ sizeId: 'zander' }));
    expect(short).toEqual([
      { what: 'a colony that can give', missing: 1, unit: 'colony above its floors, of that frame size' },
    ]);
  });
});
