import { applyChanges, type Apiary, type Change } from '@incremen/core/records';
import type { EntityManager } from '@mikro-orm/postgresql';
import { loadApiary, loadRecord } from '../db/apiaryRows.ts';

/** An operation's present records as of a revision. */
export interface Present {
  readonly revision: number;
  readonly apiary: Apiary;
}

/** What is kept of an operation between commands: its records as of an earlier revision, and what has changed since. */
export interface Kept extends Present {
  readonly later: readonly Change[];
}

/** Changes are folded into the records when so many have gathered: each fold costs what the whole apiary costs. */
const FOLD_AFTER = 12_000;

/**
 * The present records of operations, in memory, with the revision that they belong to; read again when another process has
 * raised it. Older readings and visits stay in the tables; visits that grow old meanwhile go at the next reading.
 */
export class KeptRecords {
  private readonly kept = new Map<string, Kept>();

  /** Keeps what is newer than what is kept. */
  keep(operationId: string, now: Kept): void {
    const kept = this.kept.get(operationId);
    if (!kept || kept.revision <= now.revision) this.kept.set(operationId, now);
  }

  /** Lets go of an operation that another has taken the place of. */
  forget(operationId: string): void {
    this.kept.delete(operationId);
  }

  /** What is kept of a revision, with changes that are not yet folded in; few of them. */
  async at(em: EntityManager, operationId: string, revision: number): Promise<Kept> {
    const kept = this.kept.get(operationId);
    if (kept?.revision === revision && kept.later.length < FOLD_AFTER) return kept;
    return { ...(await this.presentAt(em, operationId, revision)), later: [] };
  }

  /** All of the present records. */
  async presentAt(em: EntityManager, operationId: string, revision: number): Promise<Present> {
    const kept = this.kept.get(operationId);
    if (kept?.revision === revision && kept.later.length === 0) return kept;
    const apiary =
      kept?.revision === revision ? applyChanges(kept.apiary, kept.later) : await loadApiary(em, operationId);
    const present = { revision, apiary };
    this.keep(operationId, { ...present, later: [] });
    return present;
  }

  /** The records after changes: readings that were replaced go, those that are shown again come back. */
  async after(
    em: EntityManager,
    operationId: string,
    { apiary, later }: { readonly apiary: Apiary; readonly later: readonly Change[] | null },
    changes: readonly Change[],
  ): Promise<Pick<Kept, 'apiary' | 'later'>> {
    const all = [...changes, ...replacedReadings(changes)];
    // What was decided on what is near brings its readings along.
    if (later !== null) return { apiary, later: [...later, ...all] };
    const next = applyChanges(apiary, all);
    const missing = changes.flatMap((c) =>
      c.kind === 'frame' && c.after?.readingId && !next.reading[c.after.readingId] ? [c.after.readingId] : [],
    );
    return { apiary: await this.withReadings(em, operationId, next, missing), later: [] };
  }

  /** The apiary with visits that are in the tables only. */
  async withVisits(
    em: EntityManager,
    operationId: string,
    apiary: Apiary,
    ids: readonly string[],
  ): Promise<Apiary> {
    return this.withOlder(em, operationId, apiary, 'visit', ids);
  }

  /** The apiary with older readings that are in the tables only, and the visits on which they were read. */
  async withReadings(
    em: EntityManager,
    operationId: string,
    apiary: Apiary,
    ids: readonly string[],
  ): Promise<Apiary> {
    const next = await this.withOlder(em, operationId, apiary, 'reading', ids);
    return this.withVisits(
      em,
      operationId,
      next,
      ids.flatMap((id) => next.reading[id]?.visitId ?? []),
    );
  }

  private async withOlder(
    em: EntityManager,
    operationId: string,
    apiary: Apiary,
    kind: 'reading' | 'visit',
    ids: readonly string[],
  ): Promise<Apiary> {
    const additions: Change[] = [];
    for (const id of new Set(ids)) {
      const after = apiary[kind][id] ? undefined : await loadRecord(em, operationId, kind, id);
      if (after) additions.push({ kind, id, before: null, after } as Change);
    }
    return additions.length > 0 ? applyChanges(apiary, additions) : apiary;
  }
}

/** Readings that the changes put newer ones in the place of: they stay in the tables, not in memory. */
function replacedReadings(changes: readonly Change[]): Change[] {
  return changes.flatMap((c): Change[] => {
    if (c.kind !== 'frame' || !c.before?.readingId || c.before.readingId === c.after?.readingId) return [];
    return [{ kind: 'reading', id: c.before.readingId, before: null, after: null }];
  });
}
