import { boxesOfColony } from '../../records/index.ts';
import { isNuc, NUC_SLOTS } from '../../rules/index.ts';
import { unitOfQueen } from '../unit/partners.ts';
import { layingChance, type UnitFacts } from '../unit/unitFacts.ts';
import type { ActionChoice } from './actionPlan.ts';
import { combsForOneBox } from './oneBox.ts';

/** Below this chance of a laying queen a unit counts as queenless: then no paper is needed in a flow. */
const QUEENLESS = 0.25;

/** A box over paper on another; in one box with a sheet hung upright between them; or comb to comb. */
export type UnionWay = 'paper' | 'sheet' | 'direct';

/** How units may be united, and why one way is the usual. */
export interface UnionWays {
  readonly usual: UnionWay;
  readonly why: string;
  /** Why they do not go into one box at once; null when they do. */
  readonly noOneBox: string | null;
  /** Why no sheet can part them in one box; null when one can. */
  readonly noSheet: string | null;
}

/** Which way of uniting suits two units or several. */
export function waysToUnite(units: readonly UnitFacts[], boxOf?: string): UnionWays {
  const host = hostOf(units, boxOf);
  const guests = units.filter((u) => u !== host);
  const queenright = units.filter((u) => layingChance(u) >= QUEENLESS).length;
  const noOneBox = whyNotOneBox(host, guests);
  const noSheet = noOneBox ?? (guests.length > 1 ? 'One sheet parts two, not several.' : null);
  const no = { noOneBox, noSheet };
  if (noOneBox === null && queenright < 2 && units.every((u) => u.flow)) {
    return {
      usual: 'direct',
      why: 'No more than one of them has a queen and nectar comes in: they mix without paper.',
      ...no,
    };
  }
  if (noSheet === null && areSmall(units)) {
    return {
      usual: 'sheet',
      why: 'Two small colonies keep warm in one small box, not in two stacked: the sheet hangs upright between them.',
      ...no,
    };
  }
  return {
    usual: 'paper',
    why:
      queenright < 2
        ? 'Without a flow one sheet of paper keeps the peace.'
        : 'Queenright colonies meet slowly through one sheet of paper.',
    ...no,
  };
}

/** The way that is asked for where it goes, else the usual one, else over paper. */
export function wayToUnite(units: readonly UnitFacts[], choice: ActionChoice): UnionWay {
  const ways = waysToUnite(units, choice.boxOf);
  const how = choice.how ?? ways.usual;
  const no = { paper: null, sheet: ways.noSheet, direct: ways.noOneBox }[how];
  return no === null ? how : 'paper';
}

function whyNotOneBox(host: UnitFacts, guests: readonly UnitFacts[]): string | null {
  if (guests.some((g) => sameHive(host, g)))
    return 'They live in one hive: the partition gives way to paper, and every comb stays.';
  const inOne = combsForOneBox(host, guests);
  if (typeof inOne !== 'string') return null;
  return {
    boxes: `${host.colony.name} has not just one brood box.`,
    size: `Combs with brood are of another size than the box of ${host.colony.name}: they stay in their own box, over paper, until the brood is out. Or shake only the bees in.`,
    full: `Combs with brood do not all fit the box of ${host.colony.name}.`,
  }[inOne];
}

/** They are parted by no more than a partition. */
export const sameHive = (a: UnitFacts, b: UnitFacts) => a.colony.hiveId === b.colony.hiveId;

/** Boxes that a unit shares with others stay where they are: only its combs can go. */
export const sharesBoxes = ({ apiary, colony }: UnitFacts) =>
  boxesOfColony(apiary, colony).some((b) =>
    b.chambers.some((c) => c.colonyId !== null && c.colonyId !== colony.id),
  );

const beesOf = (units: readonly UnitFacts[]) => units.reduce((n, u) => n + u.unit.bees, 0);

/** Together they are no more than a nuc. */
const areSmall = (units: readonly UnitFacts[]) => beesOf(units) <= NUC_SLOTS;

const inNuc = (u: UnitFacts) => isNuc(u);

/**
 * Whose name and whose stand the united colony keeps: those that are chosen, else the queen's unit's. Only where a full
 * hive takes in the queen of a nuc box does it stay where its field bees look for it. Common practice, no source.
 */
export function keptOf(
  units: readonly UnitFacts[],
  choice: ActionChoice,
): { nameOf: string; standOf: string } {
  const host = hostOf(units, choice.boxOf);
  const queens = unitOfQueen(units) ?? host;
  const standOf = inNuc(queens) && !inNuc(host) ? host : queens;
  return { nameOf: choice.nameOf ?? queens.colony.id, standOf: choice.standOf ?? standOf.colony.id };
}

/**
 * The hive whose box stays: the one that is chosen; for small units the smallest that takes all their brood and
 * bees; else that of the queen who stays, unless it is a nuc box and another is not. Common practice, no source.
 */
export function hostOf(units: readonly UnitFacts[], boxOf?: string): UnitFacts {
  const chosen = units.find((u) => u.colony.id === boxOf);
  if (chosen) return chosen;
  const queens = unitOfQueen(units);
  const first = [...units].toSorted((a, b) => Number(b === queens) - Number(a === queens));
  if (areSmall(units)) {
    const [small] = first
      .filter(
        (u) =>
          u.slots >= Math.ceil(beesOf(units)) &&
          !sharesBoxes(u) &&
          typeof combsForOneBox(
            u,
            units.filter((g) => g !== u),
          ) !== 'string',
      )
      .toSorted((a, b) => a.slots - b.slots);
    if (small) return small;
  }
  // A full box does not stand on a nuc box.
  if (queens && (!inNuc(queens) || units.every(inNuc))) return queens;
  return units.reduce((host, other) => {
    const gap = other.unit.bees - host.unit.bees;
    if (Math.abs(gap) > 1.5) return gap > 0 ? other : host;
    return host.slots >= other.slots ? host : other;
  });
}
