import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/day.ts';
import { noEvidence, type Evidence } from '../records/bodies/evidence.ts';
import { judgeParts } from './judgeParts.ts';
import { judgePart } from './judgePart.ts';
import type { PartHistory } from './verdict.ts';

// The judgements below are those of good practice (common practice, no source); the days behind them
// follow from the development clock of Winston 1987.

const notFound = { look: 'notFound' } as const;
const found = { look: 'found' } as const;
const eggsFound = { look: 'found', perCell: 'one', place: 'bottom' } as const;
const read = (change: Partial<Evidence>): Evidence => ({
  ...noEvidence(10),
  framesRead: 10,
  eggs: notFound,
  cells: notFound,
  ...change,
});
const cells = (
  ...list: { kind: 'cup' | 'charged' | 'open' | 'capped' | 'emerged' | 'torn'; count: number }[]
) => ({ look: 'found', cells: list }) as const;
const split = (separatedOn: string, rest: Partial<PartHistory> = {}): PartHistory => ({
  name: 'Upper',
  separatedOn,
  emergence: null,
  earlier: [],
  surplusOut: false,
  came: null,
  maySwarm: null,
  gifts: [],
  ...rest,
});

describe('which half has the queen', () => {
  const upper = { id: 'u', history: split('2026-05-04') };
  const lower = { id: 'l', history: { ...split('2026-05-04'), name: 'Lower' } };

  it('day 7: eggs above, six cells and no eggs below: queen above, lower is raising', () => {
    const joint = judgeParts(
      [
        { ...upper, seen: read({ eggs: eggsFound, cells: { look: 'notLooked' } }) },
        { ...lower, seen: read({ cells: cells({ kind: 'open', count: 6 }) }) },
      ],
      '2026-05-11',
    );
    expect(joint.queenIn).toBe('u');
    expect(joint.parts.map((p) => [p.verdict?.finding, p.verdict?.certainty])).toEqual([
      ['has-queen', 'proved'],
      ['raising', 'proved'],
    ]);
    expect(joint.parts[0]?.verdict?.next[0]?.what).toMatch(/every frame for swarm cells/);
    expect(joint.parts[0]?.verdict?.reasons[0]).toContain('laid on day 4');
    expect(joint.headline).toBe('The queen is in Upper; Lower is raising one.');
    // Where every comb was read for them it is not asked again.
    const all = judgeParts([{ ...upper, seen: read({ eggs: eggsFound }) }], '2026-05-11');
    expect(all.parts[0]?.verdict?.next.some((n) => n.what.includes('swarm cells, then close'))).toBe(false);
  });

  it('day 2: eggs in both say nothing; look from day 4, best day 7', () => {
    const joint = judgeParts(
      [
        { ...upper, seen: read({ eggs: eggsFound }) },
        { ...lower, seen: read({ eggs: eggsFound }) },
      ],
      '2026-05-06',
    );
    expect(joint.queenIn).toBeNull();
    for (const p of joint.parts) {
      expect(p.verdict?.finding).toBe('too-early');
      expect(p.verdict?.next[0]?.window).toMatchObject({ earliest: '2026-05-08', likely: '2026-05-11' });
    }
    expect(joint.headline).toBe('Too early to say, from Fri 8 May');
  });

  it('holds the verdict while one part is unread and the other shows no eggs', () => {
    const joint = judgeParts(
      [
        { ...upper, seen: null },
        { ...lower, seen: read({ cells: cells({ kind: 'open', count: 2 }) }) },
      ],
      '2026-05-11',
    );
    expect(joint.queenIn).toBeNull();
    expect(joint.headline).toContain('Upper');
  });

  it('names no queen when both parts have eggs on day 7', () => {
    const seen = read({ eggs: eggsFound });
    const joint = judgeParts(
      [
        { ...upper, seen },
        { ...lower, seen },
      ],
      '2026-05-11',
    );
    expect(joint.queenIn).toBeNull();
    expect(joint.headline).toMatch(/more than one part/);
  });
});

describe('a part without eggs', () => {
  const lost = '2026-04-20';
  const judge = (n: number, seen: Evidence, rest: Partial<PartHistory> = {}) =>
    judgePart(split(lost, rest), addDays(lost, n), seen);

  it('day 7, no eggs, no cells: hopeless, give eggs today', () => {
    const v = judge(
      7,
      read({ cappedBrood: { look: 'found', cappings: 'flat', patch: 'compact' }, mood: 'restless' }),
    );
    expect(v.finding).toBe('hopeless');
    expect(v.next[0]?.what).toMatch(/frame of eggs/);
    expect(v.next[0]?.window?.likely).toBe(addDays(lost, 7));
  });

  it('day 4, small larvae, one frame unread: not hopeless; read the last frame, look on day 7', () => {
    const v = judge(4, { ...read({ youngLarvae: found }), framesRead: 3, framesTotal: 4 });
    expect(v.finding).toBe('unread');
    expect(v.reasons.join(' ')).toContain('not yet too late');
    expect(v.next.at(-1)?.window?.likely).toBe(addDays(lost, 7));
  });

  it('day 4, all read, small larvae but no cells: still time', () => {
    expect(judge(4, read({ youngLarvae: found })).finding).toBe('still-time');
    expect(judge(5, read({ youngLarvae: notFound })).finding).toBe('hopeless');
  });

  it('day 3: remove the two cells capped too early, leave the five open', () => {
    const v = judge(3, read({ cells: cells({ kind: 'capped', count: 2 }, { kind: 'open', count: 5 }) }));
    expect(v.next[0]?.what).toBe('Remove the 2 capped, leave the 5 open');
  });

  it('day 3: never removes the only cells', () => {
    const v = judge(3, read({ cells: cells({ kind: 'capped', count: 2 }) }));
    expect(v.next[0]?.what).not.toMatch(/^Remove/);
  });

  it('day 6 without a look on day 3: keep capped cells, nobody can tell', () => {
    const v = judge(6, read({ cells: cells({ kind: 'capped', count: 3 }) }));
    expect(v.finding).toBe('raising');
    expect(v.next[0]?.what).toBe('Keep the capped cells');
  });

  it('day 12: cells are not cut by sight any more', () => {
    const v = judge(12, read({ cells: cells({ kind: 'capped', count: 3 }) }));
    expect(v.next[0]?.what).toMatch(/Do not cut/);
  });

  it('an emerged cell means a virgin: leave shut until eggs are due', () => {
    const v = judge(13, read({ cells: cells({ kind: 'emerged', count: 1 }) }));
    expect(v.finding).toBe('virgin-or-mating');
    expect(v.next.some((a) => a.kind === 'leave' && a.window?.latest === addDays(lost, 26))).toBe(true);
  });

  it('waits between cell and first eggs, doubts after them, and stops at four weeks from emergence', () => {
    expect(judge(20, read({})).finding).toBe('virgin-or-mating');
    expect(judge(35, read({})).finding).toBe('unclear');
    expect(judge(41, read({})).finding).toBe('give-up');
  });

  it('an open cell five days ago cannot have emerged: keeps both notes and says why', () => {
    const earlier = [{ day: '2026-04-10', seen: read({ cells: cells({ kind: 'open', count: 3 }) }) }];
    const v = judgePart(
      split('2026-04-03', { earlier }),
      '2026-04-15',
      read({ cells: cells({ kind: 'emerged', count: 1 }, { kind: 'open', count: 2 }) }),
    );
    expect(v.contradictions).toHaveLength(1);
    expect(v.contradictions[0]).toContain('Fri 17 Apr');
  });
});

describe('a part with eggs', () => {
  it('after the new queen is due: eggs are no proof, flat caps nine days on are', () => {
    const v = judgePart(split('2026-05-15', { name: 'Plover' }), '2026-06-17', read({ eggs: eggsFound }));
    expect(v.finding).toBe('eggs-unproved');
    expect(v.next[0]?.window?.likely).toBe('2026-06-26');
    const flat = { look: 'found', cappings: 'flat', patch: 'compact' } as const;
    const later = judgePart(split('2026-05-15'), '2026-06-26', read({ eggs: eggsFound, cappedBrood: flat }));
    expect(later.finding).toBe('mated');
  });

  it('capped brood whose caps nobody looked at closely proves nothing, and says what to look at', () => {
    const unsure = { look: 'found', cappings: 'unsure', patch: 'compact' } as const;
    const seen = read({ eggs: eggsFound, cappedBrood: unsure });
    const v = judgePart(split('2026-05-15'), '2026-06-26', seen);
    expect(v.finding).toBe('eggs-unproved');
    expect(v.reasons.join(' ')).toContain('look closely whether its caps are flat');
    // Before all workers of the old queen have emerged it may be hers.
    const early = judgePart(split('2026-05-15'), '2026-06-05', seen);
    expect(early.reasons.join(' ')).not.toContain('look closely');
  });

  it('does not take flat caps of the old queen for proof of the new one', () => {
    const flat = { look: 'found', cappings: 'flat', patch: 'compact' } as const;
    const v = judgePart(split('2026-05-15'), '2026-06-05', read({ eggs: eggsFound, cappedBrood: flat }));
    expect(v.finding).toBe('eggs-unproved');
  });

  it('several eggs on the walls: laying workers, no bought queen', () => {
    const v = judgePart(
      split('2026-05-01'),
      '2026-06-05',
      read({ eggs: { look: 'found', perCell: 'several', place: 'walls' } }),
    );
    expect(v.finding).toBe('laying-workers');
  });

  it.each([
    ['a queen', { queen: { look: 'found', build: 'slim' } }],
    ['single eggs, the queen not seen', { queen: notFound }],
  ] as const)('domed caps in one patch with %s: she lays drones', (_, more) => {
    const v = judgePart(
      split('2026-05-01'),
      '2026-06-12',
      read({
        eggs: eggsFound,
        cappedBrood: { look: 'found', cappings: 'domed', patch: 'compact' },
        ...more,
      }),
    );
    expect(v.finding).toBe('drone-layer');
  });

  it('cells beside a laying queen are swarm cells', () => {
    const v = judgePart(
      split('2026-05-04'),
      '2026-05-11',
      read({ eggs: eggsFound, cells: cells({ kind: 'charged', count: 2 }) }),
    );
    expect(v.finding).toBe('has-queen');
    expect(v.next[0]?.what).toMatch(/swarm cells/);
  });
});

it('signs of disease come before everything else: nothing is moved', () => {
  const v = judgePart(split('2026-05-04'), '2026-05-11', read({ eggs: eggsFound, diseaseSigns: found }));
  expect(v.finding).toBe('sick');
  expect(v.next[0]?.what).toMatch(/move no comb/);
});

describe('what follows from cells and from eggs that are late', () => {
  const judge = (day: string, seen: Partial<Evidence>, rest: Partial<PartHistory> = {}) =>
    judgePart(split('2026-05-15', rest), day, read(seen));
  const next = (v: ReturnType<typeof judge>, topic: string) => v.next.findLast((a) => a.topic === topic);
  const several = { cells: cells({ kind: 'capped', count: 1 }, { kind: 'open', count: 3 }) };

  it('day 7: the bees choose, but where the plan keeps a chosen cell the others come out', () => {
    expect(judge('2026-05-22', several).next[0]?.what).toBe('Leave the cells; the bees choose');
    const out = judge('2026-05-22', several, { surplusOut: true }).next[0];
    expect(out?.kind).toBe('act');
    expect(out?.what).toContain('Keep one or two of the 4 cells');
    expect(out?.why).toContain('never shake it');
    const single = { cells: cells({ kind: 'capped', count: 1 }) };
    expect(judge('2026-05-22', single, { surplusOut: true }).next[0]?.kind).toBe('leave');
  });

  it('the next look is dated by the cells, not by the day of the split', () => {
    // Open on day 7: an egg of day 0 or later, so she emerges on day 15 or 16 and not on day 12.
    const v = judge('2026-05-22', { cells: cells({ kind: 'open', count: 3 }) });
    expect(next(v, 'rest')?.window?.earliest).toBe('2026-05-30');
    expect(next(v, 'eggs-due')?.window?.likely).toBe('2026-06-16');
    expect(next(judge('2026-05-22', several), 'eggs-due')?.window?.likely).toBe('2026-06-11');
  });

  it('eggs looked for in vain are looked for again, never on a day that is over', () => {
    // She emerges about 27 May: looked for from 10 June, at the latest on 17 June.
    const early = judge('2026-06-12', {});
    expect(early.finding).toBe('virgin-or-mating');
    expect(next(early, 'eggs-due')?.window).toEqual({
      earliest: '2026-06-16',
      likely: '2026-06-16',
      latest: '2026-06-17',
    });
    expect(next(early, 'rest')?.window?.latest).toBe('2026-06-15');
    expect(next(judge('2026-06-15', {}), 'eggs-due')?.window?.likely).toBe('2026-06-17');
    expect(next(judge('2026-06-16', {}), 'eggs-due')?.window?.likely).toBe('2026-06-20');
  });
});
