import {
  API_PATHS,
  problemDocument,
  type CommandEnvelope,
  type CommandResult,
  type JournalPage,
  type OperationSummary,
  type ProblemDocument,
  type Snapshot,
} from '@incremen/contract';

/** An answer that was not the one hoped for: a problem document, or no answer at all. */
export class ApiError extends Error {
  readonly problem: ProblemDocument;
  /** True when the server could not be reached, so that trying again makes sense. */
  readonly offline: boolean;

  constructor(problem: ProblemDocument, offline = false) {
    super(problem.title);
    this.name = 'ApiError';
    this.problem = problem;
    this.offline = offline;
  }
}

const OFFLINE: ProblemDocument = {
  type: '/problems/offline',
  title: 'The server cannot be reached.',
  status: 0,
  detail: 'Nothing was changed. Check that Incremen is running, then try again.',
  errors: [],
};

async function ask<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      ...(body === undefined
        ? {}
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    });
  } catch {
    throw new ApiError(OFFLINE, true);
  }
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return answer as T;
  const parsed = problemDocument.safeParse(answer);
  throw new ApiError(
    parsed.success
      ? parsed.data
      : {
          ...OFFLINE,
          type: '/problems/unreadable',
          title: 'The server gave an answer that makes no sense.',
          status: response.status,
        },
  );
}

/** The server's API. */
export const api = {
  operations: () => ask<OperationSummary[]>('GET', API_PATHS.operations()),
  snapshot: (op: string) => ask<Snapshot>('GET', API_PATHS.snapshot(op)),
  command: (op: string, envelope: CommandEnvelope) =>
    ask<CommandResult>('POST', API_PATHS.commands(op), envelope),
  undo: (op: string, request: { id: string; madeAt: string; entryId: string }) =>
    ask<CommandResult>('POST', API_PATHS.undo(op), request),
  journal: (op: string, before: number | null) =>
    ask<JournalPage>('GET', API_PATHS.journal(op) + (before === null ? '' : `?before=${before}`)),
  importBundle: (op: string, file: unknown) =>
    ask<{ operationId: string }>('PUT', API_PATHS.bundle(op), file),
};
