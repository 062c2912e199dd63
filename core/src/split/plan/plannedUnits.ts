import type { UnitStrength, WorkEffect, WorkUnit } from '../../records/index.ts';
import type { PartMeasure, PlanFrame } from '../base/measure.ts';
import type { PlannedPart, Setup } from '../base/method.ts';
import type { LaidOut } from './layOut.ts';

/** The key of the part that comes out of the colony. */
export const NEW_KEY = 'new';

/** Both parts as they stand when the work is done. */
export function partsOf(
  stayId: string,
  freshId: string,
  freshName: string,
  stayName: string,
  setup: Setup,
  [stay, fresh]: readonly [PartMeasure, PartMeasure],
  laid: LaidOut,
): [PlannedPart, PlannedPart] {
  return [
    {
      key: 'stay',
      colonyId: stayId,
      name: stayName,
      queen: setup.queen[0],
      distance: 'stand',
      measure: stay,
      slots: [...laid.slots[0]],
    },
    {
      key: 'new',
      colonyId: freshId,
      name: freshName,
      queen: setup.queen[1],
      distance: setup.distance,
      measure: fresh,
      slots: [...laid.slots[1]],
    },
  ];
}

const strengthOf = (m: PartMeasure): UnitStrength => ({
  frames: m.frames,
  bees: m.framesOfBeesAfterDrift,
  brood: m.broodFrames,
  capped: m.cappedFrames,
  stores: m.storesFrames,
});

/** The units of the work: what stays, and what comes out of it. */
export function unitsOf(
  parts: readonly [PlannedPart, PlannedPart],
  setup: Setup,
  nothingMoved: PartMeasure,
  toYardId: string | undefined,
): WorkUnit[] {
  const isAbove = setup.distance === 'above';
  return parts.map(({ key, colonyId, name, queen, measure }): WorkUnit => ({
    key: key === 'stay' ? colonyId : NEW_KEY,
    colonyId,
    name,
    state: key === 'stay' ? 'stays' : isAbove ? 'above' : 'new',
    distance: key === 'stay' ? null : setup.distance,
    ...(key === 'new' && toYardId !== undefined && { toYardId }),
    gets: key === 'new' && queen === 'here' ? (isTwoQueens(parts) ? 'mated' : 'old-queen') : null,
    // Where brood only goes above, the colony stays one.
    parted: isAbove
      ? null
      : {
          queen,
          emergence:
            queen === 'here' || !setup.fromCells ? null : { window: setup.emergence, anchor: 'cells' },
          partIds: parts.map((p) => p.colonyId),
        },
    before: key === 'stay' ? strengthOf(nothingMoved) : null,
    after: strengthOf(measure),
  }));
}

/** Where both have one, the old queen stays and the new part is given another. */
const isTwoQueens = (parts: readonly PlannedPart[]) => parts.every((p) => p.queen === 'here');

/**
 * The comb on which the queen was seen, where it ends in a part that she is not in: she was shaken off it or carried over by
 * hand.
 */
export function queenOffComb(
  frames: readonly PlanFrame[],
  parts: readonly [PlannedPart, PlannedPart],
  newId: () => string,
): WorkEffect[] {
  return frames.flatMap((f): WorkEffect[] => {
    const part = f.hasQueen && parts.find((p) => p.slots.some((s) => s.frameId === f.id));
    return part && part.queen === 'elsewhere'
      ? [{ kind: 'queen-off-comb', colonyId: parts[0].colonyId, frameId: f.id, readingId: newId() }]
      : [];
  });
}

/** What becomes of the queen and the excluder, beside frames. */
export function effectsOf(parts: readonly [PlannedPart, PlannedPart], isAbove: boolean): WorkEffect[] {
  const [stay, fresh] = parts;
  if (isAbove) return [{ kind: 'excluder-in', colonyId: stay.colonyId }];
  if (fresh.queen === 'unknown')
    return [{ kind: 'queen-unsure', fromId: stay.colonyId, colonyIds: [stay.colonyId, fresh.colonyId] }];
  return fresh.queen === 'here' && stay.queen !== 'here'
    ? [{ kind: 'queen-over', colonyId: stay.colonyId, intoId: fresh.colonyId }]
    : [];
}
