import { describe, expect, it } from 'vitest';
import first from './samples/apiary-v1-2026-05.json' with { type: 'json' };
import { fromBundle, toBundle } from './bundle.ts';

describe('a file written before photos, excluders and times of day', () => {
  const read = fromBundle(first);

  it('is read whole; what it lacks is what it was: none, or not looked', () => {
    if (!read.ok) throw new Error(read.problems.map((p) => `${p.path.join('.')}: ${p.message}`).join('\n'));
    const { apiary, photoContents } = read.value;
    expect(Object.keys(apiary.frame)).toHaveLength(first.records.frame.length);
    expect(photoContents).toEqual([]);
    expect(apiary.photo).toEqual({});
    expect(Object.values(apiary.operation)[0]!.ownSizes).toEqual([]);
    expect(Object.values(apiary.box).every((b) => !b.excluderBelow)).toBe(true);
    const look = Object.values(apiary.visit).find((v) => v.purpose === 'look')!;
    expect(look).toMatchObject({ time: null, conditions: null, clash: null, unexpected: null });
    expect(look.evidence).toMatchObject({
      eggs: { look: 'found' },
      treatment: { look: 'notLooked' },
      robbing: { look: 'notLooked' },
    });
  });

  it('written anew is a file of today, which is read the same', () => {
    if (!read.ok) throw new Error('not read');
    const again = fromBundle(JSON.parse(JSON.stringify(toBundle(read.value.apiary, []))));
    expect(again.ok && again.value.apiary).toEqual(read.value.apiary);
  });
});
