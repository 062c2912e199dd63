import type { News } from '@incremen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestServer } from '../testing/testServer.ts';

/** Reads a stream of server-sent events, one message after the other. */
class Listener {
  private readonly reader: ReadableStreamDefaultReader<Uint8Array>;
  private text = '';

  private constructor(reader: ReadableStreamDefaultReader<Uint8Array>) {
    this.reader = reader;
  }

  static async on(server: TestServer, op = server.op): Promise<Listener> {
    const res = await fetch(`${server.url}/api/operations/${op}/news`);
    if (!res.ok || !res.body) throw new Error(`${res.status}`);
    if (res.headers.get('content-type') !== 'text/event-stream') throw new Error('no stream of events');
    return new Listener(res.body.getReader());
  }

  async next(): Promise<News> {
    for (;;) {
      const end = this.text.indexOf('\n\n');
      if (end >= 0) {
        const message = this.text.slice(0, end);
        this.text = this.text.slice(end + 2);
        if (message.startsWith('data: ')) return JSON.parse(message.slice(6)) as News;
        continue;
      }
      const { value, done } = await this.reader.read();
      if (done) throw new Error('the stream has ended');
      this.text += new TextDecoder().decode(value);
    }
  }

  stop(): Promise<void> {
    return this.reader.cancel();
  }
}

describe('news of an operation', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await TestServer.start();
  });
  afterAll(() => server.stop());

  it('tell everyone who listens what a command has changed, and nothing of what was refused', async () => {
    const [one, two] = await Promise.all([Listener.on(server), Listener.on(server)]);
    const { revision } = await server.snapshot();
    expect(await one.next()).toEqual({ entryId: null, revision, changes: null });
    await two.next();
    const [first, second] = (await server.snapshot()).records.colony;
    const rename = (name: string) => server.send({ type: 'renameColony', colonyId: first?.id ?? '', name });
    expect((await rename(second?.name ?? '')).status).toBe(422);
    const sent = await rename('Wormwood');
    for (const listener of [one, two]) {
      const news = await listener.next();
      expect(news).toMatchObject({ entryId: sent.body.entryId, revision: revision + 1 });
      expect(news.changes).toEqual(sent.body.changes);
      await listener.stop();
    }
  });

  it('are refused for an operation that is not there', async () => {
    const res = await fetch(`${server.url}/api/operations/00000000-0000-4000-8000-000000000000/news`);
    expect(res.status).toBe(404);
  });

  it('come from another process on the same database, changes and all, and once', async () => {
    const other = await TestServer.beside(server);
    const [here, there] = await Promise.all([Listener.on(server), Listener.on(other)]);
    await here.next();
    await there.next();
    const [first] = (await server.snapshot()).records.colony;
    const sent = await server.send({ type: 'renameColony', colonyId: first?.id ?? '', name: 'Yarrow Two' });
    const news = await there.next();
    expect(news).toEqual({
      entryId: sent.body.entryId,
      revision: sent.body.revision,
      changes: sent.body.changes,
    });
    // Who sits at the process that did it hears it once: the next that comes is the next that is done.
    expect((await here.next()).revision).toBe(sent.body.revision);
    const next = await other.send({ type: 'renameColony', colonyId: first?.id ?? '', name: 'Yarrow Three' });
    expect((await here.next()).revision).toBe(next.body.revision);
    // Both processes know the same, and go on from there.
    expect((await other.snapshot()).revision).toBe(next.body.revision);
    await here.stop();
    await there.stop();
    await other.stop();
  });
});
