import { lowerFirst, capital } from '../../basics/index.ts';
import type { Setup } from '../base/method.ts';
import { inWords } from '../base/stepTexts.ts';
import { measureParts, type Choice, type PlanFrame } from '../base/measure.ts';
import type { PartMeasure } from '../base/measure.ts';
import { missedBy, priceOf, type PlanRule } from '../base/rules.ts';
import { worseInWords, type StayShares } from '../../brood/index.ts';

/** What a reason is made from: the solved problem and the names of its parts. */
export interface ReasonContext {
  readonly frames: readonly PlanFrame[];
  readonly setup: Setup;
  readonly choice: Choice;
  readonly shares: StayShares;
  readonly names: readonly [string, string];
}

/**
 * Why a frame is moved, in one line: by what would be worse if it stayed where it hangs.
 *
 * The frame is put back in thought and the rules are read again; the rule that suffers most is the reason.
 * When no rule suffers, the balance does, and that is said with its numbers.
 */
export function reasonForMove(at: number, context: ReasonContext): string {
  return [whatItDoes(at, context), notTheNextBest(at, context)].filter((t) => t !== '').join(' ');
}

/** Why this comb and not the next best that stays where it was, which is put in its place in thought; empty where none is. */
function notTheNextBest(at: number, context: ReasonContext): string {
  const { frames, setup, choice } = context;
  const frame = frames[at] as PlanFrame;
  const home = choice.part[at] === 0 ? 1 : 0;
  if (frame.hasQueen || frame.liveCells > 0) return '';
  const now = measure(context, choice);
  const worth = (m: readonly [PartMeasure, PartMeasure], c: Choice) =>
    priceOf(setup.rules, ...m) + setup.wish(...m, c);
  const best = setup.movable
    .filter(
      (i) =>
        i !== at && choice.part[i] === home && !choice.shaken[i] && isAlike(frames[i] as PlanFrame, frame),
    )
    .map((i) => {
      const part = choice.part.map((p, j) => (j === at || j === i ? (p === 0 ? 1 : 0) : p));
      const other: Choice = { part, shaken: choice.shaken };
      const without = measure(context, other);
      return { i, without, price: worth(without, other) };
    })
    .toSorted((a, b) => a.price - b.price)[0];
  if (!best || best.price <= worth(now, choice)) return '';
  const other = frames[best.i] as PlanFrame;
  const hit = worstHit(setup.rules, now, best.without);
  if (hit) {
    const miss = hit.rule.sense === 'atLeast' ? 'would fall short' : 'would be too much';
    return `Not ${lowerFirst(other.label)}: ${lowerFirst(hit.rule.label)} ${miss}.`;
  }
  const why = worseInWords(other, frame);
  return why === null ? '' : `Not ${lowerFirst(other.label)}: ${why}.`;
}

/** Both brood combs, or neither. */
const isAlike = (a: PlanFrame, b: PlanFrame) =>
  a.brood >= 0.25 === b.brood >= 0.25 && a.foundation < 0.5 === b.foundation < 0.5;

function whatItDoes(at: number, context: ReasonContext): string {
  const { frames, setup, choice, names } = context;
  const frame = frames[at] as PlanFrame;
  const to = choice.part[at] as 0 | 1;
  const what = inWords(frame);
  if (frame.hasQueen && setup.queen[to] === 'here') return `The queen is on it (${what}).`;
  const back: Choice = {
    part: choice.part.map((p, i) => (i === at ? (p === 0 ? 1 : 0) : p)),
    shaken: choice.shaken,
  };
  const now = measure(context, choice);
  const without = measure(context, back);
  const worst = worstHit(setup.rules, now, without);
  if (worst) {
    const value = worst.rule.value(...without);
    return `${capital(what)}: without it ${lowerFirst(worst.rule.label)} would be ${short(value, worst.rule.threshold)} of ${show(worst.rule.threshold)} ${worst.rule.unit}.`;
  }
  const part = (m: readonly [PartMeasure, PartMeasure], i: 0 | 1) => show(m[i].broodFrames);
  if (frame.brood > 0.15) {
    return `${capital(what)}: brood ${part(now, 0)} in ${names[0]} and ${part(now, 1)} in ${names[1]}, instead of ${part(without, 0)} and ${part(without, 1)}.`;
  }
  if (frame.stores > 0.3) {
    return `Stores: ${show(now[0].storesFrames)} and ${show(now[1].storesFrames)} frames, instead of ${show(without[0].storesFrames)} and ${show(without[1].storesFrames)}.`;
  }
  return frame.drawn > 0.4
    ? `Empty comb: room for her to lay in ${names[to]}.`
    : `${capital(what)}: makes room for a fuller comb in return.`;
}

/** Why the bees of a frame are shaken into the new part. */
export function reasonForShake(at: number, context: ReasonContext): string {
  const { setup, choice, names } = context;
  const unshaken: Choice = { part: choice.part, shaken: choice.shaken.map((s, i) => (i === at ? false : s)) };
  const now = measure(context, choice)[1];
  const without = measure(context, unshaken)[1];
  const worst = worstHit(setup.rules, measure(context, choice), measure(context, unshaken));
  const gain = `nurses bring ${names[1]} from ${show(without.framesOfBeesAfterDrift)} to ${show(now.framesOfBeesAfterDrift)} frames of bees after drift`;
  return worst ? `${capital(gain)}; ${lowerFirst(worst.rule.label)} needs it.` : `${capital(gain)}.`;
}

const measure = (c: ReasonContext, choice: Choice) =>
  measureParts(c.frames, choice, c.setup.distance, c.shares);

function worstHit(
  rules: readonly PlanRule[],
  now: readonly [PartMeasure, PartMeasure],
  without: readonly [PartMeasure, PartMeasure],
): { rule: PlanRule; cost: number } | undefined {
  let worst: { rule: PlanRule; cost: number } | undefined;
  for (const rule of rules) {
    const cost = rule.price * (missedBy(rule, rule.value(...without)) - missedBy(rule, rule.value(...now)));
    if (cost > 0.01 && (!worst || cost > worst.cost)) worst = { rule, cost };
  }
  return worst;
}

const show = (n: number) => String(Math.round(n * 10) / 10);
/** A value that misses its mark by little is not to read like the mark. */
const short = (n: number, mark: number) =>
  show(n) === show(mark) ? String(Math.round(n * 100) / 100) : show(n);
