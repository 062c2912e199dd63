import { randomUUID } from 'node:crypto';
import { bothSides } from '@incremen/core/comb';
import { noEvidence, type Command, type Visit } from '@incremen/core/records';
import type { JournalPage, OlderVisits, Readings } from '@incremen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestServer } from '../testing/testServer.ts';

let server: TestServer;
let colonyId: string;
let frameIds: string[];
const counts: string[] = [];

const path = (rest: string) => `/api/operations/${server.op}${rest}`;
const older = async (query = '') =>
  (await server.ask<OlderVisits>('GET', path(`/visits${query}`))).body.visits;
/** The records as a server that has just started reads them from the tables. */
async function readAnew() {
  await server.orm.em
    .getConnection()
    .execute('update operation set revision = revision + 1 where id = ?', [server.op]);
  return (await server.snapshot()).records;
}
const countOn = (time: string, visitId: string): Command => ({
  type: 'recordCount',
  visitId,
  colonyId,
  day: '2026-05-15',
  time,
  note: '',
  readings: frameIds.map((frameId) => ({
    id: randomUUID(),
    frameId,
    body: bothSides({ honey: 3, drawn: 7 }, 4) as never,
  })),
});

beforeAll(async () => {
  server = await TestServer.start();
  const { records } = await server.snapshot();
  const colony = records.colony.find((c) => c.name === 'Yarrow');
  colonyId = colony?.id ?? '';
  const boxes = new Set(records.box.filter((b) => b.hiveId === colony?.hiveId).map((b) => b.id));
  frameIds = records.frame.filter((f) => f.boxId !== null && boxes.has(f.boxId)).map((f) => f.id);
  for (let hour = 0; hour < 9; hour++) {
    const visitId = randomUUID();
    counts.push(visitId);
    await server.send(countOn(`0${hour}:00`, visitId));
  }
});
afterAll(() => server.stop());

describe('visits', () => {
  it('of which newer counts have replaced everything are not fetched with the records, and come by request', async () => {
    const { visit } = await readAnew();
    const own = visit.filter((v) => v.colonyId === colonyId).map((v) => v.id);
    expect(own).toEqual(expect.arrayContaining(counts.slice(-4)));
    for (const id of counts.slice(0, 3)) expect(own).not.toContain(id);
    const asked = await older(`?colony=${colonyId}`);
    expect(asked.map((v) => v.id)).toEqual(expect.arrayContaining(counts.slice(0, 3)));
    // Every visit is in one of the two, and in one only; latest first.
    const all: { n: string }[] = await server.orm.em
      .getConnection()
      .execute('select count(*) as n from visit where operation_id = ?', [server.op]);
    expect(visit.length + (await older()).length).toBe(Number(all[0]?.n));
    const days = asked.map((v) => `${v.day} ${v.time}`);
    expect(days).toEqual(days.toSorted().toReversed());
  });

  it('come with the readings that were made on them', async () => {
    const { body } = await server.ask<Readings>('GET', path(`/readings?colony=${colonyId}`));
    const known = new Set(body.visits.map((v) => v.id));
    expect(body.readings.every((r) => r.visitId !== null && known.has(r.visitId))).toBe(true);
    expect(known).toContain(counts[0]);
  });

  it('that are not among the records are not forgotten: their id is taken, undoing them meets what came since', async () => {
    await readAnew();
    const again = await server.send(countOn('09:30', counts[0] ?? ''));
    expect(again.status).toBe(409);
    expect(again.body.errors[0]?.code).toBe('id-taken');
    const journal: JournalPage = (await server.ask<JournalPage>('GET', path('/journal'))).body;
    const first = journal.entries.filter((e) => e.type === 'recordCount')[8];
    const undo = (entryId: string | undefined) =>
      server.ask('POST', path('/undo'), { id: randomUUID(), madeAt: '2026-05-15T12:00:00Z', entryId });
    expect((await undo(first?.id)).status).toBe(409);
    // Back through all of them, the older ones are shown again.
    for (const entry of journal.entries.slice(0, 9)) expect((await undo(entry.id)).status).toBe(201);
    expect((await older(`?colony=${colonyId}`)).some((v) => counts.includes(v.id))).toBe(false);
  });

  it('on which something was seen stay two years, and longer where they tell what became of the queen of a part', async () => {
    const { colony } = await server.snapshot().then((s) => s.records);
    const part = colony.find((c) => c.separation !== null);
    const insert = async (of: string, day: string, evidence: Visit['evidence']) => {
      const id = randomUUID();
      await server.orm.em
        .getConnection()
        .execute(
          `insert into visit (id, operation_id, colony_id, day, purpose, note, evidence) values (?, ?, ?, ?, 'look', '', ?::jsonb)`,
          [id, server.op, of, day, evidence && JSON.stringify(evidence)],
        );
      return id;
    };
    await server.orm.em
      .getConnection()
      .execute(`update colony set separation = jsonb_set(separation, '{day}', '"2023-05-01"') where id = ?`, [
        part?.id,
      ]);
    const seen = { ...noEvidence(10), eggs: { look: 'found', perCell: 'one', place: 'unsure' } } as const;
    for (let day = 1; day <= 6; day++) {
      await insert(colonyId, `2026-05-0${day}`, null);
      await insert(part?.id ?? '', `2026-05-0${day}`, null);
    }
    const stay = [
      await insert(colonyId, '2024-06-01', seen),
      await insert(part?.id ?? '', '2023-06-10', seen),
    ];
    const go = [
      await insert(colonyId, '2023-06-10', seen),
      await insert(part?.id ?? '', '2023-12-10', seen),
      await insert(colonyId, '2024-06-01', null),
    ];
    const kept = new Set((await readAnew()).visit.map((v) => v.id));
    expect(stay.map((id) => kept.has(id))).toEqual([true, true]);
    expect(go.map((id) => kept.has(id))).toEqual([false, false, false]);
  });

  it('asked for in another way are refused', async () => {
    expect((await server.ask('GET', path('/visits?colony=x'))).status).toBe(400);
    expect((await server.ask('GET', path('/visits?before=1'))).status).toBe(400);
  });
});
