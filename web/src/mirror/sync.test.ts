import { applyChanges, type Apiary, type Command } from '@incremen/core/records';
import { decide } from '@incremen/core/decide';
import { demoScenario } from '@incremen/core/demo';
import { toBundle } from '@incremen/core/formats';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { makeStore } from '../state/store.ts';
import { localDatabase } from '../offline/database.ts';
import { discard, send, takeBack, tryAgain } from './actions.ts';
import { flush, load } from './sync.ts';

const OP = Object.keys(demoScenario().apiary.operation)[0] ?? '';

/** A server in memory that keeps the promises of the real one, and a network that can fail either way. */
class Network {
  apiary: Apiary = demoScenario().apiary;
  revision = 1;
  readonly done = new Map<string, { revision: number; changes: never }>();
  readonly order: string[] = [];
  away = false;
  losesAnswers = false;
  /** What every command is answered with instead, and whether the server says that it can work at all. */
  answers: { status: number; type: string } | null = null;
  ready = true;
  shutOut = false;
  clock = Date.now();

  readonly fetch = (path: string, init?: { method?: string; body?: string }): Promise<Response> => {
    if (this.away) return Promise.reject(new TypeError('Failed to fetch'));
    const answer = this.answer(path, init?.body);
    return this.losesAnswers && init?.method === 'POST'
      ? Promise.reject(new TypeError('Failed to fetch'))
      : Promise.resolve(answer);
  };

  private answer(path: string, body?: string): Response {
    if (path === '/api/ready') return this.json(this.ready ? 200 : 503, { ready: this.ready });
    if (path === '/api/operations')
      return this.json(200, this.shutOut ? [] : [{ id: OP, name: 'x', revision: this.revision }]);
    if (path.endsWith('/snapshot')) {
      return this.json(200, { revision: this.revision, records: toBundle(this.apiary, []).records });
    }
    if (this.answers) {
      const { status, type } = this.answers;
      return this.json(status, { type: `/problems/${type}`, title: 'No.', status, detail: '', errors: [] });
    }
    const { id, command } = JSON.parse(body ?? '{}') as { id: string; command: Command };
    const before = this.done.get(id);
    if (before)
      return this.json(200, { entryId: id, summary: '', replayed: true, ...before, revision: this.revision });
    const decided = decide(this.apiary, command);
    if (!decided.ok) {
      const errors = decided.problems.map((p) => ({ ...p, pointer: `/${p.path.join('/')}` }));
      return this.json(422, { type: '/problems/x', title: 'No.', status: 422, detail: '', errors });
    }
    this.apiary = applyChanges(this.apiary, decided.value);
    this.revision += 1;
    this.order.push(command.type === 'addYard' ? command.yard.name : command.type);
    this.done.set(id, { revision: this.revision, changes: decided.value as never });
    return this.json(201, {
      entryId: id,
      summary: '',
      replayed: false,
      revision: this.revision,
      changes: decided.value,
    });
  }

  private json(status: number, value: unknown): Response {
    const headers = { date: new Date(this.clock).toUTCString(), 'content-type': 'application/json' };
    return new Response(JSON.stringify(value), { status, headers });
  }
}

const yard = (name: string): Command => ({
  type: 'addYard',
  yard: { id: crypto.randomUUID(), name, note: '' },
});
let network: Network;
let store: ReturnType<typeof makeStore>;
const names = (apiary: Apiary) => Object.values(apiary.yard).map((y) => y.name);
const mirror = () => store.getState().mirror;

/** The page as it is after a reload: nothing is left but what the device keeps. */
async function openAgain(): Promise<void> {
  store = makeStore();
  await store.dispatch(load());
  await store.dispatch(flush());
}

beforeEach(async () => {
  const db = await localDatabase();
  await Promise.all([db.clear('outbox'), db.clear('snapshot'), db.clear('confirmed')]);
  network = new Network();
  vi.stubGlobal('fetch', network.fetch);
  await openAgain();
});
afterEach(() => {
  vi.unstubAllGlobals();
});

describe('with the network', () => {
  it('a command is with the server when it is done, and the outbox is empty', async () => {
    expect(await store.dispatch(send(yard('One')))).toMatchObject({ ok: true });
    expect(network.order).toEqual(['One']);
    expect(mirror().outbox).toEqual([]);
    expect(mirror().revision).toBe(network.revision);
    expect(mirror().apiary).toEqual(network.apiary);
  });

  it('a server that was set back to a backup is followed, confirmed or not', async () => {
    const backup = { apiary: network.apiary, revision: network.revision };
    await store.dispatch(send(yard('After the backup')));
    Object.assign(network, backup);
    await openAgain();
    expect(names(mirror().apiary)).not.toContain('After the backup');
    expect(await store.dispatch(send(yard('And on')))).toMatchObject({ ok: true });
    await openAgain();
    expect(mirror().apiary).toEqual(network.apiary);
  });

  it('what cannot be is refused here, before anything is kept', async () => {
    const taken = names(mirror().apiary)[0] ?? '';
    expect(await store.dispatch(send(yard(taken)))).toMatchObject({ ok: false });
    expect(await (await localDatabase()).count('outbox')).toBe(0);
  });

  it('what the server refuses while one looks on is taken back with its reasons', async () => {
    // Another device has used the name in between.
    const other = decide(network.apiary, yard('Taken'));
    if (other.ok) network.apiary = applyChanges(network.apiary, other.value);
    expect(await store.dispatch(send(yard('Taken')))).toMatchObject({
      ok: false,
      problems: [{ code: 'name-taken' }],
    });
    expect(mirror().outbox).toEqual([]);
    expect(names(mirror().apiary)).not.toContain('Taken');
  });
});

describe('without the network', () => {
  it('commands show at once, outlive a reload, and are sent once each in their order', async () => {
    network.away = true;
    for (const name of ['One', 'Two', 'Three'])
      expect(await store.dispatch(send(yard(name)))).toMatchObject({ ok: true });
    expect(names(mirror().apiary)).toEqual(expect.arrayContaining(['One', 'Two', 'Three']));
    await openAgain();
    expect(mirror().status).toBe('ready');
    expect(mirror().reach).toBe('away');
    expect(names(mirror().apiary)).toEqual(expect.arrayContaining(['One', 'Two', 'Three']));
    expect(network.order).toEqual([]);
    network.away = false;
    await Promise.all([store.dispatch(flush()), store.dispatch(flush())]);
    expect(network.order).toEqual(['One', 'Two', 'Three']);
    expect(mirror().outbox).toEqual([]);
    expect(mirror().apiary).toEqual(network.apiary);
  });

  it('an answer that is lost leads to one carrying out, not two', async () => {
    network.losesAnswers = true;
    await store.dispatch(send(yard('One')));
    expect(network.order).toEqual(['One']);
    expect(mirror().outbox).toHaveLength(1);
    network.losesAnswers = false;
    await openAgain();
    expect(network.order).toEqual(['One']);
    expect(mirror().outbox).toEqual([]);
    expect(names(mirror().apiary).filter((n) => n === 'One')).toHaveLength(1);
  });

  it('what was confirmed and not fetched again is still there after a reload without network', async () => {
    await store.dispatch(send(yard('One')));
    network.away = true;
    await openAgain();
    expect(names(mirror().apiary)).toContain('One');
    expect(mirror().revision).toBe(network.revision);
  });

  it('an entry can be taken back before it is sent', async () => {
    network.away = true;
    const sent = await store.dispatch(send(yard('One')));
    if (!sent.ok) throw new Error('not sent');
    await store.dispatch(takeBack(sent.entryId));
    expect(names(mirror().apiary)).not.toContain('One');
    network.away = false;
    await store.dispatch(flush());
    expect(network.order).toEqual([]);
  });

  it('a refusal later keeps the entry aside with the reason, sends the others, and can be tried again', async () => {
    network.away = true;
    await store.dispatch(send(yard('Taken')));
    await store.dispatch(send(yard('Free')));
    const other = decide(network.apiary, yard('Taken'));
    if (other.ok) network.apiary = applyChanges(network.apiary, other.value);
    network.away = false;
    await store.dispatch(flush());
    expect(network.order).toEqual(['Free']);
    const [aside] = mirror().outbox;
    expect(aside).toMatchObject({ state: 'refused', problems: [{ code: 'name-taken' }] });
    await openAgain();
    expect(mirror().outbox).toHaveLength(1);
    await store.dispatch(tryAgain(aside!.seq));
    await store.dispatch(flush());
    expect(mirror().outbox[0]?.state).toBe('refused');
    await store.dispatch(discard(aside!.seq));
    expect(mirror().outbox).toEqual([]);
    expect(await (await localDatabase()).count('outbox')).toBe(0);
  });

  it.each([
    ['a server that fails at everything', { status: 500, type: 'internal' }, false],
    ['a full disk of the server', { status: 507, type: 'no-room' }, false],
    ['too many requests', { status: 429, type: 'too-many-tries' }, true],
    ['a server of another version', { status: 409, type: 'other-version' }, true],
  ])('%s sets nothing aside: all waits in its order, and goes when it can', async (_what, answers, ready) => {
    Object.assign(network, { answers, ready });
    for (const name of ['One', 'Two', 'Three']) await store.dispatch(send(yard(name)));
    for (let n = 0; n < 8; n++) await store.dispatch(flush());
    expect(mirror().outbox.map((e) => e.state)).toEqual(['waiting', 'waiting', 'waiting']);
    Object.assign(network, { answers: null, ready: true });
    await store.dispatch(flush());
    expect(network.order).toEqual(['One', 'Two', 'Three']);
    expect(mirror().outbox).toEqual([]);
  });

  it('one at which a server fails that is well is set aside, so that others are not held up', async () => {
    network.answers = { status: 500, type: 'internal' };
    await store.dispatch(send(yard('One')));
    for (let n = 0; n < 8; n++) await store.dispatch(flush());
    expect(mirror().outbox).toMatchObject([{ state: 'refused', problems: [{ code: 'server-fails' }] }]);
  });

  it('whoever was taken out meanwhile keeps what was made; where other records stand there now, it is said', async () => {
    Object.assign(network, { answers: { status: 404, type: 'unknown-operation' }, shutOut: true });
    await store.dispatch(send(yard('One')));
    expect(mirror()).toMatchObject({ signedOut: true, outbox: [{ state: 'waiting' }] });
    network.shutOut = false;
    await store.dispatch(flush());
    expect(mirror().outbox).toMatchObject([{ state: 'refused' }]);
  });

  it('a browser that keeps nothing opens all the same, says so, and sends at once or not at all', async () => {
    const failing = vi.spyOn(IDBDatabase.prototype, 'transaction').mockImplementation(() => {
      throw new DOMException('The connection is closed.', 'InvalidStateError');
    });
    await openAgain();
    expect(mirror()).toMatchObject({ status: 'ready', keeps: false });
    expect(await store.dispatch(send(yard('One')))).toMatchObject({ ok: true });
    expect(network.order).toEqual(['One']);
    expect(names(mirror().apiary)).toContain('One');
    network.away = true;
    expect(await store.dispatch(send(yard('Two')))).toMatchObject({ ok: false });
    expect(names(mirror().apiary)).not.toContain('Two');
    failing.mockRestore();
  });

  it('a device that cannot keep anything says so and shows nothing as done', async () => {
    vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementationOnce(() => {
      throw new DOMException('The disk is full.', 'QuotaExceededError');
    });
    expect(await store.dispatch(send(yard('One')))).toMatchObject({
      ok: false,
      problems: [{ code: 'cannot-keep' }],
    });
    expect(names(mirror().apiary)).not.toContain('One');
    expect(network.order).toEqual([]);
  });

  it('a device that has never reached the server says so', async () => {
    const db = await localDatabase();
    await Promise.all([db.clear('snapshot'), db.clear('confirmed')]);
    network.away = true;
    await openAgain();
    expect(mirror()).toMatchObject({
      status: 'failed',
      failure: expect.stringContaining('cannot be reached'),
    });
  });
});

describe('other devices and clocks', () => {
  it('news of another device come in with the next answer, ours on top', async () => {
    const other = decide(network.apiary, yard('Theirs'));
    if (other.ok) network.apiary = applyChanges(network.apiary, other.value);
    network.revision += 1;
    await store.dispatch(send(yard('Ours')));
    expect(names(mirror().apiary)).toEqual(expect.arrayContaining(['Theirs', 'Ours']));
    expect(mirror().apiary).toEqual(network.apiary);
  });

  it('a clock that is a year off is noticed, and entries carry the server’s time', async () => {
    network.clock = Date.now() + 365 * 86_400_000;
    await openAgain();
    expect(Math.round(mirror().clockOffsetMs / 86_400_000)).toBe(365);
    network.away = true;
    await store.dispatch(send(yard('One')));
    const [entry] = await (await localDatabase()).getAll('outbox');
    expect(Math.abs(Date.parse(entry!.madeAt) - network.clock)).toBeLessThan(60_000);
  });
});
