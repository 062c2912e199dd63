import { shareOf } from '../comb/index.ts';
import { WORKER_STAGE_DAYS } from './developmentClock.ts';
import { layingRates, type LayingRates, type NestFrame } from './layingRates.ts';

/** What a brood nest says of the laying that made it. */
export interface NestReading {
  readonly rates: LayingRates;
  /** Days before the count between which laying stopped; null while she lays, or when nobody can tell. */
  readonly stoppedDaysAgo: { readonly from: number; readonly to: number } | null;
  /** Days before the count between which laying began; null when it began longer ago. */
  readonly beganDaysAgo: { readonly from: number; readonly to: number } | null;
  /** In one line, for people. */
  readonly words: string;
}

const { eggs: EGG_DAYS, open: OPEN_DAYS, capped: CAPPED_DAYS } = WORKER_STAGE_DAYS;
const OPEN_TO = EGG_DAYS + OPEN_DAYS;
const CAPPED_TO = OPEN_TO + CAPPED_DAYS;
/** Larvae small enough to be called young are at most this old, from the egg. */
const YOUNG_TO = EGG_DAYS + 2;
/** Rates of two stages that differ by less are taken for the same: an eye is no closer. */
const SAME_WITHIN = 0.3;

/**
 * Reads a brood nest by arithmetic: each stage tells the rate at which it was laid, and a stage that is
 * missing dates when laying stopped or began.
 *
 * @param youngLarvae - whether young larvae were seen, where somebody looked: narrows down when she stopped
 */
export function readNest(frames: readonly NestFrame[], youngLarvae: boolean | null = null): NestReading {
  const rates = layingRates(frames);
  const has = (...classes: Parameters<typeof shareOf>[1][]) =>
    frames.some((f) => shareOf(f.reading, ...classes) > 0);
  const eggs = has('eggs');
  const open = has('open');
  const capped = has('capped', 'emerging');
  const none = { stoppedDaysAgo: null, beganDaysAgo: null };
  if (eggs && open && capped) return { rates, ...none, words: trend(rates) };
  if (eggs) {
    if (capped && !open) {
      return {
        rates,
        stoppedDaysAgo: null,
        beganDaysAgo: { from: 0, to: EGG_DAYS },
        words: `No open brood between eggs and capped: she paused for up to ${OPEN_DAYS} days and lays again`,
      };
    }
    const to = open ? OPEN_TO : EGG_DAYS;
    const from = open ? EGG_DAYS : 0;
    return {
      rates,
      stoppedDaysAgo: null,
      beganDaysAgo: { from, to },
      words: `Began to lay ${from}–${to} days ago`,
    };
  }
  const stopped = (from: number, to: number) => ({
    rates,
    stoppedDaysAgo: { from, to },
    beganDaysAgo: null,
    words: `No eggs${open ? '' : ' or larvae'}: stopped laying ${from}–${to} days ago, or eggs were not seen`,
  });
  if (open) {
    if (youngLarvae === true) return stopped(EGG_DAYS, YOUNG_TO);
    return stopped(youngLarvae === false ? YOUNG_TO : EGG_DAYS, OPEN_TO);
  }
  if (capped) return stopped(OPEN_TO, CAPPED_TO);
  return { rates, ...none, words: `No brood: nothing was laid that lived in the last ${CAPPED_TO} days` };
}

function trend({ fromEggs, fromOpen, fromCapped }: LayingRates): string {
  const late = (fromEggs * EGG_DAYS + fromOpen * OPEN_DAYS) / OPEN_TO;
  if (late > fromCapped * (1 + SAME_WITHIN)) return 'Lays more than two weeks ago: building up';
  if (late < fromCapped * (1 - SAME_WITHIN))
    return 'Laying has slowed over two weeks: out of room, or the nest is shrinking';
  return 'Lays as steadily as two weeks ago';
}
