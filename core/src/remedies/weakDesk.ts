import type { Apiary } from '../records/index.ts';
import type { Day } from '../basics/index.ts';
import { pastLast, planBOf, queenLane } from '../followup/index.ts';
import { allFacts, remediesFor, type Remedies } from './remedies.ts';
import { usualHorizon } from './unit/usualHorizon.ts';
import { layingChance, type Outside, type UnitFacts } from './unit/unitFacts.ts';
import { hiveUpWindow, type HiveUpWindow } from './hiveUpWindow.ts';
import { nucReserve, type NucReserve } from './spares.ts';

/** Everything that a desk for weak units shows. */
export interface WeakDesk {
  readonly on: Day;
  /** Every unit that is alive. */
  readonly all: readonly UnitFacts[];
  /** Units that need something, those that cannot wait first; with words for those past their last date. */
  readonly units: readonly (Remedies & { readonly pastLast: string | null })[];
  /** Nucs with when they are ready for a full-sized box. */
  readonly nucs: readonly { readonly facts: UnitFacts; readonly window: HiveUpWindow }[];
  readonly reserve: NucReserve;
}

/** Whether a unit is a case for the desk. A part that raises its queen within its time is none. */
function isCase(facts: UnitFacts, past: boolean): boolean {
  const { lane } = facts.state;
  if (past || facts.sick) return true;
  const raising = lane === 'raising' || facts.belief.odds.cells + facts.belief.odds.virgin > 0.5;
  if (raising) return false;
  return (
    lane === 'weak' ||
    lane === 'watch' ||
    lane === 'unfit' ||
    (facts.looks.length > 0 && layingChance(facts) < 0.4)
  );
}

/** The weak and doubtful units of an operation, why they are weak, and what to do; and the nucs. */
export function weakDesk(apiary: Apiary, day: Day, outside: Outside, on?: Day): WeakDesk {
  const all = allFacts(apiary, day, outside);
  const [first] = all;
  const horizon = on ?? (first ? usualHorizon(first) : day);
  const units = all.flatMap((facts) => {
    const lane = queenLane(apiary, facts.colony, day);
    const planB = lane && planBOf(apiary, lane, day);
    const past = lane && planB && pastLast(lane, planB, day);
    if (!isCase(facts, past !== null)) return [];
    // Losses are cut by what is left before winter.
    const judgedOn = past !== null && on === undefined ? facts.season.frost : horizon;
    return [{ ...remediesFor(apiary, facts.colony, day, outside, judgedOn, all), pastLast: past }];
  });
  const gravity = (u: (typeof units)[number]) =>
    Number(u.facts.sick) * 4 + Number(u.pastLast !== null) * 2 + Number(u.left.colonies < 0.4);
  return {
    on: horizon,
    all,
    units: units.toSorted((a, b) => gravity(b) - gravity(a) || a.left.colonies - b.left.colonies),
    nucs: all.flatMap((facts) => {
      const window = hiveUpWindow(facts);
      return window ? [{ facts, window }] : [];
    }),
    reserve: nucReserve(all, horizon),
  };
}
