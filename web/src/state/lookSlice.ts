import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** How the screen looks: by day, by night, or in full sun with gloves on. */
export type LookName = 'light' | 'dark' | 'sunlight';
export const LOOKS: readonly LookName[] = ['light', 'sunlight', 'dark'];

const KEY = 'incremen.look';

function remembered(): LookName {
  const kept = globalThis.localStorage?.getItem(KEY);
  if (LOOKS.includes(kept as LookName)) return kept as LookName;
  return globalThis.matchMedia?.('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

const lookSlice = createSlice({
  name: 'look',
  initialState: { name: remembered() },
  reducers: {
    lookChosen: (_state, action: PayloadAction<LookName>) => ({ name: action.payload }),
  },
});

/** Shows a look on the page and remembers it on this device. */
export function showLook(name: LookName): void {
  document.documentElement.className = name;
  document.documentElement.style.colorScheme = name === 'dark' ? 'dark' : 'light';
  localStorage.setItem(KEY, name);
}

export const { lookChosen } = lookSlice.actions;
export const lookReducer = lookSlice.reducer;
