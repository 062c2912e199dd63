import { floatAt } from '../basics/index.ts';
import { BROOD_COMB, STORES_COMB, type CalledFrame } from './calledFrame.ts';

/** What a place is to have when the break-up is done. */
export interface Place {
  /** Frames that still go in; for a giver the combs that its boxes can take back. */
  readonly slots: number;
  readonly broodCombs: { readonly min: number; readonly max: number };
  /** Brood at least, in full frames. */
  readonly broodFrames: number;
  readonly storesCombs: number;
  readonly emptyCombs: number;
  /** It raises its own queen: eggs or open brood must be in it. */
  readonly raises: boolean;
  /** A giver: what is in it beyond its floor is neither good nor bad, and its bees fly home to it. */
  readonly giver: boolean;
  /** A giver that is broken up wholly: nothing is to stay in it. */
  readonly dissolved: boolean;
}

/**
 * What falls short, in points of which 100 are a full frame of brood. The other weights are judgement, no source: a
 * comb of food can be replaced by feed, an empty one by the store.
 */
const POINTS = {
  broodFrame: 100,
  broodCombShort: 40,
  broodCombOver: 30,
  storesComb: 50,
  emptyComb: 8,
  /** A drone comb in a unit: as bad as a brood comb too many, and twice that for the room it takes. */
  droneComb: 60,
  /** A frame of brood that bees do not cover: nurses can be shaken in. */
  uncovered: 25,
  noYoung: 120,
  /** A frame left in a colony that was to be broken up wholly. */
  leftBehind: 90,
  /** The strongest unit against the weakest, for each frame of brood. */
  uneven: 30,
} as const;

/** Numbers kept for each place while frames are put into it. */
const SUMS = 8;
const BROOD = 0;
const BROOD_COMBS = 1;
const STORES = 2;
const EMPTY = 3;
const COVER = 4;
const YOUNG = 5;
const FRAMES = 6;
const DRONES = 7;

/**
 * The places of a break-up, with what has gone into each: cheap to change, to copy and to value, since thousands of
 * endings are tried for every frame that is called.
 */
export class BreakUp {
  readonly places: readonly Place[];
  private readonly sums: Float64Array;
  /** What falls short at each place; kept until something in it changes. */
  private readonly shorts: Float64Array;
  /** How uneven the units are, in points; below zero until it is reckoned anew. */
  private unevenNow = -1;
  private readonly coverPerBee: number;
  /** Givers come first. */
  private readonly firstUnit: number;

  /**
   * @param places - givers first, then units
   * @param coverPerBee - frames of brood that a frame of bees covers (house rule)
   */
  constructor(places: readonly Place[], coverPerBee: number) {
    this.places = places;
    this.coverPerBee = coverPerBee;
    this.firstUnit = places.filter((p) => p.giver).length;
    this.sums = new Float64Array(places.length * SUMS);
    this.shorts = new Float64Array(places.length);
    places.forEach((_, i) => this.value(i));
  }

  copy(): BreakUp {
    const other = new BreakUp(this.places, this.coverPerBee);
    other.become(this);
    return other;
  }

  /** Becomes like another of the same places, without taking new memory. */
  become(other: BreakUp): void {
    this.sums.set(other.sums);
    this.shorts.set(other.shorts);
    this.unevenNow = other.unevenNow;
  }

  free(place: number): number {
    return (this.places[place]?.slots ?? 0) - (this.sums[place * SUMS + FRAMES] ?? 0);
  }

  /** Whether a frame may go to a place at all: into every unit, but home only to its own giver. */
  suits(place: number, f: CalledFrame): boolean {
    return place === f.home || !(this.places[place] as Place).giver;
  }

  put(place: number, f: CalledFrame): void {
    this.add(place, f, 1);
    this.value(place);
  }

  take(place: number, f: CalledFrame): void {
    this.add(place, f, -1);
    this.value(place);
  }

  /** Frame `f` of place `a` and frame `g` of place `b` change places. */
  exchange(a: number, f: CalledFrame, b: number, g: CalledFrame): void {
    this.add(a, f, -1);
    this.add(a, g, 1);
    this.add(b, g, -1);
    this.add(b, f, 1);
    this.value(a);
    this.value(b);
  }

  /** Whether two places are the same to a frame: of the same wishes, and with the same in them. */
  alike(a: number, b: number): boolean {
    if (this.places[a] !== this.places[b]) return false;
    for (let k = 0; k < SUMS; k++) {
      if (this.sums[a * SUMS + k] !== this.sums[b * SUMS + k]) return false;
    }
    return true;
  }

  private add(place: number, f: CalledFrame, sign: 1 | -1): void {
    const s = this.sums;
    const at = place * SUMS;
    const cover = f.bees * (this.places[place]?.giver ? 1 : f.stays);
    s[at + BROOD] = floatAt(s, at + BROOD) + sign * f.brood;
    s[at + COVER] = floatAt(s, at + COVER) + sign * cover;
    s[at + YOUNG] = floatAt(s, at + YOUNG) + sign * f.young;
    s[at + FRAMES] = floatAt(s, at + FRAMES) + sign;
    if (f.drones) s[at + DRONES] = floatAt(s, at + DRONES) + sign;
    if (f.brood >= BROOD_COMB) s[at + BROOD_COMBS] = floatAt(s, at + BROOD_COMBS) + sign;
    if (f.stores >= STORES_COMB) s[at + STORES] = floatAt(s, at + STORES) + sign;
    if (f.empty >= STORES_COMB) s[at + EMPTY] = floatAt(s, at + EMPTY) + sign;
  }

  private value(place: number): void {
    const s = this.sums;
    const at = place * SUMS;
    this.unevenNow = -1;
    this.shorts[place] = this.points(
      place,
      floatAt(s, at + BROOD),
      floatAt(s, at + BROOD_COMBS),
      floatAt(s, at + STORES),
      floatAt(s, at + EMPTY),
      floatAt(s, at + COVER),
      floatAt(s, at + YOUNG),
      floatAt(s, at + FRAMES),
      floatAt(s, at + DRONES),
    );
  }

  /** What would fall short at a place that held so much. Plain numbers: this is the innermost of all loops. */
  private points(
    place: number,
    brood: number,
    combs: number,
    stores: number,
    empty: number,
    cover: number,
    young: number,
    frames: number,
    drones: number,
  ): number {
    const p = this.places[place] as Place;
    let points =
      POINTS.broodFrame * above(p.broodFrames - brood) +
      POINTS.broodCombShort * above(p.broodCombs.min - combs) +
      POINTS.storesComb * above(p.storesCombs - stores) +
      POINTS.emptyComb * above(p.emptyCombs - empty);
    if (p.dissolved) points += POINTS.leftBehind * frames;
    if (!p.giver) {
      points +=
        POINTS.broodCombOver * above(combs - p.broodCombs.max) +
        POINTS.droneComb * drones +
        POINTS.uncovered * above(brood - this.coverPerBee * cover);
      if (p.raises && young < ENOUGH_YOUNG) points += POINTS.noYoung;
    }
    return points;
  }

  /** What would fall short at a place that lost `out` and got `into`. */
  private pointsWith(place: number, out: CalledFrame | null, into: CalledFrame | null): number {
    const s = this.sums;
    const at = place * SUMS;
    const giver = (this.places[place] as Place).giver;
    let brood = floatAt(s, at + BROOD);
    let combs = floatAt(s, at + BROOD_COMBS);
    let stores = floatAt(s, at + STORES);
    let empty = floatAt(s, at + EMPTY);
    let cover = floatAt(s, at + COVER);
    let young = floatAt(s, at + YOUNG);
    let frames = floatAt(s, at + FRAMES);
    let drones = floatAt(s, at + DRONES);
    if (out !== null) {
      brood -= out.brood;
      cover -= giver ? out.bees : out.bees * out.stays;
      young -= out.young;
      frames--;
      if (out.drones) drones--;
      if (out.brood >= BROOD_COMB) combs--;
      if (out.stores >= STORES_COMB) stores--;
      if (out.empty >= STORES_COMB) empty--;
    }
    if (into !== null) {
      brood += into.brood;
      cover += giver ? into.bees : into.bees * into.stays;
      young += into.young;
      frames++;
      if (into.drones) drones++;
      if (into.brood >= BROOD_COMB) combs++;
      if (into.stores >= STORES_COMB) stores++;
      if (into.empty >= STORES_COMB) empty++;
    }
    return this.points(place, brood, combs, stores, empty, cover, young, frames, drones);
  }

  /**
   * How much more would fall short if frame `f` of place `a` went to place `b` and frame `g`, if any, came back: below
   * zero is better. Nothing is changed.
   */
  changeBy(a: number, f: CalledFrame, b: number, g: CalledFrame | null): number {
    const back = g === null ? 0 : g.brood;
    return (
      this.pointsWith(a, f, g) +
      this.pointsWith(b, g, f) -
      floatAt(this.shorts, a) -
      floatAt(this.shorts, b) +
      this.unevenWith(a, back - f.brood, b, f.brood - back) -
      this.uneven()
    );
  }

  /** What falls short at one place, in points. */
  shortAt(place: number): number {
    return this.shorts[place] ?? 0;
  }

  /** How uneven the units are in brood, in points. */
  private uneven(): number {
    if (this.unevenNow < 0) this.unevenNow = this.unevenWith(-1, 0, -1, 0);
    return this.unevenNow;
  }

  /** The same if two places had so much more brood. */
  private unevenWith(a: number, moreA: number, b: number, moreB: number): number {
    let low = Infinity;
    let high = -Infinity;
    const n = this.places.length;
    for (let i = this.firstUnit; i < n; i++) {
      let brood = floatAt(this.sums, i * SUMS + BROOD);
      if (i === a) brood += moreA;
      else if (i === b) brood += moreB;
      if (brood < low) low = brood;
      if (brood > high) high = brood;
    }
    return high > low ? POINTS.uneven * (high - low) : 0;
  }

  /** All that falls short, in points: lower is better. */
  short(): number {
    let points = this.uneven();
    for (let i = 0; i < this.places.length; i++) points += floatAt(this.shorts, i);
    return points;
  }

  /** The place where a frame leaves least short; -1 when there is room nowhere. */
  bestPlace(f: CalledFrame): number {
    let best = -1;
    let least = Infinity;
    const uneven = this.uneven();
    for (let i = 0; i < this.places.length; i++) {
      if (this.free(i) < 1 || !this.suits(i, f)) continue;
      const change =
        this.pointsWith(i, null, f) - floatAt(this.shorts, i) + this.unevenWith(i, f.brood, -1, 0) - uneven;
      if (change < least - 1e-9) {
        least = change;
        best = i;
      }
    }
    return best;
  }
}

/** Eggs and open brood from which bees can choose, in frames: a part of a comb is enough. */
const ENOUGH_YOUNG = 0.1;

const above = (x: number) => (x > 0 ? x : 0);
