import { METHOD_NAMES } from '../../records/index.ts';
import { windowAfter } from '../../basics/index.ts';
import { COMMON_CAUTIONS } from './cautions.ts';
import { endingSteps } from './closing.ts';
import { DISTANCE_OPTION, FEED_OPTION, NIGHTS_OPTION } from './commonOptions.ts';
import {
  beeBreadRule,
  beesRule,
  coverRule,
  donorFloorRule,
  noCellRule,
  storesRule,
  strengthRule,
} from './commonRules.ts';
import { broughtBox } from './broughtBox.ts';
import { donorFrames } from './donorFrames.ts';
import { hiveKit, nucKit } from './kits.ts';
import { chosen, needsFeed, type MethodInput, type Setup, type SplitMethod } from '../base/method.ts';
import { hiveSteps } from '../base/hiveSteps.ts';

/** Brood and combs of a part by its size: a nuc, or a full box that goes into the winter (common practice, no source). */
const NUC = { brood: 2, combs: 0 } as const;
const FULL = { brood: 3, combs: 5 } as const;

function setUp(input: MethodInput): Setup {
  const { donor, rules, newName } = input;
  const frames = donorFrames(donor);
  const cold = chosen(cagedQueen, input, 'nights') === 'cold';
  const dearth = chosen(cagedQueen, input, 'season') === 'dearth';
  const nuc = { at: 'fresh', name: newName } as const;
  const giver = { at: 'stay', name: donor.name } as const;
  const full = chosen(cagedQueen, input, 'size') === 'full';
  const size = full ? FULL : NUC;
  const floor = dearth ? { ...rules, donorFloorBrood: rules.donorFloorDearth } : rules;
  return {
    distance: chosen(cagedQueen, input, 'distance') === 'away' ? 'away' : 'same-yard',
    // The giver keeps its queen; the new part is given another in a cage.
    queen: ['here', 'here'],
    rules: [
      strengthRule(rules.strongForNuc, donor.name),
      noCellRule(newName),
      beesRule(nuc, rules.minBeesNewPart, 'She lays only what bees can cover, and field bees fly home.'),
      coverRule(nuc, rules, cold),
      beeBreadRule(nuc, rules),
      storesRule(nuc, rules.minStoresNoField, 'Without field bees it lives on what it is given.'),
      donorFloorRule(giver, floor),
      coverRule(giver, rules, cold),
      beeBreadRule(giver, rules),
      storesRule(
        giver,
        dearth ? rules.minStoresDearth : rules.minStoresOnStand,
        dearth ? 'Nothing comes in.' : 'Field bees come home to it, but rain can last.',
      ),
    ],
    wish: (_stay, fresh, choice) => {
      const capped = fresh.cappedFrames / Math.max(fresh.broodFrames, 0.1);
      return (
        2 * Math.abs(fresh.broodFrames - size.brood) +
        // Young brood tempts a part to raise rivals; emerging brood gives her bees before it has to be warmed.
        3 * Math.max(0, 0.8 - capped) +
        0.5 * fresh.warmedFrames +
        0.4 * fresh.eggsTenths +
        Math.max(0, 0.5 - fresh.drawnFrames) +
        0.25 * Math.abs(fresh.frames - size.combs) +
        0.3 * choice.shaken.filter(Boolean).length
      );
    },
    movable: frames.free,
    shakable: frames.shakable,
    maxShakes: 3,
    ...broughtBox(frames, full ? frames.slots : rules.nucSlots),
    emergence: windowAfter(input.day, 0, 0, 0),
    fromCells: false,
  };
}

/** Hatching brood, young bees and food, with a mated queen in a cage beside the brood. */
export const cagedQueen: SplitMethod = {
  id: 'caged-queen',
  name: METHOD_NAMES['caged-queen'],
  aim: 'A nuc that lays within a week: emerging brood, young bees, bee bread and food, and a mated queen in a cage.',
  season:
    'From build-up to late summer, also in dearth, while the donor has some eight weeks to recover before winter.',
  needs: 'A mated queen in her cage, a colony that can spare two frames of capped brood.',
  shares:
    'Capped and emerging brood, nurses, bee bread, food and empty comb go; the donor keeps its queen and its eggs.',
  skips: 'No cells, no mating, no broodless month.',
  options: [
    {
      id: 'size',
      question: 'How large',
      schools: [
        { id: 'nuc', label: 'A nuc', why: 'Two combs of brood: the donor hardly notices.' },
        {
          id: 'full',
          label: 'Four or five combs in a full box',
          why: 'It is a colony by autumn without another move; the donor must be strong.',
        },
      ],
      default: 'nuc',
    },
    {
      id: 'season',
      question: 'Time of year',
      schools: [
        { id: 'build-up', label: 'Build-up', why: 'The donor makes good within weeks.' },
        { id: 'dearth', label: 'Midsummer, dearth', why: 'The donor keeps three frames of brood, and food.' },
      ],
      default: 'build-up',
    },
    {
      id: 'release',
      question: 'How she is released',
      schools: [
        { id: 'candy', label: 'Bees eat through candy', why: 'Slow and safe; nothing is opened for days.' },
        { id: 'hand', label: 'By hand on day 3 or 4', why: 'You see how bees sit on the cage first.' },
      ],
      default: 'candy',
    },
    DISTANCE_OPTION,
    NIGHTS_OPTION,
    { ...FEED_OPTION, default: 'always' },
  ],
  goesWrong: [
    {
      what: 'Bees cling to the cage and bite it',
      wayOut: 'They are not ready, or have a queen or cells: remove cells, wait two days, look again.',
    },
    {
      what: 'Cells are begun beside the cage',
      wayOut: 'Remove every one before she is let out: with cells she is not accepted.',
    },
    {
      what: 'Robbing at the entrance',
      wayOut: 'One bee wide, no syrup spilt, a board before it; feed at dusk only.',
    },
  ],
  fit: (w) =>
    w
      .needs(w.rules.strongForNuc, 3.5)
      .never(w.now.noMated !== null, w.now.noMated ?? '')
      .never(w.now.matedQueens < 1, 'No mated queen is at hand.')
      .never(
        w.now.season === 'early' && w.now.bees < w.rules.strongForNuc,
        'Too early for a colony of this strength.',
      )
      .good(w.now.matedQueens >= 1, 16, 'A mated queen is at hand: eggs within a week instead of a month.')
      .good(w.now.season === 'dearth', 10, 'The way for dearth: nothing has to mate.')
      .bad(w.now.season === 'autumn', 10, 'Late: the donor and the nuc must both be ready for winter.')
      .bad(
        w.now.queen === 'not-found',
        8,
        'Her mother’s place must be known, so that two queens do not meet.',
      )
      .bad(w.now.cells !== 'none', 14, 'The donor is about to swarm; that is not settled by this.')
      .bad(w.now.wanted > Math.max(1, w.now.matedQueens), 10, 'One queen, one nuc.'),
  setUp,
  steps(solved) {
    const { input, moves, fresh, setup } = solved;
    const { donor, newName } = input;
    const away = setup.distance === 'away';
    const seen = donor.frames.find((f) => f.hasQueen);
    const byHand = chosen(cagedQueen, input, 'release') === 'hand';
    return [
      {
        kind: 'prepare',
        text: `Set the ${chosen(cagedQueen, input, 'size') === 'full' ? 'floor, box and roof' : 'nuc box'} for ${newName}; keep the caged queen in shade`,
        detail: 'A drop of water on the cage, out of sun and wind. Entrance one bee wide.',
      },
      {
        kind: 'open',
        units: ['stay'],
        text: `Open ${donor.name}`,
        detail: 'Little smoke. Begin at an outer frame.',
      },
      ...hiveSteps(solved, {
        find: [
          {
            kind: 'find',
            task: 'find-queen',
            units: ['stay'],
            text: seen
              ? `Make sure of the queen of ${donor.name}; she was on ${seen.label}`
              : `Make sure that the queen of ${donor.name} stays`,
            detail:
              'See her, or shake each frame that goes and let only nurses return to it. Two queens in one box fight.',
          },
        ],
        findIn: seen?.boxId ?? null,
        shake: 'Nurses off open brood; the old queen must not be on it.',
      }),
      {
        kind: 'move',
        text: `Hang the cage between two brood combs of ${newName}`,
        detail: byHand
          ? 'Candy end closed. She is let out on day 3 or 4, when bees sit on it loosely.'
          : 'Candy end up, open to the bees, closed to nothing else.',
      },
      ...endingSteps({
        newName,
        close: { text: 'Close both; nuc entrance to one bee', detail: 'Small colonies are robbed first.' },
        away,
        feed: needsFeed(cagedQueen, input, fresh.storesFrames),
        tag: {
          text: `Tag ${newName}: date, queen’s year and mother, mated`,
          detail: `Tag ${donor.name}: gave ${moves.filter((m) => m.toPart === 1 && m.frame).length} frames, keeps its queen.`,
        },
      }),
    ];
  },
  kit: ({ input, setup, fresh }) => [
    { what: 'mated queen in her cage', count: 1 },
    ...(chosen(cagedQueen, input, 'size') === 'full'
      ? hiveKit(needsFeed(cagedQueen, input, fresh.storesFrames), 1)
      : nucKit(setup.broughtBox?.slots ?? 5, needsFeed(cagedQueen, input, fresh.storesFrames), 1)),
  ],
  followUps({ input }) {
    const byHand = chosen(cagedQueen, input, 'release') === 'hand';
    return [
      {
        parts: ['new'],
        kind: 'look',
        topic: 'act',
        window: windowAfter(input.day, 3, byHand ? 3 : 4, 5),
        anchor: 'work',
        expect: byHand
          ? 'Bees sit on the cage loosely and feed her: remove cells, let her out. They bite it: wait two days.'
          : 'The cage is empty, or take the last candy out. Remove cells. Do not look for her.',
      },
      {
        parts: ['new'],
        kind: 'look',
        topic: 'rhythm',
        window: windowAfter(input.day, 8, 9, 12),
        anchor: 'work',
        expect: 'Eggs, one to a cell. Food beside them. No cells.',
      },
      {
        parts: ['stay'],
        kind: 'look',
        topic: 'rhythm',
        window: windowAfter(input.day, 7, 9, 14),
        anchor: 'work',
        expect: 'The donor lays and covers its brood: proof that its queen did not travel.',
      },
    ];
  },
  cautions: () => [
    ...COMMON_CAUTIONS,
    'Bought queens and bees: local rules on movement, health papers and registration apply.',
  ],
};
