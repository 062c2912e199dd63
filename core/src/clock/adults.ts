/** Workers do duties in the house for so many days, then they fly (Winston 1987, The Biology of the Honey Bee; about day 20). */
const HOUSE_DAYS = 20;
/**
 * A field bee lives some eighteen days: with twenty in the house that makes the five to six weeks of a summer worker
 * (Winston 1987). A house bee hardly dies.
 */
const FIELD_LOSS = 1 / 18;
const HOUSE_LOSS = 0.002;
/** Of all adult bees in summer about one in 38 dies a day: twenty days in the house and eighteen in the field. */
export const MEAN_DAILY_LOSS = 1 / 38;
/** A winter bee lives four to six months in the cluster (Winston 1987); once brood is raised again it is gone within ten weeks (common practice). */
const WINTER_LOSS = 0.0035;
const WINTER_LOSS_AT_WORK = 0.016;
/** A drone lives about four weeks; when nothing more is to be had, drones are driven out (common practice, no source). */
const DRONE_LOSS = 1 / 28;
const DRONES_DRIVEN_OUT = 0.15;
/** Where field bees are missing, house bees fly sooner, at the earliest from this age. */
const FLIES_EARLIEST = 8;
const LEAST_FIELD_SHARE = 0.2;
const TAKES_OVER = 0.1;
/** Of the summer bees of a count, so many are house bees at least and at most, when nothing tells more. */
const HOUSE_SHARE = { least: 0.5, most: 0.7 } as const;

/** What the day does to adult bees. */
export interface AdultsDay {
  readonly workersOut: number;
  readonly dronesOut: number;
  /** Share of the workers emerging now that are winter bees. */
  readonly winterBees: number;
  readonly cluster: boolean;
  /** Drones are not kept any more. */
  readonly noDrones: boolean;
  /** Of all bees so many more live on than usual, as a share a day; fewer where it is negative. */
  readonly lean?: number;
}

/** The adult bees of a colony: house bees by age, field bees, winter bees and drones. */
export class Adults {
  private readonly house = new Float64Array(HOUSE_DAYS);
  private start = 0;
  field = 0;
  winter = 0;
  drones = 0;

  /** House bees of all ages. */
  get inHouse(): number {
    let sum = 0;
    for (const n of this.house) sum += n;
    return sum;
  }

  /** Bees that fly out for food: field bees, and winter bees once they no longer sit in the cluster. */
  get foragers(): number {
    return this.field + this.winter;
  }

  get total(): number {
    return this.inHouse + this.field + this.winter + this.drones;
  }

  /**
   * Bees that were counted join.
   *
   * @param emergedPerDay - workers that emerged a day of late, as capped brood tells: where there were few, the bees are old
   * @param winterShare - of them, so many are winter bees
   */
  join(bees: number, emergedPerDay: number, winterShare: number): void {
    const winter = bees * winterShare;
    const summer = bees - winter;
    const young = summer > 0 ? (emergedPerDay * HOUSE_DAYS) / summer : 0;
    const inHouse = summer * Math.min(HOUSE_SHARE.most, Math.max(HOUSE_SHARE.least, young));
    this.winter += winter;
    this.field += summer - inHouse;
    this.give('house', inHouse);
  }

  /** Bees come from elsewhere: field bees that drift in, or nurses of all house ages. */
  give(who: 'field' | 'house', bees: number): void {
    if (who === 'field') this.field += bees;
    else for (let a = 0; a < HOUSE_DAYS; a++) this.house[a] = (this.house[a] ?? 0) + bees / HOUSE_DAYS;
  }

  /** Takes bees away, field bees first, then the oldest; or the same share of all. @returns how many went */
  take(bees: number, whom: 'field-first' | 'all'): number {
    const wanted = Math.min(bees, this.total);
    if (whom === 'all') {
      this.scale(1 - wanted / Math.max(1e-9, this.total));
      return wanted;
    }
    let left = wanted;
    const field = Math.min(this.field, left);
    this.field -= field;
    left -= field;
    for (let age = HOUSE_DAYS - 1; age >= 0 && left > 0; age--) {
      const at = (this.start + age) % HOUSE_DAYS;
      const gone = Math.min(this.house[at] ?? 0, left);
      this.house[at] = (this.house[at] ?? 0) - gone;
      left -= gone;
    }
    const winter = Math.min(this.winter, left);
    this.winter -= winter;
    return wanted - (left - winter);
  }

  /** The same share of all stays. */
  scale(share: number): void {
    for (let a = 0; a < HOUSE_DAYS; a++) this.house[a] = (this.house[a] ?? 0) * share;
    this.field *= share;
    this.winter *= share;
    this.drones *= share;
  }

  /** Lets a day pass. @returns how many died */
  pass({ workersOut, dronesOut, winterBees, cluster, noDrones, lean = 0 }: AdultsDay): number {
    const before = this.total;
    for (let a = 0; a < HOUSE_DAYS; a++) this.house[a] = (this.house[a] ?? 0) * (1 - HOUSE_LOSS);
    this.field *= 1 - (cluster ? WINTER_LOSS : FIELD_LOSS);
    this.winter *= 1 - (cluster || winterBees > 0 ? WINTER_LOSS : WINTER_LOSS_AT_WORK);
    this.drones *= 1 - (noDrones ? DRONES_DRIVEN_OUT : DRONE_LOSS);
    // Nobody rises from the dead, and no more field bees die than there are.
    this.field += Math.min(before - this.total, Math.max(-this.field, lean * before));
    const died = before - this.total;
    // In the cluster nobody grows older.
    if (!cluster) {
      this.start = (this.start + HOUSE_DAYS - 1) % HOUSE_DAYS;
      this.field += this.house[this.start] ?? 0;
      this.house[this.start] = 0;
      this.flySooner();
    }
    const youngest = this.start;
    this.house[youngest] = (this.house[youngest] ?? 0) + workersOut * (1 - winterBees);
    this.winter += workersOut * winterBees;
    this.drones += dronesOut;
    return died;
  }

  private flySooner(): void {
    const inHouse = this.inHouse;
    const missing = LEAST_FIELD_SHARE * (inHouse + this.field) - this.field;
    let left = Math.min(missing, TAKES_OVER * inHouse);
    for (let age = HOUSE_DAYS - 1; age >= FLIES_EARLIEST && left > 0; age--) {
      const at = (this.start + age) % HOUSE_DAYS;
      const flies = Math.min(this.house[at] ?? 0, left);
      this.house[at] = (this.house[at] ?? 0) - flies;
      this.field += flies;
      left -= flies;
    }
  }
}
