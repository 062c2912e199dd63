import { changedBy, type Apiary, type Work } from '../records/index.ts';
import { dayInWords, type Problem } from '../basics/index.ts';

/**
 * A plan rests on units that were there when it was made: those that have ended since, each as a problem. The work
 * cannot be carried out without them, and nothing of it is half done.
 */
export function goneUnits(
  apiary: Pick<Apiary, 'colony'>,
  { body }: Pick<Work, 'body'>,
  path: Problem['path'] = [],
): Problem[] {
  const changed = changedBy(body);
  const ids = new Set([
    ...body.units.flatMap((u) => (changed.has(u.key) ? [u.colonyId] : [])),
    ...body.newHives.map((h) => h.fromColonyId),
    ...changed,
  ]);
  return [...ids].flatMap((id) => {
    const colony = apiary.colony[id];
    return colony && colony.endedOn !== null
      ? [
          {
            code: 'colony-ended',
            path,
            message: `${colony.name} ended on ${dayInWords(colony.endedOn)}: this work cannot be carried out as it was planned.`,
            remedy: 'Drop this plan and plan again from what is there now; nothing of it is in the records.',
          },
        ]
      : [];
  });
}
