import {
  applyChanges,
  emptyApiary,
  RECORD_KINDS,
  type AnyRecord,
  type Apiary,
  type Change,
} from '@incremen/core';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Snapshot } from '@incremen/contract';

/** The operation as this device knows it. */
export interface MirrorState {
  readonly status: 'loading' | 'ready' | 'failed';
  /** Why loading failed, in words. */
  readonly failure: string | null;
  readonly operationId: string | null;
  readonly revision: number;
  readonly apiary: Apiary;
}

const initialState: MirrorState = {
  status: 'loading',
  failure: null,
  operationId: null,
  revision: 0,
  apiary: emptyApiary(),
};

/** The records of a snapshot by kind and id. */
export function apiaryOf(snapshot: Snapshot): Apiary {
  return Object.fromEntries(
    RECORD_KINDS.map((kind) => [
      kind,
      Object.fromEntries(snapshot.records[kind].map((r: AnyRecord) => [r.id, r])),
    ]),
  ) as unknown as Apiary;
}

const mirrorSlice = createSlice({
  name: 'mirror',
  initialState,
  reducers: {
    loaded: (_state, action: PayloadAction<{ operationId: string; snapshot: Snapshot }>) => ({
      status: 'ready' as const,
      failure: null,
      operationId: action.payload.operationId,
      revision: action.payload.snapshot.revision,
      apiary: apiaryOf(action.payload.snapshot),
    }),
    loadFailed: (state, action: PayloadAction<string>) => ({
      ...state,
      status: 'failed' as const,
      failure: action.payload,
    }),
    reloading: (state) => ({ ...state, status: 'loading' as const }),
    changed: (state, action: PayloadAction<readonly Change[]>) => ({
      ...state,
      apiary: applyChanges(state.apiary as Apiary, action.payload),
    }),
    confirmed: (state, action: PayloadAction<number>) => ({ ...state, revision: action.payload }),
  },
});

export const { loaded, loadFailed, reloading, changed, confirmed } = mirrorSlice.actions;
export const mirrorReducer = mirrorSlice.reducer;
