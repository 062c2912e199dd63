import type { z } from 'zod';
import { failure, success, type Problem, type Result } from '../basics/index.ts';
import { RECORD_SCHEMAS, type AnyRecord, type RecordKind } from '../records/index.ts';
import { journalEntry, photoContent, type JournalEntry, type PhotoContent } from './bundle.ts';
import { shapeProblems } from './shapeProblems.ts';

/** Where a value stands in a backup: one record, one line of the journal, one picture, or the head. */
export interface BundlePlace {
  readonly section: string;
  /** The kind of record, inside `records`. */
  readonly kind: string | null;
  /** The place in its list; null outside of lists. */
  readonly at: number | null;
}

/** One value of a backup that was found to have its shape. */
export type BundleItem =
  | { readonly is: 'record'; readonly kind: RecordKind; readonly record: AnyRecord }
  | { readonly is: 'journal'; readonly entry: JournalEntry }
  | { readonly is: 'photo'; readonly photo: PhotoContent };

/**
 * Checks one value of a backup by itself, as strictly as the whole file is checked, so that a file need not be
 * held in memory.
 */
export function bundleItem(place: BundlePlace, value: unknown): Result<BundleItem> {
  const { section, kind, at } = place;
  const path = [section, ...(kind === null ? [] : [kind]), ...(at === null ? [] : [at])];
  if (at === null) return failure(misplaced(path));
  if (section === 'records' && kind !== null && kind in RECORD_SCHEMAS) {
    const known = kind as RecordKind;
    return shaped<AnyRecord>(RECORD_SCHEMAS[known], path, value, (record) => ({
      is: 'record',
      kind: known,
      record,
    }));
  }
  if (section === 'journal' && kind === null)
    return shaped<JournalEntry>(journalEntry, path, value, (entry) => ({ is: 'journal', entry }));
  if (section === 'photoContents' && kind === null)
    return shaped<PhotoContent>(photoContent, path, value, (photo) => ({ is: 'photo', photo }));
  return failure(misplaced(path));
}

function shaped<T>(
  schema: z.ZodType,
  path: readonly (string | number)[],
  value: unknown,
  item: (parsed: T) => BundleItem,
): Result<BundleItem> {
  const parsed = schema.safeParse(value);
  if (parsed.success) return success(item(parsed.data as T));
  return failure(...shapeProblems(parsed.error, path));
}

const misplaced = (path: Problem['path']): Problem => ({
  code: 'bundle-shape',
  path,
  message: 'A backup has nothing at this place.',
  remedy: 'Take it out of the file, or make the backup again.',
});
