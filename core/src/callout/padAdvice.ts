import { hasLiveCell, type FrameReading } from '../comb/index.ts';
import { adviseCall, bestCorrection } from './adviseCall.ts';
import { BreakUp } from './breakUpWorth.ts';
import { BROOD_COMB, STORES_COMB, type CalledFrame } from './calledFrame.ts';
import type { CallPlace, FrameCall } from '../records/index.ts';
import { countError, UNCOUNTED_SPREAD } from './expectation.ts';
import { indexOf, type PadState } from './padState.ts';
import { freeSlotFor } from './slotFor.ts';

/** Where a frame could go, what is then expected to fall short, and why. */
export interface PadAdvice {
  readonly to: CallPlace;
  /** Points of which 100 are a frame of brood, above the best choice. */
  readonly behind: number;
  readonly why: string;
}

function breakUpOf(state: PadState, except: string | null = null): BreakUp {
  const breakUp = new BreakUp(state.places, state.rules.coverWarm);
  for (const c of state.callOut.body.calls) {
    const at = indexOf(state.callOut, c);
    const numbers = state.called.get(c.id);
    if (c.id !== except && at >= 0 && numbers) breakUp.put(at, numbers);
  }
  return breakUp;
}

/**
 * Where a frame should go, the best first.
 *
 * @param callId - the call, when the frame was called already and is placed anew
 */
export function advise(
  state: PadState,
  frame: { readonly frameId: string; readonly giverId: string; readonly reading: FrameReading },
  callId: string | null = null,
): PadAdvice[] {
  const numbers = state.numbersOf(frame.reading, frame.giverId);
  const rest = state.left.filter((l) => l.frameId !== frame.frameId);
  const outcomes = [...state.expectedOf].flatMap(([id, expected]) => {
    const called = state.called.get(id);
    return called ? [{ expected, called }] : [];
  });
  const learned = countError(outcomes);
  const errors = rest.map((l) => (l.counted ? learned : { brood: 1, stores: 1, spread: UNCOUNTED_SPREAD }));
  const aside = state.aside.flatMap((c) => (c.id === callId ? [] : (state.called.get(c.id) ?? [])));
  const rated = adviseCall(
    breakUpOf(state, callId),
    numbers,
    rest.map((l) => l.expected),
    errors,
    aside,
    state.callOut.body.calls.length + 1,
  );
  const best = rated[0]?.short ?? 0;
  const places = rated.flatMap((r): PadAdvice[] => {
    const behind = r.short - best;
    if (r.choice === 'aside') {
      // A queen is not left on a comb in the grass.
      if (frame.reading.queenSeen) return [];
      return [{ to: { at: 'aside' }, behind, why: 'Too early to say who will be short of it.' }];
    }
    const to = placeOf(state, r.choice, numbers, callId);
    return to
      ? [{ to, behind, why: reasonFor(state, r.choice, numbers) + cellsWarning(state, to, frame) }]
      : [];
  });
  return queenStays(state, frame) ? homeFirst(places) : neededFirst(state, numbers, places);
}

/**
 * Thinks the next frame through as it is expected, and forgets it: the first frame that is called is then answered
 * as soon as all others, since the machine has compiled the work by then.
 */
export function rehearse(state: PadState): void {
  const [frame, ...rest] = state.left.map((l) => l.expected);
  if (frame) adviseCall(breakUpOf(state), frame, rest, countError([]), [], 1);
}

/** The frame has the queen of a giver that is to keep her. */
function queenStays(
  state: PadState,
  { reading, giverId }: { readonly reading: FrameReading; readonly giverId: string },
): boolean {
  const { givers, units, queens } = state.callOut.body;
  const giver = givers.find((g) => g.colonyId === giverId);
  const caged = queens.some((q) => q.giverId === giverId && q.now !== 'home');
  return (
    reading.queenSeen &&
    giver?.whole === false &&
    !caged &&
    !units.some((u) => u.recipe.queen === 'old-queen')
  );
}

/** No comb of brood is laid aside while a unit that is to have brood has none: it would cool out. */
function neededFirst(state: PadState, f: CalledFrame, places: readonly PadAdvice[]): PadAdvice[] {
  const waits = (to: CallPlace) => {
    const at = to.at === 'unit' ? indexOfUnit(state, to.key) : -1;
    return (state.places[at]?.broodCombs.min ?? 0) > 0 && state.totals[at]?.broodCombs === 0;
  };
  if (places[0]?.to.at !== 'aside' || f.brood < BROOD_COMB || !places.some((p) => waits(p.to)))
    return [...places];
  return [...places.filter((p) => p.to.at !== 'aside'), ...places.filter((p) => p.to.at === 'aside')];
}

const indexOfUnit = ({ callOut: { body } }: PadState, key: string) =>
  body.givers.length + body.units.findIndex((u) => u.key === key);

const homeFirst = (places: readonly PadAdvice[]): PadAdvice[] => [
  ...places.flatMap((p) =>
    p.to.at === 'home'
      ? [{ ...p, behind: 0, why: 'The queen is on it and stays. Cage her first if this comb is to go.' }]
      : [],
  ),
  ...places.filter((p) => p.to.at !== 'home'),
];

/** Bees that have a live cell of their own tear the one that they are given, or ball the queen. */
function cellsWarning(
  state: PadState,
  to: CallPlace,
  { reading }: { readonly reading: FrameReading },
): string {
  if (to.at !== 'unit' || !hasLiveCell(reading)) return '';
  const unit = state.callOut.body.units.find((u) => u.key === to.key);
  return unit && unit.recipe.queen !== 'raises' ? ' Take its queen cells off first.' : '';
}

/** Every place that a called frame could have instead of the one that it has. */
export function otherPlaces(state: PadState, call: FrameCall): CallPlace[] {
  const breakUp = breakUpOf(state, call.id);
  const numbers = state.called.get(call.id);
  const here = indexOf(state.callOut, call);
  if (!numbers) return [];
  const places = state.places.flatMap((_, i): CallPlace[] => {
    if (i === here || breakUp.free(i) < 1 || !breakUp.suits(i, numbers)) return [];
    const to = placeOf(state, i, numbers, call.id);
    return to ? [to] : [];
  });
  return call.to.at === 'aside' ? places : [...places, { at: 'aside' }];
}

function placeOf(state: PadState, at: number, numbers: CalledFrame, except: string | null): CallPlace | null {
  const { body } = state.callOut;
  if (at < body.givers.length) return { at: 'home' };
  const unit = body.units[at - body.givers.length];
  if (!unit) return null;
  const slot = freeSlotFor(body, unit, numbers, except);
  return slot === null ? null : { at: 'unit', key: unit.key, slot };
}

/** Why a frame goes to a place, in one line. */
function reasonFor(state: PadState, at: number, f: CalledFrame): string {
  const place = state.places[at];
  const has = state.totals[at];
  if (!place || !has) return '';
  const brood = f.brood >= BROOD_COMB;
  const stores = f.stores >= STORES_COMB;
  if (f.drones)
    return place.giver
      ? place.dissolved
        ? 'Drones: freeze or melt it today.'
        : 'A drone comb stays with the strong colony that raised it.'
      : 'Drones are mouths in a nuc: only where nothing else is left.';
  if (place.giver) {
    if (brood && has.broodCombs < place.broodCombs.min) {
      return `Brood comb ${has.broodCombs + 1} of the ${place.broodCombs.min} that the donor keeps.`;
    }
    if (stores && has.storesCombs < place.storesCombs) {
      return `Food comb ${has.storesCombs + 1} of the ${place.storesCombs} that the donor keeps.`;
    }
    return brood ? 'The parts have theirs, or better combs are expected.' : 'No part is short of it.';
  }
  if (brood && place.raises && f.young >= 0.1 && has.young < 0.1) {
    return 'Eggs and larvae from which it raises its queen.';
  }
  if (brood) {
    return `Brood comb ${has.broodCombs + 1} of ${place.broodCombs.min}: then ${(has.brood + f.brood).toFixed(1)} of ${place.broodFrames} frames of brood.`;
  }
  if (stores) return `Food comb ${has.storesCombs + 1} of ${place.storesCombs}.`;
  return 'Room to lay.';
}

/** Two placed frames that should change places, or one that should go elsewhere. */
export interface PadCorrection {
  readonly callId: string;
  readonly withId: string | null;
  readonly to: CallPlace;
  /** Points less that then fall short, of which 100 are a frame of brood. */
  readonly gain: number;
}

/** The exchange that helps most once everything is called; null when none is worth it, or frames are left. */
export function padCorrection(state: PadState): PadCorrection | null {
  if (state.left.length > 0 || state.aside.length > 0) return null;
  const open = state.callOut.body.calls.filter((c) => {
    const { to } = c;
    return !(to.at === 'unit' && state.callOut.body.units.find((u) => u.key === to.key)?.closed);
  });
  const placed = open.flatMap((c) => {
    const frame = state.called.get(c.id);
    return frame ? [{ frame, place: indexOf(state.callOut, c) }] : [];
  });
  const found = bestCorrection(breakUpOf(state), placed);
  const one = found && open[found.frame];
  if (!found || !one) return null;
  const other = found.against === null ? null : (open[found.against] ?? null);
  const numbers = state.called.get(one.id);
  const to = other ? other.to : numbers ? placeOf(state, found.to, numbers, null) : null;
  return to ? { callId: one.id, withId: other?.id ?? null, to, gain: found.gain } : null;
}
