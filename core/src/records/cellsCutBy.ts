import type { StepDraft } from './bodies/work.ts';
import type { WorkEffect } from './bodies/workEffect.ts';

/**
 * What becomes of the queen cells that steps have cut out: every live one on the combs that they name.
 *
 * @param colonyIdOf - the colony of a unit by its key
 */
export const cellsCutBy = (
  steps: readonly StepDraft[],
  colonyIdOf: (unitKey: string) => string,
  newId: () => string,
): WorkEffect[] =>
  steps
    .filter((s) => s.task === 'cut-cells')
    .flatMap((s) =>
      (s.frameIds ?? []).map((frameId): WorkEffect => ({
        kind: 'cells-cut',
        colonyId: colonyIdOf(s.units?.[0] ?? ''),
        frameId,
        readingId: newId(),
        what: 'all',
      })),
    );
