import type { Day } from '../../basics/index.ts';
import { broodSlots, maySwarm } from '../../colony/index.ts';
import { colonyOn } from '../../forecast/index.ts';
import { queenBeliefOf, type DatedLook } from '../../queen-odds/index.ts';
import {
  judgeParts,
  type JointVerdict,
  type LookedPart,
  type PartHistory,
} from '../../queen-verdict/index.ts';
import { queenCame, visitsOf, type Apiary, type Colony } from '../../records/index.ts';

/** What is known of a colony since it was last parted, before a look on `day`. */
function historyOf(apiary: Apiary, colony: Colony, day: Day): PartHistory {
  const since = colony.separation?.day ?? null;
  return {
    name: colony.name,
    separatedOn: colony.separation?.queen === 'here' ? null : since,
    emergence: colony.separation?.emergence ?? null,
    maySwarm: hasBeesToSwarm(apiary, colony, day),
    came: queenCame(apiary, colony, day),
    gifts: colony.broodGiven,
    surplusOut: Object.values(apiary.followUp).some(
      (f) =>
        f.topic === 'surplus-cells' &&
        f.status !== 'dropped' &&
        f.colonyIds.includes(colony.id) &&
        // Not of a split long ago.
        since !== null &&
        f.window.latest >= since,
    ),
    earlier: visitsOf(apiary, colony.id)
      .filter((v) => v.evidence !== null && v.day < day && (since === null || v.day >= since))
      .toReversed()
      .flatMap((v) => (v.evidence ? [{ day: v.day, seen: v.evidence }] : [])),
  };
}

/**
 * The verdict on a look, as {@link decideLook} will store it: parts of one split are judged together, the
 * unopened ones included.
 */
export function judgeLook(
  apiary: Apiary,
  looks: readonly { readonly colonyId: string; readonly evidence: LookedPart['seen'] }[],
  day: Day,
): JointVerdict {
  const seen = new Map(looks.map((l) => [l.colonyId, l.evidence]));
  const first = looks[0] && apiary.colony[looks[0].colonyId];
  const separation = first?.separation;
  const jointly = separation?.queen === 'unknown' ? separation.partIds : looks.map((l) => l.colonyId);
  const ids = [...new Set([...jointly, ...looks.map((l) => l.colonyId)])];
  const parts = ids.flatMap((id): LookedPart[] => {
    const colony = apiary.colony[id];
    if (!colony || colony.endedOn !== null) return [];
    const now = seen.get(id) ?? null;
    return [
      {
        id,
        history: historyOf(apiary, colony, day),
        seen: now,
        belief: now && beliefsWith(apiary, colony, { day, seen: now }),
      },
    ];
  });
  return judgeParts(parts, day);
}

function hasBeesToSwarm(apiary: Apiary, colony: Colony, day: Day): boolean | null {
  const { model } = colonyOn(apiary, colony, day);
  return model && maySwarm(model.framesOfBees, broodSlots(apiary, colony));
}

function beliefsWith(apiary: Apiary, colony: Colony, now: DatedLook) {
  const { separation } = colony;
  const asIs = queenBeliefOf(apiary, colony, now.day, now).belief;
  if (!separation || separation.queen === 'here') return { asIs, ifQueenHere: asIs };
  const known: Colony = { ...colony, separation: { ...separation, queen: 'here' } };
  return { asIs, ifQueenHere: queenBeliefOf(apiary, known, now.day, now).belief };
}
