import type { Request, RequestHandler, Response } from 'express';
import { sendProblem } from '../problems/errorHandler.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import type { AccessDesk } from './AccessDesk.ts';
import type { Person } from './roles.ts';

/** How far the server reaches. */
export interface Reach {
  /** Names and addresses besides those of this machine under which it may be asked. */
  readonly names: () => readonly string[];
  /** The demonstration signs in by itself, on this machine. */
  readonly demo: boolean;
  /** The address of a proxy in front, with its own name; null where there is none. */
  readonly publicUrl: string | null;
  /** The way in from the home network; null where there is none to open. */
  readonly lan: {
    isOpen(): boolean;
    addresses(): string[];
    pairingAddresses(): string[];
    set(open: boolean): Promise<void>;
  } | null;
}

/** The name of the cookie that keeps a session. */
export const COOKIE = 'incremen-session';

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
const hostOf = (req: Request) => (req.headers.host ?? '').replace(/:\d+$/, '').toLowerCase();

/** What a proxy adds (RFC 7239, and the older names): who asks sits elsewhere, whatever the address says. */
const PROXIED = ['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'x-real-ip', 'via'];

/** Whether a request came over the loopback device, and was meant for it. */
const isFromHere = (req: Request): boolean =>
  !PROXIED.some((h) => req.headers[h] !== undefined) &&
  LOOPBACK.includes(hostOf(req)) &&
  /^(::1|(::ffff:)?127\.)/.test(req.socket.remoteAddress ?? '');

/** Who asks; null for a stranger. */
export const personOf = (res: Response): Person | null => (res.locals['person'] as Person | null) ?? null;

/** A page from elsewhere must not reach the server by a name that points here. */
export const knownHost =
  (reach: Reach): RequestHandler =>
  (req, res, next) => {
    const host = hostOf(req);
    const isPublic = reach.publicUrl !== null && new URL(reach.publicUrl).hostname === host;
    if (LOOPBACK.includes(host) || isPublic || reach.names().includes(host)) {
      next();
      return;
    }
    sendProblem(
      res,
      new ProblemError(421, 'wrong-host', 'This server does not answer under this name.', [
        {
          code: 'wrong-host',
          path: [],
          message: `The name ${host} is not served.`,
          remedy: 'Use an address that “People and devices” shows, or http://127.0.0.1 on this machine.',
        },
      ]),
    );
  };

const SAFE = ['GET', 'HEAD', 'OPTIONS'];

/**
 * What changes something must come from a page of this server, or from no page at all. A page on another port of the same
 * machine sends the cookies too: so the origin is compared, and the browser's own word for it (Fetch Metadata).
 */
export const sameOrigin: RequestHandler = (req, res, next) => {
  if (SAFE.includes(req.method)) {
    next();
    return;
  }
  const { origin } = req.headers;
  const site = req.headers['sec-fetch-site'];
  const foreignPage = origin !== undefined && originHost(origin) !== req.headers.host;
  if (foreignPage || (site !== undefined && site !== 'same-origin' && site !== 'none')) {
    sendProblem(
      res,
      new ProblemError(403, 'foreign-page', 'A page from elsewhere asked for this.', [
        {
          code: 'foreign-page',
          path: [],
          message: 'Only pages of Incremen itself may change records.',
          remedy: 'Open Incremen and do it there.',
        },
      ]),
    );
    return;
  }
  next();
};

function originHost(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}

/** Notes who asks, by cookie, bearer token or place. */
export const identify =
  (desk: AccessDesk, reach: Reach): RequestHandler =>
  async (req, res, next) => {
    res.locals['person'] = await whoAsks(desk, reach, req);
    next();
  };

async function whoAsks(desk: AccessDesk, reach: Reach, req: Request): Promise<Person | null> {
  const secret = secretOf(req);
  const known = secret === null ? null : await desk.whoIs(secret);
  if (known) return known;
  // Without any account there is nobody to sign in as: the machine itself may do everything, and nobody else anything.
  const open = isFromHere(req) && (reach.demo || !(await desk.hasOwner()));
  return open ? { kind: 'machine' } : null;
}

function secretOf(req: Request): string | null {
  const bearer = /^Bearer ([\w-]{8,100})$/i.exec(req.headers.authorization ?? '')?.[1];
  if (bearer) return bearer;
  const cookie = (req.headers.cookie ?? '')
    .split(';')
    .map((c) => c.trim())
    .find((c) => c.startsWith(`${COOKIE}=`));
  if (cookie) return cookie.slice(COOKIE.length + 1);
  // Calendar programs send no headers of ours: theirs stands in the address.
  const asked = req.query['pass'];
  return typeof asked === 'string' && req.path.endsWith('/calendar.ics') ? asked : null;
}
