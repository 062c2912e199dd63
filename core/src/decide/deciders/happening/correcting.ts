import { dayInWords } from '../../../basics/index.ts';
import { readingsOfVisit, visitsOf, type CommandOf } from '../../../records/index.ts';
import type { Draft } from '../draft.ts';
import { notBefore } from './places.ts';

type Path = readonly (string | number)[];

/**
 * Corrects a visit: its day, time, note and what was seen. Frames that were read move with it, as long as no other
 * count lies in between: it would be open which of the two shows how they are.
 */
export function decideCorrectVisit(draft: Draft, command: CommandOf<'correctVisit'>, path: Path): void {
  const visit = draft.need('visit', command.visitId, [...path, 'visitId']);
  const colony = visit && draft.need('colony', visit.colonyId, [...path, 'visitId']);
  if (!visit || !colony) return;
  notBefore(draft, colony, command.day, [...path, 'day']);
  if (command.day !== visit.day) {
    const [from, to] = [command.day, visit.day].toSorted();
    const between = visitsOf(draft.apiary, colony.id).find(
      (v) => v.id !== visit.id && v.purpose === 'count' && v.day >= (from ?? '') && v.day <= (to ?? ''),
    );
    if (visit.purpose === 'count' && between) {
      draft.problem(
        'counts-between',
        [...path, 'day'],
        `${colony.name} was also counted on ${dayInWords(between.day)}, which lies in between.`,
        'Choose a day on the same side of that count, or undo that count first.',
      );
      return;
    }
    for (const reading of readingsOfVisit(draft.apiary, visit.id))
      draft.put('reading', { ...reading, day: command.day });
  }
  draft.put('visit', {
    ...visit,
    day: command.day,
    time: command.time,
    note: command.note,
    evidence: command.evidence === undefined ? visit.evidence : command.evidence,
  });
}
