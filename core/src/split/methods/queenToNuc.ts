import { METHOD_NAMES } from '../../records/index.ts';
import { queenCalendar } from '../../brood/index.ts';
import { windowAfter } from '../../basics/index.ts';
import { DISTANCE_OPTION, FEED_OPTION, NIGHTS_OPTION } from './commonOptions.ts';
import {
  beeBreadRule,
  beesRule,
  coverRule,
  donorFloorRule,
  noCellRule,
  queenForParentRule,
  storesRule,
  strengthRule,
} from './commonRules.ts';
import { endingSteps } from './closing.ts';
import { broughtBox, datedByCells } from './broughtBox.ts';
import { donorFrames, queenFrameCanGo } from './donorFrames.ts';
import { COMMON_CAUTIONS, droneCautions } from './cautions.ts';
import {
  chosen,
  needsFeed,
  type FollowUpText,
  type MethodInput,
  type Setup,
  type Solved,
  type SplitMethod,
  type StepText,
} from '../base/method.ts';
import { nucKit } from './kits.ts';
import { queenLooks, surplusCellsLook } from './lookTexts.ts';
import { hiveSteps } from '../base/hiveSteps.ts';
import { inWords } from '../base/stepTexts.ts';

function setUp(input: MethodInput): Setup {
  const { donor, rules, newName } = input;
  const frames = donorFrames(donor);
  const forHoney = chosen(queenToNuc, input, 'purpose') === 'honey';
  const cold = chosen(queenToNuc, input, 'nights') === 'cold';
  const target = forHoney ? 1.2 : 2.2;
  const queenGoes = queenFrameCanGo(donor, frames);
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
        0.4 * fresh.warmedFrames +
        Math.max(0, 0.5 - fresh.drawnFrames) +
        0.3 * Math.max(0, fresh.storesFrames - 1.5) +
        // Bees that are wanting are shaken in rather than carried over on another comb.
        0.4 * fresh.frames +
        0.3 * shakes
      );
    },
    movable: frames.free,
    shakable: frames.shakable,
    maxShakes: 3,
    ...broughtBox(frames, rules.nucSlots, queenGoes),
    ...datedByCells(input, frames),
  };
}

function queenSteps(solved: Solved): StepText[] {
  const { donor, newName } = solved.input;
  const queenFrame = donor.frames.find((f) => f.hasQueen);
  if (!queenFrame) {
    return [
      {
        kind: 'find',
        task: 'find-queen',
        units: ['stay'],
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
        task: 'find-queen',
        units: ['stay'],
        text: `Find the queen; she was on ${label}`,
        detail: `That frame has cells and stays. Pick her up by the wings, or run her, onto a brood frame that goes to ${newName}.`,
      },
    ];
  }
  return [
    {
      kind: 'find',
      task: 'find-queen',
      units: ['stay'],
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
  name: METHOD_NAMES['queen-to-nuc'],
  aim: 'Stops a swarm and makes one nuc: the old queen goes, the parent raises a new one from its cells.',
  season: 'Swarm season, when cells are charged or near capping. Earlier it works with eggs alone.',
  needs: 'A strong colony, best with cells that are charged or nearly capped, its queen found; a nuc box.',
  shares: 'The queen, capped brood, food and shaken nurses go; the parent keeps chosen cells and most bees.',
  skips: 'Nothing has to be bought. The queen has to be found, or the brood parted.',
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
  fit: (w) =>
    w
      .needs(w.rules.strongForNuc, 4)
      .raisesQueen()
      .never(w.now.queen === 'gone', 'There is no queen to move out.')
      .good(w.now.cells !== 'none', 24, 'Cells are there: with her gone the swarm has no reason to leave.')
      .bad(
        w.now.cells === 'none',
        4,
        'Without cells the parent has to raise a queen from eggs: some days longer.',
      )
      .good(w.now.queen === 'found', 8, 'She was seen, so her frame is known.')
      .bad(w.now.queen === 'not-found', 12, 'She has to be found first.')
      .good(w.now.wantsHoney, 8, 'The work force stays with the supers.')
      .bad(w.now.wanted > 1, 15, 'It makes one colony, not several.'),
  setUp,
  steps(solved) {
    const { input, fresh, setup } = solved;
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
        units: ['stay'],
        text: `Open ${donor.name}`,
        detail: 'Little smoke: it makes queens run. Begin at an outer frame.',
      },
      ...hiveSteps(solved, {
        find: queenSteps(solved),
        findIn: donor.frames.find((f) => f.hasQueen)?.boxId ?? null,
        shake: 'Nurses off open brood. The queen must be safe in the nuc first, and the frame free of cells.',
      }),
      ...(donorFrames(donor).hasCells
        ? [
            {
              kind: 'find' as const,
              task: 'keep-cell' as const,
              units: ['stay'] as const,
              text: `Choose the cells that stay in ${donor.name}`,
              detail: CELLS_KEPT[chosen(queenToNuc, input, 'cells')] ?? '',
            },
          ]
        : []),
      ...endingSteps({
        newName,
        close: {
          text: 'Close both; nuc entrance to a finger’s width',
          detail: 'Do not shake or knock the frame with the reserved cell.',
        },
        away,
        feed: needsFeed(queenToNuc, input, fresh.storesFrames),
        tag: {
          text: `Tag ${newName}: date, old queen of ${donor.name}`,
          detail: `Tag ${donor.name}: raising, hands off.`,
        },
      }),
    ];
  },
  kit: ({ input, fresh, setup }) => [
    ...nucKit(setup.broughtBox?.slots ?? 5, needsFeed(queenToNuc, input, fresh.storesFrames), 2),
    { what: 'queen cage or clip', count: 1 },
    { what: 'drawing pin to mark a reserved cell', count: 2 },
  ],
  followUps,
  cautions: ({ input }) => [...COMMON_CAUTIONS, ...droneCautions(input.donor.frames)],
};

function followUps({ input, setup }: Solved): FollowUpText[] {
  const dates = queenCalendar(input.day, setup.emergence);
  const swarmCells = donorFrames(input.donor).hasCells;
  const anchor = swarmCells ? ('cells' as const) : ('work' as const);
  return [
    {
      parts: ['new'],
      kind: 'look',
      topic: 'rhythm',
      window: windowAfter(input.day, 5, 7, 10),
      anchor: 'work' as const,
      expect: 'Eggs and food in the nuc; bees cover the brood. No new cells.',
    },
    ...(swarmCells
      ? surplusCellsLook(
          ['stay'],
          input.day,
          setup.emergence,
          'Reserved cell capped and whole: remove emergency cells now, no more can be made. If it failed, keep the best of the others.',
        )
      : []),
    ...(swarmCells
      ? []
      : [
          {
            parts: ['stay'] as const,
            kind: 'look' as const,
            topic: 'which-part' as const,
            window: { ...dates.eggsProveQueen, latest: dates.surplusCells.latest },
            anchor: 'work' as const,
            expect: 'Cells and no eggs: the parent is raising a queen.',
          },
        ]),
    ...queenLooks(['stay'], input.day, setup.emergence, anchor, {
      rest: 'A virgin emerges, flies and mates. Leave it shut.',
      eggs: 'Eggs of the new queen in the parent.',
    }),
  ];
}
