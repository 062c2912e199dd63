import { seededRandom, addDays } from '../../basics/index.ts';
import { noEvidence } from '../../records/index.ts';
import { queenBelief, type DatedLook } from '../../queen-odds/index.ts';
import { QUEEN_STATES, type QueenStateName } from '../../rules/index.ts';
import type { Draft, Life, Setting, World } from './world.ts';

/** Combs of a made-up colony. */
const COMBS = 8;

/** An inspection with the answers that were given, by question; null where it was not asked. */
interface Inspection {
  readonly day: number;
  readonly share: number;
  readonly given: readonly (number | null)[];
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
  /** The same for one who knows how likely everything is in that world, and weighs it without a fault. */
  readonly brierOfIdeal: number;
  /** The same for one who always gives the shares of the states in the whole. */
  readonly brierOfShares: number;
  /** How often the leading state was so. */
  readonly right: number;
  readonly rightOfIdeal: number;
  readonly bins: readonly ReliabilityBin[];
  readonly colonies: number;
}

/** How many colonies of how many settings are judged, and by how many lives the ideal observer weighs each. */
export interface CalibrationSize {
  readonly settings: number;
  readonly each: number;
  readonly lives: number;
}

/** The chances that one gives who knows the world: all lives that it may have been, weighed by what was seen. */
class IdealObserver {
  readonly #world: World;
  readonly #lives: readonly Life[];
  readonly #tables = new Map<string, readonly (readonly Float64Array[])[]>();
  readonly #states = new Map<number, Uint8Array>();

  constructor(world: World, setting: Setting, lives: number, seed: number) {
    const random = seededRandom(seed);
    this.#world = world;
    this.#lives = Array.from({ length: lives }, () => world.life(random, setting));
  }

  /** How likely each answer is in each life, by question and answer. */
  #table(day: number, share: number): readonly (readonly Float64Array[])[] {
    const key = `${day} ${share}`;
    const known = this.#tables.get(key);
    if (known) return known;
    const made = this.#world.questions.map((q) => {
      const byAnswer = q.answers.map(() => new Float64Array(this.#lives.length));
      this.#lives.forEach((life, i) => {
        q.chances(life, day + NOON, share).forEach((p, a) => {
          const column = byAnswer[a];
          if (column) column[i] = p;
        });
      });
      return byAnswer;
    });
    this.#tables.set(key, made);
    return made;
  }

  /** The state of each life on a day, by its place among the states. */
  #statesOn(day: number): Uint8Array {
    const known = this.#states.get(day);
    if (known) return known;
    const made = Uint8Array.from(this.#lives, (l) => QUEEN_STATES.indexOf(l.stateAt(day + NOON)));
    this.#states.set(day, made);
    return made;
  }

  odds(inspections: readonly Inspection[], day: number): Readonly<Record<QueenStateName, number>> {
    const weights = new Float64Array(this.#lives.length).fill(1);
    for (const { day: d, share, given } of inspections) {
      const table = this.#table(d, share);
      given.forEach((answer, q) => {
        const column = answer === null ? undefined : table[q]?.[answer];
        if (column)
          for (let i = 0; i < weights.length; i++) weights[i] = (weights[i] ?? 0) * (column[i] ?? 0);
      });
    }
    const byState = new Float64Array(QUEEN_STATES.length);
    const states = this.#statesOn(day);
    let sum = 0;
    for (let i = 0; i < weights.length; i++) {
      const w = weights[i] ?? 0;
      const state = states[i] ?? 0;
      byState[state] = (byState[state] ?? 0) + w;
      sum += w;
    }
    return Object.fromEntries(
      QUEEN_STATES.map((s, i) => [s, sum > 0 ? (byState[i] ?? 0) / sum : 1 / QUEEN_STATES.length]),
    ) as Record<QueenStateName, number>;
  }
}

/** Hives are opened about noon. */
const NOON = 0.5;

const pick = (chances: readonly number[], at: number): number => {
  let rest = at;
  const found = chances.findIndex((p) => (rest -= p) < 0);
  return found < 0 ? chances.findLastIndex((p) => p > 0) : found;
};

function inspected(world: World, setting: Setting, life: Life, random: () => number): Inspection[] {
  return world.looks(random, setting).map(({ day, share }) => ({
    day,
    share,
    given: world.questions.map((q) =>
      random() < q.asked ? pick(q.chances(life, day + NOON, share), random()) : null,
    ),
  }));
}

function written(world: World, { from }: Setting, { day, share, given }: Inspection): DatedLook {
  const draft: Draft = { ...noEvidence(COMBS), framesRead: Math.round(COMBS * share) };
  given.forEach((answer, q) => {
    if (answer !== null) world.questions[q]?.answers[answer]?.(draft, day + NOON);
  });
  return { day: addDays(from, day), seen: draft };
}

const distance = (odds: Readonly<Record<QueenStateName, number>>, truth: QueenStateName): number =>
  QUEEN_STATES.reduce((sum, s) => sum + (odds[s] - Number(s === truth)) ** 2, 0);

const likeliest = (odds: Readonly<Record<QueenStateName, number>>): QueenStateName =>
  QUEEN_STATES.reduce((best, s) => (odds[s] > odds[best] ? s : best));

/** Judges made-up colonies of a world, and compares the chances with what was so and with the best that can be known. */
export function calibration(world: World, { settings, each, lives }: CalibrationSize): Calibration {
  const random = seededRandom(20260504);
  const shares = new Map<QueenStateName, number>();
  const bins = Array.from({ length: 10 }, (_, i) => ({ from: i / 10, count: 0, said: 0, came: 0 }));
  const total = { brier: 0, ideal: 0, right: 0, idealRight: 0 };
  for (let s = 0; s < settings; s++) {
    const setting = world.setting(random);
    const ideal = new IdealObserver(world, setting, lives, s + 1);
    for (let n = 0; n < each; n++) {
      const life = world.life(random, setting);
      const inspections = inspected(world, setting, life, random);
      const day = inspections.at(-1)?.day ?? 0;
      const truth = life.stateAt(day + NOON);
      const looks = inspections.map((i) => written(world, setting, i));
      const { odds } = queenBelief(setting.before, looks, addDays(setting.from, day));
      const best = ideal.odds(inspections, day);
      total.brier += distance(odds, truth);
      total.ideal += distance(best, truth);
      total.right += Number(likeliest(odds) === truth);
      total.idealRight += Number(likeliest(best) === truth);
      shares.set(truth, (shares.get(truth) ?? 0) + 1);
      for (const state of QUEEN_STATES) {
        const bin = bins[Math.min(9, Math.floor(odds[state] * 10))];
        if (!bin) continue;
        bin.count++;
        bin.said += odds[state];
        bin.came += Number(state === truth);
      }
    }
  }
  const colonies = settings * each;
  const mean = (sum: number, of: number) => (of > 0 ? sum / of : 0);
  return {
    colonies,
    brier: mean(total.brier, colonies),
    brierOfIdeal: mean(total.ideal, colonies),
    brierOfShares: 1 - [...shares.values()].reduce((sum, k) => sum + (k / colonies) ** 2, 0),
    right: mean(total.right, colonies),
    rightOfIdeal: mean(total.idealRight, colonies),
    bins: bins.map((b) => ({ ...b, said: mean(b.said, b.count), came: mean(b.came, b.count) })),
  };
}
