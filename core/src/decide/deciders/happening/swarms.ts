import { windowAfter, type Day } from '../../../basics/index.ts';
import { queenOf, type Colony, type CommandOf } from '../../../records/index.ts';
import type { Draft } from '../draft.ts';
import { hivedSwarmLooks, newUnitLooks, swarmedLooks } from '../../../followup/index.ts';
import { fileLooks } from '../fileJob.ts';
import { dropLooksOfLastSplit } from '../droppingLooks.ts';
import { noteEnded } from '../noteEnded.ts';
import { retireQueen } from '../retireQueen.ts';
import { notBefore } from './places.ts';

type Path = readonly (string | number)[];

/**
 * A prime swarm leaves about when the first cells are capped, so that the first young queen emerges about a week later
 * (Winston 1987, The Biology of the Honey Bee; from memory).
 */
const emergenceAfterSwarm = (day: Day) => windowAfter(day, 1, 7, 9);

/** The old queen has left with a swarm: what stays raises a queen from cells that are there. */
export function decideRecordSwarm(draft: Draft, command: CommandOf<'recordSwarm'>, path: Path): void {
  const { day, hivedId } = command;
  const at = [...path, 'colonyId'];
  const colony = draft.need('colony', command.colonyId, at);
  if (!colony) return;
  noteEnded(draft, colony, at, 'Choose a colony that is there.');
  notBefore(draft, colony, day, [...path, 'day']);
  const hived = hivedId === null ? null : draft.need('colony', hivedId, [...path, 'hivedId']);
  if (hived === undefined) return;
  if (hived?.id === colony.id) {
    draft.problem(
      'own-mother',
      [...path, 'hivedId'],
      'A swarm is not the colony that it left.',
      'Add the hive that it was put into.',
    );
    return;
  }
  const queen = queenOf(draft.apiary, colony.id);
  const partIds = [colony.id, ...(hived ? [hived.id] : [])];
  dropLooksOfLastSplit(draft, colony);
  draft.put('colony', {
    ...colony,
    separation: { v: 1, day, workId: null, queen: 'elsewhere', partIds, emergence: emergenceAfterSwarm(day) },
  });
  if (hived) {
    draft.put('colony', { ...hived, origin: { how: 'swarm', fromColonyId: colony.id } });
    if (queen && !queenOf(draft.apiary, hived.id))
      draft.put('queen', {
        ...queen,
        whereabouts: { known: 'colony', colonyId: hived.id },
        history: [...queen.history, { day, did: 'swarmed', colonyId: hived.id }],
      });
  } else if (queen) retireQueen(draft, queen, day, 'swarmed');
  const [id, ...ids] = command.newIds;
  if (id === undefined) return;
  draft.add('event', { id, colonyId: colony.id, day, body: { what: 'swarmed', hivedId } }, [
    ...path,
    'newIds',
  ]);
  fileLooks(draft, ids, colony.id, swarmedLooks(day, emergenceAfterSwarm(day)));
  if (hived) fileLooks(draft, ids, hived.id, hivedSwarmLooks(day, queen !== undefined));
}

/** Corrects where a colony came from, since when it stands, and since when it has no queen. */
export function decideSetOrigin(draft: Draft, command: CommandOf<'setOrigin'>, path: Path): void {
  const colony = draft.need('colony', command.colonyId, [...path, 'colonyId']);
  if (!colony) return;
  const { origin, startedOn, queenlessSince } = command;
  const from = 'fromColonyId' in origin ? origin.fromColonyId : null;
  if (from !== null) {
    if (!draft.need('colony', from, [...path, 'origin', 'fromColonyId'])) return;
    if (descends(draft, from, colony.id)) {
      draft.problem(
        'own-mother',
        [...path, 'origin', 'fromColonyId'],
        `${draft.get('colony', from)?.name ?? 'That colony'} comes from ${colony.name} itself.`,
        'Choose the colony that was there before.',
      );
      return;
    }
  }
  if (queenlessSince !== null && queenlessSince < startedOn && origin.how !== 'made') {
    draft.problem(
      'before-colony',
      [...path, 'queenlessSince'],
      `It is without a queen since ${queenlessSince}, and there since ${startedOn}.`,
      'Correct one of the two days.',
    );
  }
  draft.put('colony', {
    ...colony,
    origin,
    startedOn,
    separation: queenlessSince === null ? colony.separation : queenless(colony, queenlessSince, from),
  });
  if (queenlessSince !== null && colony.separation?.day !== queenlessSince) {
    dropLooksOfLastSplit(draft, colony);
    fileLooks(draft, [...command.newIds], colony.id, newUnitLooks('raises', queenlessSince));
  }
}

const queenless = (colony: Colony, day: Day, from: string | null): Colony['separation'] => ({
  v: 1,
  day,
  workId: null,
  queen: 'elsewhere',
  partIds: [colony.id, ...(from === null ? [] : [from])],
  emergence: null,
});

/** True when a colony is the other, or came from it, however many steps before. */
function descends(draft: Draft, colonyId: string, fromId: string): boolean {
  const seen = new Set<string>();
  for (let next: string | null = colonyId; next !== null && !seen.has(next);) {
    if (next === fromId) return true;
    seen.add(next);
    const origin: Colony['origin'] | undefined = draft.get('colony', next)?.origin;
    next = origin && 'fromColonyId' in origin ? origin.fromColonyId : null;
  }
  return false;
}
