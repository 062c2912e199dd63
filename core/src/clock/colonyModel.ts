import { EMERGING_WARMTH } from '../brood/index.ts';
import { BEES_PER_CM2, EMERGENCE_SHARE } from '../comb/index.ts';
import type { SeasonPull } from '../season/index.ts';
import { Adults } from './adults.ts';
import { foodInCombs, storeInCombs, takeFromCombs } from './combStores.ts';
import { CAPPED_AT, CombSide, EMERGING_DAYS, HATCHES_AT, WORKER_DAYS } from './combSide.ts';

/** What a day brings. */
export interface DayConditions extends SeasonPull {
  /** Nectar comes in, as a scale or the keeper says: what is eaten is replaced, as far as field bees fly for it. */
  readonly flow: boolean;
  /** What a colony of ten frames of bees gains on top of that in a day, in kg of honey; 0 where nobody has weighed it. */
  readonly gathersKg: number;
}

/** What a keeper may set of how colonies live. */
export interface ModelRules {
  /** Eggs a day at most. */
  readonly layingMost: number;
  /** Frames of brood that a frame of bees keeps warm, in mild and in cold nights. */
  readonly coverWarm: number;
  readonly coverCold: number;
  /** What this yard's colonies eat, against the usual: 1 for as much. */
  readonly appetite: number;
  /** Of all bees so many more live on than usual, as a share a day: what counts have shown. */
  readonly lean?: number;
}

/** Everything that came and went, so that nothing comes from nowhere. */
export interface Ledger {
  /** Bees: that joined or were given, that emerged, died, and left. */
  joined: number;
  emerged: number;
  died: number;
  left: number;
  /** Brood cells: laid, emerged, and lost (not covered, not fed, or not viable). Drones included. */
  laid: number;
  opened: number;
  lost: number;
  /** Kilograms of honey: fed, gathered, and eaten. What replaces the food of the same day is in neither. */
  fed: number;
  gathered: number;
  eaten: number;
}

/** Bees on both sides of a full comb of the common deep size; small colonies are measured by it. */
const FRAME_OF_BEES = 2 * 880 * BEES_PER_CM2.likely;

/**
 * A cluster keeps its full share of brood warm from so many frames of bees on; a smaller one loses more heat for its
 * size and keeps a smaller share. Our estimate, no published source, held to what units of half a frame to three frames
 * are known to do.
 */
const FULL_WARMTH_FRAMES = { mild: 4, cold: 5 } as const;
const SMALL_POWER = 1.4;
/** A little more brood than the rule of thumb lives through a mild spell; what is over dries out bit by bit. */
const OVER_COVER = 1.15;
const DRIES_A_DAY = 0.15;

/**
 * A queen is measured by the season: what she laid when she was counted against what a good one lays on such a day. She
 * comes nearer to a good one by this share each day, if room and bees let her. Our estimate, no published source.
 */
const LAYS_MORE = 0.012;
/** A count misses eggs, and a queen may be better than most. */
const LEAST_TALENT = 0.25;
const MOST_TALENT = 1.2;
/** Where a good queen would lay less than so many eggs a day, nothing can be told of her. */
const LITTLE = 150;

/** Kilograms of honey a day for a frame of bees: while they fly, and in the cluster (common practice, order of magnitude). */
const EATS_ACTIVE = 0.01;
const EATS_CLUSTER = 0.0055;
/** Kilograms of honey for a worker that is raised, eaten while it is a larva (common practice, order of magnitude). */
const EATS_LARVA = 0.08e-3;
/** Keeping brood warm in cold nights costs as much again; a large colony, half of that. */
const WARMING = { small: 2, large: 1.5, largeFrom: 6 } as const;
/** Bread for a worker, in kg. Our estimate from the order of published figures of pollen fed. */
const BREAD_LARVA = 0.11e-3;
/** Without field bees no pollen comes in. */
const FIELD_FOR_POLLEN = 0.1;
/** With so many field bees among its bees a colony brings home what it eats; with fewer, less (our estimate). */
const FIELD_TO_LIVE_ON = 0.15;
/** Bees that fly out of a colony of ten frames of bees, by which a gain on a scale is measured: 0.4 of all (our estimate). */
const FIELD_OF_TEN_FRAMES = 10 * FRAME_OF_BEES * 0.4;
/** Without bread a colony raises so little of what it could, from its own reserves. */
const WITHOUT_BREAD = 0.2;
/** Days of food below which she lays less, and none. */
const HUNGER = { less: 5, none: 2 } as const;
/** Without a drop of food so many die a day. */
const STARVES = { adults: 0.12, larvae: 0.3 } as const;
/** A feeder is emptied in about so many days. */
const FEEDER_DAYS = 5;

/**
 * A colony, day by day: eggs, larvae and capped brood by their age on each side of each comb; house, field and winter
 * bees and drones; food and bread.
 *
 * What is laid is the least of what she can, what the season lets her, what bees cover, what food and bread allow, and
 * empty comb where she can get to. What cannot be covered or fed is lost. Nothing is gathered unless the keeper or a
 * scale says that there is a flow.
 */
export class ColonyModel {
  readonly sides: CombSide[] = [];
  readonly adults = new Adults();
  readonly ledger: Ledger = {
    joined: 0,
    emerged: 0,
    died: 0,
    left: 0,
    laid: 0,
    opened: 0,
    lost: 0,
    fed: 0,
    gathered: 0,
    eaten: 0,
  };
  /** Eggs a day that she lays, or would with all that she needs. */
  rate = 0;
  /** Her rate as a share of that of a good queen; null until a day tells. */
  private talent: number | null = null;
  /** A queen lays in it. */
  lays = false;
  /** Food of its own that hangs in combs which other families use too, in kg. */
  commonKg = 0;
  /** Food in the feeder, in kg of honey that it makes. */
  feederKg = 0;
  /** Cells from which bees came out today, for whoever asks how many are due. */
  emergedToday = 0;
  private readonly rules: ModelRules;

  constructor(rules: ModelRules) {
    this.rules = rules;
  }

  /** Combs join with the bees on them. @param winterShare - of these bees, so many are winter bees */
  join(sides: readonly CombSide[], winterShare: number): void {
    let bees = 0;
    let capped = 0;
    for (const s of sides) {
      bees += s.bees * s.beesOnTenth;
      capped += s.worker.between(CAPPED_AT, WORKER_DAYS) * s.cells;
      this.sides.push(s);
    }
    this.adults.join(bees, (capped * EMERGENCE_SHARE.likely) / (WORKER_DAYS - CAPPED_AT), winterShare);
    this.ledger.joined += bees;
  }

  /** Frames of bees of the common deep size. */
  get framesOfBees(): number {
    return this.adults.total / FRAME_OF_BEES;
  }

  /** Food in its combs, its share of common ones and its feeder left out, in kg. */
  get combFoodKg(): number {
    return foodInCombs(this.sides);
  }

  get foodKg(): number {
    return this.combFoodKg + this.commonKg + this.feederKg;
  }

  /** Worker brood of all ages, in cells. */
  get broodCells(): number {
    let cells = 0;
    for (const s of this.sides) cells += s.worker.total * s.cells;
    return cells;
  }

  get droneCells(): number {
    let cells = 0;
    for (const s of this.sides) cells += s.drone.total * s.droneCells;
    return cells;
  }

  /** Food that it eats on such a day, in kg. */
  eatsPerDay({ cluster, coldNights }: DayConditions): number {
    const frames = this.framesOfBees;
    const raised = this.raisedPerDay();
    const keep = frames * (cluster ? EATS_CLUSTER : EATS_ACTIVE);
    const warming =
      coldNights && this.broodCells > 0 ? (frames < WARMING.largeFrom ? WARMING.small : WARMING.large) : 1;
    return (keep + raised * EATS_LARVA) * warming * this.rules.appetite;
  }

  /** Workers that become capped in a day: larvae by the days that they are fed. */
  private raisedPerDay(): number {
    let larvae = 0;
    for (const s of this.sides) larvae += s.worker.between(HATCHES_AT, CAPPED_AT) * s.cells;
    return larvae / (CAPPED_AT - HATCHES_AT);
  }

  /** Days that its food lasts, if nothing comes in and it stays as it is; 999 when it eats nothing. */
  daysOfFood(conditions: DayConditions): number {
    const eats = this.eatsPerDay(conditions);
    return eats > 0 ? Math.min(999, this.foodKg / eats) : 999;
  }

  /** Bees go, to another hive or for good. */
  lose(bees: number, whom: 'field-first' | 'all'): void {
    this.ledger.left += this.adults.take(bees, whom);
    this.spreadBees();
  }

  /** Bees come from another hive. */
  gain(bees: number, who: 'field' | 'house'): void {
    this.adults.give(who, bees);
    this.ledger.joined += bees;
    this.spreadBees();
  }

  /** Food is given into the feeder, as kg of the honey that it makes. */
  feed(kg: number): void {
    this.feederKg += kg;
    this.ledger.fed += kg;
  }

  /** Food is found to be more or less than it was taken for. */
  correctFood(kg: number): void {
    const by = kg - this.combFoodKg;
    if (by > 0) this.ledger.fed += storeInCombs(this.sides, by);
    else this.ledger.eaten += takeFromCombs(this.sides, -by);
  }

  /** Lets a day pass. */
  pass(day: DayConditions): void {
    this.emerge(day);
    this.coverBrood(day);
    this.eat(day);
    this.lay(day);
    this.spreadBees();
  }

  private emerge(day: DayConditions): void {
    let workers = 0;
    let drones = 0;
    let cells = 0;
    for (const s of this.sides) {
      const out = s.worker.turn();
      const dronesOut = s.drone.turn();
      s.rest.drawn += out + dronesOut;
      const born = out * s.cells * EMERGENCE_SHARE.likely + dronesOut * s.droneCells * EMERGENCE_SHARE.likely;
      workers += out * s.cells * EMERGENCE_SHARE.likely;
      drones += dronesOut * s.droneCells * EMERGENCE_SHARE.likely;
      cells += out * s.cells + dronesOut * s.droneCells;
      // They stay on their comb as far as there is room.
      s.bees += born / s.beesOnTenth;
    }
    const died = this.adults.pass({
      workersOut: workers,
      dronesOut: drones,
      winterBees: day.winterBees,
      cluster: day.cluster,
      noDrones: day.laying < 0.3 && day.winterBees > 0,
      ...(this.rules.lean !== undefined && { lean: this.rules.lean }),
    });
    this.emergedToday = workers;
    this.ledger.emerged += workers + drones;
    this.ledger.opened += cells * EMERGENCE_SHARE.likely;
    this.ledger.lost += cells * (1 - EMERGENCE_SHARE.likely);
    this.ledger.died += died;
  }

  /** Brood that it could keep warm, in cm² of comb side. */
  private warmArea({ coldNights }: DayConditions): number {
    const frames = this.framesOfBees;
    const full = coldNights ? FULL_WARMTH_FRAMES.cold : FULL_WARMTH_FRAMES.mild;
    const cover = coldNights ? this.rules.coverCold : this.rules.coverWarm;
    return (this.adults.total / BEES_PER_CM2.likely) * cover * Math.min(1, (frames / full) ** SMALL_POWER);
  }

  /** Brood that asks for warmth, in cm²: what is about to emerge warms itself and others. */
  private broodArea(): number {
    let area = 0;
    for (const s of this.sides) {
      const emerging = s.worker.between(WORKER_DAYS - EMERGING_DAYS, WORKER_DAYS);
      area += ((s.worker.total - emerging * (1 - EMERGING_WARMTH)) * s.areaCm2) / 10;
    }
    return area;
  }

  private coverBrood(day: DayConditions): void {
    const brood = this.broodArea();
    const excess = brood - this.warmArea(day) * OVER_COVER;
    if (excess <= 0) return;
    this.loseBrood((DRIES_A_DAY * excess) / brood, WORKER_DAYS - EMERGING_DAYS);
  }

  private loseBrood(share: number, before: number): void {
    for (const s of this.sides) {
      const gone = s.worker.thin(0, before, share);
      s.rest.drawn += gone;
      this.ledger.lost += gone * s.cells;
    }
  }

  private eat(day: DayConditions): void {
    this.takeUpFeed();
    this.eatBread(day);
    this.gather(day);
    const wanted = this.eatsPerDay(day) * (1 - this.replacedBy(day));
    if (wanted <= 0) return;
    const common = Math.min(this.commonKg, wanted * this.shareOfCommon());
    this.commonKg -= common;
    let missing = wanted - common;
    missing -= takeFromCombs(this.sides, missing);
    const fromFeeder = Math.min(this.feederKg, missing);
    this.feederKg -= fromFeeder;
    missing -= fromFeeder;
    const rest = Math.min(this.commonKg, missing);
    this.commonKg -= rest;
    missing -= rest;
    this.ledger.eaten += wanted - missing;
    if (missing > wanted * 0.5 && !day.forage) this.starve();
  }

  /** Of what it eats on such a day, so much is brought home the same day. */
  private replacedBy({ flow }: DayConditions): number {
    return flow
      ? Math.min(1, this.adults.foragers / Math.max(1e-9, FIELD_TO_LIVE_ON * this.adults.total))
      : 0;
  }

  /** What a flow brings over what is eaten, as far as there is comb for it. */
  private gather({ flow, gathersKg }: DayConditions): void {
    if (!flow || gathersKg <= 0) return;
    this.ledger.gathered += storeInCombs(
      this.sides,
      (gathersKg * this.adults.foragers) / FIELD_OF_TEN_FRAMES,
    );
  }

  private shareOfCommon(): number {
    const all = this.combFoodKg + this.commonKg;
    return all > 0 ? this.commonKg / all : 0;
  }

  private starve(): void {
    const bees = this.adults.total * STARVES.adults;
    this.adults.take(bees, 'all');
    this.ledger.died += bees;
    this.loseBrood(STARVES.larvae, CAPPED_AT);
  }

  private takeUpFeed(): void {
    if (this.feederKg <= 0) return;
    const wanted = this.feederKg / FEEDER_DAYS < 0.05 ? this.feederKg : this.feederKg / FEEDER_DAYS;
    this.feederKg -= storeInCombs(this.sides, wanted);
  }

  private eatBread({ pollen }: DayConditions): void {
    const { foragers, total } = this.adults;
    if (pollen && foragers > FIELD_FOR_POLLEN * total) return;
    let bread = 0;
    for (const s of this.sides) bread += s.rest.beeBread * s.breadKg;
    const wanted = this.raisedPerDay() * BREAD_LARVA;
    if (bread <= 0 || wanted <= 0) return;
    const share = Math.min(1, wanted / bread);
    for (const s of this.sides) {
      const eaten = s.rest.beeBread * share;
      s.rest.beeBread -= eaten;
      s.rest.drawn += eaten;
    }
  }

  private lay(day: DayConditions): void {
    if (!this.lays) return;
    const best = this.rules.layingMost * day.laying;
    this.talent ??= best > LITTLE ? Math.min(MOST_TALENT, Math.max(LEAST_TALENT, this.rate / best)) : 1;
    this.talent = Math.max(this.talent, Math.min(1, this.talent + LAYS_MORE));
    this.rate = this.talent * best;
    const eggs = this.rate * this.hungerShare(day) * this.breadShare(day);
    // Warmth is asked for area; the cells of a cm² are the same on every comb.
    const warm = Math.max(0, this.warmArea(day) - this.broodArea());
    let areaLeft = Math.min(warm, this.areaOf(eggs));
    // She lays in the brood nest first and widens it only when that is full.
    for (const inNest of [true, false]) {
      let room = 0;
      for (const s of this.sides)
        if (s.open && s.worker.total > 0 === inNest) room += (s.rest.drawn * s.areaCm2) / 10;
      if (room <= 0 || areaLeft <= 0) continue;
      const share = Math.min(1, areaLeft / room);
      const group = this.sides.filter((s) => s.open && s.worker.total > 0 === inNest);
      for (const s of group) {
        const laid = s.rest.drawn * share;
        s.rest.drawn -= laid;
        s.worker.add(0, laid);
        this.ledger.laid += laid * s.cells;
      }
      areaLeft -= room * share;
    }
  }

  private areaOf(cells: number): number {
    const [first] = this.sides;
    return first ? (cells / first.cells) * (first.areaCm2 / 10) : 0;
  }

  private hungerShare(day: DayConditions): number {
    if (this.replacedBy(day) >= 1) return 1;
    const days = this.daysOfFood(day);
    if (days <= HUNGER.none) return day.forage ? 0.5 : 0;
    return days >= HUNGER.less ? 1 : 0.5;
  }

  private breadShare({ pollen }: DayConditions): number {
    const { foragers, total } = this.adults;
    if (pollen && foragers > FIELD_FOR_POLLEN * total) return 1;
    let bread = 0;
    for (const s of this.sides) bread += s.rest.beeBread * s.breadKg;
    return bread > 0.02 ? 1 : WITHOUT_BREAD;
  }

  /** Brings the bees on the combs to as many as there are; who finds no room hangs at the walls. */
  private spreadBees(): void {
    let there = 0;
    for (const s of this.sides) there += s.bees * s.beesOnTenth;
    const { total } = this.adults;
    let all = 0;
    for (const s of this.sides) all += s.beesOnTenth;
    const ratio = there > 0 ? total / there : 0;
    let over = 0;
    for (const s of this.sides) {
      const bees = there > 0 ? s.bees * ratio : total / Math.max(1e-9, all);
      s.bees = Math.min(10, bees);
      over += (bees - s.bees) * s.areaCm2;
    }
    if (over <= 0) return;
    let room = 0;
    for (const s of this.sides) room += (10 - s.bees) * s.areaCm2;
    if (room <= 0) return;
    const filled = Math.min(1, over / room);
    for (const s of this.sides) s.bees += (10 - s.bees) * filled;
  }
}
