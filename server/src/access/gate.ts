import type { RequestHandler } from 'express';
import { unknownOperation } from '../operations/unknownOperation.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import type { AccessDesk } from './AccessDesk.ts';
import { personOf } from './identify.ts';
import { includes, type Role } from './roles.ts';

/**
 * What each address of an operation asks of who comes, by method and the rest of the path; the first that fits. What is not
 * named here is the owner's.
 */
const ASKS: readonly { readonly method: RegExp; readonly path: RegExp; readonly role: Role }[] = [
  { method: /./, path: /^\/access(\/|$)/, role: 'owner' },
  { method: /^PUT$/, path: /^\/(bundle|backup)$/, role: 'owner' },
  { method: /^GET$/, path: /./, role: 'reader' },
  // Whoever may look may be told.
  { method: /^(POST|DELETE)$/, path: /^\/reminders$/, role: 'reader' },
  // A plan is a question, and changes nothing.
  { method: /^POST$/, path: /^\/yard-plan$/, role: 'reader' },
  { method: /^POST$/, path: /^\/(commands|undo|weather\/\w+)$/, role: 'worker' },
  { method: /^PUT$/, path: /^\/photos\/[\w-]+$/, role: 'worker' },
];

/** What a device or a calendar may do, and nothing else. */
const DOORS = {
  device: { method: /^POST$/, path: /^\/weather\/\w+$/ },
  calendar: { method: /^GET$/, path: /^\/calendar\.ics$/ },
} as const;

/** The path as routes are matched: in whatever letters, with or without a slash at its end. */
const plain = (path: string) => path.toLowerCase().replace(/\/+$/, '');

/** The role that an address asks for. */
export const roleFor = (method: string, path: string): Role =>
  ASKS.find((a) => a.method.test(method === 'HEAD' ? 'GET' : method) && a.path.test(plain(path)))?.role ??
  'owner';

/**
 * Lets through who may. To a stranger an operation is closed; to a member of another it is not there; and what a role does
 * not include is refused with what would be needed.
 */
export const gate =
  (desk: AccessDesk): RequestHandler =>
  async (req, res, next) => {
    const { op } = req.params as { op: string };
    const person = personOf(res);
    if (!person) throw signedOut();
    if (person.kind === 'device' || person.kind === 'calendar') {
      const door = DOORS[person.kind];
      if (person.operationId !== op || !door.method.test(req.method) || !door.path.test(plain(req.path)))
        throw unknownOperation(op);
      next();
      return;
    }
    const role = await desk.roleIn(person, op);
    if (role === null) throw unknownOperation(op);
    const wanted = roleFor(req.method, req.path);
    if (!includes(role, wanted)) throw notAllowed(role, wanted);
    res.locals['role'] = role;
    next();
  };

const MAY: Readonly<Record<Role, string>> = {
  reader: 'look at everything',
  worker: 'count and work',
  owner: 'do everything',
};

const notAllowed = (role: Role, wanted: Role) =>
  new ProblemError(403, 'not-allowed', 'You may not do this. Nothing was changed.', [
    {
      code: 'not-allowed',
      path: [],
      message: `You may ${MAY[role]}; this asks for somebody who may ${MAY[wanted]}.`,
      remedy: 'Ask the owner.',
    },
  ]);

export const signedOut = () =>
  new ProblemError(401, 'signed-out', 'Sign in first.', [
    { code: 'signed-out', path: [], message: 'You are not signed in here.', remedy: 'Sign in.' },
  ]);
