import { isAboutToSwarm } from '../../colony/index.ts';
import { givesCombs } from '../../rules/index.ts';
import { type PlacedFrame, readingOf } from '../../records/index.ts';
import { BROOD_COMB } from '../../callout/index.ts';
import { hasLiveCell, shareOf, shareOfBees, WORKER_BROOD } from '../../comb/index.ts';
import { expectationOf, type Expectation } from './expectation.ts';
import { layingChance, type UnitFacts } from './unitFacts.ts';
import { broodOf, type UnitBees } from './unitProspect.ts';
import type { Day } from '../../basics/index.ts';

/** A comb that one unit may give to another. */
export interface Gift {
  readonly giver: UnitFacts;
  readonly frame: PlacedFrame;
  /** Frames of it that count: of capped brood, or of eggs. */
  readonly amount: number;
  /** What the giver has left. */
  readonly left: UnitBees;
}

/** A comb with the queen or with cells on it is not given away. */
const mayGo = (f: PlacedFrame) =>
  f.reading !== null && f.box.role === 'brood' && !f.reading.body.queenSeen && !hasLiveCell(readingOf(f));

/** Another colony that may be opened today, as far as is known healthy. */
const isAtHand = (o: UnitFacts, facts: UnitFacts): boolean =>
  o.colony.id !== facts.colony.id && !o.sick && o.counted && o.shut === null;

/** Healthy colonies with a laying queen that may be opened, those of the same yard first, the strongest first. */
export function giversFor(facts: UnitFacts, others: readonly UnitFacts[]): UnitFacts[] {
  return others
    .filter((o) => isAtHand(o, facts) && layingChance(o) > 0.6)
    .toSorted(
      (a, b) =>
        Number(b.yardId === facts.yardId) - Number(a.yardId === facts.yardId) ||
        broodOf(b.unit) - broodOf(a.unit),
    );
}

/** The comb of nearly hatching brood that can best be spared; null where every giver would fall below its floor. */
export function cappedGift(facts: UnitFacts, others: readonly UnitFacts[], size: string): Gift | null {
  return bestGift(facts, others, size, (f) => shareOf(readingOf(f), 'capped', 'emerging'), 0.3);
}

/** The comb of open brood whose nurses are wanted; null where every giver would fall below its floor. */
export function openGift(facts: UnitFacts, others: readonly UnitFacts[], size: string): Gift | null {
  return bestGift(facts, others, size, (f) => shareOf(readingOf(f), 'open'), 0.2);
}

/** The comb with eggs that a unit without a queen is given: little of it is enough. */
export function eggGift(facts: UnitFacts, others: readonly UnitFacts[], size: string): Gift | null {
  return bestGift(facts, others, size, (f) => shareOf(readingOf(f), 'eggs'), 0.02);
}

function bestGift(
  facts: UnitFacts,
  others: readonly UnitFacts[],
  size: string,
  amountOf: (f: PlacedFrame) => number,
  least: number,
): Gift | null {
  for (const giver of giversFor(facts, others)) {
    const { rules, unit } = giver;
    const [frame] = giver.frames
      .filter((f) => mayGo(f) && f.frame.sizeId === size && amountOf(f) >= least)
      .toSorted((a, b) => amountOf(b) - amountOf(a));
    if (!frame) continue;
    const of = (...c: Parameters<typeof shareOf>[1][]) => shareOf(readingOf(frame), ...c);
    const left = {
      bees: unit.bees,
      eggs: Math.max(0, unit.eggs - of('eggs')),
      open: Math.max(0, unit.open - of('open')),
      capped: Math.max(0, unit.capped - of('capped', 'emerging')),
    };
    const floor = giver.flow ? rules.donorFloorBrood : rules.donorFloorDearth;
    const combs = giver.frames.filter((f) => shareOf(readingOf(f), ...WORKER_BROOD) >= BROOD_COMB).length;
    if (broodOf(left) < floor || givesCombs(combs, rules) < 1) continue;
    return { giver, frame, amount: amountOf(frame), left };
  }
  return null;
}

/** Nurse bees from combs of open brood, the queen's comb aside. */
export interface NurseGift {
  readonly giver: UnitFacts;
  readonly frames: readonly PlacedFrame[];
  /** Frames of bees that arrive. */
  readonly bees: number;
}

/** Three or four combs of open brood whose bees can be spared; null where nobody has them. */
export function nurseGift(facts: UnitFacts, others: readonly UnitFacts[]): NurseGift | null {
  for (const giver of giversFor(facts, others)) {
    if (giver.unit.bees < giver.rules.giverBees * 0.8) continue;
    const frames = giver.frames
      .filter((f) => mayGo(f) && shareOf(readingOf(f), 'open') > 0.15)
      .toSorted((a, b) => shareOf(readingOf(b), 'open') - shareOf(readingOf(a), 'open'))
      .slice(0, giver.rules.shakesPerGiver);
    if (frames.length < 2) continue;
    const bees = frames.reduce((n, f) => n + shareOfBees(readingOf(f)) * giver.rules.stayOpenBrood, 0);
    return { giver, frames, bees };
  }
  return null;
}

/** A union of units, and what is expected of it. */
export interface UnionOfAll {
  /** The unit whose queen stays; null when none has one. */
  readonly queenOf: UnitFacts | null;
  readonly unit: UnitBees;
  readonly then: Expectation;
  /** Colonies more than they are expected to be apart. */
  readonly gain: number;
}

/** A union of a unit with another. */
export interface Union extends UnionOfAll {
  readonly partner: UnitFacts;
}

/** Bees of the smaller sides that are lost in fights and on the way of a union. Judgement, no source. */
const LOST_IN_UNION = 0.1;

/** Below this chance that she lays, no queen is kept for her own sake. Judgement, no source. */
const A_QUEEN = 0.4;

/** The unit whose queen stays: the one that lays more surely; of two that lay, the younger. */
function betterQueen(a: UnitFacts, b: UnitFacts): UnitFacts | null {
  const sure = (f: UnitFacts) => layingChance(f);
  if (Math.max(sure(a), sure(b)) < A_QUEEN) return null;
  if (Math.abs(sure(a) - sure(b)) > 0.2) return sure(a) > sure(b) ? a : b;
  const year = (f: UnitFacts) =>
    f.state.queen.state === 'here'
      ? (f.state.queen.queen.birthYear ?? 0)
      : f.belief.odds['newly-laying'] > 0.4
        ? 9999
        : 0;
  if (year(a) !== year(b)) return year(a) > year(b) ? a : b;
  return broodOf(a.unit) >= broodOf(b.unit) ? a : b;
}

/** The unit whose queen stays when units are united; null when none is likely enough to lay. */
export const unitOfQueen = (units: readonly UnitFacts[]): UnitFacts | null =>
  units.reduce<UnitFacts | null>(
    (best, u) => (best ? (betterQueen(best, u) ?? best) : layingChance(u) >= A_QUEEN ? u : null),
    null,
  );

/** What a union of two units or more comes to on a day. */
export function unionOfAll(units: readonly [UnitFacts, ...UnitFacts[]], on: Day): UnionOfAll {
  const queenOf = unitOfQueen(units);
  const sum = (k: keyof UnitBees) => units.reduce((s, u) => s + u.unit[k], 0);
  const most = Math.max(...units.map((u) => u.unit.bees));
  const unit = {
    bees: sum('bees') - LOST_IN_UNION * (sum('bees') - most),
    eggs: sum('eggs'),
    open: sum('open'),
    capped: sum('capped'),
  };
  const host = queenOf ?? units.at(-1) ?? units[0];
  const slots = Math.max(...units.map((u) => u.slots));
  const then = expectationOf({ ...host, slots }, 'leave', on, unit);
  const apart = units.reduce((s, u) => s + expectationOf(u, 'leave', on).colonies, 0);
  return { queenOf, unit, then, gain: then.colonies - apart };
}

/**
 * The union that leaves most colonies; null when there is nobody healthy and settled to unite with. One with swarm cells would swarm
 * all the same, and take the other's bees along.
 */
export function bestUnion(facts: UnitFacts, others: readonly UnitFacts[], on: Day): Union | null {
  if (isAboutToSwarm(facts.state)) return null;
  const unions = others
    .filter((o) => isAtHand(o, facts) && !isAboutToSwarm(o.state))
    .filter((o) => layingChance(o) > 0.6 || layingChance(facts) > 0.6)
    .map((o): Union => ({ partner: o, ...unionOfAll([facts, o], on) }));
  const near = (u: Union) => (u.partner.yardId === facts.yardId ? 0.05 : 0);
  // Of unions that leave as many colonies, the one that strengthens the weaker.
  const score = (u: Union) => u.gain + near(u) - 0.004 * u.partner.unit.bees;
  return unions.toSorted((a, b) => score(b) - score(a))[0] ?? null;
}
