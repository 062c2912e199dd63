import { addDays, capital } from '../../basics/index.ts';
import { shareOf, shareOfBees } from '../../comb/index.ts';
import {
  boxesOfColony,
  boxName,
  boxesOfHive,
  combSlots,
  isSlotOf,
  readingOf,
  type PlacedFrame,
} from '../../records/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { farFromBrood } from './broodCombs.ts';
import { EMPTY_PLAN, type ActionPlan } from './actionPlan.ts';
import { toStore } from './toStore.ts';

/** From this share of stores, and without brood, a comb is food that is worth hanging in. */
const FOOD = 0.45;
/** Of bees that are shaken out before their own hive so many fly or walk home; workers that lay stay behind (judgement). */
const COME_HOME = 0.75;

/**
 * Two sources in one hive: the boxes in which workers lay are shaken out away from the stand, and the box of the queen
 * stays on it. Her field bees fly home to her. What barred her from above is taken away, and food is hung beside her nest.
 *
 * @returns null where nobody has seen by box who lays where, or nothing of hers would be left
 */
export function shakeOutPart(facts: UnitFacts): ActionPlan | null {
  const { apiary, colony, frames, unit, day } = facts;
  const boxes = boxesOfColony(apiary, colony);
  const theirs = boxes.filter((b) => facts.theirBoxes.includes(b.id));
  const hers = boxes.filter((b) => !theirs.includes(b));
  if (theirs.length === 0 || hers.length === 0) return null;
  const isTheirs = (f: PlacedFrame) => theirs.some((b) => b.id === f.box.id);
  const out = frames.filter(isTheirs);
  const food = out.filter(
    (f) =>
      shareOf(readingOf(f), 'honey', 'nectar') >= FOOD &&
      shareOf(readingOf(f), 'eggs', 'open', 'capped', 'emerging', 'drone') === 0,
  );
  const hung = hungIn(facts, hers, food);
  const moved = new Set(hung.map((m) => m.frameId));
  const inWords = (list: typeof boxes) => list.map((b) => boxName(boxes, b.id)).join(' and ');
  const bees = out.reduce((sum, f) => sum + shareOfBees(readingOf(f)), 0);
  const barrier = colony.hiveId !== null && boxesOfHive(apiary, colony.hiveId).some((b) => b.excluderBelow);
  const lays = inWords(hers);
  return {
    ...EMPTY_PLAN,
    name: `shake out the ${inWords(theirs)} of ${colony.name}`,
    units: [{ facts, after: { ...unit, bees: Math.max(0, unit.bees - bees * (1 - COME_HOME)) } }],
    moves: [
      ...hung,
      ...toStore(
        out.filter((f) => !moved.has(f.frame.id)),
        colony.id,
        'Drone brood in worker cells: frozen or cut out, then the comb is as good as any.',
      ),
    ],
    emptiedBoxIds: theirs
      .filter((b) => b.chambers.every((c) => c.colonyId === colony.id || c.colonyId === null))
      .map((b) => b.id),
    effects: barrier ? [{ kind: 'excluder-out', colonyId: colony.id }] : [],
    steps: [
      {
        kind: 'prepare',
        text: 'A warm, still midday with flying weather',
        detail: 'On a cool day shaken bees do not come home.',
      },
      {
        kind: 'lift',
        text: `Set the ${inWords(theirs)} down twenty paces away, covered`,
        detail: `The ${lays} stays on its stand, whoever is lifted first.`,
      },
      {
        kind: 'find',
        task: 'find-queen',
        text: `See eggs or her in the ${lays}`,
        detail: 'Not found: shake nothing. She may sit in a box that was set down.',
      },
      {
        kind: 'shake',
        text: `Shake and brush every comb of the ${inWords(theirs)} onto a sheet, there`,
        detail: 'Field bees fly home to her. Workers that lay are heavy and slow, and stay.',
      },
      ...(barrier
        ? [
            {
              kind: 'check' as const,
              text: 'The excluder is taken off',
              detail: 'She is to find comb above and below until her nest has grown.',
            },
          ]
        : []),
      ...(hung.length > 0
        ? [
            {
              kind: 'move' as const,
              text: `Hang ${hung.length} ${hung.length === 1 ? 'comb' : 'combs'} of food outside her nest`,
              detail: 'Beside the last comb with brood or bread, never between brood.',
              frameIds: hung.map((m) => m.frameId),
            },
          ]
        : []),
      {
        kind: 'check',
        text: 'Combs with drone brood into the freezer for two days, or the brood cut out',
        detail: 'Never left to robbers. Some of the mites go with them.',
      },
      {
        kind: 'close',
        units: [colony.id],
        text: `Close ${colony.name}: entrance to a finger’s width`,
        detail: 'Those who come home late find their guards. Food enough, or feed that evening.',
      },
    ],
    looks: [
      {
        colonyIds: [colony.id],
        topic: 'capped-due',
        window: { earliest: addDays(day, 6), likely: addDays(day, 7), latest: addDays(day, 10) },
        expect: `Worker brood in the ${lays}, flat caps in a patch, and more of it. ${capital(lays)} without, or domed: she fails. Judge her now, not before.`,
      },
    ],
    cautions: [
      'Stings: many bees are in the air. Veil and gloves; watch for signs of allergy.',
      'Lifting: a box of honey weighs 20 kg and more. Two people.',
      'Nothing of a hive with signs of disease is shaken out or reused: have it examined first.',
    ],
    kit: [{ what: 'sheet', count: 1 }],
  };
}

/** Combs of food in the free slots of her boxes, the outermost first: the nest keeps its order. */
function hungIn(
  { colony, frames }: UnitFacts,
  hers: ReturnType<typeof boxesOfColony>,
  food: readonly PlacedFrame[],
): ActionPlan['moves'][number][] {
  const free = hers.flatMap((box) =>
    combSlots(box)
      .filter((s) => isSlotOf(box, s, colony.id) && !frames.some((f) => f.box.id === box.id && f.slot === s))
      .map((slot) => ({ box, slot })),
  );
  const far = free.toSorted(
    (a, b) => farFromBrood(frames, b.box.id, b.slot) - farFromBrood(frames, a.box.id, a.slot),
  );
  const moves: ActionPlan['moves'][number][] = [];
  for (const f of food) {
    const at = far.findIndex(({ box }) => box.sizeId === f.frame.sizeId);
    const [place] = at < 0 ? [] : far.splice(at, 1);
    if (!place) continue;
    moves.push({
      frameId: f.frame.id,
      from: { boxId: f.box.id, slot: f.slot },
      to: { boxId: place.box.id, slot: place.slot },
      fromKey: colony.id,
      toKey: colony.id,
      reason: 'Food for what stays.',
    });
  }
  return moves;
}
