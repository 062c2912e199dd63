import {
  blanksInWords,
  boxesOfColony,
  combSlots,
  framesInStore,
  type Box,
  type Frame,
  type StepDraft,
  STORE_KEY,
} from '../../records/index.ts';
import { addDays, dayInWords } from '../../basics/index.ts';
import { framesOfBeesFromCapped } from '../../comb/index.ts';
import { fillsUp } from '../../nest/index.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { EMPTY_PLAN, inAWeek, type ActionChoice, type ActionPlan } from './actionPlan.ts';
import { sharesBoxes } from './unionWays.ts';

type Where = NonNullable<ActionChoice['where']>;

/** Capped brood hatches evenly over twelve days: so much of it within a week. */
const HATCHES_IN_A_WEEK = 7 / 12;
/** From this share of its combs covered a colony needs room (common practice, no source). */
const NEEDS_ROOM = 0.8;
/** A super holds a comb less than a brood box, set wider (common practice, no source). */
const WIDER = 1;

/** Frames of bees a week from now, and whether they need another box. */
function bounds({ unit, slots, frames }: UnitFacts) {
  const size = frames[0]?.frame.sizeId ?? 'langstroth-deep';
  const hatch = unit.capped * HATCHES_IN_A_WEEK * framesOfBeesFromCapped(size).likely;
  return { hatch, soon: unit.bees + hatch, needs: unit.bees + hatch >= NEEDS_ROOM * slots };
}

/** Where a box is best added, by next week's bees and the nights to come. Common practice, no source. */
function bestPlace(facts: UnitFacts): { readonly where: Where; readonly why: string } {
  const { unit, slots, outside, flow } = facts;
  const { hatch, needs } = bounds(facts);
  const bees = `${unit.bees.toFixed(1)} frames of bees on ${slots} combs, about ${hatch.toFixed(1)} more emerge within a week.`;
  if (outside.coldNights)
    return { where: 'under', why: `${bees} Nights are cold: below it takes no warmth from the nest.` };
  if (flow && needs)
    return {
      where: 'top',
      why: `${bees} Nectar comes in: a super over an excluder keeps it out of the brood nest.`,
    };
  return needs
    ? { where: 'over', why: `${bees} Nights are mild: bees go up into it at once.` }
    : { where: 'under', why: `${bees} Not crowded yet: below it does no harm until they need it.` };
}

const TITLE = { under: 'a box under', over: 'a box on', top: 'a super on' } as const;

/**
 * A box more: below the brood, above it, or a super over an excluder. By next week's bees and the nights to come where that
 * is not chosen.
 *
 * @returns null where the brood boxes are shared with others
 */
export function addBox(facts: UnitFacts, choice: ActionChoice, newId: () => string): ActionPlan | null {
  const { apiary, colony, unit } = facts;
  const boxes = boxesOfColony(apiary, colony);
  const like = boxes.findLast((b) => b.role === 'brood');
  if (!like || sharesBoxes(facts)) return null;
  const best = bestPlace(facts);
  const where = choice.where ?? best.where;
  const boxId = newId();
  const filled = fills(facts, like, where);
  const short = wanted(like, where) - filled.length;
  const supers = boxes.filter((b) => b.role === 'super').length;
  const excluder = where === 'top' && !boxes.some((b) => b.excluderBelow);
  return {
    ...EMPTY_PLAN,
    name: `${TITLE[where]} ${colony.name}`,
    why: `${where === best.where ? best.why : `You chose it. ${best.why}`}${coldAbove(facts, where)}`,
    units: [{ facts, after: unit }],
    newBoxes: [{ colonyId: colony.id, boxId, sizeId: like.sizeId, slots: like.slots, place: where }],
    moves: filled.map(({ frame, slot }) => ({
      frameId: frame.id,
      from: null,
      to: { boxId, slot },
      fromKey: STORE_KEY,
      toKey: colony.id,
      reason: frame.blank === 'drawn' ? 'Drawn comb of the store.' : 'Foundation of the store.',
    })),
    effects: excluder ? [{ kind: 'excluder-in', colonyId: colony.id }] : [],
    steps: [
      {
        kind: 'prepare',
        text: `Set out a box of ${like.slots}, an upturned roof for what is lifted${excluder ? ', and the excluder' : ''}`,
        detail: 'Everything that is lifted needs a place before it is lifted.',
      },
      {
        kind: 'open',
        units: [colony.id],
        text: `Open ${colony.name}`,
        detail: 'A mild hour. The brood boxes stay closed to each other.',
      },
      ...lifts(colony.name, where, supers, like.slots > 0 ? boxes.length : 0).map((s) => ({
        ...s,
        units: [colony.id],
      })),
      ...(filled.length === 0
        ? []
        : [
            {
              kind: 'fill' as const,
              units: [colony.id],
              text: `Fill the new box from the store: ${blanksInWords(filled.map((f) => f.frame))}`,
              detail: `Slots ${filled.map((f) => f.slot).join(', ')}.${where === 'top' ? ' One comb fewer than it holds, evenly apart.' : ' Drawn comb over the brood.'}`,
              frameIds: filled.map((f) => f.frame.id),
            },
          ]),
      ...(where === 'under' ? [back(colony.name, boxes.length)] : []),
      ...(where === 'over' && supers > 0
        ? [
            {
              kind: 'lift' as const,
              units: [colony.id],
              text: `Set the ${supers === 1 ? 'super' : `${supers} supers`} back, the excluder under ${supers === 1 ? 'it' : 'them'}`,
              detail: 'Covered until then: robbers smell it.',
            },
          ]
        : []),
      {
        kind: 'close',
        units: [colony.id],
        text: `Close ${colony.name}`,
        detail: 'Lid tight. The entrance as it was.',
      },
    ],
    looks: [
      inAWeek(
        facts,
        where === 'top'
          ? 'Bees in the super, and nectar: another when three quarters of its combs are covered.'
          : 'The new combs are covered and she lays in them. Not covered by then: take it off again.',
      ),
    ],
    cautions: [
      'Lifting: a full box may exceed 35 kg (80 lb). Take combs out, or lift in pairs.',
      ...(short > 0
        ? [
            `The store is short of ${short} ${short === 1 ? 'frame' : 'frames'} for it: bees build wild comb in a gap.`,
          ]
        : []),
    ],
    kit: [{ what: 'box', count: 1 }, ...(excluder ? [{ what: 'queen excluder', count: 1 }] : [])],
  };
}

const coldAbove = ({ outside, day }: UnitFacts, where: Where) =>
  where !== 'under' && outside.coldNights
    ? ` Above it draws warmth from the brood: wait for milder nights, from about ${dayInWords(addDays(day, 7))}, or set it below.`
    : '';

const wanted = (like: Box, where: Where) => like.slots - (where === 'top' ? WIDER : 0);

/** Combs of the store for the new box: drawn in the middle, where bees come first; foundation outside. */
function fills({ apiary, unit, frames, outside }: UnitFacts, like: Box, where: Where) {
  const hanging = frames.filter((f) => f.box.role === 'brood').length;
  const taken: Frame[] = [];
  const stored = framesInStore(apiary)
    .filter((f) => f.sizeId === like.sizeId)
    .toSorted((a, b) => Number(b.blank === 'drawn') - Number(a.blank === 'drawn'));
  for (const frame of stored) {
    if (taken.length === wanted(like, where)) break;
    // A super is drawn in a flow, whatever the nest below covers.
    if (where === 'top' || fillsUp(frame.blank, hanging + taken.length, unit, outside.coldNights))
      taken.push(frame);
  }
  const middleOut = combSlots(like).toSorted(
    (a, b) => Math.abs(a - (like.slots + 1) / 2) - Math.abs(b - (like.slots + 1) / 2) || a - b,
  );
  return taken
    .flatMap((frame, i) => {
      const slot = middleOut[i];
      return slot === undefined ? [] : [{ frame, slot }];
    })
    .toSorted((a, b) => a.slot - b.slot);
}

function lifts(name: string, where: Where, supers: number, boxes: number): StepDraft[] {
  switch (where) {
    case 'under':
      return [
        {
          kind: 'lift',
          text: `Set ${boxes === 1 ? `the box of ${name}` : `the boxes of ${name}, from the top,`} beside the floor`,
          detail: 'On the upturned roof, so that no queen is crushed; covered.',
        },
        {
          kind: 'lift',
          text: `Set the empty box on the floor of ${name}`,
          detail: 'Clean the floor on the way.',
        },
      ];
    case 'over':
      return [
        ...(supers > 0
          ? [
              {
                kind: 'lift' as const,
                text: `Set the ${supers === 1 ? 'super' : `${supers} supers`} and the excluder of ${name} aside`,
                detail: 'On the upturned roof, covered.',
              },
            ]
          : []),
        {
          kind: 'lift',
          text: `Set the empty box on the brood boxes of ${name}`,
          detail: 'No excluder between.',
        },
      ];
    case 'top':
      return [
        {
          kind: 'lift',
          text: `Set the empty super on ${name}${supers > 0 ? ', above the others' : ', the excluder under it'}`,
          detail: 'The queen is below: eggs in the upper combs would say otherwise.',
        },
      ];
  }
}

const back = (name: string, boxes: number): StepDraft => ({
  kind: 'lift',
  text: `Set ${boxes === 1 ? `the box of ${name}` : `the boxes of ${name}`} back on the new one, in their order`,
  detail: 'Straight down, little smoke at the edges.',
});
