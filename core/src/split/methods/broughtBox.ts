import { emergencyEmergence } from '../../brood/index.ts';
import type { DonorFrames } from './donorFrames.ts';
import type { Donor, MethodInput, Setup } from '../base/method.ts';

/**
 * The new part in a box that is brought: every frame hangs in the old hive until it is carried over.
 *
 * @param slots - of the box
 * @param queenGoes - the frame on which she was seen begins in it
 */
export function broughtBox(
  frames: DonorFrames,
  slots: number,
  queenGoes = false,
): Pick<Setup, 'start' | 'restingPart' | 'newPart' | 'boxesThatMove' | 'broughtBox'> {
  return {
    start: {
      part: frames.all.map((i): 0 | 1 => (queenGoes && i === frames.queenAt ? 1 : 0)),
      shaken: frames.all.map(() => false),
    },
    restingPart: frames.all.map(() => 0),
    newPart: { min: 1, max: slots },
    boxesThatMove: [],
    broughtBox: { sizeId: frames.sizeId, slots },
  };
}

/**
 * When the queen is out that is raised from cells which are there or, without any, from eggs of that day: the first of all,
 * or of those that are left in it.
 *
 * @param left - which cells are left, where others are cut; all of them where none of these is there
 */
export function datedByCells(
  { donor, day }: MethodInput,
  frames: DonorFrames,
  left: (cell: Donor['cells'][number]) => boolean = () => true,
): Pick<Setup, 'emergence' | 'fromCells'> {
  const firstOf = (cells: Donor['cells']) =>
    cells
      .map((c) => c.emerges)
      .toSorted((a, b) => a.likely.localeCompare(b.likely) || a.earliest.localeCompare(b.earliest))[0];
  return {
    emergence: firstOf(donor.cells.filter(left)) ?? firstOf(donor.cells) ?? emergencyEmergence(day),
    fromCells: frames.hasCells,
  };
}

/** When the queen is out that is raised from eggs of that day, whatever cells there are. */
export function datedBySplit({ day }: MethodInput): Pick<Setup, 'emergence' | 'fromCells'> {
  return { emergence: emergencyEmergence(day), fromCells: false };
}
