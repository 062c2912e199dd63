import type { Day } from '../../basics/index.ts';
import { operationOf, type Apiary, type Colony, type MethodId } from '../../records/index.ts';
import { houseRules, type HouseRules } from '../../rules/index.ts';
import { Weighing, type Fit } from '../base/fit.ts';
import type { SplitMethod } from '../base/method.ts';
import { methodById, METHODS, YARD_METHODS } from './registry.ts';
import { situationOf, tooLateToRaise, type Situation } from '../base/situation.ts';
import type { YardMethod } from './yardMethod.ts';

/** A method with how well it suits. */
export interface RankedMethod {
  readonly method: SplitMethod | YardMethod;
  readonly fit: Fit;
}

/** What the finder says. */
export interface MethodAdvice {
  /** Best first; those that cannot be done come last. */
  readonly ranked: readonly RankedMethod[];
  /** Why nothing should be split now, with the numbers; empty when something can be. */
  readonly waitBecause: readonly string[];
}

/** A method that scores less is not worth a split: waiting is. */
export const WORTH_IT = 40;

/** True when the method is planned for one colony at its own view. */
export function isSplitMethod(method: SplitMethod | YardMethod): method is SplitMethod {
  return 'setUp' in method;
}

/** Ranks all methods for what a beekeeper has and wants, with reasons; says so when none should be used now. */
export function findMethods(now: Situation, rules: HouseRules): MethodAdvice {
  const ranked = [...METHODS, ...YARD_METHODS]
    .map((method) => ({ method, fit: withoutIncrease(method, method.fit(new Weighing(now, rules))).done() }))
    .sort((a, b) => b.fit.score - a.fit.score);
  const best = ranked[0]?.fit.score ?? 0;
  return { ranked, waitBecause: best < WORTH_IT ? reasonsToWait(now, rules) : [] };
}

/** Why the records speak against a way on a day; null where they do not. */
export function whyNotNow(apiary: Apiary, colony: Colony, day: Day, methodId: MethodId): string | null {
  const rules = houseRules(operationOf(apiary).houseRules.changes);
  return methodById(methodId)
    .fit(new Weighing(situationOf(apiary, colony, day), rules))
    .done().cannot;
}

/** Ways that make no colony of their own. */
const NO_INCREASE: ReadonlySet<string> = new Set(['brood-above', 'autumn-reduction']);
/** A second hive that stands beside the first is united with it again after the flow. */
const UNITED_AGAIN: ReadonlySet<string> = new Set(['side-by-side']);

/** Where no colony is wanted, ways without increase come first. */
function withoutIncrease(method: SplitMethod | YardMethod, weighing: Weighing): Weighing {
  if (weighing.now.wanted > 0 || NO_INCREASE.has(method.id)) return weighing;
  return UNITED_AGAIN.has(method.id)
    ? weighing.bad(true, 10, 'It makes a colony for a while: the two are united again after the flow.')
    : weighing.bad(true, 45, 'It makes a colony, and none is wanted: it would have to be united again.');
}

function reasonsToWait(now: Situation, rules: HouseRules): string[] {
  const one = (n: number) => String(Math.round(n * 10) / 10);
  const least = rules.strongForNuc;
  if (now.hold !== null) return [now.hold];
  const reasons: string[] = [];
  if (now.bees < least) {
    reasons.push(
      `${now.name} has ${one(now.bees)} frames of bees; the smallest split wants ${one(least)}. A nuc needs ${one(rules.minBeesNewPart)} after drift, and ${now.name} must keep ${one(rules.weakBees)}.`,
    );
  }
  const brood = rules.donorFloorBrood + 1;
  if (now.brood < brood) {
    reasons.push(
      `${one(now.brood)} frames of brood, where it must keep ${one(rules.donorFloorBrood)} and a nuc takes one at least.`,
    );
  }
  if (now.season === 'early' && !now.dronesFly) {
    reasons.push('No drones yet. Begin when they fly, or when drone pupae have purple eyes.');
  }
  if (now.noRaising !== null) return [...reasons, now.noRaising];
  const tooLate = tooLateToRaise(now);
  if (now.season !== 'autumn' && tooLate !== null) {
    reasons.push(`${tooLate} A mated queen would be in time for longer.`);
  }
  if (now.season === 'autumn') {
    reasons.push('Too late for young queens to mate, and every part needs about eight weeks before winter.');
  }
  if (now.queen === 'gone' && now.cells === 'none') {
    reasons.push('No queen and no cells: see to her first; a colony without eggs has nothing to divide.');
  }
  if (reasons.length === 0) {
    reasons.push(
      'No way suits well. Read what speaks against the first of them, and change what can be changed.',
    );
  }
  return reasons;
}
