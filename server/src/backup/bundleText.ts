import { BUNDLE_VERSION, type JournalEntry } from '@incremen/core/formats';
import { RECORD_KINDS } from '@incremen/core/records';
import type { EntityManager } from '@mikro-orm/postgresql';
import { JournalEntity, RECORD_ENTITIES } from '../db/entities.ts';
import { scope, toRecord } from '../db/apiaryRows.ts';

/** Rows that are held at once while a file is written. */
const PAGE = 1000;

/**
 * The JSON of a whole operation, piece by piece, every reading and the journal included: no more than a page of rows
 * is held at once. Records stand by their ids, so that the same records make the same file.
 */
export async function* bundleText(em: EntityManager, operationId: string): AsyncGenerator<string> {
  yield `{"format":"incremen-apiary","version":${BUNDLE_VERSION},"records":{`;
  for (const [n, kind] of RECORD_KINDS.entries()) {
    yield `${n > 0 ? ',' : ''}\n${JSON.stringify(kind)}:[`;
    yield* listed(pagesBy(em, RECORD_ENTITIES[kind], 'id', scope(kind, operationId)), (row) =>
      toRecord(kind, row),
    );
    yield ']';
  }
  yield '},\n"journal":[';
  yield* listed(pagesBy(em, JournalEntity, 'seq', { operationId }), toEntry);
  // The pictures are files of their own, beside this one.
  yield '],\n"photoContents":[]}\n';
}

type Row = Record<string, unknown>;

async function* listed(pages: AsyncIterable<readonly Row[]>, toValue: (row: Row) => unknown) {
  let first = true;
  for await (const rows of pages) {
    const lines = rows.map((row) => JSON.stringify(toValue(row))).join(',\n');
    yield `${first ? '\n' : ',\n'}${lines}`;
    first = false;
  }
}

/** Rows in the order of a unique column, a page at a time. */
async function* pagesBy(em: EntityManager, entity: unknown, column: string, where: Row) {
  let after: unknown = null;
  for (;;) {
    const rows = await em.find<Row>(
      entity as never,
      (after === null ? where : { ...where, [column]: { $gt: after } }) as never,
      { orderBy: { [column]: 'asc' }, limit: PAGE, disableIdentityMap: true } as never,
    );
    if (rows.length > 0) yield rows;
    if (rows.length < PAGE) return;
    after = rows.at(-1)?.[column];
  }
}

function toEntry(row: Row): JournalEntry {
  const {
    operationId: _op,
    digest: _digest,
    madeAt,
    doneAt,
    by,
    ...rest
  } = row as Row & { madeAt: Date; doneAt: Date };
  return {
    ...rest,
    madeAt: madeAt.toISOString(),
    doneAt: doneAt.toISOString(),
    ...(typeof by === 'string' && { by }),
  } as unknown as JournalEntry;
}
