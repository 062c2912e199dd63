import { configureStore, type Middleware } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { serverData } from '../server/serverData.ts';
import { boardReducer } from './boardSlice.ts';
import { plannerReducer } from './plannerSlice.ts';
import { mirrorReducer } from './mirrorSlice.ts';
import { lookReducer } from './lookSlice.ts';

/** What the server makes of the records is asked for anew when they have moved on. */
const askAnew: Middleware<object, { mirror: { revision: number } }> = (store) => (next) => (action) => {
  const before = store.getState().mirror.revision;
  const result = next(action);
  if (store.getState().mirror.revision !== before)
    store.dispatch(serverData.util.invalidateTags(['records']));
  return result;
};

/**
 * The store of the application: the mirror of the operation, what the server knows besides it, how the screen looks,
 * how the board is viewed.
 */
export function makeStore() {
  return configureStore({
    reducer: {
      mirror: mirrorReducer,
      server: serverData.reducer,
      look: lookReducer,
      board: boardReducer,
      planner: plannerReducer,
    },
    // The mirror is replaced, never mutated; walking some thousand records at each action only costs time.
    middleware: (defaults) =>
      defaults({ immutableCheck: false, serializableCheck: false }).concat(serverData.middleware, askAnew),
  });
}

export type AppStore = ReturnType<typeof makeStore>;
export type AppState = ReturnType<AppStore['getState']>;
export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppSelector = useSelector.withTypes<AppState>();
