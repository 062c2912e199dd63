import { assess, hivesToday } from '../assessment/index.ts';
import { addDays, type Day } from '../basics/day.ts';
import type { Window } from '../basics/index.ts';
import { bothSides, type FrameReading } from '../comb/contents.ts';
import { judgeLook } from '../decide/deciders/judgingInspection.ts';
import { queenLane } from '../followup/queenLane.ts';
import type { Evidence } from '../records/bodies/evidence.ts';
import type { Colony } from '../records/records.ts';
import { openFollowUps } from '../records/views.ts';
import { remediesFor } from '../remedies/remedies.ts';
import { TestYard } from './builders.ts';
import { read } from './queenLooks.ts';

export const brood = bothSides({ eggs: 1, open: 2, capped: 4, honey: 2, beeBread: 1 }, 8);
const capped = bothSides({ capped: 5, honey: 4, beeBread: 1 }, 8);
export const honey = bothSides({ honey: 9, drawn: 1 }, 5);
export const NEST = [honey, brood, brood, capped, brood, honey];
export const QUEENLESS = [honey, capped, capped, honey];

/** A scene: a colony called Here, parted on a day or not, beside a healthy one. */
export class Scene extends TestYard {
  readonly lostOn: Day | null;

  constructor(
    combs: readonly FrameReading[],
    lostOn: Day | null = null,
    queenIs: 'elsewhere' | 'unknown' = 'elsewhere',
    counted = lostOn ?? '2026-05-09',
  ) {
    super(5);
    this.lostOn = lostOn;
    const other = this.hive('Other', [NEST], counted);
    const here = this.hive('Here', [combs], counted);
    if (lostOn === null) return;
    const partIds = [here.id, other.id];
    const parted = (queenHere: 'elsewhere' | 'unknown' | 'here') => ({
      v: 1 as const,
      day: lostOn,
      workId: null,
      queen: queenHere,
      partIds,
      emergence: null,
    });
    this.apiary = {
      ...this.apiary,
      colony: {
        ...this.apiary.colony,
        [here.id]: { ...here, separation: parted(queenIs) },
        [other.id]: { ...other, separation: parted(queenIs === 'unknown' ? 'unknown' : 'here') },
      },
    };
  }

  /** One cell was chosen when it was parted: its queen is expected in these days. */
  choose(emergence: Window): void {
    const { here } = this;
    if (!here.separation) throw new Error('not parted');
    this.apiary = {
      ...this.apiary,
      colony: {
        ...this.apiary.colony,
        [here.id]: { ...here, separation: { ...here.separation, emergence } },
      },
    };
  }

  get here(): Colony {
    return this.colony('Here');
  }

  /** What is seen, so many days after the loss, or on a day. */
  see(
    when: number | Day,
    said: Partial<Evidence>,
    name = 'Here',
    part: readonly [number, number] = [10, 10],
  ): Day {
    const day = typeof when === 'number' ? addDays(this.lostOn ?? '2026-05-09', when) : when;
    this.run({
      type: 'recordLook',
      followUpId: null,
      day,
      note: '',
      parts: [{ visitId: this.newId(), colonyId: this.colony(name).id, evidence: read(said, part) }],
      newIds: Array.from({ length: 12 }, () => this.newId()),
    });
    return day;
  }

  /** Everything that the views say of it on a day, in one text a view. */
  said(day: Day, name = 'Here') {
    const colony = this.colony(name);
    const a = assess(this.apiary, colony, day);
    const lists = hivesToday(this.apiary, day);
    const list = (['must', 'may', 'mustNot'] as const).find((k) =>
      lists[k].some((h) => h.colony.id === colony.id),
    );
    const found = remediesFor(this.apiary, colony, day, { coldNights: false });
    return {
      board: a.notice.words,
      next: a.needs.map((n) => `${n.notice.words}. ${n.why}`).join('\n'),
      list,
      leading: a.belief.belief.leading,
      odds: a.belief.belief.odds,
      lane: queenLane(this.apiary, colony, day),
      desk: found.remedies.filter((r) => r.blocked === null).map((r) => r.id),
      due: openFollowUps(this.apiary)
        .filter((f) => f.colonyIds.includes(colony.id))
        .map((f) => `${f.topic} ${f.window.likely}`),
    };
  }

  /** The verdict on an inspection as the page shows it before it is saved. */
  verdict(when: number | Day, said: Partial<Evidence>, part: readonly [number, number] = [10, 10]) {
    const day = typeof when === 'number' ? addDays(this.lostOn ?? '2026-05-09', when) : when;
    const joint = judgeLook(this.apiary, [{ colonyId: this.here.id, evidence: read(said, part) }], day);
    const own = joint.parts.find((p) => p.id === this.here.id)?.verdict;
    if (!own) throw new Error('no verdict');
    return {
      ...own,
      text: [own.headline, ...own.reasons, ...own.next.map((n) => `${n.what}. ${n.why}`)].join('\n'),
    };
  }
}
