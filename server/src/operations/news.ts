import { EventEmitter } from 'node:events';
import type { News } from '@incremen/contract';
import type { RequestHandler, Response } from 'express';
import { z } from 'zod';
import { parseRequest } from '../problems/errorHandler.ts';
import type { OperationStore } from './OperationStore.ts';
import type { ProcessWire } from './processWire.ts';

/** A silent connection is given up by proxies and phones; a word now and then keeps it. */
const HEARTBEAT_MS = 20_000;
/** Larger changes are fetched by those who want them. */
const MOST_CHARACTERS = 200_000;

/** Tells everybody who listens what has changed in an operation, whichever process has changed it. */
export class Newsroom {
  private readonly emitter = new EventEmitter().setMaxListeners(0);
  private readonly wire: Pick<ProcessWire, 'open' | 'close'>;
  /** How many listen. */
  listeners = 0;

  constructor(wire: Pick<ProcessWire, 'open' | 'close'>) {
    this.wire = wire;
  }

  tell(operationId: string, news: News): void {
    this.emitter.emit(operationId, news);
  }

  /** Resolves once other processes are heard too. @returns stops listening */
  async listen(operationId: string, hear: (news: News) => void): Promise<() => void> {
    this.emitter.on(operationId, hear);
    this.listeners++;
    await this.wire.open();
    return () => {
      this.emitter.off(operationId, hear);
      this.listeners--;
      if (this.listeners === 0) void this.wire.close();
    };
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
    await store.present(op);
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
    let gone = false;
    req.on('close', () => (gone = true));
    const stop = await store.news.listen(op, say);
    if (gone) {
      stop();
      return;
    }
    // Whoever was away learns at once whether anything was missed.
    const { revision } = await store.present(op);
    say({ entryId: null, revision, changes: null });
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
