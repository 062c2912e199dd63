import { frameSize } from '../../comb/index.ts';
import { markingColour, type Frame, type KitLine, type Queen } from '../../records/index.ts';
import type { Solved } from '../base/method.ts';
import type { LaidOut } from './layOut.ts';

/** What the work takes besides what its method names. */
function moreKit(
  { setup, input }: Solved,
  { gaps }: LaidOut,
  queen: Queen | undefined,
): { what: string; count: number }[] {
  const { boxes } = input.donor;
  const supersGo = boxes.some((b) => b.role === 'super' && setup.boxesThatMove.includes(b.id));
  const hasExcluder = boxes.some((b) => b.excluderBelow);
  const unmarked = queen && queen.dot === null && queen.birthYear !== null ? queen.birthYear : null;
  return [
    ...(gaps.length > 0 ? [{ what: 'dummy board', count: gaps.length }] : []),
    ...(supersGo && hasExcluder ? [{ what: 'queen excluder', count: 1 }] : []),
    ...(setup.distance === 'away'
      ? [
          { what: 'strap', count: 1 },
          { what: 'tape or foam for the entrance', count: 1 },
        ]
      : []),
    ...(unmarked === null
      ? []
      : [{ what: `marking pen, ${markingColour(unmarked)}: she is of ${unmarked}`, count: 1 }]),
  ];
}

/** What has to fit the frames of the colony. */
const FITS_FRAMES = /^(box|nuc box|frames|queen excluder|dummy board|super)/;

/**
 * What to bring: what the method names, what the boxes and the road ask for, and combs of the store; with the size of
 * frame that it has to fit.
 *
 * @param queen - the one on record in the colony: unmarked, she is marked when she is found
 */
export function planKit(
  ofMethod: readonly { what: string; count: number }[],
  solved: Solved,
  laid: LaidOut,
  queen: Queen | undefined,
): KitLine[] {
  const kit = [...ofMethod, ...moreKit(solved, laid, queen)];
  const broodBox = solved.input.donor.boxes.find((b) => b.role === 'brood');
  const size = broodBox && frameSize(broodBox.sizeId).name;
  return kitLines(kit, laid).map((k) => (size && FITS_FRAMES.test(k.what) ? { ...k, size } : k));
}

function kitLines(kit: readonly { what: string; count: number }[], laid: LaidOut): KitLine[] {
  const fromStore = (blank: Frame['blank']) => laid.moves.filter((m) => m.planned.blank === blank).length;
  const drawn = fromStore('drawn');
  const foundation = fromStore('foundation');
  return [
    ...kit.map((k) => ({ ...k, shortBy: null })),
    ...(drawn > 0 ? [{ what: 'frame of drawn comb from the store', count: drawn, shortBy: 0 }] : []),
    ...(foundation > 0
      ? [{ what: 'frame of foundation from the store', count: foundation, shortBy: 0 }]
      : []),
    ...(laid.unfilled > 0
      ? [{ what: 'frame for a free slot', count: laid.unfilled, shortBy: laid.unfilled }]
      : []),
  ];
}
