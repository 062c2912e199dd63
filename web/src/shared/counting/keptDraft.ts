import { noEvidence } from '@incremen/core/records';
import { NO_CONDITIONS } from '../evidence/ConditionsFields.tsx';
import type { Seen } from '../evidence/SeenForm.tsx';
import type { CountState } from './countDraft.ts';

/** A count under way, kept on this device until it is saved: a reload or an empty battery loses nothing. */
export interface KeptCount {
  readonly day: string;
  readonly state: CountState;
  readonly seen: Seen;
  /** When the hive was opened, in milliseconds since 1970. */
  readonly openedAt: number;
}

const VERSION = 2;
const PREFIX = 'incremen.count.';
const keyOf = (colonyId: string) => `${PREFIX}${colonyId}`;

/** Keeps a count. A full or forbidden storage is no reason to stop counting. */
export function keepDraft(colonyId: string, kept: KeptCount): void {
  try {
    localStorage.setItem(keyOf(colonyId), JSON.stringify({ v: VERSION, ...kept }));
  } catch {
    // The count goes on in memory.
  }
}

/** The count kept for a colony, if its frames still hang as they did. */
export function keptDraft(colonyId: string, frameIds: readonly string[]): KeptCount | undefined {
  const text = localStorage.getItem(keyOf(colonyId));
  if (text === null) return undefined;
  try {
    const kept = upgraded(JSON.parse(text) as StoredDraft, frameIds.length);
    const { frames } = kept.state;
    const same = frames.length === frameIds.length && frames.every((f, i) => f.frameId === frameIds[i]);
    return same ? kept : undefined;
  } catch {
    return undefined;
  }
}

/** Forgets a count that was saved or given up. */
export function forgetDraft(colonyId: string): void {
  localStorage.removeItem(keyOf(colonyId));
}

/** Colonies of which a count is kept here that was not saved. */
export const coloniesWithDraft = (): string[] =>
  Object.keys(localStorage).flatMap((key) => (key.startsWith(PREFIX) ? [key.slice(PREFIX.length)] : []));

/** Version 1 had frames, day and note only. */
interface FirstDraft {
  readonly v: 1;
  readonly day: string;
  readonly note: string;
  readonly draft: Pick<CountState, 'frames' | 'at' | 'stage'>;
}
type StoredDraft = FirstDraft | ({ readonly v: typeof VERSION } & KeptCount);

function upgraded(stored: StoredDraft, frames: number): KeptCount {
  if (stored.v === VERSION) return stored;
  return {
    day: stored.day,
    openedAt: Date.now(),
    seen: { evidence: noEvidence(frames), conditions: NO_CONDITIONS, photos: [], note: stored.note },
    state: {
      ...stored.draft,
      frames: stored.draft.frames.map((f) => ({ ...f, lastId: null, from: f.reading ? 'taps' : null })),
      side: 'both',
      quick: null,
      text: '',
    },
  };
}
