import { listInWords } from '../../basics/index.ts';
import { boxesOfColony, readingOf } from '../../records/index.ts';
import { shareOf } from '../../comb/index.ts';
import { giversFor } from '../unit/partners.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { toStore } from './toStore.ts';
import { EMPTY_PLAN, inAWeek, type ActionPlan } from './actionPlan.ts';

/** Combs and boxes of a unit that ends go to the store. */
function emptied({ apiary, colony, frames }: UnitFacts) {
  return {
    moves: toStore(frames, colony.id, 'Its colony ends; the comb is kept.'),
    emptiedBoxIds: boxesOfColony(apiary, colony)
      .filter((b) => b.chambers.every((c) => c.colonyId === colony.id || c.colonyId === null))
      .map((b) => b.id),
    brood: frames.filter((f) => shareOf(readingOf(f), 'open', 'capped', 'emerging', 'drone') > 0.05).length,
  };
}

const NOTHING = { bees: 0, eggs: 0, open: 0, capped: 0 };

/** A unit past help is shaken out away from its stand, in front of strong hives. */
export function shakeOut(facts: UnitFacts, all: readonly UnitFacts[]): ActionPlan {
  const { colony } = facts;
  const { brood, ...rest } = emptied(facts);
  const near = giversFor(facts, all)
    .filter((g) => g.yardId === facts.yardId)
    .slice(0, 2)
    .map((g) => g.colony.name);
  return {
    ...EMPTY_PLAN,
    ...rest,
    name: `shake out ${colony.name}`,
    units: [{ facts, after: NOTHING }],
    effects: [
      { kind: 'queen-out', colonyId: colony.id },
      { kind: 'unit-ends', colonyId: colony.id },
    ],
    steps: [
      {
        kind: 'prepare',
        text: 'A warm, still midday with flying weather',
        detail: 'On a cool day shaken bees do not find a home.',
      },
      {
        kind: 'lift',
        text: `Carry ${colony.name} twenty paces from its stand`,
        detail:
          near.length > 0
            ? `In front of ${listInWords(near)}: strong hives take its bees in.`
            : 'In front of strong hives.',
      },
      {
        kind: 'shake',
        text: 'Shake and brush every comb clean onto a sheet',
        detail: 'Workers that lay are heavy and slow, or are stopped at the entrances.',
      },
      {
        kind: 'check',
        text: 'Take the hive off its old stand',
        detail: 'With nothing to come back to, they beg their way in next door.',
      },
      {
        kind: 'close',
        text: 'Combs home and sorted',
        detail:
          brood > 0
            ? `${brood} with brood: cut drone brood out or freeze it, never leave it to robbers.`
            : 'Store them safe from moths.',
        frameIds: rest.moves.map((m) => m.frameId),
      },
    ],
    cautions: ['Nothing of a colony with signs of disease is shaken out or reused: have it examined first.'],
  };
}

/**
 * A unit is closed and its combs are kept. A nuc may take its stand: the field bees that fly to it are the nuc's then.
 *
 * @param heirId - the unit that takes the stand
 */
export function letGo(facts: UnitFacts, all: readonly UnitFacts[], heirId?: string): ActionPlan {
  const { colony } = facts;
  const { moves, emptiedBoxIds } = emptied(facts);
  const heir = all.find(
    (f) => f.colony.id === heirId && f.colony.id !== colony.id && f.yardId === facts.yardId,
  );
  return {
    ...EMPTY_PLAN,
    moves,
    emptiedBoxIds,
    name: heir ? `${heir.colony.name} in the place of ${colony.name}` : `end ${colony.name}`,
    units: [{ facts, after: NOTHING }, ...(heir ? [{ facts: heir, after: heir.unit }] : [])],
    effects: [
      { kind: 'queen-out', colonyId: colony.id },
      ...(heir ? [{ kind: 'stands-swapped' as const, colonyIds: [colony.id, heir.colony.id] }] : []),
      { kind: 'unit-ends', colonyId: colony.id },
    ],
    steps: [
      {
        kind: 'open',
        units: [colony.id],
        text: `Open ${colony.name} and read it once more`,
        detail:
          'Find out why it failed. Suspected disease: close it, keep everything there, ask your bee inspector.',
      },
      {
        kind: 'close',
        text: 'Take hive and combs home before robbers do',
        detail: 'What is left of its bees joins neighbours. Combs are kept from moths and mice.',
        frameIds: moves.map((m) => m.frameId),
      },
      ...(heir
        ? [
            {
              kind: 'lift' as const,
              text: `Set ${heir.colony.name} on its stand, at dusk or before flight`,
              detail:
                'Stragglers and field bees of the stand join it. Its own fly to the old place for a day: leave nothing there. Then move it into a full-size hive on a warm day.',
            },
          ]
        : []),
    ],
    looks: heir
      ? [inAWeek(heir, 'It has settled on the new stand: eggs, food, and bees for more room.')]
      : [],
    cautions: ['Some brood diseases are notifiable; local rules apply.'],
  };
}
