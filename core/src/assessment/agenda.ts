import type { Day } from '../basics/index.ts';
import { isJob } from '../followup/index.ts';
import { openFollowUps, placeOf, type Apiary, type Colony, type FollowUp } from '../records/index.ts';
import { assess, type Assessment, type Need } from './assess.ts';

/** What a colony needs by a day, and nobody has filed. */
export interface AgendaNeed {
  readonly colony: Colony;
  readonly need: Need;
}

/** What is due on one day in one yard. */
export interface AgendaDay {
  readonly day: Day;
  readonly yardId: string;
  readonly followUps: readonly FollowUp[];
  readonly needs: readonly AgendaNeed[];
}

/** What an inspection that is filed says already. */
const FILED: ReadonlySet<Need['notice']['id']> = new Set([
  'inspection-due',
  'inspection-overdue',
  'queen-look',
]);

/**
 * What is due, by day and yard: what was filed, and what each colony needs as it is assessed today. What is overdue stands
 * under today, first; then by the likely day.
 */
export function agendaOf(apiary: Apiary, today: Day): AgendaDay[] {
  const groups = new Map<string, { day: Day; yardId: string; followUps: FollowUp[]; needs: AgendaNeed[] }>();
  const groupOf = (colony: Colony | undefined, on: Day) => {
    const yardId = (colony && placeOf(apiary, colony).yard?.id) ?? '';
    const day = on < today ? today : on;
    const key = `${day} ${yardId}`;
    const group = groups.get(key) ?? { day, yardId, followUps: [], needs: [] };
    groups.set(key, group);
    return group;
  };
  const open = openFollowUps(apiary);
  const assessed = new Map(
    Object.values(apiary.colony)
      .filter((c) => c.endedOn === null && c.hiveId !== null)
      .map((c): [string, Assessment] => [c.id, assess(apiary, c, today)]),
  );
  // An inspection whose days are over is not made up for while its colony rests: the next one tells.
  const rests = (id: string) => {
    const opening = assessed.get(id)?.opening;
    return opening !== undefined && !opening.may && opening.because === 'queen';
  };
  const overtaken = (f: FollowUp) =>
    !isJob(f) && f.window.latest < today && f.colonyIds.every((id) => rests(id));
  for (const f of open.filter((g) => g.kind === 'look' && !overtaken(g)))
    groupOf(apiary.colony[f.colonyIds[0] ?? ''], f.window.likely).followUps.push(f);
  for (const { colony, needs } of assessed.values()) {
    const hasAct = open.some((f) => f.topic === 'act' && f.colonyIds.includes(colony.id));
    for (const need of needs) {
      const { id, urgent } = need.notice;
      if (!urgent || FILED.has(id) || (id === 'queen-act' && hasAct)) continue;
      groupOf(colony, need.by ?? today).needs.push({ colony, need });
    }
  }
  const overdue = (f: FollowUp) => f.window.latest < today;
  return [...groups.values()]
    .map((g) => ({
      ...g,
      followUps: g.followUps.toSorted(
        (a, b) => Number(overdue(b)) - Number(overdue(a)) || a.window.latest.localeCompare(b.window.latest),
      ),
    }))
    .toSorted((a, b) => a.day.localeCompare(b.day) || a.yardId.localeCompare(b.yardId));
}
