import {
  CONTENT_CLASSES,
  shareOf,
  shareOfBees,
  type ContentClass,
  beesPerFrame,
  honeyKgPerFrame,
  type Range,
  inReferenceFrames,
  type FrameSizeId,
} from '../comb/index.ts';
import type { NestFrame } from '../brood/index.ts';

/** How far one person's reading of comb cover may be off, as a share (common practice, no source). */
const READING_ERROR_SHARE = 0.15;

/** What a colony amounts to, in frames of the reference size unless the name says otherwise. */
export interface Strength {
  /** Combs covered with bees on both sides. */
  readonly framesOfBees: Range;
  /** Adult bees. */
  readonly bees: Range;
  /** Brood area of all stages and of drones, as full frames. */
  readonly broodFrames: Range;
  /** Each content as full frames. */
  readonly frames: Readonly<Record<ContentClass, number>>;
  /** Honey and nectar as full frames. */
  readonly storesFrames: number;
  /** Honey and nectar in kg; nectar is counted at half the weight of honey that it will become. */
  readonly storesKg: Range;
  /** How many combs were read. */
  readonly combsRead: number;
}

/** Combs that the families of one hive store in together, and the share of one of them. */
export interface CommonCombs {
  readonly nest: readonly NestFrame[];
  readonly share: number;
}

const round3 = (low: number, likely: number, high: number): Range => ({ low, likely, high });

/**
 * Adds a nest up.
 *
 * Ranges of frames come from {@link READING_ERROR_SHARE}; ranges of bees and kilograms add the range of
 * their sources (see comb/densities).
 *
 * @param common - combs that several families use, of which this one has a share
 * @param doubt - how far a reading may be off, as a share: more when it is old
 */
export function strengthOf(
  nest: readonly NestFrame[],
  reference: FrameSizeId,
  common: CommonCombs = { nest: [], share: 0 },
  doubt = READING_ERROR_SHARE,
): Strength {
  const frames = Object.fromEntries(CONTENT_CLASSES.map((c) => [c, 0])) as Record<ContentClass, number>;
  let covered = 0;
  const own = nest.map((f) => [f, 1] as const);
  for (const [f, share] of [...own, ...common.nest.map((c) => [c, common.share] as const)]) {
    const worth = inReferenceFrames(f.size, reference) * share;
    covered += shareOfBees(f.reading) * worth;
    for (const c of CONTENT_CLASSES) frames[c] += shareOf(f.reading, c) * worth;
  }
  const brood = frames.eggs + frames.open + frames.capped + frames.emerging + frames.drone;
  const down = 1 - doubt;
  const up = 1 + doubt;
  const perFrame = beesPerFrame(reference);
  const kg = honeyKgPerFrame(reference);
  const honeyWorth = frames.honey + frames.nectar / 2;
  return {
    framesOfBees: round3(covered * down, covered, covered * up),
    bees: round3(covered * down * perFrame.low, covered * perFrame.likely, covered * up * perFrame.high),
    broodFrames: round3(brood * down, brood, brood * up),
    frames,
    storesFrames: frames.honey + frames.nectar,
    storesKg: round3(honeyWorth * down * kg.low, honeyWorth * kg.likely, honeyWorth * up * kg.high),
    combsRead: nest.length,
  };
}
