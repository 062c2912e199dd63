import type { CountDraft } from './countDraft.ts';

/** A count under way, kept on this device until it is saved: a reload or an empty battery loses nothing. */
interface Kept {
  readonly v: 1;
  readonly day: string;
  readonly note: string;
  readonly draft: Pick<CountDraft, 'frames' | 'at' | 'stage'>;
}

const keyOf = (colonyId: string) => `incremen.count.${colonyId}`;

/** Keeps a count. A full or forbidden storage is no reason to stop counting. */
export function keepDraft(
  colonyId: string,
  day: string,
  note: string,
  { frames, at, stage }: CountDraft,
): void {
  try {
    localStorage.setItem(
      keyOf(colonyId),
      JSON.stringify({ v: 1, day, note, draft: { frames, at, stage } } satisfies Kept),
    );
  } catch {
    // The count goes on in memory.
  }
}

/** The count kept for a colony, if its frames still hang as they did. */
export function keptDraft(colonyId: string, frameIds: readonly string[]): Omit<Kept, 'v'> | undefined {
  const text = localStorage.getItem(keyOf(colonyId));
  if (text === null) return undefined;
  try {
    const kept = JSON.parse(text) as Kept;
    const same =
      kept.v === 1 &&
      kept.draft.frames.length === frameIds.length &&
      kept.draft.frames.every((f, i) => f.frameId === frameIds[i]);
    return same ? kept : undefined;
  } catch {
    return undefined;
  }
}

/** Forgets a count that was saved or given up. */
export function forgetDraft(colonyId: string): void {
  localStorage.removeItem(keyOf(colonyId));
}
