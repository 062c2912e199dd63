import { describe, expect, it } from 'vitest';
import { addDays, type Day } from '../basics/index.ts';
import { NEST } from '../testing/nests.ts';
import { TestYard } from '../testing/builders.ts';
import type { ScaleHour } from '../weather/index.ts';
import { flowOn } from './flowOn.ts';
import { flowsByScale } from './flowsByScale.ts';

const FROM = '2026-05-10';
const TODAY = '2026-05-17';

/** Weights at every midnight and noon, half of each day's gain by noon. */
function weighed(hive: string, gains: readonly number[], from: Day = FROM): ScaleHour[] {
  let kg = 40;
  return gains.flatMap((gain, i) => {
    const day = addDays(from, i);
    const hours = [
      { time: `${day}T00:00`, hive, weightKg: kg },
      { time: `${day}T12:00`, hive, weightKg: kg + gain / 2 },
    ];
    kg += gain;
    return hours;
  });
}
const DRY = [-0.1, -0.1, -0.1, -0.1, -0.1, -0.1, -0.1, -0.1];
const FLOWS = [-0.1, -0.1, -0.1, -0.1, 0.8, 1, 1.2, 1];

function strongYard() {
  const yard = new TestYard();
  // Ten frames full of bees.
  yard.hive('Sorrel', [Array.from({ length: 10 }, () => NEST.open(4, 10))], FROM);
  const here = () => yard.apiary.yard[yard.yardId];
  const say = (hours: readonly ScaleHour[], day = TODAY) => {
    const said = flowsByScale(yard.apiary, hours, day);
    for (const command of said) yard.run(command);
    return said;
  };
  return { yard, here, say };
}

describe('a scale', () => {
  it('notes a flow with what a strong colony gains, and its end', () => {
    const { here, say } = strongYard();
    expect(say(weighed('Sorrel', DRY))).toEqual([]);
    expect(say(weighed('sorrel', FLOWS))).toMatchObject([{ what: 'begins', day: '2026-05-15', by: 'scale' }]);
    const kg = flowOn(here(), TODAY)?.kgPerDay ?? 0;
    // About 1 kg of nectar a day is some 0.7 kg of honey, for about ten frames of bees.
    expect(kg).toBeGreaterThan(0.4);
    expect(kg).toBeLessThan(0.9);
    // Once is enough.
    expect(say(weighed('Sorrel', FLOWS))).toEqual([]);
    expect(say(weighed('Sorrel', [...FLOWS, ...DRY]), '2026-05-25')).toMatchObject([{ what: 'ends' }]);
    expect(flowOn(here(), '2026-05-25')).toBeNull();
    expect(flowOn(here(), '2026-05-20')?.by).toBe('scale');
  });

  it('leaves alone what the keeper has said', () => {
    const said = strongYard();
    said.yard.flow('2026-05-12');
    expect(said.say(weighed('Sorrel', FLOWS))).toEqual([]);
    expect(said.say(weighed('Sorrel', DRY))).toEqual([]);
    const over = {
      type: 'noteFlow',
      yardId: said.yard.yardId,
      what: 'ends',
      by: 'keeper',
      kgPerDay: null,
    } as const;
    said.yard.run({ ...over, day: '2026-05-16' });
    expect(said.say(weighed('Sorrel', FLOWS))).toEqual([]);
    // A week later it may speak again.
    expect(said.say(weighed('Sorrel', FLOWS, '2026-05-20'), '2026-05-27')).toHaveLength(1);
  });

  it('says nothing of a hive that is not on record, nor of days long past; two scales are told apart', () => {
    const { say } = strongYard();
    expect(say(weighed('Tansy', FLOWS))).toEqual([]);
    expect(say(weighed('Sorrel', FLOWS), '2026-05-25')).toEqual([]);
    // The other hive stands ten kilograms higher: their hours lie between each other and make no flow.
    const other = weighed('Tansy', DRY).map((h) => ({ ...h, weightKg: h.weightKg + 1.5 }));
    expect(say([...weighed('Sorrel', DRY), ...other])).toEqual([]);
  });
});

describe('a flow on record', () => {
  it('is refused inside another, before its beginning, and where there is none to end', () => {
    const { yard } = strongYard();
    const note = { type: 'noteFlow', yardId: yard.yardId, by: 'keeper', kgPerDay: null } as const;
    expect(yard.refused({ ...note, what: 'ends', day: TODAY })).toEqual(['no-flow at ']);
    yard.run({ ...note, what: 'begins', day: '2026-05-10' });
    expect(yard.refused({ ...note, what: 'ends', day: '2026-05-09' })).toEqual(['window-reversed at day']);
    yard.run({ ...note, what: 'ends', day: '2026-05-15' });
    expect(yard.refused({ ...note, what: 'begins', day: '2026-05-12' })).toEqual(['flow-overlaps at day']);
    yard.run({ ...note, what: 'begins', day: TODAY });
    // Taken back on the same day, nothing is left of it.
    yard.run({ ...note, what: 'ends', day: TODAY });
    expect(yard.apiary.yard[yard.yardId]?.season?.flows).toEqual([
      { from: '2026-05-10', to: '2026-05-14', by: 'keeper', kgPerDay: null },
    ]);
  });
});
