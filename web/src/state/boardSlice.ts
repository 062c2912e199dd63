import type { Lane } from '@incremen/core/colony';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What colonies of a board are put in order by. */
export const SORTS = ['stand', 'name', 'bees', 'brood', 'stores', 'age'] as const;
export type Sort = (typeof SORTS)[number];

/** How far the board looks back and ahead, in days. */
export const LOOK = { back: -14, ahead: 28 } as const;

/** How a board is looked at. It stays while one opens a colony and comes back. */
export interface BoardView {
  /** Days from today that counts are brought to; null shows them as counted. */
  readonly offset: number | null;
  readonly sort: Sort;
  /** Part of a name. */
  readonly find: string;
  /** Only this lane; null for all. */
  readonly lane: Lane | null;
  /** Colonies picked to be compared; null while nobody picks. */
  readonly picked: readonly string[] | null;
}

/** As many as fit side by side. */
export const MOST_COMPARED = 4;
export const MOST_COMPARED_IN_WORDS = 'four';

const initialState: BoardView = { offset: 0, sort: 'stand', find: '', lane: null, picked: null };

const boardSlice = createSlice({
  name: 'board',
  initialState,
  reducers: {
    viewed: (state, action: PayloadAction<Partial<BoardView>>) => ({ ...state, ...action.payload }),
    pickToggled: (state, { payload: id }: PayloadAction<string>) => {
      const picked = state.picked ?? [];
      const next = picked.includes(id)
        ? picked.filter((p) => p !== id)
        : [...picked, id].slice(-MOST_COMPARED);
      return { ...state, picked: next };
    },
  },
});

export const { viewed, pickToggled } = boardSlice.actions;
export const boardReducer = boardSlice.reducer;
