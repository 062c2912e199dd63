import type { Day } from '../basics/index.ts';
import { dayInWords } from '../basics/index.ts';
import { isNuc } from '../rules/index.ts';
import { expectationOf } from './unit/expectation.ts';
import { layingChance, type UnitFacts } from './unit/unitFacts.ts';

/** Nucs that stand by, against what is likely to be lost. */
export interface NucReserve {
  readonly has: number;
  /** Of them so many are expected to live with a laying queen: one that fails itself is no spare. */
  readonly serve: number;
  /** Colonies that are expected to be lost. */
  readonly losses: number;
  readonly wants: number;
  readonly words: string;
}

/** Of nucs that raise their own queen so many end with one that lays (common practice, no source: two in three to seven in eight). */
const NUC_SUCCEEDS = 0.75;
/** So often what is made is to be enough. */
const SURE = 0.9;

/** The chance that of so many nucs made at least so many succeed, each with the same chance (binomial distribution). */
export function chanceOfAtLeast(wanted: number, made: number, succeeds: number): number {
  let chance = 0;
  let ways = 1;
  for (let n = 0; n <= made; n++) {
    if (n >= wanted) chance += ways * succeeds ** n * (1 - succeeds) ** (made - n);
    ways = (ways * (made - n)) / (n + 1);
  }
  return chance;
}

/** How many nucs to make so that in nine cases of ten so many succeed. */
export function nucsToMake(wanted: number, succeeds = NUC_SUCCEEDS, sure = SURE): number {
  let made = wanted;
  while (chanceOfAtLeast(wanted, made, succeeds) < sure && made < MOST) made++;
  return made;
}
const MOST = 500;

/** The reserve of an operation on a day to come: nucs that will serve, against losses and what the house rule asks for. */
export function nucReserve(all: readonly UnitFacts[], on: Day): NucReserve {
  const lives = (f: UnitFacts) => expectationOf(f, 'leave', on).colonies;
  const nucs = all.filter((f) => isNuc(f) && layingChance(f) >= 0.5 && !f.sick);
  const counted = all.filter((f) => !nucs.includes(f) && f.counted);
  const losses = counted.reduce((n, f) => n + 1 - lives(f), 0);
  const serve = nucs.reduce((n, f) => n + lives(f), 0);
  const colonies = all.length - nucs.length;
  const rule = Math.round((colonies / 10) * (all[0]?.rules.nucReserve ?? 0));
  const wants = Math.max(rule, Math.round(losses));
  const short = Math.max(0, wants - Math.round(serve));
  const has = nucs.length;
  const standing = `${has} standing by${has > 0 && serve < has - 0.25 ? `, of which about ${serve.toFixed(1)} will serve` : ''}.`;
  const lost =
    losses >= 0.5
      ? ` Of ${colonies} colonies about ${losses.toFixed(1)} may be lost by ${dayInWords(on)}.`
      : ` ${colonies} colonies, none of them in danger.`;
  const made = nucsToMake(short);
  const end =
    short === 0
      ? wants > 0
        ? ` ${wants} would do.`
        : ''
      : ` Short by ${short}: make ${made} to have ${short} in nine cases of ten, or move none into a full hive yet.`;
  return { has, serve, losses, wants, words: `${standing}${lost}${end}` };
}
