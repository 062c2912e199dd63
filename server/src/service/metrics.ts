import type { RequestHandler } from 'express';
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';

/** Bounds of the buckets, in seconds: around what a person notices. */
const BUCKETS = [0.005, 0.02, 0.05, 0.15, 0.25, 0.5, 1, 3, 10];

/** Figures of the running server in the text format of Prometheus (0.0.4), for whoever watches it. */
export class Metrics {
  private readonly registry = new Registry();
  private readonly seconds: Histogram<'method' | 'route' | 'status'>;
  private readonly listeners: Gauge;

  /** @param listening - how many pages follow what is changed */
  constructor(listening: () => number) {
    collectDefaultMetrics({ register: this.registry, prefix: 'incremen_' });
    this.seconds = new Histogram({
      name: 'incremen_request_seconds',
      help: 'How long requests took, by what was asked.',
      labelNames: ['method', 'route', 'status'],
      buckets: BUCKETS,
      registers: [this.registry],
    });
    this.listeners = new Gauge({
      name: 'incremen_followers',
      help: 'Pages that follow what is changed.',
      registers: [this.registry],
      collect: () => this.listeners.set(listening()),
    });
  }

  /** Measures every request; a stream of news is no request that ends. */
  measure(): RequestHandler {
    return (req, res, next) => {
      const began = process.hrtime.bigint();
      res.on('finish', () => {
        if (res.getHeader('content-type') === 'text/event-stream') return;
        const took = Number(process.hrtime.bigint() - began) / 1e9;
        this.seconds.observe(
          { method: req.method, route: routeOf(req.originalUrl), status: String(res.statusCode) },
          took,
        );
      });
      next();
    };
  }

  /** Answers with all figures. */
  tell(): RequestHandler {
    return async (_req, res) => {
      res.type(this.registry.contentType).send(await this.registry.metrics());
    };
  }
}

const ID = /[0-9a-f]{8}-[0-9a-f-]{27}/gi;
/** What can be asked under the API: anything else is told together, so that no stranger makes the list long. */
const KNOWN =
  /^\/api\/(health|ready|access|schema|operations)(\/:id)?(\/(snapshot|commands|undo|journal|news|bundle|backup|backups|room|photos|readings|visits|weather|calendar\.ics|yard-plan|access))?/;

/** An address without what differs from one to the next. */
export function routeOf(url: string): string {
  const path = (url.split('?')[0] ?? '').replace(ID, ':id');
  if (!path.startsWith('/api/')) return 'page';
  return KNOWN.exec(path)?.[0] ?? 'other';
}
