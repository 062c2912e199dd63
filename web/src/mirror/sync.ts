import { photosIn } from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import type { AppStore } from '../state/store.ts';
import type { Snapshot } from '@incremen/contract';
import { apiaryOf } from '../offline/apiaryOf.ts';
import { changeEntry, forgetDatabase, localDatabase, type OutboxEntry } from '../offline/database.ts';
import {
  confirm,
  keepSnapshot,
  newestConfirmed,
  readLocalCopy,
  type LocalCopy,
} from '../offline/localCopy.ts';
import { alone } from '../offline/lock.ts';
import { api, ApiError, clockOffset } from '../server/api.ts';
import { decider } from '../state/decider.ts';
import {
  confirmed,
  keepsNothing,
  loaded,
  loadFailed,
  lost,
  reached,
  reloading,
  setAside,
  turnedAway,
} from '../state/mirrorSlice.ts';
import { problemsOf } from '../server/problemsOf.ts';

type Dispatch = AppStore['dispatch'];
type GetState = AppStore['getState'];

/** Waiting between attempts to reach a server that is away: from 1 s, doubled, to half a minute. */
const RETRY_MS = { first: 1000, most: 30_000 };
/** How often an open page asks whether another device has changed something. */
const ASK_MS = 30_000;

/** Tells the other tabs of this browser that the kept copy has changed. */
const tabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('incremen');
export const tellTabs = () => tabs?.postMessage('changed');

/** How long an answer of the server is waited for before what is kept here is shown. */
const HEAD_START_MS = 1500;

/**
 * Asks the server for the operation and sends what waits. Shows what is kept here when the server is away,
 * or slow: forms begin with what is on the screen, so the newest is worth a moment.
 */
export function load() {
  return async (dispatch: Dispatch, getState: GetState) => {
    const kept = await readLocalCopy().catch(() => {
      // A private window, a full disk, storage switched off: the page works with the server alone, and says so.
      dispatch(keepsNothing());
      return undefined;
    });
    if (kept) void askToPersist();
    const answer = dispatch(fetchSnapshot());
    const early = await Promise.race([
      answer.then((problem) => ({ problem })),
      new Promise<null>((resolve) => setTimeout(resolve, HEAD_START_MS, null)),
    ]);
    if (kept && getState().mirror.status !== 'ready') await dispatch(show(kept));
    const problem = early ? early.problem : await answer;
    if (problem && !kept) dispatch(loadFailed(problem));
    void dispatch(flush());
  };
}

/** Shows what is kept here, with what waits to be sent on top. */
function show(kept: LocalCopy) {
  return async (dispatch: Dispatch): Promise<void> => {
    try {
      if (kept.outbox.length > 0) await decider();
    } catch {
      dispatch(
        loadFailed('A part of Incremen that this device lacks could not be fetched. Nothing is lost.'),
      );
      return;
    }
    dispatch(loaded(kept));
    // Before the first tap; what fails now is tried again then.
    void decider().catch(() => undefined);
  };
}

/** Fetches everything again, after a file has put another operation in its place. */
export function reload() {
  return async (dispatch: Dispatch) => {
    dispatch(reloading());
    const problem = await dispatch(fetchSnapshot());
    if (problem) dispatch(loadFailed(problem));
  };
}

/** Fetches the operation into the kept copy and the mirror. @returns what went wrong, in words */
function fetchSnapshot() {
  return async (dispatch: Dispatch, getState: GetState): Promise<string | null> => {
    try {
      const [operation] = await api.operations();
      if (!operation) return 'The server holds no operation yet. Stop it and start it again.';
      const askedAt = getState().mirror.keeps ? await newestConfirmed() : 0;
      const snapshot = await api.snapshot(operation.id);
      dispatch(reached({ clockOffsetMs: clockOffset() }));
      if (!getState().mirror.keeps) {
        await dispatch(show(unkept(operation.id, snapshot)));
        return null;
      }
      const fresh = {
        operationId: operation.id,
        snapshot,
        savedAt: Date.now() + clockOffset(),
        askedAt,
      };
      const local = await alone('copy', async () => {
        await keepSnapshot(fresh);
        // What was just kept is in hand: a large apiary is not read back.
        return readLocalCopy(fresh);
      }).catch(() => {
        // There was room to look, and there is none to keep.
        dispatch(keepsNothing());
        return unkept(operation.id, snapshot);
      });
      if (local) await dispatch(show(local));
      tellTabs();
      return null;
    } catch (error) {
      if (!(error instanceof ApiError)) return (error as Error).message;
      if (error.offline) dispatch(lost());
      if (isSignedOut(error)) dispatch(turnedAway());
      return `${error.problem.title} ${error.problem.detail}`;
    }
  };
}

/** What the server has said, of which nothing is kept. */
const unkept = (operationId: string, snapshot: Snapshot): LocalCopy => ({
  operationId,
  revision: snapshot.revision,
  base: apiaryOf(snapshot),
  outbox: [],
  savedAt: Date.now() + clockOffset(),
});

/** A browser that is short of room throws away what pages keep, unless it was asked not to. */
const askToPersist = async (): Promise<void> => {
  const { storage } = navigator as { storage?: StorageManager };
  if (!(await storage?.persisted?.().catch(() => true))) await storage?.persist?.().catch(() => false);
};

/** Nobody is signed in here: what waits goes on waiting until somebody is. */
const isSignedOut = (error: unknown) => error instanceof ApiError && error.problem.status === 401;

/**
 * The operation is not there for whoever is signed in. Who sees no other either was taken out, or is signed in as somebody
 * else: nothing is wrong with what was made. Where another stands in its place, there is nothing to send it to.
 */
const isShutOut = (error: ApiError) => error.problem.type.endsWith('/unknown-operation');

const seesNothing = () =>
  api.operations().then(
    (list) => list.length === 0,
    () => true,
  );

/** Too slow, too many at once: what is true now and not of this entry. */
const MEANWHILE: ReadonlySet<number> = new Set([408, 425, 429]);

const isOfTwoVersions = (error: ApiError) => error.problem.type.endsWith('/other-version');

/** What became of an entry of the outbox. */
export type Outcome =
  | { readonly became: 'sent' }
  | { readonly became: 'waiting' }
  | { readonly became: 'refused'; readonly problems: readonly Problem[] };

const watchers = new Map<string, (outcome: Outcome) => void>();

/** Resolves when the server has taken or refused an entry, or when that takes too long to wait for. */
export function outcomeOf(entryId: string, patienceMs: number): Promise<Outcome> {
  return new Promise((resolve) => {
    const done = (outcome: Outcome) => {
      clearTimeout(timer);
      watchers.delete(entryId);
      resolve(outcome);
    };
    const timer = setTimeout(() => done({ became: 'waiting' }), patienceMs);
    watchers.set(entryId, done);
  });
}

/** A command on which the server itself fails so often is set aside, so that others are not held up. */
const MOST_FAILURES = 5;
const failures = new Map<string, number>();

let retryMs = RETRY_MS.first;
let retryTimer: ReturnType<typeof setTimeout> | undefined;

/**
 * Sends what waits, in the order in which it was made, one after the other and from one tab at a time.
 *
 * A command whose answer was lost is sent again under its id, which changes nothing a second time.
 */
export function flush() {
  return async (dispatch: Dispatch, getState: GetState): Promise<void> => {
    clearTimeout(retryTimer);
    // Nothing waits where nothing is kept; what waits of the keeper's own waits until the yard to play in is left.
    if (!getState().mirror.keeps || getState().mirror.practising) return;
    const away = await alone('outbox', async () => {
      for (;;) {
        const entry = await (await localDatabase()).getFromIndex('outbox', 'state', 'waiting');
        if (!entry) return false;
        const answer = await sendOne(entry);
        if (answer === 'away') return true;
        if (answer === 'signed-out') {
          dispatch(turnedAway());
          return false;
        }
        if ('problems' in answer) {
          await changeEntry(entry.seq, { state: 'refused', problems: answer.problems });
          dispatch(setAside({ id: entry.id, problems: answer.problems }));
          watchers.get(entry.id)?.({ became: 'refused', problems: answer.problems });
          tellTabs();
          continue;
        }
        dispatch(reached({ clockOffsetMs: clockOffset() }));
        const next = getState().mirror.revision + 1;
        await alone('copy', () => confirm(entry, answer.revision, answer.changes));
        if (answer.revision === next && !answer.replayed) dispatch(confirmed({ id: entry.id, ...answer }));
        // Another device came between, or the answer to an earlier attempt was lost: look at the whole.
        else await dispatch(fetchSnapshot());
        watchers.get(entry.id)?.({ became: 'sent' });
        tellTabs();
      }
    });
    if (away) {
      dispatch(lost());
      for (const [, tell] of watchers) tell({ became: 'waiting' });
      retryTimer = setTimeout(() => void dispatch(flush()), retryMs);
      retryMs = Math.min(retryMs * 2, RETRY_MS.most);
    } else {
      retryMs = RETRY_MS.first;
    }
  };
}

async function sendOne(
  entry: OutboxEntry,
): Promise<
  'away' | 'signed-out' | { readonly problems: readonly Problem[] } | Awaited<ReturnType<typeof api.command>>
> {
  try {
    for (const photoId of photosIn(entry.command)) {
      const db = await localDatabase();
      const kept = await db.get('photos', photoId);
      if (kept && kept.sent === 0) {
        await api.putPhoto(entry.operationId, photoId, kept.blob);
        await db.put('photos', { ...kept, sent: 1 });
      }
    }
    const { id, madeAt, command, hands } = entry;
    return await api.command(entry.operationId, { id, madeAt, command, hands });
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    if (isSignedOut(error) || (isShutOut(error) && (await seesNothing()))) return 'signed-out';
    if (MEANWHILE.has(error.problem.status) || isOfTwoVersions(error)) return 'away';
    if (!error.offline) return { problems: problemsOf(error) };
    if (error.problem.status < 500) return 'away';
    const failed = (failures.get(entry.id) ?? 0) + 1;
    failures.set(entry.id, failed);
    // A server that fails at everything has nothing against this one: it waits, and what was made later waits behind it.
    return failed < MOST_FAILURES || !(await api.isReady()) ? 'away' : { problems: [SERVER_FAILS] };
  }
}

const SERVER_FAILS: Problem = {
  code: 'server-fails',
  path: [],
  message: 'The server fails on this again and again.',
  remedy: 'It is kept here. Try it again after the server has been restarted.',
};

/** Asks whether anything is new, and fetches it if so. */
export function askForNews() {
  return async (dispatch: Dispatch, getState: GetState): Promise<void> => {
    if (getState().mirror.practising) return;
    try {
      const [operation] = await api.operations();
      dispatch(reached({ clockOffsetMs: clockOffset() }));
      const { operationId, revision } = getState().mirror;
      if (operation && (operation.id !== operationId || operation.revision !== revision)) {
        await dispatch(fetchSnapshot());
      }
    } catch (error) {
      if (error instanceof ApiError && error.offline) dispatch(lost());
      if (isSignedOut(error)) dispatch(turnedAway());
    }
  };
}

/** Keeps the mirror up to date while the page is open: with the server, and with other tabs. */
export function keepInStep(store: AppStore): void {
  const { dispatch } = store;
  const news = () => {
    retryMs = RETRY_MS.first;
    void dispatch(flush());
    if (store.getState().mirror.status === 'ready') void dispatch(askForNews());
  };
  window.addEventListener('online', news);
  window.addEventListener('offline', () => dispatch(lost()));
  document.addEventListener('visibilitychange', () => document.visibilityState === 'visible' && news());
  setInterval(() => document.visibilityState === 'visible' && news(), ASK_MS);
  tabs?.addEventListener('message', () => {
    if (store.getState().mirror.practising) return;
    void readLocalCopy().then((kept) => kept && dispatch(show(kept)));
  });
}

/** Takes the kept copy off this device: who comes next sees nothing of the records without signing in. */
export async function forgetThisDevice(): Promise<void> {
  await forgetDatabase();
}
