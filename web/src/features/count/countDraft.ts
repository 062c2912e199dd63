import {
  bothSides,
  paintTenth,
  stampContents,
  type CellFinding,
  type ContentClass,
  type FrameReading,
  type Quarters,
  type StampKind,
} from '@incremen/core';

/** Which question the digits answer now. */
export type Stage = 'kind' | 'amount' | 'bees';

/** One frame of a count under way. */
export interface FrameDraft {
  readonly frameId: string;
  readonly boxId: string;
  readonly slot: number;
  /** The last reading, for "same as last time". */
  readonly last: FrameReading | null;
  readonly reading: FrameReading | null;
  readonly kind: StampKind | null;
}

/** A count under way; `past` holds what undo goes back to. */
export interface CountDraft {
  readonly frames: readonly FrameDraft[];
  readonly at: number;
  readonly stage: Stage;
  readonly past: readonly Pick<CountDraft, 'frames' | 'at' | 'stage'>[];
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
  | { readonly do: 'go'; readonly to: number }
  | { readonly do: 'undo' };

/** Steps back that are kept. */
const MEMORY = 60;

/** A frame that nobody corrects is three quarters of its kind, three quarters covered. */
const USUAL: Quarters = 3;

/** Begins a count. */
export function startCount(frames: readonly Omit<FrameDraft, 'reading' | 'kind'>[]): CountDraft {
  return { frames: frames.map((f) => ({ ...f, reading: null, kind: null })), at: 0, stage: 'kind', past: [] };
}

/**
 * One step of counting. A usual frame takes three: what it is, how much, how many bees; the third goes on
 * to the next frame by itself.
 */
export function countStep(draft: CountDraft, action: CountAction): CountDraft {
  if (action.do === 'undo') {
    const back = draft.past.at(-1);
    return back ? { ...back, past: draft.past.slice(0, -1) } : draft;
  }
  if (action.do === 'go') return { ...draft, at: clamp(action.to, draft), stage: 'kind' };
  const frame = draft.frames[draft.at];
  if (!frame) return draft;
  const next = changed(draft, frame, action);
  if (!next) return draft;
  const { frames, at, stage } = draft;
  return { ...next, past: [...draft.past, { frames, at, stage }].slice(-MEMORY) };
}

function changed(
  draft: CountDraft,
  frame: FrameDraft,
  action: Exclude<CountAction, { do: 'undo' | 'go' }>,
): CountDraft | null {
  const reading = frame.reading;
  switch (action.do) {
    case 'kind': {
      const bees = reading?.sides[0].bees ?? (action.kind === 'foundation' ? 0 : USUAL * 2.5);
      const quarters = action.kind === 'drawn' || action.kind === 'foundation' ? 4 : USUAL;
      return {
        ...withFrame(draft, {
          ...frame,
          kind: action.kind,
          reading: stamped(frame, action.kind, quarters, bees),
        }),
        stage: 'amount',
      };
    }
    case 'amount':
      if (!frame.kind || !reading) return null;
      return {
        ...withFrame(draft, {
          ...frame,
          reading: stamped(frame, frame.kind, action.quarters, reading.sides[0].bees),
        }),
        stage: 'bees',
      };
    case 'bees': {
      if (!reading) return null;
      const [a, b] = reading.sides;
      const bees = action.quarters * 2.5;
      const done = withFrame(draft, {
        ...frame,
        reading: {
          ...reading,
          sides: [
            { ...a, bees },
            { ...b, bees },
          ],
        },
      });
      return { ...done, at: clamp(draft.at + 1, draft), stage: 'kind' };
    }
    case 'sameAsLast':
      return frame.last ? goOn(draft, frame, { ...frame.last, queenSeen: false, cells: [] }) : null;
    case 'sameAsNeighbour': {
      const neighbour = draft.frames[draft.at - 1]?.reading;
      return neighbour ? goOn(draft, frame, { ...neighbour, queenSeen: false, cells: [] }) : null;
    }
    case 'queen': {
      const here = reading?.queenSeen ?? false;
      // One chamber has one queen: marking her here takes the mark off elsewhere.
      const frames = draft.frames.map((f) =>
        f.reading?.queenSeen ? { ...f, reading: { ...f.reading, queenSeen: false } } : f,
      );
      if (here) return { ...draft, frames };
      return withFrame(
        { ...draft, frames },
        { ...frame, reading: { ...(reading ?? blank), queenSeen: true } },
      );
    }
    case 'cells':
      return withFrame(draft, { ...frame, reading: { ...(reading ?? blank), cells: action.cells } });
    case 'paint': {
      const base = reading ?? blank;
      const sides = base.sides.map((s, i) =>
        i === action.side ? { ...s, contents: paintTenth(s.contents, action.strip, action.content) } : s,
      ) as unknown as FrameReading['sides'];
      return withFrame(draft, { ...frame, reading: { ...base, sides } });
    }
  }
}

const blank = bothSides({ drawn: 10 }, USUAL * 2.5);

function stamped(frame: FrameDraft, kind: StampKind, quarters: Quarters, bees: number): FrameReading {
  const { queenSeen = false, cells = [] } = frame.reading ?? {};
  return bothSides(stampContents(kind, quarters), bees, { queenSeen, cells });
}

function withFrame(draft: CountDraft, frame: FrameDraft): CountDraft {
  return { ...draft, frames: draft.frames.map((f) => (f.frameId === frame.frameId ? frame : f)) };
}

function goOn(draft: CountDraft, frame: FrameDraft, reading: FrameReading): CountDraft {
  return {
    ...withFrame(draft, { ...frame, reading, kind: null }),
    at: clamp(draft.at + 1, draft),
    stage: 'kind',
  };
}

const clamp = (at: number, draft: CountDraft) => Math.max(0, Math.min(draft.frames.length - 1, at));

/** Keys for the kinds of frame: the first letter where it is free. */
export const KIND_KEYS: Readonly<Record<StampKind, string>> = {
  mixed: 'm',
  capped: 'c',
  young: 'y',
  emerging: 'e',
  drone: 'd',
  honey: 'h',
  nectar: 'n',
  beeBread: 'b',
  drawn: 'x',
  foundation: 'f',
};

/** What a key does at this point of a count, or nothing. */
export function actionOfKey(draft: CountDraft, key: string): CountAction | undefined {
  const kind = (Object.keys(KIND_KEYS) as StampKind[]).find((k) => KIND_KEYS[k] === key.toLowerCase());
  if (kind) return { do: 'kind', kind };
  if (/^[0-4]$/.test(key)) {
    const n = Number(key) as 0 | Quarters;
    if (draft.stage === 'amount' && n > 0) return { do: 'amount', quarters: n as Quarters };
    return draft.stage === 'kind' ? undefined : { do: 'bees', quarters: n };
  }
  switch (key) {
    case 'q':
      return { do: 'queen' };
    case 'l':
      return { do: 'sameAsLast' };
    case 'p':
      return { do: 'sameAsNeighbour' };
    case 'u':
      return { do: 'undo' };
    case 'ArrowRight':
    case 'Enter':
      return { do: 'go', to: draft.at + 1 };
    case 'ArrowLeft':
      return { do: 'go', to: draft.at - 1 };
    default:
      return undefined;
  }
}
