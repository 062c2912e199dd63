import type { FollowUp } from '../apiary/records.ts';
import { addDays, type Day } from '../calendar/day.ts';
import { newUnitLooks, type LookText } from '../followup/newUnitLooks.ts';
import { windowAfter } from '../followup/windows.ts';
import type { CallOutBody } from './callOut.ts';

/** Cells are given one to three days after the break-up, once the bees know that they have no queen. */
const giveCells = (day: Day): LookText => ({
  topic: 'act',
  kind: 'look',
  window: windowAfter(day, 1, 2, 3),
  expect: 'A ripe cell goes between its brood frames: upright, warm, not jarred.',
});

/** When to come back to the units of a break-up, and what to expect then. */
export function callOutLooks(body: CallOutBody, day: Day, newId: () => string): FollowUp[] {
  const filled = body.units.filter((u) => body.calls.some((c) => c.to.at === 'unit' && c.to.key === u.key));
  return filled.flatMap((u): FollowUp[] => {
    const hasOwn = body.queens.some((q) => q.now === u.key);
    const queen = hasOwn ? 'old-queen' : u.recipe.queen;
    const looks = newUnitLooks(queen, day);
    const texts = queen === 'cell' ? [giveCells(day), ...afterGiving(looks, day)] : looks;
    return texts.map((look) => ({
      id: newId(),
      planId: null,
      colonyIds: [u.colonyId],
      status: 'open',
      ...look,
    }));
  });
}

/** Hands are kept off only once the cell is in. */
function afterGiving(looks: readonly LookText[], day: Day): LookText[] {
  const from = addDays(day, 4);
  return looks.map((l) =>
    l.kind === 'hands-off' ? { ...l, window: { ...l.window, earliest: from, likely: from } } : l,
  );
}
