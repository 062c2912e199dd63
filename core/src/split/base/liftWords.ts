import { theBox } from '../../records/index.ts';
import { capital } from '../../basics/index.ts';
import type { StepDraft } from '../../records/index.ts';
import { weightInWords } from './boxWeight.ts';

/** A box that is lifted. */
export interface LiftedBox {
  readonly name: string;
  readonly role: 'brood' | 'super';
  readonly excluderBelow: boolean;
}

/** What is done, without the units that it is done at. */
type Words = Omit<StepDraft, 'units'>;

/** Where boxes are set down, the first of them and those that follow. */
const PLACES = [
  'the upturned roof',
  'a spare floor beside it',
  'another floor or two bars beside it',
] as const;

/** A box is set down on a named place, and the excluder under it is taken off. @param before - boxes set down before it */
export const setDown = (box: LiftedBox, before: number, kg: number): Words[] => [
  {
    kind: 'lift',
    kg,
    text: `Set ${theBox(box.name)} down on ${PLACES[before] ?? PLACES[2]}`,
    detail: `${capital(weightInWords(kg))}. ${box.role === 'super' ? 'Cover it at once: honey that stands open is robbed.' : 'Covered with a cloth.'}`,
  },
  ...(box.excluderBelow
    ? [
        {
          kind: 'lift' as const,
          text: 'Excluder off',
          detail: 'Look for the queen on it before you put it down.',
        },
      ]
    : []),
];

/** A box goes back to where it stood. */
export const setBack = (box: LiftedBox, kg: number): Words => ({
  kind: 'lift',
  kg,
  text: box.excluderBelow ? `Excluder on, then ${theBox(box.name)} back` : `Set ${theBox(box.name)} back`,
  detail: `${capital(weightInWords(kg))} before. Lower it slowly, so that no bees are crushed.`,
});

/** A comb waits. @param from - where it hangs, in words */
export const setAside = (frameId: string, from: string): Words => ({
  kind: 'move',
  task: 'aside',
  text: `${capital(from)} aside`,
  detail: 'With its bees, covered, in the shade: its slot is free in a moment.',
  frameIds: [frameId],
});

/** Combs of one box slide, so that no gap is left. @param name - of the box or hive */
export const pushTogether = (
  name: string,
  slides: readonly { readonly frameId: string; readonly from: number | null; readonly to: number | null }[],
): Words => ({
  kind: 'move',
  task: 'slide',
  text: `Push ${name} together: ${slides.length === 1 ? 'one frame slides' : `${slides.length} frames slide`}`,
  detail: slides.map((s) => `Frame ${s.from ?? '?'} → slot ${s.to ?? '?'}`).join('; '),
  frameIds: slides.map((s) => s.frameId),
});

/**
 * What is lifted in the course of the work, for the back of whoever lifts it. Null where nothing is.
 *
 * @returns `Lifting: 4 times, about 96 kg (212 lb) in all; the heaviest about 28 kg (62 lb). ...`
 */
export function liftsInWords(steps: readonly { readonly kg?: number }[]): string | null {
  const weights = steps.flatMap((s) => (s.kg === undefined ? [] : [s.kg]));
  if (weights.length === 0) return null;
  const all = weights.reduce((a, b) => a + b, 0);
  const heaviest = Math.max(...weights);
  return weights.length === 1
    ? `Lifting: one box, ${weightInWords(all)}. Lift it in pairs, or carry its frames over one by one.`
    : `Lifting: ${weights.length} times, ${weightInWords(all)} in all; the heaviest ${weightInWords(heaviest)}. Lift in pairs, or carry frames over one by one.`;
}
