import type { Command, Problem } from '@incremen/core';
import { decide, reverseChanges } from '@incremen/core';
import type { AppStore } from '../app/store.ts';
import { api, ApiError } from './api.ts';
import { changed, confirmed, loaded, loadFailed, reloading } from './mirrorSlice.ts';

type Dispatch = AppStore['dispatch'];
type GetState = AppStore['getState'];

/** What became of a command: done, or what is wrong with it. */
export type Sent =
  | { readonly ok: true; readonly entryId: string }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** Fetches the operation into the mirror. */
export function load() {
  return async (dispatch: Dispatch) => {
    try {
      const [operation] = await api.operations();
      if (!operation) throw new Error('The server holds no operation yet. Stop it and start it again.');
      dispatch(loaded({ operationId: operation.id, snapshot: await api.snapshot(operation.id) }));
    } catch (error) {
      dispatch(
        loadFailed(
          error instanceof ApiError
            ? `${error.problem.title} ${error.problem.detail}`
            : (error as Error).message,
        ),
      );
    }
  };
}

/** Fetches it again, after something else has changed it. */
export function reload() {
  return async (dispatch: Dispatch) => {
    dispatch(reloading());
    await dispatch(load());
  };
}

/** Commands leave in the order in which they were given. */
let line: Promise<unknown> = Promise.resolve();

/**
 * Carries a command out: here at once, then on the server.
 *
 * The same code decides at both ends, so a refusal is known before anything is sent. When the server
 * refuses all the same, or cannot be reached, the change is taken back here and the reasons are returned.
 */
export function send(command: Command) {
  return async (dispatch: Dispatch, getState: GetState): Promise<Sent> => {
    const { apiary, operationId } = getState().mirror;
    if (operationId === null) return { ok: false, problems: [notReady] };
    const decided = decide(apiary, command);
    if (!decided.ok) return decided;
    dispatch(changed(decided.value));
    const envelope = { id: crypto.randomUUID(), madeAt: new Date().toISOString(), command };
    const sent = line.then(() => api.command(operationId, envelope));
    line = sent.catch(() => undefined);
    try {
      const result = await sent;
      await settle(dispatch, getState, result.revision);
      return { ok: true, entryId: result.entryId };
    } catch (error) {
      dispatch(changed(reverseChanges(decided.value)));
      return { ok: false, problems: problemsOf(error) };
    }
  };
}

/** Takes an entry of the journal back. */
export function takeBack(entryId: string) {
  return async (dispatch: Dispatch, getState: GetState): Promise<Sent> => {
    const { operationId } = getState().mirror;
    if (operationId === null) return { ok: false, problems: [notReady] };
    try {
      const result = await api.undo(operationId, {
        id: crypto.randomUUID(),
        madeAt: new Date().toISOString(),
        entryId,
      });
      // Older readings that are shown again are not kept here, so everything is fetched anew.
      await dispatch(load());
      return { ok: true, entryId: result.entryId };
    } catch (error) {
      return { ok: false, problems: problemsOf(error) };
    }
  };
}

/** Notes the server's revision; when another device has come between, fetches everything again. */
async function settle(dispatch: Dispatch, getState: GetState, revision: number): Promise<void> {
  const expected = getState().mirror.revision + 1;
  dispatch(confirmed(revision));
  if (revision > expected) await dispatch(load());
}

const notReady: Problem = {
  code: 'not-ready',
  path: [],
  message: 'The records are not loaded yet.',
  remedy: 'Wait a moment.',
};

/** What went wrong, as problems that can be shown beside their fields. */
export function problemsOf(error: unknown): Problem[] {
  if (!(error instanceof ApiError)) throw error;
  const { problem } = error;
  if (problem.errors.length === 0) {
    return [{ code: problem.type, path: [], message: problem.title, remedy: problem.detail }];
  }
  return problem.errors.map((e) => ({
    code: e.code,
    path: e.pointer.split('/').slice(1),
    message: e.message,
    remedy: e.remedy,
  }));
}
