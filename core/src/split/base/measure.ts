import {
  shareOf,
  shareOfBees,
  hasLiveCell,
  isLiveCell,
  type FrameReading,
  inReferenceFrames,
  type FrameSizeId,
} from '../../comb/index.ts';
import { stayShare, warmedShare, type Distance, type StayShares } from '../../brood/index.ts';

/** What one part amounts to when the work is done, in reference frames. */
export interface PartMeasure {
  readonly frames: number;
  readonly framesOfBeesNow: number;
  readonly framesOfBeesAfterDrift: number;
  readonly broodFrames: number;
  /** Brood that its bees must cover: emerging brood counts a third. */
  readonly warmedFrames: number;
  readonly openFrames: number;
  readonly cappedFrames: number;
  readonly eggsTenths: number;
  readonly beeBreadFrames: number;
  readonly storesFrames: number;
  readonly drawnFrames: number;
  /** Combs of honey or bee bread without brood that counts. */
  readonly foodCombs: number;
  readonly liveCells: number;
}

/** A frame that a plan may move, brought to the day of the work. All amounts in reference frames. */
export interface PlanFrame {
  readonly id: string;
  /** Where it hangs, in words. */
  readonly label: string;
  readonly size: FrameSizeId;
  /** The size that its box is made for: where it hangs, it hangs, and so it does in any box of that size. */
  readonly hangsAs: FrameSizeId;
  readonly boxId: string;
  readonly slot: number;
  readonly reading: FrameReading;
  readonly bees: number;
  readonly eggs: number;
  /** Tenths of one side with eggs, on both sides together. */
  readonly eggsTenths: number;
  readonly open: number;
  readonly capped: number;
  readonly brood: number;
  /** Brood that bees must cover: emerging brood counts a third. */
  readonly warmed: number;
  readonly beeBread: number;
  readonly stores: number;
  readonly drawn: number;
  readonly foundation: number;
  readonly liveCells: number;
  readonly hasQueen: boolean;
  /** Half of it is food, and hardly any brood. */
  readonly isFood: boolean;
  /** Share of its bees that stay with it when it is moved in the yard, and away. */
  readonly stay: Readonly<Record<Distance, number>>;
}

/** Whether a frame can go into a box of a size: it is made for it, or hangs in one now, as a shallow comb among deep ones. */
export const fitsInto = (frame: Pick<PlanFrame, 'size' | 'hangsAs'>, sizeId: FrameSizeId): boolean =>
  frame.size === sizeId || frame.hangsAs === sizeId;

/** Makes a frame ready for planning. */
export function planFrame(
  frame: Pick<PlanFrame, 'id' | 'label' | 'size' | 'boxId' | 'slot' | 'reading'> & {
    /** Left out for a comb that hangs nowhere. */
    readonly hangsAs?: FrameSizeId;
  },
  reference: FrameSizeId,
  shares: StayShares,
): PlanFrame {
  const { reading } = frame;
  const worth = inReferenceFrames(frame.size, reference);
  const of = (...c: Parameters<typeof shareOf>[1][]) => shareOf(reading, ...c) * worth;
  return {
    ...frame,
    hangsAs: frame.hangsAs ?? frame.size,
    bees: shareOfBees(reading) * worth,
    eggs: of('eggs'),
    eggsTenths: shareOf(reading, 'eggs') * 20,
    open: of('open'),
    capped: of('capped', 'emerging'),
    brood: of('eggs', 'open', 'capped', 'emerging', 'drone'),
    warmed: warmedShare(reading) * worth,
    beeBread: of('beeBread'),
    stores: of('honey', 'nectar'),
    drawn: of('drawn'),
    foundation: of('foundation'),
    liveCells: hasLiveCell(reading)
      ? reading.cells.reduce((n, c) => n + (isLiveCell(c.kind) ? c.count : 0), 0)
      : 0,
    hasQueen: reading.queenSeen,
    isFood: isFoodComb(reading),
    stay: {
      'same-yard': stayShare(reading, 'same-yard', shares),
      beside: stayShare(reading, 'beside', shares),
      away: stayShare(reading, 'away', shares),
      above: stayShare(reading, 'above', shares),
    },
  };
}

/** Half of a comb of food, and hardly any brood: it hangs beside the nest and feeds it (common practice, no source). */
const FOOD_COMB = { food: 0.5, brood: 0.25 } as const;

const isFoodComb = (reading: FrameReading): boolean =>
  shareOf(reading, 'honey', 'nectar', 'beeBread') >= FOOD_COMB.food &&
  shareOf(reading, 'eggs', 'open', 'capped', 'emerging', 'drone') < FOOD_COMB.brood;

/** Which part each frame goes to, and which frames of the part that stays are shaken into the new one. */
export interface Choice {
  /** By index of the frame: 0 stays on the old stand, 1 goes to the new part. */
  readonly part: readonly (0 | 1)[];
  readonly shaken: readonly boolean[];
}

/** The sums of a part in the order of its columns; `framesOfBeesAfterDrift` is worked out from the rest. */
const COLUMNS = [
  (): number => 1,
  (f: PlanFrame): number => f.bees,
  (f: PlanFrame): number => f.brood,
  (f: PlanFrame): number => f.warmed,
  (f: PlanFrame): number => f.open + f.eggs,
  (f: PlanFrame): number => f.capped,
  (f: PlanFrame): number => f.eggsTenths,
  (f: PlanFrame): number => f.beeBread,
  (f: PlanFrame): number => f.stores,
  (f: PlanFrame): number => f.drawn,
  (f: PlanFrame): number => (f.isFood ? 1 : 0),
  (f: PlanFrame): number => f.liveCells,
] as const;
const WIDTH = COLUMNS.length;

/**
 * Measures both parts under a choice, after drift.
 *
 * Bees old enough to have flown return to the stand: what a moved frame loses, the part on the old stand
 * gains. Shaken bees come from open brood, so the share of nurses among them stays with the new part.
 */
export function measureParts(
  frames: readonly PlanFrame[],
  choice: Choice,
  distance: Distance,
  shares: StayShares,
): [PartMeasure, PartMeasure] {
  return measurer(frames, distance, shares)(choice);
}

/** The same for many choices of the same frames: a search asks thousands of times, so the columns are laid out once. */
export function measurer(
  frames: readonly PlanFrame[],
  distance: Distance,
  shares: StayShares,
): (choice: Choice) => [PartMeasure, PartMeasure] {
  const size = frames.length;
  const shakenStay = distance === 'away' ? shares.away : shares.openBrood;
  const bees = Float64Array.from(frames, (f) => f.bees);
  const stay = Float64Array.from(frames, (f) => f.stay[distance]);
  const rows = Float64Array.from(frames.flatMap((f) => COLUMNS.map((of) => of(f))));
  const sums = [new Float64Array(WIDTH), new Float64Array(WIDTH)] as const;
  return ({ part, shaken }) => {
    sums[0].fill(0);
    sums[1].fill(0);
    let staying = 0;
    let leaving = 0;
    for (let i = 0; i < size; i++) {
      const to = part[i] as 0 | 1;
      const sum = sums[to];
      for (let k = 0, at = i * WIDTH; k < WIDTH; k++, at++) {
        sum[k] = (sum[k] as number) + (rows[at] as number);
      }
      const here = bees[i] as number;
      if (to === 1) {
        leaving += here * (stay[i] as number);
        staying += here * (1 - (stay[i] as number));
      } else if (shaken[i]) {
        leaving += here * shakenStay;
        staying += here * (1 - shakenStay);
      } else {
        staying += here;
      }
    }
    return [measureOf(sums[0], staying), measureOf(sums[1], leaving)];
  };
}

const measureOf = (sum: Float64Array, framesOfBeesAfterDrift: number): PartMeasure => ({
  frames: sum[0] as number,
  framesOfBeesNow: sum[1] as number,
  framesOfBeesAfterDrift,
  broodFrames: sum[2] as number,
  warmedFrames: sum[3] as number,
  openFrames: sum[4] as number,
  cappedFrames: sum[5] as number,
  eggsTenths: sum[6] as number,
  beeBreadFrames: sum[7] as number,
  storesFrames: sum[8] as number,
  drawnFrames: sum[9] as number,
  foodCombs: sum[10] as number,
  liveCells: sum[11] as number,
});
