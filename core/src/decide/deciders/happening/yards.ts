import { dayInWords } from '../../../basics/index.ts';
import { coloniesOfYard, standsOfYard, type CommandOf } from '../../../records/index.ts';
import { problemsOfSeason } from '../../../season/index.ts';
import type { Draft } from '../draft.ts';

type Path = readonly (string | number)[];

/** Renames, places or closes a yard. One with colonies in it stays open. */
export function decideEditYard(draft: Draft, command: CommandOf<'editYard'>, path: Path): void {
  const yard = draft.need('yard', command.yardId, [...path, 'yardId']);
  if (!yard) return;
  const {
    name = yard.name,
    note = yard.note,
    position = yard.position,
    closedOn = yard.closedOn,
    season = yard.season,
  } = command;
  if (command.season) draft.problems.push(...problemsOfSeason(command.season, [...path, 'season']));
  const same = Object.values(draft.apiary.yard).find((y) => y.id !== yard.id && y.name === name);
  if (same) {
    draft.problem(
      'name-taken',
      [...path, 'name'],
      `There already is a yard called ${same.name}.`,
      'Choose another name.',
    );
  }
  const living = coloniesOfYard(draft.apiary, yard.id);
  if (closedOn !== null && living.length > 0) {
    const names = living.slice(0, 5).map((c) => c.name);
    draft.problem(
      'yard-in-use',
      [...path, 'closedOn'],
      `${yard.name} cannot be closed: ${names.join(', ')}${living.length > 5 ? ' and others' : ''} ${living.length === 1 ? 'lives' : 'live'} there.`,
      'Move them to another yard, or enter how they ended, first.',
    );
  }
  draft.put('yard', { ...yard, name, note, position, closedOn, season });
}

/** Gives the stands of a yard their order and their places in its plan. */
export function decideArrangeStands(draft: Draft, command: CommandOf<'arrangeStands'>, path: Path): void {
  if (!draft.need('yard', command.yardId, [...path, 'yardId'])) return;
  const here = new Set(standsOfYard(draft.apiary, command.yardId).map((s) => s.id));
  command.stands.forEach(({ id, order, spot, name }, i) => {
    const at = [...path, 'stands', i, 'id'];
    const stand = draft.need('stand', id, at);
    if (!stand) return;
    if (!here.has(id)) {
      draft.problem('other-yard', at, `${stand.name} stands in another yard.`, 'Arrange it there.');
      return;
    }
    draft.put('stand', { ...stand, order, spot, name: name ?? stand.name });
  });
}

/** Nothing is set up in a yard that is closed. @returns whether it is open */
export function isOpenYard(draft: Draft, yardId: string, path: Path): boolean {
  const yard = draft.need('yard', yardId, path);
  if (!yard) return false;
  if (yard.closedOn === null) return true;
  draft.problem(
    'yard-closed',
    path,
    `${yard.name} is closed since ${dayInWords(yard.closedOn)}.`,
    'Open it again, or choose another yard.',
  );
  return false;
}
