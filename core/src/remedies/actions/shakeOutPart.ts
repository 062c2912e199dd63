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
  type StepDraft,
  type WorkMove,
} from '../../records/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { EMPTY_PLAN, type ActionPlan } from './actionPlan.ts';
import { hangIn, incoming } from './hangIn.ts';
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
  const moved = new Set(hung.moves.map((m) => m.frameId));
  const fed = food.filter((f) => moved.has(f.frame.id));
  const inWords = (list: typeof boxes) => list.map((b) => boxName(boxes, b.id)).join(' and ');
  const bees = out.reduce((sum, f) => sum + shareOfBees(readingOf(f)), 0);
  const barrier = colony.hiveId !== null && boxesOfHive(apiary, colony.hiveId).some((b) => b.excluderBelow);
  const lays = inWords(hers);
  return {
    ...EMPTY_PLAN,
    name: `shake out the ${inWords(theirs)} of ${colony.name}`,
    units: [{ facts, after: { ...unit, bees: Math.max(0, unit.bees - bees * (1 - COME_HOME)) } }],
    moves: [
      ...hung.moves,
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
      ...hung.steps,
      ...(fed.length > 0
        ? [
            {
              kind: 'move' as const,
              text: `Hang ${fed.length} ${fed.length === 1 ? 'comb' : 'combs'} of food where her nest ends`,
              detail: 'Beside the last comb with brood or bread, never between brood.',
              frameIds: fed.map((f) => f.frame.id),
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
      'Lifting: a box of honey weighs 20 kg (45 lb) and more. Two people.',
      'Nothing of a hive with signs of disease is shaken out or reused: have it examined first.',
    ],
    kit: [{ what: 'sheet', count: 1 }],
  };
}

/** Combs of food into her boxes as far as there is room, hung where her nest ends. */
function hungIn(
  facts: UnitFacts,
  hers: ReturnType<typeof boxesOfColony>,
  food: readonly PlacedFrame[],
): { moves: WorkMove[]; steps: readonly StepDraft[] } {
  const { colony, frames } = facts;
  const free = new Map(
    hers.map((box) => {
      const slots = combSlots(box).filter((s) => isSlotOf(box, s, colony.id));
      return [box.id, slots.length - frames.filter((f) => f.box.id === box.id).length];
    }),
  );
  const into = food.flatMap((f) => {
    const box = hers.find((b) => b.sizeId === f.frame.sizeId && (free.get(b.id) ?? 0) > 0);
    if (!box) return [];
    free.set(box.id, (free.get(box.id) ?? 0) - 1);
    return [{ frame: f, ...incoming(f, box.id) }];
  });
  const hung = hangIn(facts, [], into);
  const moves = into.flatMap(({ frame: f, boxId }): WorkMove[] => {
    const slot = hung.slotOf.get(f.frame.id);
    if (slot === undefined) return [];
    return [
      {
        frameId: f.frame.id,
        from: { boxId: f.box.id, slot: f.slot },
        to: { boxId, slot },
        fromKey: colony.id,
        toKey: colony.id,
        reason: 'Food for what stays.',
      },
    ];
  });
  return { moves: [...moves, ...hung.slides], steps: hung.steps };
}
