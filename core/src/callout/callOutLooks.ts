import type { FollowUp, CallOutBody, CallUnit } from '../records/index.ts';
import { addDays, type Day, windowAfter } from '../basics/index.ts';
import { beesStay, emptyStand, newUnitLooks, type LookText } from '../followup/index.ts';
import { queenCalendar } from '../brood/index.ts';

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
  const atDusk: FollowUp[] =
    filled.length > 0 && body.givers.some((g) => g.whole)
      ? [
          {
            id: newId(),
            workId: null,
            colonyIds: filled.map((u) => u.colonyId),
            status: 'open',
            ...emptyStand(
              day,
              filled.every((u) => u.recipe.distance === 'away'),
            ),
          },
        ]
      : [];
  const ofEach = filled.flatMap((u): FollowUp[] => {
    const hasOwn = body.queens.some((q) => q.now === u.key);
    const queen = hasOwn ? 'old-queen' : u.recipe.queen;
    const looks = newUnitLooks(queen, day);
    const usual = queen === 'cell' ? [giveCells(day), ...afterGiving(looks, day)] : looks;
    // Who may have the old queen is looked at for eggs; what to do with its cells follows from that.
    const texts =
      !hasOwn && perhapsHere(body, u)
        ? [whichPart(day), ...usual.filter((l) => l.topic !== 'surplus-cells')]
        : usual;
    const stays = u.recipe.distance === 'same-yard' ? [beesStay(u.name, day)] : [];
    return [...stays, ...texts].map(filed(u.colonyId, newId));
  });
  return [...atDusk, ...ofEach];
}

const filed =
  (colonyId: string, newId: () => string) =>
  (look: LookText): FollowUp => ({
    id: newId(),
    workId: null,
    colonyIds: [colonyId],
    status: 'open',
    ...look,
  });

/** A queen that was never found may have gone along on a frame. */
function perhapsHere(body: CallOutBody, unit: CallUnit): boolean {
  return body.calls.some(
    (c) => c.to.at === 'unit' && c.to.key === unit.key && !body.queens.some((q) => q.giverId === c.giverId),
  );
}

const whichPart = (day: Day): LookText => ({
  topic: 'which-part',
  kind: 'look',
  window: { ...queenCalendar(day).eggsProveQueen, latest: queenCalendar(day).surplusCells.latest },
  expect: 'The old queen was not found. Eggs: she is here. Cells and no eggs: it raises one.',
});

/** Hands are kept off only once the cell is in. */
function afterGiving(looks: readonly LookText[], day: Day): LookText[] {
  const from = addDays(day, 4);
  return looks.map((l) =>
    l.kind === 'hands-off' ? { ...l, window: { ...l.window, earliest: from, likely: from } } : l,
  );
}
