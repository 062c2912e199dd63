import {
  BEES_PER_CM2,
  DRONE_CELLS_PER_CM2,
  frameSize,
  HONEY_KG_PER_CM2,
  WORKER_CELLS_PER_CM2,
  type ContentClass,
  type Contents,
  type FrameSizeId,
  type Side,
} from '../comb/index.ts';
import { DEVELOPMENT, WORKER_STAGE_DAYS } from '../brood/index.ts';
import { BroodAges } from './broodAges.ts';

export const WORKER_DAYS = DEVELOPMENT.worker.emerges.likely;
const DRONE_DAYS = DEVELOPMENT.drone.emerges.likely;
export const HATCHES_AT = WORKER_STAGE_DAYS.eggs;
export const CAPPED_AT = WORKER_STAGE_DAYS.eggs + WORKER_STAGE_DAYS.open;
/** Brood that is being chewed out has at most so many days to go. */
export const EMERGING_DAYS = 2;

/** Nectar is half the weight of the honey that it will become. */
const NECTAR_WORTH = 0.5;
/** Kilograms of stored pollen in a cm² of comb side that is full of it: a deep comb holds about 1.2 kg. Our estimate, no published source. */
const BREAD_KG_PER_CM2 = 1.2 / 1760;

/** One side of a comb as a colony lives on it: its brood by age, what else is in its cells, and the bees on it. */
export class CombSide {
  readonly areaCm2: number;
  /** Worker and drone brood by age, in tenths of the side. */
  readonly worker = new BroodAges(WORKER_DAYS);
  readonly drone = new BroodAges(DRONE_DAYS);
  /** What else the cells hold, in tenths of the side. */
  readonly rest: Record<'honey' | 'nectar' | 'beeBread' | 'drawn' | 'foundation', number>;
  /** Tenths of the side that bees cover. */
  bees: number;
  /** The queen can get there. */
  readonly open: boolean;
  /** Worker cells in a tenth, drone cells in a tenth, bees on a tenth, and kilograms in a tenth of honey and of bread. */
  readonly cells: number;
  readonly droneCells: number;
  readonly beesOnTenth: number;
  readonly honeyKg: number;
  readonly breadKg: number;

  constructor(side: Side, areaCm2: number, open: boolean) {
    const c = side.contents;
    this.areaCm2 = areaCm2;
    this.open = open;
    const tenth = areaCm2 / 10;
    this.cells = tenth * WORKER_CELLS_PER_CM2;
    this.droneCells = tenth * DRONE_CELLS_PER_CM2;
    this.beesOnTenth = tenth * BEES_PER_CM2.likely;
    this.honeyKg = tenth * HONEY_KG_PER_CM2.likely;
    this.breadKg = tenth * BREAD_KG_PER_CM2;
    this.worker.spread(0, HATCHES_AT, c.eggs ?? 0);
    this.worker.spread(HATCHES_AT, CAPPED_AT, c.open ?? 0);
    this.worker.spread(CAPPED_AT, WORKER_DAYS, c.capped ?? 0);
    this.worker.spread(WORKER_DAYS - EMERGING_DAYS, WORKER_DAYS, c.emerging ?? 0);
    // Drone brood is noticed by its domed caps, so what was counted is capped.
    this.drone.spread(DEVELOPMENT.drone.cellCapped.likely, DRONE_DAYS, c.drone ?? 0);
    this.rest = {
      honey: c.honey ?? 0,
      nectar: c.nectar ?? 0,
      beeBread: c.beeBread ?? 0,
      drawn: c.drawn ?? 0,
      foundation: c.foundation ?? 0,
    };
    this.bees = side.bees;
  }

  /** A side of a comb of a known size. */
  static of(side: Side, size: FrameSizeId, open: boolean): CombSide {
    return new CombSide(side, frameSize(size).areaCm2PerSide, open);
  }

  /** Food in it, in kg of honey. */
  get foodKg(): number {
    return (this.rest.honey + this.rest.nectar * NECTAR_WORTH) * this.honeyKg;
  }

  /** Takes food out, nectar first; the cells are empty then. @returns the kilograms that were there to take */
  eat(kg: number): number {
    let left = kg;
    const nectar = Math.min(this.rest.nectar, left / (this.honeyKg * NECTAR_WORTH));
    this.rest.nectar -= nectar;
    left -= nectar * this.honeyKg * NECTAR_WORTH;
    const honey = Math.min(this.rest.honey, left / this.honeyKg);
    this.rest.honey -= honey;
    this.rest.drawn += nectar + honey;
    return kg - left + honey * this.honeyKg;
  }

  /** Stores food in empty cells. @returns the kilograms that found room */
  store(kg: number): number {
    const honey = Math.min(this.rest.drawn, kg / this.honeyKg);
    this.rest.drawn -= honey;
    this.rest.honey += honey;
    return honey * this.honeyKg;
  }

  /** The side as it would be read. */
  read(): Side {
    const { worker, drone, rest, bees } = this;
    const contents: { -readonly [K in keyof Contents]: Contents[K] } = {};
    const put = (c: ContentClass, tenths: number) => {
      if (tenths > 1e-9) contents[c] = tenths;
    };
    put('honey', rest.honey);
    put('nectar', rest.nectar);
    put('beeBread', rest.beeBread);
    if (worker.total > 0) {
      put('eggs', worker.between(0, HATCHES_AT));
      put('open', worker.between(HATCHES_AT, CAPPED_AT));
      put('capped', worker.between(CAPPED_AT, WORKER_DAYS));
    }
    put('drone', drone.total);
    put('drawn', rest.drawn);
    put('foundation', rest.foundation);
    return { contents, bees };
  }
}
