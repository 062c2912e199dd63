import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import webpush from 'web-push';
import { OperationStore } from '../operations/OperationStore.ts';
import { TestServer } from '../testing/testServer.ts';
import { dueTomorrow } from './dueTomorrow.ts';
import { ReminderDesk, type Subscription } from './ReminderDesk.ts';

const EVENING = '2026-05-15';
const ADDRESS = 'https://push.example.net/send/abc';

let server: TestServer;
/** A push service that notes what it is sent and answers as it is told. */
let sent: { to: Subscription; text: string }[];
let answer: number;
let desk: ReminderDesk;

beforeEach(async () => {
  server = await TestServer.start();
  sent = [];
  answer = 201;
  desk = new ReminderDesk(server.orm, new OperationStore(server.orm), (to, text) => {
    sent.push({ to, text });
    return Promise.resolve({ statusCode: answer });
  });
});
afterEach(() => server.stop());

/** A browser's keys, as the library of the protocol makes them: a point on P-256 and sixteen bytes. */
const browser = (endpoint = ADDRESS): Subscription => ({
  endpoint,
  keys: { p256dh: webpush.generateVAPIDKeys().publicKey, auth: 'AAECAwQFBgcICQoLDA0ODw' },
});
/** Asks the server; the answer has no body. */
const tell = async (method: 'POST' | 'DELETE', body: unknown): Promise<number> => {
  const answered = await fetch(server.url + path(), {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  return answered.status;
};
const path = () => `/api/operations/${server.op}/reminders`;

describe('reminders of the evening before', () => {
  it('tell each browser once what is due, not before the evening', async () => {
    expect(await tell('POST', browser())).toBe(204);
    expect(await desk.remind(EVENING, 12)).toBe(0);
    expect(await desk.remind(EVENING, 18)).toBe(1);
    expect(await desk.remind(EVENING, 19)).toBe(0);
    const { apiary } = await new OperationStore(server.orm).present(server.op);
    expect(JSON.parse(sent[0]!.text)).toEqual(dueTomorrow(apiary, EVENING));
    expect(sent[0]!.text).toContain('tomorrow');
    expect(await desk.remind('2026-05-16', 18)).toBe(dueTomorrow(apiary, '2026-05-16') ? 1 : 0);
  });

  it('forget a browser that its service no longer knows, and try again one that cannot be reached', async () => {
    await tell('POST', browser());
    answer = 503;
    expect(await desk.remind(EVENING, 18)).toBe(0);
    answer = 410;
    expect(await desk.remind(EVENING, 19)).toBe(0);
    answer = 201;
    expect(await desk.remind(EVENING, 20)).toBe(0);
    expect(sent).toHaveLength(2);
  });

  it('end when the browser leaves, and come once for one that joins twice', async () => {
    for (let i = 0; i < 2; i++) await tell('POST', browser());
    expect(await desk.remind(EVENING, 18)).toBe(1);
    expect(await tell('DELETE', { endpoint: ADDRESS })).toBe(204);
    expect(await desk.remind('2026-05-20', 18)).toBe(0);
  });

  it.each([
    'http://push.example.net/abc',
    'https://127.0.0.1/abc',
    'https://[::1]/abc',
    'https://localhost/abc',
    'https://router.lan/abc',
    'https://push.example.net:8443/abc',
    'ftp://push.example.net/abc',
    'nowhere',
  ])('are not sent to %s', async (endpoint) => {
    expect(await tell('POST', browser(endpoint))).toBe(400);
    expect(await desk.remind(EVENING, 18)).toBe(0);
  });

  it('bear one key for good, with which the protocol’s library makes a sealed message', async () => {
    const [one, two] = await Promise.all([desk.keys(), desk.keys()]);
    expect(one.publicKey).toBe(two.publicKey);
    const { body } = await server.ask('GET', path());
    expect(body).toEqual({ publicKey: one.publicKey });
    const details = webpush.generateRequestDetails(browser(), 'Due tomorrow', {
      vapidDetails: { subject: 'mailto:a@b.invalid', publicKey: one.publicKey, privateKey: one.privateKey },
    });
    expect(details.headers['Content-Encoding']).toBe('aes128gcm');
    expect(details.body?.toString()).not.toContain('tomorrow');
  });
});
