import type { MethodId } from '@incremen/core/records';

/** What fills a box of a sketch. */
export type SketchFill = 'mixed' | 'open' | 'capped' | 'honey' | 'empty' | 'cells';

/** A hive in a sketch, boxes from the bottom. */
export interface SketchHive {
  readonly boxes: readonly SketchFill[];
  /** An excluder lies on this box. */
  readonly excluderOn?: number;
  readonly queen?: { readonly box: number; readonly kind: 'old' | 'caged' };
  /** It stands on the old stand. */
  readonly isOld?: boolean;
}

/** How hives stand when the work is done, drawn for each way. */
export const WAY_SKETCHES: Readonly<Record<string, readonly SketchHive[]>> = {
  'walk-away-halves': [{ boxes: ['mixed'], isOld: true }, { boxes: ['mixed'] }],
  'queen-to-nuc': [
    { boxes: ['cells', 'mixed'], isOld: true },
    { boxes: ['capped'], queen: { box: 0, kind: 'old' } },
  ],
  'side-by-side': [
    { boxes: ['cells', 'honey'], isOld: true },
    { boxes: ['mixed', 'honey'], queen: { box: 0, kind: 'old' } },
  ],
  'open-brood-goes': [
    { boxes: ['capped', 'capped'], isOld: true },
    { boxes: ['open'], queen: { box: 0, kind: 'old' } },
  ],
  'shake-down': [{ boxes: ['mixed', 'open'], excluderOn: 0, queen: { box: 0, kind: 'old' }, isOld: true }],
  'caged-queen': [
    { boxes: ['mixed', 'open'], queen: { box: 0, kind: 'old' }, isOld: true },
    { boxes: ['capped'], queen: { box: 0, kind: 'caged' } },
  ],
  'spare-cells': [{ boxes: ['cells'], isOld: true }, { boxes: ['cells'] }],
  'brood-above': [
    { boxes: ['open', 'honey', 'capped'], excluderOn: 0, queen: { box: 0, kind: 'old' }, isOld: true },
  ],
  'assembly-line': [
    { boxes: ['mixed'], queen: { box: 0, kind: 'old' }, isOld: true },
    { boxes: ['capped'], queen: { box: 0, kind: 'caged' } },
    { boxes: ['capped'], queen: { box: 0, kind: 'caged' } },
    { boxes: ['capped'], queen: { box: 0, kind: 'caged' } },
  ],
  'one-into-several': [
    { boxes: ['mixed', 'empty'], queen: { box: 0, kind: 'old' }, isOld: true },
    { boxes: ['mixed'] },
    { boxes: ['mixed'] },
  ],
  'break-up': [
    { boxes: ['mixed'], queen: { box: 0, kind: 'old' }, isOld: true },
    { boxes: ['mixed'] },
    { boxes: ['mixed'] },
    { boxes: ['mixed'] },
  ],
  'autumn-reduction': [
    { boxes: ['mixed'], queen: { box: 0, kind: 'old' }, isOld: true },
    { boxes: ['capped'], queen: { box: 0, kind: 'caged' } },
  ],
} satisfies Record<MethodId, readonly SketchHive[]> & Record<string, readonly SketchHive[]>;
