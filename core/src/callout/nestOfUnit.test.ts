import { describe, expect, it } from 'vitest';
import { combOf, nestFaults } from '../nest/index.ts';
import { NEST } from '../testing/nests.ts';
import { fiveFrames } from '../testing/yardRequests.ts';
import type { CallOutBody, CallUnit } from '../records/bodies/callOut.ts';
import type { FrameReading } from '../comb/contents.ts';
import { nestOfUnit, untidyUnits } from './nestOfUnit.ts';

// How a nest hangs: common practice, no source.

const unit = { key: 'n1', name: 'Nuc 1', fromSlot: 1, recipe: fiveFrames(), closed: false } as CallUnit;

/** Frames as they were called, by slot. */
const body = (frames: readonly (readonly [slot: number, reading: FrameReading])[]): CallOutBody =>
  ({
    units: [unit],
    givers: [],
    queens: [],
    calls: frames.map(([slot, reading], i) => ({
      id: `c${i}`,
      frameId: `f${i}`,
      giverId: 'g',
      reading,
      to: { at: 'unit', key: 'n1', slot },
    })),
  }) as unknown as CallOutBody;

describe('a unit that was filled frame by frame', () => {
  const mixed = body([
    [3, NEST.capped()],
    [5, NEST.honey()],
    [1, NEST.open()],
    [4, NEST.empty()],
  ]);

  it('hangs as a nest when all is called, whatever order it was called in', () => {
    const nest = nestOfUnit(mixed, unit);
    const hung = mixed.calls.map((c) => ({ comb: combOf(c.id, c.reading), slot: nest.get(c.id) ?? 0 }));
    expect(new Set(hung.map((h) => h.slot)).size).toBe(4);
    expect(nestFaults(hung, [1, 2, 3, 4, 5], 3)).toEqual([]);
  });

  it('says which frames change places, and nothing where they hang well', () => {
    const [first] = untidyUnits(mixed);
    expect(first?.unit.name).toBe('Nuc 1');
    expect(first?.order.some((o) => o.slot !== o.was)).toBe(true);
    const well = body([
      [1, NEST.honey()],
      [2, NEST.open()],
      [3, NEST.capped()],
      [4, NEST.empty()],
    ]);
    expect(untidyUnits(well)).toEqual([]);
  });
});
