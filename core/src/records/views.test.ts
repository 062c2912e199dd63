import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { noEvidence, saysAnything } from './bodies/evidence.ts';
import { TestYard } from '../testing/builders.ts';
import { photosIn } from './commands.ts';
import {
  ageOfCount,
  boxesOfHive,
  boxName,
  countedOn,
  framesOfBox,
  framesOfColony,
  hangsWrong,
  housemates,
  isSlotOf,
  photosOf,
  placeInWords,
  queenPerhapsIn,
  sharedFramesOf,
  visitsOf,
} from './views.ts';

const honey = bothSides({ honey: 8, drawn: 2 }, 4);

describe('looking things up', () => {
  it('gives boxes from the bottom, frames by slot, visits from the latest, whatever order they came in', () => {
    const yard = new TestYard();
    const colony = yard.hive('A', [[honey, honey], [honey]], '2026-05-09');
    const [lower, upper] = boxesOfHive(yard.apiary, colony.hiveId ?? '');
    expect(boxName([lower!, upper!], upper!.id)).toBe('upper box');
    // The same tables with their records the other way round.
    const turned = Object.fromEntries(
      Object.entries(yard.apiary).map(([kind, table]) => [
        kind,
        Object.fromEntries(Object.entries(table).toReversed()),
      ]),
    ) as unknown as typeof yard.apiary;
    expect(boxesOfHive(turned, colony.hiveId ?? '')).toEqual([lower, upper]);
    expect(framesOfBox(turned, lower!.id).map((f) => f.slot)).toEqual([1, 2]);
    expect(framesOfColony(turned, colony).map((p) => p.frame.id)).toEqual(
      framesOfColony(yard.apiary, colony).map((p) => p.frame.id),
    );
    for (const [day, time] of [
      ['2026-05-12', '08:00'],
      ['2026-05-12', '17:30'],
      ['2026-05-11', '12:00'],
    ] as const) {
      yard.run({
        type: 'recordCount',
        visitId: yard.newId(),
        colonyId: colony.id,
        day,
        time,
        note: '',
        readings: [],
        evidence: { ...noEvidence(3), mood: 'calm' },
      });
    }
    expect(visitsOf(yard.apiary, colony.id).map((v) => v.time)).toEqual(['17:30', '08:00', '12:00', null]);
    expect(placeInWords(yard.apiary, colony, upper!, 1)).toBe('upper box, frame 1');
  });

  it('looks again when the table has changed', () => {
    const yard = new TestYard();
    const a = yard.hive('A', [[honey]]);
    expect(visitsOf(yard.apiary, a.id)).toHaveLength(1);
    const b = yard.hive('B', [[honey]]);
    expect(visitsOf(yard.apiary, b.id)).toHaveLength(1);
    expect(boxesOfHive(yard.apiary, b.hiveId ?? '')).toHaveLength(1);
    expect(boxesOfHive(yard.apiary, 'none')).toEqual([]);
  });

  it('dates a count by its oldest frame', () => {
    const yard = new TestYard();
    const colony = yard.hive('A', [[honey, honey]], '2026-05-09');
    const [first] = framesOfColony(yard.apiary, colony);
    yard.run({
      type: 'recordCount',
      visitId: yard.newId(),
      colonyId: colony.id,
      day: '2026-05-14',
      note: '',
      readings: [{ id: yard.newId(), frameId: first!.frame.id, body: honey as never }],
    });
    const frames = framesOfColony(yard.apiary, yard.colony('A'));
    expect(countedOn(frames)).toBe('2026-05-09');
    expect(ageOfCount(frames, '2026-05-15')).toBe(6);
    expect(ageOfCount([], '2026-05-15')).toBeNull();
  });

  it('tells a comb in a box made for another size', () => {
    const yard = new TestYard();
    const colony = yard.hive('A', [[honey]]);
    const [placed] = framesOfColony(yard.apiary, colony);
    expect(hangsWrong(placed!)).toBe(false);
    expect(hangsWrong({ ...placed!, frame: { ...placed!.frame, sizeId: 'langstroth-medium' } })).toBe(true);
  });

  it('knows who lives beside whom, and what hangs in common', () => {
    const yard = new TestYard();
    const a = yard.hive('A', [[honey]]);
    expect(housemates(yard.apiary, a)).toEqual([]);
    expect(sharedFramesOf(yard.apiary, a)).toEqual([]);
    const [box] = boxesOfHive(yard.apiary, a.hiveId ?? '');
    expect(isSlotOf(box!, 10, a.id)).toBe(true);
    expect(isSlotOf(box!, 11, a.id)).toBe(false);
  });

  it('finds a queen that may be in one of several, and the photos of a visit', () => {
    const yard = new TestYard();
    const ids = ['A', 'B'].map((n) => yard.hive(n, [[honey]]).id);
    expect(queenPerhapsIn(yard.apiary, ids[0]!)).toBeUndefined();
    const queen = {
      id: yard.newId(),
      name: 'Ada',
      birthYear: null,
      dot: null,
      mating: 'mated' as const,
      whereabouts: { known: 'oneOf' as const, colonyIds: ids },
    };
    yard.run({ type: 'putQueen', queen });
    expect(queenPerhapsIn(yard.apiary, ids[1]!)?.name).toBe('Ada');
    const [visit] = visitsOf(yard.apiary, ids[0]!);
    const photo = {
      id: yard.newId(),
      visitId: visit!.id,
      takenOn: '2026-05-09',
      mediaType: 'image/png' as const,
      widthPx: 10,
      heightPx: 10,
      bytes: 90,
      caption: '',
    };
    yard.run({ type: 'addPhoto', photo });
    expect(photosOf(yard.apiary, visit!.id)).toEqual([photo]);
    expect(
      photosIn({
        type: 'batch',
        commands: [
          { type: 'addPhoto', photo },
          { type: 'removePhoto', photoId: photo.id },
        ],
      }),
    ).toEqual([photo.id]);
    expect(photosIn({ type: 'removePhoto', photoId: photo.id })).toEqual([]);
  });
});

describe('evidence says something', () => {
  it('as soon as one question was answered, if only with none', () => {
    expect(saysAnything(noEvidence(10))).toBe(false);
    expect(saysAnything({ ...noEvidence(10), eggs: { look: 'notFound' } })).toBe(true);
    expect(saysAnything({ ...noEvidence(10), waxMoth: { look: 'found' } })).toBe(true);
    expect(saysAnything({ ...noEvidence(10), mood: 'calm' })).toBe(true);
    expect(saysAnything({ ...noEvidence(10), framesRead: 1 })).toBe(true);
  });
});
