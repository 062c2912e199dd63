import { dayInWords, type Day, massInWords, type Units } from '../basics/index.ts';
import { doneOn } from '../forecast/index.ts';
import {
  FEED_WORDS,
  METHOD_NAMES,
  STACK_PARTING_WORDS,
  unitsOfWork,
  type Apiary,
  type Work,
  operationOf,
} from '../records/index.ts';

/** Something done or befallen that no count and no inspection tells: feed, a treatment, a move, a swarm, work. */
export interface Happening {
  readonly id: string;
  readonly day: Day;
  readonly colonyIds: readonly string[];
  readonly words: string;
}

/** What happened beside counts and inspections, the latest first. */
export function happeningsOf(apiary: Apiary): Happening[] {
  return [
    ...Object.values(apiary.given).map((g): Happening => ({
      id: g.id,
      day: g.day,
      colonyIds: [g.colonyId],
      words: `${givenInWords(g.body, operationOf(apiary).units)}${g.outOn === null ? '' : `; out on ${dayInWords(g.outOn)}`}${g.note === '' ? '' : `. ${g.note}`}`,
    })),
    ...Object.values(apiary.event).map((e): Happening => ({
      id: e.id,
      day: e.day,
      colonyIds: [e.colonyId],
      words: eventInWords(apiary, e.body),
    })),
    ...Object.values(apiary.work)
      .filter((w) => w.status === 'done')
      .map((w): Happening => ({
        id: w.id,
        day: doneOn(apiary, w),
        colonyIds: unitsOfWork(apiary, w).map((u) => u.colonyId),
        words: workInWords(w),
      })),
  ].toSorted((a, b) => b.day.localeCompare(a.day) || a.id.localeCompare(b.id));
}

function givenInWords(body: Apiary['given'][string]['body'], units: Units): string {
  if (body.kind === 'treatment')
    return `${body.what} put in${body.pieces === null ? '' : `, ${body.pieces}`}`;
  const left = body.leftKg === null ? '' : `, ${massInWords(body.leftKg, units)} left over`;
  return `${massInWords(body.kg, units)} of ${FEED_WORDS[body.what]}${left}`;
}

function eventInWords(apiary: Apiary, body: Apiary['event'][string]['body']): string {
  const name = (id: string) => apiary.colony[id]?.name ?? 'a colony';
  switch (body.what) {
    case 'moved': {
      const stand = apiary.stand[body.toStandId];
      const yard = stand && apiary.yard[stand.yardId];
      return `moved to ${yard ? `${yard.name}, ` : ''}${stand ? `stand ${stand.name}` : 'another stand'}, ${body.hour === 'dusk' ? 'at dusk' : 'by day'}`;
    }
    case 'entrance':
      return body.state === 'shut' ? 'entrance shut' : 'entrance opened';
    case 'swarmed':
      return body.hivedId === null
        ? 'swarmed; the swarm was lost'
        : `swarmed; the swarm lives in ${name(body.hivedId)}`;
    case 'stacked':
      return `set on ${name(body.onColonyId)}, ${STACK_PARTING_WORDS[body.parting]} between`;
    case 'unstacked':
      return `taken off ${name(body.fromColonyId)}`;
    case 'harvested':
      return `${massInWords(body.kg, operationOf(apiary).units)} of honey taken`;
  }
}

const workInWords = ({ name, body: { asked } }: Work): string =>
  asked.source === 'split' ? `${METHOD_NAMES[asked.methodId].toLowerCase()}: ${name}` : name;
