import { addDays, type Day } from '../calendar/day.ts';
import {
  emergenceFromCells,
  emergencyEmergence,
  queenCalendar,
  windowAfter,
  type Window,
} from '../followup/windows.ts';
import { temperOf } from '../drift/drift.ts';
import type { PlanRule } from '../plan/rules.ts';
import type { HouseRules } from '../rules/houseRules.ts';
import { DISTANCE_OPTION, FEED_OPTION, NIGHTS_OPTION } from './commonOptions.ts';
import {
  beeBreadRule,
  beesRule,
  coverRule,
  donorFloorRule,
  eggsRule,
  storesRule,
  strengthRule,
} from './commonRules.ts';
import { COMMON_CAUTIONS, droneCautions } from './cautions.ts';
import {
  chosen,
  type Donor,
  type FollowUpText,
  type MethodInput,
  type Setup,
  type Solved,
  type SplitMethod,
} from './method.ts';
import { fillSteps, inWords, moveSteps } from './stepTexts.ts';

const isLive = (kind: string) => kind === 'charged' || kind === 'open' || kind === 'capped';

function hasCells(donor: Donor): boolean {
  return donor.cells.some((c) => isLive(c.kind));
}

/** No cell travels with a queen that is to stay: she would be replaced, or swarm again. */
function noCellRule(name: string): PlanRule {
  return {
    id: 'cells-fresh',
    label: `Cells in ${name}`,
    unit: 'cells',
    sense: 'atMost',
    threshold: 0,
    nearWithin: 0,
    price: 500,
    why: 'No cell travels with a queen that is to stay.',
    value: (_s, f) => f.liveCells,
    mend: () => 'Choose frames free of cells; brush bees aside and look along the edges.',
  };
}

/** The parent raises from its cells or, without any, from eggs. */
function queenForParentRule(donor: Donor, rules: HouseRules): PlanRule {
  if (!hasCells(donor)) return eggsRule({ at: 'stay', name: donor.name }, rules);
  return {
    id: 'cells-stay',
    label: `Cells left in ${donor.name}`,
    unit: 'cells',
    sense: 'atLeast',
    threshold: 1,
    nearWithin: 0,
    price: 500,
    why: 'The parent raises its queen from the cells that it has.',
    value: (s) => s.liveCells,
    mend: () => 'Leave at least one frame with a cell.',
  };
}

function setUp(input: MethodInput): Setup {
  const { donor, rules, newName } = input;
  const broodBox = donor.boxes.find((b) => b.role === 'brood') ?? donor.boxes[0];
  const sizeId = broodBox?.sizeId ?? 'langstroth-deep';
  const forHoney = chosen(queenToNuc, input, 'purpose') === 'honey';
  const cold = chosen(queenToNuc, input, 'nights') === 'cold';
  const target = forHoney ? 1.2 : 2.2;
  const queenAt = donor.frames.findIndex((f) => f.hasQueen);
  const queenFrame = donor.frames[queenAt];
  const queenGoes = queenFrame !== undefined && queenFrame.liveCells === 0 && queenFrame.size === sizeId;
  const free = (i: number) => donor.frames[i]?.liveCells === 0 && donor.frames[i].size === sizeId;
  const all = donor.frames.map((_, i) => i);
  const movable = all.filter((i) => free(i) && i !== queenAt);
  // Nurses are shaken from open brood, never from a frame with a cell or with the queen.
  const shakable = all.filter(
    (i) =>
      free(i) &&
      i !== queenAt &&
      temperOf((donor.frames[i] as Donor['frames'][number]).reading) === 'open-brood',
  );
  const slots = rules.nucSlots;
  const nuc = { at: 'fresh', name: newName } as const;
  const parent = { at: 'stay', name: donor.name } as const;
  return {
    distance: chosen(queenToNuc, input, 'distance') === 'away' ? 'away' : 'same-yard',
    queen: ['elsewhere', 'here'],
    rules: [
      strengthRule(rules.strongForNuc, donor.name),
      noCellRule(newName),
      queenForParentRule(donor, rules),
      beesRule(
        nuc,
        forHoney ? Math.min(1.5, rules.minBeesNewPart) : rules.minBeesNewPart,
        'She lays only what bees can cover, and field bees fly home.',
      ),
      coverRule(nuc, rules, cold),
      beeBreadRule(nuc, rules),
      storesRule(nuc, rules.minStoresNoField, 'Without field bees it lives on what it is given.'),
      donorFloorRule(parent, rules),
      coverRule(parent, rules, cold),
      beeBreadRule(parent, rules),
      storesRule(parent, rules.minStoresOnStand, 'Field bees come home to it, but rain can last.'),
    ],
    wish: (_stay, fresh, choice) => {
      const shakes = choice.shaken.filter(Boolean).length;
      const capped = fresh.cappedFrames / Math.max(fresh.broodFrames, 0.1);
      return (
        2 * Math.abs(fresh.broodFrames - target) +
        // Capped brood feeds nobody and hatches soon; open brood wants nurses that a nuc has not.
        1.5 * Math.max(0, 0.55 - capped) +
        Math.max(0, 0.5 - fresh.drawnFrames) +
        0.3 * Math.max(0, fresh.storesFrames - 1.5) +
        0.25 * fresh.frames +
        0.3 * shakes
      );
    },
    start: {
      part: all.map((i): 0 | 1 => (i === queenAt && queenGoes ? 1 : 0)),
      shaken: all.map(() => false),
    },
    restingPart: all.map(() => 0),
    movable,
    shakable,
    maxShakes: 3,
    newPart: { min: 1, max: slots },
    boxesThatMove: [],
    broughtBox: { sizeId, slots },
    emergence: emergenceFromCells(donor.cells, donor.countedOn) ?? emergencyEmergence(input.day),
  };
}

function queenSteps(solved: Solved): { kind: 'find' | 'move'; text: string; detail: string }[] {
  const { donor, newName } = solved.input;
  const queenFrame = donor.frames.find((f) => f.hasQueen);
  if (!queenFrame) {
    return [
      {
        kind: 'find',
        text: `Find the queen in ${donor.name}`,
        detail:
          'Mostly on open brood. Not found in ten minutes: stop, part the brood in two boxes with all cells in one; eggs or new cells tell in a week where she is.',
      },
    ];
  }
  const label = `${queenFrame.label} (${inWords(queenFrame)})`;
  if (queenFrame.liveCells > 0) {
    return [
      {
        kind: 'find',
        text: `Find the queen; she was on ${label}`,
        detail: `That frame has cells and stays. Pick her up by the wings, or run her, onto a brood frame that goes to ${newName}.`,
      },
    ];
  }
  return [
    {
      kind: 'find',
      text: `Find the queen; she was on ${label}`,
      detail:
        'Read both sides and the edges of her frame for cells before it goes. Cage her if you must put it down.',
    },
  ];
}

const CELLS_KEPT: Readonly<Record<string, string>> = {
  one: 'Reserve the best cell: large, well jellied, mid-comb. Pin the frame. Then remove the others.',
  two: 'Reserve the two best cells, of different age. Pin their frames. Then remove the others.',
  all: 'Leave all cells. In a strong parent the first queen out may leave with a swarm.',
};

/** The old queen into a nuc, as if the colony had swarmed; the parent keeps cells and most bees. */
export const queenToNuc: SplitMethod = {
  id: 'queen-to-nuc',
  name: 'Queen moved out to a nuc',
  aim: 'Stops a swarm and makes one nuc: the old queen goes, the parent raises a new one from its cells.',
  season: 'Swarm season, when cells are charged or near capping. Earlier it works with eggs alone.',
  skips: 'The queen has to be found, or the brood parted.',
  options: [
    {
      id: 'purpose',
      question: 'What the nuc is for',
      schools: [
        {
          id: 'increase',
          label: 'A colony of its own',
          why: 'Two to three brood frames, so that it fills a box in six to eight weeks.',
        },
        {
          id: 'honey',
          label: 'Keep the honey crop',
          why: 'Queen, one or two frames and a shake of bees: the work force stays with the supers.',
        },
      ],
      default: 'increase',
    },
    {
      id: 'cells',
      question: 'Cells left in the parent',
      schools: [
        { id: 'one', label: 'One chosen', why: 'No cast swarm. If it fails there is no second.' },
        { id: 'two', label: 'One or two', why: 'Insurance with little risk of a cast.' },
        { id: 'all', label: 'All', why: 'The bees choose; only for a parent left small.' },
      ],
      default: 'two',
    },
    DISTANCE_OPTION,
    NIGHTS_OPTION,
    FEED_OPTION,
  ],
  goesWrong: [
    {
      what: 'The queen is not found',
      wayOut: 'Part the brood, all cells in one part; eggs or new cells tell in a week which part has her.',
    },
    {
      what: 'The parent swarms all the same',
      wayOut: 'A cell was missed or two emerged: catch the cast, leave the rest alone until eggs are due.',
    },
    { what: 'No eggs in the parent by the last day', wayOut: 'Unite the nuc back: it holds the old queen.' },
  ],
  setUp,
  steps(solved) {
    const { input, moves, shakes, fresh, setup } = solved;
    const { donor, newName } = input;
    const away = setup.distance === 'away';
    return [
      {
        kind: 'prepare',
        text: `Set the nuc box for ${newName} beside ${donor.name}`,
        detail: 'Entrance shut with grass. Lid at hand, shade.',
      },
      {
        kind: 'open',
        text: `Open ${donor.name}`,
        detail: 'Little smoke: it makes queens run. Begin at an outer frame.',
      },
      ...queenSteps(solved),
      ...moveSteps(moves),
      ...shakes.map((f) => ({
        kind: 'shake' as const,
        text: `Shake the bees of ${f.label} into ${newName}`,
        detail:
          'Nurses off open brood. The queen must be safe in the nuc first, and the frame free of cells.',
      })),
      ...fillSteps(moves),
      ...(hasCells(donor)
        ? [
            {
              kind: 'find' as const,
              text: `Choose the cells that stay in ${donor.name}`,
              detail: CELLS_KEPT[chosen(queenToNuc, input, 'cells')] ?? '',
            },
          ]
        : []),
      {
        kind: 'close',
        text: 'Close both; nuc entrance to a finger’s width',
        detail: 'Do not shake or knock the frame with the reserved cell.',
      },
      ...(away
        ? [
            {
              kind: 'lift' as const,
              text: `Strap ${newName} and carry it to the other yard`,
              detail: 'Air, shade, no stops.',
            },
          ]
        : []),
      {
        kind: 'check',
        text: 'Every entrance is open again',
        detail: 'A shut entrance suffocates a nuc within hours.',
      },
      ...(needsFeed(input, fresh.storesFrames)
        ? [
            {
              kind: 'check' as const,
              text: `Feed ${newName} this evening, inside, 1:1`,
              detail: 'A small unit is easily robbed: small entrance, no syrup spilt.',
            },
          ]
        : []),
      {
        kind: 'check',
        text: `Tag ${newName}: date, old queen of ${donor.name}`,
        detail: `Tag ${donor.name}: raising, hands off.`,
      },
    ];
  },
  kit({ input, fresh, setup }) {
    return [
      { what: `nuc box, ${setup.broughtBox?.slots ?? 5} frames, with floor and lid`, count: 1 },
      { what: 'stand', count: 1 },
      { what: 'queen cage or clip', count: 1 },
      { what: 'entrance block', count: 1 },
      { what: 'drawing pins to mark reserved cells', count: 2 },
      ...(needsFeed(input, fresh.storesFrames) ? [{ what: 'feeder', count: 1 }] : []),
      { what: 'hive tag', count: 2 },
    ];
  },
  followUps,
  cautions: ({ input }) => [
    ...COMMON_CAUTIONS,
    ...droneCautions(input.donor.frames),
    'Lifting: take supers off in halves or in pairs before you reach the brood box.',
  ],
};

function followUps({ input, setup }: Solved): FollowUpText[] {
  const dates = queenCalendar(input.day, setup.emergence);
  const swarmCells = hasCells(input.donor);
  const rest = dates.handsOff;
  const anchor = swarmCells ? ('cells' as const) : ('split' as const);
  return [
    {
      parts: ['new'],
      kind: 'look',
      topic: 'rhythm',
      window: windowAfter(input.day, 5, 7, 10),
      anchor: 'split' as const,
      expect: 'Eggs and food in the nuc; bees cover the brood. No new cells.',
    },
    ...(swarmCells && addDays(input.day, 7) < setup.emergence.earliest
      ? [
          {
            parts: ['stay'] as const,
            kind: 'look' as const,
            topic: 'surplus-cells' as const,
            window: surplusWindow(dates.surplusCells, addDays(setup.emergence.earliest, -1)),
            anchor: 'split' as const,
            expect:
              'Reserved cell capped and whole: remove emergency cells now, no more can be made. If it failed, keep the best of the others.',
          },
        ]
      : []),
    ...(swarmCells
      ? []
      : [
          {
            parts: ['stay'] as const,
            kind: 'look' as const,
            topic: 'which-part' as const,
            window: { ...dates.eggsProveQueen, latest: dates.surplusCells.latest },
            anchor: 'split' as const,
            expect: 'Cells and no eggs: the parent is raising a queen.',
          },
        ]),
    {
      parts: ['stay'],
      kind: 'hands-off',
      topic: 'rest',
      window: { earliest: rest.from, likely: rest.from, latest: rest.to },
      anchor,
      expect: 'A virgin emerges, flies and mates. Leave it shut.',
    },
    {
      parts: ['stay'],
      kind: 'look',
      topic: 'eggs-due',
      window: dates.eggsLook,
      anchor,
      expect: 'Eggs of the new queen in the parent.',
    },
  ];
}

/** Days 7 to 9, but before the first queen can be out. */
function surplusWindow(usual: Window, lastDay: Day): Window {
  const notAfter = (day: Day) => (day < lastDay ? day : lastDay);
  return { earliest: usual.earliest, likely: notAfter(usual.likely), latest: notAfter(usual.latest) };
}

function needsFeed(input: MethodInput, storesFrames: number): boolean {
  return chosen(queenToNuc, input, 'feed') === 'always' || storesFrames < input.rules.minStoresNoField;
}
