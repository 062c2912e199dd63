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

const zero = (): { -readonly [K in keyof PartMeasure]: PartMeasure[K] } => ({
  frames: 0,
  framesOfBeesNow: 0,
  framesOfBeesAfterDrift: 0,
  broodFrames: 0,
  warmedFrames: 0,
  openFrames: 0,
  cappedFrames: 0,
  eggsTenths: 0,
  beeBreadFrames: 0,
  storesFrames: 0,
  drawnFrames: 0,
  foodCombs: 0,
  liveCells: 0,
});

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
  const parts = [zero(), zero()] as const;
  const shakenStay = distance === 'away' ? shares.away : shares.openBrood;
  for (let i = 0; i < frames.length; i++) {
    const f = frames[i] as PlanFrame;
    const to = choice.part[i] as 0 | 1;
    const part = parts[to];
    part.frames += 1;
    part.framesOfBeesNow += f.bees;
    part.broodFrames += f.brood;
    part.warmedFrames += f.warmed;
    part.openFrames += f.open + f.eggs;
    part.cappedFrames += f.capped;
    part.eggsTenths += f.eggsTenths;
    part.beeBreadFrames += f.beeBread;
    part.storesFrames += f.stores;
    part.drawnFrames += f.drawn;
    if (f.isFood) part.foodCombs += 1;
    part.liveCells += f.liveCells;
    if (to === 1) {
      parts[1].framesOfBeesAfterDrift += f.bees * f.stay[distance];
      parts[0].framesOfBeesAfterDrift += f.bees * (1 - f.stay[distance]);
    } else if (choice.shaken[i]) {
      parts[1].framesOfBeesAfterDrift += f.bees * shakenStay;
      parts[0].framesOfBeesAfterDrift += f.bees * (1 - shakenStay);
    } else {
      parts[0].framesOfBeesAfterDrift += f.bees;
    }
  }
  return [parts[0], parts[1]];
}
