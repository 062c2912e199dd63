import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { boardReducer } from './boardSlice.ts';
import { plannerReducer } from './plannerSlice.ts';
import { mirrorReducer } from './mirrorSlice.ts';
import { lookReducer } from './lookSlice.ts';

/** The store of the application: the mirror of the operation, how the screen looks, how the board is viewed. */
export function makeStore() {
  return configureStore({
    reducer: { mirror: mirrorReducer, look: lookReducer, board: boardReducer, planner: plannerReducer },
    // The mirror is replaced, never mutated; walking some thousand records at each action only costs time.
    middleware: (defaults) => defaults({ immutableCheck: false, serializableCheck: false }),
  });
}

export type AppStore = ReturnType<typeof makeStore>;
export type AppState = ReturnType<AppStore['getState']>;
export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppSelector = useSelector.withTypes<AppState>();
