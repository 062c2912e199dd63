import { randomUUID } from 'node:crypto';
import { get } from 'node:http';
import { newCallOut } from '@incremen/core/callout';
import { noEvidence, NUC_RECIPES, type Command, type CommandOf } from '@incremen/core/records';
import {
  API_VERSION,
  type CommandResult,
  type JournalPage,
  type ProblemDocument,
  type Snapshot,
} from '@incremen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestServer } from '../testing/testServer.ts';

let server: TestServer;
let snapshot: Snapshot;

beforeAll(async () => {
  server = await TestServer.start();
  snapshot = await server.snapshot();
});
afterAll(() => server.stop());

function countOf(name: string, change: Partial<CommandOf<'recordCount'>> = {}): CommandOf<'recordCount'> {
  const { records } = snapshot;
  const colony = records.colony.find((c) => c.name === name);
  const boxes = records.box.filter((b) => b.chambers.some((c) => c.colonyId === colony?.id)).map((b) => b.id);
  const frames = records.frame.filter((f) => f.boxId !== null && boxes.includes(f.boxId));
  return {
    type: 'recordCount',
    visitId: randomUUID(),
    colonyId: colony?.id ?? '',
    day: '2026-05-15',
    note: '',
    readings: frames.map((f) => ({
      id: randomUUID(),
      frameId: f.id,
      body: {
        v: 1,
        sides: [
          { contents: { capped: 4, honey: 2, drawn: 4 }, bees: 6 },
          { contents: { capped: 5, honey: 2, drawn: 3 }, bees: 7 },
        ],
        queenSeen: false,
        cells: [],
        estimated: false,
      },
    })),
    ...change,
  };
}

describe('a command', () => {
  it('is carried out once, however often and however fast it is sent', async () => {
    const id = randomUUID();
    const command = countOf('Yarrow');
    const answers = await Promise.all(Array.from({ length: 8 }, () => server.send(command, id)));
    expect(answers.filter((a) => a.status === 201)).toHaveLength(1);
    expect(answers.filter((a) => a.status === 200 && a.body.replayed)).toHaveLength(7);
    const [visits] = (await server.orm.em
      .getConnection()
      .execute('select count(*)::int as n from visit where id = ?', [command.visitId])) as { n: number }[];
    expect(visits?.n).toBe(1);
    const journal = await server.ask<{ entries: { id: string; summary: string }[] }>(
      'GET',
      `/api/operations/${server.op}/journal`,
    );
    expect(journal.body.entries.filter((e) => e.id === id).map((e) => e.summary)).toEqual([
      'Yarrow counted on Fri 15 May: 10 frames',
    ]);
  });

  it('leaves the same records in memory and in the database', async () => {
    await server.send(countOf('Mallow'));
    const kept = await server.snapshot();
    // Another process raises the revision, so the records are read again from the tables.
    await server.orm.em
      .getConnection()
      .execute('update operation set revision = revision + 1 where id = ?', [server.op]);
    const read = await server.snapshot();
    expect(read.records).toEqual(kept.records);
  });

  it('an id that is taken in another yard is refused in words, though only the own yard is looked at', async () => {
    const { records } = await server.snapshot();
    const command = countOf('Mallow');
    const yardOf = (colonyId: string) => {
      const hive = records.hive.find((h) => h.id === records.colony.find((c) => c.id === colonyId)?.hiveId);
      return records.stand.find((s) => s.id === hive?.standId)?.yardId;
    };
    const elsewhere = records.visit.find((v) => yardOf(v.colonyId) !== yardOf(command.colonyId));
    const answer = await server.send({ ...command, visitId: elsewhere?.id ?? '' });
    expect(answer.status).toBeLessThan(500);
    expect(answer.body.errors[0]?.code).toBe('id-taken');
    // Nothing of it is there, and the next count is taken.
    expect((await server.send(countOf('Mallow'))).status).toBe(201);
  });

  it('commands on one operation from many hands do not lose one another', async () => {
    const names = ['Burnet', 'Clary', 'Teasel', 'Borage'];
    const sent = names.flatMap((n) => [countOf(n), countOf(n)]);
    const answers = await Promise.all(sent.map((c) => server.send(c)));
    expect(answers.every((a) => a.status === 201)).toBe(true);
    const revisions = answers.map((a) => a.body.revision);
    expect(new Set(revisions).size).toBe(revisions.length);
    const after = await server.snapshot();
    for (const c of sent) expect(after.records.visit.some((v) => v.id === c.visitId)).toBe(true);
  });
});

describe('who is at the hive', () => {
  it('is named in the journal and with the count, where several share a device', async () => {
    const [colony] = (await server.snapshot()).records.colony;
    const visitId = randomUUID();
    const sent = await server.ask<CommandResult>('POST', `/api/operations/${server.op}/commands`, {
      id: randomUUID(),
      madeAt: '2026-05-15T10:00:00.000Z',
      hands: 'Nora',
      command: {
        type: 'recordCount',
        visitId,
        colonyId: colony?.id,
        day: '2026-05-15',
        note: 'seen from outside',
        readings: [],
        evidence: { ...noEvidence(10), mood: 'calm' },
      },
    });
    expect(sent.status).toBe(201);
    const { records } = await server.snapshot();
    expect(records.visit.find((v) => v.id === visitId)?.by).toBe('Nora');
    const { body } = await server.ask<JournalPage>('GET', `/api/operations/${server.op}/journal`);
    expect(body.entries[0]?.by).toBe('Nora');
  });

  it('stands beside each frame that is called at a pad that several share', async () => {
    const { records } = await server.snapshot();
    const tansy = records.colony.find((c) => c.name === 'Tansy');
    const boxes = records.box.filter((b) => b.hiveId === tansy?.hiveId).map((b) => b.id);
    const frames = records.frame.filter((f) => f.boxId !== null && boxes.includes(f.boxId));
    const callOut = newCallOut(
      {
        yardId: records.yard[0]?.id ?? '',
        day: '2026-05-15',
        givers: [{ colonyId: tansy?.id ?? '', keepBroodCombs: 2, keepStoresCombs: 1, whole: false }],
        names: ['Sedge'],
        recipe: NUC_RECIPES[0]!.recipe,
        shared: false,
      },
      'Tansy into a nuc',
      randomUUID,
    );
    expect((await server.send({ type: 'startCallOut', callOut })).status).toBe(201);
    for (const [i, hands] of ['Nora', 'Ben'].entries()) {
      const frame = frames[i];
      const reading = records.reading.find((r) => r.id === frame?.readingId)?.body;
      const called = await server.ask('POST', `/api/operations/${server.op}/commands`, {
        id: randomUUID(),
        madeAt: '2026-05-15T10:00:00.000Z',
        hands,
        command: {
          type: 'changeCallOut',
          callOutId: callOut.id,
          change: {
            what: 'call',
            call: { id: randomUUID(), frameId: frame?.id, giverId: tansy?.id, reading, to: { at: 'home' } },
          },
        },
      });
      expect(called.status).toBe(201);
    }
    const now = (await server.snapshot()).records.callOut.find((c) => c.id === callOut.id);
    expect(now?.body.calls.map((c) => c.by)).toEqual(['Nora', 'Ben']);
  });
});

describe('many at once', () => {
  it('hold no connection while they wait: who only looks is answered meanwhile', async () => {
    const [first] = (await server.snapshot()).records.colony;
    const names = Array.from({ length: 40 }, (_, n) => `In line ${n}`);
    const sent = names.map((name) => server.send({ type: 'renameColony', colonyId: first?.id ?? '', name }));
    // There are eight connections for all.
    const looked = await Promise.race([
      server.ask('GET', '/api/operations').then(() => 'looked'),
      Promise.all(sent).then(() => 'all were sent'),
    ]);
    expect(looked).toBe('looked');
    expect((await Promise.all(sent)).map((s) => s.status)).toEqual(names.map(() => 201));
  });
});

describe('bad input is answered with a problem document that names the field, and changes nothing', () => {
  const cases: [string, () => Command | object, number, string][] = [
    [
      'contents over ten tenths a side',
      () => {
        const count = countOf('Yarrow');
        const first = count.readings[0]!;
        return {
          ...count,
          readings: [
            {
              ...first,
              body: {
                ...first.body,
                sides: [{ contents: { capped: 9, honey: 4 }, bees: 3 }, first.body.sides[1]],
              },
            },
          ],
        };
      },
      422,
      '/readings/0/body/sides/0/contents',
    ],
    [
      'bees beyond what comb can carry',
      () => {
        const count = countOf('Yarrow');
        const first = count.readings[0]!;
        return {
          ...count,
          readings: [
            {
              ...first,
              body: { ...first.body, sides: [first.body.sides[0], { contents: { drawn: 10 }, bees: 14 }] },
            },
          ],
        };
      },
      422,
      '/readings/0/body/sides/1/bees',
    ],
    [
      'two queens in one chamber',
      () => {
        const count = countOf('Yarrow');
        return {
          ...count,
          readings: count.readings.map((r) => ({ ...r, body: { ...r.body, queenSeen: true } })),
        };
      },
      422,
      '/readings/1/body/queenSeen',
    ],
    ['an unknown id', () => countOf('Yarrow', { colonyId: randomUUID() }), 404, '/colonyId'],
    ['a date before the colony existed', () => countOf('Yarrow', { day: '2025-05-15' }), 422, '/day'],
    [
      'a day that is not in the calendar',
      () => countOf('Yarrow', { day: '2026-02-30' }),
      400,
      '/command/day',
    ],
    ['an unknown field', () => ({ ...countOf('Yarrow'), colour: 'red' }), 400, '/command'],
    ['an unknown command', () => ({ type: 'burnDown' }), 400, '/command/type'],
  ];

  it.each(cases)('%s', async (_what, make, status, pointer) => {
    const before = await server.snapshot();
    const answer = await server.send(make() as Command);
    expect(answer.status).toBe(status);
    expect(answer.type).toMatch(/^application\/problem\+json/);
    expect(answer.body.errors[0]?.pointer).toBe(pointer);
    expect(answer.body.errors[0]?.remedy).not.toBe('');
    expect(JSON.stringify(answer.body)).not.toMatch(/\.ts:|node_modules/);
    expect(await server.snapshot()).toEqual(before);
  });

  it('a body that is not JSON, none at all, one too large, an operation that is not there, an address that is not known', async () => {
    const at = `${server.url}/api/operations/${server.op}/commands`;
    const post = (body: string, type = 'application/json') =>
      fetch(at, { method: 'POST', body, headers: { 'content-type': type } });
    expect((await post('{"id": ')).status).toBe(400);
    expect((await post(JSON.stringify({ note: 'a\u0000b' }))).status).toBe(400);
    expect((await post('a=1', 'text/plain')).status).toBe(415);
    expect((await post(JSON.stringify({ note: 'x'.repeat(4_300_000) }))).status).toBe(413);
    expect((await server.ask('GET', `/api/operations/${randomUUID()}/snapshot`)).status).toBe(404);
    expect((await server.ask('GET', '/api/operations/nonsense/snapshot')).status).toBe(400);
    expect((await server.ask('GET', '/api/nothing')).status).toBe(404);
    for (const r of [await post('{"id": '), await fetch(`${server.url}/api/nothing`)]) {
      expect(r.headers.get('content-type')).toMatch(/^application\/problem\+json/);
    }
  });

  it.each([
    ['a character zero', '{"note":"a\\u0000b"}', 400],
    ['another control', '{"note":"a\\u0007b"}', 400],
    ['half a character', '{"note":"a\\ud800b"}', 400],
    ['a million brackets', '['.repeat(1_000_000), 400],
    ['40 MB of numbers', `[${'1,'.repeat(20_000_000)}1]`, 413],
  ])('%s', async (_what, body, status) => {
    const res = await fetch(`${server.url}/api/operations/${server.op}/commands`, {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/json' },
    });
    expect(res.status).toBe(status);
    expect(((await res.json()) as ProblemDocument).errors[0]?.remedy).not.toBe('');
    expect((await server.snapshot()).revision).toBeGreaterThan(0);
  });

  it('a command id used again for something else, though of the same kind; the same in another order is the same', async () => {
    const [first, second] = (await server.snapshot()).records.colony;
    const id = randomUUID();
    const rename = (colonyId: string, name: string) =>
      server.send({ type: 'renameColony', colonyId, name }, id);
    expect((await rename(first?.id ?? '', 'Once')).status).toBe(201);
    expect((await rename(first?.id ?? '', 'Once')).status).toBe(200);
    const turned = { name: 'Once', colonyId: first?.id ?? '', type: 'renameColony' } as const;
    expect((await server.send(turned, id)).status).toBe(200);
    for (const other of [await rename(first?.id ?? '', 'Twice'), await rename(second?.id ?? '', 'Once')])
      expect(other).toMatchObject({ status: 409, body: { type: '/problems/id-taken' } });
  });

  it('a page of another version, which is told the way on; one that only looks is let', async () => {
    const ask = (method: string, version: string) =>
      fetch(`${server.url}/api/operations/${server.op}/${method === 'GET' ? 'snapshot' : 'commands'}`, {
        method,
        headers: { 'incremen-api': version, 'content-type': 'application/json' },
        ...(method === 'POST' && { body: '{}' }),
      });
    const [old, young, looks] = [await ask('POST', '1'), await ask('POST', '999'), await ask('GET', '1')];
    expect([old.status, young.status, looks.status]).toEqual([409, 409, 200]);
    expect(looks.headers.get('incremen-api')).toBe(String(API_VERSION));
    const remedy = async (res: Response) => ((await res.json()) as ProblemDocument).errors[0]?.remedy;
    expect(await remedy(old)).toMatch(/^Open the page anew/);
    expect(await remedy(young)).toMatch(/^Start the newer version on the server/);
  });

  it('a command id used for another command', async () => {
    const id = randomUUID();
    expect((await server.send(countOf('Vetch'), id)).status).toBe(201);
    const other = await server.send(
      { type: 'addYard', yard: { id: randomUUID(), name: 'Third', note: '' } },
      id,
    );
    expect(other.status).toBe(409);
    expect(other.body.errors[0]?.pointer).toBe('/id');
  });
});

describe('taking back', () => {
  it('restores what was, once, and can itself be taken back', async () => {
    const before = await server.snapshot();
    const count = await server.send(countOf('Teasel', { day: '2026-05-15' }));
    const undo = (entryId: string) =>
      server.ask<{ entryId: string; errors?: { code: string }[] }>(
        'POST',
        `/api/operations/${server.op}/undo`,
        { id: randomUUID(), madeAt: '2026-05-15T10:00:00.000Z', entryId },
      );
    const back = await undo(count.body.entryId);
    expect(back.status).toBe(201);
    const after = await server.snapshot();
    expect(after.records).toEqual(before.records);
    expect((await undo(count.body.entryId)).body.errors?.[0]?.code).toBe('undone-already');
    expect((await undo(back.body.entryId)).status).toBe(201);
  });

  it('a hive that was set up goes again with box and frames', async () => {
    const before = await server.snapshot();
    const [yard] = before.records.yard;
    const added = await server.send({
      type: 'addHives',
      yardId: yard?.id ?? '',
      day: '2026-05-15',
      hives: [
        {
          hiveId: randomUUID(),
          standId: randomUUID(),
          colonyId: randomUUID(),
          name: 'Short-lived',
          boxes: [
            {
              id: randomUUID(),
              sizeId: 'langstroth-deep',
              slots: 10,
              role: 'brood',
              frames: [{ id: randomUUID(), slot: 1, blank: 'drawn', combYear: null }],
            },
          ],
        },
      ],
    });
    expect(added.status).toBe(201);
    const back = await server.ask('POST', `/api/operations/${server.op}/undo`, {
      id: randomUUID(),
      madeAt: '2026-05-15T10:00:00.000Z',
      entryId: added.body.entryId,
    });
    expect(back.status).toBe(201);
    expect((await server.snapshot()).records).toEqual(before.records);
  });

  it('a count that was entered late is found among the older readings', async () => {
    const late = await server.send(countOf('Borage', { day: '2026-05-02' }));
    expect(late.status).toBe(201);
    await server.orm.em
      .getConnection()
      .execute('update operation set revision = revision + 1 where id = ?', [server.op]);
    const back = await server.ask('POST', `/api/operations/${server.op}/undo`, {
      id: randomUUID(),
      madeAt: '2026-05-15T10:00:00.000Z',
      entryId: late.body.entryId,
    });
    expect(back.status).toBe(201);
  });
});

describe('what the answers carry', () => {
  it('a strict content security policy, no server name', async () => {
    const res = await fetch(`${server.url}/api/health`);
    expect(res.headers.get('content-security-policy')).toMatch(/default-src 'self'/);
    // The prover is WebAssembly; scripts from text stay forbidden.
    expect(res.headers.get('content-security-policy')).toContain("script-src 'self' 'wasm-unsafe-eval';");
    expect(res.headers.get('x-powered-by')).toBeNull();
  });

  it('nothing for a page that comes under another host name', async () => {
    const status = await new Promise<number>((resolve, reject) => {
      get(`${server.url}/api/operations`, { headers: { host: 'elsewhere.example' } }, (r) =>
        resolve(r.statusCode ?? 0),
      ).on('error', reject);
    });
    expect(status).toBe(421);
  });
});
