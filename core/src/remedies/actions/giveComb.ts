import { capital, addDays } from '../../basics/index.ts';
import { placeInWords, readingOf, type PlacedFrame, type StepDraft } from '../../records/index.ts';
import { shareOf, shareOfBees } from '../../comb/index.ts';
import { cappedGift, eggGift, openGift, type Gift } from '../unit/partners.ts';
import type { UnitFacts } from '../unit/unitFacts.ts';
import { EMPTY_PLAN, inAWeek, type ActionPlan } from './actionPlan.ts';
import { hangIn, incoming } from './hangIn.ts';
import { roomFor } from './roomFor.ts';

const sizeOf = (facts: UnitFacts) => facts.frames.find((f) => f.box.role === 'brood')?.frame.sizeId ?? '';

const at = ({ apiary, colony }: UnitFacts, f: PlacedFrame) => placeInWords(apiary, colony, f.box, f.slot);

/** A comb goes from a giver to a unit; the comb that makes room goes back in exchange. Null where nothing fits. */
function combPlan(
  facts: UnitFacts,
  gift: Gift,
  name: string,
  reason: string,
  steps: readonly StepDraft[],
  rest: Pick<ActionPlan, 'looks' | 'cautions'>,
  /** Frames of bees that go with the comb; they are shaken off where none do. */
  nurses = 0,
): ActionPlan | null {
  const { colony, unit } = facts;
  const { giver, frame } = gift;
  const room = roomFor(facts, frame.frame.sizeId);
  if (!room) return null;
  const from = { boxId: frame.box.id, slot: frame.slot };
  const { out } = room;
  const here = hangIn(facts, out ? [out] : [], [incoming(frame, room.boxId)]);
  const there = hangIn(giver, [frame], out ? [incoming(out, frame.box.id)] : []);
  const to = { boxId: room.boxId, slot: here.slotOf.get(frame.frame.id) ?? room.slot };
  const back = out && { boxId: frame.box.id, slot: there.slotOf.get(out.frame.id) ?? frame.slot };
  const of = (...c: Parameters<typeof shareOf>[1][]) => shareOf(readingOf(frame), ...c);
  return {
    ...EMPTY_PLAN,
    name,
    units: [
      { facts: giver, after: { ...gift.left, bees: gift.left.bees - nurses } },
      {
        facts,
        after: {
          bees: unit.bees + nurses,
          eggs: unit.eggs + of('eggs'),
          open: unit.open + of('open'),
          capped: unit.capped + of('capped', 'emerging'),
        },
      },
    ],
    moves: [
      {
        frameId: frame.frame.id,
        from,
        to,
        fromKey: giver.colony.id,
        toKey: colony.id,
        reason,
      },
      ...(out
        ? [
            {
              frameId: out.frame.id,
              from: { boxId: out.box.id, slot: out.slot },
              to: back,
              fromKey: colony.id,
              toKey: giver.colony.id,
              reason: 'It makes room, and gives the donor a comb to lay in.',
            },
          ]
        : []),
      ...here.slides,
      ...there.slides,
    ],
    shakes:
      nurses > 0
        ? [
            {
              frameId: frame.frame.id,
              fromKey: giver.colony.id,
              toKey: colony.id,
              reason: 'Its nurses stay on the brood that they feed.',
            },
          ]
        : [],
    steps: [
      // Room first: nothing is hung where a comb still hangs.
      {
        kind: 'open',
        units: [colony.id],
        text: `Open ${colony.name}`,
        detail: 'Little smoke. Make room for the comb that comes, then cover it with a cloth.',
      },
      ...(out
        ? [
            {
              kind: 'move' as const,
              task: 'aside' as const,
              units: [colony.id],
              text: `${capital(at(facts, out))} of ${colony.name} out and aside`,
              detail: 'Empty comb in exchange; shake its bees off here.',
              frameIds: [out.frame.id],
            },
          ]
        : []),
      ...here.steps,
      {
        kind: 'open',
        units: [giver.colony.id],
        text: `Open ${giver.colony.name}`,
        detail: 'Little smoke. Find the queen first, or be sure that she is not on the comb that goes.',
      },
      {
        kind: 'move',
        task: 'carry',
        units: [giver.colony.id, colony.id],
        text: `${capital(at(giver, frame))} of ${giver.colony.name} → ${colony.name}, slot ${to.slot}`,
        detail: `${reason} ${
          nurses > 0
            ? 'Its bees stay on it: read both sides for the queen, then wait five minutes, until the field bees have left it.'
            : 'Shake and brush its bees off before its own hive: no queen travels, no bees fight.'
        }`,
        frameIds: [frame.frame.id],
      },
      ...there.steps,
      ...(out && back
        ? [
            {
              kind: 'move' as const,
              task: 'carry' as const,
              units: [colony.id, giver.colony.id],
              text: `The comb that was set aside → ${giver.colony.name}, slot ${back.slot}`,
              detail: 'It goes where the nest ends, never between brood.',
              frameIds: [out.frame.id],
            },
          ]
        : []),
      { kind: 'close', units: [giver.colony.id], text: `Close ${giver.colony.name}`, detail: '' },
      ...steps,
      {
        kind: 'close',
        units: [colony.id],
        text: `Close ${colony.name}`,
        detail: 'Small entrance; tag it with what was given and the date.',
      },
    ],
    ...rest,
    kit: [],
  };
}

/** A comb of capped or emerging brood for a weak unit. */
export function boostBrood(facts: UnitFacts, all: readonly UnitFacts[]): ActionPlan | null {
  const gift = cappedGift(facts, all, sizeOf(facts));
  if (!gift) return null;
  const { colony } = facts;
  return combPlan(
    facts,
    gift,
    `boost ${colony.name} with capped brood`,
    'Capped and emerging: its bees are out within twelve days, and it needs no nurses.',
    [
      {
        kind: 'check',
        text: `${colony.name}: the comb hangs against its brood, bees on both sides`,
        detail: 'Not more than its bees cover tonight. No room beside brood: take it back.',
      },
    ],
    {
      looks: [inAWeek(facts, 'Bees emerge from the comb given, and her brood has grown.')],
      cautions: ['Nothing is taken from or given to a colony with suspect brood.'],
    },
  );
}

/**
 * A comb of open brood with its nurses on it: the other school. They stay on the brood that they feed and it feeds nobody
 * else's, but it is one comb of brood more to warm: null while nights are cold, or where no donor can spare one.
 */
export function boostOnComb(facts: UnitFacts, all: readonly UnitFacts[]): ActionPlan | null {
  const gift = openGift(facts, all, sizeOf(facts));
  if (!gift || facts.outside.coldNights) return null;
  const { colony } = facts;
  const nurses = shareOfBees(readingOf(gift.frame)) * gift.giver.rules.stayOpenBrood;
  return combPlan(
    facts,
    gift,
    `boost ${colony.name} with nurses on their comb`,
    'Open brood with the nurses that feed it.',
    [
      {
        kind: 'check',
        text: `${colony.name}: the comb hangs beside its brood`,
        detail:
          'A puff of smoke in both hives, so that they smell alike. Only on mild nights: it has to be kept warm.',
      },
    ],
    {
      looks: [inAWeek(facts, 'The comb given is being capped, and her brood has grown.')],
      cautions: [
        'The queen of the donor is found first: she must not travel.',
        'Nothing is taken from or given to a colony with suspect brood.',
      ],
    },
    nurses,
  );
}

/** A comb with eggs that settles whether a queen is there. */
export function testFrame(facts: UnitFacts, all: readonly UnitFacts[]): ActionPlan | null {
  const gift = eggGift(facts, all, sizeOf(facts));
  if (!gift) return null;
  const { colony, day } = facts;
  return combPlan(
    facts,
    gift,
    `test comb for ${colony.name}`,
    'Eggs and young larvae: without a queen cells are drawn on it within days.',
    [
      {
        kind: 'check',
        text: `Mark the comb in ${colony.name} with the date`,
        detail: 'In the middle of the nest, where most bees are.',
      },
    ],
    {
      looks: [
        {
          colonyIds: [colony.id],
          topic: 'which-part',
          window: { earliest: addDays(day, 3), likely: addDays(day, 4), latest: addDays(day, 5) },
          expect: `Cells on the marked comb of ${colony.name}: no queen, and she is raised from them. None: a queen or virgin is there; leave it until eggs are due.`,
        },
      ],
      cautions: ['A test comb comes from a healthy colony only.'],
    },
  );
}
