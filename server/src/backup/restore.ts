import type { Problem } from '@incremen/core/basics';
import {
  bundleItem,
  BUNDLE_VERSION,
  contentProblems,
  danglingOf,
  fromBundle,
  wholeProblems,
  type BundleItem,
  type JournalEntry,
} from '@incremen/core/formats';
import {
  emptyApiary,
  RECORD_KINDS,
  type AnyRecord,
  type Apiary,
  type Operation,
  type Reading,
  type RecordKind,
  type Visit,
} from '@incremen/core/records';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { json } from 'node:stream/consumers';
import { insertRecords } from '../db/apiaryRows.ts';
import { JournalEntity } from '../db/entities.ts';
import { takeInPhoto } from '../photos/photoContents.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import { openBackup, type BackupFile } from './archive.ts';
import { bundleItems, type FoundItem } from './bundleItems.ts';
import { replaceOperation, type Restored } from './replaceOperation.ts';

/** More problems than this are not listed. */
const MOST_LISTED = 20;
/** Rows that are held before they are written. */
const BATCH = 100;

/**
 * Takes a backup in from a file: an archive, or JSON on its own. Years of counts never stand in memory: the file is
 * read twice, first for what stands in the yard now, then for every visit, reading and line of the journal, which are
 * checked one by one and written as they come.
 *
 * @throws ProblemError 400 or 422 when the file is not sound; nothing is changed then
 */
export async function restoreFile(orm: MikroORM, path: string, replace: string | null): Promise<Restored> {
  const file = await openBackup(path);
  try {
    const { version, apiary } = await readPresent(file);
    if (version !== BUNDLE_VERSION) return await restoreBundle(orm, await json(await file.json()), replace);
    const operation = onlyOperation(apiary);
    return await replaceOperation(orm, operation, replace, async (em) => {
      for (const kind of RECORD_KINDS)
        if (kind !== 'operation' && kind !== 'visit')
          await insertRecords(em, operation.id, kind, Object.values(apiary[kind]));
      await fillHistory(em, file, operation.id, apiary);
      refuseIf(wholeProblems(apiary as Apiary));
      for await (const { id, content } of file.pictures()) await takeInPhoto(em, operation.id, id, content);
    });
  } finally {
    file.close();
  }
}

/** Takes in a file that is in memory already, as one of an older version must be. @throws ProblemError 422 */
export async function restoreBundle(
  orm: MikroORM,
  bundle: unknown,
  replace: string | null,
): Promise<Restored> {
  const read = fromBundle(bundle);
  if (!read.ok) throw unsoundFile(read.problems);
  const { apiary, journal, photoContents } = read.value;
  const operation = onlyOperation(apiary as Draft);
  return replaceOperation(orm, operation, replace, async (em) => {
    for (const kind of RECORD_KINDS)
      if (kind !== 'operation') await insertRecords(em, operation.id, kind, Object.values(apiary[kind]));
    await insertJournal(em, operation.id, journal);
    for (const { id, base64 } of photoContents)
      await takeInPhoto(em, operation.id, id, Buffer.from(base64, 'base64'));
  });
}

type Draft = { [K in RecordKind]: Record<string, AnyRecord> };

/** Everything of a file that is no reading: it is as large as the yard, not as long as its history. */
async function readPresent(file: BackupFile): Promise<{ version: unknown; apiary: Draft }> {
  const apiary = emptyApiary() as unknown as Draft;
  const problems: Problem[] = [];
  let version: unknown = BUNDLE_VERSION;
  for await (const found of bundleItems(await file.json())) {
    for (const { place, value } of found) {
      if (place.section === 'version') version = value;
      if (place.kind === 'reading' || place.section === 'journal' || place.section === 'photoContents')
        continue;
      if (place.at === null && (place.section === 'version' || isFormat(place.section, value))) continue;
      const item = bundleItem(place, value);
      if (!item.ok) problems.push(...item.problems);
      else if (item.value.is === 'record') problems.push(...enter(apiary, inShort(item.value)));
    }
    // Another version has another shape: what is wrong with it is told by those who know it.
    if (version !== BUNDLE_VERSION) return { version, apiary };
    if (problems.length >= MOST_LISTED) break;
  }
  refuseIf(problems);
  return { version, apiary };
}

/** A visit is kept without what was said on it: there are as many as there were inspections. They are written in the second reading. */
const inShort = (item: BundleItem & { is: 'record' }): BundleItem & { is: 'record' } =>
  item.kind === 'visit'
    ? { ...item, record: { ...(item.record as Visit), evidence: null, conditions: null, note: '' } }
    : item;

const isFormat = (section: string, value: unknown): boolean =>
  section === 'format' && value === 'incremen-apiary';

function enter(apiary: Draft, item: BundleItem & { is: 'record' }): Problem[] {
  const { kind, record } = item;
  if (apiary[kind][record.id]) {
    return [unsound(['records', kind, record.id], `The id ${record.id} stands twice among ${kind} records.`)];
  }
  apiary[kind][record.id] = record;
  return [];
}

/**
 * Readings, journal and pictures inside the JSON, written as they come. Readings that a frame shows join the apiary,
 * so that the whole can be judged.
 */
async function fillHistory(
  em: EntityManager,
  file: BackupFile,
  operationId: string,
  apiary: Draft,
): Promise<void> {
  const shown = new Set(Object.values((apiary as unknown as Apiary).frame).flatMap((f) => f.readingId ?? []));
  const problems: Problem[] = [];
  let readings: Reading[] = [];
  let visits: Visit[] = [];
  let entries: JournalEntry[] = [];
  const write = async () => {
    await insertRecords(em, operationId, 'visit', visits);
    await insertRecords(em, operationId, 'reading', readings);
    await insertJournal(em, operationId, entries);
    readings = [];
    visits = [];
    entries = [];
  };
  for await (const found of bundleItems(await file.json())) {
    for (const item of historyIn(found, problems)) {
      if (item.is === 'journal') entries.push(item.entry);
      else if (item.is === 'photo')
        await takeInPhoto(em, operationId, item.photo.id, Buffer.from(item.photo.base64, 'base64'));
      else if (item.kind === 'visit') visits.push(item.record as Visit);
      else {
        const reading = item.record as Reading;
        if (shown.has(reading.id)) problems.push(...enter(apiary, item));
        else
          problems.push(
            ...contentProblems(reading),
            ...danglingOf(apiary as unknown as Apiary, 'reading', reading),
          );
        readings.push(reading);
      }
    }
    if (problems.length >= MOST_LISTED) break;
    if (problems.length === 0 && readings.length + visits.length + entries.length >= BATCH) await write();
  }
  refuseIf(problems);
  await write();
}

function* historyIn(found: readonly FoundItem[], problems: Problem[]): Generator<BundleItem> {
  for (const { place, value } of found) {
    const isHistory =
      place.kind === 'reading' ||
      place.kind === 'visit' ||
      place.section === 'journal' ||
      place.section === 'photoContents';
    if (!isHistory) continue;
    const item = bundleItem(place, value);
    if (item.ok) yield item.value;
    else problems.push(...item.problems);
  }
}

async function insertJournal(
  em: EntityManager,
  operationId: string,
  journal: readonly JournalEntry[],
): Promise<void> {
  for (let i = 0; i < journal.length; i += BATCH / 2) {
    await em.insertMany(
      JournalEntity,
      journal.slice(i, i + BATCH / 2).map((e) => ({
        ...e,
        by: e.by ?? null,
        digest: null,
        operationId,
        madeAt: new Date(e.madeAt),
        doneAt: new Date(e.doneAt),
        body: e.body as never,
      })),
    );
  }
}

function onlyOperation(apiary: Draft): Operation {
  const [operation, ...more] = Object.values(apiary.operation) as Operation[];
  if (!operation || more.length > 0)
    throw unsoundFile([unsound(['records', 'operation'], 'A file holds exactly one operation.')]);
  return operation;
}

function refuseIf(problems: readonly Problem[]): void {
  if (problems.length > 0) throw unsoundFile(problems.slice(0, MOST_LISTED));
}

const unsoundFile = (problems: readonly Problem[]): ProblemError =>
  new ProblemError(422, 'unsound-file', 'This file cannot be taken in. Nothing was changed.', problems);

const unsound = (path: Problem['path'], message: string): Problem => ({
  code: 'bundle-unsound',
  path,
  message,
  remedy: 'Make the backup again; if the file was edited by hand, correct this place.',
});
