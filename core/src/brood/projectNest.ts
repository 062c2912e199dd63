import {
  DRONE_CELLS_PER_CM2,
  EMERGENCE_SHARE,
  BEES_PER_CM2,
  WORKER_CELLS_PER_CM2,
  frameSize,
  type FrameSizeId,
  shareOf,
  type ContentClass,
  type Contents,
  type FrameReading,
  type Side,
} from '../comb/index.ts';
import { DEVELOPMENT, WORKER_STAGE_DAYS } from './developmentClock.ts';

/** A frame as it was counted: its size and what was read. */
export interface NestFrame {
  readonly id: string;
  readonly size: FrameSizeId;
  readonly reading: FrameReading;
}

/** What the queen does between the count and the day projected to. */
export type Laying = { readonly queen: 'none' } | { readonly queen: 'laying'; readonly eggsPerDay: number };

/** A summer worker lives five to six weeks (Winston 1987): about one in 38 dies each day. */
export const ADULT_DAILY_LOSS = 1 / 38;

const WORKER_DAYS = DEVELOPMENT.worker.emerges.likely;
const DRONE_DAYS = DEVELOPMENT.drone.emerges.likely;
const { eggs: EGG_DAYS, open: OPEN_DAYS } = WORKER_STAGE_DAYS;
const FIRST_CAPPED_DAY = EGG_DAYS + OPEN_DAYS;

/** Tenths of a side by the age of the brood in it, as a ring: a day passes by turning it. */
class Ages {
  private readonly cells: Float64Array;
  private start = 0;
  /** Tenths of all ages together. */
  total = 0;

  constructor(days: number) {
    this.cells = new Float64Array(days);
  }

  /** Adds brood whose age is not known, spread evenly over ages from `from` to before `to`. */
  spread(from: number, to: number, amount: number): void {
    for (let a = from; a < to; a++) this.add(a, amount / (to - from));
  }

  add(age: number, amount: number): void {
    const at = (this.start + age) % this.cells.length;
    this.cells[at] = (this.cells[at] ?? 0) + amount;
    this.total += amount;
  }

  /** Lets a day pass. @returns the tenths that hatch */
  turn(): number {
    const { cells } = this;
    this.start = (this.start + cells.length - 1) % cells.length;
    const out = cells[this.start] ?? 0;
    cells[this.start] = 0;
    this.total -= out;
    // What is left of many small sums is nothing.
    if (this.total < 1e-12) this.total = 0;
    return out;
  }

  between(from: number, to: number): number {
    let sum = 0;
    for (let a = from; a < to; a++) sum += this.cells[(this.start + a) % this.cells.length] ?? 0;
    return sum;
  }
}

/** One side as ages of its brood, in tenths of the side. */
interface AgedSide {
  readonly areaCm2: number;
  readonly worker: Ages;
  readonly drone: Ages;
  readonly rest: Record<'honey' | 'nectar' | 'beeBread' | 'drawn' | 'foundation', number>;
  bees: number;
}

/**
 * Brings a counted nest to another date.
 *
 * Brood of unknown age is spread evenly over its stage, so capped brood hatches over the next 12 days
 * and open brood is capped over the next 6. Bees that hatch stay on their comb until it is covered and
 * then spread over the rest of the nest; adults die at {@link ADULT_DAILY_LOSS}. A laying queen fills
 * empty cells, those in brood combs first. Stores are left as they are: flow is not known here.
 *
 * @param frames - the nest as counted
 * @param days - whole days from the count; 0 returns the frames unchanged, negative is an error
 * @returns frames in the same order with readings for the later day, marked as estimated
 * @throws RangeError if `days` is negative or not whole
 */
export function projectNest(frames: readonly NestFrame[], days: number, laying: Laying): NestFrame[] {
  if (!Number.isInteger(days) || days < 0)
    throw new RangeError(`days must be a whole number of 0 or more, got ${days}`);
  if (days === 0) return [...frames];
  const aged = frames.map((f) => f.reading.sides.map((s) => ageSide(s, f.size)));
  const sides = aged.flat();
  for (let d = 0; d < days; d++) stepOneDay(sides, laying.queen === 'laying' ? laying.eggsPerDay : 0);
  return frames.map((f, i) => {
    const [a, b] = aged[i] as [AgedSide, AgedSide];
    return { ...f, reading: { ...f.reading, sides: [readSide(a), readSide(b)], estimated: true } };
  });
}

function ageSide(s: Side, size: FrameSizeId): AgedSide {
  const c = s.contents;
  const worker = new Ages(WORKER_DAYS);
  const drone = new Ages(DRONE_DAYS);
  worker.spread(0, EGG_DAYS, c.eggs ?? 0);
  worker.spread(EGG_DAYS, FIRST_CAPPED_DAY, c.open ?? 0);
  worker.spread(FIRST_CAPPED_DAY, WORKER_DAYS, c.capped ?? 0);
  // Brood already being chewed out has at most two days to go.
  worker.spread(WORKER_DAYS - 2, WORKER_DAYS, c.emerging ?? 0);
  // Drone brood is noticed by its domed caps, so what was counted is capped.
  drone.spread(DEVELOPMENT.drone.cellCapped.likely, DRONE_DAYS, c.drone ?? 0);
  return {
    areaCm2: frameSize(size).areaCm2PerSide,
    worker,
    drone,
    rest: {
      honey: c.honey ?? 0,
      nectar: c.nectar ?? 0,
      beeBread: c.beeBread ?? 0,
      drawn: c.drawn ?? 0,
      foundation: c.foundation ?? 0,
    },
    bees: s.bees,
  };
}

function stepOneDay(sides: readonly AgedSide[], eggsPerDay: number): void {
  let crowd = 0; // bees for which their own comb has no room
  for (const s of sides) {
    const workersOut = s.worker.turn();
    const dronesOut = s.drone.turn();
    s.rest.drawn += workersOut + dronesOut;
    const perTenth = s.areaCm2 / 10;
    const hatched =
      (workersOut * WORKER_CELLS_PER_CM2 + dronesOut * DRONE_CELLS_PER_CM2) *
      perTenth *
      EMERGENCE_SHARE.likely;
    const bees = s.bees * (1 - ADULT_DAILY_LOSS) + hatched / (BEES_PER_CM2.likely * perTenth);
    s.bees = Math.min(10, bees);
    crowd += (bees - s.bees) * s.areaCm2;
  }
  spreadCrowd(sides, crowd);
  layEggs(sides, eggsPerDay);
}

function spreadCrowd(sides: readonly AgedSide[], crowdArea: number): void {
  if (crowdArea <= 0) return;
  const room = sides.reduce((sum, s) => sum + (10 - s.bees) * s.areaCm2, 0);
  if (room <= 0) return;
  const filled = Math.min(1, crowdArea / room);
  for (const s of sides) s.bees += (10 - s.bees) * filled;
}

function layEggs(sides: readonly AgedSide[], eggsPerDay: number): void {
  let areaLeft = eggsPerDay / WORKER_CELLS_PER_CM2; // cm² of one side, as areaCm2 / 10 a tenth
  const inNest = (s: AgedSide) => s.worker.total > 0;
  // She lays in the brood nest first and widens it only when that is full.
  for (const group of [sides.filter(inNest), sides.filter((s) => !inNest(s))]) {
    const room = group.reduce((sum, s) => sum + (s.rest.drawn * s.areaCm2) / 10, 0);
    if (room <= 0 || areaLeft <= 0) continue;
    const share = Math.min(1, areaLeft / room);
    for (const s of group) {
      const laid = s.rest.drawn * share;
      s.rest.drawn -= laid;
      s.worker.add(0, laid);
    }
    areaLeft -= room * share;
  }
}

function readSide({ worker, drone, rest, bees }: AgedSide): Side {
  const contents: { -readonly [K in keyof Contents]: Contents[K] } = {};
  const put = (c: ContentClass, tenths: number) => {
    if (tenths > 1e-9) contents[c] = tenths;
  };
  put('honey', rest.honey);
  put('nectar', rest.nectar);
  put('beeBread', rest.beeBread);
  if (worker.total > 0) {
    put('eggs', worker.between(0, EGG_DAYS));
    put('open', worker.between(EGG_DAYS, FIRST_CAPPED_DAY));
    put('capped', worker.between(FIRST_CAPPED_DAY, WORKER_DAYS));
  }
  put('drone', drone.total);
  put('drawn', rest.drawn);
  put('foundation', rest.foundation);
  return { contents, bees };
}

/** Cells of worker brood in one stage over a nest. */
function cellsIn(frames: readonly NestFrame[], ...classes: Parameters<typeof shareOf>[1][]): number {
  return frames.reduce(
    (sum, f) =>
      sum + shareOf(f.reading, ...classes) * 2 * frameSize(f.size).areaCm2PerSide * WORKER_CELLS_PER_CM2,
    0,
  );
}

/** Laying rates, in eggs a day, that each stage of the nest speaks for. */
export interface LayingRates {
  /** Over the last 3 days, from eggs. */
  readonly fromEggs: number;
  /** 3 to 9 days ago, from open brood. */
  readonly fromOpen: number;
  /** 9 to 21 days ago, from capped brood. */
  readonly fromCapped: number;
}

/** Reads the laying rate off each stage of a counted nest: cells divided by days in the stage. */
export function layingRates(frames: readonly NestFrame[]): LayingRates {
  return {
    fromEggs: cellsIn(frames, 'eggs') / WORKER_STAGE_DAYS.eggs,
    fromOpen: cellsIn(frames, 'open') / WORKER_STAGE_DAYS.open,
    fromCapped: cellsIn(frames, 'capped', 'emerging') / WORKER_STAGE_DAYS.capped,
  };
}

/**
 * The rate at which she is taken to go on laying: what eggs and open brood say together. Eggs alone are
 * easily missed, so open brood weighs in with the length of its stage.
 */
export function presentLayingRate(frames: readonly NestFrame[]): number {
  const { eggs, open } = WORKER_STAGE_DAYS;
  return (cellsIn(frames, 'eggs') + cellsIn(frames, 'open')) / (eggs + open);
}
