import { floatAt } from '../../basics/index.ts';
import { DRIVERS, WEEKLY, type Round, type Schedule, type SeasonProblem, type Weekly } from './problem.ts';
import type { SeasonWeek } from '../year/seasonWeek.ts';
import { carryOut } from './carryOut.ts';
import { HOURS } from './hours.ts';
import { COMB_COSTS_KG, Family, FIRST_PACE, type SeasonBooks } from './family.ts';
import { chanceDrawn, evenLuckOf, luckOf, normalOf } from './luck.ts';

/** A colony in one week: frames of bees and of brood, kg of food. */
export interface FamilyWeek {
  readonly frames: number;
  readonly brood: number;
  readonly kg: number;
  readonly lays: boolean;
  readonly nuc: boolean;
}

/** What becomes of a colony in one season, for a picture of it. */
export interface FamilyStory {
  readonly start: number | null;
  readonly parent: number;
  readonly round: number;
  readonly from: number;
  /** The week in which it ended; null where it stands at the end. */
  until: number | null;
  end: 'united' | 'dead' | null;
  unitedInto: number;
  /** By week from `from` on: frames of bees, kg of food, whether a queen lays. */
  readonly weeks: FamilyWeek[];
}

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
/** Frames of bees below which a colony is hardly one. */
const LEAST_FRAMES = 0.35;
/** Weeks until somebody finds that no queen came of it. */
const FOUND_AFTER = 2;
/** Chance in a week of the season that a queen fails: about one in ten a year (common practice, no source). */
const QUEEN_FAILS = 0.003;
/** Swarming: a colony crowds itself from so many frames of bees; of colonies of twice that a quarter go in a season (our estimate). */
const CROWDED = 10;
const SWARM_HEAT = 0.03;
const SWARM_TAKES = 0.45;
/** Syrup is given when food lasts for less than so long, up to so much. */
const FED_BELOW = 1.2;
const FED_TO = { nuc: 3, full: 5 } as const;
/** A kilogram of sugar makes so much of stores (common practice: 1.1 to 1.2). */
const STORES_OF_SUGAR = 1.15;
/** A nuc goes into a hive of full size from so many frames of bees on. */
const OUTGROWN = 4.2;
const FULL_PLACES = 40;
/** Kept in a hive at a harvest in summer, in kg. */
const KEPT_IN_SUMMER = 8;
/** Of the odds that a colony lives through its winter, so much goes with each frame of bees that it lacks, as log-odds. */
const SMALL_CLUSTER = 0.5;

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
  private winterGrown = 0;
  private winterYoung = 0;
  private growth = 1;
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
    f.madeIn = this.week;
    f.grown = false;
    f.wait = 0;
    f.waitEndsWell = false;
    f.swarmHeat = 0;
    f.sinceGiven = 99;
    f.fed = false;
    f.drew = 0;
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
      const flowNow = seasonFlow * weekly(this.luck(5000 + w));
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
      this.frames[w] = frames;
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
      f.madeIn = 0;
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
    this.queen(f, index, week);
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
    this.feed(f, week, frames);
    if (week.swarms && this.swarms(f, index, frames)) frames = f.frames;
    if (f.nuc && f.lays && frames > OUTGROWN && week.open) this.hiveUp(f);
    if (week.harvest && !f.nuc) this.harvest(f, week, frames);
    if (week.winterBegins) f.atFrost = frames;
    if (week.winterEnds) this.winter(f, index);
    if (week.open) this.spent.hours[this.week] = floatAt(this.spent.hours, this.week) + HOURS.colony;
    if (f.alive && frames < LEAST_FRAMES) this.die(f, index);
    return frames;
  }

  private queen(f: Family, index: number, week: SeasonWeek): void {
    if (f.wait > 0) {
      f.wait--;
      if (f.wait > 0) return;
      if (f.waitEndsWell) {
        f.lays = true;
        f.pace = FIRST_PACE;
        f.waitEndsWell = false;
        return;
      }
      this.withoutQueen(f, index, week);
      return;
    }
    if (!f.lays) {
      this.withoutQueen(f, index, week);
      return;
    }
    f.failsIn -= week.cluster ? 0.3 : 1;
    if (f.failsIn > 0) return;
    f.failsIn = 999;
    f.lays = false;
    // Most supersede her while drones fly.
    f.wait = 5;
    f.waitEndsWell = week.mates && this.luck(100 + index * 16 + 6) < 0.85;
    if (!week.mates) f.wait = FOUND_AFTER;
  }

  /** Nothing came of it: a bought queen where the keeper takes those, else it is united with the weakest that has one. */
  private withoutQueen(f: Family, index: number, week: SeasonWeek): void {
    const { aim } = this.problem;
    if (week.mated && aim.queens.includes('mated') && f.frames > 1) {
      this.spend('queens', 1);
      this.end.queens++;
      f.wait = 1;
      f.waitEndsWell = this.luck(100 + index * 16 + 7 + (this.week % 5)) < this.accepts;
      return;
    }
    if (!week.open) return;
    const host = this.weakestLaying(f.yard, index);
    if (host >= 0) this.unite(f, index, host);
    else f.wait = FOUND_AFTER;
  }

  /** The weakest colony of a yard with a laying queen, other than one; −1 where there is none. */
  weakestLaying(yard: number, but: number): number {
    let found = -1;
    let least = Infinity;
    for (let i = 0; i < this.n; i++) {
      const g = this.families[i] as Family;
      if (i === but || !g.alive || !g.lays || g.yard !== yard || g.frames >= least) continue;
      least = g.frames;
      found = i;
    }
    return found;
  }

  unite(f: Family, index: number, into: number): void {
    const g = this.families[into] as Family;
    g.h0 += f.h0;
    g.h1 += f.h1;
    g.h2 += f.h2;
    g.field += f.field;
    g.winter += f.winter;
    g.b0 += f.b0;
    g.b1 += f.b1;
    g.b2 += f.b2;
    g.kg += f.kg;
    if (g.nuc && g.frames > OUTGROWN) {
      g.nuc = f.nuc && g.nuc;
      g.places = Math.max(g.places, f.places);
    }
    const takes = Math.min(f.combs, Math.max(0, g.places - g.combs));
    g.combs += takes;
    this.combsLeft += f.combs - takes;
    if (f.nuc) this.nucBoxesLeft++;
    else this.hivesLeft++;
    this.spend('hours', HOURS.unite);
    f.alive = false;
    const told = this.story?.[index];
    if (told) {
      told.until = this.week;
      told.end = 'united';
      told.unitedInto = into;
    }
  }

  private die(f: Family, index: number): void {
    f.alive = false;
    this.outBees.dead += f.bees;
    this.outKg.dead += f.kg;
    this.combsLeft += f.combs;
    if (f.nuc) this.nucBoxesLeft++;
    else this.hivesLeft++;
    this.drivers[8] = floatAt(this.drivers, 8) - 1;
    const told = this.story?.[index];
    if (told) {
      told.until = this.week;
      told.end = 'dead';
    }
  }

  /** The keeper sees to it that nobody starves; before winter each is brought to what the winter takes. */
  private feed(f: Family, week: SeasonWeek, frames: number): void {
    f.fed = false;
    let to = 0;
    if (week.feedForWinter) {
      const whole = this.problem.winterKg[f.yard] ?? 20;
      const need = whole * Math.min(1, Math.max(0.5, frames / 8));
      if (f.kg < need) to = f.kg + Math.min(need - f.kg, 6);
    } else if (f.kg < FED_BELOW) to = f.nuc ? FED_TO.nuc : FED_TO.full;
    if (to <= f.kg) return;
    const kg = to - f.kg;
    f.fed = true;
    f.kg += kg;
    this.books.fed += kg;
    const sugar = kg / STORES_OF_SUGAR;
    this.end.sugar += sugar;
    this.spend('sugarKg', sugar);
    this.spend('hours', HOURS.feed);
  }

  private swarms(f: Family, index: number, frames: number): boolean {
    if (!f.lays || f.nuc || frames < CROWDED || f.sinceGiven < 3) return false;
    f.swarmHeat += SWARM_HEAT * Math.min(1, (frames - CROWDED) / CROWDED);
    if (f.swarmHeat < f.swarmAt) return false;
    f.swarmHeat = 0;
    f.swarmAt = 9;
    this.outBees.swarms += f.bees * SWARM_TAKES;
    f.scaleBees(1 - SWARM_TAKES);
    const goes = Math.min(3, f.kg * 0.4);
    f.kg -= goes;
    this.outKg.swarms += goes;
    this.drivers[7] = floatAt(this.drivers, 7) - 1;
    f.lays = false;
    f.wait = 4;
    f.waitEndsWell = this.luck(100 + index * 16 + 8) < this.raises;
    return true;
  }

  private hiveUp(f: Family): void {
    f.nuc = false;
    f.places = FULL_PLACES;
    this.nucBoxesLeft++;
    this.takeHive();
    this.spend('hours', HOURS.hiveUp);
    // Drawn comb of the store goes to who can fill it.
    const takes = Math.min(this.combsLeft, 2);
    this.combsLeft -= takes;
    f.combs += takes;
  }

  takeHive(): void {
    if (this.hivesLeft > 0) this.hivesLeft--;
    else this.spend('hives', 1);
  }

  takeNucBox(): void {
    if (this.nucBoxesLeft > 0) this.nucBoxesLeft--;
    else this.spend('nucBoxes', 1);
  }

  private harvest(f: Family, week: SeasonWeek, frames: number): void {
    const whole = this.problem.winterKg[f.yard] ?? 20;
    const keeps = week.harvest === 'main' ? KEPT_IN_SUMMER : whole * Math.min(1, Math.max(0.5, frames / 8));
    // Part-filled and uncapped combs stay.
    const takes = Math.max(0, 0.85 * (f.kg - keeps));
    if (takes < 1) return;
    f.kg -= takes;
    this.end.honey += takes;
    this.spend('hours', (HOURS.tenKg * takes) / 10);
  }

  private winter(f: Family, index: number): void {
    const chance = f.grown ? this.winterGrown : this.winterYoung;
    // Small clusters fare worse (our estimate, no source).
    const missing = Math.max(0, this.problem.donors.winterBees - f.atFrost);
    const odds = Math.log(chance / (1 - chance)) - SMALL_CLUSTER * missing;
    f.grown = true;
    if (this.luck(100 + index * 16 + 9 + (this.week % 3)) < 1 / (1 + Math.exp(-odds))) return;
    this.die(f, index);
  }

  private finish(): SeasonEnd {
    const { end, problem } = this;
    for (let i = 0; i < this.n; i++) {
      const f = this.families[i] as Family;
      if (!f.alive) continue;
      end.colonies++;
      end.frames += f.frames;
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
