import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { greyPng } from '../testing/pictures.ts';
import { TestServer } from '../testing/testServer.ts';
import { drawnAnew, withoutTraces } from './drawnAnew.ts';
import { keepPhoto, sweepPictures } from './photoContents.ts';

/** A photo as a phone takes it: turned on its side, with the place where it was taken. */
const fromPhone = () =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: 'green' } })
    .withExif({
      IFD0: { Make: 'Some phone' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();

describe('a picture drawn anew', () => {
  it('says nothing of where, when and by what it was taken, and stands upright', async () => {
    const before = await fromPhone();
    expect(before.includes('Some phone') || (await sharp(before).metadata()).exif !== undefined).toBe(true);
    const after = await drawnAnew(before);
    const { exif, orientation, width, height } = await sharp(after).metadata();
    expect(exif).toBeUndefined();
    expect(orientation).toBeUndefined();
    expect([width, height]).toEqual([40, 60]);
  });

  it('is left as it is where it is clean: taken in again and again it gets no worse', async () => {
    const clean = await drawnAnew(await fromPhone());
    expect((await withoutTraces(clean)).equals(clean)).toBe(true);
    expect((await sharp(await withoutTraces(await fromPhone())).metadata()).exif).toBeUndefined();
  });

  it('carries nothing that was hung on behind it', async () => {
    const hidden = Buffer.concat([greyPng(20, 20), Buffer.from('<script>alert(1)</script>')]);
    expect((await drawnAnew(hidden)).includes('script')).toBe(false);
  });
});

describe('pictures on the server', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await TestServer.start();
  });
  afterAll(() => server.stop());

  it('are sent twice and kept once, without the place', async () => {
    const id = randomUUID();
    const photo = await fromPhone();
    expect((await server.putPhoto(id, photo)).status).toBe(204);
    expect((await server.putPhoto(id, photo)).status).toBe(204);
    expect((await server.putPhoto(id, greyPng(9, 9))).status).toBe(409);
    const back = await fetch(`${server.url}/api/operations/${server.op}/photos/${id}`);
    expect((await sharp(Buffer.from(await back.arrayBuffer())).metadata()).exif).toBeUndefined();
  });

  it('beyond their room are refused with what to do', async () => {
    const em = server.orm.em.fork();
    await expect(keepPhoto(em, server.op, randomUUID(), greyPng(30, 30), 10)).rejects.toMatchObject({
      status: 507,
    });
  });

  it('that nobody refers to are swept when nobody can want them back, and no others', async () => {
    const [old, young] = [randomUUID(), randomUUID()];
    await server.putPhoto(old, greyPng(11, 11));
    await server.putPhoto(young, greyPng(12, 12));
    const db = server.orm.em.getConnection();
    await db.execute(`update photo_content set kept_at = now() - interval '40 days' where id = ?`, [old]);
    expect(await sweepPictures(server.orm.em.fork())).toBe(1);
    const status = async (id: string) =>
      (await fetch(`${server.url}/api/operations/${server.op}/photos/${id}`)).status;
    expect([await status(old), await status(young)]).toEqual([404, 200]);
  });
});
