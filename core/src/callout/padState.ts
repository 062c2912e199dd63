import {
  operationOf,
  type Apiary,
  type CallOut,
  framesOfColony,
  placeInWords,
  readingOf,
  type CallUnit,
  type FrameCall,
} from '../records/index.ts';
import { framesOn } from '../forecast/index.ts';
import type { FrameReading } from '../comb/index.ts';
import { houseRules, type HouseRules, stayShares } from '../rules/index.ts';
import type { Place } from './breakUpWorth.ts';
import { BROOD_COMB, calledFrame, STORES_COMB, type CalledFrame } from './calledFrame.ts';
import { UNCOUNTED } from './expectation.ts';

/** A frame that was not called yet. */
interface FrameLeft {
  readonly frameId: string;
  readonly giverId: string;
  /** Giver and place, as "Tansy, upper box, frame 3". */
  readonly label: string;
  /** What the last count says of it today; null when nobody has counted it. */
  readonly counted: FrameReading | null;
  readonly expected: CalledFrame;
}

/** What is in a place so far. */
export interface PlaceTotals {
  readonly frames: number;
  readonly brood: number;
  readonly broodCombs: number;
  readonly storesCombs: number;
  /** Frames of bees that stay with it. */
  readonly bees: number;
  readonly young: number;
}

/** A break-up as the pad needs it: what has gone where, and what is expected of the rest. */
export interface PadState {
  readonly callOut: CallOut;
  /** Givers first, in their order, then the units in theirs. */
  readonly places: readonly Place[];
  readonly left: readonly FrameLeft[];
  readonly aside: readonly FrameCall[];
  readonly totals: readonly PlaceTotals[];
  /** What was called, as numbers, by the identifier of the call. */
  readonly called: ReadonlyMap<string, CalledFrame>;
  /** What the count said of called frames, by the identifier of the call. */
  readonly expectedOf: ReadonlyMap<string, CalledFrame>;
  readonly rules: ShakeRules;
  /** What a reading comes to for a frame of this giver. */
  readonly numbersOf: (reading: FrameReading, giverId: string) => CalledFrame;
}

/** House rules by which shakes of nurse bees are reckoned. */
export type ShakeRules = Pick<HouseRules, 'coverWarm' | 'stayOpenBrood'>;

/**
 * Combs of nurse bees to shake into a unit, so that its brood is covered once the field bees have flown home: of a
 * shaken comb of open brood stays what stays of one that is moved.
 */
export function shakesFor({ brood, bees }: PlaceTotals, { coverWarm, stayOpenBrood }: ShakeRules): number {
  const short = brood / coverWarm - bees;
  return short > 0.2 ? Math.ceil(short / stayOpenBrood - 0.25) : 0;
}

/** Reads the state of a break-up off the records. */
export function padState(apiary: Apiary, callOut: CallOut): PadState {
  const { body } = callOut;
  const rules = houseRules(operationOf(apiary).houseRules.changes);
  const shares = stayShares(rules);
  const distance = body.units[0]?.recipe.distance ?? 'same-yard';
  const asNumbers = (reading: FrameReading, home: number) => calledFrame(reading, shares, distance, home);
  const left: FrameLeft[] = [];
  const expected = new Map<string, CalledFrame>();
  body.givers.forEach((g, home) => {
    const colony = apiary.colony[g.colonyId];
    if (!colony) return;
    const today = new Map(framesOn(apiary, colony, callOut.day).map((p) => [p.frame.id, p]));
    // Supers are lifted off before; their combs are of no use to a nuc.
    // The hive is taken down from the top: its upper box is called before the lower can be reached.
    const brood = framesOfColony(apiary, colony).filter((f) => f.box.role === 'brood');
    for (const p of brood.toSorted((a, b) => b.box.position - a.box.position)) {
      const counted = p.reading === null ? null : readingOf(today.get(p.frame.id) ?? p);
      const numbers = counted ? asNumbers(counted, home) : { ...UNCOUNTED, home };
      expected.set(p.frame.id, numbers);
      left.push({
        frameId: p.frame.id,
        giverId: g.colonyId,
        label: `${colony.name}, ${placeInWords(apiary, colony, p.box, p.slot)}`,
        counted,
        expected: numbers,
      });
    }
  });
  const calledIds = new Set(body.calls.map((c) => c.frameId));
  const homeOf = (giverId: string) => body.givers.findIndex((g) => g.colonyId === giverId);
  const called = new Map(body.calls.map((c) => [c.id, asNumbers(c.reading, homeOf(c.giverId))]));
  const expectedOf = new Map(
    body.calls.flatMap((c) => {
      const numbers = expected.get(c.frameId);
      const known = left.find((l) => l.frameId === c.frameId)?.counted;
      return numbers && known ? [[c.id, numbers] as const] : [];
    }),
  );
  const places = [...body.givers.map((g) => giverPlace(left, g)), ...body.units.map(unitPlace)];
  return {
    callOut,
    places,
    left: left.filter((l) => !calledIds.has(l.frameId)),
    aside: body.calls.filter((c) => c.to.at === 'aside'),
    totals: places.map((p, i) =>
      totalsOf(
        body.calls.flatMap((c) => (indexOf(callOut, c) === i ? (called.get(c.id) ?? []) : [])),
        p.giver,
      ),
    ),
    called,
    expectedOf,
    rules,
    numbersOf: (reading, giverId) => asNumbers(reading, homeOf(giverId)),
  };
}

function giverPlace(frames: readonly FrameLeft[], giver: CallOut['body']['givers'][number]): Place {
  return {
    slots: frames.filter((f) => f.giverId === giver.colonyId).length,
    broodCombs: { min: giver.whole ? 0 : giver.keepBroodCombs, max: 40 },
    broodFrames: giver.whole ? 0 : giver.keepBroodCombs * GOOD_COMB,
    storesCombs: giver.whole ? 0 : giver.keepStoresCombs,
    emptyCombs: 0,
    raises: false,
    giver: true,
    dissolved: giver.whole,
  };
}

/** A good brood comb, in frames of brood: half of it. */
const GOOD_COMB = 0.5;

function unitPlace(unit: CallUnit): Place {
  const { recipe } = unit;
  return {
    slots: unit.closed ? 0 : recipe.slots,
    broodCombs: recipe.broodCombs,
    broodFrames: recipe.broodFrames,
    storesCombs: recipe.storesCombs,
    emptyCombs: recipe.emptyCombs,
    raises: recipe.queen === 'raises',
    giver: false,
    dissolved: false,
  };
}

/** The place where a called frame is, by its index; -1 while it lies aside. */
export function indexOf({ body }: CallOut, call: FrameCall): number {
  const { to } = call;
  if (to.at === 'aside') return -1;
  if (to.at === 'home') return body.givers.findIndex((g) => g.colonyId === call.giverId);
  return body.givers.length + body.units.findIndex((u) => u.key === to.key);
}

function totalsOf(frames: readonly CalledFrame[], giver: boolean): PlaceTotals {
  const sum = (of: (f: CalledFrame) => number) => frames.reduce((s, f) => s + of(f), 0);
  return {
    frames: frames.length,
    brood: sum((f) => f.brood),
    broodCombs: frames.filter((f) => f.brood >= BROOD_COMB).length,
    storesCombs: frames.filter((f) => f.stores >= STORES_COMB).length,
    bees: sum((f) => f.bees * (giver ? 1 : f.stays)),
    young: sum((f) => f.young),
  };
}
