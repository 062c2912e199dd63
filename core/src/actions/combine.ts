import { queenOf, boxesOfColony, isSlotOf, readingOf, type PlacedFrame } from '../apiary/views.ts';
import { operationOf } from '../apiary/records.ts';
import { addDays } from '../calendar/day.ts';
import { shareOf } from '../comb/contents.ts';
import { planFrame } from '../plan/measure.ts';
import { betterQueen, bestUnion, unionOf } from '../remedies/partners.ts';
import { layingChance, type UnitFacts } from '../remedies/unitFacts.ts';
import { usualHorizon } from '../remedies/remedies.ts';
import { stayShares } from '../rules/houseRules.ts';
import { arrangeBox } from '../yardplan/arrangeBox.ts';
import type { StepDraft } from '../yardplan/yardSteps.ts';
import { EMPTY_PLAN, type ActionChoice, type ActionPlan } from './actionPlan.ts';
import type { WorkEffect } from './workEffect.ts';

/** Below this chance of a laying queen a side counts as queenless: then no paper is needed in a flow. */
const QUEENLESS = 0.25;

/** What a comb is worth in the united box: brood first, then bee bread and food. */
const worth = (f: PlacedFrame) => {
  const r = readingOf(f);
  return (
    3 * shareOf(r, 'eggs', 'open', 'capped', 'emerging') +
    1.3 * shareOf(r, 'beeBread') +
    shareOf(r, 'honey', 'nectar')
  );
};
const hasBrood = (f: PlacedFrame) => shareOf(readingOf(f), 'eggs', 'open', 'capped', 'emerging') > 0.03;

/** How two units may be united, and why one way is the usual. */
export interface UnionWays {
  readonly usual: 'paper' | 'direct';
  readonly why: string;
  /** Why comb to comb does not go; null when it does. */
  readonly noDirect: string | null;
}

/** Which way of uniting suits two units. */
export function waysToUnite(facts: UnitFacts, partner: UnitFacts): UnionWays {
  const fits = combsForOneBox(facts, partner);
  const queenless = Math.min(layingChance(facts), layingChance(partner)) < QUEENLESS;
  const noDirect = sameHive(facts, partner)
    ? 'They live in one hive: the partition gives way to paper, and every comb stays.'
    : fits === null
      ? 'Combs with brood do not all fit one box, or are of another size.'
      : null;
  if (noDirect === null && queenless && facts.outside.flow) {
    return {
      usual: 'direct',
      why: 'One side has no queen and nectar comes in: they mix without paper.',
      noDirect,
    };
  }
  return {
    usual: 'paper',
    why: queenless
      ? 'Without a flow one sheet of paper keeps the peace.'
      : 'Two queenright units meet slowly through one sheet of paper.',
    noDirect,
  };
}

/** They are parted by no more than a partition. */
const sameHive = (a: UnitFacts, b: UnitFacts) => a.colony.hiveId === b.colony.hiveId;

/** Boxes that a unit shares with others stay where they are: only its combs can go. */
const sharesBoxes = ({ apiary, colony }: UnitFacts) =>
  boxesOfColony(apiary, colony).some((b) =>
    b.chambers.some((c) => c.colonyId !== null && c.colonyId !== colony.id),
  );

/** The hive that stays where it is: the larger one, or that of the better queen when they are alike. */
function hostOf(facts: UnitFacts, partner: UnitFacts): UnitFacts {
  const gap = partner.unit.bees - facts.unit.bees;
  if (Math.abs(gap) > 1.5) return gap > 0 ? partner : facts;
  if (facts.slots !== partner.slots) return facts.slots > partner.slots ? facts : partner;
  return betterQueen(facts, partner) ?? partner;
}

/** The combs that hang in the one brood box of the host; null where brood would be left over or does not fit. */
function combsForOneBox(facts: UnitFacts, partner: UnitFacts) {
  const host = hostOf(facts, partner);
  const guest = host === facts ? partner : facts;
  const boxes = boxesOfColony(host.apiary, host.colony).filter((b) => b.role === 'brood');
  const [box] = boxes;
  if (!box || boxes.length !== 1) return null;
  const slots = Array.from({ length: box.slots }, (_, i) => i + 1).filter((s) =>
    isSlotOf(box, s, host.colony.id),
  );
  const own = host.frames.filter((f) => f.box.id === box.id);
  const coming = guest.frames;
  if (coming.some((f) => hasBrood(f) && f.frame.sizeId !== box.sizeId)) return null;
  const all = [...own, ...coming.filter((f) => f.frame.sizeId === box.sizeId)].toSorted(
    (a, b) => Number(hasBrood(b)) - Number(hasBrood(a)) || worth(b) - worth(a),
  );
  const kept = all.slice(0, slots.length);
  if (all.slice(slots.length).some(hasBrood)) return null;
  return { host, guest, box, slots, own, coming, kept };
}

/**
 * Unites a unit with another: which queen stays, over paper or comb to comb, at dusk or by day, which combs stay and
 * in what order, what goes to the store, and what to check in a week.
 */
export function combine(
  facts: UnitFacts,
  all: readonly UnitFacts[],
  choice: ActionChoice,
): ActionPlan | null {
  const horizon = usualHorizon(facts);
  const chosen = all.find((o) => o.colony.id === choice.partnerId && o.colony.id !== facts.colony.id);
  const union = chosen ? unionOf(facts, chosen, horizon) : bestUnion(facts, all, horizon);
  if (!union) return null;
  const { partner } = union;
  const together = sameHive(facts, partner);
  const host = hostOf(facts, partner);
  const guest = host === facts ? partner : facts;
  const ways = waysToUnite(facts, partner);
  const how = choice.how === 'direct' && ways.noDirect !== null ? 'paper' : (choice.how ?? ways.usual);
  const when = choice.when ?? 'dusk';
  // Behind a partition with a third unit: its box cannot be set on another hive.
  if (how === 'paper' && !together && sharesBoxes(guest)) return null;
  const queen = queensOf(host, guest, union.queenOf);
  const direct = how === 'direct' ? combsForOneBox(facts, partner) : null;
  const laid = direct ? layDirect(direct) : { moves: [], detail: '' };
  const guestBoxes = boxesOfColony(guest.apiary, guest.colony).map((b) => b.id);
  return {
    ...EMPTY_PLAN,
    name: `unite ${guest.colony.name} with ${host.colony.name}`,
    units: [
      { facts: host, after: union.unit },
      { facts: guest, after: { bees: 0, eggs: 0, open: 0, capped: 0 } },
    ],
    moves: laid.moves,
    unions: [{ fromId: guest.colony.id, intoId: host.colony.id }],
    emptiedBoxIds: direct ? guestBoxes : [],
    effects: queen.effects,
    steps: [
      ...queen.steps,
      ...(direct
        ? directSteps(
            host,
            guest,
            laid.moves.map((m) => m.frameId),
            laid.detail,
            when,
          )
        : together
          ? partitionSteps(host)
          : paperSteps(host, guest, when)),
      ...(together
        ? []
        : [
            {
              kind: 'check' as const,
              text: `Nothing is left on the old stand of ${guest.colony.name}`,
              detail: 'A box there would collect its field bees.',
            },
          ]),
      {
        kind: 'close',
        text: `Close ${host.colony.name}; entrance to a finger’s width`,
        detail: 'Feed only if nothing comes in, and in the evening.',
      },
    ],
    looks: [
      {
        colonyIds: [host.colony.id],
        topic: 'rhythm',
        window: {
          earliest: addDays(facts.day, 6),
          likely: addDays(facts.day, 7),
          latest: addDays(facts.day, 10),
        },
        expect: direct
          ? 'Eggs are becoming larvae, and bees cover the combs. Then the weakest comb can go.'
          : 'The paper is gone, eggs are becoming larvae. Then brood to brood in one box, and the other box to the store.',
      },
    ],
    cautions: [
      'Never combine to hide disease: nothing leaves a colony with suspect brood.',
      'Lifting: a full box may exceed 35 kg. Take combs out, or lift in pairs.',
    ],
    kit: direct ? [] : [{ what: 'sheet of newspaper', count: 1 }],
  };
}

/** Which queen stays, and what is done about the other. */
function queensOf(
  host: UnitFacts,
  guest: UnitFacts,
  stays: UnitFacts | null,
): { effects: WorkEffect[]; steps: StepDraft[] } {
  const known = (f: UnitFacts) => queenOf(f.apiary, f.colony.id) !== undefined;
  const other = stays === host ? guest : host;
  const otherMay =
    known(other) || layingChance(other) + other.belief.odds.virgin + other.belief.odds['drone-layer'] > 0.15;
  const effects: WorkEffect[] = [];
  if (known(other)) effects.push({ kind: 'queen-out', colonyId: other.colony.id });
  if (stays === guest && known(guest))
    effects.push({ kind: 'queen-over', colonyId: guest.colony.id, intoId: host.colony.id });
  if (!stays || !otherMay) return { effects, steps: [] };
  return {
    effects,
    steps: [
      {
        kind: 'find',
        text: `Find the queen${other.belief.odds.virgin + other.belief.odds.cells > 0.5 ? ', virgin or cells' : ''} of ${other.colony.name} and take ${other.belief.odds.virgin + other.belief.odds.cells > 0.5 ? 'them' : 'her'} out`,
        detail: `The queen of ${stays.colony.name} stays: she ${layingChance(stays) > layingChance(other) + 0.2 ? 'lays more surely' : 'is younger or lays better'}. Both left together, the better one may be lost. The spare queen can stand by in a nuc.`,
      },
    ],
  };
}

function partitionSteps(host: UnitFacts): StepDraft[] {
  return [
    {
      kind: 'open',
      text: `Open the hive of ${host.colony.name}, both sides`,
      detail: 'At dusk, little smoke.',
    },
    {
      kind: 'move',
      text: 'Draw the partition; hang a sheet of paper with a few slits in its place',
      detail: 'They meet through it in two or three days. One entrance is shut then.',
    },
  ];
}

function paperSteps(host: UnitFacts, guest: UnitFacts, when: 'dusk' | 'day'): StepDraft[] {
  return [
    {
      kind: 'open',
      text: when === 'dusk' ? `At dusk, open ${host.colony.name}` : `By day, open ${host.colony.name}`,
      detail:
        when === 'dusk'
          ? 'All field bees are at home and come along.'
          : `Field bees of ${guest.colony.name} return to its old stand and join neighbours.`,
    },
    {
      kind: 'prepare',
      text: 'Lay one sheet of newspaper over its top bars; a few slits with the hive tool',
      detail: 'They chew it away in two or three days and take on one smell.',
    },
    {
      kind: 'lift',
      text: `Set the box of ${guest.colony.name} on the paper`,
      detail:
        'Unlike box sizes: a board with a hole between. Combs of another size stay in their own box until the brood is out.',
    },
  ];
}

function directSteps(
  host: UnitFacts,
  guest: UnitFacts,
  frameIds: string[],
  detail: string,
  when: 'dusk' | 'day',
): StepDraft[] {
  return [
    {
      kind: 'open',
      text: `${when === 'dusk' ? 'At dusk, open' : 'Open'} ${host.colony.name} and ${guest.colony.name}`,
      detail: 'A puff of smoke in both, so that they smell alike.',
    },
    {
      kind: 'move',
      text: `Hang the best combs into the box of ${host.colony.name}, brood beside brood`,
      detail,
      frameIds,
    },
    {
      kind: 'shake',
      text: `Shake what is left of ${guest.colony.name} in`,
      detail: 'Then its box and the spare combs go to the store.',
    },
  ];
}

/** Slots in the host's box for the combs that stay, and the store for the rest. */
function layDirect(c: NonNullable<ReturnType<typeof combsForOneBox>>): {
  moves: ActionPlan['moves'][number][];
  detail: string;
} {
  const { referenceSize } = operationOf(c.host.apiary);
  const plan = (f: PlacedFrame) =>
    planFrame(
      {
        id: f.frame.id,
        label: '',
        size: f.frame.sizeId,
        boxId: f.box.id,
        slot: f.slot,
        reading: readingOf(f),
      },
      referenceSize,
      stayShares(c.host.rules),
    );
  const slots = arrangeBox(
    c.kept.map((f) => ({ frame: plan(f), slot: c.own.includes(f) ? f.slot : null })),
    c.slots,
    'nest',
  );
  const keyOf = (f: PlacedFrame) => (c.own.includes(f) ? c.host.colony.id : c.guest.colony.id);
  const moves = [...c.own, ...c.coming].flatMap((f): ActionPlan['moves'][number][] => {
    const slot = slots.get(f.frame.id);
    const from = { boxId: f.box.id, slot: f.slot };
    const base = { frameId: f.frame.id, from, fromKey: keyOf(f) };
    if (slot === undefined) {
      return [{ ...base, to: null, toKey: 'store', reason: 'Missed least in the united box.' }];
    }
    if (c.own.includes(f) && slot === f.slot) return [];
    return [
      {
        ...base,
        to: { boxId: c.box.id, slot },
        toKey: c.host.colony.id,
        reason: 'Brood beside brood, bread next, food outside.',
      },
    ];
  });
  const detail = c.kept
    .map((f) => ({ f, slot: slots.get(f.frame.id) ?? 0 }))
    .toSorted((a, b) => a.slot - b.slot)
    .map(
      ({ f, slot }) =>
        `${slot}: ${hasBrood(f) ? 'brood' : shareOf(readingOf(f), 'honey', 'nectar') > 0.4 ? 'stores' : 'comb'}${c.own.includes(f) ? '' : ` of ${c.guest.colony.name}`}`,
    )
    .join('; ');
  return { moves, detail };
}
