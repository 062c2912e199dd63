import { METHOD_NAMES } from '../../records/index.ts';
import { queenCalendar } from '../../brood/index.ts';
import { COMMON_CAUTIONS, droneCautions } from './cautions.ts';
import { endingSteps } from './closing.ts';
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
import { broughtBox, datedBySplit } from './broughtBox.ts';
import { donorFrames } from './donorFrames.ts';
import { queenLooks, surplusCellsLook } from './lookTexts.ts';
import { hiveKit } from './kits.ts';
import { chosen, needsFeed, type MethodInput, type Setup, type SplitMethod } from '../base/method.ts';
import { hiveSteps } from '../base/hiveSteps.ts';

function setUp(input: MethodInput): Setup {
  const { donor, rules, newName } = input;
  const frames = donorFrames(donor);
  const cold = chosen(shakeDown, input, 'nights') === 'cold';
  const below = { at: 'stay', name: donor.name } as const;
  const above = { at: 'fresh', name: newName } as const;
  const target = chosen(shakeDown, input, 'much') === 'nuc' ? 2.2 : 4;
  return {
    distance: chosen(shakeDown, input, 'distance') === 'away' ? 'away' : 'same-yard',
    // Every bee is shaken below, and the queen with them: she cannot be above.
    queen: ['here', 'elsewhere'],
    rules: [
      strengthRule(rules.strongForNuc, donor.name),
      eggsRule(above, rules),
      beesRule(above, rules.minBeesNewPart, 'As many nurses come up as the brood calls for.'),
      coverRule(above, rules, cold),
      beeBreadRule(above, rules),
      storesRule(above, rules.minStoresNoField, 'Without field bees it lives on what it has.'),
      donorFloorRule(below, rules),
      coverRule(below, rules, cold),
      beeBreadRule(below, rules),
      storesRule(below, rules.minStoresOnStand, 'Field bees come home to it, but rain can last.'),
    ],
    wish: (_stay, fresh) =>
      2 * Math.abs(fresh.broodFrames - target) +
      0.3 * Math.max(0, fresh.storesFrames - 2) +
      0.15 * fresh.frames,
    // With the bees shaken off, the comb that she was on may go up like any other.
    movable: frames.all.filter((i) => frames.fits(i) && donor.frames[i]?.liveCells === 0),
    shakable: [],
    maxShakes: 0,
    ...broughtBox(frames, frames.slots),
    ...datedBySplit(input),
  };
}

/** All bees shaken into the bottom box, brood above an excluder; nurses come up, the top is lifted off later. */
export const shakeDown: SplitMethod = {
  id: 'shake-down',
  name: METHOD_NAMES['shake-down'],
  aim: 'A queenless part of brood and nurses without finding the queen: she is below the excluder, whoever and wherever she is.',
  season: 'Build-up and swarm season, on a warm, dry, still day: much is shaken.',
  needs: 'An excluder, an empty brood box, and a box below with room for all the bees.',
  shares:
    'Chosen brood goes up without its bees; nurses follow overnight; queen, field bees and the rest stay below.',
  skips: 'The queen is not looked for.',
  options: [
    {
      id: 'much',
      question: 'How much brood goes up',
      schools: [
        { id: 'nuc', label: 'Enough for a nuc', why: 'About two frames: the old colony hardly notices.' },
        {
          id: 'box',
          label: 'A whole box',
          why: 'About four frames: relieves a crowded nest and makes a strong part.',
        },
      ],
      default: 'nuc',
    },
    DISTANCE_OPTION,
    NIGHTS_OPTION,
    FEED_OPTION,
  ],
  goesWrong: [
    {
      what: 'Few bees have come up by the next day',
      wayOut:
        'There was too little open brood above, or it is cold: wait a second night before lifting it off.',
    },
    {
      what: 'Eggs above the excluder later',
      wayOut:
        'A wire is bent, or she was on the lid: treat it as the part with the queen and look below for cells.',
    },
    {
      what: 'You would rather not have another colony',
      wayOut:
        'Leave the box up: it empties as brood emerges, and is filled with honey. Look for cells on day 7.',
    },
  ],
  fit: (w) =>
    w
      .needs(w.rules.strongForNuc, 4)
      .raisesQueen()
      .never(w.now.queen === 'gone', 'There is no queen to keep below.')
      .good(w.now.queen === 'not-found', 18, 'She need not be found: she is below the excluder.')
      .bad(w.now.cells !== 'none', 22, 'Shaking harms cells, and cells stay with a queen that swarms.')
      .bad(w.now.season === 'early', 12, 'Much shaking in cool weather chills brood.')
      .bad(w.now.wanted > 1, 12, 'It makes one part at a time.'),
  setUp,
  steps(solved) {
    const { input, fresh, setup } = solved;
    const { donor, newName } = input;
    const supers = donor.boxes.some((b) => b.role === 'super');
    const away = setup.distance === 'away';
    return [
      {
        kind: 'prepare',
        text: `Lay out excluder and the empty box of ${newName}; a place for supers and lid`,
        detail: 'Everything that is lifted needs a place before it is lifted.',
      },
      { kind: 'open', units: ['stay'], text: `Open ${donor.name}`, detail: 'Warm and still. Little smoke.' },
      ...hiveSteps(solved, {
        bees: 'Shake its bees below first.',
        apart: [
          {
            kind: 'shake',
            units: ['stay'],
            text: `Shake every other frame of ${donor.name} into its bottom box`,
            detail:
              'No bee may stay above: also those on walls, lid and inner cover. Read each comb for cells.',
          },
        ],
        supersStayOff: true,
      }),
      {
        kind: 'lift',
        text: supers
          ? `Excluder on the brood boxes of ${donor.name}, supers back, the box of ${newName} on top`
          : `Excluder on ${donor.name}, the box of ${newName} on top`,
        detail: 'Nurses come up to their brood within a day.',
      },
      {
        kind: 'lift',
        text: `Next day: lift the top box off onto its own floor`,
        detail: 'It is full of nurses and has no queen. Keep the excluder until it is off.',
      },
      ...endingSteps({
        newName,
        close: {
          text: 'Close both; entrance of the new stand to a hand’s width; excluder off',
          detail: away ? 'Shut for the drive only, with air from above and in shade.' : 'A branch before it.',
        },
        away,
        feed: needsFeed(shakeDown, input, fresh.storesFrames),
        tag: {
          text: `Tag ${newName}: date, mother ${donor.name}, raising`,
          detail: 'A hive without a tag is a riddle in four weeks.',
        },
      }),
    ];
  },
  kit: ({ input, fresh }) => [
    { what: 'queen excluder', count: 1 },
    ...hiveKit(needsFeed(shakeDown, input, fresh.storesFrames), 1),
  ],
  followUps({ input, setup }) {
    const dates = queenCalendar(input.day, setup.emergence);
    return [
      {
        parts: ['new'],
        kind: 'look',
        topic: 'which-part',
        window: { ...dates.eggsProveQueen, latest: dates.surplusCells.latest },
        anchor: 'work',
        expect: 'Cells and no eggs: it is raising a queen. Eggs: she slipped through.',
      },
      ...surplusCellsLook(
        ['new'],
        input.day,
        setup.emergence,
        'Cells capped: leave one or two, all in a small part.',
      ),
      ...queenLooks(['new'], input.day, setup.emergence, 'work', {
        rest: 'A virgin emerges, flies and mates. Leave it shut.',
        eggs: 'Eggs of the new queen.',
      }),
    ];
  },
  cautions: ({ input }) => [
    ...COMMON_CAUTIONS,
    ...droneCautions(input.donor.frames),
    'Shaking: many bees in the air. Full suit, and nobody near without one.',
  ],
};
