import { boxesOfColony, boxName, type StepDraft, theBox } from '../../records/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { EMPTY_PLAN, inAWeek, type ActionPlan } from './actionPlan.ts';
import { sharesBoxes } from './unionWays.ts';

/**
 * Every brood box and the floor exchanged for clean ones: each comb goes over into the same slot, box by box (common
 * practice, no source).
 *
 * @returns null where the boxes are shared with others
 */
export function cleanBoxes(facts: UnitFacts, newId: () => string): ActionPlan | null {
  const { apiary, colony, frames, unit } = facts;
  const boxes = boxesOfColony(apiary, colony);
  const brood = boxes.filter((b) => b.role === 'brood');
  if (brood.length === 0 || sharesBoxes(facts)) return null;
  const clean = brood.map((old) => ({ old, id: newId() }));
  const hasSupers = boxes.length > brood.length;
  const here = (boxId: string) =>
    frames.filter((f) => f.box.id === boxId).toSorted((a, b) => a.slot - b.slot);
  return {
    ...EMPTY_PLAN,
    name: `clean boxes for ${colony.name}`,
    why: 'Debris, damp and spores of the winter stay in the old boxes; the nest stays as it hangs.',
    units: [{ facts, after: unit }],
    newBoxes: clean.map(({ old, id }, i) => ({
      colonyId: colony.id,
      boxId: id,
      sizeId: old.sizeId,
      slots: old.slots,
      place: i === 0 ? 'in-place' : 'over',
      insteadOf: old.id,
    })),
    moves: clean.flatMap(({ old, id }) =>
      here(old.id).map((f) => ({
        frameId: f.frame.id,
        from: { boxId: old.id, slot: f.slot },
        to: { boxId: id, slot: f.slot },
        fromKey: colony.id,
        toKey: colony.id,
        reason: 'The same slot in a clean box: the nest stays as it hangs.',
      })),
    ),
    steps: [
      {
        kind: 'prepare',
        text: `Set out a clean floor and ${brood.length === 1 ? 'a clean box' : `${brood.length} clean boxes`}, and a place beside the stand`,
        detail: 'Scraped, flamed or scrubbed with washing soda, dry. Gas flame: nothing that burns nearby.',
      },
      {
        kind: 'open',
        units: [colony.id],
        text: `Set ${colony.name} beside its stand and open it`,
        detail: `A mild, still noon: combs are out for a moment.${hasSupers ? ' Supers off first, covered.' : ''}`,
      },
      {
        kind: 'lift',
        units: [colony.id],
        text: `Clean floor and clean box on the stand of ${colony.name}`,
        detail: 'The entrance faces as before: field bees fly in.',
      },
      // A hive of several boxes comes down from the top; the lowest is emptied first, and built up on it.
      ...clean.toReversed().flatMap(({ old }, i): StepDraft[] =>
        i === clean.length - 1
          ? []
          : [
              {
                kind: 'lift',
                units: [colony.id],
                text: `Set ${theBox(boxName(boxes, old.id))} aside on the upturned roof`,
                detail: 'Covered. It is emptied when its turn comes.',
              },
            ],
      ),
      ...clean.flatMap(({ old }, i): StepDraft[] => {
        const combs = here(old.id);
        const what = brood.length > 1 ? `${theBox(boxName(boxes, old.id))}` : 'the old box';
        return [
          ...(i > 0
            ? [
                {
                  kind: 'lift' as const,
                  units: [colony.id],
                  text: 'Set the next clean box on',
                  detail: `It takes the combs of ${what}.`,
                },
              ]
            : []),
          {
            kind: 'move',
            units: [colony.id],
            text: `Hang the ${combs.length} combs of ${what} over, each into the same slot`,
            detail:
              'Scrape the lugs. Look for the queen on every comb; brush the last bees out of the old box.',
            frameIds: combs.map((f) => f.frame.id),
          },
        ];
      }),
      {
        kind: 'check',
        units: [colony.id],
        text: 'Read the debris of the old floor: mites, mouldy pollen, wax of robbed cells',
        detail: 'Then take old floor and boxes away; nothing is left for robbers.',
      },
      {
        kind: 'close',
        units: [colony.id],
        text: `Close ${colony.name}`,
        detail: hasSupers ? 'Excluder and supers back on.' : 'Feeder and boards back in their slots.',
      },
    ],
    looks: [inAWeek(facts, 'Eggs: the queen came through it. Debris on the clean floor says where it sits.')],
    cautions: [
      'Lifting: a full box may exceed 35 kg (80 lb). Take combs out, or lift in pairs.',
      'Fire: a gas flame and dry grass. Have water at hand.',
    ],
    kit: [
      { what: 'box', count: brood.length },
      { what: 'floor', count: 1 },
    ],
  };
}
