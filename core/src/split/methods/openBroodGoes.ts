import { METHOD_NAMES } from '../../records/index.ts';
import { queenCalendar } from '../../brood/index.ts';
import { windowAfter } from '../../basics/index.ts';
import { COMMON_CAUTIONS, droneCautions } from './cautions.ts';
import { endingSteps } from './closing.ts';
import { DISTANCE_OPTION, FEED_OPTION, NIGHTS_OPTION } from './commonOptions.ts';
import { beeBreadRule, beesRule, coverRule, eggsRule, storesRule, strengthRule } from './commonRules.ts';
import { broughtBox, datedBySplit } from './broughtBox.ts';
import { queenFrameCanGo, donorFrames } from './donorFrames.ts';
import { queenLooks, surplusCellsLook } from './lookTexts.ts';
import { hiveKit } from './kits.ts';
import { chosen, needsFeed, type MethodInput, type Setup, type SplitMethod } from '../base/method.ts';
import { hiveSteps } from '../base/hiveSteps.ts';

function setUp(input: MethodInput): Setup {
  const { donor, rules, newName } = input;
  const frames = donorFrames(donor);
  const cold = chosen(openBroodGoes, input, 'nights') === 'cold';
  const old = { at: 'stay', name: donor.name } as const;
  const fresh = { at: 'fresh', name: newName } as const;
  // Where she was seen on open brood she goes with it, and that is known beforehand.
  const known = queenFrameCanGo(donor, frames);
  return {
    distance: chosen(openBroodGoes, input, 'distance') === 'away' ? 'away' : 'same-yard',
    queen: known ? ['elsewhere', 'here'] : ['unknown', 'unknown'],
    rules: [
      strengthRule(rules.strongForNuc, donor.name),
      eggsRule(old, rules),
      beesRule(
        fresh,
        Math.max(rules.minBeesNewPart, 3),
        'Open brood wants many nurses, and field bees fly home.',
      ),
      beesRule(old, rules.minBeesNewPart, 'It keeps the field bees, but must feed queen larvae.'),
      coverRule(fresh, rules, cold),
      coverRule(old, rules, cold),
      beeBreadRule(fresh, rules),
      storesRule(fresh, rules.minStoresNoField, 'Open brood eats, and no field bees come home to it.'),
      storesRule(old, rules.minStoresOnStand, 'Field bees come home to it, but rain can last.'),
    ],
    wish: (stay, part) =>
      2 * Math.max(0, stay.openFrames - 0.4) +
      1.5 * part.cappedFrames +
      Math.max(0, 0.5 - part.drawnFrames) +
      0.3 * Math.max(0, part.storesFrames - 2) +
      0.1 * part.frames,
    movable: frames.free,
    shakable: frames.shakable,
    maxShakes: 2,
    ...broughtBox(frames, frames.slots, known),
    ...datedBySplit(input),
  };
}

/** Open brood with queen and nurses to the new hive; capped brood stays and raises a queen. */
export const openBroodGoes: SplitMethod = {
  id: 'open-brood-goes',
  name: METHOD_NAMES['open-brood-goes'],
  aim: 'A colony with its queen and her young brood on a new stand; the old stand works on and raises a queen in its own time.',
  season: 'Build-up, once drones fly, and up to the flow: the old stand has no young to feed and gathers.',
  needs: 'A colony with open and capped brood on different combs, and eggs to leave one comb of.',
  shares:
    'Open brood, nurses, honey and bee bread go; capped brood stays with the field bees and one comb of eggs.',
  skips: 'The queen is not looked for: she is nearly always where the youngest brood is.',
  options: [DISTANCE_OPTION, NIGHTS_OPTION, FEED_OPTION],
  goesWrong: [
    {
      what: 'Eggs in the old hive on day 7, cells in the new one',
      wayOut: 'She stayed. Leave both as they are: the new part raises the queen instead; swap the tags.',
    },
    {
      what: 'The new part cannot feed its brood',
      wayOut: 'Shake nurses in from capped combs that are emerging, feed, and take an open comb back.',
    },
    {
      what: 'The old hive has no eggs and no cells on day 7',
      wayOut: 'Give it a comb of eggs from the new part that day, or a cell or a mated queen.',
    },
  ],
  fit: (w) =>
    w
      .needs(w.rules.strongForNuc, 4)
      .raisesQueen()
      .never(w.now.queen === 'gone', 'There is no laying queen, so no young brood to move.')
      .good(w.now.queen === 'not-found', 14, 'She need not be found.')
      .good(w.now.wantsHoney, 10, 'The old stand keeps its field bees and has little brood to feed.')
      .bad(w.now.cells !== 'none', 20, 'With cells there is a better way: they are the next queen.')
      .bad(w.now.wanted > 1, 15, 'It makes one colony, not several.'),
  setUp,
  steps(solved) {
    const { input, fresh, setup } = solved;
    const { donor, newName } = input;
    const away = setup.distance === 'away';
    return [
      {
        kind: 'prepare',
        text: `Set floor, box, stand and roof for ${newName} where it will stand`,
        detail: 'Lid at hand, shade.',
      },
      {
        kind: 'open',
        units: ['stay'],
        text: `Open ${donor.name}`,
        detail: 'Little smoke. Begin at an outer frame.',
      },
      ...hiveSteps(solved, {
        shake: 'Look for the queen first. If she is on it, let her run in with them.',
      }),
      ...endingSteps({
        newName,
        close: {
          text: 'Close both; entrance of the new stand to a hand’s width',
          detail: away ? 'Shut for the drive only, with air from above and in shade.' : 'A branch before it.',
        },
        away,
        feed: needsFeed(openBroodGoes, input, fresh.storesFrames),
        tag: {
          text: `Tag ${newName}: date, queen of ${donor.name}, to be seen on day 7`,
          detail: `Tag ${donor.name}: raising from one comb of eggs, about a month.`,
        },
      }),
    ];
  },
  kit: ({ input, fresh }) => hiveKit(needsFeed(openBroodGoes, input, fresh.storesFrames), 2),
  followUps({ input, setup }) {
    const dates = queenCalendar(input.day, setup.emergence);
    return [
      {
        parts: ['new'],
        kind: 'look',
        topic: 'rhythm',
        window: windowAfter(input.day, 5, 7, 10),
        anchor: 'work',
        expect: 'Eggs, and larvae in jelly: she is here and the nurses keep up.',
      },
      {
        parts: ['stay', 'new'],
        kind: 'look',
        topic: 'which-part',
        window: { ...dates.eggsProveQueen, latest: dates.surplusCells.latest },
        anchor: 'work',
        expect:
          'Cells and no eggs in the old hive, eggs in the new: as planned. The other way round is no harm.',
      },
      ...surplusCellsLook(
        ['stay'],
        input.day,
        setup.emergence,
        'Cells capped: leave one or two in a strong hive.',
      ),
      ...queenLooks(['stay'], input.day, setup.emergence, 'work', {
        rest: 'A virgin emerges, flies and mates. Leave it shut.',
        eggs: 'Eggs of the new queen on the old stand.',
      }),
    ];
  },
  cautions: ({ input }) => [...COMMON_CAUTIONS, ...droneCautions(input.donor.frames)],
};
