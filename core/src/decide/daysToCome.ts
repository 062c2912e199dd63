import { dayInWords, type Day, type Problem } from '../basics/index.ts';
import type { Command } from '../records/index.ts';

type Told = { readonly day: Day; readonly path: readonly (string | number)[] };

/** Commands that tell of something on their day. Plans and appointments lie ahead and are not among them. */
const TOLD: ReadonlySet<Command['type']> = new Set([
  'recordCount',
  'recordLook',
  'noteFlow',
  'moveHive',
  'setEntrance',
  'stackHives',
  'unstackHive',
  'endColony',
  'recordSwarm',
  'noteHarvest',
  'noteExpense',
  'noteQueen',
  'changeCells',
  'readLoose',
  'takeOut',
  'correctVisit',
]);

/** The days on which something is told to have happened. */
function toldDays(command: Command): readonly Told[] {
  if (command.type === 'batch')
    return command.commands.flatMap((c, i) =>
      toldDays(c).map(({ day, path }) => ({ day, path: ['commands', i, ...path] })),
    );
  if (command.type === 'give') return [{ day: command.given.day, path: ['given', 'day'] }];
  if (command.type === 'enterCells')
    return command.cells.map((c, i) => ({ day: c.notedOn, path: ['cells', i, 'notedOn'] }));
  return TOLD.has(command.type) && 'day' in command ? [{ day: command.day, path: ['day'] }] : [];
}

/**
 * What is told of days that have not come: nothing can have been seen or done on them.
 *
 * @param latest - the last day that anybody can have today
 */
export function daysToCome(command: Command, latest: Day): Problem[] {
  return toldDays(command)
    .filter(({ day }) => day > latest)
    .slice(0, 5)
    .map(({ day, path }) => ({
      code: 'day-to-come',
      path: [...path],
      message: `${dayInWords(day)} ${day.slice(0, 4)} has not come yet.`,
      remedy: 'Correct the day. If today is wrong, set the clock of this device.',
    }));
}
