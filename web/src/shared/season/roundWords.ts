import type { Day } from '@incremen/core/basics';
import type { Apiary, SeasonRound } from '@incremen/core/records';
import { count } from '../../ui/format.ts';

const QUEENS = {
  raises: 'each raises its own queen',
  cell: 'each gets a ripe cell',
  mated: 'each gets a mated queen',
  'old-queen': 'the old queen moves, the colony raises another',
} as const;

/** A round as one would say it: “Make 6 nucs; each raises its own queen.” */
export function roundInWords(round: SeasonRound, apiary: Apiary): string {
  const where = round.yardId === null ? '' : ` in ${apiary.yard[round.yardId]?.name ?? 'a yard'}`;
  switch (round.what) {
    case 'nucs':
      return `Make ${count(round.parts, 'nuc')}${where}; ${QUEENS[round.queen]}.`;
    case 'halves':
      return `Halve ${count(round.parts, 'colony', 'colonies')}${where}; the half without her raises a queen.`;
    case 'queen-out':
      return `Move ${count(round.parts, 'old queen')} into ${round.parts === 1 ? 'a nuc' : 'nucs'}${where}; ${round.parts === 1 ? 'its colony raises' : 'their colonies raise'} new ones.`;
    case 'level':
      return `Level the colonies${where}: strong ones give a frame of capped brood to weak ones.`;
    case 'unite':
      return `Unite what has no queen or is too weak for the winter${where}.`;
    case 'come-down':
      return `Come down to ${count(round.parts, 'colony', 'colonies')}${where}: unite the weakest.`;
  }
}

/** Where a round is planned: the planner of a day with the same wish, or the colonies that it is about. */
export function placeToPlan(round: SeasonRound, apiary: Apiary, today: Day): string {
  const day = round.day < today ? today : round.day;
  const yard = round.yardId === null ? '' : `&yard=${round.yardId}`;
  switch (round.what) {
    case 'nucs':
    case 'queen-out':
      return `/plan?goal=makeNucs&count=${round.parts}&queen=${round.what === 'queen-out' ? 'old-queen' : round.queen}&day=${day}${yard || allYards(apiary)}`;
    case 'level':
      return `/plan?goal=level&day=${day}${yard || allYards(apiary)}`;
    case 'halves':
      return '/compare';
    case 'unite':
    case 'come-down':
      return '/weak';
  }
}

const allYards = (apiary: Apiary) =>
  Object.values(apiary.yard).filter((y) => y.closedOn === null).length > 1 ? '&yards=all' : '';
