import { floatAt, numberAt } from '../../basics/index.ts';
import { PART } from './hiveChoice.ts';
import type { Entry, HiveRoom } from './hiveRoom.ts';
import type { NucModel, Worth } from './nucModel.ts';
import { NucPricer, type NucItem } from './nucPricer.ts';
import type { PoolHunt, WholeNuc } from './wholeNuc.ts';

/** What is packed, and where. */
export interface Packing {
  readonly whole: NucModel;
  /** What rows are worth. */
  readonly worth: Worth;
  /** Hives from which nucs are made. */
  readonly hives: ReadonlySet<number>;
  /** How many nucs to make of each pool. */
  readonly counts: ReadonlyMap<PoolHunt, number>;
  /** How often to try another packing. */
  readonly tries: number;
  readonly random: () => number;
}

/** Nucs that can be made beside each other, and what they cost, those included that are missing. */
export interface Packed {
  readonly nucs: readonly WholeNuc[];
  readonly cost: number;
}

/** So often one hive is left shut for a try; otherwise some nucs are made anew. */
const CLOSING = 0.2;
/** Nucs that are made anew at once, at most. */
const MOST_ANEW = 4;
/** Prices are disturbed by so much to either side, or other nucs would never be found. */
const NOISE = 0.15;
/** Nucs that are dearer than usual by more points are looked for only when there are no others. */
const MARGIN = 1;
/** Points by which a packing may be dearer than the one before it, now and then. */
const HEAT = 0.3;

/**
 * Packs nucs into few hives: one beside the other, each the cheapest of what is left at the prices of the proof. Then
 * some are taken apart, or all that draw on one hive, and made anew at slightly other prices; what is no dearer stays
 * (ruin and recreate: Schrimpf and others, Journal of Computational Physics 159, 2000).
 *
 * Prices know which combs are scarce. So the first packing is near the best at once, where a search by single
 * frames, which does not know them, takes long to leave a hive out.
 *
 * Deterministic for the same numbers at random.
 */
export function packNucs(packing: Packing): Packed {
  const { tries, random } = packing;
  const packer = new NucPacker(packing);
  let now = packer.packed(packer.fill([], { noise: 0, share: 1 }));
  let best = now;
  for (let n = 0; n < tries; n++) {
    const next = packer.packed(packer.changed(now.nucs));
    if (next.cost > now.cost + 1e-9 && random() >= Math.exp((now.cost - next.cost) / HEAT)) continue;
    now = next;
    if (now.cost < best.cost - 1e-9) best = now;
  }
  return best;
}

/**
 * How many whole nucs to make of each pool: numbers in parts are rounded up so that their sum is, for no goal gets
 * more than it asks for.
 *
 * @param madeOf - nucs that a model makes of each pool, in parts
 * @param more - so many in all besides, or fewer
 */
export function wholeCounts(
  madeOf: ReadonlyMap<PoolHunt, number>,
  more: number,
): ReadonlyMap<PoolHunt, number> {
  let sum = 0;
  let left = more;
  const counts = new Map<PoolHunt, number>();
  for (const [hunt, made] of madeOf) {
    const before = Math.ceil(sum - PART);
    sum += made;
    const rounded = Math.ceil(sum - PART) - before;
    const count = Math.max(0, Math.min(hunt.pool.nucs.length, rounded + left));
    left -= count - rounded;
    counts.set(hunt, count);
  }
  return counts;
}

/** How nucs are priced: by what combs are worth, by what it costs to carry them, or anything between. */
interface Mood {
  readonly noise: number;
  /** 1 for what combs are worth, 0 for what it costs. */
  readonly share: number;
  /** Hives that are left shut. */
  readonly shut?: ReadonlySet<number>;
}

/** A pool with only what stands in the hives concerned. */
interface Ground {
  readonly hunt: PoolHunt;
  readonly count: number;
  /** Numbers of the hunt's ways, by item of the pricer. */
  readonly ways: readonly number[];
  readonly items: readonly NucItem[];
  readonly pricer: NucPricer;
  readonly worth: Float64Array;
  readonly cost: Float64Array;
  /** What a nuc is worth where it is made, and the most that one has cost. */
  readonly usualWorth: number;
  usualCost: number;
}

class NucPacker {
  private readonly whole: NucModel;
  private readonly hives: ReadonlySet<number>;
  private readonly random: () => number;
  private readonly grounds: readonly Ground[];

  constructor({ whole, worth, hives, counts, random }: Packing) {
    this.whole = whole;
    this.hives = hives;
    this.random = random;
    this.grounds = [...counts].map(([hunt, count]) => {
      const prices = whole.pricesOf(hunt, worth);
      const ways = hunt.ways.flatMap((w, i) => (w.frame.home < 0 || hives.has(w.frame.home) ? [i] : []));
      const items = ways.map((i) => hunt.pricer.items[i] as NucItem);
      return {
        hunt,
        count,
        ways,
        items,
        pricer: hunt.pricer.among(items),
        worth: Float64Array.from(ways, (i) => floatAt(prices, i)),
        cost: Float64Array.from(ways, (i) => whole.costOf({ hunt, items: [i] })),
        usualWorth: floatAt(worth, hunt.row),
        usualCost: 0,
      };
    });
  }

  packed(nucs: readonly WholeNuc[]): Packed {
    const work = nucs.reduce((sum, nuc) => sum + this.whole.costOf(nuc), 0);
    const missing = this.grounds.reduce((sum, { hunt, count }) => {
      const made = nucs.filter((nuc) => nuc.hunt === hunt).length;
      return sum + this.whole.costOfMissing(hunt) * (count - made);
    }, 0);
    const opening = [...this.drawnOn(nucs)].reduce((sum, hive) => sum + this.whole.costOfOpening(hive), 0);
    return { nucs, cost: work + missing + opening };
  }

  /** Other nucs in the place of some. */
  changed(nucs: readonly WholeNuc[]): WholeNuc[] {
    const mood = { noise: NOISE, share: this.random() < 0.5 ? 1 : this.random() };
    const drawnOn = [...this.drawnOn(nucs)];
    if (this.random() < CLOSING && drawnOn.length > 1) {
      const hive = this.pick(drawnOn) as number;
      const others = nucs.filter((nuc) => !this.hivesOf(nuc).includes(hive));
      return this.fill(others, { ...mood, shut: new Set([hive]) });
    }
    const left = [...nucs];
    const anew = 1 + Math.floor(this.random() * MOST_ANEW);
    for (let n = 0; n < anew && left.length > 0; n++) left.splice(Math.floor(this.random() * left.length), 1);
    // Half the time only from the hives that are open anyway.
    const mayOpen = this.random() < 0.5;
    const shut = new Set(mayOpen ? [] : [...this.hives].filter((h) => !drawnOn.includes(h)));
    return this.fill(left, { ...mood, shut });
  }

  /** Makes as many nucs beside others as can be made. */
  fill(others: readonly WholeNuc[], mood: Mood): WholeNuc[] {
    const nucs = this.withRoom(others);
    const room = this.whole.roomBeside(nucs);
    const filled = [...nucs];
    for (const ground of this.grounds) {
      const made = nucs.filter((nuc) => nuc.hunt === ground.hunt).length;
      filled.push(...this.fillWith(ground, ground.count - made, room, mood));
    }
    return filled;
  }

  /** Nucs without those for which there is room only beside others that are gone: a brood comb less leaves bees to shake. */
  private withRoom(nucs: readonly WholeNuc[]): readonly WholeNuc[] {
    const broken = new Set(this.whole.roomBeside(nucs).broken());
    if (broken.size === 0) return nucs;
    const last = nucs.findLastIndex((nuc) => this.whole.entriesOf(nuc).some(([row]) => broken.has(row)));
    return last < 0 ? nucs : this.withRoom(nucs.toSpliced(last, 1));
  }

  private fillWith(ground: Ground, count: number, room: HiveRoom, { noise, share, shut }: Mood): WholeNuc[] {
    const { hunt, pricer, ways } = ground;
    const nucs: WholeNuc[] = [];
    const entriesOf = (item: number): readonly Entry[] =>
      this.whole.entriesOfItem(hunt, numberAt(ways, item));
    const priceAt = (worth: number, cost: number) => share * worth + (1 - share) * cost;
    pricer.setPrices(
      ground.cost.map(
        (cost, i) => priceAt(floatAt(ground.worth, i), cost) * (1 + noise * (2 * this.random() - 1)),
      ),
    );
    const isLeft = (item: number) =>
      shut?.has(ground.items[item]?.home as number) !== true && room.isRoomFor(entriesOf(item));
    const take = (items: readonly number[]) => {
      const over = room.takeAll(items, entriesOf);
      if (over === null) nucs.push({ hunt, items: items.map((item) => numberAt(ways, item)) });
      return over;
    };
    // Dear nucs take long to find, and are seldom needed.
    const usual = priceAt(ground.usualWorth, ground.usualCost) + MARGIN;
    for (const below of [usual, Infinity]) {
      if (nucs.length < count) pricer.besideEachOther({ below }, count - nucs.length, isLeft, take);
    }
    for (const nuc of nucs) ground.usualCost = Math.max(ground.usualCost, this.whole.costOf(nuc));
    return nucs;
  }

  private drawnOn(nucs: readonly WholeNuc[]): Set<number> {
    return new Set(nucs.flatMap((nuc) => this.hivesOf(nuc)));
  }

  private hivesOf({ hunt, items }: WholeNuc): number[] {
    return items.flatMap((i) => {
      const home = hunt.ways[i]?.frame.home ?? -1;
      return home < 0 ? [] : [home];
    });
  }

  private pick<T>(list: readonly T[]): T | undefined {
    return list[Math.floor(this.random() * list.length)];
  }
}
