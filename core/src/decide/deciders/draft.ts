import equal from 'fast-deep-equal';
import type { Problem, ProblemCode } from '../../basics/index.ts';
import {
  applyChanges,
  type Change,
  kindInWords,
  type Apiary,
  type RecordKind,
  type RecordOf,
} from '../../records/index.ts';

/**
 * An apiary being changed by one command.
 *
 * Reads see the writes made so far. Nothing outside notices before the command has succeeded as a whole.
 */
export class Draft {
  readonly problems: Problem[] = [];
  private readonly touched = new Map<string, Change>();
  private readonly base: Apiary;
  private merged: Apiary;
  private stale = false;

  constructor(base: Apiary) {
    this.base = base;
    this.merged = base;
  }

  /** The apiary with all writes so far. */
  get apiary(): Apiary {
    if (this.stale) {
      this.merged = applyChanges(this.base, [...this.touched.values()]);
      this.stale = false;
    }
    return this.merged;
  }

  /** A record as it now is. */
  get<K extends RecordKind>(kind: K, id: string): RecordOf<K> | undefined {
    const change = this.touched.get(`${kind}/${id}`);
    if (change) return (change.after ?? undefined) as RecordOf<K> | undefined;
    return this.base[kind][id] as RecordOf<K> | undefined;
  }

  /** Writes a record, new or changed. */
  put<K extends RecordKind>(kind: K, record: RecordOf<K>): void {
    this.write(kind, record.id, record);
  }

  /** Takes a record away. */
  remove(kind: RecordKind, id: string): void {
    this.write(kind, id, null);
  }

  /** Writes a record that must be new; a used identifier is a problem. */
  add<K extends RecordKind>(kind: K, record: RecordOf<K>, path: Problem['path']): void {
    if (this.get(kind, record.id) !== undefined) {
      this.problem(
        'id-taken',
        path,
        `There already is a ${kindInWords(kind)} with the id ${record.id}.`,
        'Make a new id.',
      );
      return;
    }
    this.put(kind, record);
  }

  /** A record that must exist; when it does not, notes the problem and returns undefined. */
  need<K extends RecordKind>(kind: K, id: string, path: Problem['path']): RecordOf<K> | undefined {
    const record = this.get(kind, id);
    if (record === undefined) {
      this.problem(
        'unknown-id',
        path,
        `There is no ${kindInWords(kind)} with the id ${id}.`,
        'Reload; it may have been removed on another device.',
      );
    }
    return record;
  }

  /** Notes something wrong; the command will fail as a whole. */
  problem(code: ProblemCode, path: Problem['path'], message: string, remedy: string): void {
    this.problems.push({ code, path, message, remedy });
  }

  /** All changes, leaving out those that came to nothing. */
  changes(): Change[] {
    return [...this.touched.values()].filter((c) => !equal(c.before, c.after));
  }

  private write(kind: RecordKind, id: string, after: RecordOf<RecordKind> | null): void {
    const key = `${kind}/${id}`;
    const before = this.touched.get(key)?.before ?? this.base[kind][id] ?? null;
    this.touched.set(key, { kind, id, before, after } as Change);
    this.stale = true;
  }
}
