import { describe, expect, it } from 'vitest';
import { colonyState } from '../../colony/colonyState.ts';
import { bothSides, shareOf, type FrameReading } from '../../comb/contents.ts';
import { noEvidence, type Evidence } from '../../records/bodies/evidence.ts';
import { TestYard } from '../../testing/builders.ts';
import type { CommandOf } from '../../records/commands.ts';
import { PHOTO_LIMITS } from '../../records/records.ts';
import { framesOfColony, sharedFramesOf, visitsOf } from '../../records/views.ts';

const brood = bothSides({ eggs: 1, open: 2, capped: 4, honey: 3 }, 6);
const honey = bothSides({ honey: 8, drawn: 2 }, 4);
const DAY = '2026-05-12';

function yardOf() {
  const yard = new TestYard();
  yard.hive('A', [[honey, brood]]);
  return yard;
}

function count(
  yard: TestYard,
  change: Partial<CommandOf<'recordCount'>> = {},
  body: FrameReading = brood,
): CommandOf<'recordCount'> {
  const colony = yard.colony('A');
  return {
    type: 'recordCount',
    visitId: yard.newId(),
    colonyId: colony.id,
    day: DAY,
    note: '',
    readings: framesOfColony(yard.apiary, colony).map((f) => ({
      id: yard.newId(),
      frameId: f.frame.id,
      body: body as never,
      replaces: f.frame.readingId,
    })),
    ...change,
  };
}
const bodies = (yard: TestYard) => framesOfColony(yard.apiary, yard.colony('A')).map((f) => f.reading!.body);

describe('two devices count one hive', () => {
  it('the later of the day stands, whichever arrives first; both are kept and the clash is noted', () => {
    const late = yardOf();
    const early = yardOf();
    // The same two counts, made from the same state, arrive in either order.
    for (const [yard, order] of [
      [late, ['09:30', '11:15']],
      [early, ['11:15', '09:30']],
    ] as const) {
      const both = order.map((time) => count(yard, { time }, time === '11:15' ? brood : honey));
      for (const c of both) yard.run(c);
      expect(bodies(yard)).toEqual([brood, brood]);
      const [later, first] = visitsOf(yard.apiary, yard.colony('A').id);
      expect([later!.time, first!.time]).toEqual(['11:15', '09:30']);
      const noted = [later!, first!].filter((v) => v.clash);
      expect(noted).toHaveLength(1);
      expect(noted[0]!.clash).toMatchObject({
        frames: 2,
        stands: noted[0]!.time === '11:15' ? 'this' : 'other',
      });
      expect(Object.keys(yard.apiary.reading)).toHaveLength(6);
    }
  });

  it('a count that knew of the other one is a correction, no clash', () => {
    const yard = yardOf();
    yard.run(count(yard, { time: '09:30' }, honey));
    yard.run(count(yard, { time: '09:40' }, brood));
    expect(visitsOf(yard.apiary, yard.colony('A').id).every((v) => v.clash === null)).toBe(true);
  });

  it('counts of different days are history, no clash', () => {
    const yard = yardOf();
    const other = count(yard, { day: '2026-05-11' }, honey);
    yard.run(count(yard));
    yard.run(other);
    expect(bodies(yard)).toEqual([brood, brood]);
    expect(visitsOf(yard.apiary, yard.colony('A').id).every((v) => v.clash === null)).toBe(true);
  });
});

describe('what is seen besides frames', () => {
  const saw = (change: Partial<Evidence>) => ({ ...noEvidence(2), ...change });

  it('may come without a frame, and nothing at all is refused', () => {
    const yard = yardOf();
    expect(yard.refused(count(yard, { readings: [] }))).toEqual(['nothing-counted at readings']);
    expect(yard.refused(count(yard, { readings: [], evidence: noEvidence(2) }))).toEqual([
      'nothing-counted at readings',
    ]);
    expect(yard.refused(count(yard, { readings: [], evidence: saw({ mood: 'calm' }) }))).toEqual([]);
  });

  it('is filled up with what the frames show, and never says that nobody found what nobody looked for', () => {
    const yard = yardOf();
    const c = count(
      yard,
      { evidence: saw({ pollen: { look: 'found' } }) },
      { ...brood, cells: [{ kind: 'cup', count: 2 }] },
    );
    yard.run(c);
    expect(yard.apiary.visit[c.visitId]!.evidence).toMatchObject({
      framesRead: 2,
      eggs: { look: 'found' },
      olderLarvae: { look: 'found' },
      cells: { look: 'found', cells: [{ kind: 'cup', count: 4 }] },
      youngLarvae: { look: 'notLooked' },
      robbing: { look: 'notLooked' },
    });
    const without = count(yard, { day: '2026-05-13', evidence: saw({ pollen: { look: 'found' } }) }, honey);
    yard.run(without);
    expect(yard.apiary.visit[without.visitId]!.evidence!.eggs).toEqual({ look: 'notLooked' });
  });

  it('that says the opposite of a frame is refused and shown', () => {
    const yard = yardOf();
    expect(yard.refused(count(yard, { evidence: saw({ eggs: { look: 'notFound' } }) }))).toEqual([
      'says-both at evidence.eggs',
    ]);
  });

  it('settles where the queen is when she was known to be in one of several', () => {
    const yard = yardOf();
    yard.hive('B', [[brood]]);
    const ids = [yard.colony('A').id, yard.colony('B').id];
    const queen = {
      id: yard.newId(),
      name: null,
      birthYear: null,
      dot: null,
      mating: 'mated' as const,
      whereabouts: { known: 'oneOf' as const, colonyIds: ids },
    };
    yard.run({ type: 'putQueen', queen });
    yard.run(count(yard, { evidence: saw({ queen: { look: 'found', build: 'long' } }) }));
    expect(yard.apiary.queen[queen.id]!.whereabouts).toEqual({ known: 'colony', colonyId: ids[0] });
  });
});

describe('photos of a visit', () => {
  const photo = (yard: TestYard, visitId: string) => ({
    type: 'addPhoto' as const,
    photo: {
      id: yard.newId(),
      visitId,
      takenOn: DAY,
      mediaType: 'image/jpeg' as const,
      widthPx: 800,
      heightPx: 600,
      bytes: 90_000,
      caption: '',
    },
  });

  it('are kept up to a number, refused for an unknown visit, and can be taken away', () => {
    const yard = yardOf();
    const c = count(yard);
    yard.run(c);
    const all = Array.from({ length: PHOTO_LIMITS.perVisit }, () => photo(yard, c.visitId));
    for (const p of all) yard.run(p);
    expect(yard.refused(photo(yard, c.visitId))).toEqual(['too-many-photos at photo.visitId']);
    expect(yard.refused(photo(yard, yard.newId()))).toEqual(['unknown-id at photo.visitId']);
    yard.run({ type: 'removePhoto', photoId: all[0]!.photo.id });
    expect(Object.keys(yard.apiary.photo)).toHaveLength(PHOTO_LIMITS.perVisit - 1);
  });
});

describe('hives with partitions', () => {
  function twins() {
    const yard = new TestYard();
    const [a, b] = [yard.newId(), yard.newId()];
    const box = (role: 'brood' | 'super', slots: number) => ({
      id: yard.newId(),
      sizeId: 'langstroth-deep' as const,
      slots,
      role,
      frames: Array.from({ length: slots }, (_, i) => ({
        id: yard.newId(),
        slot: i + 1,
        blank: 'drawn' as const,
        combYear: null,
      })),
    });
    yard.run({
      type: 'addHives',
      yardId: yard.yardId,
      day: '2026-05-01',
      hives: [
        {
          hiveId: yard.newId(),
          standId: yard.newId(),
          colonyId: a,
          name: 'West',
          besides: [{ colonyId: b, name: 'East' }],
          boxes: [box('brood', 9), box('super', 10)],
        },
      ],
    });
    return yard;
  }
  const read = (yard: TestYard, name: string, frameId: string): CommandOf<'recordCount'> => ({
    type: 'recordCount',
    visitId: yard.newId(),
    colonyId: yard.colony(name).id,
    day: DAY,
    note: '',
    readings: [{ id: yard.newId(), frameId, body: honey as never }],
  });

  it('part their brood box and have the super in common: either may read it, none the other’s chamber', () => {
    const yard = twins();
    const [west, east] = [yard.colony('West'), yard.colony('East')];
    expect(framesOfColony(yard.apiary, west)).toHaveLength(5);
    expect(framesOfColony(yard.apiary, east)).toHaveLength(4);
    const [shared] = sharedFramesOf(yard.apiary, east);
    expect(yard.refused(read(yard, 'West', shared!.frame.id))).toEqual([]);
    expect(yard.refused(read(yard, 'East', shared!.frame.id))).toEqual([]);
    expect(yard.refused(read(yard, 'East', framesOfColony(yard.apiary, west)[0]!.frame.id))[0]).toContain(
      'frame-elsewhere',
    );
  });

  it('have each their share of what is in the super', () => {
    const yard = twins();
    const [west, east] = [yard.colony('West'), yard.colony('East')];
    const [shared] = sharedFramesOf(yard.apiary, east);
    yard.run(read(yard, 'West', shared!.frame.id));
    const stores = (c: typeof west) => colonyState(yard.apiary, c, DAY).strength.storesFrames;
    expect(stores(west)).toBeGreaterThan(0);
    expect(stores(west)).toBeCloseTo(stores(east), 9);
    const whole = shareOf(honey, 'honey', 'nectar');
    expect(stores(west) + stores(east)).toBeCloseTo(whole, 9);
  });
});
