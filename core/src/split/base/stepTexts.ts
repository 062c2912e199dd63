import { capital } from '../../basics/index.ts';
import { CONTENT_CLASSES, CONTENT_NAMES, shareOf } from '../../comb/index.ts';
import type { PlanFrame } from './measure.ts';
import type { PartKey, PlannedMove, StepText } from './method.ts';

/**
 * A frame in a few words, by what there is most of: `capped brood, open brood`. Eggs are always said, however few: a
 * queen is raised from them.
 */
export function inWords(frame: PlanFrame): string {
  const shares = CONTENT_CLASSES.map((c) => ({ c, share: shareOf(frame.reading, c) })).toSorted(
    (a, b) => b.share - a.share,
  );
  const most = shares.filter((p) => p.share >= 0.1).slice(0, 2);
  const eggs = shares.filter((p) => p.c === 'eggs' && p.share > 0 && !most.includes(p));
  const parts = [...most, ...eggs].map((p) => CONTENT_NAMES[p.c]);
  return parts.length > 0 ? parts.join(', ') : 'little in it';
}

const partKey = (part: 0 | 1): PartKey => (part === 0 ? 'stay' : 'new');

/**
 * The steps for the frames that are carried, and one for those that slide over to make room.
 *
 * @param bees - what is done about the bees on a frame that is carried
 */
export function moveSteps(moves: readonly PlannedMove[], bees = 'Bees stay on it.'): StepText[] {
  const slides = moves.filter((m) => m.slides);
  return [
    ...moves.filter((m) => m.frame !== null && !m.slides).map((m) => moveStep(m, bees)),
    ...(slides.length > 0
      ? [
          {
            kind: 'move' as const,
            task: 'slide' as const,
            units: [...new Set(slides.map((m) => partKey(m.toPart)))],
            text: `Push the rest together: ${slides.length === 1 ? 'one frame slides' : `${slides.length} frames slide`}`,
            detail: slides.map((m) => `${capital(m.fromLabel)} → ${m.toLabel}`).join('; '),
            frameIds: slides.map((m) => m.frameId),
          },
        ]
      : []),
  ];
}

/** The step for one frame carried from one place to another. */
function moveStep(move: PlannedMove, bees: string): StepText {
  const frame = move.frame;
  return {
    kind: 'move',
    task: 'carry',
    units: ['stay', 'new'],
    text: `${capital(move.fromLabel)} → ${move.toLabel}`,
    detail: frame ? `${capital(inWords(frame))}. ${bees}` : '',
    frameIds: [move.frameId],
  };
}

/** A step for each frame whose bees are shaken into the new part. */
export function shakeSteps(shakes: readonly PlanFrame[], newName: string, detail: string): StepText[] {
  return shakes.map((f) => ({
    kind: 'shake',
    units: ['stay', 'new'],
    text: `Shake the bees of ${f.label} into ${newName}`,
    detail,
    frameIds: [f.id],
  }));
}

/** One step for all frames that come from the store. */
export function fillSteps(moves: readonly PlannedMove[]): StepText[] {
  const filled = moves.filter((m) => m.frame === null);
  if (filled.length === 0) return [];
  const count = (blank: 'drawn' | 'foundation') => filled.filter((m) => m.blank === blank).length;
  const parts = [
    ...(count('drawn') > 0 ? [`${count('drawn')} drawn`] : []),
    ...(count('foundation') > 0 ? [`${count('foundation')} foundation`] : []),
  ];
  return [
    {
      kind: 'fill',
      units: [...new Set(filled.map((m) => partKey(m.toPart)))],
      text: `Fill the free slots from the store: ${parts.join(', ')}`,
      detail: filled.map((m) => m.toLabel).join('; '),
      frameIds: filled.map((m) => m.frameId),
    },
  ];
}
