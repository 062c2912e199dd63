import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/day.ts';
import { bothSides, type FrameReading } from '../comb/contents.ts';
import { noEvidence } from '../records/bodies/evidence.ts';
import type { FeedKind } from '../records/kinds/given.ts';
import { newQueen } from '../records/kinds/queen.ts';
import type { Colony } from '../records/records.ts';
import { framesOfColony, queenOf } from '../records/views.ts';
import { TestYard } from '../testing/builders.ts';
import { colonyOn, courseOf, framesOn } from './colonyOn.ts';
import { strengthOf } from './strength.ts';
import { nestOf } from '../records/views.ts';
import { foodOn } from './foodOn.ts';

const DAY = '2026-05-09';
const brood: FrameReading = bothSides({ eggs: 1, open: 2, capped: 3, honey: 3, beeBread: 1 }, 9);
const honey = bothSides({ honey: 9, drawn: 1 }, 5);
const empty = bothSides({ drawn: 10 }, 3);

function yardWith(combs: readonly FrameReading[] = [honey, brood, brood, brood, empty, honey]) {
  const yard = new TestYard();
  const colony = yard.hive('A', [combs], DAY);
  return { yard, colony };
}
const bees = (yard: TestYard, colony: Colony, day: string) =>
  colonyOn(yard.apiary, colony, day).model?.framesOfBees ?? NaN;
const brooded = (yard: TestYard, colony: Colony, day: string) =>
  colonyOn(yard.apiary, colony, day).model?.broodCells ?? NaN;

function give(
  yard: TestYard,
  colony: Colony,
  what: FeedKind,
  kg: number,
  day: string,
  leftKg: number | null = null,
) {
  yard.run({
    type: 'give',
    given: {
      id: yard.newId(),
      colonyId: colony.id,
      day,
      body: { kind: 'feed', what, kg, purpose: 'other', leftKg },
      outOn: null,
      note: '',
    },
    newIds: [yard.newId()],
  });
}

function look(yard: TestYard, colony: Colony, day: string, said: { strength?: number; food?: number }) {
  yard.run({
    type: 'recordLook',
    followUpId: null,
    day,
    note: '',
    parts: [
      {
        visitId: yard.newId(),
        colonyId: colony.id,
        evidence: {
          ...noEvidence(6),
          framesRead: 1,
          strength: said.strength ?? null,
          food: said.food ?? null,
        },
      },
    ],
    newIds: Array.from({ length: 8 }, () => yard.newId()),
  });
}

describe('what happened since a count', () => {
  it('feed becomes stores by its sugar, less what was left over, and never more than there is comb for', () => {
    const kg = (what: FeedKind, left: number | null = null) => {
      const { yard, colony } = yardWith();
      give(yard, colony, what, 3, addDays(DAY, 1), left);
      const fed = foodOn(yard.apiary, colony, addDays(DAY, 12)).kg ?? NaN;
      const { yard: bare, colony: same } = yardWith();
      return fed - (foodOn(bare.apiary, same, addDays(DAY, 12)).kg ?? NaN);
    };
    // 3 kg of 1:1 hold 1.5 kg of sugar, which make 1.15 kg of stores each.
    expect(kg('syrup-thin')).toBeCloseTo(3 * 0.5 * 1.15, 2);
    expect(kg('syrup-thick')).toBeCloseTo(2 * 1.15, 2);
    expect(kg('honey')).toBeCloseTo(3, 2);
    expect(kg('syrup-thin', 2)).toBeCloseTo(0.5 * 1.15, 2);
  });

  it('a queen who was killed, caged or put in changes laying from her day on', () => {
    const { yard, colony } = yardWith();
    yard.run({
      type: 'putQueen',
      queen: newQueen({
        id: yard.newId(),
        whereabouts: { known: 'colony', colonyId: colony.id },
        mating: 'mated',
      }),
    });
    const laid = brooded(yard, colony, '2026-06-05');
    const id = queenOf(yard.apiary, colony.id)?.id ?? '';
    const caged = new TestYard();
    caged.apiary = yard.apiary;
    caged.run({ type: 'noteQueen', queenId: id, day: '2026-05-12', did: 'caged', newIds: [yard.newId()] });
    expect(brooded(caged, colony, '2026-06-05')).toBeLessThan(0.2 * laid);
    caged.run({ type: 'noteQueen', queenId: id, day: '2026-05-20', did: 'released', newIds: [yard.newId()] });
    const between = brooded(caged, colony, '2026-06-05');
    expect(between).toBeGreaterThan(0.2 * laid);
    expect(between).toBeLessThan(laid);
    yard.run({ type: 'noteQueen', queenId: id, day: '2026-05-12', did: 'killed', newIds: [yard.newId()] });
    expect(brooded(yard, colony, '2026-06-05')).toBeLessThan(0.05 * laid);
    expect(brooded(yard, colony, '2026-05-11')).toBeGreaterThan(0);
  });

  it('a swarm takes half of the bees, a hive carried by day leaves field bees behind, one at dusk none', () => {
    const gone = (what: 'swarm' | 'day' | 'dusk') => {
      const { yard, colony } = yardWith();
      if (what === 'swarm')
        yard.run({
          type: 'recordSwarm',
          colonyId: colony.id,
          day: '2026-05-12',
          hivedId: null,
          newIds: Array.from({ length: 12 }, yard.newId),
        });
      else
        yard.run({
          type: 'moveHive',
          hiveId: colony.hiveId ?? '',
          day: '2026-05-12',
          hour: what,
          to: { standId: yard.newId(), fresh: { yardId: yard.yardId, name: 'Over there' } },
          entrance: 'open',
          obstacleUntil: null,
          newIds: Array.from({ length: 4 }, yard.newId),
        });
      return bees(yard, yard.colony('A'), '2026-05-13');
    };
    const { yard, colony } = yardWith();
    const stays = bees(yard, colony, '2026-05-13');
    expect(gone('swarm') / stays).toBeGreaterThan(0.38);
    expect(gone('swarm') / stays).toBeLessThan(0.55);
    expect(gone('dusk')).toBeCloseTo(stays, 9);
    expect(gone('day') / stays).toBeGreaterThan(0.6);
    expect(gone('day') / stays).toBeLessThan(0.8);
  });

  it('a glance is weighed against what was expected: little soon after a count, more when the count is old', () => {
    const share = (day: string) => {
      const { yard, colony } = yardWith();
      const before = bees(yard, colony, day);
      look(yard, colony, day, { strength: 1 });
      const after = bees(yard, colony, day);
      return Math.log(after / before) / Math.log(1 / before);
    };
    expect(share('2026-05-11')).toBeGreaterThan(0.05);
    expect(share('2026-05-11')).toBeLessThan(0.4);
    expect(share('2026-06-25')).toBeGreaterThan(share('2026-05-11'));
  });

  it('doubt grows with the age of a count, and a glance makes it smaller', () => {
    const { yard, colony } = yardWith();
    const doubt = (day: string) => colonyOn(yard.apiary, colony, day).doubt;
    expect(doubt(DAY)).toBeCloseTo(0.15, 9);
    expect(doubt('2026-06-09')).toBeGreaterThan(doubt('2026-05-19'));
    const before = doubt('2026-06-09');
    look(yard, colony, '2026-06-09', { strength: 8 });
    expect(doubt('2026-06-09')).toBeLessThan(before);
  });

  it('a box counted again without the other: each comb from its own reading, no bee doubled', () => {
    const yard = new TestYard();
    const colony = yard.hive(
      'A',
      [
        [honey, brood, brood, honey],
        [honey, honey, empty, empty],
      ],
      DAY,
    );
    const lower = framesOfColony(yard.apiary, colony).filter((f) => f.box.position === 0);
    yard.run({
      type: 'recordCount',
      visitId: yard.newId(),
      colonyId: colony.id,
      day: '2026-05-19',
      note: '',
      readings: lower.map((f) => ({ id: yard.newId(), frameId: f.frame.id, body: brood as never })),
    });
    const on = framesOn(yard.apiary, colony, '2026-05-19');
    for (const f of on.filter((p) => p.box.position === 0))
      expect(f.reading?.body.sides).toEqual(brood.sides);
    const upper = on.filter((p) => p.box.position === 1);
    expect(upper.every((f) => f.reading?.body.estimated)).toBe(true);
    // The super has been eaten from, and no more bees are shown than the model holds.
    const kg = (frames: typeof on) => strengthOf(nestOf(frames), 'langstroth-deep').storesKg.likely;
    expect(kg(upper)).toBeLessThan(
      kg(framesOfColony(yard.apiary, colony).filter((f) => f.box.position === 1)),
    );
    const shown = strengthOf(nestOf(on), 'langstroth-deep').framesOfBees.likely;
    expect(shown).toBeCloseTo(bees(yard, colony, '2026-05-19'), 6);
  });

  it('a box that is taken off leaves its bees behind, and after the next count they are in that count', () => {
    const yard = new TestYard();
    const colony = yard.hive(
      'A',
      [
        [honey, brood, brood, honey],
        [honey, honey, empty, empty],
      ],
      DAY,
    );
    const before = bees(yard, colony, '2026-05-12');
    const upper = framesOfColony(yard.apiary, colony).filter((f) => f.box.position === 1);
    yard.run({
      type: 'moveFrames',
      moves: upper.map((f) => ({ frameId: f.frame.id, to: { place: 'store' } })),
    });
    expect(bees(yard, colony, '2026-05-12') / before).toBeCloseTo(1, 1);
    yard.run({
      type: 'recordCount',
      visitId: yard.newId(),
      colonyId: colony.id,
      day: '2026-05-12',
      note: '',
      readings: framesOfColony(yard.apiary, colony).map((f) => ({
        id: yard.newId(),
        frameId: f.frame.id,
        body: brood as never,
      })),
    });
    expect(bees(yard, colony, '2026-05-12')).toBeCloseTo(4 * 0.9, 6);
  });

  it('nobody lays above an excluder when eggs are below it', () => {
    const yard = new TestYard();
    const colony = yard.hive(
      'A',
      [
        [honey, brood, brood, honey],
        [empty, empty, empty],
      ],
      DAY,
    );
    const boxes = Object.values(yard.apiary.box).toSorted((a, b) => a.position - b.position);
    const upper = boxes[1]!;
    yard.apiary = {
      ...yard.apiary,
      box: { ...yard.apiary.box, [upper.id]: { ...upper, excluderBelow: true } },
    };
    const above = framesOn(yard.apiary, colony, '2026-05-25').filter((f) => f.box.id === upper.id);
    expect(above.every((f) => (f.reading?.body.sides[0].contents.eggs ?? 0) === 0)).toBe(true);
  });

  it('an event before the colony existed and a count older than a year change nothing but the doubt', () => {
    const { yard, colony } = yardWith();
    const queen = newQueen({
      id: yard.newId(),
      whereabouts: { known: 'colony', colonyId: colony.id },
      mating: 'mated',
    });
    yard.run({
      type: 'putQueen',
      queen: { ...queen, history: [{ day: '2025-01-01', did: 'caged', colonyId: colony.id }] },
    });
    expect(brooded(yard, colony, '2026-05-20')).toBeGreaterThan(0);
    const old = colonyOn(yard.apiary, colony, '2027-07-01');
    expect(old.doubt).toBeGreaterThan(0.3);
    expect(old.model?.adults.total).toBeGreaterThanOrEqual(0);
  });

  it('books balance over random histories: no bee, cell or kilogram from nowhere', () => {
    const deed = fc.record({
      after: fc.integer({ min: 0, max: 40 }),
      what: fc.constantFrom('feed', 'glance', 'count', 'caged', 'swarm'),
      n: fc.integer({ min: 0, max: 12 }),
    });
    fc.assert(
      fc.property(fc.array(deed, { maxLength: 8 }), fc.integer({ min: 0, max: 70 }), (deeds, days) => {
        const { yard, colony } = yardWith();
        const queenId = yard.newId();
        yard.run({
          type: 'putQueen',
          queen: newQueen({
            id: queenId,
            whereabouts: { known: 'colony', colonyId: colony.id },
            mating: 'mated',
          }),
        });
        for (const d of deeds.toSorted((a, b) => a.after - b.after)) {
          const day = addDays(DAY, d.after);
          if (d.what === 'feed') give(yard, colony, 'syrup-thick', d.n, day);
          if (d.what === 'glance') look(yard, colony, day, { strength: d.n, food: d.n });
          if (d.what === 'caged' && queenOf(yard.apiary, colony.id)?.cagedSince === null)
            yard.run({ type: 'noteQueen', queenId, day, did: 'caged', newIds: [yard.newId()] });
          if (d.what === 'count')
            yard.run({
              type: 'recordCount',
              visitId: yard.newId(),
              colonyId: colony.id,
              day,
              note: '',
              readings: framesOfColony(yard.apiary, colony)
                .slice(0, 1 + (d.n % 6))
                .map((f) => ({ id: yard.newId(), frameId: f.frame.id, body: brood as never })),
            });
        }
        const day = addDays(DAY, 41 + days);
        const { model } = colonyOn(yard.apiary, colony, day);
        if (!model) return;
        const { ledger } = model;
        expect(model.adults.total).toBeCloseTo(ledger.joined + ledger.emerged - ledger.died - ledger.left, 2);
        expect(model.adults.total).toBeGreaterThanOrEqual(0);
        for (const s of model.sides) expect(s.bees).toBeLessThanOrEqual(10 + 1e-9);
        // The course begins where the day stands.
        const [first] = courseOf(yard.apiary, colony, day, 1);
        expect(first?.foodKg).toBeCloseTo(model.foodKg, 9);
      }),
      { numRuns: 60, seed: 5 },
    );
  });
});
