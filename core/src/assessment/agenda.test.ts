import { describe, expect, it } from 'vitest';
import type { FollowUp } from '../records/records.ts';
import { TestYard } from '../testing/builders.ts';
import { FULL_BOX, METHOD_DAY, withCells } from '../testing/methodPlans.ts';
import { PartYard } from '../testing/partYard.ts';
import { QUEENLESS, Scene } from '../testing/scene.ts';
import { caps, NO } from '../testing/queenLooks.ts';
import { agendaOf } from './agenda.ts';
import { assess } from './assess.ts';

const LOST = '2026-05-09';

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

describe('the agenda', () => {
  it('has what is overdue under today, first', () => {
    const yard = new PartYard(LOST);
    watched(yard, '2026-05-12', 'rhythm');
    watched(yard, '2026-05-20', 'act');
    const [today, later] = agendaOf(yard.apiary, '2026-05-16');
    expect(today).toMatchObject({ day: '2026-05-16', yardId: yard.yardId });
    expect(today?.followUps[0]?.window.latest).toBe('2026-05-12');
    expect(later?.day).toBe('2026-05-20');
  });

  it('makes up for no missed inspection while the colony rests; a job that is due stays due', () => {
    const yard = new PartYard(LOST);
    watched(yard, '2026-05-12', 'rhythm');
    yard.run({
      type: 'fileFollowUp',
      followUp: {
        ...watched(yard, '2026-05-14', 'take-out'),
        id: yard.newId(),
        kind: 'hands-off',
        topic: 'rest',
        window: { earliest: '2026-05-15', likely: '2026-05-18', latest: '2026-05-21' },
      },
    });
    const topics = (day: string) =>
      agendaOf(yard.apiary, day).flatMap((d) => d.followUps.map((f) => f.topic));
    expect(topics('2026-05-16')).toEqual(['take-out']);
    // A young queen flies until 4 June, as every page says; then the inspection that was missed is made up for.
    expect(topics('2026-05-30')).toEqual(['take-out']);
    expect(topics('2026-06-06')).toEqual(['rhythm', 'take-out']);
  });

  it('has what a colony needs by a day though nobody filed it, in the words of the board', () => {
    const yard = new TestYard();
    const colony = yard.hive('Swarming', [
      FULL_BOX.map((c, i) => (i === 2 ? withCells(c, 'charged', 3) : c)),
      FULL_BOX,
    ]);
    const board = assess(yard.apiary, colony, METHOD_DAY).notice;
    const days = agendaOf(yard.apiary, METHOD_DAY);
    expect(days.map((d) => [d.day, d.needs.map((n) => n.need.notice)])).toEqual([[board.by, [board]]]);
  });

  it('says once what an inspection has filed', () => {
    const s = new Scene(QUEENLESS, '2026-05-04');
    const day = s.see(7, {
      eggs: NO,
      cells: NO,
      youngLarvae: NO,
      olderLarvae: NO,
      cappedBrood: caps('flat'),
    });
    const all = agendaOf(s.apiary, day).filter((d) => d.day === day);
    const ofHere = all.flatMap((d) => [
      ...d.needs.filter((n) => n.colony.id === s.here.id).map((n) => n.need.notice.words),
      ...d.followUps.filter((f) => f.colonyIds.includes(s.here.id)).map((f) => f.expect),
    ]);
    expect(ofHere).toEqual([expect.stringMatching(/frame of eggs and small larvae/)]);
  });
});
