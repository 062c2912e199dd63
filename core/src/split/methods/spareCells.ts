import { METHOD_NAMES } from '../../records/index.ts';
import { COMMON_CAUTIONS, droneCautions } from './cautions.ts';
import { endingSteps } from './closing.ts';
import { BESIDE_OPTION, FEED_OPTION, NIGHTS_OPTION } from './commonOptions.ts';
import { beeBreadRule, beesRule, cellsRule, coverRule, storesRule } from './commonRules.ts';
import { broughtBox, datedByCells } from './broughtBox.ts';
import { donorFrames } from './donorFrames.ts';
import { queenLooks } from './lookTexts.ts';
import { nucKit } from './kits.ts';
import type { PlanRule } from '../base/rules.ts';
import {
  chosen,
  needsFeed,
  type Donor,
  type MethodInput,
  type Setup,
  type SplitMethod,
} from '../base/method.ts';
import { hiveSteps } from '../base/hiveSteps.ts';

function setUp(input: MethodInput): Setup {
  const { donor, rules, newName } = input;
  const frames = donorFrames(donor);
  const cold = chosen(spareCells, input, 'nights') === 'cold';
  const cutOut = chosen(spareCells, input, 'cells') === 'cut-out';
  const old = { at: 'stay', name: donor.name } as const;
  const fresh = { at: 'fresh', name: newName } as const;
  const why = 'Two good cells: one may fail, or be lost in handling.';
  return {
    distance: distanceOf(input),
    queen: ['elsewhere', 'elsewhere'],
    rules: [
      cellsRule(old, 2, why),
      // Cells that are cut out are pressed into a comb of the new part, wherever they hung.
      cellsRule(fresh, cutOut ? 0 : 2, why),
      ...(cutOut ? [ripeRule(donor)] : []),
      beesRule(old, rules.minBeesNewPart, 'It must warm cells through the night.'),
      beesRule(fresh, rules.minBeesNewPart, 'Field bees fly home, and cells need steady warmth.'),
      coverRule(old, rules, cold),
      coverRule(fresh, rules, cold),
      beeBreadRule(fresh, rules),
      storesRule(fresh, rules.minStoresNoField, 'Without field bees it lives on what it is given.'),
      storesRule(old, rules.minStoresOnStand, 'Field bees come home to it, but rain can last.'),
    ],
    wish: (stay, part) =>
      Math.abs(stay.broodFrames - part.broodFrames) +
      0.4 * Math.abs(stay.framesOfBeesAfterDrift - part.framesOfBeesAfterDrift) +
      0.1 * part.frames,
    movable: frames.all.filter((i) => i !== frames.queenAt && frames.fits(i)),
    shakable: frames.shakable,
    maxShakes: 2,
    ...broughtBox(frames, rules.nucSlots),
    ...datedByCells(input, frames),
  };
}

/** Cut out before they are ripe, pupae are jarred to death or chilled. */
function ripeRule({ cells }: Donor): PlanRule {
  const tender = cells.filter((c) => c.stage === 'open' || c.stage === 'tender');
  return {
    id: 'cells-ripe',
    label: 'Cells too young to be cut out',
    unit: 'cells',
    sense: 'atMost',
    threshold: 0,
    nearWithin: 0,
    price: 500,
    why: 'Only ripe ones, two or three days before they open, bear the knife.',
    value: () => tender.reduce((n, c) => n + c.count, 0),
    mend: () => tender[0]?.move ?? '',
  };
}

function distanceOf(input: MethodInput): Setup['distance'] {
  const said = chosen(spareCells, input, 'distance');
  return said === 'away' || said === 'beside' ? said : 'same-yard';
}

/** A queenless part with many cells divided once more. */
export const spareCells: SplitMethod = {
  id: 'spare-cells',
  name: METHOD_NAMES['spare-cells'],
  aim: 'Turns cells that would be removed into one more colony: a queenless part is divided, two good cells in each.',
  season:
    'About day 7 after a split, when cells are capped and none can be made any more, before the first opens.',
  needs:
    'A queenless part with at least four good cells on two combs, and bees and food for two. Brood it need not have.',
  shares: 'Cells, brood, bees and food are halved; the part on the old stand keeps the field bees.',
  skips: 'No queen is looked for: there is none.',
  options: [
    {
      id: 'cells',
      question: 'How cells come to the new part',
      schools: [
        {
          id: 'on-comb',
          label: 'On their comb',
          why: 'Upright and warm, nothing is cut: the least is lost.',
        },
        {
          id: 'cut-out',
          label: 'Cut out and pressed in',
          why: 'When all sit on one comb, or on another frame size. Some are lost.',
        },
      ],
      default: 'on-comb',
    },
    BESIDE_OPTION,
    NIGHTS_OPTION,
    FEED_OPTION,
  ],
  goesWrong: [
    {
      what: 'A cell is torn down or dented',
      wayOut: 'That is why there are two. With none left unite the parts again.',
    },
    {
      what: 'A virgin is out already',
      wayOut: 'Close at once. Cells in the other part go on; in hers the bees settle it.',
    },
    { what: 'One part dwindles', wayOut: 'Shake in nurses from a colony with open brood, or unite it back.' },
  ],
  fit: (w) =>
    w
      // Its brood is nearly all out by the time its cells are: bees, cells and food are what is divided.
      .needs(2 * w.rules.minBeesNewPart + 1, 0)
      .raisesQueen()
      .never(w.now.queen !== 'gone', 'It has a queen: with cells beside her, move her out first.')
      .never(w.now.cells === 'none', 'There are no cells.')
      .never(
        w.now.cellCount > 0 && w.now.cellCount < 4,
        `Four good cells are needed, two for each; there are ${w.now.cellCount}.`,
      )
      .never(
        w.now.stores < w.rules.minStoresNoField + w.rules.minStoresOnStand,
        `${Math.round(10 * w.now.stores) / 10} frames of stores, where two parts want ${w.rules.minStoresNoField + w.rules.minStoresOnStand}: feed it first.`,
      )
      .good(
        w.now.cells === 'capped',
        20,
        `${w.now.cellCount} cells, capped: none can be made any more, so nothing is lost by dividing now.`,
      )
      .bad(w.now.cells === 'open', 10, 'Cells are still open: wait until they are capped.')
      .bad(w.now.wantsHoney, 10, 'Two small parts gather little.'),
  setUp,
  steps(solved) {
    const { input, fresh, setup } = solved;
    const { donor, newName } = input;
    const away = setup.distance === 'away';
    const cutOut = chosen(spareCells, input, 'cells') === 'cut-out';
    const beside = setup.distance === 'beside';
    return [
      {
        kind: 'prepare',
        text: `Set the nuc box for ${newName} beside ${donor.name}`,
        detail: 'Warm and still. Cells are not to cool: half an hour is much.',
      },
      {
        kind: 'open',
        units: ['stay'],
        text: `Open ${donor.name}`,
        detail: 'Frame by frame: cells may bridge combs and boxes.',
      },
      ...hiveSteps(solved, {
        find: [
          {
            kind: 'find',
            task: 'keep-cell',
            units: ['stay', 'new'],
            text: 'Reserve two cells for each part before anything is removed',
            detail:
              'Large, well shaped, of one age. Pin their combs. Combs with a reserved cell are never shaken.',
          },
        ],
        shake: 'No cell may be on it.',
      }),
      ...(cutOut
        ? [
            {
              kind: 'move' as const,
              text: `Cut two cells out and press them into a comb of ${newName}`,
              detail:
                'A thumb’s width of comb around each, upright, tip free. Only when ripe, two or three days before they open.',
            },
          ]
        : []),
      ...(beside
        ? [
            {
              kind: 'lift' as const,
              units: ['stay', 'new'] as const,
              text: `Set ${donor.name} half its width aside, ${newName} as far on the other side`,
              detail:
                'Level and gently, for the cells: both entrances as far from the old place, facing as it did.',
            },
          ]
        : []),
      ...endingSteps({
        newName,
        close: { text: 'Close both; nuc entrance to a finger’s width', detail: 'No knocks.' },
        away,
        feed: needsFeed(spareCells, input, fresh.storesFrames),
        tag: {
          text: `Tag ${newName}: date, mother of the cells, day they open`,
          detail: `Tag ${donor.name} alike. Hands off both.`,
        },
      }),
    ];
  },
  kit: ({ input, setup, fresh }) => [
    ...nucKit(setup.broughtBox?.slots ?? 5, needsFeed(spareCells, input, fresh.storesFrames), 2),
    { what: 'drawing pin to mark a reserved cell', count: 4 },
  ],
  followUps: ({ input, setup }) =>
    queenLooks(['stay', 'new'], input.day, setup.emergence, setup.fromCells ? 'cells' : 'work', {
      rest: 'Virgins emerge, fly and mate. Leave both shut.',
      eggs: 'Eggs in each. Where there are none, unite with the other.',
    }),
  cautions: ({ input }) => [
    ...COMMON_CAUTIONS,
    ...droneCautions(input.donor.frames),
    'Cells: a cell comb is carried upright and level; put nothing heavy down beside it.',
  ],
};
