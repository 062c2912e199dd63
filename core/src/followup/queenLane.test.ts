import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/day.ts';
import { PartYard } from '../testing/partYard.ts';
import { cells, eggs, NO, queen } from '../testing/queenLooks.ts';
import { queenLane, type LaneEventId } from './queenLane.ts';

const LOST = '2026-05-09';

function laneOf(yard: PartYard, day: string, flying?: ReadonlyMap<string, boolean>) {
  const lane = queenLane(yard.apiary, yard.part, day, flying);
  if (!lane) throw new Error('no lane');
  const on = (id: LaneEventId) => lane.events.find((e) => e.id === id)?.window;
  return { ...lane, on };
}

describe('the lane of a part that raises its queen', () => {
  it('is the worked calendar of a part that lost its queen on 9 May (hand-worked from the development clock)', () => {
    const { on, handsOff, decideBy } = laneOf(new PartYard(LOST), LOST);
    expect(on('emerges')).toEqual({ earliest: '2026-05-19', likely: '2026-05-21', latest: '2026-05-25' });
    expect(handsOff).toEqual({ from: '2026-05-21', to: '2026-06-04' });
    expect(on('eggs')).toEqual({ earliest: '2026-05-29', likely: '2026-06-02', latest: '2026-06-11' });
    expect(on('cappings')?.earliest).toBe('2026-06-07');
    expect(on('broodless')).toMatchObject({ earliest: '2026-05-30', latest: '2026-06-11' });
    expect(on('new-bees')?.likely).toBe('2026-06-23');
    expect(decideBy).toBe('2026-06-18');
  });

  it('a larva about six days old in the cup: capped in none or two days, out in about seven to ten', () => {
    const yard = new PartYard(LOST);
    yard.see('2026-05-15', {
      cells: { look: 'found', cells: [{ kind: 'charged', count: 1, larvaAgeDays: 4 }] },
    });
    const { on, changes } = laneOf(yard, '2026-05-15');
    expect(on('emerges')?.likely).toBe('2026-05-24');
    expect(changes).toHaveLength(1);
    expect(changes[0]?.because).toContain('Larva about 4 days old in the cup');
    expect(changes[0]).toMatchObject({ was: '2026-05-21', now: '2026-05-24' });
  });

  it('only narrows what capped cells leave open', () => {
    const yard = new PartYard(LOST);
    yard.see('2026-05-17', { cells: cells('capped') });
    const { emergence } = laneOf(yard, '2026-05-17');
    expect(emergence.earliest >= '2026-05-19').toBe(true);
    expect(emergence.latest <= '2026-05-25').toBe(true);
  });

  it('a cell that has opened fixes the day, and all that follows', () => {
    const yard = new PartYard(LOST);
    yard.see('2026-05-20', { cells: cells('emerged', 1) });
    const { on, changes } = laneOf(yard, '2026-05-20');
    expect(on('emerges')?.latest).toBe('2026-05-20');
    expect(on('eggs')?.likely).toBe('2026-06-01');
    expect(changes.at(-1)?.because).toContain('she is out');
  });

  it('a cell that has opened before it could be is pointed out with both facts, and kept', () => {
    const yard = new PartYard(LOST);
    yard.see('2026-05-14', { cells: cells('open', 2) });
    yard.see('2026-05-16', { cells: cells('emerged', 1) });
    const { contradictions, on } = laneOf(yard, '2026-05-16');
    expect(contradictions).toHaveLength(1);
    expect(contradictions[0]).toContain('Sat 16 May');
    expect(contradictions[0]).toContain('none can be out before');
    expect(on('emerges')?.latest).toBe('2026-05-16');
  });

  it('cells that are younger than the loss allows are told beside it', () => {
    const yard = new PartYard(LOST);
    yard.see('2026-05-27', {
      cells: { look: 'found', cells: [{ kind: 'charged', count: 1, larvaAgeDays: 1 }] },
    });
    const { contradictions, emergence } = laneOf(yard, '2026-05-27');
    expect(contradictions[0]).toContain('The cells rule now');
    expect(emergence.likely > '2026-06-05').toBe(true);
  });

  it('eggs end the waiting; those of the old queen do not', () => {
    const yard = new PartYard(LOST);
    yard.see('2026-05-10', { eggs: eggs() });
    expect(laneOf(yard, '2026-05-10').laying).toBe(false);
    yard.see('2026-06-03', { eggs: eggs('one', 'bottom'), queen: queen('long'), cells: NO });
    // She is on record now: the lane is done with.
    expect(queenLane(yard.apiary, yard.part, '2026-06-03')?.laying ?? true).toBe(true);
  });

  // She emerges on 21 May and flies from the 27th on.
  const weather = (from: string, ...flies: boolean[]) =>
    new Map(flies.map((f, n) => [addDays(from, n), f] as const));
  const [N, Y] = [false, true];

  it('waits for mating weather, and says so', () => {
    const yard = new PartYard(LOST);
    const { on, changes } = laneOf(yard, '2026-05-27', weather('2026-05-27', N, N, N, N, N, N, Y, Y));
    expect(on('eggs')?.likely).toBe('2026-06-05');
    expect(changes.at(-1)?.because).toContain('No mating weather before Tue 2 Jun: eggs may come 4 days');
  });

  it('remembers good days that are over', () => {
    const yard = new PartYard(LOST);
    const { on, changes } = laneOf(yard, '2026-06-04', weather('2026-05-27', N, Y, N, N, N, N, N, N, N, Y));
    expect(changes).toEqual([]);
    expect(on('eggs')?.likely).toBe('2026-06-02');
  });

  it('says nothing of days whose weather nobody knows', () => {
    const yard = new PartYard(LOST);
    // Asked for the first time on 4 June: she may have flown long before.
    const { on, changes } = laneOf(yard, '2026-06-04', weather('2026-06-04', N, N, Y));
    expect(changes).toEqual([]);
    expect(on('eggs')?.likely).toBe('2026-06-02');
  });

  it('counts on a flight no earlier than the day after all that is foretold', () => {
    const yard = new PartYard(LOST);
    const { changes } = laneOf(yard, '2026-05-27', weather('2026-05-27', N, N, N, N, N));
    expect(changes.at(-1)?.because).toContain('No mating weather up to Sun 31 May');
    expect(changes.at(-1)?.now).toBe('2026-06-01');
  });

  it('is none for a colony with its queen', () => {
    const yard = new PartYard(LOST);
    expect(queenLane(yard.apiary, yard.colony('Wicket Old'), LOST)).toBeNull();
  });

  it('keeps every window in order, whatever is seen and whenever', () => {
    for (let n = 0; n < 40; n++) {
      const yard = new PartYard(LOST);
      const day = addDays(LOST, 1 + ((n * 7) % 30));
      const kind = (['cup', 'charged', 'open', 'capped', 'emerged', 'torn'] as const)[n % 6] ?? 'open';
      yard.see(day, { cells: cells(kind, 1) });
      for (const e of laneOf(yard, day).events) {
        expect([e.window.earliest, e.window.likely, e.window.latest].toSorted()).toEqual([
          e.window.earliest,
          e.window.likely,
          e.window.latest,
        ]);
      }
    }
  });
});
