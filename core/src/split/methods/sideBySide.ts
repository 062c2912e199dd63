import { windowAfter } from '../../basics/index.ts';
import { METHOD_NAMES } from '../../records/index.ts';
import { queenCalendar } from '../../brood/index.ts';
import type { CellKind } from '../../comb/index.ts';
import { COMMON_CAUTIONS, droneCautions } from './cautions.ts';
import { endingSteps } from './closing.ts';
import { FEED_OPTION, NIGHTS_OPTION } from './commonOptions.ts';
import {
  beeBreadRule,
  beesRule,
  coverRule,
  noCellRule,
  queenForParentRule,
  storesRule,
  strengthRule,
} from './commonRules.ts';
import { broughtBox, datedByCells } from './broughtBox.ts';
import { donorFrames, queenFrameCanGo, type DonorFrames } from './donorFrames.ts';
import { queenLooks, surplusCellsLook } from './lookTexts.ts';
import { hiveKit } from './kits.ts';
import {
  chosen,
  needsFeed,
  type Donor,
  type DonorBox,
  type MethodInput,
  type Setup,
  type Solved,
  type SplitMethod,
} from '../base/method.ts';
import { hiveSteps } from '../base/hiveSteps.ts';
import type { Choice, PlanFrame } from '../base/measure.ts';

function setUp(input: MethodInput): Setup {
  const { donor, rules, newName } = input;
  const frames = donorFrames(donor);
  const cold = chosen(sideBySide, input, 'nights') === 'cold';
  const old = { at: 'stay', name: donor.name } as const;
  const beside = { at: 'fresh', name: newName } as const;
  const queenGoes = queenFrameCanGo(donor, frames);
  const bees = Math.max(rules.minBeesNewPart, 3);
  const own = boxThatMoves(donor, frames);
  const begin = own ? liftedBox(donor, own) : broughtBox(frames, frames.slots, queenGoes);
  return {
    distance: 'beside',
    queen: ['elsewhere', 'here'],
    rules: [
      strengthRule(rules.strongForNuc, donor.name),
      noCellRule(newName),
      queenForParentRule(donor, rules),
      beesRule(beside, bees, 'She lays only what bees can cover.'),
      beesRule(old, bees, 'It must nurse the chosen cell well.'),
      coverRule(beside, rules, cold),
      coverRule(old, rules, cold),
      beeBreadRule(beside, rules),
      beeBreadRule(old, rules),
      storesRule(beside, rules.minStoresOnStand, 'Field bees find both entrances, but rain can last.'),
      storesRule(old, rules.minStoresOnStand, 'Field bees find both entrances, but rain can last.'),
    ],
    wish: (stay, fresh, choice) =>
      // Half the brood goes with her: neither side is knocked back.
      Math.abs(stay.broodFrames - fresh.broodFrames) +
      0.3 * Math.abs(stay.storesFrames - fresh.storesFrames) +
      Math.max(0, 0.6 - fresh.drawnFrames) +
      (own ? LIFTED * crossing(begin.restingPart, choice) : 0.05 * fresh.frames),
    // Combs in supers stay in their super.
    movable: frames.free.filter((i) => isBroodBox(donor, i)),
    shakable: [],
    maxShakes: 0,
    ...begin,
    // Inspections follow the cell that is left, not those that are cut.
    ...datedByCells(input, frames, (c) =>
      chosen(sideBySide, input, 'cells') === 'one-open' ? c.kind === 'charged' || c.kind === 'open' : true,
    ),
    ...withSupers(donor, begin),
  };
}

/** What a comb that is carried across costs, where her box is lifted over as it stands: in frames of brood. */
const LIFTED = 0.4;

const crossing = (resting: readonly (0 | 1)[], choice: Choice) =>
  resting.filter((part, i) => choice.part[i] !== part).length;

/** Of several brood boxes the one that she is in goes over as it stands; none where she was not seen, or with cells in it. */
function boxThatMoves(donor: Donor, frames: DonorFrames): DonorBox | undefined {
  const brood = donor.boxes.filter((b) => b.role === 'brood');
  const hers = donor.frames[frames.queenAt]?.boxId;
  const hasCells = donor.frames.some((f) => f.boxId === hers && f.liveCells > 0);
  return brood.length > 1 && !hasCells ? brood.find((b) => b.id === hers) : undefined;
}

function liftedBox(
  donor: Donor,
  box: DonorBox,
): Pick<Setup, 'start' | 'restingPart' | 'newPart' | 'boxesThatMove' | 'broughtBox'> {
  const part = donor.frames.map((f): 0 | 1 => (f.boxId === box.id ? 1 : 0));
  return {
    start: { part, shaken: part.map(() => false) },
    restingPart: part,
    newPart: {
      min: Math.max(1, part.filter((p) => p === 1).length - roomBeside(donor, box)),
      max: box.combSlots.length,
    },
    boxesThatMove: [box.id],
    broughtBox: null,
  };
}

/** Slots that are free in the brood boxes that stay: as many combs can come back from the one that is lifted over. */
const roomBeside = (donor: Donor, box: DonorBox): number =>
  donor.boxes
    .filter((b) => b.role === 'brood' && b.id !== box.id)
    .reduce((n, b) => n + b.combSlots.length - donor.frames.filter((f) => f.boxId === b.id).length, 0);

/** Half of the supers, from the top, go over as they are. */
const supersThatMove = (donor: Donor): DonorBox[] => {
  const supers = donor.boxes.filter((b) => b.role === 'super');
  return supers.slice(Math.ceil(supers.length / 2));
};

function withSupers(
  donor: Donor,
  begin: Pick<Setup, 'start' | 'restingPart' | 'newPart' | 'boxesThatMove'>,
): Partial<Setup> & Pick<Setup, 'start' | 'restingPart' | 'newPart'> {
  const moving = new Set(supersThatMove(donor).map((b) => b.id));
  const inSuper = donor.frames.map((f) => moving.has(f.boxId));
  const over = (list: readonly (0 | 1)[]) => list.map((part, i) => (inSuper[i] ? 1 : part));
  const carried = inSuper.filter(Boolean).length;
  return {
    boxesThatMove: [...begin.boxesThatMove, ...moving],
    start: { ...begin.start, part: over(begin.start.part) },
    restingPart: over(begin.restingPart),
    newPart: { min: begin.newPart.min + carried, max: begin.newPart.max + carried },
  };
}

/** Combs whose cells all go: those with live ones, save the combs of the cells that are most likely chosen. */
function otherCells({ input }: Solved): string[] {
  const withCells = input.donor.frames.filter((f) => f.liveCells > 0);
  const has = (f: PlanFrame, ...kinds: CellKind[]) => f.reading.cells.some((c) => kinds.includes(c.kind));
  const first = withCells.find((f) => has(f, 'charged', 'open')) ?? withCells[0];
  const others = withCells.filter((f) => f !== first);
  // Two are left of different age.
  const second = others.find((f) => has(f, 'capped')) ?? others[0];
  const isOne = chosen(sideBySide, input, 'cells') === 'one-open';
  return others.filter((f) => isOne || f !== second).map((f) => f.id);
}

const isBroodBox = (donor: Donor, i: number) =>
  donor.boxes.find((b) => b.id === donor.frames[i]?.boxId)?.role !== 'super';

/** A new hive beside the old with the entrances together; the queen moves over, one chosen cell stays. */
export const sideBySide: SplitMethod = {
  id: 'side-by-side',
  name: METHOD_NAMES['side-by-side'],
  aim: 'Ends swarming and makes a second colony that can be united again: the queen next door, one chosen cell in the old hive.',
  season: 'Swarm season, with open charged cells to choose from.',
  needs: 'A strong colony with open cells, its queen found, room for a second hive beside it.',
  shares:
    'Queen, half the brood without cells and half the supers move over; field bees use both entrances; one open cell stays.',
  skips: 'Nothing is carried away, and no bees are shaken in: entrances side by side share the field bees.',
  options: [
    {
      id: 'cells',
      question: 'Cells left in the old hive',
      schools: [
        {
          id: 'one-open',
          label: 'One open, chosen by sight',
          why: 'Larva and jelly can be seen; only one queen comes, so no cast.',
        },
        { id: 'two', label: 'Two, of different age', why: 'Insurance; a cast is possible in a strong hive.' },
      ],
      default: 'one-open',
    },
    NIGHTS_OPTION,
    FEED_OPTION,
  ],
  goesWrong: [
    {
      what: 'The chosen cell is not capped on day 7 or 8',
      wayOut: 'Keep the best emergency cell in its place and remove the others that day.',
    },
    {
      what: 'No eggs by the last day',
      wayOut: 'Unite both hives again over paper: the old queen is next door.',
    },
    {
      what: 'Field bees crowd into one entrance',
      wayOut: 'Shift the stand a hand’s width so that the weaker hive is met first.',
    },
  ],
  fit: (w) =>
    w
      .needs(w.rules.strongForNuc, 4)
      .raisesQueen()
      .never(w.now.cells === 'none', 'It begins with an open cell, and there is none.')
      .never(w.now.queen === 'gone', 'There is no queen to move over.')
      .good(w.now.cells === 'open', 22, 'Open cells to choose from: the day for it is now.')
      .bad(
        w.now.cells === 'capped',
        20,
        'Capped cells: larva and jelly can no longer be judged, and she may be gone.',
      )
      .bad(w.now.queen === 'not-found', 12, 'She has to be found first.')
      .good(w.now.wantsHoney, 8, 'Field bees and supers stay together in one place.')
      .good(!w.now.secondYard, 4, 'No second yard is needed.')
      .bad(w.now.wanted > 1, 15, 'It makes one colony, not several.'),
  setUp,
  steps(solved) {
    const { input, fresh, setup } = solved;
    const { donor, newName } = input;
    const seen = donor.frames.find((f) => f.hasQueen);
    return [
      {
        kind: 'prepare',
        text: `Set ${setup.broughtBox ? 'floor and box' : 'floor, lid and roof'} of ${newName} close beside ${donor.name}`,
        detail: 'Entrances next to each other and the same way; field bees are to find both.',
      },
      {
        kind: 'open',
        units: ['stay'],
        text: `Open ${donor.name}`,
        detail: 'Little smoke: it makes queens run.',
      },
      ...hiveSteps(solved, {
        find: [
          {
            kind: 'find',
            task: 'find-queen',
            units: ['stay'],
            text: seen ? `Find the queen; she was on ${seen.label}` : `Find the queen of ${donor.name}`,
            detail:
              'Cage her. Then shake the bees off each frame before you read it for cells: bees hide them.',
          },
          {
            kind: 'find',
            task: 'keep-cell',
            units: ['stay'],
            text: `Reserve one open, charged cell in ${donor.name}`,
            detail:
              'Large larva in plenty of jelly, mid-comb. Pin its frame first; that frame is never shaken.',
          },
        ],
        findIn: seen?.boxId ?? null,
        apart: [
          {
            kind: 'find',
            task: 'cut-cells',
            units: ['stay'],
            text: `Remove every other cell in ${donor.name}`,
            detail: 'Only now that the chosen one is reserved.',
            frameIds: otherCells(solved),
          },
        ],
      }),
      {
        kind: 'move',
        text: `Let the queen run into ${newName}`,
        detail: 'Onto a brood comb without any cell.',
      },
      ...endingSteps({
        newName,
        close: {
          text: 'Close both',
          detail: 'Do not knock the frame with the reserved cell.',
        },
        away: false,
        feed: needsFeed(sideBySide, input, fresh.storesFrames),
        tag: {
          text: `Tag ${newName}: date, old queen of ${donor.name}`,
          detail: `Tag ${donor.name}: one chosen cell, the day it was chosen, hands off after day 8.`,
        },
      }),
    ];
  },
  kit: ({ input, fresh, setup }) => [
    ...hiveKit(needsFeed(sideBySide, input, fresh.storesFrames), 2).filter(
      (k) => setup.broughtBox !== null || k.what !== 'box',
    ),
    { what: 'queen cage or clip', count: 1 },
    { what: 'drawing pin to mark a reserved cell', count: 2 },
  ],
  followUps({ input, setup }) {
    const { day } = input;
    const anchor = setup.fromCells ? ('cells' as const) : ('work' as const);
    const { decideBy } = queenCalendar(day, setup.emergence);
    return [
      ...surplusCellsLook(
        ['stay'],
        day,
        setup.emergence,
        'The chosen cell is capped: remove every emergency cell now. Brush bees off its frame, never shake it.',
      ),
      ...queenLooks(['stay'], day, setup.emergence, anchor, {
        rest: 'A virgin emerges, flies and mates next to her mother. Leave it shut.',
        eggs: 'Eggs of the new queen in the old hive.',
      }),
      {
        parts: ['stay'],
        kind: 'look',
        topic: 'act',
        window: { earliest: decideBy, likely: decideBy, latest: decideBy },
        anchor,
        expect: 'The cut-off: eggs or not, decide today. Without eggs unite both hives again.',
      },
      {
        parts: ['new'],
        kind: 'look',
        topic: 'rhythm',
        window: windowAfter(day, 6, 7, 9),
        anchor: 'work',
        expect:
          'The queen’s half: eggs, and no cells begun anew: with them she still wants to swarm. Food, and room as it grows.',
      },
    ];
  },
  cautions: ({ input }) => [...COMMON_CAUTIONS, ...droneCautions(input.donor.frames)],
};
