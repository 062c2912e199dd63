import { mkdirSync } from 'node:fs';
import type { RequestHandler } from 'express';
import { pino, type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { createStream } from 'rotating-file-stream';
import { personOf } from '../access/identify.ts';

/** Nothing is written: for tests and tools. */
export const SILENT: Logger = pino({ enabled: false });

/** How much is kept: five files of five megabytes, the newest last, whatever is started and stopped. */
const KEPT = { size: '5M', maxFiles: 5 } as const;

/**
 * The log of the server: one JSON object a line, in a folder that outlives each start. Without a folder it goes to the
 * standard output.
 *
 * @param level - the least that is written, by the names of pino
 */
export function openLog(folder: string | null, level: string): Logger {
  const options = {
    level,
    base: { pid: process.pid },
    // What a secret may stand in is never written: headers, bodies and the part of an address after the question mark.
    redact: ['req.headers', 'res.headers', 'password', 'secret', 'token'],
  };
  if (folder === null) return pino(options);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  return pino(options, createStream('incremen.log', { path: folder, mode: 0o600, ...KEPT }));
}

/** Notes every request: what was asked, by whom, and how it ended. What fails here is an error, what is refused is not. */
export function noteRequests(log: Logger): RequestHandler {
  return pinoHttp({
    logger: log,
    autoLogging: { ignore: (req) => req.url === '/api/health' || req.url === '/api/ready' },
    customLogLevel: (_req, res, error) =>
      error || res.statusCode >= 500 ? 'error' : res.statusCode >= 400 ? 'warn' : 'debug',
    serializers: {
      req: (req: { method: string; url: string }) => ({ method: req.method, path: req.url.split('?')[0] }),
      res: (res: { statusCode: number }) => ({ status: res.statusCode }),
    },
    customProps: (_req, res) => {
      const person = personOf(res as never);
      // Asked once before anybody is known, and once at the end.
      return person === null ? {} : { by: person.kind };
    },
  }) as RequestHandler;
}
