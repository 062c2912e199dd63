import ICAL from 'ical.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestServer } from '../testing/testServer.ts';

describe('the calendar of follow-ups', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await TestServer.start();
  });
  afterAll(() => server.stop());

  async function events(query = '') {
    const res = await fetch(`${server.url}/api/operations/${server.op}/calendar.ics${query}`);
    expect(res.headers.get('content-type')).toBe('text/calendar; charset=utf-8');
    // Read by a reference library (Mozilla's ical.js).
    const calendar = new ICAL.Component(ICAL.parse(await res.text()) as unknown[]);
    return calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
  }

  it('has every open follow-up, looks on their likeliest day and rest as long as it is', async () => {
    const { records } = await server.snapshot();
    const open = records.followUp.filter((f) => f.status === 'open');
    const found = await events('?day=2026-05-15');
    expect(found.map((e) => e.uid).toSorted()).toEqual(open.map((f) => f.id).toSorted());
    const look = open.find((f) => f.kind === 'look' && f.window.latest >= '2026-05-15');
    const event = found.find((e) => e.uid === look?.id);
    expect(event?.startDate.toString()).toBe(look?.window.likely);
    expect(event?.description).toContain(look?.expect);
    // A reminder at six the evening before (RFC 5545, 3.6.6); days of rest need none.
    const alarm = event?.component.getFirstSubcomponent('valarm');
    expect(alarm?.getFirstPropertyValue('trigger')?.toString()).toBe('-PT6H');
    const rest = open.find((f) => f.kind === 'hands-off');
    const days = found.find((e) => e.uid === rest?.id);
    expect(days?.startDate.toString()).toBe(rest?.window.earliest);
    expect(days && days.endDate.toString() > (rest?.window.latest ?? '')).toBe(true);
  });

  it('puts an overdue look on today, and keeps to one yard when asked', async () => {
    const later = await events('?day=2026-12-01');
    const overdue = later.filter((e) => e.summary.startsWith('Overdue: '));
    expect(overdue.length).toBeGreaterThan(0);
    expect(overdue.every((e) => e.startDate.toString() === '2026-12-01')).toBe(true);
    const { records } = await server.snapshot();
    const all = await events();
    const byYard = await Promise.all(records.yard.map((y) => events(`?yard=${y.id}`)));
    expect(byYard.reduce((n, list) => n + list.length, 0)).toBe(all.length);
  });

  it('refuses a yard or day that is none', async () => {
    for (const query of ['?yard=here', '?day=today']) {
      expect((await server.ask('GET', `/api/operations/${server.op}/calendar.ics${query}`)).status).toBe(400);
    }
  });
});
