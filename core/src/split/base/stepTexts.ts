import { CONTENT_CLASSES, CONTENT_NAMES, shareOf } from '../../comb/index.ts';
import { blanksInWords } from '../../records/index.ts';
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

/** One step for all frames that come from the store into a box. */
export function fillSteps(moves: readonly PlannedMove[], name: string): StepText[] {
  const filled = moves.filter((m) => m.frame === null);
  if (filled.length === 0) return [];
  return [
    {
      kind: 'fill',
      units: [...new Set(filled.map((m) => partKey(m.toPart)))],
      text: `Fill ${name} from the store: ${blanksInWords(filled)}`,
      detail: filled.map((m) => m.toLabel).join('; '),
      frameIds: filled.map((m) => m.frameId),
    },
  ];
}
