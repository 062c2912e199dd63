import { seededRandom, addDays, type Day } from '../basics/index.ts';
import { noEvidence, type Evidence } from '../records/index.ts';
import { type PartBefore, type DatedLook, queenBelief } from '../queen-odds/index.ts';
import { QUEEN_STATES, type QueenStateName } from '../rules/index.ts';

/**
 * Made-up parts whose truth is known, to see whether the chances that the engine gives come true as often as it says. The
 * world here is not the engine's: days are continuous, observers differ, and mating waits for weather.
 */
interface SimulatedPart {
  readonly before: PartBefore;
  readonly looks: readonly DatedLook[];
  readonly day: Day;
  readonly truth: QueenStateName;
}

const LOST_ON = '2026-05-04';

/** One made-up part with one to three looks. */
function simulatedPart(seed: number): SimulatedPart {
  const random = seededRandom(seed * 2654435761);
  const normal = () => random() + random() + random() + random() - 2;
  const queenHere = random() < 0.5 ? 0.5 : 0;
  const isHere = random() < queenHere;
  const emerges = Math.min(16.4, Math.max(9.8, 12.4 + 1.9 * normal()));
  const raises = random() < 0.92;
  const fate = random();
  const eggsAfter = emerges + 8 + 4.5 * Math.abs(normal()) + 5 * random() ** 2;
  const dronesAfter = emerges + 20 + 9 * random();
  const workersFrom = 23 + 10 * random();
  const lostAt = emerges + 6 + 6 * random();

  /** Whose eggs are laid at a time, null for none. */
  const layer = (t: number): 'queen' | 'drone' | 'workers' | null => {
    if (t < 0) return 'queen';
    if (isHere) return 'queen';
    if (raises && fate < 0.84 && t >= eggsAfter) return 'queen';
    if (raises && fate >= 0.84 && fate < 0.89 && t >= dronesAfter) return 'drone';
    const queenless = !raises || fate >= 0.925;
    return queenless && t >= Math.max(workersFrom, raises ? lostAt + 8 : 0) ? 'workers' : null;
  };
  const stateAt = (t: number): QueenStateName => {
    if (isHere) return 'laying';
    if (!raises) return t < 7 ? 'cells' : layer(t) === 'workers' ? 'laying-workers' : 'hopeless';
    if (t < emerges) return 'cells';
    if (fate < 0.84) return t < eggsAfter ? 'virgin' : t < eggsAfter + 10 ? 'newly-laying' : 'laying';
    if (fate < 0.89) return t < dronesAfter ? 'virgin' : 'drone-layer';
    if (fate < 0.925) return 'virgin';
    return t < lostAt ? 'virgin' : layer(t) === 'workers' ? 'laying-workers' : 'hopeless';
  };
  const laid = (from: number, to: number, by?: ReturnType<typeof layer>) => {
    for (let t = from; t <= to; t += 0.25) {
      const l = layer(t);
      if (l !== null && (by === undefined || l === by)) return true;
    }
    return false;
  };
  const skill = 0.86 + 0.12 * random();
  const look = (d: number): DatedLook => {
    const t = d + 0.5;
    const state = stateAt(t);
    const sees = (there: boolean) => (there ? random() < skill : random() < 0.015);
    const evidence: { -readonly [K in keyof Evidence]: Evidence[K] } = { ...noEvidence(8), framesRead: 8 };
    const eggs = sees(laid(t - 3, t));
    const several =
      layer(t) === 'workers' ? random() < 0.85 : state === 'newly-laying' ? random() < 0.12 : random() < 0.02;
    evidence.eggs = eggs
      ? { look: 'found', perCell: several ? 'several' : 'one', place: 'unsure' }
      : { look: 'notFound' };
    if (random() < 0.7) evidence.olderLarvae = { look: sees(laid(t - 9, t - 4)) ? 'found' : 'notFound' };
    if (random() < 0.7) {
      const flat = laid(t - 21, t - 9, 'queen');
      const domed = laid(t - 24, t - 10, 'drone') || laid(t - 24, t - 10, 'workers');
      evidence.cappedBrood = sees(flat || domed)
        ? {
            look: 'found',
            cappings: flat && domed ? 'both' : domed ? 'domed' : random() < 0.92 ? 'flat' : 'both',
            patch: 'unsure',
          }
        : { look: 'notFound' };
    }
    const cells = !isHere && raises && t > 2.5 && t < emerges;
    evidence.cells = (cells ? random() < skill + 0.05 : random() < 0.05)
      ? { look: 'found', cells: [{ kind: t > 5 ? 'capped' : 'open', count: 3 }] }
      : { look: 'notFound' };
    if (random() < 0.5) {
      const there = !['cells', 'hopeless', 'laying-workers'].includes(state);
      evidence.queen =
        there && random() < (state === 'virgin' ? 0.18 : 0.5)
          ? { look: 'found', build: 'unsure' }
          : { look: 'notFound' };
    }
    return { day: addDays(LOST_ON, d), seen: evidence };
  };
  const days = [4 + Math.floor(random() * 6), 14 + Math.floor(random() * 14), 28 + Math.floor(random() * 24)]
    .filter(() => random() < 0.75)
    .toSorted((a, b) => a - b);
  if (days.length === 0) days.push(7);
  const last = days.at(-1) ?? 7;
  return {
    before: { separatedOn: LOST_ON, emergence: null, queenHere },
    looks: days.map(look),
    day: addDays(LOST_ON, last),
    truth: stateAt(last + 0.5),
  };
}

/** Chances between two tenths, and how often they came true. */
interface ReliabilityBin {
  readonly from: number;
  readonly count: number;
  readonly said: number;
  readonly came: number;
}

/** How well chances come true. */
export interface Calibration {
  /** Mean squared distance of the chances from what was so, over all states: 0 is perfect (Brier 1950). */
  readonly brier: number;
  /** The same for one who always gives the shares of the states in the whole. */
  readonly brierOfShares: number;
  /** How often the leading state was so. */
  readonly right: number;
  readonly bins: readonly ReliabilityBin[];
}

/** Judges so many made-up parts and compares chances with what was so. */
export function calibration(parts: number): Calibration {
  const counts = new Map<QueenStateName, number>();
  const bins = Array.from({ length: 10 }, (_, i) => ({ from: i / 10, count: 0, said: 0, came: 0 }));
  let brier = 0;
  let right = 0;
  for (let seed = 1; seed <= parts; seed++) {
    const { before, looks, day, truth } = simulatedPart(seed);
    const belief = queenBelief(before, looks, day);
    counts.set(truth, (counts.get(truth) ?? 0) + 1);
    if (belief.leading === truth) right++;
    for (const state of QUEEN_STATES) {
      const said = belief.odds[state];
      const so = Number(state === truth);
      brier += (said - so) ** 2;
      const bin = bins[Math.min(9, Math.floor(said * 10))];
      if (!bin) continue;
      bin.count++;
      bin.said += said;
      bin.came += so;
    }
  }
  const shares = [...counts.values()].map((n) => n / parts);
  return {
    brier: brier / parts,
    brierOfShares: 1 - shares.reduce((s, p) => s + p * p, 0),
    right: right / parts,
    bins: bins.map((b) => ({
      from: b.from,
      count: b.count,
      said: b.count > 0 ? b.said / b.count : 0,
      came: b.count > 0 ? b.came / b.count : 0,
    })),
  };
}
