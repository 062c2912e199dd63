import type { StepDraft } from '../../records/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { listInWords } from '../../basics/index.ts';

const namesInWords = (units: readonly UnitFacts[]) => listInWords(units.map((u) => u.colony.name));

/** Both sides of one hive become one unit. */
export function partitionSteps(host: UnitFacts): StepDraft[] {
  return [
    {
      kind: 'open',
      units: [host.colony.id],
      text: `Open the hive of ${host.colony.name}, both sides`,
      detail: 'At dusk, little smoke.',
    },
    {
      kind: 'move',
      text: 'Draw the partition; hang a sheet of paper with a few slits in its place',
      detail: 'They meet through it in two or three days. One entrance is shut then.',
    },
  ];
}

/** Boxes are set on the host, a sheet of paper under each. */
export function paperSteps(host: UnitFacts, guests: readonly UnitFacts[], when: 'dusk' | 'day'): StepDraft[] {
  return [
    {
      kind: 'open',
      units: [host.colony.id],
      text: when === 'dusk' ? `At dusk, open ${host.colony.name}` : `By day, open ${host.colony.name}`,
      detail:
        when === 'dusk'
          ? 'All field bees are at home and come along.'
          : `Field bees of ${namesInWords(guests)} return to their old stand and join neighbours.`,
    },
    ...guests.flatMap((guest, i): StepDraft[] => [
      {
        kind: 'prepare',
        text: `Lay one sheet of newspaper over ${i === 0 ? 'its top bars' : `the top bars of ${guests[i - 1]?.colony.name}’s box`}; a few slits with the hive tool`,
        detail: 'They chew it away in two or three days and take on one smell.',
      },
      {
        kind: 'lift',
        units: [host.colony.id],
        text: `Set the box of ${guest.colony.name} on the paper`,
        detail:
          'Unlike box sizes: a board with a hole between. Combs of another size stay in their own box until the brood is out.',
      },
    ]),
  ];
}

/** The best combs of all hang in the one box of the host: brood beside brood, or a sheet upright between the two nests. */
export function oneBoxSteps(
  host: UnitFacts,
  guests: readonly UnitFacts[],
  laid: {
    readonly moves: readonly { readonly frameId: string }[];
    readonly detail: string;
    readonly left: number;
  },
  parted: boolean,
  when: 'dusk' | 'day',
): StepDraft[] {
  return [
    {
      kind: 'open',
      units: [host, ...guests].map((u) => u.colony.id),
      text: `${when === 'dusk' ? 'At dusk, open' : 'Open'} ${namesInWords([host, ...guests])}`,
      detail: `A puff of smoke in ${guests.length > 1 ? 'all of them' : 'both'}, so that they smell alike.`,
    },
    {
      kind: 'move',
      units: [host.colony.id],
      text: parted
        ? `Hang the combs of ${namesInWords(guests)} into the box of ${host.colony.name}, beyond a sheet of newspaper`
        : `Hang the best combs into the box of ${host.colony.name}, brood beside brood`,
      detail: `${parted ? 'A few slits in the sheet; it reaches from the lid to the floor, the brood of both against it. ' : ''}${laid.detail}`,
      frameIds: laid.moves.map((m) => m.frameId),
    },
    ...guests.map((guest): StepDraft => ({
      kind: 'shake',
      text: `Shake what is left of ${guest.colony.name} in${parted ? ', on its own side of the sheet' : ''}`,
      detail: 'Then its box and the spare combs go to the store.',
    })),
    ...(laid.left > 0
      ? [
          {
            kind: 'check' as const,
            text: 'A dummy board closes the nest',
            detail: `${laid.left} ${laid.left === 1 ? 'slot stays' : 'slots stay'} empty behind it: they keep warm what they cover.`,
          },
        ]
      : []),
  ];
}
