import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { greyPng } from '../testing/pictures.ts';
import { TestServer } from '../testing/testServer.ts';

let server: TestServer;
let visitId: string;
beforeAll(async () => {
  server = await TestServer.start();
  visitId = (await server.snapshot()).records.visit[0]?.id ?? '';
});
afterAll(() => server.stop());

const png = greyPng(320, 200);
const add = (id: string) =>
  server.send({
    type: 'addPhoto',
    photo: {
      id,
      visitId,
      takenOn: '2026-05-15',
      mediaType: 'image/png',
      widthPx: 320,
      heightPx: 200,
      bytes: png.length,
      caption: '',
    },
  });

describe('a photo', () => {
  it('is kept, put to its visit, and given back as it came', async () => {
    const id = randomUUID();
    expect((await server.putPhoto(id, png)).status).toBe(204);
    expect((await server.putPhoto(id, png)).status).toBe(204);
    expect((await add(id)).status).toBe(201);
    const back = await fetch(`${server.url}/api/operations/${server.op}/photos/${id}`);
    expect(back.headers.get('content-type')).toBe('image/png');
    expect(back.headers.get('cache-control')).toContain('immutable');
    // Drawn anew: other bytes, the same points.
    const points = (picture: Uint8Array) => sharp(picture).toColourspace('srgb').raw().toBuffer();
    expect((await points(Buffer.from(await back.arrayBuffer()))).equals(await points(png))).toBe(true);
  });

  it.each<[string, Uint8Array, number, string]>([
    ['that is none', Buffer.from('not a picture at all'), 415, '/problems/not-a-photo'],
    ['that only begins like one', png.subarray(0, 12), 415, '/problems/not-a-photo'],
    [
      'of a kind that is not kept',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
      415,
      '/problems/not-a-photo',
    ],
    ['of 40 MB', Buffer.alloc(40_000_000, 1), 413, '/problems/malformed'],
    ['with too many pixels', greyPng(5000, 10), 422, '/problems/photo-too-large'],
    ['without a byte', Buffer.alloc(0), 415, '/problems/not-a-photo'],
  ])('%s is refused with a reason and a remedy', async (_what, content, status, type) => {
    const answer = await server.putPhoto(randomUUID(), content);
    expect(answer.status).toBe(status);
    expect(answer.body?.type).toBe(type);
    expect(answer.body?.errors[0]?.remedy).not.toBe('');
  });

  it('does not come in the place of another', async () => {
    const id = randomUUID();
    await server.putPhoto(id, png);
    expect((await server.putPhoto(id, greyPng(10, 10))).status).toBe(409);
  });

  it('is put to a visit only when its picture has arrived', async () => {
    const answer = await add(randomUUID());
    expect(answer.status).toBe(409);
    expect(answer.body.errors[0]?.remedy).toBe('Send the picture first.');
  });

  it('that there is not is 404, an address that is none 400, an operation that is none is told', async () => {
    const get = async (path: string) => (await fetch(`${server.url}/api/operations/${path}`)).status;
    expect(await get(`${server.op}/photos/${randomUUID()}`)).toBe(404);
    expect(await get(`${server.op}/photos/nothing`)).toBe(400);
    const other = await fetch(`${server.url}/api/operations/${randomUUID()}/photos/${randomUUID()}`, {
      method: 'PUT',
      body: Buffer.from(png),
    });
    expect(other.status).toBe(404);
  });
});
