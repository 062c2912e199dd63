import { EventEmitter } from 'node:events';
import type { News } from '@incremen/contract';
import type { RequestHandler, Response } from 'express';
import { z } from 'zod';
import { parseRequest } from '../problems/errorHandler.ts';
import type { OperationStore } from './OperationStore.ts';

/** A silent connection is given up by proxies and phones; a word now and then keeps it. */
const HEARTBEAT_MS = 20_000;
/** Larger changes are fetched by those who want them. */
const MOST_CHARACTERS = 200_000;

/** Tells everybody who listens what has changed in an operation. */
export class Newsroom {
  private readonly emitter = new EventEmitter().setMaxListeners(0);

  tell(operationId: string, news: News): void {
    this.emitter.emit(operationId, news);
  }

  /** @returns stops listening */
  listen(operationId: string, hear: (news: News) => void): () => void {
    this.emitter.on(operationId, hear);
    return () => this.emitter.off(operationId, hear);
  }
}

/**
 * A stream of what changes in an operation, as server-sent events (WHATWG HTML, 9.2).
 *
 * @param mayStill - asked at every heartbeat: whoever was shut out meanwhile is sent away
 */
export function newsStream(
  store: OperationStore,
  mayStill: (res: Response, op: string) => Promise<boolean>,
  heartbeatMs = HEARTBEAT_MS,
): RequestHandler {
  return async (req, res) => {
    const op = parseRequest(
      z.uuid({ error: 'The address must hold the id of an operation.' }),
      req.params['op'],
    );
    const { revision } = await store.present(op);
    res.writeHead(200, {
      'Content-Type': 'text/event-stream',
      // Compression would hold words back until there are enough of them.
      'Cache-Control': 'no-cache, no-transform',
    });
    const say = (news: News) => {
      const words = JSON.stringify(news);
      res.write(
        `data: ${words.length > MOST_CHARACTERS ? JSON.stringify({ ...news, changes: null }) : words}\n\n`,
      );
    };
    // Whoever was away learns at once whether anything was missed.
    say({ entryId: null, revision, changes: null });
    const stop = store.news.listen(op, say);
    const beat = setInterval(() => {
      // Who was shut out meanwhile hears nothing more.
      void mayStill(res, op)
        .catch(() => true)
        .then((may) => (may ? res.write(': still here\n\n') : res.end()));
    }, heartbeatMs);
    req.on('close', () => {
      stop();
      clearInterval(beat);
    });
  };
}
