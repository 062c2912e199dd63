import type { CommandOf } from '../../../records/index.ts';
import type { Draft } from '../draft.ts';
import { noteEnded } from '../noteEnded.ts';
import { notBefore } from './places.ts';

type Path = readonly (string | number)[];

/** Honey was taken: it is in the hive no more, and counts for the year. */
export function decideNoteHarvest(draft: Draft, command: CommandOf<'noteHarvest'>, path: Path): void {
  const { eventId, colonyId, day, kg } = command;
  const at = [...path, 'colonyId'];
  const colony = draft.need('colony', colonyId, at);
  if (!colony) return;
  noteEnded(draft, colony, at, 'Choose a colony that is there.');
  notBefore(draft, colony, day, [...path, 'day']);
  draft.add('event', { id: eventId, colonyId, day, body: { what: 'harvested', kg } }, [...path, 'eventId']);
}
