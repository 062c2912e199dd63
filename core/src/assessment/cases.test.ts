import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/day.ts';
import { bothSides } from '../comb/contents.ts';
import type { Evidence } from '../records/bodies/evidence.ts';
import { queenOf } from '../records/views.ts';
import { remediesFor } from '../remedies/remedies.ts';
import { DEFAULT_HOUSE_RULES } from '../rules/houseRules.ts';
import { situationOf } from '../split/base/situation.ts';
import { findMethods } from '../split/methods/findMethods.ts';
import { caps, cells, eggs, NO, queen, YES, cellsOf } from '../testing/queenLooks.ts';
import { brood, honey, NEST, QUEENLESS, Scene } from '../testing/scene.ts';

// Judgements: common practice, no source; day numbers from the development clock of Winston 1987 (as remembered).

describe('a split, a week on', () => {
  it('eggs and no cells on day 7 prove the queen; the other half is raising one', () => {
    const s = new Scene(NEST, '2026-05-04', 'unknown');
    s.see(7, { eggs: eggs(), cells: NO });
    s.see(7, { eggs: NO, cells: cells('open', 6), youngLarvae: NO }, 'Other');
    expect(s.said('2026-05-11').leading).toBe('laying');
    expect(s.said('2026-05-11', 'Other').leading).toBe('cells');
    expect(queenOf(s.apiary, s.here.id) ?? s.here.separation?.queen).toBeTruthy();
  });

  it('eggs on day 2 say nothing of the queen: inspect again from day 4', () => {
    const v = new Scene(NEST, '2026-05-04', 'unknown').verdict(2, { eggs: eggs(), cells: NO });
    expect(v.finding).toBe('too-early');
    expect(v.text).toMatch(/day 7/i);
  });

  it('no eggs, no cells, capped brood only on day 7: hopelessly queenless, eggs from a donor today', () => {
    const s = new Scene(QUEENLESS, '2026-05-04');
    const day = s.see(7, {
      eggs: NO,
      cells: NO,
      youngLarvae: NO,
      olderLarvae: NO,
      cappedBrood: caps('flat'),
      mood: 'restless',
    });
    const said = s.said(day);
    expect(said.next).toMatch(/comb of eggs/);
    expect(said.board).toMatch(/Give it a comb of eggs/);
    expect(said.list).toBe('must');
    expect(said.desk[0]).toMatch(/test-frame|give-queen|give-cell|combine/);
  });

  it('no eggs on day 4 with very small larvae and a comb unread is not too late', () => {
    const s = new Scene(QUEENLESS, '2026-05-04');
    const v = s.verdict(4, { eggs: NO, youngLarvae: YES, cells: NO }, [3, 4]);
    expect(v.finding).toBe('unread');
    expect(v.text).toMatch(/not yet too late/);
    const day = s.see(4, { eggs: NO, youngLarvae: YES, cells: NO }, 'Here', [3, 4]);
    expect(s.said(day).board).toMatch(/Read the rest/);
    expect(s.said(day).next).not.toMatch(/comb of eggs today/);
  });

  it('cells capped on day 3 come from old larvae: break them, leave the open ones', () => {
    const s = new Scene(QUEENLESS, '2026-05-04');
    const seen: Partial<Evidence> = {
      eggs: NO,
      cells: cellsOf(['capped', 2], ['open', 5]),
    };
    expect(s.verdict(3, seen).text).toMatch(/Remove the 2 capped, leave the 5 open/);
    const day = s.see(3, seen);
    expect(s.said(day).board).toMatch(/Break the 2 capped, leave the 5 open/);
  });

  it('cells first seen capped on day 6 are kept: nobody can tell them any more', () => {
    const s = new Scene(QUEENLESS, '2026-05-04');
    expect(s.verdict(6, { eggs: NO, cells: cells('capped', 3) }).text).toMatch(/Keep the capped cells/);
    const day = s.see(6, { eggs: NO, cells: cells('capped', 3) });
    expect(s.said(day).next).not.toMatch(/Break|cut the other/i);
  });

  it('on day 12 no cell is cut by sight', () => {
    const s = new Scene(QUEENLESS, '2026-05-04');
    expect(s.verdict(12, { eggs: NO, cells: cells('capped', 4) }).text).toMatch(/Do not cut cells by sight/);
  });

  it('a cell that has emerged before it can have is pointed out, and both notes are kept', () => {
    const s = new Scene(QUEENLESS, '2026-04-03', 'elsewhere', '2026-05-01');
    const seen = { eggs: NO, cells: cells('emerged', 1) };
    s.apiary = {
      ...s.apiary,
      colony: { ...s.apiary.colony, [s.here.id]: { ...s.here, startedOn: '2026-04-03' } },
    };
    s.see('2026-04-10', { eggs: NO, cells: cells('open', 3) });
    const v = s.verdict('2026-04-15', seen);
    expect(v.contradictions.join()).toMatch(
      /Either a cell was missed, this one was torn open, or a date is wrong/,
    );
  });
});

describe('a new queen', () => {
  it('single eggs are probable, not proof: flat caps nine days after them', () => {
    const s = new Scene(QUEENLESS, '2026-05-20');
    const v = s.verdict(28, { eggs: eggs(), cells: NO, queen: queen('long') });
    expect(v.finding).toBe('eggs-unproved');
    expect(v.next[0]?.window?.likely).toBe(addDays('2026-05-20', 37));
  });

  it('a virgin without eggs 40 days on, late in the year: stop, and unite or requeen this week', () => {
    const s = new Scene(QUEENLESS, '2026-07-11');
    const day = s.see(40, {
      eggs: NO,
      cells: NO,
      queen: queen('slim'),
      youngLarvae: NO,
      olderLarvae: NO,
      cappedBrood: NO,
    });
    const said = s.said(day);
    expect(said.next).toMatch(/unite|mated queen/i);
    expect(said.next).not.toMatch(/shut until|in two weeks/i);
    expect(said.list).toBe('must');
  });

  it('laying workers: doubles on the floor, bees backing in, louder, no queen, 35 days on', () => {
    const s = new Scene([honey, bothSides({ drawn: 8, honey: 2 }, 6)], '2026-05-04');
    const seen: Partial<Evidence> = {
      eggs: eggs('several', 'bottom'),
      beesReversing: YES,
      mood: 'roaring',
      queen: NO,
      cells: NO,
      olderLarvae: NO,
      cappedBrood: NO,
    };
    const v = s.verdict(35, seen);
    expect(v.finding).toBe('laying-workers');
    expect(v.text).toMatch(/bottom of the cells do not rule them out/);
    const day = s.see(35, seen);
    expect(queenOf(s.apiary, s.here.id)).toBeUndefined();
    expect(s.said(day)).toMatchObject({ leading: 'laying-workers', list: 'must' });
    expect(s.said(day).board).toMatch(/Shake it out/);
    expect(s.said(day).desk).not.toContain('give-queen');
  });

  it('calm, a few doubles at the bottom, inside her window: a young queen begins', () => {
    const s = new Scene(QUEENLESS, '2026-05-04');
    const v = s.verdict(25, { eggs: eggs('several', 'bottom'), mood: 'calm', cells: NO });
    expect(['eggs-unproved', 'unclear']).toContain(v.finding);
    expect(v.finding).not.toBe('laying-workers');
  });

  it('doubles and a queen seen are two stories: box by box', () => {
    const v = new Scene(NEST, '2026-04-04', 'elsewhere', '2026-05-09').verdict('2026-05-20', {
      eggs: eggs('several', 'walls'),
      cappedBrood: caps('both', 'scattered'),
      queen: queen('long'),
      beesReversing: YES,
    });
    expect(v.finding).toBe('unclear');
    expect(v.text).toMatch(/box by box/);
  });

  it('a compact patch, all domed, a queen: drone layer', () => {
    const s = new Scene(QUEENLESS, '2026-05-04');
    const seen = { eggs: eggs(), cappedBrood: caps('domed', 'compact'), queen: queen('long') };
    expect(s.verdict(40, seen).finding).toBe('drone-layer');
    const day = s.see(40, seen);
    expect(s.said(day).board).toMatch(/take her out/i);
    expect(s.said(day).desk).not.toContain('boost-brood');
  });
});

describe('weak, sick and crowded', () => {
  const weak = [bothSides({ eggs: 2, open: 3, capped: 1, honey: 2, drawn: 2 }, 4), brood, honey];

  it('signs of disease override everything on every page', () => {
    const s = new Scene(NEST);
    const day = s.see('2026-05-10', {
      eggs: eggs(),
      cells: cells('capped', 3),
      diseaseSigns: { look: 'found', signs: ['ropy'] },
    });
    const said = s.said(day);
    expect(said.board).toMatch(/Disease suspected/);
    expect(said.desk.filter((d) => ['combine', 'boost-brood', 'boost-nurses'].includes(d))).toEqual([]);
    const later = s.said(addDays(day, 60));
    expect(later.board).toMatch(/Disease suspected/);
    s.see(addDays(day, 61), { diseaseSigns: NO, eggs: eggs() });
    expect(s.said(addDays(day, 61)).board).not.toMatch(/Disease/);
  });

  it('swarm cells: act by their capping, on every page, and no weekly inspection beside it', () => {
    const full = bothSides({ eggs: 1, open: 2, capped: 4, honey: 2, beeBread: 1 }, 10);
    const s = new Scene([
      honey,
      { ...full, cells: [{ kind: 'charged', count: 3, larvaAgeDays: 3 }] },
      ...Array.from({ length: 7 }, () => full),
      honey,
    ]);
    const said = s.said('2026-05-10');
    expect(said.board).toMatch(/Swarm cells: act by/);
    expect(said.next).not.toMatch(/Weekly/);
    expect(said.list).toBe('must');
    const situation = situationOf(s.apiary, s.here, '2026-05-10');
    expect(findMethods(situation, DEFAULT_HOUSE_RULES).ranked[0]?.method.id).toMatch(
      /queen-to-nuc|side-by-side/,
    );
  });

  it('a laying queen with few bees gets bees, not brood, on cold nights', () => {
    const s = new Scene(weak);
    s.hive('Strong', [NEST.concat(brood, brood), [honey, brood, brood, brood, honey]]);
    s.see('2026-05-10', { eggs: eggs(), dryingBrood: YES, diseaseSigns: NO, queen: queen('long') });
    s.see('2026-05-10', { eggs: eggs(), diseaseSigns: NO, queen: queen('long') }, 'Strong');
    const cold = remediesFor(s.apiary, s.here, '2026-05-10', { coldNights: true });
    const open = cold.remedies.filter((r) => r.blocked === null).map((r) => r.id);
    expect(open.indexOf('boost-nurses')).toBeGreaterThanOrEqual(0);
    expect(open.includes('boost-brood') && open.indexOf('boost-brood') < open.indexOf('boost-nurses')).toBe(
      false,
    );
  });

  it('in autumn no brood is normal: shut, heft, feed; nobody requeens', () => {
    const s = new Scene(NEST, null, 'elsewhere', '2026-09-20');
    s.see('2026-10-02', { eggs: NO, youngLarvae: NO, cappedBrood: NO, cells: NO });
    const said = s.said('2026-10-20');
    expect(said.board).toMatch(/Leave it shut for the winter|Feed/);
    expect(said.list).toBe('mustNot');
    expect(said.next).not.toMatch(/mated queen|comb of eggs|make room/i);
  });
});
