import { z } from 'zod';
import {
  changeSchema,
  type Change,
  emptyApiary,
  RECORD_KINDS,
  RECORD_SCHEMAS,
  type AnyRecord,
  type Apiary,
} from '../records/index.ts';
import { failure, success, type Problem, type Result } from '../basics/index.ts';
import { conservationProblems } from '../decide/index.ts';
import { danglingReferences } from './references.ts';
import { shapeProblems } from './shapeProblems.ts';
import { soundnessProblems } from './soundness.ts';
import { bundleOfVersionOne } from './versionOne/bundleOfVersionOne.ts';

/** One line of the journal: what was asked, when, and what it changed. */
export const journalEntry = z.strictObject({
  id: z.uuid(),
  /** Position in the journal, from 1. */
  seq: z.int().min(1),
  /** When the client made the command and when it was carried out, as instants in UTC. */
  madeAt: z.iso.datetime(),
  doneAt: z.iso.datetime(),
  type: z.string(),
  summary: z.string(),
  /** Who did it, by name; left out for the machine itself, and for what was done before there were accounts. */
  by: z.string().max(120).optional(),
  /** The entry that took this one back, if any. */
  undoneBy: z.uuid().nullable(),
  body: z.strictObject({ v: z.literal(1), changes: z.array(changeSchema) }),
});
export interface JournalEntry {
  readonly id: string;
  readonly seq: number;
  readonly madeAt: string;
  readonly doneAt: string;
  readonly type: string;
  readonly summary: string;
  readonly by?: string | undefined;
  readonly undoneBy: string | null;
  readonly body: { readonly v: 1; readonly changes: readonly Change[] };
}

/** Version of the file format. A change of shape raises it and adds a migration beside this file. */
export const BUNDLE_VERSION = 2;

/** The picture of a photo record, as the bytes of its media type. */
export const photoContent = z.strictObject({ id: z.uuid(), base64: z.base64() });
export type PhotoContent = z.infer<typeof photoContent>;

/** A whole operation in one file. */
export const bundle = z.strictObject({
  format: z.literal('incremen-apiary'),
  version: z.literal(BUNDLE_VERSION),
  records: z.strictObject(
    Object.fromEntries(RECORD_KINDS.map((k) => [k, z.array(RECORD_SCHEMAS[k]).default([])])) as {
      [K in keyof typeof RECORD_SCHEMAS]: z.ZodDefault<z.ZodArray<(typeof RECORD_SCHEMAS)[K]>>;
    },
  ),
  journal: z.array(journalEntry),
  /** The pictures themselves, by the id of their photo record. */
  photoContents: z.array(photoContent).default([]),
});
export type Bundle = z.infer<typeof bundle>;

/** Writes an apiary and its journal as a bundle, in an order that does not depend on how they were kept. */
export function toBundle(
  apiary: Apiary,
  journal: readonly JournalEntry[],
  photoContents: readonly PhotoContent[] = [],
): Bundle {
  const records = Object.fromEntries(
    RECORD_KINDS.map((k) => [
      k,
      Object.values<AnyRecord>(apiary[k]).toSorted((a, b) => (a.id < b.id ? -1 : 1)),
    ]),
  ) as unknown as Bundle['records'];
  return {
    format: 'incremen-apiary',
    version: BUNDLE_VERSION,
    records,
    journal: journal.toSorted((a, b) => a.seq - b.seq) as Bundle['journal'],
    photoContents: photoContents.toSorted((a, b) => (a.id < b.id ? -1 : 1)),
  };
}

/** What a file holds once it has been found sound. */
export interface BundleContent {
  readonly apiary: Apiary;
  readonly journal: readonly JournalEntry[];
  readonly photoContents: readonly PhotoContent[];
}

/**
 * Reads a bundle: checks the shape, then that records refer to records that are there and that frames are
 * in one place each. Nothing is taken over unless all of it is sound.
 */
export function fromBundle(input: unknown): Result<BundleContent> {
  const current = ofThisVersion(input);
  if (!current.ok) return current;
  const parsed = bundle.safeParse(current.value);
  if (!parsed.success) return failure(...shapeProblems(parsed.error));
  const apiary = emptyApiary() as { [K in keyof Apiary]: Record<string, AnyRecord> };
  const problems: Problem[] = [];
  for (const kind of RECORD_KINDS) {
    parsed.data.records[kind].forEach((record: AnyRecord, i: number) => {
      if (apiary[kind][record.id]) {
        problems.push(
          unsound(['records', kind, i, 'id'], `The id ${record.id} stands twice among ${kind} records.`),
        );
      }
      apiary[kind][record.id] = record;
    });
  }
  if (parsed.data.records.operation.length !== 1) {
    problems.push(unsound(['records', 'operation'], 'A file holds exactly one operation.'));
  }
  const whole = apiary as unknown as Apiary;
  problems.push(...wholeProblems(whole));
  if (problems.length > 0) return failure(...problems.slice(0, 20));
  return success({
    apiary: whole,
    journal: parsed.data.journal as readonly JournalEntry[],
    photoContents: parsed.data.photoContents,
  });
}

/** What is wrong with records that are sound one by one: they refer to what is not there, or a comb is in two places. */
export function wholeProblems(apiary: Apiary): Problem[] {
  const dangling = danglingReferences(apiary);
  const asChanges = Object.values(apiary.frame).map(
    (f) => ({ kind: 'frame', id: f.id, before: null, after: f }) as Change,
  );
  return [
    ...dangling,
    ...(dangling.length === 0 ? soundnessProblems(apiary) : []),
    ...conservationProblems(apiary, asChanges),
  ];
}

/** A file of an older version is brought up to this one; of a newer one nothing is taken. */
function ofThisVersion(input: unknown): Result<unknown> {
  if (typeof input !== 'object' || input === null || !('version' in input)) return success(input);
  const { version } = input;
  if (version === BUNDLE_VERSION) return success(input);
  if (version === 1) {
    try {
      return success(bundleOfVersionOne(input));
    } catch (error) {
      if (error instanceof z.ZodError) return failure(...shapeProblems(error));
      throw error;
    }
  }
  return failure({
    code: 'bundle-version',
    path: ['version'],
    message: `This file has version ${String(version)}; this Incremen reads versions 1 to ${BUNDLE_VERSION}.`,
    remedy: 'Update Incremen, or export the file again with this version.',
  });
}

const unsound = (path: Problem['path'], message: string): Problem => ({
  code: 'bundle-unsound',
  path,
  message,
  remedy: 'Make the backup again; if the file was edited by hand, correct this place.',
});
