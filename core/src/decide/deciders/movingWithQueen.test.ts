import { describe, expect, it } from 'vitest';
import { PartYard } from '../../testing/partYard.ts';
import { cells, eggs, NO } from '../../testing/queenLooks.ts';
import { noEvidence, type Evidence } from '../../records/bodies/evidence.ts';
import { openFollowUps } from '../../records/views.ts';

const LOST = '2026-05-09';

/** A part without its queen since 9 May; its eggs are due from 4 June on as long as nobody has looked. */
function waitingPart(): PartYard {
  const yard = new PartYard(LOST);
  for (const [topic, window] of [
    ['rest', { earliest: '2026-05-21', likely: '2026-05-21', latest: '2026-06-04' }],
    ['eggs-due', { earliest: '2026-06-04', likely: '2026-06-06', latest: '2026-06-11' }],
    ['act', { earliest: '2026-06-18', likely: '2026-06-18', latest: '2026-06-18' }],
  ] as const) {
    const id = yard.newId();
    yard.apiary = {
      ...yard.apiary,
      followUp: {
        ...yard.apiary.followUp,
        [id]: {
          id,
          workId: null,
          colonyIds: [yard.partId],
          kind: topic === 'rest' ? 'hands-off' : 'look',
          topic,
          window,
          expect: 'As planned.',
          status: 'open',
        },
      },
    };
  }
  return yard;
}

function count(yard: PartYard, day: string, said: Partial<Evidence>): void {
  yard.run({
    type: 'recordCount',
    visitId: yard.newId(),
    colonyId: yard.partId,
    day,
    note: '',
    readings: [],
    evidence: { ...noEvidence(5), ...said },
  });
}

const due = (yard: PartYard) =>
  Object.fromEntries(openFollowUps(yard.apiary).map((f) => [f.topic, f.window.likely]));

describe('follow-ups that move with what is seen', () => {
  it('a larva of three days in the cup on 13 May: out in ten days, so eggs are looked for two days later', () => {
    const yard = waitingPart();
    count(yard, '2026-05-13', {
      eggs: NO,
      cells: { look: 'found', cells: [{ kind: 'charged', count: 1, larvaAgeDays: 3 }] },
    });
    expect(due(yard)).toEqual({ rest: '2026-05-23', 'eggs-due': '2026-06-08', act: '2026-06-20' });
  });

  it('what tells nothing new moves nothing', () => {
    const yard = waitingPart();
    count(yard, '2026-05-13', { eggs: NO });
    expect(due(yard)).toEqual({ rest: '2026-05-21', 'eggs-due': '2026-06-06', act: '2026-06-18' });
  });

  it('a look files its own dates, and they are not moved a second time', () => {
    const yard = waitingPart();
    yard.see('2026-05-16', { eggs: NO, cells: cells('open', 3) });
    // Open on day 7: she emerges on day 15 or 16 and not on day 12. The day of decision goes with her.
    expect(due(yard)).toEqual({ rest: '2026-05-24', 'eggs-due': '2026-06-10', act: '2026-06-22' });
  });

  it('eggs end the waiting, and with it the day of decision', () => {
    const yard = waitingPart();
    yard.see('2026-06-06', { eggs: eggs('one', 'bottom'), cells: NO });
    expect(due(yard)).not.toHaveProperty('act');
  });
});
