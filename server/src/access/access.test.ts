import { randomUUID } from 'node:crypto';
import { newOperation } from '@incremen/core/records';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { OperationStore } from '../operations/OperationStore.ts';
import { TestServer } from '../testing/testServer.ts';
import { AccessDesk } from './AccessDesk.ts';
import { COOKIE } from './identify.ts';
import { hashPassword, isPassword } from './passwords.ts';
import { roleFor } from './gate.ts';

const PASSWORD = 'three quiet hives';

let server: TestServer;
let other: string;
/** What making the first account was answered. */
let first: Awaited<ReturnType<typeof ask>>;
/** The headers with which each comes. */
const as: Record<string, Record<string, string>> = { stranger: {} };

async function ask(who: string, method: string, path: string, body?: unknown) {
  const res = await fetch(server.url + path, {
    method,
    headers: {
      ...as[who],
      ...(body !== undefined && { 'content-type': 'application/json' }),
    },
    ...(body !== undefined && { body: JSON.stringify(body) }),
  });
  const cookie = res.headers.getSetCookie().find((c) => c.startsWith(`${COOKIE}=`));
  const text = await res.text();
  return {
    status: res.status,
    cookie: cookie?.split(';')[0] ?? '',
    attributes: cookie ?? '',
    code: /"code":"([\w-]+)"/.exec(text)?.[1] ?? null,
    body: (text === ''
      ? null
      : res.headers.get('content-type')?.includes('json')
        ? JSON.parse(text)
        : text) as never,
  };
}

const op = (path: string, id = server.op) => `/api/operations/${id}${path}`;
const note = () => ({
  id: randomUUID(),
  madeAt: '2026-05-15T10:00:00.000Z',
  command: { type: 'addYard', yard: { id: randomUUID(), name: `Yard ${randomUUID()}`, note: '' } },
});

/** Comes in by an invitation that the owner sends. */
async function joins(who: string, role: string, id = server.op, by = 'owner') {
  const { body } = await ask(by, 'POST', op('/access/passes', id), { kind: 'invitation', role, label: who });
  const { secret } = body as { secret: string };
  const account = { name: who, signIn: `${who}-${role}`, password: PASSWORD };
  const { cookie, status } = await ask('stranger', 'POST', '/api/access/join', { code: secret, account });
  if (status !== 204) throw new Error(`${who} was not let in: ${status}`);
  as[who] = { cookie };
  return secret;
}

beforeAll(async () => {
  server = await TestServer.start();
  other = randomUUID();
  await new OperationStore(server.orm).create(newOperation(other, 'Of others'));
  const made = await ask('stranger', 'POST', '/api/access/owner', {
    name: 'Ada',
    signIn: 'Ada@home',
    password: PASSWORD,
  });
  as['owner'] = { cookie: made.cookie };
  first = made;
  await joins('worker', 'worker');
  await joins('reader', 'reader');
  await joins('foreign', 'owner', other);
});
afterAll(() => server.stop());

/** Every address of the application, with the least that may ask it. */
const ROUTES: [method: string, path: string, least: string, body: unknown][] = [
  ['GET', '/snapshot', 'reader', undefined],
  ['GET', '/journal', 'reader', undefined],
  ['GET', '/bundle', 'reader', undefined],
  ['GET', '/backup', 'reader', undefined],
  ['GET', `/photos/${randomUUID()}`, 'reader', undefined],
  ['GET', '/readings?asOf=2026-05-15', 'reader', undefined],
  ['GET', '/visits', 'reader', undefined],
  ['GET', '/weather?day=2026-05-15', 'reader', undefined],
  ['GET', '/calendar.ics', 'reader', undefined],
  ['POST', '/yard-plan', 'reader', {}],
  ['POST', '/commands', 'worker', {}],
  ['POST', '/undo', 'worker', {}],
  ['PUT', `/photos/${randomUUID()}`, 'worker', {}],
  ['POST', '/weather/observed', 'worker', {}],
  ['PUT', '/bundle', 'owner', {}],
  ['GET', '/reminders', 'reader', undefined],
  ['POST', '/reminders', 'reader', {}],
  ['DELETE', '/reminders', 'reader', {}],
  ['PUT', '/backup', 'owner', {}],
  ['GET', '/access', 'owner', undefined],
  ['POST', '/access/passes', 'owner', {}],
  ['DELETE', `/access/passes/${randomUUID()}`, 'owner', undefined],
  ['PUT', `/access/members/${randomUUID()}`, 'owner', { role: 'reader' }],
];
const RANK = ['reader', 'worker', 'owner'];

describe('every address of an operation', () => {
  it.each(ROUTES)(
    '%s %s: closed to strangers and to members of another, open from %s on',
    async (method, path, least, body) => {
      expect((await ask('stranger', method, op(path), body)).status).toBe(401);
      expect((await ask('foreign', method, op(path), body)).status).toBe(404);
      for (const role of RANK) {
        const { status, code } = await ask(role, method, op(path), body);
        const allowed = RANK.indexOf(role) >= RANK.indexOf(least);
        // Whoever may ask gets another answer, if only that the request has no sense.
        expect({ role, refused: status === 403 || status === 401 || code === 'not-allowed' }).toEqual({
          role,
          refused: !allowed,
        });
      }
      expect(roleFor(method, path.replace(/\?.*/, ''))).toBe(least);
    },
  );

  it.each([
    ['PUT', '/Backup'],
    ['PUT', '/bundle/'],
    ['GET', '/ACCESS'],
    ['GET', '/access/'],
    ['POST', '/Access/Passes/'],
    ['DELETE', '/snapshot'],
    ['PATCH', '/commands'],
    ['PUT', '/somewhere/new'],
  ])('%s %s is the owner’s, however it is written', async (method, path) => {
    expect(roleFor(method, path)).toBe('owner');
    expect((await ask('worker', method, op(path), method === 'GET' ? undefined : {})).status).toBe(403);
  });

  it('the stream of news is closed to strangers and to members of another', async () => {
    expect((await ask('stranger', 'GET', op('/news'))).status).toBe(401);
    expect((await ask('foreign', 'GET', op('/news'))).status).toBe(404);
  });

  it('each sees the operations that are theirs', async () => {
    const ids = async (who: string) =>
      ((await ask(who, 'GET', '/api/operations')).body as { id: string }[]).map((o) => o.id).toSorted();
    expect((await ask('stranger', 'GET', '/api/operations')).status).toBe(401);
    expect(await ids('reader')).toEqual([server.op]);
    expect(await ids('foreign')).toEqual([other]);
    expect(await ids('owner')).toEqual([other, server.op].toSorted());
  });

  it('settings are the owner’s, in a batch too', async () => {
    const command = { type: 'changeSettings', name: 'Mine' };
    const envelope = (c: unknown) => ({ ...note(), command: c });
    expect((await ask('worker', 'POST', op('/commands'), envelope(command))).status).toBe(403);
    expect(
      (await ask('worker', 'POST', op('/commands'), envelope({ type: 'batch', commands: [command] }))).status,
    ).toBe(403);
    expect((await ask('owner', 'POST', op('/commands'), envelope(command))).status).toBe(201);
  });

  it('nobody writes rows of another operation, not even by their identifiers', async () => {
    const { body } = await ask('reader', 'GET', op('/snapshot'));
    const { yard } = (body as { records: { yard: { id: string; name: string }[] } }).records;
    const change = { ...note(), command: { type: 'changeYard', yardId: yard[0]?.id, name: 'Taken' } };
    const sent = await ask('foreign', 'POST', op('/commands', other), change);
    expect(sent.status).toBeGreaterThanOrEqual(400);
    const same = {
      ...note(),
      command: { type: 'addYard', yard: { id: yard[0]?.id, name: 'Taken', note: '' } },
    };
    expect((await ask('foreign', 'POST', op('/commands', other), same)).code).toBe('id-taken');
    const after = (await ask('reader', 'GET', op('/snapshot'))).body as { records: { yard: unknown } };
    expect(after.records.yard).toEqual(yard);
  });
});

describe('the journal', () => {
  it('names who did it', async () => {
    await ask('worker', 'POST', op('/commands'), note());
    const { body } = await ask('owner', 'GET', op('/journal'));
    expect((body as { entries: { by: string }[] }).entries[0]?.by).toBe('worker');
  });
});

describe('signing in', () => {
  it('leaves a cookie that no script reads and no other page sends along', () => {
    expect(first.status).toBe(204);
    expect(first.attributes).toMatch(/HttpOnly/);
    expect(first.attributes).toMatch(/SameSite=Lax/);
  });

  it('by name and password, in whatever letters; a wrong one does not tell what was wrong', async () => {
    const right = await ask('stranger', 'POST', '/api/access/sign-in', {
      signIn: ' ADA@home',
      password: PASSWORD,
    });
    expect(right.status).toBe(204);
    const wrong = await ask('stranger', 'POST', '/api/access/sign-in', {
      signIn: 'ada@home',
      password: 'three quiet hive',
    });
    const nobody = await ask('stranger', 'POST', '/api/access/sign-in', {
      signIn: 'nobody',
      password: PASSWORD,
    });
    expect([wrong.status, nobody.status]).toEqual([401, 401]);
    expect(wrong.body).toEqual(nobody.body);
  });

  it('once there is an owner no second one is made, not from this machine either', async () => {
    const again = { name: 'Eve', signIn: 'eve', password: PASSWORD };
    expect((await ask('stranger', 'POST', '/api/access/owner', again)).status).toBe(401);
  });

  it('signing out everywhere ends every session of the account', async () => {
    const one = await ask('stranger', 'POST', '/api/access/sign-in', {
      signIn: 'worker-worker',
      password: PASSWORD,
    });
    const two = await ask('stranger', 'POST', '/api/access/sign-in', {
      signIn: 'worker-worker',
      password: PASSWORD,
    });
    as['one'] = { cookie: one.cookie };
    as['two'] = { cookie: two.cookie };
    expect((await ask('two', 'GET', op('/journal'))).status).toBe(200);
    expect((await ask('one', 'POST', '/api/access/sign-out', { everywhere: true })).status).toBe(204);
    expect((await ask('two', 'GET', op('/journal'))).status).toBe(401);
    as['worker'] = {
      cookie: (
        await ask('stranger', 'POST', '/api/access/sign-in', { signIn: 'worker-worker', password: PASSWORD })
      ).cookie,
    };
  });

  it('a page from elsewhere is refused, one on another port of this machine too; a program without a page is not', async () => {
    const from = async (headers: Record<string, string>) => {
      as['page'] = { ...as['owner'], ...headers };
      return (await ask('page', 'POST', op('/commands'), note())).status;
    };
    expect(await from({ origin: 'https://elsewhere.example' })).toBe(403);
    expect(await from({ origin: 'http://127.0.0.1:1' })).toBe(403);
    expect(await from({ origin: 'null' })).toBe(403);
    expect(await from({ 'sec-fetch-site': 'same-site' })).toBe(403);
    expect(await from({ origin: server.url, 'sec-fetch-site': 'same-origin' })).toBe(201);
    expect(await from({})).toBe(201);
  });
});

describe('invitations, codes and tokens', () => {
  it('an invitation serves once', async () => {
    const secret = await joins('late', 'reader');
    const account = { name: 'X', signIn: 'x', password: PASSWORD };
    expect((await ask('stranger', 'POST', '/api/access/join', { code: secret, account })).status).toBe(410);
  });

  it('a helper comes in with a code and a name, works, is named, and may not see who the members are', async () => {
    const { body } = await ask('owner', 'POST', op('/access/passes'), { kind: 'helper', label: 'Saturday' });
    const { secret } = body as { secret: string };
    expect(secret).toMatch(/^[2-9A-Z]{8}$/);
    const came = await ask('stranger', 'POST', '/api/access/help', {
      code: secret.toLowerCase(),
      name: 'Bo',
    });
    as['helper'] = { cookie: came.cookie };
    expect((await ask('helper', 'POST', op('/commands'), note())).status).toBe(201);
    expect((await ask('helper', 'GET', op('/access'))).status).toBe(403);
    expect((await ask('helper', 'GET', op('/snapshot', other))).status).toBe(404);
    const { body: journal } = await ask('owner', 'GET', op('/journal'));
    expect((journal as { entries: { by: string }[] }).entries[0]?.by).toBe('Bo');
    // Sent home before the day is over.
    const { body: seen } = await ask('owner', 'GET', op('/access'));
    const { passes } = seen as { passes: { id: string; kind: string; label: string }[] };
    const his = passes.find((p) => p.kind === 'helping' && p.label === 'Bo');
    expect((await ask('owner', 'DELETE', op(`/access/passes/${his?.id}`))).status).toBe(204);
    expect((await ask('helper', 'GET', op('/snapshot'))).status).toBe(401);
  });

  it('who is shut out may not listen on', async () => {
    const desk = new AccessDesk(server.orm);
    const { secret, id } = await desk.helperCode(server.op, 'Sunday');
    const { secret: session } = await desk.help(secret, 'Cy');
    const person = await desk.whoIs(session);
    if (person?.kind !== 'helper') throw new Error('a helper was let in');
    expect(await desk.mayStillLook(person, server.op)).toBe(true);
    expect(await desk.mayStillLook(person, other)).toBe(false);
    await desk.signOut(person, false);
    expect(await desk.mayStillLook(person, server.op)).toBe(false);
    await desk.revoke(server.op, id);
  });

  it('a device sends weather and nothing else; a calendar is read and nothing else; revoked, neither comes in', async () => {
    const token = async (kind: string) =>
      (await ask('owner', 'POST', op('/access/passes'), { kind, label: kind })).body as {
        id: string;
        secret: string;
      };
    const device = await token('device');
    const calendar = await token('calendar');
    const seenAt = async (id: string) => {
      const { body } = await ask('owner', 'GET', op('/access'));
      return (body as { passes: { id: string; seenAt: string | null }[] }).passes.find((p) => p.id === id)
        ?.seenAt;
    };
    expect(await seenAt(device.id)).toBeNull();
    as['device'] = { authorization: `Bearer ${device.secret}` };
    expect((await ask('device', 'GET', op('/snapshot'))).status).toBe(404);
    expect((await ask('device', 'POST', op('/weather/observed'))).status).toBe(415);
    expect(await seenAt(device.id)).toEqual(expect.any(String));
    expect(await seenAt(calendar.id)).toBeNull();
    const feed = op(`/calendar.ics?pass=${calendar.secret}`);
    expect((await ask('stranger', 'GET', feed)).status).toBe(200);
    expect((await ask('stranger', 'GET', op(`/snapshot?pass=${calendar.secret}`))).status).toBe(401);
    await ask('owner', 'DELETE', op(`/access/passes/${calendar.id}`));
    await ask('owner', 'DELETE', op(`/access/passes/${device.id}`));
    expect((await ask('stranger', 'GET', feed)).status).toBe(401);
    expect((await ask('device', 'POST', op('/weather/observed'))).status).toBe(401);
  });

  it('somebody stays the owner', async () => {
    const { body } = await ask('owner', 'GET', op('/access'));
    const { members } = body as { members: { id: string; name: string; role: string }[] };
    const ada = members.find((m) => m.name === 'Ada');
    const last = await ask('owner', 'PUT', op(`/access/members/${ada?.id}`), { role: 'reader' });
    expect([last.status, last.code]).toEqual([409, 'last-owner']);
    const late = members.find((m) => m.name === 'late');
    expect((await ask('owner', 'PUT', op(`/access/members/${late?.id}`), { role: null })).status).toBe(204);
    expect((await ask('late', 'GET', op('/snapshot'))).status).toBe(404);
  });

  it('tries at a secret are few: after ten the door stays shut for a while', async () => {
    const tries: number[] = [];
    for (let i = 0; i < 14; i++)
      tries.push(
        (await ask('stranger', 'POST', '/api/access/help', { code: `WRONG${i}`, name: 'Bo' })).status,
      );
    expect(tries.at(-1)).toBe(429);
    expect(tries.filter((s) => s === 410).length).toBeLessThanOrEqual(10);
  });
});

describe('passwords', () => {
  it('are Argon2id with the cost that OWASP asks for, and differ each time', async () => {
    const [a, b] = [await hashPassword(PASSWORD), await hashPassword(PASSWORD)];
    expect(a).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    expect(a).not.toBe(b);
    expect(await isPassword(PASSWORD, a)).toBe(true);
    expect(await isPassword(`${PASSWORD} `, a)).toBe(false);
    expect(await isPassword(PASSWORD, null)).toBe(false);
    expect(await isPassword(PASSWORD, 'no hash')).toBe(false);
  });

  it('short ones and broken characters are refused', async () => {
    await expect(hashPassword('short')).rejects.toMatchObject({ status: 422 });
    await expect(hashPassword('long enough \ud800')).rejects.toMatchObject({ status: 422 });
    // One form of a letter is as good as another.
    expect(await isPassword('re\u0301sume\u0301 of bees', await hashPassword('résumé of bees'))).toBe(true);
  });
});
