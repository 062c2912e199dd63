import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { joinStoreys } from './joinStoreys.ts';
import { roleOf, type NestComb } from './nestComb.ts';

const NOTHING = { brood: 0, beeBread: 0, stores: 0, drawn: 0, foundation: 0, liveCells: 0 };
const MADE: Readonly<Record<string, Partial<NestComb>>> = {
  b: { brood: 0.6, stores: 0.3 },
  p: { beeBread: 0.4, stores: 0.4 },
  h: { stores: 0.9 },
  d: { drawn: 1 },
  f: { foundation: 1 },
};
/** A storey in letters: b brood, p bread (pollen), h honey, d drawn, f foundation. */
const storey = (letters: string, name: string) =>
  letters.split('').map((l, i): NestComb => ({ ...NOTHING, ...MADE[l], id: `${name}${i + 1}${l}` }));
const ids = (combs: readonly NestComb[]) => combs.map((c) => c.id).join(' ');

describe('two storeys in one wide box (common practice, no source)', () => {
  it('five over five: brood of both in the middle, bread next, honey to the walls', () => {
    const lower = storey('pbbbh', 'L');
    const upper = storey('hbbph', 'U');
    expect(ids(joinStoreys([lower, upper]))).toBe('U1h L1p L2b L3b L4b U2b U3b U4p L5h U5h');
  });

  it('an upper storey of honey alone goes to both walls', () => {
    expect(ids(joinStoreys([storey('pbbbd', 'L'), storey('hhhh', 'U')]))).toBe(
      'U1h U2h L1p L2b L3b L4b L5d U3h U4h',
    );
  });

  it('one storey stays as it hangs', () => {
    const one = storey('hpbbdh', 'A');
    expect(joinStoreys([one])).toEqual(one);
  });

  it('loses no comb, keeps the brood of all together and each storey in its order', () => {
    const anyStorey = fc.string({
      unit: fc.constantFrom('b', 'p', 'h', 'd', 'f'),
      minLength: 1,
      maxLength: 6,
    });
    fc.assert(
      fc.property(fc.array(anyStorey, { minLength: 1, maxLength: 3 }), (letters) => {
        const storeys = letters.map((l, i) => storey(l, `${i}:`));
        const row = joinStoreys(storeys);
        expect(row.map((c) => c.id).toSorted()).toEqual(
          storeys
            .flat()
            .map((c) => c.id)
            .toSorted(),
        );
        for (const s of storeys) expect(row.filter((c) => s.includes(c))).toEqual(s);
        // Between two combs of brood stands only what stood between them before.
        const first = row.findIndex((c) => roleOf(c) === 'brood');
        const last = row.findLastIndex((c) => roleOf(c) === 'brood');
        for (const c of first < 0 ? [] : row.slice(first, last + 1)) {
          const own = storeys.find((s) => s.includes(c)) ?? [];
          const at = own.indexOf(c);
          const around = [own.slice(0, at + 1), own.slice(at)];
          expect(around.every((side) => side.some((d) => roleOf(d) === 'brood'))).toBe(true);
        }
      }),
    );
  });
});
