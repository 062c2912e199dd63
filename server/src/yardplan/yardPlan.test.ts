import type { ProblemDocument, YardPlanAnswer } from '@incremen/contract';
import { NUC_RECIPES } from '@incremen/core/records';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { TestServer } from '../testing/testServer.ts';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const path = () => `/api/operations/${server.op}/yard-plan`;
const bank = async () => {
  const { body } = await server.ask<{ records: { yard: { id: string; name: string }[] } }>(
    'GET',
    `/api/operations/${server.op}/snapshot`,
  );
  return body.records.yard.find((y) => y.name === 'Sallow Bank')?.id ?? '';
};
const question = async (count: number | null, more: object = {}) => ({
  request: {
    yardIds: [await bank()],
    day: '2026-05-15',
    goals: [{ id: 'n', kind: 'makeNucs', count, recipe: NUC_RECIPES[0]?.recipe }],
  },
  rounds: 2,
  ...more,
});

describe('a plan worked out by the server', () => {
  it('is the same each time, with a bound that it does not beat', async () => {
    const first = await server.ask<YardPlanAnswer>('POST', path(), await question(2));
    expect(first.status).toBe(200);
    expect(first.body.nucsMade).toBe(2);
    expect(first.body.faults).toEqual([]);
    expect(first.body.bound).not.toBeNull();
    expect(first.body.cost).toBeGreaterThanOrEqual(first.body.bound ?? Infinity);
    const again = await server.ask<YardPlanAnswer>('POST', path(), await question(2));
    const moves = (a: YardPlanAnswer) => a.plan.body.moves.map((m) => [m.frameId, m.from, m.to?.slot]);
    expect(moves(again.body)).toEqual(moves(first.body));
  });

  it('says what is missing when too much is asked', async () => {
    const { body } = await server.ask<YardPlanAnswer>('POST', path(), await question(15));
    expect(body.nucsMade).toBeLessThan(15);
    expect(body.shortages.length).toBeGreaterThan(0);
  });

  it('says how many nucs there can be at most, and makes as many', async () => {
    const asked = await question(null, { prove: 'thorough' });
    const { body } = await server.ask<YardPlanAnswer>('POST', path(), asked);
    expect(body.faults).toEqual([]);
    expect(body.mostNucs).toBeGreaterThan(0);
    expect(body.nucsMade).toBe(body.mostNucs);
    expect(body.gap).toBeLessThan(0.1);
    // Nucs have the first keys, without gaps.
    const keys = body.plan.body.units
      .filter((u) => u.state === 'new')
      .map((u) => Number(u.key.split('/').at(-1)));
    expect(keys).toEqual(keys.map((_, n) => n + 1));
  });

  it('is refused with the place and the remedy when it cannot be', async () => {
    const asked = await question(1);
    const recipe = { ...NUC_RECIPES[0]?.recipe, slots: 3, storesCombs: 4 };
    const bad = {
      ...asked,
      request: { ...asked.request, goals: [{ id: 'n', kind: 'makeNucs', count: 1, recipe }] },
    };
    const refused = await server.ask<ProblemDocument>('POST', path(), bad);
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body)).toContain('Its box holds 3');
    const nonsense = await server.ask<ProblemDocument>('POST', path(), { request: { goals: 'all' } });
    expect(nonsense.status).toBe(400);
    const unknown = await server.ask(
      'POST',
      path().replace(server.op, '00000000-0000-4000-8000-000000000000'),
      asked,
    );
    expect(unknown.status).toBe(404);
  });
});
