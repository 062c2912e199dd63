import { rulesOut, type FramePin, type YardGoal, type YardPlanRequest } from '@incremen/core/records';
import type { Alternative, Assignment } from '@incremen/core/yardplan';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { keptBench } from './keptBench.ts';
import { practised } from './mirrorSlice.ts';

/** One state of the bench that can be come back to. */
export interface BenchState {
  readonly request: YardPlanRequest;
  /** Frames that were put elsewhere by hand since the plan was worked out. */
  readonly placed: readonly FramePin[];
}

/** A plan laid aside, to be compared. */
interface KeptAlternative {
  readonly id: string;
  readonly label: string;
  readonly request: YardPlanRequest;
  readonly plan: Assignment;
  readonly summary: Alternative;
}

/** The plan bench: what is asked, with all that was asked before, and plans laid aside. */
export interface Planner {
  readonly past: readonly BenchState[];
  readonly now: BenchState | null;
  readonly future: readonly BenchState[];
  readonly alternatives: readonly KeptAlternative[];
  /** What nucs are to be called, by key. */
  readonly names: Readonly<Record<string, string>>;
  /** The question of another view that the bench was begun with; it is taken up once. */
  readonly from: string | null;
}

const EMPTY: Planner = { past: [], now: null, future: [], alternatives: [], names: {}, from: null };

/** Steps that can be taken back. */
const MOST_STEPS = 60;

const step = (state: Planner, now: BenchState): Planner => ({
  ...state,
  past: state.now ? [...state.past, state.now].slice(-MOST_STEPS) : [],
  now,
  future: [],
});

const change = (state: Planner, by: Partial<YardPlanRequest>): Planner =>
  state.now ? step(state, { ...state.now, request: { ...state.now.request, ...by } }) : state;

/** The bench with only some of what was decided of single frames. */
function keeping({ request, placed }: BenchState, stays: (pin: FramePin) => boolean): BenchState {
  const { pins, shaken, forbids } = request;
  return {
    request: {
      ...request,
      pins: pins.filter(stays),
      shaken: shaken.filter(stays),
      forbids: forbids.filter(stays),
    },
    placed: placed.filter(stays),
  };
}

const slice = createSlice({
  name: 'planner',
  initialState: () => keptBench() ?? EMPTY,
  reducers: {
    /** Begins with other yards; nothing of the last plan is left. */
    begun: (_, { payload }: PayloadAction<YardPlanRequest>): Planner => ({
      ...EMPTY,
      now: { request: payload, placed: [] },
    }),
    /** Begins with what another view asks for. */
    begunFrom: (
      _,
      { payload }: PayloadAction<{ readonly from: string; readonly request: YardPlanRequest }>,
    ): Planner => ({ ...EMPTY, now: { request: payload.request, placed: [] }, from: payload.from }),
    /** Something else is asked for. Keys of nucs change with the goals, so that pins to them are let go. */
    goalsChanged: (state, { payload: goals }: PayloadAction<readonly YardGoal[]>) => {
      if (!state.now) return state;
      const ids = new Set(goals.map((g) => g.id));
      const now = keeping(state.now, ({ to }) => !to.includes('/') || ids.has(to.slice(0, to.indexOf('/'))));
      return step(state, { ...now, request: { ...now.request, goals: [...goals] } });
    },
    asked: (state, { payload }: PayloadAction<Partial<YardPlanRequest>>) => change(state, payload),
    /** What was planned for a day that is past is planned for today; plans laid aside were made for then. */
    dayCome: (state, { payload: day }: PayloadAction<string>) => ({
      ...change(state, { day }),
      alternatives: [],
    }),
    /** Lets go of frames that are not there any more: they can be neither held nor placed. */
    framesGone: (state, { payload: ids }: PayloadAction<readonly string[]>) => {
      if (!state.now) return state;
      const gone = new Set(ids);
      return { ...state, now: keeping(state.now, (p) => !gone.has(p.frameId)) };
    },
    /** A frame is put somewhere by hand. */
    framePlaced: (state, { payload }: PayloadAction<FramePin>) =>
      state.now
        ? step(state, {
            ...state.now,
            placed: [...state.now.placed.filter((p) => p.frameId !== payload.frameId), payload],
          })
        : state,
    /** What was placed by hand becomes fixed, and the rest is worked out around it. */
    solvedAround: (state) => {
      if (!state.now) return state;
      const { request, placed } = state.now;
      const moved = new Set(placed.map((p) => p.frameId));
      return step(state, {
        request: {
          ...request,
          pins: [...request.pins.filter((p) => !moved.has(p.frameId)), ...placed],
          forbids: request.forbids.filter((ban) => !placed.some((p) => rulesOut(ban, p))),
        },
        placed: [],
      });
    },
    /** A frame is held where it is, or let go again. */
    pinToggled: (state, { payload }: PayloadAction<FramePin>) => {
      if (!state.now) return state;
      const { pins } = state.now.request;
      const held = pins.some((p) => p.frameId === payload.frameId);
      return change(
        {
          ...state,
          now: { ...state.now, placed: state.now.placed.filter((p) => p.frameId !== payload.frameId) },
        },
        { pins: held ? pins.filter((p) => p.frameId !== payload.frameId) : [...pins, payload] },
      );
    },
    /** A move that must not be made, or may be again. */
    forbidToggled: (state, { payload }: PayloadAction<FramePin>) => {
      if (!state.now) return state;
      const { pins, forbids } = state.now.request;
      const same = (p: FramePin) => p.frameId === payload.frameId && p.to === payload.to;
      return change(state, {
        pins: pins.filter((p) => !rulesOut(payload, p)),
        forbids: forbids.some(same) ? forbids.filter((p) => !same(p)) : [...forbids, payload],
      });
    },
    colonyLeftOut: (state, { payload: id }: PayloadAction<string>) => {
      if (!state.now) return state;
      const { leftOutIds, pins } = state.now.request;
      return change(state, {
        leftOutIds: leftOutIds.includes(id) ? leftOutIds.filter((x) => x !== id) : [...leftOutIds, id],
        pins: pins.filter((p) => p.to !== id),
      });
    },
    undone: (state) => {
      const before = state.past.at(-1);
      if (!before || !state.now) return state;
      return {
        ...state,
        past: state.past.slice(0, -1),
        now: before,
        future: [state.now, ...state.future],
      };
    },
    redone: (state) => {
      const [next, ...future] = state.future;
      if (!next || !state.now) return state;
      return { ...state, past: [...state.past, state.now], now: next, future };
    },
    keptBeside: (state, { payload }: PayloadAction<KeptAlternative>) => ({
      ...state,
      alternatives: [...state.alternatives.filter((a) => a.id !== payload.id), payload].slice(-8),
    }),
    alternativeDropped: (state, { payload: id }: PayloadAction<string>) => ({
      ...state,
      alternatives: state.alternatives.filter((a) => a.id !== id),
    }),
    alternativeOpened: (state, { payload: id }: PayloadAction<string>) => {
      const found = state.alternatives.find((a) => a.id === id);
      return found ? step(state, { request: found.request, placed: [] }) : state;
    },
    nucNamed: (state, { payload }: PayloadAction<{ key: string; name: string }>) => ({
      ...state,
      names: { ...state.names, [payload.key]: payload.name },
    }),
  },
  // A bench of the keeper's own yards has no place in a yard to play in.
  extraReducers: (build) => {
    build.addCase(practised, () => EMPTY);
  },
});

export const {
  begun,
  begunFrom,
  goalsChanged,
  asked,
  dayCome,
  framePlaced,
  framesGone,
  solvedAround,
  pinToggled,
  forbidToggled,
  colonyLeftOut,
  undone,
  redone,
  keptBeside,
  alternativeDropped,
  alternativeOpened,
  nucNamed,
} = slice.actions;
export const plannerReducer = slice.reducer;
