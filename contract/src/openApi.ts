import { bundle } from '@incremen/core/formats';
import { RECORD_KINDS } from '@incremen/core/records';
import { z } from 'zod';
import { commandEnvelope, commandResult, undoRequest } from './commands.ts';
import { journalPage } from './journal.ts';
import { operationSummary } from './operations.ts';
import { API_PATHS } from './paths.ts';
import { problemDocument } from './problem.ts';

type Method = 'get' | 'put' | 'post';

interface Call {
  readonly method: Method;
  readonly path: string;
  readonly what: string;
  readonly asks?: string;
  readonly answers: Readonly<Record<number, { readonly what: string; readonly body?: string }>>;
  readonly query?: readonly { readonly name: string; readonly what: string }[];
}

/** A record: which fields each kind has is in the published schema of the backup. */
const anyRecord = z
  .record(z.string(), z.unknown())
  .meta({ description: 'A record of this kind, as in docs/schema of the backup.' });
const records = z.partialRecord(z.enum(RECORD_KINDS), z.array(anyRecord));
const snapshot = z.strictObject({ revision: z.int(), records });
const result = commandResult.extend({
  changes: z.array(
    z.strictObject({
      kind: z.enum(RECORD_KINDS),
      id: z.uuid(),
      before: anyRecord.nullable(),
      after: anyRecord.nullable(),
    }),
  ),
});
const backup = z
  .strictObject({
    format: bundle.shape.format,
    version: bundle.shape.version,
    records,
    journal: z.array(anyRecord),
    photoContents: bundle.shape.photoContents,
  })
  .meta({ description: 'A backup. Its full JSON Schema is published beside this document.' });

const SCHEMAS = {
  OperationSummaries: z.array(operationSummary),
  Snapshot: snapshot,
  CommandEnvelope: commandEnvelope,
  CommandResult: result,
  UndoRequest: undoRequest,
  JournalPage: journalPage,
  Bundle: backup,
  Problem: problemDocument,
} as const;

const OP = '{op}';
const CALLS: readonly Call[] = [
  {
    method: 'get',
    path: API_PATHS.operations(),
    what: 'The operations that the server keeps.',
    answers: { 200: { what: 'The operations, by name.', body: 'OperationSummaries' } },
  },
  {
    method: 'get',
    path: API_PATHS.snapshot(OP),
    what: 'All records of an operation as they are now; of each frame the latest reading.',
    answers: { 200: { what: 'The records and their revision.', body: 'Snapshot' } },
  },
  {
    method: 'post',
    path: API_PATHS.commands(OP),
    what: 'Asks for something to be done. Sent again under its id, it is done once.',
    asks: 'CommandEnvelope',
    answers: {
      200: { what: 'It had been done before.', body: 'CommandResult' },
      201: { what: 'Done, with every record that changed.', body: 'CommandResult' },
      409: { what: 'Something has changed meanwhile.', body: 'Problem' },
      422: { what: 'It cannot be; each entry names the field and the remedy.', body: 'Problem' },
    },
  },
  {
    method: 'post',
    path: API_PATHS.undo(OP),
    what: 'Takes an entry of the journal back, while nothing has built on it.',
    asks: 'UndoRequest',
    answers: {
      201: { what: 'Undone.', body: 'CommandResult' },
      409: { what: 'A record that it touched has been changed since.', body: 'Problem' },
    },
  },
  {
    method: 'get',
    path: API_PATHS.journal(OP),
    what: 'What was done, latest first, a page at a time.',
    query: [{ name: 'before', what: 'The place in the journal before which the page ends.' }],
    answers: { 200: { what: 'A page of the journal.', body: 'JournalPage' } },
  },
  {
    method: 'get',
    path: API_PATHS.bundle(OP),
    what: 'Every record and the journal as JSON, without the pictures.',
    answers: { 200: { what: 'The records.', body: 'Bundle' } },
  },
  {
    method: 'get',
    path: API_PATHS.backup(OP),
    what: 'Everything as a ZIP archive: apiary.json, and each picture as a file of its own in photos/.',
    answers: { 200: { what: 'The backup.' } },
  },
  {
    method: 'put',
    path: API_PATHS.backup(OP),
    what: 'Puts a backup, the archive or its JSON, in the place of what is there: all of it or nothing.',
    answers: {
      200: { what: 'Restored.' },
      422: { what: 'The file is not sound; nothing was changed.', body: 'Problem' },
    },
  },
  {
    method: 'put',
    path: API_PATHS.bundle(OP),
    what: 'The same as a restore at the address of the archive.',
    asks: 'Bundle',
    answers: {
      200: { what: 'Restored.' },
      422: { what: 'The file is not sound; nothing was changed.', body: 'Problem' },
    },
  },
];

const bodyOf = (name: string) => ({
  content: { 'application/json': { schema: { $ref: `#/components/schemas/${name}` } } },
});

/** The HTTP API as an OpenAPI 3.1 document, made of the schemas that the server itself checks by. */
export function openApi(): Record<string, unknown> {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const { method, path, what, asks, answers, query = [] } of CALLS) {
    const ofOperation = path.includes(OP);
    (paths[path] ??= {})[method] = {
      summary: what,
      parameters: [
        ...(ofOperation
          ? [
              {
                name: 'op',
                in: 'path',
                required: true,
                description: 'The operation, by its id.',
                schema: { type: 'string', format: 'uuid' },
              },
            ]
          : []),
        ...query.map((q) => ({
          name: q.name,
          in: 'query',
          required: false,
          description: q.what,
          schema: { type: 'integer', minimum: 1 },
        })),
      ],
      ...(asks && { requestBody: { required: true, ...bodyOf(asks) } }),
      responses: Object.fromEntries(
        Object.entries(answers).map(([status, { what: means, body }]) => [
          status,
          { description: means, ...(body && bodyOf(body)) },
        ]),
      ),
    };
  }
  const schemas = Object.fromEntries(
    Object.entries(SCHEMAS).map(([name, schema]) => {
      const { $schema: _dialect, ...rest } = z.toJSONSchema(schema, {
        target: 'draft-2020-12',
        io: 'input',
      }) as Record<string, unknown>;
      return [name, rest];
    }),
  );
  return {
    openapi: '3.1.0',
    info: {
      title: 'Incremen',
      version: '2',
      description:
        'Records of an apiary: read as a whole, changed by commands. Days are calendar days, amounts of comb are tenths of a side.',
    },
    paths,
    components: { schemas },
  };
}
