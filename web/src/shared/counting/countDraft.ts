import {
  bothSides,
  paintTenth,
  shareOf,
  shareOfBees,
  stampContents,
  type CellFinding,
  type ContentClass,
  type FrameReading,
  type FrameSizeId,
  type Quarters,
  type StampKind,
} from '@incremen/core/comb';
import { parseShorthand, type ShorthandPlace } from '@incremen/core/shorthand';
import { problemsOfQuickCount, spreadColony, type QuickCount, type SpreadBox } from '@incremen/core/brood';
import type { Problem } from '@incremen/core/basics';

/** Which question the digits answer now. */
type Stage = 'kind' | 'amount' | 'bees';
/** Which side of the frame taps speak of. */
export type SideChoice = 'both' | 0 | 1;

/** One frame of a count under way. */
export interface FrameDraft {
  readonly frameId: string;
  readonly boxId: string;
  readonly slot: number;
  /** The last reading, for "same as last time", and its id, which tells a clash of two devices. */
  readonly last: FrameReading | null;
  readonly lastId: string | null;
  readonly reading: FrameReading | null;
  /** Where the reading comes from: tapped, typed, or spread from a quick count. */
  readonly from: 'taps' | 'typed' | 'spread' | null;
  readonly kind: StampKind | null;
}

/** A box that the count is about, the lowest first. */
export interface BoxDraft {
  readonly id: string;
  readonly sizeId: FrameSizeId;
  /** False for supers and for boxes above an excluder. */
  readonly brood: boolean;
}

/** What undo goes back to. */
export interface CountState {
  readonly frames: readonly FrameDraft[];
  readonly at: number;
  readonly stage: Stage;
  readonly side: SideChoice;
  /** The quick count, from the first number on. */
  readonly quick: QuickCount | null;
  /** The line of shorthand as typed. */
  readonly text: string;
}

/** A count under way. */
export interface CountDraft extends CountState {
  readonly boxes: readonly BoxDraft[];
  readonly past: readonly CountState[];
}

/** What taps and keys do to a count. */
export type CountAction =
  | { readonly do: 'kind'; readonly kind: StampKind }
  | { readonly do: 'amount'; readonly quarters: Quarters }
  | { readonly do: 'bees'; readonly quarters: 0 | Quarters }
  | { readonly do: 'sameAsLast' }
  | { readonly do: 'sameAsNeighbour' }
  | { readonly do: 'queen' }
  | { readonly do: 'cells'; readonly cells: readonly CellFinding[] }
  | { readonly do: 'paint'; readonly side: 0 | 1; readonly strip: number; readonly content: ContentClass }
  | { readonly do: 'quick'; readonly change: Partial<QuickCount> }
  | { readonly do: 'noQuick' }
  | { readonly do: 'type'; readonly text: string }
  | { readonly do: 'side'; readonly side: SideChoice }
  | { readonly do: 'go'; readonly to: number }
  /** To the next frame, or back to the one before. */
  | { readonly do: 'step'; readonly by: 1 | -1 }
  | { readonly do: 'undo' };

/** Steps back that are kept. */
const MEMORY = 60;

/** A frame that nobody corrects is three quarters of its kind, three quarters covered. */
const USUAL: Quarters = 3;

const NOTHING: QuickCount = {
  bees: 0,
  capped: 0,
  open: 0,
  eggsSeen: null,
  stores: 0,
  beeBread: 0,
  drawn: 0,
  foundation: 0,
};

/** Begins a count. */
export function startCount(
  frames: readonly Omit<FrameDraft, 'reading' | 'kind' | 'from'>[],
  boxes: readonly BoxDraft[],
): CountDraft {
  return {
    frames: frames.map((f) => ({ ...f, reading: null, kind: null, from: null })),
    boxes,
    at: 0,
    stage: 'kind',
    side: 'both',
    quick: null,
    text: '',
    past: [],
  };
}

/** The part of a draft that undo and the kept copy hold. */
export function stateOf({ frames, at, stage, side, quick, text }: CountDraft): CountState {
  return { frames, at, stage, side, quick, text };
}

/**
 * One step of counting. A usual frame takes three: what it is, how much, how many bees; the third goes on
 * to the next frame, or to the other side, by itself.
 */
export function countStep(draft: CountDraft, action: CountAction): CountDraft {
  if (action.do === 'undo') {
    const back = draft.past.at(-1);
    return back ? { ...draft, ...back, past: draft.past.slice(0, -1) } : draft;
  }
  if (action.do === 'step') return countStep(draft, { do: 'go', to: draft.at + action.by });
  if (action.do === 'go')
    return { ...draft, at: clamp(action.to, draft), stage: 'kind', side: firstSide(draft) };
  if (action.do === 'side') return { ...draft, side: action.side, stage: 'kind' };
  const next = changed(draft, action);
  if (!next) return draft;
  return { ...spread(next), past: [...draft.past, stateOf(draft)].slice(-MEMORY) };
}

type Change = Exclude<CountAction, { do: 'undo' | 'go' | 'step' | 'side' }>;

function changed(draft: CountDraft, action: Change): CountDraft | null {
  if (action.do === 'quick') return { ...draft, quick: { ...(draft.quick ?? NOTHING), ...action.change } };
  if (action.do === 'noQuick') {
    const frames = draft.frames.map((f): FrameDraft =>
      f.from === 'spread' ? { ...f, reading: null, from: null } : f,
    );
    return { ...draft, quick: null, frames };
  }
  if (action.do === 'type') return typed(draft, action.text);
  const frame = draft.frames[draft.at];
  return frame ? tapped(draft, frame, action) : null;
}

function tapped(
  draft: CountDraft,
  frame: FrameDraft,
  action: Exclude<Change, { do: 'quick' | 'noQuick' | 'type' }>,
): CountDraft | null {
  const own = frame.from === 'spread' ? null : frame.reading;
  const shown = frame.reading;
  switch (action.do) {
    case 'kind': {
      const bees = own?.sides[sideAt(draft)].bees ?? (action.kind === 'foundation' ? 0 : USUAL * 2.5);
      const quarters = action.kind === 'drawn' || action.kind === 'foundation' ? 4 : USUAL;
      const reading = stamped(draft, own, action.kind, quarters, bees);
      return { ...withFrame(draft, { ...frame, kind: action.kind, reading }), stage: 'amount' };
    }
    case 'amount': {
      if (!frame.kind || !own) return null;
      const reading = stamped(draft, own, frame.kind, action.quarters, own.sides[sideAt(draft)].bees);
      return { ...withFrame(draft, { ...frame, reading }), stage: 'bees' };
    }
    case 'bees': {
      if (!own) return null;
      const sides = onSides(draft, own.sides, (s) => ({ ...s, bees: action.quarters * 2.5 }));
      const done = withFrame(draft, { ...frame, reading: { ...own, sides } });
      return draft.side === 0
        ? { ...withFrame(done, { ...done.frames[done.at]!, kind: null }), side: 1, stage: 'kind' }
        : goOn(done);
    }
    case 'sameAsLast':
      return frame.last
        ? goOn(
            withFrame(draft, {
              ...frame,
              kind: null,
              reading: { ...frame.last, queenSeen: false, cells: [], estimated: false },
            }),
          )
        : null;
    case 'sameAsNeighbour': {
      const neighbour = draft.frames[draft.at - 1];
      if (!neighbour?.reading || neighbour.from === 'spread') return null;
      return goOn(
        withFrame(draft, {
          ...frame,
          kind: null,
          reading: { ...neighbour.reading, queenSeen: false, cells: [] },
        }),
      );
    }
    case 'queen': {
      const here = shown?.queenSeen ?? false;
      // One chamber has one queen: marking her here takes the mark off elsewhere.
      const frames = draft.frames.map((f) =>
        f.reading?.queenSeen ? { ...f, reading: { ...f.reading, queenSeen: false } } : f,
      );
      if (here) return { ...draft, frames };
      return withFrame(
        { ...draft, frames },
        { ...frame, reading: { ...(own ?? shown ?? blank), queenSeen: true } },
      );
    }
    case 'cells':
      return withFrame(draft, { ...frame, reading: { ...(own ?? shown ?? blank), cells: action.cells } });
    case 'paint': {
      const base = own ?? (shown ? { ...shown, estimated: false } : blank);
      const sides = base.sides.map((s, i) =>
        i === action.side ? { ...s, contents: paintTenth(s.contents, action.strip, action.content) } : s,
      ) as unknown as FrameReading['sides'];
      return withFrame(draft, { ...frame, reading: { ...base, sides } });
    }
  }
}

const blank = bothSides({ drawn: 10 }, USUAL * 2.5);

function stamped(
  draft: CountDraft,
  own: FrameReading | null,
  kind: StampKind,
  quarters: Quarters,
  bees: number,
): FrameReading {
  const base = own ?? blank;
  const sides = onSides(draft, base.sides, () => ({ contents: stampContents(kind, quarters), bees }));
  return { ...base, sides, estimated: false };
}

function onSides(
  { side }: CountDraft,
  sides: FrameReading['sides'],
  change: (s: FrameReading['sides'][0]) => FrameReading['sides'][0],
): FrameReading['sides'] {
  return [side === 1 ? sides[0] : change(sides[0]), side === 0 ? sides[1] : change(sides[1])];
}

const sideAt = (draft: CountDraft): 0 | 1 => (draft.side === 1 ? 1 : 0);
/** Whoever reads side by side begins each frame with the first. */
const firstSide = (draft: CountDraft): SideChoice => (draft.side === 'both' ? 'both' : 0);

function withFrame(draft: CountDraft, frame: FrameDraft): CountDraft {
  const own = { ...frame, from: 'taps' as const };
  return { ...draft, frames: draft.frames.map((f) => (f.frameId === frame.frameId ? own : f)) };
}

function goOn(draft: CountDraft): CountDraft {
  return { ...draft, at: clamp(draft.at + 1, draft), stage: 'kind', side: firstSide(draft) };
}

const clamp = (at: number, draft: CountDraft) => Math.max(0, Math.min(draft.frames.length - 1, at));

/** The frames of a count as shorthand speaks of them. */
export function shorthandPlaces(draft: CountDraft): ShorthandPlace[] {
  return draft.frames.map((f) => ({
    box: draft.boxes.findIndex((b) => b.id === f.boxId) + 1,
    slot: f.slot,
    last: f.last,
  }));
}

/** Takes over what the line says; frames that it no longer speaks of are unread again. */
function typed(draft: CountDraft, text: string): CountDraft {
  const { readings } = parseShorthand(text, shorthandPlaces(draft));
  const frames = draft.frames.map((f, i): FrameDraft => {
    const reading = readings[i] ?? null;
    if (reading) return { ...f, reading, from: 'typed', kind: null };
    return f.from === 'typed' ? { ...f, reading: null, from: null } : f;
  });
  // A frame that the line no longer names is asked for from the start.
  const stage = frames[draft.at]?.reading ? draft.stage : 'kind';
  return { ...draft, text, frames, stage };
}

/** The boxes with those combs that a quick count is spread over: all that were not read on their own. */
function spreadBoxes(draft: CountDraft): SpreadBox[] {
  return draft.boxes.map((b) => ({
    sizeId: b.sizeId,
    brood: b.brood,
    combs: draft.frames.filter((f) => f.boxId === b.id && !isRead(f)).length,
  }));
}

const isRead = (f: FrameDraft) => f.reading !== null && f.from !== 'spread';

/** Lets the quick count lie over the frames that were not read on their own, less what those already hold. */
function spread(draft: CountDraft): CountDraft {
  if (!draft.quick) return draft;
  const spreadOut = spreadColony(remainder(draft, draft.quick), spreadBoxes(draft));
  const byFrame = new Map<string, FrameReading>();
  draft.boxes.forEach((b, i) => {
    const free = draft.frames.filter((f) => f.boxId === b.id && !isRead(f));
    free.forEach((f, k) => {
      const reading = spreadOut[i]?.[k];
      if (reading) byFrame.set(f.frameId, reading);
    });
  });
  return {
    ...draft,
    frames: draft.frames.map((f) => {
      const reading = byFrame.get(f.frameId);
      return reading ? { ...f, reading, from: 'spread' } : f;
    }),
  };
}

/** What of a quick count is left for the frames that were not read on their own. */
function remainder(draft: CountDraft, quick: QuickCount): QuickCount {
  const read = draft.frames.flatMap((f) => (isRead(f) && f.reading ? [f.reading] : []));
  const left = (total: number, of: (r: FrameReading) => number) =>
    Math.max(0, total - read.reduce((n, r) => n + of(r), 0));
  return {
    bees: left(quick.bees, shareOfBees),
    capped: left(quick.capped, (r) => shareOf(r, 'capped', 'emerging')),
    open: left(quick.open, (r) => shareOf(r, 'open')),
    eggsSeen: quick.eggsSeen,
    stores: left(quick.stores, (r) => shareOf(r, 'honey', 'nectar')),
    beeBread: left(quick.beeBread, (r) => shareOf(r, 'beeBread')),
    drawn: left(quick.drawn, (r) => shareOf(r, 'drawn')),
    foundation: left(quick.foundation, (r) => shareOf(r, 'foundation')),
  };
}

/** What is impossible about the quick count, beside its numbers. */
export function quickProblems(draft: CountDraft): Problem[] {
  if (!draft.quick) return [];
  const all = draft.boxes.map((b) => ({
    sizeId: b.sizeId,
    brood: b.brood,
    combs: draft.frames.filter((f) => f.boxId === b.id).length,
  }));
  return problemsOfQuickCount(draft.quick, all);
}
