import { applyChanges, emptyApiary, type Apiary, type Change } from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import { createSlice, freeze, original, type Draft, type PayloadAction } from '@reduxjs/toolkit';
import type { LocalCopy } from '../offline/localCopy.ts';
import type { OutboxEntry } from '../offline/database.ts';
import { deciderNow } from './decider.ts';

/**
 * The operation as this device knows it.
 *
 * @public Named by the types of the store.
 */
export interface MirrorState {
  readonly status: 'loading' | 'ready' | 'failed';
  /** Why loading failed, in words. */
  readonly failure: string | null;
  readonly operationId: string | null;
  readonly revision: number;
  /** As the server had it at that revision. */
  readonly base: Apiary;
  /** What views show: the base with everything on top that waits to be sent. */
  readonly apiary: Apiary;
  readonly outbox: readonly OutboxEntry[];
  /** Whether the server answered when it was last asked. */
  readonly reach: 'unknown' | 'reached' | 'away';
  /** The server has said that nobody is signed in here. */
  readonly signedOut: boolean;
  /** Whether this browser keeps anything: without, nothing can be entered while the server is away. */
  readonly keeps: boolean;
  /** The records are a yard to play in: nothing is kept, sent or asked for. */
  readonly practising: boolean;
  /** When the server last gave its records, in milliseconds since 1970; null before. */
  readonly syncedAt: number | null;
  /** The server's clock less this device's, in milliseconds. */
  readonly clockOffsetMs: number;
}

const initialState: MirrorState = {
  status: 'loading',
  failure: null,
  operationId: null,
  revision: 0,
  base: emptyApiary(),
  apiary: emptyApiary(),
  outbox: [],
  reach: 'unknown',
  signedOut: false,
  keeps: true,
  practising: false,
  syncedAt: null,
  clockOffsetMs: 0,
};

/**
 * Records are replaced, never mutated. While developing and in tests the store freezes every one, so that whoever mutates one is
 * found; in what is built it stops here: going through hundreds of thousands of records only costs time.
 */
const held = (apiary: Apiary): Apiary => (import.meta.env.PROD ? freeze(apiary) : apiary);

/**
 * The base with what waits on top; what can no longer be done on it is left out until the server says why. Where
 * anything waits, the decider must be there.
 */
function withOutbox(base: Apiary, outbox: readonly OutboxEntry[]): Apiary {
  return held(
    outbox.reduce((apiary, entry) => {
      if (entry.state === 'refused') return apiary;
      const decided = deciderNow().decide(apiary, entry.command);
      return decided.ok ? applyChanges(apiary, decided.value) : apiary;
    }, base),
  );
}

/**
 * The state as it was, without the stand-ins through which a reducer sees it: what is worked out of records is kept with
 * them, and must not hold any.
 */
function asItWas(state: Draft<MirrorState>): MirrorState {
  const was = original(state) as MirrorState | undefined;
  if (!was) throw new Error('a reducer was called without its state');
  return was;
}

const mirrorSlice = createSlice({
  name: 'mirror',
  initialState,
  reducers: {
    loaded: (state, { payload }: PayloadAction<LocalCopy>) =>
      state.practising
        ? state
        : {
            ...state,
            status: 'ready' as const,
            failure: null,
            operationId: payload.operationId,
            revision: payload.revision,
            base: held(payload.base),
            apiary: withOutbox(payload.base, payload.outbox),
            outbox: payload.outbox,
            syncedAt: payload.savedAt,
          },
    loadFailed: (state, action: PayloadAction<string>) => ({
      ...state,
      status: 'failed' as const,
      failure: action.payload,
    }),
    /** A yard to play in takes the place of the records until it is left. */
    practised: (_state, { payload }: PayloadAction<Apiary>) => ({
      ...initialState,
      status: 'ready' as const,
      practising: true,
      base: held(payload),
      apiary: held(payload),
    }),
    reloading: (state) => ({ ...state, status: 'loading' as const }),
    reached: (state, action: PayloadAction<{ clockOffsetMs: number }>) => ({
      ...state,
      reach: 'reached' as const,
      signedOut: false,
      clockOffsetMs: action.payload.clockOffsetMs,
    }),
    keepsNothing: (state) => ({ ...state, keeps: false }),
    lost: (state) => ({ ...state, reach: 'away' as const }),
    turnedAway: (state) => ({ ...state, reach: 'reached' as const, signedOut: true }),
    /** A command was made here: its changes show at once. */
    made: (state, action: PayloadAction<{ entry: OutboxEntry; changes: readonly Change[] }>) => ({
      ...state,
      apiary: held(applyChanges(asItWas(state).apiary, action.payload.changes)),
      outbox: [...asItWas(state).outbox, action.payload.entry],
    }),
    /** The server has carried out the first entry of the outbox, as the very next thing after the base. */
    confirmed: (
      state,
      action: PayloadAction<{ id: string; revision: number; changes: readonly Change[] }>,
    ) => {
      if (state.practising) return state;
      const { id, revision, changes } = action.payload;
      const base = held(applyChanges(asItWas(state).base, changes));
      const outbox = asItWas(state).outbox.filter((e) => e.id !== id);
      return { ...state, revision, base, outbox, apiary: withOutbox(base, outbox) };
    },
    /** Another device has changed something, as the very next thing after the base. */
    followed: (state, action: PayloadAction<{ revision: number; changes: readonly Change[] }>) => {
      if (state.practising) return state;
      const { revision, changes } = action.payload;
      const base = held(applyChanges(asItWas(state).base, changes));
      return { ...state, revision, base, apiary: withOutbox(base, asItWas(state).outbox) };
    },
    setAside: (state, action: PayloadAction<{ id: string; problems: readonly Problem[] }>) => {
      if (state.practising) return state;
      const outbox = asItWas(state).outbox.map((e) =>
        e.id === action.payload.id
          ? { ...e, state: 'refused' as const, problems: action.payload.problems }
          : e,
      );
      return { ...state, outbox, apiary: withOutbox(asItWas(state).base, outbox) };
    },
    /** The user has taken an entry out of the outbox, or put it back in line. */
    outboxChanged: (state, action: PayloadAction<readonly OutboxEntry[]>) => ({
      ...state,
      outbox: action.payload,
      apiary: withOutbox(asItWas(state).base, action.payload),
    }),
  },
});

export const {
  loaded,
  loadFailed,
  practised,
  reloading,
  reached,
  keepsNothing,
  lost,
  turnedAway,
  made,
  confirmed,
  followed,
  setAside,
  outboxChanged,
} = mirrorSlice.actions;
export const mirrorReducer = mirrorSlice.reducer;
