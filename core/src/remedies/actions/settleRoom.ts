import { boxesOfColony, boxName, readingOf } from '../../records/index.ts';
import { shareOf } from '../../comb/index.ts';
import { giversFor } from '../unit/partners.ts';
import { layingChance, type UnitFacts } from '../unit/unitFacts.ts';
import { hangIn } from './hangIn.ts';
import { toStore } from './toStore.ts';
import { EMPTY_PLAN, inAWeek, type ActionPlan } from './actionPlan.ts';

/** A weak and a strong hive change places, so that field bees even out. */
export function swapStands(
  facts: UnitFacts,
  all: readonly UnitFacts[],
  partnerId?: string,
): ActionPlan | null {
  const { colony, unit, yardId } = facts;
  const givers = giversFor(facts, all).filter(
    (g) => g.yardId === yardId && g.colony.hiveId !== colony.hiveId && layingChance(g) > 0.75,
  );
  const strong = givers.find((g) => g.colony.id === partnerId) ?? givers[0];
  if (!strong) return null;
  const shift = Math.max(0, (strong.unit.bees - unit.bees) / 3);
  return {
    ...EMPTY_PLAN,
    name: `${colony.name} and ${strong.colony.name} change stands`,
    units: [
      { facts, after: { ...unit, bees: unit.bees + shift } },
      { facts: strong, after: { ...strong.unit, bees: strong.unit.bees - shift } },
    ],
    effects: [{ kind: 'stands-swapped', colonyIds: [colony.id, strong.colony.id] }],
    steps: [
      {
        kind: 'check',
        text: 'Midday, good flight, nectar coming in',
        detail: 'Bees with full crops are let in anywhere; in dearth they are fought.',
      },
      {
        kind: 'check',
        text: `Both queens are well: ${colony.name} and ${strong.colony.name}`,
        detail: 'Eggs seen in both within the week.',
      },
      {
        kind: 'lift',
        text: `Change the places of ${colony.name} and ${strong.colony.name}`,
        detail: 'Together or by pairs, straps on; entrances face as before.',
      },
      {
        kind: 'close',
        text: 'Watch both entrances for ten minutes',
        detail: 'Fighting: small entrances, a wet sheet; change back in the evening if it goes on.',
      },
    ],
    looks: [
      inAWeek(facts, 'More bees, and her brood grows.'),
      inAWeek(strong, 'It has kept its brood covered.'),
    ],
    cautions: ['Lifting: a full hive may weigh more than 50 kg (110 lb). Two people, or box by box.'],
  };
}

/** A unit comes down to the one box that its bees keep warm; combs without brood or food go to the store. */
export function shrink(facts: UnitFacts): ActionPlan | null {
  const { apiary, colony, unit, frames } = facts;
  const keeps = Math.max(3, Math.ceil(unit.bees + 1));
  const worth = (f: (typeof frames)[number]) =>
    3 * shareOf(readingOf(f), 'eggs', 'open', 'capped', 'emerging') +
    shareOf(readingOf(f), 'honey', 'nectar', 'beeBread') +
    (readingOf(f).queenSeen ? 9 : 0);
  const spare = frames
    .filter((f) => f.box.role === 'brood' && worth(f) < 0.4)
    .toSorted((a, b) => worth(a) - worth(b))
    .slice(0, Math.max(0, frames.length - keeps));
  if (spare.length === 0) return null;
  const hung = hangIn(facts, spare);
  const boxes = boxesOfColony(apiary, colony);
  const emptied = boxes.filter(
    (b) =>
      boxes.length > 1 &&
      b.chambers.every((c) => c.colonyId === colony.id) &&
      frames.filter((f) => f.box.id === b.id).every((f) => spare.includes(f)),
  );
  return {
    ...EMPTY_PLAN,
    name: `shrink ${colony.name} to what it covers`,
    units: [{ facts, after: unit }],
    moves: [...toStore(spare, colony.id, 'Neither brood nor food: it only cools the nest.'), ...hung.slides],
    emptiedBoxIds: emptied.map((b) => b.id),
    steps: [
      { kind: 'open', units: [colony.id], text: `Open ${colony.name}`, detail: 'A warm hour, quickly.' },
      {
        kind: 'move',
        text: `Take ${spare.length} empty ${spare.length === 1 ? 'comb' : 'combs'} out`,
        detail: spare
          .map((f) => `${boxes.length > 1 ? `${boxName(boxes, f.box.id)}, ` : ''}frame ${f.slot}`)
          .join('; '),
        frameIds: spare.map((f) => f.frame.id),
      },
      ...hung.steps,
      {
        kind: 'check',
        text: 'A dummy board closes the nest',
        detail:
          'Brood hangs together in its order, food beside it. Or hang all into a nuc box on the same stand.',
      },
      {
        kind: 'close',
        units: [colony.id],
        text: `Close ${colony.name}; entrance to a finger’s width`,
        detail: 'Feed if nothing comes in.',
      },
    ],
    looks: [inAWeek(facts, 'Bees cover every comb; then it gets room again, one comb at a time.')],
    kit: [{ what: 'dummy board', count: 1 }],
  };
}
