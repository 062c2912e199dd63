import type { HouseRules } from '../../rules/index.ts';
import { tooLateToRaise, type Situation } from './situation.ts';

/** One thing that speaks for a method, or against it. */
export interface FitReason {
  readonly speaksFor: boolean;
  readonly text: string;
}

/** How well a method suits a situation. */
export interface Fit {
  /** From 0 to 100; 0 when it cannot be done. */
  readonly score: number;
  readonly reasons: readonly FitReason[];
  /** Why it cannot be done; null when it can. */
  readonly cannot: string | null;
}

/** Weighs a method up; what speaks for it and against it is said in words, with the numbers. */
export class Weighing {
  private score = 50;
  private readonly reasons: FitReason[] = [];
  private cannot: string | null = null;

  readonly now: Situation;
  readonly rules: HouseRules;

  constructor(now: Situation, rules: HouseRules) {
    this.now = now;
    this.rules = rules;
    this.cannot = now.hold;
  }

  /** Counts when it holds. */
  good(holds: boolean, points: number, text: string): this {
    if (holds) this.note(true, points, text);
    return this;
  }

  /** Counts against it when it holds. */
  bad(holds: boolean, points: number, text: string): this {
    if (holds) this.note(false, -points, text);
    return this;
  }

  /** Rules it out when it holds; the first reason is kept. */
  never(holds: boolean, text: string): this {
    if (holds) this.cannot ??= text;
    return this;
  }

  /** Needs so many frames of bees and brood; a little less counts against it, much less rules it out. */
  needs(bees: number, brood: number): this {
    const { now } = this;
    const short = Math.max(0, bees - now.bees);
    const shortBrood = Math.max(0, brood - now.brood);
    this.never(
      short > bees * 0.25 || shortBrood > brood * 0.4,
      `It needs about ${one(bees)} frames of bees and ${one(brood)} of brood; ${now.name} has ${one(now.bees)} and ${one(now.brood)}.`,
    );
    this.bad(short > 0, 20, `${one(now.bees)} frames of bees, where ${one(bees)} are wanted.`);
    this.bad(shortBrood > 0, 15, `${one(now.brood)} frames of brood, where ${one(brood)} are wanted.`);
    return this.good(
      short === 0 && shortBrood === 0,
      8,
      `Strong enough: ${one(now.bees)} frames of bees, ${one(now.brood)} of brood.`,
    );
  }

  /** A queen that is raised has to mate. */
  raisesQueen(): this {
    const { now } = this;
    this.never(now.noRaising !== null, now.noRaising ?? '');
    this.never(
      now.season === 'autumn',
      'Too late for a young queen to mate: few drones fly, and she would not lay in time.',
    );
    this.never(!now.dronesFly && now.season === 'early', 'No drones yet: a young queen would not be mated.');
    const tooLate = tooLateToRaise(now);
    this.bad(tooLate !== null, 45, tooLate ?? '');
    this.bad(
      now.season === 'dearth',
      18,
      'In dearth queens are raised and mated less well; a mated queen is surer.',
    );
    return this.good(
      now.season === 'build-up' || now.season === 'swarm',
      8,
      'Drones fly and pollen comes in: queens are raised well.',
    );
  }

  done(): Fit {
    const score = this.cannot === null ? Math.max(1, Math.min(100, this.score)) : 0;
    return { score, reasons: this.reasons, cannot: this.cannot };
  }

  private note(speaksFor: boolean, points: number, text: string): void {
    this.score += points;
    this.reasons.push({ speaksFor, text });
  }
}

const one = (n: number) => String(Math.round(n * 10) / 10);
