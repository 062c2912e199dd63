import { floatAt } from '../../basics/index.ts';
import { DRIVERS, WEEKLY, type Round, type Schedule, type SeasonProblem, type Weekly } from './problem.ts';
import type { SeasonWeek } from '../year/seasonWeek.ts';
import { carryOut } from './carryOut.ts';
import { HOURS } from './hours.ts';
import { COMB_COSTS_KG, Family, type SeasonBooks } from './family.ts';
import { die, FOUND_AFTER, queen, swarms, winter } from './fates.ts';
import { feed, harvest, hiveUp, OUTGROWN } from './keeping.ts';
import type { FamilyStory } from './story.ts';
import { chanceDrawn, evenLuckOf, luckOf, normalOf } from './luck.ts';

/** How a season ended, beside what is counted by week. */
export interface SeasonEnd {
  colonies: number;
  /** As strong as the aim asks. */
  strong: number;
  frames: number;
  honey: number;
  money: number;
  hours: number;
  sugar: number;
  queens: number;
  made: number;
  asked: number;
  drawn: number;
  /** Honey in the hives at the end. */
  stored: number;
}

/** How far a year's growth may be from what is worked out, for all colonies alike: weather, forage, and what the model does not know. */
const GROWTH_SPREAD = 0.2;
/**
 * How far all bees together may be off what the course says of them, told and nothing else: within a season, and once a winter lies
 * between (our estimate, no published source: another model of the same colonies comes out so much apart).
 */
const BEES_OFF = { season: 0.2, winter: 0.5 } as const;
/** Chance in a week of the season that a queen fails: about one in ten a year (common practice, no source). */
const QUEEN_FAILS = 0.003;
/** Luck of the weeks is drawn apart from that of any colony. */
const WEEKLY_LUCK = 1_000_000;
/** Frames of bees below which a colony is hardly one. */
const LEAST_FRAMES = 0.35;
/** One run through a season after another; everything is kept for the next, so that thousands cost no memory. */
export class SeasonRun {
  readonly problem: SeasonProblem;
  readonly families: Family[] = [];
  /** Families in use. */
  n = 0;
  readonly books: SeasonBooks = { emerged: 0, died: 0, gathered: 0, fed: 0, eaten: 0 };
  /** Honey that is in no hive: harvested, built into comb, gone with swarms and the dead. */
  readonly outKg = { wax: 0, swarms: 0, dead: 0 };
  readonly outBees = { swarms: 0, dead: 0 };
  /** By week. */
  readonly colonies: Float64Array;
  readonly frames: Float64Array;
  readonly honey: Float64Array;
  readonly spent: Readonly<Record<Weekly, Float64Array>>;
  readonly drivers = new Float64Array(DRIVERS.length);
  readonly end: SeasonEnd = {
    colonies: 0,
    strong: 0,
    frames: 0,
    honey: 0,
    money: 0,
    hours: 0,
    sugar: 0,
    queens: 0,
    made: 0,
    asked: 0,
    drawn: 0,
    stored: 0,
  };
  week = 0;
  season = 0;
  combsLeft = 0;
  nucBoxesLeft = 0;
  hivesLeft = 0;
  /** Chances of this season. */
  raises = 0;
  accepts = 0;
  winterGrown = 0;
  winterYoung = 0;
  private growth = 1;
  private beesOff = 0;
  private wintered = false;
  private shift = 0;
  story: FamilyStory[] | null = null;
  /** What rounds of this season made, by their place in the schedule. */
  readonly madeBy: number[] = [];

  constructor(problem: SeasonProblem) {
    this.problem = problem;
    const weeks = problem.weeks[0]?.length ?? 0;
    this.colonies = new Float64Array(weeks);
    this.frames = new Float64Array(weeks);
    this.honey = new Float64Array(weeks);
    this.spent = Object.fromEntries(WEEKLY.map((k) => [k, new Float64Array(weeks)])) as Record<
      Weekly,
      Float64Array
    >;
  }

  get length(): number {
    return this.colonies.length;
  }

  luck(purpose: number): number {
    return luckOf(this.problem.seed, this.season, purpose);
  }

  /** A week of a yard, moved by an early or late spring until the main flow is over. */
  weekOf(yard: number): SeasonWeek {
    const weeks = this.problem.weeks[yard] as readonly SeasonWeek[];
    const own = weeks[this.week] as SeasonWeek;
    if (this.shift === 0 || (own.phase !== 'spring' && own.phase !== 'build-up' && own.phase !== 'main-flow'))
      return own;
    return weeks[Math.min(weeks.length - 1, Math.max(0, this.week - this.shift))] as SeasonWeek;
  }

  spend(what: Weekly, amount: number): void {
    const by = this.spent[what];
    by[this.week] = floatAt(by, this.week) + amount;
    const { prices } = this.problem;
    const price =
      what === 'nucBoxes'
        ? prices.nucBox
        : what === 'hives'
          ? prices.hive
          : what === 'frames'
            ? prices.frame
            : what === 'sugarKg'
              ? prices.sugarKg
              : what === 'queens'
                ? prices.queen
                : what === 'cells'
                  ? prices.cell
                  : 0;
    if (price > 0) this.spent.money[this.week] = floatAt(this.spent.money, this.week) + price * amount;
  }

  /** Another colony; the arrays grow only when a schedule makes more than any before. */
  add(): Family {
    let f = this.families[this.n];
    if (!f) {
      f = new Family();
      this.families.push(f);
    }
    this.n++;
    f.alive = true;
    f.parent = -1;
    f.round = -1;
    f.grown = false;
    f.wait = 0;
    f.waitEndsWell = false;
    f.swarmHeat = 0;
    f.sinceGiven = 99;
    f.fed = false;
    f.syruped = false;
    f.atFrost = 8;
    f.b0 = f.b1 = f.b2 = f.h0 = f.h1 = f.h2 = f.field = f.winter = f.kg = f.combs = 0;
    f.lays = false;
    f.pace = 1;
    this.lifeOf(f, this.n - 1);
    return f;
  }

  /** What luck a queen has by herself. */
  lifeOf(f: Family, index: number): void {
    const own = 100 + index * 16;
    f.talent = this.growth * Math.max(0.5, Math.min(1.3, 1 + 0.15 * normalOf(this.luck(own))));
    f.failsIn = -Math.log(1 - this.luck(own + 1)) / QUEEN_FAILS;
    f.swarmAt = -Math.log(1 - this.luck(own + 2));
  }

  /** Runs one season. @param story - colonies are written down week by week */
  run(schedule: Schedule, season: number, story = false): SeasonEnd {
    this.season = season;
    this.week = 0;
    this.story = story ? [] : null;
    this.reset();
    const delays = this.delaysOf(schedule);
    this.madeBy.length = 0;
    for (let i = 0; i < schedule.length; i++) this.madeBy.push(0);
    const seasonFlow = this.drawSeason();
    this.start();
    const weeks = this.length;
    for (let w = 0; w < weeks; w++) {
      this.week = w;
      for (let i = 0; i < schedule.length; i++) {
        const round = schedule[i] as Round;
        if (round.week + (delays[i] ?? 0) === w) this.madeBy[i] = carryOut(this, round, i);
      }
      const flowNow = seasonFlow * weekly(this.luck(WEEKLY_LUCK + w));
      let alive = 0;
      let frames = 0;
      let stored = 0;
      for (let i = 0; i < this.n; i++) {
        const f = this.families[i] as Family;
        if (!f.alive) continue;
        const week = this.weekOf(f.yard);
        const own = this.live(f, i, week, flowNow);
        if (!f.alive) continue;
        alive++;
        frames += own;
        stored += f.kg;
        if (this.story) this.tell(f, i);
      }
      this.colonies[w] = alive;
      if (this.weekOf(0).winterEnds) this.wintered = true;
      this.frames[w] = frames * this.told();
      this.honey[w] = this.end.honey;
      this.end.stored = stored;
    }
    return this.finish();
  }

  private reset(): void {
    this.n = 0;
    const { books, outKg, outBees, end } = this;
    books.emerged = books.died = books.gathered = books.fed = books.eaten = 0;
    outKg.wax = outKg.swarms = outKg.dead = 0;
    outBees.swarms = outBees.dead = 0;
    end.colonies = end.strong = end.frames = end.honey = end.money = end.hours = end.sugar = 0;
    end.queens = end.made = end.asked = end.drawn = end.stored = 0;
    for (const k of WEEKLY) this.spent[k].fill(0);
    this.drivers.fill(0);
    this.combsLeft = this.problem.storeCombs;
    this.nucBoxesLeft = this.problem.storeNucBoxes;
    this.hivesLeft = this.problem.storeHives;
  }

  /** Chances and weather that all colonies share. @returns this year's nectar against a usual one */
  private drawSeason(): number {
    const { chances } = this.problem;
    const deviate = (k: number) => normalOf(evenLuckOf(this.problem.seed, this.season, k));
    const spring = deviate(1);
    const flow = deviate(2);
    const mating = deviate(3);
    const winter = deviate(4);
    const growth = deviate(5);
    this.beesOff = deviate(7);
    this.wintered = false;
    this.shift = Math.max(-2, Math.min(2, Math.round(spring)));
    this.growth = Math.exp(GROWTH_SPREAD * growth);
    this.raises = chanceDrawn(chances.raises, mating);
    this.accepts = chanceDrawn(chances.accepts, deviate(6));
    // A hard winter takes more of both.
    this.winterGrown = chanceDrawn(chances.wintersGrown, winter);
    this.winterYoung = chanceDrawn(chances.wintersYoung, winter);
    this.drivers[0] = -spring;
    this.drivers[1] = flow;
    this.drivers[2] = mating;
    this.drivers[3] = winter;
    this.drivers[4] = growth;
    this.drivers[6] = this.accepts;
    const s = chances.flowSpread;
    return chances.flow * Math.exp(s * flow - (s * s) / 2);
  }

  /** Rain, a full week at work, a queen that comes late: so many weeks later. */
  private delaysOf(schedule: Schedule): number[] {
    const late = this.problem.aim.weekendsOnly ? 0.3 : 0.15;
    return schedule.map((_r, i) => {
      const weeks = Math.min(3, Math.floor(Math.log(1 - this.luck(40 + i)) / Math.log(late)));
      this.drivers[5] = floatAt(this.drivers, 5) - weeks;
      return weeks;
    });
  }

  private start(): void {
    this.problem.starts.forEach((s, i) => {
      const f = this.add();
      const off = Math.exp(s.doubt * normalOf(this.luck(100 + i * 16 + 5)) - (s.doubt * s.doubt) / 2);
      f.yard = s.yard;
      f.nuc = s.nuc;
      f.grown = s.grown;
      [f.b0, f.b1, f.b2] = s.brood;
      [f.h0, f.h1, f.h2] = s.house;
      f.field = s.field;
      f.winter = s.winter;
      f.scaleBees(off);
      f.scaleBrood(off);
      f.kg = s.kg;
      f.combs = s.combs;
      f.places = s.places;
      f.lays = s.lays;
      f.pace = s.pace;
      if (s.wait > 0) {
        f.wait = s.wait;
        f.waitEndsWell = this.luck(100 + i * 16 + 3) < this.raises;
      } else if (!s.lays) f.wait = FOUND_AFTER;
      this.begin(f, i);
    });
  }

  begin(f: Family, start: number | null): void {
    this.story?.push({
      start,
      parent: f.parent,
      round: f.round,
      from: this.week,
      until: null,
      end: null,
      unitedInto: -1,
      weeks: [],
    });
  }

  private tell(f: Family, index: number): void {
    this.story?.[index]?.weeks.push({
      frames: f.frames,
      brood: f.broodFrames,
      kg: f.kg,
      lays: f.lays,
      nuc: f.nuc,
    });
  }

  /** Parts with a queen of their own to raise, or one that was given. */
  awaits(f: Family, index: number, how: 'raises' | 'cell' | 'mated'): void {
    const luck = this.luck(100 + index * 16 + 3);
    const late = this.luck(100 + index * 16 + 4);
    f.lays = false;
    if (how === 'mated') {
      f.wait = 1;
      f.waitEndsWell = luck < this.accepts;
      return;
    }
    // Eggs from the 20th day on where a part raises her, mostly about the 27th; from a ripe cell about a fortnight.
    f.wait = how === 'raises' ? (late < 0.2 ? 3 : late < 0.75 ? 4 : 5) : late < 0.6 ? 2 : 3;
    f.waitEndsWell = luck < this.raises;
  }

  /** @returns its frames of bees at the end of the week */
  private live(f: Family, index: number, week: SeasonWeek, flow: number): number {
    queen(this, f, index, week);
    if (!f.alive) return 0;
    const before = f.combs;
    const bees = f.pass(week, this.problem.life, flow, this.books);
    const drew = f.combs - before;
    if (drew > 0) {
      this.outKg.wax += drew * COMB_COSTS_KG;
      this.end.drawn += drew;
      this.spend('frames', drew);
    }
    let frames = bees;
    feed(this, f, week, frames);
    if (week.swarms && swarms(this, f, index, frames)) frames = f.frames;
    if (f.nuc && f.lays && frames > OUTGROWN && week.open) hiveUp(this, f);
    if (week.harvest && !f.nuc) harvest(this, f, week, frames);
    if (week.winterBegins) f.atFrost = frames;
    if (week.winterEnds) winter(this, f, index);
    if (week.open) this.spent.hours[this.week] = floatAt(this.spent.hours, this.week) + HOURS.colony;
    if (f.alive && frames < LEAST_FRAMES) die(this, f, index);
    return frames;
  }

  /** What bees are told with: nobody counts them by a model to the frame. */
  private told(): number {
    const off = this.wintered ? BEES_OFF.winter : BEES_OFF.season;
    return Math.exp(off * this.beesOff);
  }

  private finish(): SeasonEnd {
    const { end, problem } = this;
    for (let i = 0; i < this.n; i++) {
      const f = this.families[i] as Family;
      if (!f.alive) continue;
      end.colonies++;
      end.frames += f.frames * this.told();
      if ((f.lays || (f.wait > 0 && f.waitEndsWell)) && f.frames >= problem.aim.strongFrames) end.strong++;
    }
    for (let w = 0; w < this.length; w++) {
      end.money += floatAt(this.spent.money, w);
      end.hours += floatAt(this.spent.hours, w);
    }
    return end;
  }
}

/** Rain and sun of a week against a usual one: half a week lost is nothing special; its mean is one. */
const weekly = (share: number) => Math.exp(0.5 * normalOf(share) - 0.125);
