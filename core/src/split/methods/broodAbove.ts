import { METHOD_NAMES } from '../../records/index.ts';
import { windowAfter } from '../../basics/index.ts';
import { broughtBox, datedBySplit } from './broughtBox.ts';
import { COMMON_CAUTIONS } from './cautions.ts';
import { donorFloorRule, noCellRule, strengthRule } from './commonRules.ts';
import { donorFrames } from './donorFrames.ts';
import { chosen, type MethodInput, type Setup, type SplitMethod } from '../base/method.ts';
import { hiveSteps } from '../base/hiveSteps.ts';

/** Brood that is left below when nearly all goes up: one comb for the queen to begin on. */
const ONE_COMB = 0.8;

function setUp(input: MethodInput): Setup {
  const { donor, rules, newName } = input;
  const frames = donorFrames(donor);
  const nearlyAll = chosen(broodAbove, input, 'much') === 'nearly-all';
  const capped = donor.frames.reduce((n, f) => n + f.capped, 0);
  const brood = donor.frames.reduce((n, f) => n + f.brood, 0);
  const below = { at: 'stay', name: donor.name } as const;
  return {
    distance: 'above',
    queen: ['here', 'elsewhere'],
    rules: [
      strengthRule(rules.strongForNuc, donor.name),
      noCellRule(newName),
      ...(nearlyAll ? [] : [donorFloorRule(below, rules)]),
    ],
    wish: (stay, fresh) =>
      nearlyAll
        ? 2 * Math.abs(stay.broodFrames - ONE_COMB) + 0.2 * fresh.storesFrames
        : // Capped brood wants no nurses; eggs above a queen excluder become emergency cells.
          3 * Math.abs(fresh.cappedFrames - capped / 2) +
          2 * fresh.openFrames +
          0.3 * fresh.eggsTenths +
          0.4 * fresh.storesFrames +
          0.3 * Math.max(0, fresh.broodFrames - brood / 2),
    movable: frames.freeWithDrones,
    shakable: [],
    maxShakes: 0,
    ...broughtBox(frames, frames.slots),
    ...datedBySplit(input),
  };
}

/** Capped brood above excluder and supers, comb to draw below: no increase, but no swarm and more gatherers. */
export const broodAbove: SplitMethod = {
  id: 'brood-above',
  name: METHOD_NAMES['brood-above'],
  aim: 'One colony that stays one: room to lay below, its brood emerges above the supers, and the wish to swarm passes.',
  season:
    'Before and in the swarm season, up to the flow, while the colony is crowded and before it has cells.',
  needs: 'An excluder, a box for above, combs to draw below, a strong colony without swarm cells.',
  shares:
    'About half the capped brood goes above excluder and supers; the queen, open brood and the rest stay below.',
  skips: 'No new stand, no new queen, nothing to feed.',
  options: [
    {
      id: 'much',
      question: 'How much brood goes up',
      schools: [
        {
          id: 'half-capped',
          label: 'Half the capped brood',
          why: 'Gives room to lay for three weeks; may be done again. Few cells are built above.',
        },
        {
          id: 'nearly-all',
          label: 'Nearly all brood',
          why: 'Stronger against swarming: one comb stays with the queen. Cells are built above and must be removed.',
        },
      ],
      default: 'half-capped',
    },
  ],
  goesWrong: [
    {
      what: 'Cells above on day 7',
      wayOut: 'Bees far from the queen raise another: remove every one, or lift the box off as a split.',
    },
    {
      what: 'Drones above cannot get out',
      wayOut: 'Open the lid on a warm noon, or leave a small upper entrance while drone brood emerges.',
    },
    {
      what: 'Eggs above the excluder',
      wayOut:
        'The queen went up with a comb: find her there and put her below, or let the boxes change places.',
    },
  ],
  fit: (w) =>
    w
      .needs(w.rules.strongForNuc, 5)
      .never(w.now.queen === 'gone', 'There is no queen to keep below.')
      .never(
        w.now.season === 'autumn' || w.now.season === 'dearth',
        'No swarms and no flow to come: brood belongs together now.',
      )
      .good(w.now.wanted === 0, 22, 'It makes no new colony, and none is wanted.')
      .good(w.now.wantsHoney, 14, 'The whole force stays together for the flow.')
      .bad(w.now.wanted > 0, 26, 'It makes no increase.')
      .bad(w.now.cells !== 'none', 24, 'With cells it comes too late: bees swarm all the same.')
      .bad(w.now.queen === 'not-found', 8, 'She must be found, or every comb that goes up shaken.')
      .bad(w.now.season === 'early', 14, 'In cool weather brood is kept together.'),
  setUp,
  steps(solved) {
    const { donor, newName } = solved.input;
    const seen = donor.frames.find((f) => f.hasQueen);
    const supers = donor.boxes.filter((b) => b.role === 'super').length;
    return [
      {
        kind: 'prepare',
        text: 'Lay out excluder, the box for above and a place for every super',
        detail: 'Everything that is lifted needs a place before it is lifted.',
      },
      {
        kind: 'open',
        units: ['stay'],
        text: `Open ${donor.name}`,
        detail: 'Warm and still. Supers off first, covered.',
      },
      ...hiveSteps(solved, {
        find: [
          {
            kind: 'find',
            task: 'find-queen',
            units: ['stay'],
            text: seen
              ? `Make sure of the queen of ${donor.name}; she was on ${seen.label}`
              : `Make sure that the queen of ${donor.name} stays below`,
            detail: 'See her, or shake the bees of every comb that goes up back into the bottom box.',
          },
        ],
        findIn: seen?.boxId ?? null,
        supersStayOff: true,
      }),
      {
        kind: 'lift',
        text:
          supers > 0
            ? `Excluder on the brood boxes of ${donor.name}, supers back, ${newName} on top`
            : `Excluder on the brood boxes of ${donor.name}, ${newName} on top`,
        detail: 'Nurses find their brood through the excluder within hours.',
      },
      {
        kind: 'close',
        units: ['stay'],
        text: `Close ${donor.name}`,
        detail: 'A small upper entrance where drone brood went up.',
      },
      {
        kind: 'check',
        text: 'Every entrance is open again',
        detail: 'A shut entrance suffocates bees within hours.',
      },
      {
        kind: 'check',
        text: `Tag ${donor.name}: brood above, look for cells on day 7`,
        detail: 'The date and the number of combs.',
      },
    ];
  },
  kit: () => [
    { what: 'queen excluder', count: 1 },
    { what: 'box', count: 1 },
    { what: 'queen cage or clip', count: 1 },
    { what: 'hive tag', count: 1 },
  ],
  followUps({ input }) {
    const { day } = input;
    return [
      {
        parts: ['stay'],
        kind: 'look',
        topic: 'surplus-cells',
        window: windowAfter(day, 6, 7, 9),
        anchor: 'work',
        expect: 'Cells above the excluder: remove every one. None below: the wish to swarm has passed.',
      },
      {
        parts: ['stay'],
        kind: 'look',
        topic: 'rhythm',
        window: windowAfter(day, 19, 21, 24),
        anchor: 'work',
        expect: 'All worker brood above has emerged: the box is a super now. Crowded again below: once more.',
      },
    ];
  },
  cautions: () => [...COMMON_CAUTIONS],
};
