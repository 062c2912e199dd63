import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, type Day } from '../basics/day.ts';
import { bothSides } from '../comb/contents.ts';
import { judgeLook } from '../decide/deciders/judgingInspection.ts';
import type { Evidence } from '../records/bodies/evidence.ts';
import { applyChanges } from '../records/change.ts';
import type { Command } from '../records/commands.ts';
import { decide } from '../decide/decide.ts';
import { newQueen } from '../records/kinds/queen.ts';
import type { Colony, Queen } from '../records/records.ts';
import { DEFAULT_HOUSE_RULES } from '../rules/houseRules.ts';
import { situationOf } from '../split/base/situation.ts';
import { findMethods } from '../split/methods/findMethods.ts';
import { allFacts, remediesFor } from '../remedies/remedies.ts';
import { TestYard } from '../testing/builders.ts';
import { caps, cells, eggs, NO, queen, read, YES } from '../testing/queenLooks.ts';
import { sampleSize } from '../testing/sampleSize.ts';
import { assess } from './assess.ts';
import { hivesToday } from './hivesToday.ts';

const brood = bothSides({ eggs: 1, open: 2, capped: 4, honey: 2, beeBread: 1 }, 8);
const honey = bothSides({ honey: 9, drawn: 1 }, 5);
const bare = bothSides({ drawn: 8, honey: 2 }, 4);
const cups = { ...brood, cells: [{ kind: 'charged' as const, count: 4 }] };
const NESTS = [
  [honey, brood, brood, brood, brood, honey],
  [honey, bare, bare, honey],
  [bare, brood, brood],
  [honey, cups, brood, honey],
];

/** Careless and careful inspections: anything may be said, or nothing. */
const evidence: fc.Arbitrary<Partial<Evidence>> = fc.record(
  {
    eggs: fc.constantFrom(NO, eggs(), eggs('several', 'walls'), eggs('several', 'bottom')),
    youngLarvae: fc.constantFrom(NO, YES),
    olderLarvae: fc.constantFrom(NO, YES),
    cappedBrood: fc.constantFrom(
      NO,
      caps('flat', 'compact'),
      caps('domed', 'scattered'),
      caps('domed', 'compact'),
    ),
    cells: fc.constantFrom(NO, cells('capped'), cells('charged'), cells('emerged', 1)),
    queen: fc.constantFrom(NO, queen('long'), queen('slim')),
    diseaseSigns: fc.constantFrom(NO, NO, NO, { look: 'found' as const, signs: ['smell' as const] }),
    robbing: fc.constantFrom(NO, YES),
  },
  { requiredKeys: [] },
);

/** What may befall it besides: the records refuse what cannot be. */
const DEEDS = ['killed', 'caged', 'released', 'laying', 'swarmed', 'given-queen', 'given-eggs'] as const;
const deed = fc.record({ after: fc.integer({ min: 0, max: 45 }), did: fc.constantFrom(...DEEDS) });

const life = fc.record({
  queened: fc.boolean(),
  deeds: fc.array(deed, { maxLength: 2 }),
  nest: fc.nat(NESTS.length - 1),
  start: fc.constantFrom('2026-05-04', '2026-06-20', '2026-08-20', '2026-09-20'),
  parted: fc.constantFrom(null, 'elsewhere' as const, 'unknown' as const, 'here' as const),
  looks: fc.array(fc.record({ after: fc.integer({ min: 0, max: 45 }), seen: evidence }), { maxLength: 4 }),
  day: fc.integer({ min: 0, max: 110 }),
});
type Life = typeof life extends fc.Arbitrary<infer T> ? T : never;

function lived({ nest, start, parted, looks, day, queened, deeds }: Life): {
  yard: TestYard;
  colony: Colony;
  today: Day;
} {
  const yard = new TestYard(3);
  const other = yard.hive('Other', [NESTS[0] ?? []], start);
  yard.hive('Colony', [NESTS[nest] ?? []], start);
  const before = yard.colony('Colony');
  if (parted !== null) {
    const separation = {
      v: 1 as const,
      day: start,
      workId: null,
      queen: parted,
      partIds: [before.id, other.id],
      emergence: null,
    };
    yard.apiary = {
      ...yard.apiary,
      colony: { ...yard.apiary.colony, [before.id]: { ...before, separation } },
    };
  }
  const today = addDays(start, day);
  const putQueen = (at: Queen['whereabouts']): string => {
    const id = yard.newId();
    yard.run({ type: 'putQueen', queen: newQueen({ id, mating: 'mated', whereabouts: at }) });
    return id;
  };
  const own = queened && parted === null ? putQueen({ known: 'colony', colonyId: before.id }) : null;
  const told = [
    ...deeds.map((d) => ({
      after: d.after,
      tell: () => befall(yard, before.id, own, putQueen, d.did, addDays(start, d.after)),
    })),
    ...looks.map((l) => ({ after: l.after, tell: () => look(l) })),
  ].toSorted((a, b) => a.after - b.after);
  for (const t of told) if (addDays(start, t.after) <= today) t.tell();
  return { yard, colony: yard.colony('Colony'), today };

  function look(l: Life['looks'][number]): void {
    yard.run({
      type: 'recordLook',
      followUpId: null,
      day: addDays(start, l.after),
      note: '',
      parts: [{ visitId: yard.newId(), colonyId: before.id, evidence: read(l.seen, [6, 6]) }],
      newIds: Array.from({ length: 12 }, () => yard.newId()),
    });
  }
}

/** Something that befalls a colony, as far as the records take it. */
function befall(
  yard: TestYard,
  colonyId: string,
  own: string | null,
  putQueen: (at: Queen['whereabouts']) => string,
  did: (typeof DEEDS)[number],
  day: Day,
): void {
  const newIds = Array.from({ length: 8 }, () => yard.newId());
  const ask = (command: Command) => {
    const done = decide(yard.apiary, command);
    if (done.ok) yard.apiary = applyChanges(yard.apiary, done.value);
  };
  if (did === 'swarmed') return ask({ type: 'recordSwarm', colonyId, day, hivedId: null, newIds });
  if (did === 'given-queen') {
    const queenId = putQueen({ known: 'stock' });
    return ask({
      type: 'noteQueen',
      queenId,
      day,
      did: 'put-in',
      into: { colonyId, caged: true, beside: false },
      newIds,
    });
  }
  if (did !== 'given-eggs') {
    if (own !== null) ask({ type: 'noteQueen', queenId: own, day, did, newIds });
    return;
  }
  const colony = yard.apiary.colony[colonyId];
  if (colony)
    yard.apiary = {
      ...yard.apiary,
      colony: {
        ...yard.apiary.colony,
        [colonyId]: { ...colony, broodGiven: [...colony.broodGiven, { day, young: true }] },
      },
    };
}

/** What makes a colony better; nobody does it where the queen is to be seen to first. */
const BETTERING = new Set<string>([
  'nuc-full',
  'honey-bound',
  'can-split',
  'can-spare-brood',
  'steady',
  'needs-bees',
  'covers-more-brood',
]);

/** What may be said of a hive that stays shut. */
const SAID_OF_SHUT = new Set<string>(['hungry', 'hands-off', 'winter-rest', 'robbed']);
/** What puts bees or combs into a colony or takes them out. */
const IN_OR_OUT = new Set<string>(['boost-brood', 'boost-nurses', 'combine', 'swap-stands']);

/** Where the voices of a day differ, each in a line; and what came up on it. */
function voices({ yard, colony, today }: ReturnType<typeof lived>) {
  const a = assess(yard.apiary, colony, today);
  const ids = a.needs.map((n) => n.notice.id);
  const lists = hivesToday(yard.apiary, today);
  const inList = (['must', 'may', 'mustNot'] as const).filter((k) =>
    lists[k].some((h) => h.colony.id === colony.id),
  );
  const shut = !a.opening.may && a.opening.because !== 'health';
  const sick = ids.includes('disease-suspected');
  const acts = ids.includes('queen-act');
  const desk = remediesFor(yard.apiary, colony, today, { coldNights: false }).remedies.filter(
    (r) => r.blocked === null,
  );
  const unblocked = sick ? desk.filter((r) => IN_OR_OUT.has(r.id)) : [];
  const asked = a.needs.flatMap((n) => n.action ?? []) as string[];
  const offered = desk.filter((r) => asked.includes(r.id));
  const finder = findMethods(situationOf(yard.apiary, colony, today), DEFAULT_HOUSE_RULES);
  const differ: readonly (readonly [string, boolean])[] = [
    ['it is in one list of the day', inList.length === 1],
    ['the board says the first need', a.notice === a.needs[0].notice],
    ['shut is in the list of shut hives, and only shut is', shut === inList.includes('mustNot')],
    ['of a shut hive nothing is asked but food', !shut || ids.every((i) => SAID_OF_SHUT.has(i))],
    ['it is shut until a day to come', !shut || a.opening.until === null || a.opening.until >= today],
    ['sick overrides all other needs', !sick || a.needs.length === 1],
    ['nothing goes into a sick hive or out of it', unblocked.length === 0],
    ['the queen is seen to before room is made', !acts || !ids.some((i) => BETTERING.has(i))],
    ['each is said once', new Set(ids).size === ids.length],
    ['the desk begins with what is called for', offered.length === 0 || asked.includes(desk[0]?.id ?? '')],
    [
      'the finder divides nothing that is shut',
      a.opening.may || finder.ranked.every((r) => r.fit.cannot !== null),
    ],
    [
      'no day that has passed is asked for',
      a.needs.every((n) => n.by === null || n.notice.id === 'queen-look' || n.by >= today),
    ],
  ];
  return {
    faults: differ.flatMap(([words, holds]) => (holds ? [] : [words])),
    met: {
      sick,
      shut,
      acts,
      winter: shut && a.opening.because === 'winter',
      hungry: ids.includes('hungry'),
      swarms: ids.includes('swarm-cells'),
    },
  };
}

/** What nobody may be told to do on the day on which an inspection found this. */
const NEVER_AFTER: Readonly<Record<string, ReadonlySet<string | null>>> = {
  'has-queen': new Set(['test-frame', 'shake-out', 'give-queen', 'combine']),
  mated: new Set(['test-frame', 'shake-out', 'give-queen', 'combine']),
  raising: new Set(['test-frame', 'shake-out', 'free-queen']),
  'virgin-or-mating': new Set(['test-frame', 'shake-out', 'free-queen']),
  hopeless: new Set(['cut-cells', 'cut-early-cells', 'free-queen']),
  'laying-workers': new Set(['give-queen', 'test-frame', 'free-queen', 'cut-cells', 'cut-early-cells']),
  'drone-layer': new Set(['test-frame', 'shake-out', 'free-queen']),
  'eggs-unproved': new Set(['test-frame', 'shake-out']),
  unread: new Set(['test-frame', 'shake-out', 'cut-cells', 'free-queen']),
};

/** What the page of the last inspection says before it is saved, and every page on the evening of that day. */
function lastInspection(l: Life) {
  const last = l.looks.toSorted((a, b) => a.after - b.after).at(-1);
  // An inspection in which nothing was looked at has no verdict: what was seen before stands.
  if (!last || Object.keys(last.seen).length === 0) return null;
  const earlier = l.looks.filter((k) => k !== last);
  const before = lived({ ...l, looks: earlier, day: last.after });
  const { colony } = before;
  const verdict = judgeLook(
    before.yard.apiary,
    [{ colonyId: colony.id, evidence: read(last.seen, [6, 6]) }],
    before.today,
  ).parts.find((p) => p.id === colony.id)?.verdict;
  const after = lived({ ...l, looks: [...earlier, last], day: last.after });
  return verdict ? { verdict, told: assess(after.yard.apiary, after.colony, after.today) } : null;
}

describe('two voices are impossible', () => {
  it('whatever an inspection finds, no page asks on that day for what it rules out', () => {
    const met = new Map<string, number>();
    fc.assert(
      fc.property(life, (l) => {
        const said = lastInspection(l);
        if (!said) return;
        const { verdict, told } = said;
        met.set(verdict.finding, (met.get(verdict.finding) ?? 0) + 1);
        const never = NEVER_AFTER[verdict.finding] ?? new Set();
        const against = told.needs.filter((n) => n.action !== null && never.has(n.action));
        expect({ finding: verdict.finding, against }).toEqual({ finding: verdict.finding, against: [] });
      }),
      { numRuns: sampleSize(250, 3000), seed: 12 },
    );
    for (const finding of ['has-queen', 'unread', 'unclear', 'sick'])
      expect(met.get(finding) ?? 0).toBeGreaterThan(0);
  });

  it('whatever was done and seen: list of the day, needs and remedies agree with each other', () => {
    const met = { sick: 0, shut: 0, winter: 0, acts: 0, hungry: 0, swarms: 0 };
    fc.assert(
      fc.property(life, (l) => {
        const told = voices(lived(l));
        for (const k of Object.keys(met) as (keyof typeof met)[]) met[k] += Number(told.met[k]);
        expect(told.faults).toEqual([]);
      }),
      { numRuns: sampleSize(250, 3000), seed: 11 },
    );
    // The property says nothing of what never came up.
    for (const n of Object.values(met)) expect(n).toBeGreaterThan(0);
  });

  it('the desk and the assessment speak of the same colony: facts of both are one', () => {
    const { yard, colony, today } = lived({
      nest: 0,
      start: '2026-05-04',
      parted: null,
      looks: [],
      day: 3,
      queened: false,
      deeds: [],
    });
    const facts = allFacts(yard.apiary, today, { coldNights: false }).find((f) => f.colony.id === colony.id);
    expect(facts?.state.strength).toEqual(assess(yard.apiary, colony, today).strength);
  });
});

describe('what it needs next', () => {
  const told = (over: Partial<Life>) => {
    const { yard, colony, today } = lived({
      nest: 0,
      start: '2026-05-04',
      parted: null,
      looks: [],
      day: 3,
      queened: false,
      deeds: [],
      ...over,
    });
    return assess(yard.apiary, colony, today);
  };

  it('swarm cells come before the weekly inspection', () => {
    expect(told({ nest: 3, day: 1 }).needs.map((n) => n.notice.id)).toEqual(['swarm-cells']);
  });

  it('laying workers come before room for brood, with their remedy', () => {
    const a = told({
      nest: 1,
      parted: 'elsewhere',
      looks: [
        {
          after: 36,
          seen: {
            eggs: eggs('several', 'walls'),
            cappedBrood: caps('domed', 'scattered'),
            queen: NO,
            cells: NO,
          },
        },
      ],
      day: 36,
    });
    expect(a.needs[0]).toMatchObject({ notice: { id: 'queen-act', urgent: true }, action: 'shake-out' });
  });

  it('in winter it is left shut, whatever brood was last seen', () => {
    const a = told({
      start: '2026-09-20',
      day: 70,
      looks: [{ after: 5, seen: { eggs: NO, cappedBrood: NO } }],
    });
    expect(a.opening).toMatchObject({ may: false, because: 'winter' });
    expect(a.needs.at(-1)?.notice.id).toBe('winter-rest');
  });

  it('of a colony that nobody has counted or looked at nothing is said but that', () => {
    const { yard, colony, today } = lived({
      nest: 0,
      start: '2026-05-04',
      parted: null,
      looks: [],
      day: 3,
      queened: false,
      deeds: [],
    });
    const frame = Object.fromEntries(
      Object.entries(yard.apiary.frame).map(([id, f]) => [id, { ...f, readingId: null }]),
    );
    const a = assess({ ...yard.apiary, frame, visit: {} }, colony, today);
    expect(a.needs.map((n) => n.notice.id)).toEqual(['not-counted']);
  });
});
