import type { Command } from '@incremen/core/records';
import type { Problem } from '@incremen/core/basics';
import type { AppStore } from '../state/store.ts';
import { changeEntry, localDatabase, type OutboxEntry } from '../offline/database.ts';
import { handsNow } from '../offline/handsNow.ts';
import { nextSeq, putInOutbox } from '../offline/localCopy.ts';
import { alone } from '../offline/lock.ts';
import { api } from '../server/api.ts';
import { decider } from '../state/decider.ts';
import { made, outboxChanged } from '../state/mirrorSlice.ts';
import { problemsOf } from '../server/problemsOf.ts';
import { flush, load, outcomeOf, tellTabs } from './sync.ts';

type Dispatch = AppStore['dispatch'];
type GetState = AppStore['getState'];

/** What became of a command: done, or what is wrong with it. */
export type Sent =
  | { readonly ok: true; readonly entryId: string }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** How long a view waits for the server's word before it goes on and leaves the rest to the outbox. */
const PATIENCE_MS = 2500;

/**
 * Carries a command out: here at once, kept on this device, then on the server.
 *
 * The same code decides at both ends, so a refusal is known before anything is kept. While the server is
 * away the command waits in the outbox and counts as done. When the server refuses it while somebody looks
 * on, it is taken back here and the reasons are returned.
 */
export function send(command: Command) {
  return async (dispatch: Dispatch, getState: GetState): Promise<Sent> => {
    const deciding = await decider().catch(() => null);
    const { apiary, operationId, reach, clockOffsetMs, practising } = getState().mirror;
    if ((operationId === null && !practising) || !deciding) return { ok: false, problems: [notReady] };
    const { decide, summarise } = deciding;
    const decided = decide(apiary, command);
    if (!decided.ok) return decided;
    const hands = handsNow();
    const entry: OutboxEntry = {
      seq: nextSeq(),
      id: crypto.randomUUID(),
      operationId: operationId ?? '',
      madeAt: new Date(Date.now() + clockOffsetMs).toISOString(),
      summary: summarise(apiary, command),
      command,
      ...(hands !== null && { hands }),
      state: 'waiting',
      problems: [],
    };
    if (!getState().mirror.keeps && !practising) return dispatch(sendAtOnce(entry));
    // Shown before it is kept: a tap must not wait for the disk.
    dispatch(made({ entry, changes: decided.value }));
    if (practising) return { ok: true, entryId: entry.id };
    try {
      await putInOutbox(entry);
    } catch {
      dispatch(outboxChanged(getState().mirror.outbox.filter((e) => e.id !== entry.id)));
      return { ok: false, problems: [cannotKeep] };
    }
    // What came from the server or another tab meanwhile was read without it.
    if (!getState().mirror.outbox.some((e) => e.id === entry.id)) await dispatch(showOutbox());
    tellTabs();
    const outcome = reach === 'away' ? null : outcomeOf(entry.id, PATIENCE_MS);
    void dispatch(flush());
    const became = await outcome;
    if (became?.became !== 'refused') return { ok: true, entryId: entry.id };
    await dispatch(discard(entry.seq));
    return { ok: false, problems: became.problems };
  };
}

/** Where nothing is kept a command goes to the server now, or not at all. */
function sendAtOnce({ operationId, id, madeAt, command, hands }: OutboxEntry) {
  return async (dispatch: Dispatch): Promise<Sent> => {
    try {
      await api.command(operationId, { id, madeAt, command, hands });
    } catch (error) {
      return { ok: false, problems: problemsOf(error) };
    }
    await dispatch(load());
    return { ok: true, entryId: id };
  };
}

/** Takes something back: out of the outbox when it has not been sent, else by the server's journal. */
export function takeBack(entryId: string) {
  return async (dispatch: Dispatch, getState: GetState): Promise<Sent> => {
    const { operationId, clockOffsetMs, practising, outbox } = getState().mirror;
    if (practising) {
      dispatch(outboxChanged(outbox.filter((e) => e.id !== entryId)));
      return { ok: true, entryId };
    }
    if (operationId === null) return { ok: false, problems: [notReady] };
    // The sender is waited for, so that nothing is taken out while it is on its way.
    const unsent = await alone('outbox', async () => {
      if (!getState().mirror.keeps) return false;
      const db = await localDatabase();
      const entry = await db.getFromIndex('outbox', 'id', entryId);
      if (entry) await db.delete('outbox', entry.seq);
      return entry !== undefined;
    });
    if (unsent) {
      await dispatch(showOutbox());
      return { ok: true, entryId };
    }
    try {
      const result = await api.undo(operationId, {
        id: crypto.randomUUID(),
        madeAt: new Date(Date.now() + clockOffsetMs).toISOString(),
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

/** Throws an entry of the outbox away: it will not be sent. */
export function discard(seq: number) {
  return async (dispatch: Dispatch): Promise<void> => {
    await alone('outbox', async () => (await localDatabase()).delete('outbox', seq));
    await dispatch(showOutbox());
  };
}

/** Puts a refused entry back in line and tries again. */
export function tryAgain(seq: number) {
  return async (dispatch: Dispatch): Promise<void> => {
    await changeEntry(seq, { state: 'waiting', problems: [] });
    await dispatch(showOutbox());
    void dispatch(flush());
  };
}

function showOutbox() {
  return async (dispatch: Dispatch): Promise<void> => {
    dispatch(outboxChanged(await (await localDatabase()).getAll('outbox')));
    tellTabs();
  };
}

const notReady: Problem = {
  code: 'not-ready',
  path: [],
  message: 'The records are not loaded yet.',
  remedy: 'Wait a moment.',
};

const cannotKeep: Problem = {
  code: 'cannot-keep',
  path: [],
  message: 'This device cannot keep what you enter: its storage is full or switched off.',
  remedy: 'Free some storage, or allow this page to store data, then do it again.',
};
