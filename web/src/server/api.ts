import {
  API_PATHS,
  API_VERSION,
  problemDocument,
  VERSION_HEADER,
  type CommandEnvelope,
  type CommandResult,
  type JournalPage,
  type OlderVisits,
  type OperationSummary,
  type ProblemDocument,
  type Readings,
  type Snapshot,
  type WeatherReport,
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

/** A network that neither answers nor fails is given up after this long. */
const TIMEOUT_MS = 20_000;
/** A restore of years of counts takes its time. */
const RESTORE_TIMEOUT_MS = 3_600_000;

let clockOffsetMs = 0;

/** The server's clock less this device's, in milliseconds, as of the last answer. */
export function clockOffset(): number {
  return clockOffsetMs;
}

function noteClock(response: Response): void {
  const server = Date.parse(response.headers.get('date') ?? '');
  if (Number.isFinite(server)) clockOffsetMs = server - Date.now();
}

let apart: 'page-old' | 'server-old' | null = null;
const apartListeners = new Set<() => void>();

/** Whether this page and the server are of two versions, as of the last answer; for useSyncExternalStore. */
export const versionsApart = {
  subscribe: (tell: () => void) => {
    apartListeners.add(tell);
    return () => apartListeners.delete(tell);
  },
  which: () => apart,
};

function noteVersion(response: Response): void {
  const said = response.headers.get(VERSION_HEADER);
  if (said === null) return;
  const theirs = Number(said);
  const now = theirs === API_VERSION ? null : theirs > API_VERSION ? 'page-old' : 'server-old';
  if (now === apart) return;
  apart = now;
  for (const tell of apartListeners) tell();
}

async function ask<T>(
  method: string,
  path: string,
  body?: unknown,
  timeoutMs: number = TIMEOUT_MS,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      signal: AbortSignal.timeout(timeoutMs),
      headers: {
        [VERSION_HEADER]: String(API_VERSION),
        ...(body !== undefined && {
          'content-type': body instanceof Blob ? body.type || 'application/octet-stream' : 'application/json',
        }),
      },
      ...(body !== undefined && { body: body instanceof Blob ? body : JSON.stringify(body) }),
    });
  } catch {
    throw new ApiError(OFFLINE, true);
  }
  noteClock(response);
  noteVersion(response);
  if (response.status === 204) return undefined as T;
  // The server is there and cannot, as while its database starts: the same as away.
  if (response.status >= 500) throw new ApiError({ ...OFFLINE, status: response.status }, true);
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

/** For what is not asked at every start: the rooms that need them bring their own questions. */
export { ask };

/** The server's API. */
export const api = {
  /** The server is there and can work: whatever fails then fails by itself. */
  isReady: () =>
    ask<{ ready: boolean }>('GET', API_PATHS.ready()).then(
      ({ ready }) => ready,
      () => false,
    ),
  operations: () => ask<OperationSummary[]>('GET', API_PATHS.operations()),
  snapshot: (op: string) => ask<Snapshot>('GET', API_PATHS.snapshot(op)),
  command: (op: string, envelope: CommandEnvelope) =>
    ask<CommandResult>('POST', API_PATHS.commands(op), envelope),
  undo: (op: string, request: { id: string; madeAt: string; entryId: string }) =>
    ask<CommandResult>('POST', API_PATHS.undo(op), request),
  journal: (op: string, before: number | null) =>
    ask<JournalPage>('GET', API_PATHS.journal(op) + (before === null ? '' : `?before=${before}`)),
  putPhoto: (op: string, photoId: string, content: Blob) =>
    ask<undefined>('PUT', API_PATHS.photo(op, photoId), content),
  readingsOfColony: (op: string, colonyId: string) =>
    ask<Readings>('GET', `${API_PATHS.readings(op)}?colony=${colonyId}`),
  readingsAsOf: (op: string, day: string) => ask<Readings>('GET', `${API_PATHS.readings(op)}?asOf=${day}`),
  /** Visits that this device does not keep, of one colony or of all. */
  olderVisits: (op: string, colonyId: string | null) =>
    ask<OlderVisits>('GET', API_PATHS.visits(op) + (colonyId === null ? '' : `?colony=${colonyId}`)),
  weather: (op: string, day: string, hour: number) =>
    ask<WeatherReport>('GET', `${API_PATHS.weather(op)}?day=${day}&hour=${hour}`),
  restore: (op: string, file: Blob) =>
    ask<{ operationId: string; picturesMissing: number }>(
      'PUT',
      API_PATHS.backup(op),
      file,
      RESTORE_TIMEOUT_MS,
    ),
};
