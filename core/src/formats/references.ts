import type { Problem } from '../basics/index.ts';
import { RECORD_KINDS, type AnyRecord, type Apiary, type RecordKind } from '../records/index.ts';

/** Single references from one kind of record to another, by field. */
const REFERENCES: readonly [keyof Apiary, string, keyof Apiary][] = [
  ['stand', 'yardId', 'yard'],
  ['hive', 'standId', 'stand'],
  ['box', 'hiveId', 'hive'],
  ['colony', 'hiveId', 'hive'],
  ['frame', 'boxId', 'box'],
  ['frame', 'readingId', 'reading'],
  ['visit', 'colonyId', 'colony'],
  ['reading', 'visitId', 'visit'],
  ['reading', 'frameId', 'frame'],
  ['reading', 'boxId', 'box'],
  ['photo', 'visitId', 'visit'],
  ['workStep', 'workId', 'work'],
  ['followUp', 'workId', 'work'],
  ['cell', 'frameId', 'frame'],
  ['given', 'colonyId', 'colony'],
  ['event', 'colonyId', 'colony'],
];

/** References of one record to records that are not there. */
export function danglingOf(apiary: Apiary, kind: RecordKind, record: AnyRecord): Problem[] {
  const fields = record as unknown as Readonly<Record<string, unknown>>;
  return REFERENCES.flatMap(([from, field, target]) => {
    const to = fields[field];
    if (from !== kind || typeof to !== 'string' || apiary[target][to]) return [];
    return [
      {
        code: 'bundle-unsound' as const,
        path: ['records', kind, record.id, field],
        message: `It refers to a ${target} that is not in the file (${to}).`,
        remedy: 'Make the backup again; if the file was edited by hand, correct this place.',
      },
    ];
  });
}

/** References to records that are not there, of all records. */
export const danglingReferences = (apiary: Apiary): Problem[] =>
  RECORD_KINDS.flatMap((kind) =>
    Object.values<AnyRecord>(apiary[kind]).flatMap((record) => danglingOf(apiary, kind, record)),
  );
