import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../basics/day.ts';
import { bothSides } from '../comb/contents.ts';
import { DEMO_DAY, demoScenario } from '../demo/scenario.ts';
import { seededIds } from '../demo/seededIds.ts';
import { applyChanges, type Change } from '../records/change.ts';
import type { Command, CommandOf } from '../records/commands.ts';
import type { Apiary, Colony } from '../records/records.ts';
import { framesOfColony } from '../records/views.ts';
import { generatedYards } from '../testing/generatedYards.ts';
import { caps, cells, eggs, NO, queen, read, YES } from '../testing/queenLooks.ts';
import { sampleSize } from '../testing/sampleSize.ts';
import { decide } from './decide.ts';
import { nearbyOf } from './nearby.ts';
import { summarise } from './summarise.ts';

const evidence = fc.record(
  {
    eggs: fc.constantFrom(NO, eggs(), eggs('several', 'walls')),
    youngLarvae: fc.constantFrom(NO, YES),
    cappedBrood: fc.constantFrom(NO, caps('flat', 'compact'), caps('domed', 'scattered')),
    cells: fc.constantFrom(NO, cells('capped'), cells('charged'), cells('emerged', 1)),
    queen: fc.constantFrom(NO, queen('long'), queen('slim')),
  },
  { requiredKeys: [] },
);
const entry = fc.record({
  colony: fc.nat(),
  after: fc.integer({ min: 0, max: 40 }),
  how: fc.constantFrom('count' as const, 'look' as const, 'both' as const),
  bees: fc.integer({ min: 0, max: 10 }),
  queenSeen: fc.boolean(),
  seen: evidence,
});
type Entry = typeof entry extends fc.Arbitrary<infer T> ? T : never;

const living = (apiary: Apiary): Colony[] =>
  Object.values(apiary.colony)
    .filter((c) => c.endedOn === null)
    .toSorted((a, b) => a.id.localeCompare(b.id));

function commandOf(
  apiary: Apiary,
  { colony, after, how, bees, queenSeen, seen }: Entry,
  newId: () => string,
): Command {
  const all = living(apiary);
  const of = all[colony % all.length]!;
  const day = addDays(DEMO_DAY, after);
  const ids = () => Array.from({ length: 12 }, newId);
  const count: CommandOf<'recordCount'> = {
    type: 'recordCount',
    visitId: newId(),
    colonyId: of.id,
    day,
    note: '',
    newIds: ids(),
    ...(how === 'count' && { evidence: null }),
    readings: framesOfColony(apiary, of).map((f, i) => ({
      id: newId(),
      frameId: f.frame.id,
      body: bothSides({ capped: 3, open: 2, honey: 2, drawn: 3 }, bees, {
        queenSeen: queenSeen && i === 3,
      }) as never,
    })),
  };
  const due = Object.values(apiary.followUp).find((f) => f.status === 'open' && f.colonyIds.includes(of.id));
  const look: CommandOf<'recordLook'> = {
    type: 'recordLook',
    followUpId: due?.id ?? null,
    day,
    note: '',
    parts: (due?.colonyIds ?? [of.id]).map((colonyId) => ({
      visitId: newId(),
      colonyId,
      evidence: read(seen),
    })),
    newIds: ids(),
  };
  return how === 'count' ? count : how === 'look' ? look : { type: 'batch', commands: [count, look] };
}

/** A count of which only the colony matters. */
const countOf = ({ id }: Colony): CommandOf<'recordCount'> => ({
  type: 'recordCount',
  visitId: id,
  colonyId: id,
  day: DEMO_DAY,
  note: '',
  readings: [],
});

/** Enters one after the other, on the whole and on what is near; changes gather as on a server between two folds. */
function sameOnBoth(start: Apiary, entries: readonly Entry[]): number {
  const newId = seededIds(entries.length + 7);
  let whole = start;
  const later: Change[] = [];
  let carriedOut = 0;
  for (const one of entries) {
    const command = commandOf(whole, one, newId);
    const near = nearbyOf(start, later, command);
    if (!near) throw new Error('a count and an inspection stay within their yards');
    const decided = decide(whole, command);
    expect(decide(near, command)).toEqual(decided);
    expect(summarise(near, command)).toBe(summarise(whole, command));
    if (!decided.ok) continue;
    carriedOut++;
    whole = applyChanges(whole, decided.value);
    later.push(...decided.value);
  }
  return carriedOut;
}

describe('what is near a count or an inspection', () => {
  it('decides as the whole does, in two yards with work, swarms and moves behind them', () => {
    const { apiary } = demoScenario();
    let carriedOut = 0;
    fc.assert(
      fc.property(fc.array(entry, { minLength: 1, maxLength: 6 }), (entries) => {
        carriedOut += sameOnBoth(apiary, entries);
      }),
      { numRuns: sampleSize(40, 1500) },
    );
    expect(carriedOut).toBeGreaterThan(20);
  });

  it('decides as the whole does in a large yard in which nothing was done between hives, and is a hive of it', () => {
    const apiary = generatedYards({ colonies: 24, yards: 1 });
    fc.assert(
      fc.property(fc.array(entry, { minLength: 1, maxLength: 6 }), (entries) => {
        sameOnBoth(apiary, entries);
      }),
      { numRuns: sampleSize(25, 800) },
    );
    const [own, other] = living(apiary);
    const near = nearbyOf(apiary, [], countOf(own!));
    const frames = (a: Apiary | null) => Object.keys(a?.frame ?? {}).length;
    expect(frames(near)).toBeLessThan(frames(apiary) / 4);
    // A comb that was hung into it from another hive since then is its own.
    const [comb] = framesOfColony(apiary, other!);
    const box = framesOfColony(apiary, own!)[0]!.box;
    const moved = { ...comb!.frame, boxId: box.id, slot: 10 };
    const later: Change[] = [{ kind: 'frame', id: moved.id, before: comb!.frame, after: moved }];
    const withIt = nearbyOf(apiary, later, countOf(own!));
    expect(withIt?.frame[moved.id]).toEqual(moved);
  });

  it('is no more than the yard of it, and the store', () => {
    const apiary = generatedYards({ colonies: 30, yards: 10 });
    const of = living(apiary)[0]!;
    const command = countOf(of);
    const near = nearbyOf(apiary, [], command);
    const count = (a: Apiary | null) => Object.keys(a?.frame ?? {}).length;
    expect(count(near)).toBeLessThan(count(apiary) / 4);
    // What reaches further has no part that would do.
    expect(nearbyOf(apiary, [], { type: 'renameColony', colonyId: of.id, name: 'Otter' })).toBeNull();
    expect(
      nearbyOf(apiary, [], {
        type: 'batch',
        commands: [command, { type: 'setKit', what: 'box', count: 1 } as never],
      }),
    ).toBeNull();
  });
});
