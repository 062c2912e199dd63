import { boxesOfColony, boxName, readingOf, theBox } from '../../records/index.ts';
import { addDays, capital } from '../../basics/index.ts';
import { hasLiveCell } from '../../comb/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { EMPTY_PLAN, type ActionPlan } from './actionPlan.ts';
import { sharesBoxes } from './unionWays.ts';

/**
 * The top brood box becomes a super as it stands: all its bees are shaken into the box below, the queen with them whoever
 * and wherever she is, an excluder goes between, and it empties as its brood emerges (common practice, no source; the days
 * are those of the brood, Winston 1987).
 *
 * @returns null for a hive of one brood box, or one that is shared
 */
export function boxToSuper(facts: UnitFacts, newId: () => string): ActionPlan | null {
  const { apiary, colony, day, frames, unit } = facts;
  const boxes = boxesOfColony(apiary, colony);
  const brood = boxes.filter((b) => b.role === 'brood');
  const top = brood.at(-1);
  if (!top || brood.length < 2 || sharesBoxes(facts)) return null;
  const name = boxName(boxes, top.id);
  const below = boxName(boxes, brood.at(-2)?.id ?? '');
  const combs = frames.filter((f) => f.box.id === top.id);
  const cells = combs.filter((f) => hasLiveCell(readingOf(f)));
  const hers = combs.find((f) => f.reading?.body.queenSeen);
  const supers = boxes.length - brood.length;
  const at = (from: number, likely: number, to: number) => ({
    earliest: addDays(day, from),
    likely: addDays(day, likely),
    latest: addDays(day, to),
  });
  return {
    ...EMPTY_PLAN,
    name: `${theBox(name)} of ${colony.name} becomes a super`,
    why: `The queen need not be found: with every bee of ${theBox(name)} shaken down she is below. Its brood emerges above the excluder; then it holds honey.`,
    units: [{ facts, after: unit }],
    effects: [
      { kind: 'box-to-super', colonyId: colony.id, boxId: top.id },
      ...(hers
        ? [
            {
              kind: 'queen-off-comb' as const,
              colonyId: colony.id,
              frameId: hers.frame.id,
              readingId: newId(),
            },
          ]
        : []),
    ],
    steps: [
      {
        kind: 'prepare',
        text: `Lay out the excluder and a place for ${supers > 0 ? 'supers and ' : ''}lid`,
        detail: 'Everything that is lifted needs a place before it is lifted.',
      },
      {
        kind: 'open',
        units: [colony.id],
        text: `Open ${colony.name}`,
        detail: `Warm, dry and still: much is shaken.${supers > 0 ? ' Supers off first, covered.' : ''}`,
      },
      {
        kind: 'lift',
        units: [colony.id],
        text: `Set ${theBox(name)} of ${colony.name} aside on the upturned roof`,
        detail: 'Covered; not cracked apart if cells hang between the boxes.',
      },
      {
        kind: 'check',
        units: [colony.id],
        text: `${capital(theBox(below))} has drawn comb beside its brood`,
        detail:
          'She lays there alone from now on: exchange a comb of honey for an empty one where it has none.',
      },
      ...(cells.length > 0
        ? [
            {
              kind: 'check' as const,
              task: 'cut-cells' as const,
              units: [colony.id],
              text: `Break the queen cells of ${theBox(name)} before its combs are shaken`,
              detail: `${cells.length === 1 ? 'Frame' : 'Frames'} ${cells.map((f) => f.slot).join(', ')}. A colony with cells near capping swarms all the same: split it instead.`,
              frameIds: cells.map((f) => f.frame.id),
            },
          ]
        : []),
      {
        kind: 'shake',
        units: [colony.id],
        text: `Shake every comb of ${theBox(name)} into ${theBox(below)}, and the box itself`,
        detail: `${combs.length} combs. Look for her on the comb, the walls and in the corners: no bee may stay in it. Old cups off.`,
      },
      {
        kind: 'lift',
        units: [colony.id],
        text: `Excluder on ${theBox(below)}, ${theBox(name)} on it${supers > 0 ? ', supers on top' : ''}`,
        detail: 'Nurses come up to their brood within hours.',
      },
      {
        kind: 'close',
        units: [colony.id],
        text: `Close ${colony.name}`,
        detail: 'A small upper entrance while drone brood emerges: drones do not pass the excluder.',
      },
    ],
    looks: [
      {
        colonyIds: [colony.id],
        topic: 'surplus-cells',
        window: at(6, 7, 9),
        expect:
          'Above the excluder: break every queen cell. Eggs below and none above: she is below. Eggs above: she went along; shake again.',
      },
      {
        colonyIds: [colony.id],
        topic: 'rhythm',
        window: at(21, 21, 24),
        expect:
          'No worker brood is left above, no drones from day 24: from then on it is a super, and what it holds may be honey.',
      },
    ],
    cautions: [
      'Shaking: many bees in the air. Full suit, and nobody near without one.',
      'Lifting: a full box may exceed 35 kg (80 lb). Take combs out, or lift in pairs.',
      'Honey is taken only from combs without brood, and not from those that were fed or treated.',
    ],
    kit: [{ what: 'queen excluder', count: 1 }],
  };
}
