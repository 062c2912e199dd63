import { describe, expect, it } from 'vitest';
import { addDays, type Day } from '../basics/day.ts';
import { cells, eggs, NO } from '../testing/queenLooks.ts';
import { brood, honey, NEST, Scene } from '../testing/scene.ts';
import { colonyState } from './colonyState.ts';

const COUNTED = '2026-05-09';
const WITH_CELLS = [honey, { ...brood, cells: [{ kind: 'open' as const, count: 4 }] }, brood, honey];

const noticeOn = (s: Scene, day: Day) => colonyState(s.apiary, s.here, day).notice;

// Swarms go about when the first cell is capped: common practice, no source. Days: Winston 1987 (as remembered).
describe('swarm cells that an inspection found', () => {
  it('are an alarm like counted ones, with the day of the first capping', () => {
    const s = new Scene(NEST);
    s.see('2026-05-12', { eggs: eggs(), cells: cells('charged', 4) });
    expect(noticeOn(s, '2026-05-12')).toMatchObject({
      id: 'swarm-cells',
      words: 'Swarm cells: act by Fri 15 May',
    });
    const capped = new Scene(NEST);
    capped.see('2026-05-12', { eggs: eggs(), cells: cells('capped', 4) });
    expect(noticeOn(capped, '2026-05-12').words).toBe('Swarm cells: act today');
  });

  it('are taken back by a later inspection of every comb that finds none, not by one of a few combs', () => {
    const s = new Scene(WITH_CELLS);
    expect(noticeOn(s, COUNTED).id).toBe('swarm-cells');
    s.see('2026-05-11', { eggs: eggs(), cells: NO }, 'Here', [1, 4]);
    expect(noticeOn(s, '2026-05-11').id).toBe('swarm-cells');
    s.see('2026-05-12', { eggs: eggs(), cells: NO }, 'Here', [4, 4]);
    expect(noticeOn(s, '2026-05-12').id).not.toBe('swarm-cells');
  });

  it('are no alarm for ever: what was alive two weeks ago has emerged or is torn down', () => {
    const s = new Scene(NEST);
    s.see('2026-05-12', { eggs: eggs(), cells: cells('charged', 4) });
    expect(noticeOn(s, addDays('2026-05-12', 13)).id).toBe('swarm-cells');
    expect(noticeOn(s, addDays('2026-05-12', 14)).id).not.toBe('swarm-cells');
  });

  it('are settled by a split on that day or later', () => {
    const s = new Scene(NEST);
    s.see('2026-05-12', { eggs: eggs(), cells: cells('charged', 4) });
    s.apiary = {
      ...s.apiary,
      colony: {
        ...s.apiary.colony,
        [s.here.id]: {
          ...s.here,
          separation: {
            v: 1,
            day: '2026-05-12',
            workId: null,
            queen: 'here',
            partIds: [s.here.id],
            emergence: null,
          },
        },
      },
    };
    expect(noticeOn(s, '2026-05-13').id).not.toBe('swarm-cells');
  });

  it('of which there are one or two in a colony with room are rather to replace its queen', () => {
    const s = new Scene(NEST);
    s.see('2026-05-12', { eggs: eggs(), cells: cells('open', 1) });
    expect(noticeOn(s, '2026-05-12')).toMatchObject({ id: 'supersedure-cells', urgent: false });
    // A nuc whose box is full of bees swarms with two.
    const full = Array.from({ length: 5 }, () => ({
      ...brood,
      sides: brood.sides.map((x) => ({ ...x, bees: 9 })),
    }));
    const nuc = new Scene(NEST);
    nuc.hive('Nuc', [full as never], COUNTED, 5);
    nuc.see('2026-05-12', { eggs: eggs(), cells: cells('open', 2) }, 'Nuc');
    expect(colonyState(nuc.apiary, nuc.colony('Nuc'), '2026-05-12').notice.id).toBe('swarm-cells');
  });

  it('without an egg on any comb are no alarm: the swarm has gone', () => {
    const s = new Scene(NEST);
    s.see('2026-05-14', { eggs: NO, cells: cells('capped', 6) });
    expect(noticeOn(s, '2026-05-14').id).not.toBe('swarm-cells');
  });
});
