import { addDays, daysBetween, type Day } from '../basics/index.ts';
import { presentLayingRate } from '../brood/index.ts';
import { ColonyModel, CombSide, type DayConditions, type ModelRules } from '../clock/index.ts';
import { beesPerFrame, honeyKgPerFrame, shareOf, shareOfBees, workerCellsPerFrame } from '../comb/index.ts';
import {
  boxesOfHive,
  framesOfColony,
  nestOf,
  operationOf,
  placeOf,
  readingOf,
  type Apiary,
  type Colony,
  type PlacedFrame,
  type Reading,
  type Yard,
} from '../records/index.ts';
import { DEFAULT_HOUSE_RULES, houseRules } from '../rules/index.ts';
import { midwinterBefore, pullOf, winterBeesAmongAdults, type SeasonPull } from '../season/index.ts';
import { countDoubts, type CountDoubt } from './countDoubts.ts';
import { commonCombs } from './commonCombs.ts';
import { happeningsOf, type Happening } from './colonyHistory.ts';
import { flowAmong } from './flowOn.ts';
import { strengthOf } from './strength.ts';
import { yardCalendar } from './yardSeason.ts';

/** A count is brought forward for so many days at most: what is older says nothing of today. */
const LONGEST_DAYS = 400;

/** How sure readings and glances are, as a share of what they say (common practice, no source). */
const SURE = { read: 0.15, estimated: 0.25, glance: 0.3, aDay: 0.02 } as const;

/** A colony on a day, by the one clock that every page asks. */
export interface ColonyOn {
  /** Its frames with what is in them on that day. */
  readonly frames: readonly PlacedFrame[];
  /** The model behind them; null where nothing was counted up to that day. */
  readonly model: ColonyModel | null;
  /** How far its bees may be off, as a share: it grows with the age of the count. */
  readonly doubt: number;
  /** What speaks against its counts. */
  readonly doubts: readonly CountDoubt[];
}

const kept = new WeakMap<Apiary, Map<string, ColonyOn>>();

/**
 * A colony as it is on a day: each frame from its own reading, brought forward by the one model with all that happened
 * since. Frames that were read after that day stay as they are, and so does everything when nothing was read.
 */
export function colonyOn(apiary: Apiary, colony: Colony, day: Day): ColonyOn {
  const days = kept.get(apiary) ?? new Map<string, ColonyOn>();
  kept.set(apiary, days);
  const key = `${colony.id} ${day}`;
  const known = days.get(key);
  if (known) return known;
  const placed = framesOfColony(apiary, colony);
  const { frames, walk } = bringTo(apiary, colony, placed, day, true);
  const doubts = countDoubts(apiary, colony, placed, day);
  const made: ColonyOn = { frames, model: walk?.model ?? null, doubt: walk?.doubt ?? SURE.read, doubts };
  days.set(key, made);
  return made;
}

/** A colony's frames as they are on a day; see {@link colonyOn}. */
export const framesOn = (apiary: Apiary, colony: Colony, day: Day): readonly PlacedFrame[] =>
  colonyOn(apiary, colony, day).frames;

/**
 * A colony's frames as they were on a past day, from the readings that stood then. Frames show in the slot
 * in which they were read. Empty when the colony had not been counted by then.
 *
 * @param readings - the readings as of that day, of all colonies
 */
export function framesBack(
  apiary: Apiary,
  colony: Colony,
  readings: readonly Reading[],
  day: Day,
): readonly PlacedFrame[] {
  const own = readings.filter(
    (r) => r.day <= day && r.visitId !== null && apiary.visit[r.visitId]?.colonyId === colony.id,
  );
  const frames = own.flatMap((reading): PlacedFrame[] => {
    const frame = apiary.frame[reading.frameId];
    const box = reading.boxId === null ? undefined : apiary.box[reading.boxId];
    return frame && box && reading.slot !== null ? [{ frame, box, slot: reading.slot, reading }] : [];
  });
  const ordered = frames.toSorted((a, b) => a.box.position - b.box.position || a.slot - b.slot);
  return bringTo(apiary, colony, ordered, day, false).frames;
}

/** A walk from the first count of a colony's frames to a later day. */
class Walk {
  readonly model: ColonyModel;
  day: Day;
  /** How far its bees may be off, as a share. */
  doubt: number;
  private readonly conditionsOn: (day: Day) => DayConditions;
  private readonly beesPerFrame: number;
  private readonly honeyPerFrame: number;
  /** Bees that are still to fly home, or to come, after work. */
  private drift: { left: number; nurses: boolean } | null = null;

  constructor(apiary: Apiary, colony: Colony, from: Day) {
    const { referenceSize } = operationOf(apiary);
    this.model = new ColonyModel(modelRules(apiary));
    this.day = from;
    this.doubt = 0;
    this.conditionsOn = conditionsAt(apiary, placeOf(apiary, colony).yard);
    this.beesPerFrame = beesPerFrame(referenceSize).likely;
    this.honeyPerFrame = honeyKgPerFrame(referenceSize).likely;
  }

  get conditions(): DayConditions {
    return this.conditionsOn(this.day);
  }

  /** @param fed - the keeper sees to it that nobody starves */
  pass(fed = false): void {
    this.model.pass(fed ? { ...this.conditions, forage: true } : this.conditions);
    this.day = addDays(this.day, 1);
    this.doubt = Math.min(0.9, Math.sqrt(this.doubt ** 2 + SURE.aDay ** 2 * (1 + 2 * this.doubt)));
    this.driftHome();
  }

  happen(h: Happening): void {
    const { model } = this;
    switch (h.what) {
      case 'lays':
        model.lays = h.lays;
        return;
      case 'worked':
        this.drift = { left: h.framesOfBees * this.beesPerFrame - model.adults.total, nurses: h.nurses };
        return;
      case 'fed':
        model.feed(h.kg);
        return;
      case 'left':
        model.lose(model.adults.total * h.share, h.whom);
        return;
      case 'harvested':
        model.correctFood(Math.max(0, model.combFoodKg - h.kg));
        return;
      case 'seen':
        this.see(h.bees, h.stores);
    }
  }

  /** On the day after the work two thirds have flown home; the day after that, all (common practice: the first days). */
  private driftHome(): void {
    if (!this.drift) return;
    const { left, nurses } = this.drift;
    const now = Math.abs(left) < 50 || this.driftDays > 0 ? left : left * (2 / 3);
    if (now < 0) this.model.lose(-now, 'field-first');
    else this.model.gain(now, nurses ? 'house' : 'field');
    this.driftDays++;
    this.drift = now === left ? null : { left: left - now, nurses };
    if (!this.drift) this.driftDays = 0;
  }
  private driftDays = 0;

  /** A glance is weighed against what was expected, each by how sure it is. */
  private see(bees: number | null, stores: number | null): void {
    const { model } = this;
    const weight = this.doubt ** 2 / (this.doubt ** 2 + SURE.glance ** 2);
    const between = (expected: number, seen: number) =>
      expected <= 0 ? seen : expected * Math.max(0.02, seen / expected) ** weight;
    if (bees !== null && model.adults.total > 0) {
      const then = between(model.adults.total, bees * this.beesPerFrame);
      const by = then - model.adults.total;
      if (by < 0) model.lose(-by, 'all');
      else model.gain(by, 'house');
      this.doubt *= Math.sqrt(1 - weight);
    }
    if (stores !== null) model.correctFood(between(model.combFoodKg, stores * this.honeyPerFrame));
  }
}

interface Brought {
  readonly frames: readonly PlacedFrame[];
  /** The walk that has come to the day; null where nothing was read up to it. */
  readonly walk: Walk | null;
}

const keptLoose = new WeakMap<Apiary['frame'], Map<string, Reading[]>>();

/**
 * Combs of a colony's last count that lie in the store by now: a comb, or a whole box, is taken off without its bees.
 *
 * @param latest - the day of that count: combs that were read before are in it already
 */
function beesShakenBack(apiary: Apiary, colony: Colony, latest: Day): number {
  let byColony = keptLoose.get(apiary.frame);
  if (!byColony) {
    byColony = new Map();
    for (const frame of Object.values(apiary.frame)) {
      const reading =
        frame.place === 'store' && frame.readingId !== null ? apiary.reading[frame.readingId] : undefined;
      const colonyId = apiary.visit[reading?.visitId ?? '']?.colonyId;
      if (reading && colonyId !== undefined)
        byColony.set(colonyId, [...(byColony.get(colonyId) ?? []), reading]);
    }
    keptLoose.set(apiary.frame, byColony);
  }
  return (byColony.get(colony.id) ?? []).reduce((n, r) => {
    const size = apiary.frame[r.frameId]?.sizeId;
    return r.day >= latest && size ? n + shareOfBees(r.body) * beesPerFrame(size).likely : n;
  }, 0);
}

function bringTo(
  apiary: Apiary,
  colony: Colony,
  frames: readonly PlacedFrame[],
  day: Day,
  withHistory: boolean,
): Brought {
  const days = frames.flatMap((f) => (f.reading ? [f.reading.day] : []));
  const latest = days.reduce<Day | null>((l, d) => (l === null || d > l ? d : l), null);
  if (latest === null || latest > day) return { frames, walk: null };
  const oldest = days.reduce((o, d) => (d < o ? d : o), latest);
  const start = daysBetween(oldest, day) > LONGEST_DAYS ? addDays(day, -LONGEST_DAYS) : oldest;
  const walk = new Walk(apiary, colony, start);
  const reach = queensReach(apiary, frames);
  const nest = nestOf(frames);
  const sides = new Map<string, readonly CombSide[]>();
  // What was never read is taken for empty comb that hung there when the last was read.
  const joinsOn = (f: PlacedFrame) =>
    f.reading && f.reading.day > start ? f.reading.day : f.reading ? start : latest;
  const history = withHistory ? happeningsOf(apiary, colony, start, day) : [];
  walk.model.rate = presentLayingRate(nest);
  walk.model.lays = walk.model.rate > 0;
  const joins = new Map<Day, PlacedFrame[]>();
  for (const f of frames) {
    const on = joinsOn(f);
    const others = joins.get(on);
    if (others) others.push(f);
    else joins.set(on, [f]);
  }
  let next = 0;
  for (;;) {
    const today = joins.get(walk.day);
    if (today) {
      const joining = today.map((f) => {
        const reading = readingOf(f);
        const open = reach.has(f.box.id);
        const made = reading.sides.map((s) => CombSide.of(s, f.frame.sizeId, open));
        sides.set(f.frame.id, made);
        return made;
      });
      const calendar = yardCalendar(apiary, placeOf(apiary, colony).yard);
      const at = daysBetween(midwinterBefore(walk.day, operationOf(apiary).hemisphere), walk.day);
      walk.model.join(joining.flat(), winterBeesAmongAdults(calendar, at));
      const estimated = today.some((f) => readingOf(f).estimated);
      walk.doubt = Math.max(walk.doubt, estimated ? SURE.estimated : SURE.read);
      if (walk.day === latest) {
        if (withHistory) walk.model.gain(beesShakenBack(apiary, colony, latest), 'house');
        walk.doubt = estimated ? SURE.estimated : SURE.read;
        if (withHistory)
          for (const { doubt } of countDoubts(apiary, colony, frames, day))
            walk.doubt = Math.max(walk.doubt, doubt);
        const common = commonCombs(apiary, colony);
        walk.model.commonKg =
          common.share * strengthOf(common.nest, operationOf(apiary).referenceSize).storesKg.likely;
      }
    }
    for (let h = history[next]; h && h.day <= walk.day; h = history[++next]) walk.happen(h);
    if (walk.day >= day) break;
    walk.pass();
  }
  const brought = frames.map((f): PlacedFrame => {
    const [a, b] = sides.get(f.frame.id) ?? [];
    // What was read today, and changed by nothing since, is shown as it was read.
    if (!f.reading || !a || !b || (oldest === day && history.length === 0)) return f;
    if (f.reading.day === day && history.length === 0) return f;
    return {
      ...f,
      reading: { ...f.reading, body: { ...f.reading.body, sides: [a.read(), b.read()], estimated: true } },
    };
  });
  return { frames: brought, walk };
}

/** Boxes that the queen can get to: those between two excluders, where she was seen or has laid; else the lowest. */
function queensReach(apiary: Apiary, frames: readonly PlacedFrame[]): ReadonlySet<string> {
  const hives = new Set<string>();
  const signsIn = new Map<string, number>();
  for (const { box, reading } of frames) {
    if (box.hiveId !== null) hives.add(box.hiveId);
    if (!reading) continue;
    const sign = (reading.body.queenSeen ? 10 : 0) + shareOf(reading.body, 'eggs');
    if (sign > 0) signsIn.set(box.id, (signsIn.get(box.id) ?? 0) + sign);
  }
  const reach = new Set<string>();
  for (const hiveId of hives) {
    const storeys: string[][] = [];
    for (const box of boxesOfHive(apiary, hiveId)) {
      if (storeys.length === 0 || box.excluderBelow) storeys.push([]);
      storeys.at(-1)?.push(box.id);
    }
    const signs = storeys.map((ids) => ids.reduce((n, id) => n + (signsIn.get(id) ?? 0), 0));
    const best = signs.reduce((at, n, i) => (n > (signs[at] ?? 0) ? i : at), 0);
    for (const id of storeys[best] ?? []) reach.add(id);
  }
  // Boxes that stand nowhere, as in the past, are taken for open.
  for (const f of frames) if (f.box.hiveId === null) reach.add(f.box.id);
  return reach;
}

/** What the keeper has set of how colonies live. */
export function modelRules(apiary: Apiary): ModelRules {
  const rules = houseRules(operationOf(apiary).houseRules.changes);
  return {
    layingMost: rules.layingMost,
    coverWarm: rules.coverWarm,
    coverCold: rules.coverCold,
    appetite: rules.feedPerBeesFrame / DEFAULT_HOUSE_RULES.feedPerBeesFrame,
    lean: rules.forecastLean / 100,
  };
}

const keptConditions = new WeakMap<Yard | Apiary['operation'], Map<string, (day: Day) => DayConditions>>();

/** What each day brings in a yard, by its calendar and the flows that were confirmed. */
export function conditionsAt(apiary: Apiary, yard: Yard | undefined): (day: Day) => DayConditions {
  // All colonies of a yard ask for the same days: each is worked out once, for as long as yard and rules stand.
  const byRules =
    keptConditions.get(yard ?? apiary.operation) ?? new Map<string, (day: Day) => DayConditions>();
  keptConditions.set(yard ?? apiary.operation, byRules);
  const { hemisphere } = operationOf(apiary);
  const calendar = yardCalendar(apiary, yard);
  const key = `${hemisphere} ${calendar['first-frost']}`;
  const known = byRules.get(key);
  if (known) return known;
  const flows = yard?.season?.flows ?? [];
  const pulls = new Map<number, SeasonPull>();
  const days = new Map<Day, DayConditions>();
  const made = (day: Day): DayConditions => {
    const worked = days.get(day);
    if (worked) return worked;
    const at = daysBetween(midwinterBefore(day, hemisphere), day);
    const pull = pulls.get(at) ?? pullOf(calendar, at);
    pulls.set(at, pull);
    const flow = flowAmong(flows, day);
    const conditions = { ...pull, flow: flow !== null, gathersKg: flow?.kgPerDay ?? 0 };
    days.set(day, conditions);
    return conditions;
  };
  byRules.set(key, made);
  return made;
}

/** A colony on one of the days to come. */
export interface CourseDay {
  readonly day: Day;
  /** Frames of bees and of worker brood, in frames of the reference size. */
  readonly bees: number;
  readonly brood: number;
  readonly foodKg: number;
  /** Days that its food lasts from then on, if nothing comes in. */
  readonly daysOfFood: number;
  /** Workers that emerge on that day. */
  readonly emerging: number;
  /** How far its bees may be off, as a share. */
  readonly doubt: number;
}

/**
 * A colony day by day from a day on, if it is left alone; empty where nothing was counted. Where its food ends it is
 * taken to be fed in time: the day on which it ends is in the course, and what comes after is no forecast of a death.
 *
 * @param change - what happens on the days to come, by day
 */
export function courseOf(
  apiary: Apiary,
  colony: Colony,
  from: Day,
  days: number,
  change: readonly Happening[] = [],
): CourseDay[] {
  const { walk } = bringTo(apiary, colony, framesOfColony(apiary, colony), from, true);
  if (!walk) return [];
  const { referenceSize } = operationOf(apiary);
  const aFrame = { bees: beesPerFrame(referenceSize).likely, cells: workerCellsPerFrame(referenceSize) };
  const course: CourseDay[] = [];
  for (let n = 0; n <= days; n++) {
    if (n > 0) walk.pass(true);
    for (const h of change) if (h.day === walk.day) walk.happen(h);
    const { model } = walk;
    course.push({
      day: walk.day,
      bees: model.adults.total / aFrame.bees,
      brood: model.broodCells / aFrame.cells,
      foodKg: model.foodKg,
      daysOfFood: model.daysOfFood(walk.conditions),
      emerging: n > 0 ? model.emergedToday : 0,
      doubt: walk.doubt,
    });
  }
  return course;
}
