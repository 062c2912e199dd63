import { BEES_PER_CM2, EMERGENCE_SHARE, honeyKgPerFrame, workerCellsPerFrame } from '../../comb/index.ts';
import type { SeasonWeek } from '../year/seasonWeek.ts';

/** Bees, cells and kilograms of honey on both sides of a full comb of the common deep size: season plans are reckoned in it. */
export const FRAME_OF_BEES = 2 * 880 * BEES_PER_CM2.likely;
export const FRAME_OF_CELLS = workerCellsPerFrame('langstroth-deep');
export const FRAME_OF_HONEY = honeyKgPerFrame('langstroth-deep').likely;

/** What colonies live by, by the house rules. */
export interface LifeRules {
  /** Eggs a day at most. */
  readonly layingMost: number;
  readonly coverWarm: number;
  readonly coverCold: number;
  /** What this keeper's colonies eat, against the usual. */
  readonly appetite: number;
}

/** What everything that came and went adds up to, in bees and in kg of honey. */
export interface SeasonBooks {
  emerged: number;
  died: number;
  gathered: number;
  fed: number;
  eaten: number;
}

// The figures of the clock (core room `clock`), a week at a time; its test holds the one against the other.
const HOUSE_WEEK = (1 - 0.002) ** 7;
const FIELD_WEEK = (1 - 1 / 18) ** 7;
const WINTER_WEEK = (1 - 0.0035) ** 7;
const WINTER_AT_WORK_WEEK = (1 - 0.016) ** 7;
const FULL_WARMTH = { mild: 4, cold: 5 } as const;
const SMALL_POWER = 1.4;
const OVER_COVER = 1.15;
const PACE_A_WEEK = 7 * 0.012;
/** What a queen begins with. */
export const FIRST_PACE = 0.25;
const DRIES_A_WEEK = 1 - (1 - 0.15) ** 7;
const EATS_ACTIVE = 0.07;
const EATS_CLUSTER = 0.0385;
const EATS_LARVA = 0.08e-3;
const FIELD_OF_TEN = 4 * FRAME_OF_BEES;
const FIELD_TO_LIVE_ON = 0.15;
/** Combs taken up by bread and by what no queen lays in. */
const OTHER_COMB = 0.6;
/** Frames of bees that draw a comb in a week of flow, and when they are fed (common practice, no source). */
const DRAWS_IN_FLOW = 1 / 6;
const DRAWS_FED = 1 / 12;
/** Honey for the wax of a deep comb on foundation: some 60 g of wax at six to eight times its weight (from memory). */
export const COMB_COSTS_KG = 0.4;

/** A colony in the weekly course of a season: brood and house bees by week of age. Twenty-one days are three weeks, so ages stay whole. */
export class Family {
  alive = false;
  yard = 0;
  /** Where it came from: the place in the list of the colony that it was made of; −1 for one that stood there. */
  parent = -1;
  /** The round that made it; −1 for none. */
  round = -1;
  /** In a nuc box. */
  nuc = false;
  /** Has come through a winter. */
  grown = true;
  /** Cells of worker brood by weeks of age. */
  b0 = 0;
  b1 = 0;
  b2 = 0;
  h0 = 0;
  h1 = 0;
  h2 = 0;
  field = 0;
  winter = 0;
  kg = 0;
  /** Drawn combs that it has, and places for combs. */
  combs = 0;
  places = 0;
  lays = false;
  /** Weeks until the queen that is awaited lays, or is found not to; 0 when none is awaited. */
  wait = 0;
  waitEndsWell = false;
  /** Against a good queen of a usual colony. */
  talent = 1;
  /** How far she has come towards what she can, as the clock has it: a queen in a small unit does not lay at her best at once. */
  pace = 1;
  /** Luck by itself: the age in weeks at which its queen fails; the swarming that it stands. */
  failsIn = 0;
  swarmAt = 0;
  swarmHeat = 0;
  /** Frames of bees with which it went into the winter. */
  atFrost = 0;
  /** Weeks since combs were taken out of it. */
  sinceGiven = 99;
  /** Is fed this week. */
  fed = false;
  /** Had syrup for the winter: its honey is food, and stays. */
  syruped = false;

  get bees(): number {
    return this.h0 + this.h1 + this.h2 + this.field + this.winter;
  }
  get frames(): number {
    return this.bees / FRAME_OF_BEES;
  }
  get brood(): number {
    return this.b0 + this.b1 + this.b2;
  }
  get broodFrames(): number {
    return this.brood / FRAME_OF_CELLS;
  }

  /** Shares of bees and brood go, or come. */
  scaleBees(by: number): void {
    this.h0 *= by;
    this.h1 *= by;
    this.h2 *= by;
    this.field *= by;
    this.winter *= by;
  }
  scaleBrood(by: number): void {
    this.b0 *= by;
    this.b1 *= by;
    this.b2 *= by;
  }

  /**
   * Lets a week pass.
   *
   * @param flow - what this week's nectar is against a usual one
   * @returns its frames of bees afterwards
   */
  pass(week: SeasonWeek, rules: LifeRules, flow: number, books: SeasonBooks): number {
    this.grow(week, books);
    const bees = this.bees;
    const frames = bees / FRAME_OF_BEES;
    const full = week.coldNights ? FULL_WARMTH.cold : FULL_WARMTH.mild;
    const cover = week.coldNights ? rules.coverCold : rules.coverWarm;
    const small = frames < full ? (frames / full) ** SMALL_POWER : 1;
    // Cells that it keeps warm.
    const warm = frames * cover * small * FRAME_OF_CELLS;
    this.cover(warm);
    const income = this.eat(week, rules, flow, books, bees, frames);
    this.draw(week, income, frames);
    if (this.lays) this.lay(week, rules, warm);
    this.sinceGiven++;
    return frames;
  }

  private grow(week: SeasonWeek, books: SeasonBooks): void {
    const before = this.bees;
    const out = this.b2 * EMERGENCE_SHARE.likely;
    this.b2 = this.b1;
    this.b1 = this.b0;
    this.b0 = 0;
    this.h0 *= HOUSE_WEEK;
    this.h1 *= HOUSE_WEEK;
    this.h2 *= HOUSE_WEEK;
    this.field *= week.cluster ? WINTER_WEEK : FIELD_WEEK;
    this.winter *= week.cluster || week.winterBees > 0 ? WINTER_WEEK : WINTER_AT_WORK_WEEK;
    books.died += before - this.bees;
    const winter = out * week.winterBees;
    this.winter += winter;
    if (week.cluster) this.h0 += out - winter;
    else {
      // Those that come into the field in the course of the week have died off for half of it.
      const flies = this.h2 * (1 + FIELD_WEEK) * 0.5;
      books.died += this.h2 - flies;
      this.field += flies;
      this.h2 = this.h1;
      this.h1 = this.h0;
      this.h0 = out - winter;
      const missing = 0.2 * (this.bees - this.winter) - this.field;
      if (missing > 0) {
        const moves = Math.min(missing, 0.5 * this.h2);
        this.h2 -= moves;
        this.field += moves;
      }
    }
    books.emerged += out;
  }

  private cover(warm: number): void {
    const asks = this.b1 + this.b2 * 0.81;
    const excess = asks - warm * OVER_COVER;
    if (excess <= 0 || asks <= 0) return;
    const share = (DRIES_A_WEEK * excess) / asks;
    this.b1 *= 1 - share;
    this.b2 *= 1 - 0.8 * share;
  }

  /** @returns what came in against what is eaten: 1 for as much */
  private eat(
    week: SeasonWeek,
    rules: LifeRules,
    flow: number,
    books: SeasonBooks,
    bees: number,
    frames: number,
  ): number {
    const brood = this.b1 + this.b2;
    const warming = week.coldNights && brood > 100 ? (frames < 6 ? 2 : 1.5) : 1;
    const eats =
      (frames * (week.cluster ? EATS_CLUSTER : EATS_ACTIVE) + this.b1 * EATS_LARVA) *
      warming *
      rules.appetite;
    let income = 0;
    if (week.flowKg > 0 && frames > 0.05) {
      const foragers = this.field + this.winter;
      const lives = Math.min(1, foragers / (FIELD_TO_LIVE_ON * bees)) * Math.min(1, 2 * flow);
      const room = Math.max(
        0,
        (this.combs - this.brood / FRAME_OF_CELLS - OTHER_COMB) * FRAME_OF_HONEY - this.kg,
      );
      const surplus = Math.min((7 * week.flowKg * flow * foragers) / FIELD_OF_TEN, room);
      income = eats * lives + surplus;
    }
    const eaten = Math.min(eats, this.kg + income);
    this.kg += income - eaten;
    books.gathered += income;
    books.eaten += eaten;
    // Fed by the keeper in time; see the feeding of a season.
    return eats > 0 ? income / eats : 0;
  }

  /** Builds comb where room is short, nectar comes in or syrup is given, and there is a place for it. */
  private draw(week: SeasonWeek, income: number, frames: number): void {
    if (week.coldNights || week.cluster || this.combs >= this.places) return;
    const rate = income > 1.2 ? DRAWS_IN_FLOW : this.fed ? DRAWS_FED : 0;
    if (rate === 0) return;
    const used = this.broodFrames + this.kg / FRAME_OF_HONEY + OTHER_COMB;
    if (used < this.combs - Math.max(1.5, 0.15 * this.combs)) return;
    const can = Math.min(frames * rate, this.places - this.combs, Math.max(0, this.kg - 0.5) / COMB_COSTS_KG);
    this.combs += can;
    this.kg -= can * COMB_COSTS_KG;
  }

  private lay(week: SeasonWeek, rules: LifeRules, warmth: number): void {
    const hungry = this.kg < 0.15 ? 0.5 : 1;
    const eggs = 7 * rules.layingMost * week.laying * this.talent * this.pace * hungry;
    this.pace = Math.max(this.pace, Math.min(1, this.pace + PACE_A_WEEK));
    const warm = warmth - (this.b1 + this.b2 * 0.81);
    const room = (this.combs - OTHER_COMB - this.kg / FRAME_OF_HONEY) * FRAME_OF_CELLS - (this.b1 + this.b2);
    this.b0 = Math.max(0, Math.min(eggs, warm, room));
  }
}
