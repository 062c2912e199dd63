import { accessAnswer, type AccessAnswer } from '@incremen/contract';
import express, { Router, type Request, type Response } from 'express';
import { rateLimit, ipKeyGenerator } from 'express-rate-limit';
import { z } from 'zod';
import { requireJson } from '../problems/requireJson.ts';
import { parseRequest, sendProblem } from '../problems/errorHandler.ts';
import { ProblemError } from '../problems/ProblemError.ts';
import type { AccessDesk, Issued } from './AccessDesk.ts';
import { signedOut } from './gate.ts';
import { COOKIE, personOf, type Reach } from './identify.ts';
import { nameOf, ROLES } from './roles.ts';

const text = (most: number) => z.string().trim().min(1).max(most);
const newAccount = z.strictObject({
  name: text(80),
  signIn: text(80),
  password: z.string().max(1000),
});
const signInRequest = z.strictObject({ signIn: z.string().max(80), password: z.string().max(1000) });
const joinRequest = z.strictObject({ code: text(100), account: newAccount.optional() });
const helpRequest = z.strictObject({ code: text(20), name: text(60) });
const issueRequest = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('invitation'), role: z.enum(ROLES), label: z.string().max(80) }),
  z.strictObject({ kind: z.literal('helper'), label: z.string().max(80) }),
  z.strictObject({ kind: z.literal('device'), label: text(80) }),
  z.strictObject({ kind: z.literal('calendar'), label: text(80) }),
]);
const roleRequest = z.strictObject({ role: z.enum(ROLES).nullable() });

/** Tries at a secret: ten in a quarter of an hour from one address, and then it is too early. */
const fewTries = rateLimit({
  windowMs: 15 * 60_000,
  limit: 10,
  standardHeaders: 'draft-8',
  legacyHeaders: false,
  skipSuccessfulRequests: true,
  keyGenerator: (req) => ipKeyGenerator(req.ip ?? ''),
  handler: (_req, res) =>
    sendProblem(
      res,
      new ProblemError(429, 'too-many-tries', 'Too many tries.', [
        {
          code: 'too-many-tries',
          path: [],
          message: 'Ten tries in a quarter of an hour went wrong.',
          remedy: 'Wait a quarter of an hour.',
        },
      ]),
    ),
});

/** Signing in and out, the first account, and taking up what was sent or said. */
export function accessRouter(desk: AccessDesk, reach: Reach): Router {
  const router = Router();
  const json = [express.json({ limit: '16kb' }), requireJson] as const;

  router.get('/me', async (_req, res) => {
    const person = personOf(res);
    const answer: AccessAnswer = {
      name: person && nameOf(person),
      kind: person?.kind ?? 'stranger',
      hasOwner: await desk.hasOwner(),
      demo: reach.demo,
      lan: reach.lan?.isOpen() ?? null,
      addresses: [...(reach.publicUrl === null ? [] : [reach.publicUrl]), ...(reach.lan?.addresses() ?? [])],
      pairing: reach.lan?.pairingAddresses() ?? [],
    };
    res.json(parseRequest(accessAnswer, answer));
  });

  router.post('/owner', ...json, async (req, res) => {
    // Only who sits at the machine can make the first account.
    if (personOf(res)?.kind !== 'machine' || reach.demo) throw signedOut();
    letIn(req, res, await desk.makeOwner(parseRequest(newAccount, req.body)));
  });

  router.post('/sign-in', fewTries, ...json, async (req, res) => {
    const { signIn, password } = parseRequest(signInRequest, req.body);
    letIn(req, res, await desk.signIn(signIn, password, req.get('user-agent') ?? ''));
  });

  router.post('/join', fewTries, ...json, async (req, res) => {
    const { code, account } = parseRequest(joinRequest, req.body);
    const person = personOf(res);
    if (!account && person?.kind !== 'account') throw signedOut();
    const issued = await desk.join(code, account ?? (person as Extract<typeof person, { kind: 'account' }>));
    if (issued) letIn(req, res, issued);
    else res.status(204).end();
  });

  router.post('/help', fewTries, ...json, async (req, res) => {
    const { code, name } = parseRequest(helpRequest, req.body);
    letIn(req, res, await desk.help(code, name));
  });

  router.put('/lan', ...json, async (req, res) => {
    const { open } = parseRequest(z.strictObject({ open: z.boolean() }), req.body);
    const person = personOf(res);
    // From outside nobody comes in without an account: so there has to be one, and its bearer asks.
    if (person?.kind !== 'account' || !(await desk.isOwnerSomewhere(person.accountId))) throw ownersOnly();
    if (!reach.lan) throw noLan();
    try {
      await reach.lan.set(open);
    } catch (error) {
      throw notOpened(error);
    }
    res.status(204).end();
  });

  router.post('/sign-out', ...json, async (req, res) => {
    const { everywhere } = parseRequest(z.strictObject({ everywhere: z.boolean() }), req.body);
    const person = personOf(res);
    if (!person) throw signedOut();
    await desk.signOut(person, everywhere);
    res.clearCookie(COOKIE, { path: '/' }).status(204).end();
  });

  return router;
}

/** Who may look into an operation, invitations, codes and tokens. The gate has asked for its owner already. */
export function membersRouter(desk: AccessDesk): Router {
  const router = Router({ mergeParams: true });
  const json = [express.json({ limit: '16kb' }), requireJson] as const;
  const opOf = (req: Request) => (req.params as { op: string }).op;
  const idOf = (req: Request) => parseRequest(z.uuid(), (req.params as { id?: string }).id);

  router.get('/', async (req, res) => {
    res.json(await desk.overview(opOf(req)));
  });
  router.post('/passes', ...json, async (req, res) => {
    const asked = parseRequest(issueRequest, req.body);
    const op = opOf(req);
    const issued =
      asked.kind === 'invitation'
        ? await desk.invite(op, asked.role, asked.label)
        : asked.kind === 'helper'
          ? await desk.helperCode(op, asked.label)
          : await desk.token(op, asked.kind, asked.label);
    res.status(201).json(issued);
  });
  router.delete('/passes/:id', async (req, res) => {
    await desk.revoke(opOf(req), idOf(req));
    res.status(204).end();
  });
  router.put('/members/:id', ...json, async (req, res) => {
    await desk.setRole(opOf(req), idOf(req), parseRequest(roleRequest, req.body).role);
    res.status(204).end();
  });
  return router;
}

/** The secret goes into a cookie that no script can read; over https it never travels in the clear. */
function letIn(req: Request, res: Response, { secret, expiresAt }: Issued): void {
  res
    .cookie(COOKIE, secret, {
      httpOnly: true,
      sameSite: 'lax',
      secure: req.secure,
      path: '/',
      ...(expiresAt && { expires: new Date(expiresAt) }),
    })
    .status(204)
    .end();
}

const refusal = (status: number, code: 'not-allowed' | 'no-home-network', message: string, remedy: string) =>
  new ProblemError(status, code, message, [{ code, path: [], message, remedy }]);

const ownersOnly = () =>
  refusal(
    403,
    'not-allowed',
    'The way in from the home network is opened by an owner who is signed in.',
    'Make an owner account first, and sign in.',
  );
const noLan = () =>
  refusal(
    422,
    'no-home-network',
    'This server was started for its own machine only.',
    'Start it with npm start.',
  );
const notOpened = (error: unknown) =>
  refusal(
    422,
    'no-home-network',
    `The way in could not be opened. ${error instanceof Error ? error.message : ''}`.trim(),
    'Connect this machine to the home network, and try again.',
  );
