import { coloniesWithDraft, forgetDraft } from '../counting/keptDraft.ts';
import { decider } from '../../state/decider.ts';
import { practised } from '../../state/mirrorSlice.ts';
import type { AppStore } from '../../state/store.ts';

/**
 * Puts a yard to play in before the user: the demonstration, made here. Nothing that is done in it is kept or sent, and the
 * keeper's own records wait untouched.
 */
export function practise() {
  return async (dispatch: AppStore['dispatch']): Promise<void> => {
    // Both are fetched before anything changes: without signal the keeper stays where she is.
    const [{ demoScenario }] = await Promise.all([import('@incremen/core/demo'), decider()]);
    dispatch(practised(demoScenario().apiary));
  };
}

/** Throws the yard to play in away. The page begins anew, with the keeper's own records and whatever was begun on them. */
export function leavePractice() {
  return (_dispatch: AppStore['dispatch'], getState: AppStore['getState']): void => {
    const { apiary } = getState().mirror;
    for (const id of coloniesWithDraft()) if (apiary.colony[id]) forgetDraft(id);
    location.replace('/');
  };
}
