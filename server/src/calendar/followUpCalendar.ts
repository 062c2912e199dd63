import { addDays, dayInWords, type Day } from '@incremen/core/basics';
import { openFollowUps, type Apiary } from '@incremen/core/records';
import { followUpInShort } from '@incremen/core/followup';
import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';

const EVENING_BEFORE_SECONDS = 6 * 3600;

/**
 * What is due, as a calendar that a phone can subscribe to (iCalendar, RFC 5545). A look is an event of one day, on its
 * likeliest; days of rest are one long event that takes up no time. Overdue looks stand on the day that is asked for.
 *
 * @param yardId - one yard alone; null for all
 */
export function followUpCalendar(apiary: Apiary, name: string, today: Day, yardId: string | null): string {
  const calendar = ical({
    name: `${name}: inspections`,
    prodId: { company: 'Incremen', product: 'Incremen' },
  });
  calendar.method(ICalCalendarMethod.PUBLISH);
  for (const f of openFollowUps(apiary)) {
    const colonies = f.colonyIds.flatMap((id) => apiary.colony[id] ?? []);
    const yards = colonies.flatMap((c) => {
      const stand = c.hiveId === null ? null : apiary.hive[c.hiveId]?.standId;
      const yard = stand ? apiary.yard[apiary.stand[stand]?.yardId ?? ''] : undefined;
      return yard ? [yard] : [];
    });
    if (yardId !== null && !yards.some((y) => y.id === yardId)) continue;
    const rest = f.kind === 'hands-off';
    const { earliest, likely, latest } = f.window;
    const overdue = !rest && latest < today;
    const from = rest ? earliest : overdue ? today : likely;
    const names = colonies.map((c) => c.name).join(' and ');
    const location = [...new Set(yards.map((y) => y.name))].join(', ');
    calendar.createEvent({
      id: f.id,
      start: from,
      // The end of an all-day event is the day after it.
      end: addDays(rest ? latest : from, 1),
      allDay: true,
      summary: `${overdue ? 'Overdue: ' : ''}${names}: ${followUpInShort(f)}`,
      description: [
        f.expect,
        ...(rest || earliest === latest ? [] : [`From ${dayInWords(earliest)} to ${dayInWords(latest)}.`]),
      ].join('\n'),
      ...(location && { location }),
      // At six the evening before: an event of a whole day begins at midnight.
      ...(!rest && { alarms: [{ type: ICalAlarmType.display, trigger: EVENING_BEFORE_SECONDS }] }),
      transparency: rest ? ICalEventTransparency.TRANSPARENT : ICalEventTransparency.OPAQUE,
    });
  }
  return calendar.toString();
}
