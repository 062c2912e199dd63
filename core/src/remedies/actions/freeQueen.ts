import {
  framesInStore,
  placeInWords,
  readingOf,
  type PlacedFrame,
  STORE_KEY,
  type StepDraft,
} from '../../records/index.ts';
import { setAside } from '../../split/index.ts';
import { addDays, capital } from '../../basics/index.ts';
import { shareOf } from '../../comb/index.ts';
import { blankComb } from '../../nest/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { farFromBrood, hasBrood } from './broodCombs.ts';
import { hangIn, incoming } from './hangIn.ts';
import { EMPTY_PLAN, type ActionPlan } from './actionPlan.ts';

/** From this share of stores, and without brood, a comb beside the nest bars the queen. Judgement, no source. */
const BARS = 0.45;
/** From this share of empty drawn comb she finds room in it. Judgement, no source. */
const ROOMY = 0.6;
/** Two empty combs are room for about a week (common practice, no source). */
const COMBS_GIVEN = 2;
/** Combs of food that stay in any case. */
const FOOD_KEPT = 2;

/** A comb of honey beside the brood, and the empty one that takes its place: its own, or one of the store. */
interface Exchange {
  readonly honey: PlacedFrame;
  readonly empty: PlacedFrame | string;
}

const isHoney = (f: PlacedFrame) => shareOf(readingOf(f), 'honey', 'nectar') >= BARS && !hasBrood(f);
const isRoomy = (f: PlacedFrame) => shareOf(readingOf(f), 'drawn') >= ROOMY && !hasBrood(f);

/** Which combs change places, those nearest to the brood first. */
function exchanges({ apiary, frames }: UnitFacts): Exchange[] {
  const nest = frames.filter((f) => f.box.role === 'brood');
  const far = (f: PlacedFrame) => farFromBrood(frames, f.box.id, f.slot);
  const bars = nest.filter(isHoney).toSorted((a, b) => far(a) - far(b));
  const own = frames.filter(isRoomy).toSorted((a, b) => far(b) - far(a));
  const stored = framesInStore(apiary).filter((f) => {
    const reading = apiary.reading[f.readingId ?? ''];
    return reading ? shareOf(reading.body, 'drawn') >= ROOMY : f.blank === 'drawn';
  });
  const spare = frames.filter(isHoney).length - FOOD_KEPT;
  const found: Exchange[] = [];
  for (const honey of bars) {
    if (found.length === COMBS_GIVEN) break;
    // Her own empty comb only where it hangs further out: otherwise nothing is won.
    const mine = own.find(
      (f) =>
        f.frame.sizeId === honey.frame.sizeId && far(f) > far(honey) && !found.some((e) => e.empty === f),
    );
    const kept = stored.find((f) => f.sizeId === honey.frame.sizeId && !found.some((e) => e.empty === f.id));
    if (mine) found.push({ honey, empty: mine });
    else if (kept && found.filter((e) => typeof e.empty === 'string').length < spare) {
      found.push({ honey, empty: kept.id });
    }
  }
  return found;
}

/** The honey that bars her goes out, empty comb comes beside the brood. */
export function freeQueen(facts: UnitFacts): ActionPlan {
  const { apiary, colony, day, unit } = facts;
  const changed = exchanges(facts);
  const at = (f: PlacedFrame) => placeInWords(apiary, colony, f.box, f.slot);
  const place = (f: PlacedFrame) => ({ boxId: f.box.id, slot: f.slot });
  const hung = hangIn(
    facts,
    changed.flatMap(({ honey, empty }) => (typeof empty === 'string' ? [honey] : [honey, empty])),
    changed.flatMap(({ honey, empty }) =>
      typeof empty === 'string'
        ? [{ comb: blankComb(empty, 'drawn'), boxId: honey.box.id, slot: honey.slot }]
        : [incoming(empty, honey.box.id, honey.slot), incoming(honey, empty.box.id, empty.slot)],
    ),
  );
  const to = (frameId: string, { box, slot }: PlacedFrame) => ({
    boxId: box.id,
    slot: hung.slotOf.get(frameId) ?? slot,
  });
  return {
    ...EMPTY_PLAN,
    name: `free the queen of ${colony.name}`,
    units: [{ facts, after: unit }],
    moves: [
      ...changed.flatMap(({ honey, empty }): ActionPlan['moves'][number][] => {
        const mine = typeof empty !== 'string';
        return [
          {
            frameId: honey.frame.id,
            from: place(honey),
            to: mine ? to(honey.frame.id, empty) : null,
            fromKey: colony.id,
            toKey: mine ? colony.id : STORE_KEY,
            reason: mine
              ? 'It bars her where it hangs; further out it is food.'
              : 'It bars her; another hive needs it.',
          },
          {
            frameId: mine ? empty.frame.id : empty,
            from: mine ? place(empty) : null,
            to: to(mine ? empty.frame.id : empty, honey),
            fromKey: mine ? colony.id : STORE_KEY,
            toKey: colony.id,
            reason: 'Room to lay beside her brood.',
          },
        ];
      }),
      ...hung.slides,
    ],
    steps: [
      {
        kind: 'open',
        units: [colony.id],
        text: `Open ${colony.name}`,
        detail: 'Find where she is: often shut off below or above a band of honey.',
      },
      {
        kind: 'check',
        text: 'Her brood hangs together, in the lowest box',
        detail:
          'Brood to brood, no comb of honey between. Move her with it, and enter it on the hive’s page.',
      },
      // Out first: nothing is hung where a comb still hangs.
      ...changed.flatMap(({ honey, empty }): StepDraft[] =>
        typeof empty === 'string'
          ? [
              {
                kind: 'move',
                units: [colony.id],
                text: `${capital(at(honey))}: the honey goes to the store`,
                detail: 'Be sure that she is not on it; brush its bees off.',
                frameIds: [honey.frame.id],
              },
            ]
          : [honey, empty].map((f) => ({ ...setAside(f.frame.id, at(f)), units: [colony.id] })),
      ),
      ...hung.steps,
      ...changed.flatMap(({ honey, empty }): StepDraft[] => {
        const mine = typeof empty !== 'string';
        const emptyId = mine ? empty.frame.id : empty;
        return [
          {
            kind: mine ? 'move' : 'fill',
            units: [colony.id],
            text: `${mine ? `The empty comb (${at(empty)})` : 'An empty drawn comb of the store'} → slot ${to(emptyId, honey).slot}, beside her brood`,
            detail: 'Room to lay.',
            frameIds: [emptyId],
          },
          ...(mine
            ? [
                {
                  kind: 'move' as const,
                  units: [colony.id],
                  text: `The honey (${at(honey)}) → slot ${to(honey.frame.id, empty).slot}, further out`,
                  detail: 'There it is food, and bars nobody.',
                  frameIds: [honey.frame.id],
                },
              ]
            : []),
        ];
      }),
      ...(changed.length > 0
        ? []
        : [
            {
              kind: 'move' as const,
              text: 'Hang two empty drawn combs beside the brood',
              detail:
                'None is on record, in it or in the store. Honey goes up or to a colony that is short. Enter the combs on the hive’s page as they then hang.',
            },
          ]),
      {
        kind: 'check',
        text: 'Excluder above her, honey over it; boxes that are not needed off',
        detail: 'Patches of drone brood above the barrier: look again before you judge her.',
      },
      { kind: 'close', units: [colony.id], text: `Close ${colony.name}`, detail: '' },
    ],
    looks: [
      {
        colonyIds: [colony.id],
        topic: 'eggs-due',
        window: { earliest: addDays(day, 5), likely: addDays(day, 7), latest: addDays(day, 9) },
        expect:
          'Eggs and young larvae in the combs given: she was barred. None: she fails; worker brood settles it.',
      },
    ],
    cautions: ['Lifting: a box of honey may exceed 35 kg (80 lb). Take combs out, or lift in pairs.'],
    kit: [{ what: 'queen excluder', count: 1 }],
  };
}
