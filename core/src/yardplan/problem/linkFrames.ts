import { fitsInto } from '../../split/index.ts';
import { isDroneComb } from '../../brood/index.ts';
import { failure, floatAt, type Problem, type Result, success } from '../../basics/index.ts';
import { broughtBy, combKind, isShakable } from './effects.ts';
import { AT, type Measure } from '../rules/measures.ts';
import { STORE, type YardFrame, type YardUnit } from './problem.ts';
import { missingOf } from '../rules/unitRule.ts';
import { rulesOut, STORE_KEY, type YardPlanRequest } from '../../records/index.ts';

type Unlinked = Omit<YardFrame, 'mayGoTo' | 'mayShakeFor' | 'pinnedTo' | 'shakenAlready'>;

/** A comb with no more brood than this holds none. */
const NO_BROOD = 0.05;

/**
 * Says of every frame where it may go, by what it holds, what units want, and what the beekeeper has decided.
 *
 * Fails when a pin asks for what cannot be.
 */
export function linkFrames(
  frames: readonly Unlinked[],
  units: readonly YardUnit[],
  request: YardPlanRequest,
): Result<YardFrame[]> {
  const byKey = new Map(units.map((u) => [u.key, u.index]));
  byKey.set(STORE_KEY, STORE);
  const pins = new Map(request.pins.map((p) => [p.frameId, p.to]));
  const shaken = new Map(request.shaken.map((s) => [s.frameId, byKey.get(s.to)]));
  const links = linksOf(units);
  const problems: Problem[] = [];
  const linked = frames.map((raw): YardFrame => {
    const frame: YardFrame = { ...raw, mayGoTo: [], mayShakeFor: [], pinnedTo: null, shakenAlready: null };
    const shakenAlready = shaken.get(frame.id);
    // Its bees are gone: it stays where it is.
    if (shakenAlready !== undefined && shakenAlready !== STORE && frame.home !== STORE) {
      return { ...frame, pinnedTo: frame.home, shakenAlready };
    }
    const pin = pins.get(frame.id);
    if (pin !== undefined) {
      const to = byKey.get(pin);
      const fault = to === undefined ? unknownUnit : faultOfPin(frame, to, units);
      if (fault) problems.push(pinProblem(frame, request, fault, units[to ?? STORE]?.name ?? 'the store'));
      const stays = to === frame.home;
      return { ...frame, pinnedTo: to ?? frame.home, mayShakeFor: stays ? shakeTargets(frame, links) : [] };
    }
    if (isDronesAlone(frame, units[frame.home]) || comesOffWithSuper(frame, units))
      return { ...frame, pinnedTo: STORE };
    const bans = request.forbids.filter((f) => f.frameId === frame.id);
    const allowed = (to: number) => {
      const move = { frameId: frame.id, to: to === STORE ? STORE_KEY : (units[to]?.key ?? '') };
      return !bans.some((ban) => rulesOut(ban, move));
    };
    return {
      ...frame,
      mayGoTo: targetsOf(frame, links).filter(allowed),
      mayShakeFor: shakeTargets(frame, links),
    };
  });
  return problems.length > 0 ? failure(...problems) : success(linked);
}

type Fault = readonly [message: string, remedy: string];

const unknownUnit: Fault = [
  'is pinned to a hive that is not in the plan',
  'Take the pin away, or take the hive back into the plan.',
];

function faultOfPin(frame: YardFrame, to: number, units: readonly YardUnit[]): Fault | null {
  if (to === frame.home) return null;
  const unit = units[to];
  if (frame.liveCells > 0) {
    return ['carries a live queen cell and stays with the bees that made it', 'Pin another frame.'];
  }
  if (frame.hasQueen && unit?.recipe?.queen !== 'old-queen') {
    return ['carries the queen, who stays', 'Pin another frame, or make a nuc that takes the old queen.'];
  }
  if (!unit)
    return frame.brood > NO_BROOD ? ['holds brood, which dies in the store', 'Pin it to a hive.'] : null;
  const home = units[frame.home];
  if (home && home.yardId !== unit.yardId) {
    return ['is in another yard', 'Frames are carried within a yard only.'];
  }
  if (!fitsInto(frame, unit.sizeId)) {
    return [`does not fit: ${unit.name} takes another size of frame`, 'Pin a frame of its size.'];
  }
  return null;
}

/** Why a frame cannot go to a unit or the store, with what to do about it; null when it can. */
export function whyNotThere(
  frame: YardFrame,
  to: number,
  units: readonly YardUnit[],
): { readonly message: string; readonly remedy: string } | null {
  const fault = faultOfPin(frame, to, units);
  return fault && { message: `${frame.label} ${fault[0]}.`, remedy: fault[1] };
}

function pinProblem(
  frame: YardFrame,
  request: YardPlanRequest,
  [message, remedy]: Fault,
  target: string,
): Problem {
  return {
    code: 'pin-impossible',
    path: ['pins', request.pins.findIndex((p) => p.frameId === frame.id)],
    message: `${frame.label} is pinned to ${target}, but it ${message}.`,
    remedy,
  };
}

/** What a frame gives, and who wants what: worked out once for all pairs. */
interface Links {
  readonly units: readonly YardUnit[];
  /** Measures of which a unit has less than is wished, by unit. */
  readonly lacks: readonly (readonly Measure[])[];
  /** Indices of units by yard. */
  readonly ofYard: ReadonlyMap<string, readonly number[]>;
}

function linksOf(units: readonly YardUnit[]): Links {
  const ofYard = new Map<string, number[]>();
  for (const u of units) ofYard.set(u.yardId, [...(ofYard.get(u.yardId) ?? []), u.index]);
  return { units, lacks: units.map(lacking), ofYard };
}

/** Only a unit that is short of what is wished of it gets combs from others. */
function lacking(unit: YardUnit): Measure[] {
  return unit.rules
    .filter((r) => !r.hard && r.sense === 'atLeast' && missingOf(r, unit.before) > 0)
    .flatMap((r) => r.terms.flatMap(([m, w]) => (w > 0 ? [m] : [])));
}

/** It is short of something, or has too much. */
const isConcerned = (unit: YardUnit) => unit.rules.some((r) => !r.hard && missingOf(r, unit.before) > 0);

/** Where no strong colony is left to keep its drones, a comb of nothing else is frozen or melted. */
const isDronesAlone = (frame: YardFrame, home: YardUnit | undefined) =>
  isWhole(home) &&
  isDroneComb(frame.reading) &&
  frame.eggs + frame.open + frame.capped <= NO_BROOD &&
  !frame.hasQueen &&
  frame.liveCells === 0;

/** A comb in a super of a colony of which nothing but a nuc is left: its honey is the keeper's, and it goes as it stands. */
const comesOffWithSuper = (frame: Unlinked, units: readonly YardUnit[]) => {
  const home = units[frame.home];
  return isWhole(home) && home?.standsIn.find((b) => b.id === frame.boxId)?.role === 'super';
};

/** The units of a colony that is broken up whole are made of its own combs, and of the store. */
const isOfAnother = (unit: YardUnit, home: YardUnit | undefined) =>
  unit.wholeOf !== null && home !== undefined && home.key !== unit.wholeOf;

/** A colony of which nothing but a nuc is left. */
const isWhole = (home: YardUnit | undefined) => home !== undefined && home.wholeOf === home.key;

/** Where it makes sense that the frame goes. What the rules then say of it is another matter. */
function targetsOf(frame: YardFrame, { units, lacks, ofYard }: Links): number[] {
  const home = units[frame.home];
  if (frame.liveCells > 0) return [];
  // Drones stay with the strong that raised them: in a nuc they are mouths, in a weak hive no help.
  if (isDroneComb(frame.reading)) return [];
  const gives = broughtBy(frame, true);
  const kind = combKind(frame);
  const inReach = home ? (ofYard.get(home.yardId) ?? []) : units.map((u) => u.index);
  const targets = inReach.filter((to) => {
    const unit = units[to] as YardUnit;
    if (to === frame.home || !fitsInto(frame, unit.sizeId)) return false;
    if (frame.hasQueen && unit.recipe?.queen !== 'old-queen') return false;
    if (unit.kind === 'nuc') {
      if (isOfAnother(unit, home)) return false;
      return home ? true : kind === 'empty' && (unit.recipe?.emptyCombs ?? 0) > 0;
    }
    return (lacks[to] ?? []).some((m) => m !== 'bees' && floatAt(gives, AT[m]) >= 0.15);
  });
  if (home && !frame.hasQueen && frame.brood <= NO_BROOD && (isWhole(home) || isConcerned(home)))
    targets.push(STORE);
  return targets;
}

function shakeTargets(frame: YardFrame, { units, lacks, ofYard }: Links): number[] {
  if (!isShakable(frame)) return [];
  const home = units[frame.home] as YardUnit;
  return (ofYard.get(home.yardId) ?? []).filter(
    (to) =>
      to !== frame.home &&
      (units[to]?.kind === 'nuc' ? !isOfAnother(units[to], home) : lacks[to]?.includes('bees')),
  );
}
