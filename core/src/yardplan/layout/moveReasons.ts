import { isDroneComb } from '../../brood/index.ts';
import { framesOfBeesFromCapped } from '../../comb/index.ts';
import { combKind } from '../problem/effects.ts';
import type { Evaluation } from '../search/evaluate.ts';
import type { LaidMove } from './layOutYard.ts';
import { AT } from '../rules/measures.ts';
import { notTheNextBest } from './nextBest.ts';
import { STORE, type Assignment, type YardProblem, type YardUnit } from '../problem/problem.ts';
import { missingOf } from '../rules/unitRule.ts';

const one = (n: number) => String(Math.round(n * 10) / 10);

/** Why a frame is moved, in one line, with the number that matters, and why not the next best. */
export function reasonOfMove(
  problem: YardProblem,
  plan: Assignment,
  seen: Evaluation,
  move: LaidMove,
): string {
  const next =
    move.index === null || move.fromUnit === move.toUnit
      ? ''
      : notTheNextBest(problem, plan, seen, move.index);
  return [whatItDoes(problem, seen, move), next].filter((t) => t !== '').join(' ');
}

function whatItDoes(problem: YardProblem, seen: Evaluation, move: LaidMove): string {
  const { units, frames } = problem;
  const to = units[move.toUnit];
  const from = units[move.fromUnit];
  if (!to) {
    if (isDroneComb(move.frame.reading))
      return 'Drones in a nuc are mouths: freeze or melt it today, before they emerge.';
    return from && hasWish(from, 'room') ? 'Makes room in the nest.' : 'Not needed where it hangs.';
  }
  if (move.index === null) {
    if (move.forDrones === true)
      return 'For drones, at the edge of the nest: cut out while it is capped, it takes mites along.';
    return move.frame.drawn > 0.5 ? 'Drawn comb fills the free slot.' : 'Foundation fills the free slot.';
  }
  if (move.fromUnit === move.toUnit) return 'Pushed together: brood beside brood, and no gap for wild comb.';
  const frame = frames[move.index];
  if (!frame) return 'Fills the free slot.';
  const pinned = frame.pinnedTo === null ? '' : ' You decided so.';
  if (move.fromUnit === STORE) {
    return `${frame.blank === 'drawn' ? 'Drawn comb' : 'Foundation'} for ${to.name}: ${to.kind === 'nuc' ? 'a young queen needs cells to lay in' : 'room to lay'}.${pinned}`;
  }
  const left = from
    ? ` ${from.name} keeps ${one(seen.after[from.index]?.[AT.brood] ?? 0)} of ${one(from.before[AT.brood] ?? 0)} brood.`
    : '';
  switch (combKind(frame)) {
    case 'brood': {
      if (frame.capped >= 0.5 * frame.brood) {
        const bees = frame.capped * framesOfBeesFromCapped(problem.reference).likely;
        return `Its ${one(frame.capped)} of capped brood emerges as about ${one(bees)} frames of bees for ${to.name}.${left}${pinned}`;
      }
      if (to.recipe?.queen === 'raises' && frame.eggsTenths > 0) {
        return `Its eggs are what ${to.name} raises a queen from.${left}${pinned}`;
      }
      return `${one(frame.brood)} of brood, with nurses that stay on it.${left}${pinned}`;
    }
    case 'stores':
      return to.kind === 'nuc'
        ? `Food for the days without field bees: ${one(frame.stores)} of honey.${pinned}`
        : `${one(frame.stores)} of honey for ${to.name}.${pinned}`;
    case 'empty':
    case 'foundation':
      return `Room to lay for ${to.name}.${pinned}`;
    case 'mixed':
      return frame.beeBread >= 0.15
        ? `Bee bread for ${to.name}: without it no brood is raised.${pinned}`
        : `Bees and food for ${to.name}.${pinned}`;
  }
}

/** Why the bees of a frame are shaken out. */
export function reasonOfShake(problem: YardProblem, seen: Evaluation, index: number, target: number): string {
  const frame = problem.frames[index];
  const unit = problem.units[target] as YardUnit;
  const share = problem.rules.stayOpenBrood;
  const nurses = (frame?.bees ?? 0) * (unit.recipe?.distance === 'away' ? problem.rules.stayAway : share);
  return `Its nurses add ${one(nurses)} frames of bees that stay: ${unit.name} then has ${one(seen.after[target]?.[AT.bees] ?? 0)}.`;
}

function hasWish(unit: YardUnit, measure: 'room'): boolean {
  return unit.rules.some(
    (r) => !r.hard && r.terms.some(([m]) => m === measure) && missingOf(r, unit.before) > 0,
  );
}
