import { describe, expect, it } from 'vitest';
import { openFollowUps } from '../records/views.ts';
import { PartYard } from '../testing/partYard.ts';
import { cells, NO } from '../testing/queenLooks.ts';
import type { FollowUp } from '../records/records.ts';
import { clashesOf, reschedulesFor } from './clashes.ts';
import { pastLast, planBOf } from './planB.ts';
import { queenLane, type QueenLane } from './queenLane.ts';

const LOST = '2026-05-09';

const laneOf = (yard: PartYard, day: string): QueenLane => {
  const lane = queenLane(yard.apiary, yard.part, day);
  if (!lane) throw new Error('no lane');
  return lane;
};

function watched(yard: PartYard, likely: string, topic: FollowUp['topic'] = 'watch'): FollowUp {
  const followUp: FollowUp = {
    id: yard.newId(),
    workId: null,
    colonyIds: [yard.partId],
    kind: 'look',
    topic,
    window: { earliest: likely, likely, latest: likely },
    expect: 'Four frames of bees or more.',
    status: 'open',
  };
  yard.run({ type: 'fileFollowUp', followUp });
  return followUp;
}

describe('plan B', () => {
  it('decides four weeks after she is out, with a mated queen first and the reunion last', () => {
    const yard = new PartYard(LOST);
    const b = planBOf(yard.apiary, laneOf(yard, LOST), LOST);
    expect(b.decideBy).toBe('2026-06-18');
    expect(b.choices.map((c) => c.what)).toEqual(['give-queen', 'give-cell', 'test-frame', 'reunite']);
    expect(b.reuniteWith?.name).toBe('Wicket Old');
    expect(b.choices.at(-1)?.words).toBe('reunite with Wicket Old');
  });

  it('the season decides earlier: a July split has no time for a second try (frosts in mid-October by the house rule)', () => {
    const yard = new PartYard('2026-07-11');
    const b = planBOf(yard.apiary, laneOf(yard, '2026-07-11'), '2026-07-11');
    expect(b.decideBy).toBe('2026-08-12');
    expect(b.choices.map((c) => c.what)).toEqual(['reunite', 'give-queen']);
    expect(b.because).toContain('winter bees');
  });

  it('past the last date without eggs losses are cut; a look comes first when nobody looked for them', () => {
    const yard = new PartYard('2026-07-11');
    const words = (day: string) => {
      const lane = laneOf(yard, day);
      return pastLast(lane, planBOf(yard.apiary, lane, day), day);
    };
    expect(words('2026-08-01')).toBeNull();
    expect(words('2026-08-20')).toContain('Look now');
    // Before eggs were due, their absence told nothing.
    yard.see('2026-07-20', { eggs: NO });
    expect(words('2026-08-20')).toContain('Look now');
    yard.see('2026-08-18', { eggs: NO });
    expect(words('2026-08-20')).toBe('Past its last date (Thu 13 Aug) without eggs: cut the loss.');
  });
});

describe('clashes', () => {
  it('points out a look in the days of rest', () => {
    const yard = new PartYard(LOST);
    watched(yard, '2026-05-28');
    const [clash] = clashesOf(yard.apiary, [laneOf(yard, LOST)], LOST);
    expect(clash?.words).toContain('falls into its days of rest');
    expect(clash?.words).toContain('Thu 21 May to Thu 4 Jun');
  });

  it('points out virgins of one yard that fly in the same days', () => {
    const yard = new PartYard(LOST);
    const lane = laneOf(yard, LOST);
    const other = { ...lane, colonyId: yard.giverId, name: 'Wicket Old' };
    const words = (...lanes: QueenLane[]) => clashesOf(yard.apiary, lanes, LOST).map((c) => c.words);
    expect(words(lane, other).join(' ')).toContain('fly in the same days');
    // However many they are, they are told once.
    const third = { ...lane, name: 'Wicket Low' };
    const all = words(lane, other, third);
    expect(all).toHaveLength(1);
    expect(all[0]).toMatch(/^Virgins of [\w ]+, [\w ]+ and [\w ]+ fly in the same days, about /);
    // Where no cell is left there is no virgin.
    expect(words(lane, { ...other, raises: false })).toEqual([]);
  });

  it('a part without cells after day 6 raises none, unless cells are seen after all', () => {
    const yard = new PartYard(LOST);
    yard.see('2026-05-16', { cells: NO });
    expect(laneOf(yard, '2026-05-16').raises).toBe(false);
    yard.see('2026-05-17', { cells: cells('capped', 1) });
    expect(laneOf(yard, '2026-05-17').raises).toBe(true);
  });

  it('a look that was too early for it, or too late, proves nothing of cells', () => {
    const early = new PartYard(LOST);
    early.see('2026-05-14', { cells: NO });
    expect(laneOf(early, '2026-05-14').raises).toBe(true);
    const late = new PartYard(LOST);
    late.see('2026-05-25', { cells: NO });
    expect(laneOf(late, '2026-05-25').raises).toBe(true);
  });

  it('a rainy day moves a look inside its window, or after it with a warning', () => {
    const yard = new PartYard(LOST);
    const look = watched(yard, '2026-05-16');
    const wide = { ...look, window: { earliest: '2026-05-15', likely: '2026-05-16', latest: '2026-05-19' } };
    const good = ['2026-05-18', '2026-05-19'];
    const [moved] = reschedulesFor([wide], good, '2026-05-15', '2026-05-20');
    expect(moved?.to.likely).toBe('2026-05-18');
    const [late] = reschedulesFor([look], good, '2026-05-15', '2026-05-20');
    expect(late?.to).toMatchObject({ likely: '2026-05-18', latest: '2026-05-19' });
    expect(late?.why).toContain('after its last day');
    expect(reschedulesFor([wide], ['2026-05-16'], '2026-05-15', '2026-05-20')).toEqual([]);
  });

  it('moving is kept with its reason; a reversed window and a done look are refused', () => {
    const yard = new PartYard(LOST);
    const look = watched(yard, '2026-05-16');
    const to = { earliest: '2026-05-17', likely: '2026-05-18', latest: '2026-05-19' };
    yard.run({ type: 'moveFollowUp', followUpId: look.id, window: to, why: 'Rain.' });
    expect(yard.apiary.followUp[look.id]).toMatchObject({ window: to, status: 'open' });
    expect(yard.apiary.followUp[look.id]?.expect).toContain('(Moved: Rain.)');
    const reversed = { ...to, latest: '2026-05-01' };
    expect(
      yard.refused({ type: 'moveFollowUp', followUpId: look.id, window: reversed, why: 'Rain.' }),
    ).toEqual(['window-reversed at window']);
    yard.run({ type: 'closeFollowUp', followUpId: look.id });
    expect(yard.refused({ type: 'moveFollowUp', followUpId: look.id, window: to, why: 'Rain.' })).toEqual([
      'follow-up-closed at followUpId',
    ]);
  });

  it('a colony is watched with one test at a time', () => {
    const yard = new PartYard(LOST);
    watched(yard, '2026-05-16');
    watched(yard, '2026-05-23');
    const open = openFollowUps(yard.apiary).filter((f) => f.topic === 'watch');
    expect(open.map((f) => f.window.likely)).toEqual(['2026-05-23']);
  });
});
