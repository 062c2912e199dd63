import { addDays, dayInWords, windowAfter } from '../../../basics/index.ts';
import {
  QUEEN_ENDS,
  queenOf,
  type Colony,
  type CommandOf,
  type Queen,
  type QueenEnd,
} from '../../../records/index.ts';
import type { Draft } from '../draft.ts';
import { dropLooks, dropLooksOfLastSplit } from '../droppingLooks.ts';
import { newUnitLooks } from '../../../followup/index.ts';
import { fileJob, fileLooks } from '../fileJob.ts';
import { noteEnded } from '../noteEnded.ts';
import { retireQueen } from '../retireQueen.ts';

/** The last worker brood is out so many days after the last egg (Winston 1987). */
const WORKERS_OUT = 21;

type Path = readonly (string | number)[];

const isEnd = (did: string): did is QueenEnd => (QUEEN_ENDS as readonly string[]).includes(did);

/** Notes of a queen what was done or seen on a day, and draws what follows for the colony that she is in. */
export function decideNoteQueen(draft: Draft, command: CommandOf<'noteQueen'>, path: Path): void {
  const { day, did } = command;
  const queen = draft.need('queen', command.queenId, [...path, 'queenId']);
  if (!queen) return;
  if (queen.whereabouts.known === 'gone') {
    draft.problem(
      'queen-gone',
      [...path, 'queenId'],
      `This queen is gone${queen.end ? ` since ${dayInWords(queen.end.day)}` : ''}.`,
      'Enter the queen that is there now as another.',
    );
    return;
  }
  if (did === 'put-in') return putIn(draft, queen, command, path);
  const here = queen.whereabouts.known === 'colony' ? queen.whereabouts.colonyId : null;
  if (isEnd(did)) {
    retireQueen(draft, queen, day, did);
    // A queen that was replaced has a successor; of any other loss the colony is queenless from that day.
    if (did !== 'replaced' && here !== null) loseQueen(draft, here, day, [...command.newIds]);
    return;
  }
  const noted: Queen = { ...queen, history: [...queen.history, { day, did, colonyId: here }] };
  switch (did) {
    case 'caged':
      draft.put('queen', { ...noted, cagedSince: day });
      if (here !== null)
        fileJob(draft, [...command.newIds], {
          colonyIds: [here],
          topic: 'act',
          window: windowAfter(day, WORKERS_OUT, WORKERS_OUT + 1, WORKERS_OUT + 4),
          expect:
            'Let the queen out of her cage. No worker brood is capped now; drones are out three days later.',
        });
      return;
    case 'released':
      draft.put('queen', { ...noted, cagedSince: null });
      return;
    case 'laying':
      draft.put('queen', { ...noted, cagedSince: null, layingSince: queen.layingSince ?? day });
      return;
    case 'marked':
      draft.put('queen', { ...noted, dot: command.mark?.dot ?? null, number: command.mark?.number ?? null });
      return;
    case 'clipped':
      draft.put('queen', { ...noted, clipped: true });
      return;
    case 'to-stock':
      draft.put('queen', { ...noted, whereabouts: { known: 'stock' }, cagedSince: day });
      if (here !== null) loseQueen(draft, here, day, [...command.newIds]);
  }
}

/** The colony raises another from what it has, if it can: its lane begins. */
function loseQueen(draft: Draft, colonyId: string, day: string, ids: string[]): void {
  const colony = draft.get('colony', colonyId);
  if (!colony || colony.endedOn !== null || queenOf(draft.apiary, colonyId)) return;
  dropLooksOfLastSplit(draft, colony);
  draft.put('colony', {
    ...colony,
    separation: { v: 1, day, workId: null, queen: 'elsewhere', partIds: [colonyId], emergence: null },
  });
  fileLooks(draft, ids, colonyId, newUnitLooks('raises', day));
}

function putIn(draft: Draft, queen: Queen, command: CommandOf<'noteQueen'>, path: Path): void {
  const { day, into } = command;
  const at = [...path, 'into', 'colonyId'];
  if (!into) {
    draft.problem('unknown-id', [...path, 'into'], 'It is not said where she goes.', 'Choose a colony.');
    return;
  }
  const colony = draft.need('colony', into.colonyId, at);
  if (!colony) return;
  noteEnded(draft, colony, at, 'Choose a colony that is there.');
  const other = queenOf(draft.apiary, colony.id);
  if (other && other.id !== queen.id && !into.beside) {
    draft.problem(
      'two-queens',
      at,
      `${colony.name} already has a queen${other.name ? `, ${other.name}` : ''}.`,
      'Note first what became of her, or say that both are there.',
    );
    return;
  }
  const from = queen.whereabouts.known === 'colony' ? queen.whereabouts.colonyId : null;
  draft.put('queen', {
    ...queen,
    whereabouts: { known: 'colony', colonyId: colony.id },
    cagedSince: into.caged ? day : null,
    layingSince: null,
    history: [...queen.history, { day, did: 'put-in', colonyId: colony.id }],
  });
  const ids = [...command.newIds];
  welcome(draft, colony, day, into.caged, ids);
  if (from !== null && from !== colony.id) loseQueen(draft, from, day, ids);
}

/** What was due for a queen to be raised is overtaken; when to look after this one is filed. */
function welcome(draft: Draft, colony: Colony, day: string, caged: boolean, ids: string[]): void {
  dropLooks(
    draft,
    colony.id,
    (f) => f.topic !== 'entrance' && f.topic !== 'take-off' && f.topic !== 'take-out',
  );
  if (colony.separation) draft.put('colony', { ...colony, separation: null });
  if (caged)
    fileJob(draft, ids, {
      colonyIds: [colony.id],
      topic: 'cage',
      window: windowAfter(day, 3, 4, 5),
      expect:
        'The cage is empty and no cells are drawn. Cells: take them all out, or they will not have her.',
    });
  fileJob(draft, ids, {
    colonyIds: [colony.id],
    topic: 'eggs-due',
    window: { earliest: addDays(day, 7), likely: addDays(day, 8), latest: addDays(day, 14) },
    expect: 'Eggs by day 7 to 10. Idle for up to two weeks is settling: leave her alone.',
  });
}
