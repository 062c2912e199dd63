import { type Contents, type Side, bothSides, type FrameReading } from '../comb/index.ts';

/** A colony in whole frames, as one says it aloud: "eight of bees, five of brood, three of stores". */
export interface NestTotals {
  readonly bees: number;
  readonly eggs: number;
  readonly open: number;
  readonly capped: number;
  readonly drone?: number;
  readonly beeBread: number;
  readonly honey: number;
  readonly nectar?: number;
  /** Whole frames of foundation, hung outermost. */
  readonly foundation?: number;
}

/** The fullest a comb of brood gets: stores and bee bread keep the rest. */
const FULLEST_BROOD = 0.8;

/**
 * Spreads totals over the frames of a box as a typical nest: brood in the middle, thinning outward, bee
 * bread around it, stores outside and in the upper corners, empty comb where nothing is.
 *
 * Amounts are rounded to half tenths of a side, so totals come back to within about a tenth of a frame a
 * class; what does not fit in the box is left out.
 *
 * @returns one reading a slot, marked as estimated
 */
export function spreadNest(slots: number, totals: NestTotals): FrameReading[] {
  const foundation = Math.min(slots, Math.round(totals.foundation ?? 0));
  const built = slots - foundation;
  const middle = (built - 1) / 2;
  const far = (i: number) => Math.abs(i - middle) / Math.max(middle, 1);
  const brood = totals.eggs + totals.open + totals.capped + (totals.drone ?? 0);
  const broodShare = share(built, brood, FULLEST_BROOD, (i) => {
    const half = Math.max(1, brood / FULLEST_BROOD / 2 + 0.9);
    return Math.max(0, 1 - (Math.abs(i - middle) / half) ** 2);
  });
  const room = broodShare.map((b) => 1 - b);
  const breadShare = share(
    built,
    totals.beeBread,
    0.5,
    (i) => (broodShare[i] ?? 0) * (1 - (broodShare[i] ?? 0)) + 0.15 * far(i),
    room,
  );
  const roomAfterBread = room.map((r, i) => r - (breadShare[i] ?? 0));
  const honeyShare = share(built, totals.honey, 1, (i) => 0.12 + far(i) ** 2, roomAfterBread);
  const roomAfterHoney = roomAfterBread.map((r, i) => r - (honeyShare[i] ?? 0));
  const nectarShare = share(built, totals.nectar ?? 0, 0.4, (i) => 0.3 + far(i), roomAfterHoney);
  const beesShare = share(built, totals.bees, 1, (i) => 0.35 + (broodShare[i] ?? 0) + 0.3 * (1 - far(i)));
  const readings = Array.from({ length: built }, (_, i) => {
    const amount = broodShare[i] ?? 0;
    const of = (stage: number) => (brood > 0 ? (amount * stage) / brood : 0);
    return side(
      {
        honey: honeyShare[i] ?? 0,
        nectar: nectarShare[i] ?? 0,
        beeBread: breadShare[i] ?? 0,
        eggs: of(totals.eggs),
        open: of(totals.open),
        capped: of(totals.capped),
        drone: of(totals.drone ?? 0),
      },
      beesShare[i] ?? 0,
    );
  }).map((s) => bothSides(s.contents, s.bees, { estimated: true }));
  const sheet = bothSides({ foundation: 10 }, 0, { estimated: true });
  const left = Math.floor(foundation / 2);
  return [
    ...Array.from({ length: left }, () => sheet),
    ...readings,
    ...Array.from({ length: foundation - left }, () => sheet),
  ];
}

/** Deals `total` out by weight without passing a frame's limit; what one cannot take goes to the others. */
function share(
  n: number,
  total: number,
  limit: number,
  weight: (i: number) => number,
  room: readonly number[] = [],
): number[] {
  const out = Array.from({ length: n }, () => 0);
  const cap = (i: number) => Math.max(0, Math.min(limit, room[i] ?? limit));
  let left = total;
  for (let round = 0; round < 12 && left > 1e-6; round++) {
    const open = out.map((v, i) => (v < cap(i) - 1e-9 ? weight(i) : 0));
    const sum = open.reduce((a, b) => a + b, 0);
    if (sum <= 0) break;
    const deal = left;
    for (let i = 0; i < n; i++) {
      const add = Math.min(cap(i) - (out[i] ?? 0), (deal * (open[i] ?? 0)) / sum);
      if (add <= 0) continue;
      out[i] = (out[i] ?? 0) + add;
      left -= add;
    }
  }
  return out;
}

function side(shares: Readonly<Record<string, number>>, bees: number): Side {
  const contents: Record<string, number> = {};
  let left = 10;
  for (const [c, value] of Object.entries(shares)) {
    const tenths = Math.min(left, Math.round(value * 20) / 2);
    if (tenths > 0) contents[c] = tenths;
    left -= tenths;
  }
  if (left > 0) contents['drawn'] = left;
  return { contents: contents as Contents, bees: Math.min(10, Math.round(bees * 20) / 2) };
}
