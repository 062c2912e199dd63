import { randomUUID } from 'node:crypto';
import { addDays } from '@incremen/core/basics';
import type { Bundle } from '@incremen/core/formats';
import { largeYard } from './largeYard.ts';

/** So many colonies are made by commands; more are copies of them under identifiers of their own. */
const MADE = 50;

function manyColonies(colonies: number, operationId: string): Bundle {
  const file = largeYard(Math.min(colonies, MADE), operationId);
  const text = JSON.stringify(file.records);
  for (let copy = 1; copy < colonies / MADE; copy++) {
    const own = text.replaceAll(/"([0-9a-f]{8})(-[0-9a-f-]{27})"/g, (id, first: string, rest: string) =>
      id.includes(operationId)
        ? id
        : `"${((parseInt(first, 16) ^ copy) >>> 0).toString(16).padStart(8, '0')}${rest}"`,
    );
    const { operation: _one, ...records } = JSON.parse(own) as Bundle['records'];
    for (const [kind, more] of Object.entries(records))
      (file.records[kind as keyof Bundle['records']] as unknown[]).push(...more);
  }
  return file;
}

/** A large yard that has been counted over and over, as the text of its file: older readings stay in its history. */
export function* countedOften(colonies: number, counts: number, operationId: string): Generator<string> {
  const file = manyColonies(colonies, operationId);
  const { visit, reading, ...rest } = file.records;
  const older = [...Array(counts).keys()].map((n) => ({
    n,
    ids: new Map(visit.map((v) => [v.id, n === 0 ? v.id : randomUUID()])),
  }));
  const listed = function* <T>(records: Iterable<T>) {
    let first = true;
    for (const record of records) {
      yield `${first ? '' : ',\n'}${JSON.stringify(record)}`;
      first = false;
    }
  };
  yield `{"format":"incremen-apiary","version":${file.version},"records":{`;
  for (const [kind, records] of Object.entries(rest)) yield `"${kind}":${JSON.stringify(records)},\n`;
  yield '"visit":[';
  yield* listed(visits());
  yield '],"reading":[';
  yield* listed(readings());
  yield '] },"journal":[],"photoContents":[]}';

  function* visits(): Generator<Bundle['records']['visit'][number]> {
    for (const { n, ids } of older)
      for (const v of visit) yield { ...v, id: ids.get(v.id) ?? v.id, day: addDays(v.day, -n) };
  }
  function* readings(): Generator<Bundle['records']['reading'][number]> {
    for (const { n, ids } of older)
      for (const r of reading) {
        const visitId = r.visitId === null ? null : (ids.get(r.visitId) ?? null);
        yield { ...r, id: n === 0 ? r.id : randomUUID(), visitId, day: addDays(r.day, -n) };
      }
  }
}
