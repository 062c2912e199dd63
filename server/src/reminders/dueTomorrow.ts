import { agendaOf } from '@incremen/core/assessment';
import { addDays, type Day } from '@incremen/core/basics';
import { followUpInShort } from '@incremen/core/followup';
import type { Apiary } from '@incremen/core/records';

/** What a device is told the evening before. */
export interface Reminder {
  readonly title: string;
  readonly body: string;
}

/** More lines than this no notification shows. */
const MOST = 4;

/** What is due tomorrow, and what cannot wait longer than tomorrow; null where nothing is. */
export function dueTomorrow(apiary: Apiary, today: Day): Reminder | null {
  const tomorrow = addDays(today, 1);
  const lines = agendaOf(apiary, today).flatMap((a) => [
    ...a.followUps
      .filter((f) => a.day === tomorrow || f.window.latest === tomorrow)
      .map((f) => {
        const names = f.colonyIds.flatMap((id) => apiary.colony[id]?.name ?? []).join(' and ');
        const last = f.window.latest === tomorrow ? ', the last day for it' : '';
        return `${names}: ${followUpInShort(f)}${last}`;
      }),
    ...a.needs.filter((n) => n.need.by === tomorrow).map((n) => `${n.colony.name}: ${n.need.notice.words}`),
  ]);
  const all = [...new Set(lines)];
  if (all.length === 0) return null;
  const more = all.length - MOST;
  return {
    title: all.length === 1 ? 'Due tomorrow' : `${all.length} things are due tomorrow`,
    body: [...all.slice(0, MOST), ...(more > 0 ? [`and ${more} more`] : [])].join('\n'),
  };
}
