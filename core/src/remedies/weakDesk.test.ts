import { describe, expect, it } from 'vitest';
import { bothSides } from '../comb/contents.ts';
import { demoScenario, DEMO_DAY } from '../demo/scenario.ts';
import { NEST, withQueen } from '../testing/nests.ts';
import { caps, eggs, NO, queen } from '../testing/queenLooks.ts';
import { PartYard } from '../testing/partYard.ts';
import { NO_NURSES, WEAK_DAY, WeakYard } from '../testing/weakYard.ts';
import { hiveUpWindow } from './hiveUpWindow.ts';
import { nucReserve } from './spares.ts';
import { allFacts } from './remedies.ts';
import { weakDesk } from './weakDesk.ts';

const MILD = { coldNights: false };

describe('the desk for weak units', () => {
  it('has the weak, not the strong, and not a part that raises its queen in its time', () => {
    const yard = new WeakYard(NO_NURSES);
    yard.look(yard.weak, { eggs: eggs() });
    expect(weakDesk(yard.apiary, WEAK_DAY, MILD).units.map((u) => u.facts.colony.name)).toEqual(['Nettle']);
    const part = new PartYard('2026-05-09');
    expect(weakDesk(part.apiary, '2026-05-20', MILD).units.map((u) => u.facts.colony.name)).toEqual([]);
  });

  it('a part past its last date is judged by what is left before winter', () => {
    const part = new PartYard('2026-07-11');
    const [unit] = weakDesk(part.apiary, '2026-08-20', MILD).units.filter((u) => u.pastLast);
    expect(unit?.facts.colony.name).toBe('Wicket');
    expect(unit?.on).toBe('2026-10-14');
    const free = unit?.remedies.filter((r) => r.blocked === null).map((r) => r.id) ?? [];
    expect(free).toContain('combine');
    expect(free).not.toContain('give-cell');
  });

  it('puts what may be sick before all', () => {
    const yard = new WeakYard(NO_NURSES);
    yard.look(yard.weak, { eggs: NO, cells: NO });
    yard.look(yard.colony('Bryony'), { diseaseSigns: { look: 'found', signs: ['sunken-caps'] } });
    expect(weakDesk(yard.apiary, WEAK_DAY, MILD).units[0]?.facts.colony.name).toBe('Bryony');
  });

  it('reads the demonstration without fail', () => {
    const { apiary } = demoScenario();
    const desk = weakDesk(apiary, DEMO_DAY, MILD);
    expect(desk.units.map((u) => u.facts.colony.name)).toContain('Burnet');
    for (const u of desk.units) expect(u.remedies.some((r) => r.blocked === null)).toBe(true);
  });
});

describe('hiving up', () => {
  const nuc = (combs: Parameters<typeof withQueen>[0][], slots = 6) => {
    const yard = new WeakYard(combs, slots);
    yard.look(yard.weak, { eggs: eggs(), queen: queen('long'), cappedBrood: caps('flat', 'compact') });
    return yard;
  };
  const windowOf = (yard: WeakYard, day = WEAK_DAY) => {
    const facts = allFacts(yard.apiary, day, MILD).find((f) => f.colony.id === yard.weak.id);
    return facts ? hiveUpWindow(facts) : null;
  };

  it('four brood of six, bees on all: ready now, not "when there are six" (common practice, no source)', () => {
    const yard = nuc([
      NEST.honey(8),
      NEST.capped(8, 10),
      withQueen(NEST.open(8, 10)),
      NEST.capped(8, 10),
      NEST.open(8, 10),
      NEST.honey(8),
    ]);
    expect(windowOf(yard)).toMatchObject({ ready: WEAK_DAY });
    expect(windowOf(yard)?.words).toContain('Ready now');
  });

  it('a young nuc is ready on a later day, before the last that makes sense', () => {
    const yard = nuc([
      NEST.honey(4),
      NEST.capped(8, 9),
      withQueen(NEST.open(6, 8)),
      bothSides({ drawn: 10 }, 5),
      bothSides({ drawn: 10 }, 3),
      NEST.honey(4),
    ]);
    const window = windowOf(yard);
    expect(window?.ready).not.toBeNull();
    expect(window?.ready ?? '').toMatch(/^2026-0[56]/);
    expect(window?.last).toBe('2026-08-19');
  });

  it('late in the year it is wintered as a nuc', () => {
    const yard = nuc([NEST.honey(8), NEST.capped(8, 10), withQueen(NEST.open(8, 10)), NEST.honey(8)], 5);
    yard.recount('2026-08-30');
    yard.look(yard.weak, { eggs: eggs(), queen: queen('long') }, '2026-08-30');
    expect(windowOf(yard, '2026-08-30')?.words).toContain('Too late this year');
  });

  it('a colony in a full-sized box, or without a queen, is none', () => {
    const yard = nuc([NEST.honey(8), withQueen(NEST.open(8, 10))], 10);
    expect(windowOf(yard)).toBeNull();
  });

  it('counts the reserve against the house rule', () => {
    const yard = nuc([NEST.honey(8), withQueen(NEST.open(8, 10)), NEST.capped(8, 10)]);
    const all = allFacts(yard.apiary, WEAK_DAY, MILD);
    expect(nucReserve(all, WEAK_DAY)).toMatchObject({ has: 1, wants: 0 });
    const many = Array.from({ length: 15 }, () => all.filter((f) => f.slots === 10)).flat();
    const reserve = nucReserve(many, WEAK_DAY);
    expect(reserve.has).toBe(0);
    expect(reserve.wants).toBeGreaterThanOrEqual(3);
    expect(reserve.words).toMatch(/Short by \d+: make \d+/);
  });
});
