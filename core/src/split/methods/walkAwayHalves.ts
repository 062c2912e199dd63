import { fitsInto, type PlanFrame } from '../base/measure.ts';
import { METHOD_NAMES, theBox } from '../../records/index.ts';
import { listInWords } from '../../basics/index.ts';
import { emergencyEmergence, queenCalendar } from '../../brood/index.ts';
import { DISTANCE_OPTION, FEED_OPTION, NIGHTS_OPTION } from './commonOptions.ts';
import { beeBreadRule, beesRule, coverRule, eggsRule, storesRule, strengthRule } from './commonRules.ts';
import { nucKit } from './kits.ts';
import { COMMON_CAUTIONS, droneCautions } from './cautions.ts';
import { endingSteps } from './closing.ts';
import {
  chosen,
  needsFeed,
  type Donor,
  type MethodInput,
  type Setup,
  type SplitMethod,
  type Solved,
  type StepText,
} from '../base/method.ts';
import { hiveSteps } from '../base/hiveSteps.ts';

/** The boxes that go to the new stand: the upper half of the brood boxes. Supers stay. */
function boxesThatMove(donor: Donor): string[] {
  const broodBoxes = donor.boxes.filter((b) => b.role === 'brood');
  if (broodBoxes.length < 2) return [];
  return broodBoxes.slice(Math.ceil(broodBoxes.length / 2)).map((b) => b.id);
}

/** Combs of the small part. */
const FOUR = 4;

function setUp(input: MethodInput): Setup {
  const { donor, rules, newName } = input;
  const four = chosen(walkAwayHalves, input, 'size') === 'four';
  const moving = four ? [] : boxesThatMove(donor);
  const broodBox = donor.boxes.find((b) => b.role === 'brood') ?? donor.boxes[0];
  const inBrood = new Set(donor.boxes.filter((b) => b.role === 'brood').map((b) => b.id));
  const restingPart = donor.frames.map((f): 0 | 1 => (moving.includes(f.boxId) ? 1 : 0));
  const slotsOf = (ids: readonly string[]) =>
    donor.boxes.reduce((n, b) => n + (ids.includes(b.id) ? b.combSlots.length : 0), 0);
  const newSlots = moving.length > 0 ? slotsOf(moving) : four ? FOUR : (broodBox?.slots ?? 10);
  const staySlots = slotsOf(
    donor.boxes.filter((b) => !moving.includes(b.id) && b.role === 'brood').map((b) => b.id),
  );
  // Of frames that were only spread as a typical nest nobody knows which to carry.
  const known = moving.length === 0 || !isSpread(donor);
  // Nobody looks for her; but where she was seen, her comb is not the one to be carried.
  const movable = donor.frames.flatMap((f, i) =>
    known && !f.hasQueen && broodBox && inBrood.has(f.boxId) && fitsInto(f, broodBox.sizeId) ? [i] : [],
  );
  const cold = chosen(walkAwayHalves, input, 'nights') === 'cold';
  // A single box is shared out comb by comb.
  const even = moving.length === 0 || chosen(walkAwayHalves, input, 'frames') === 'even';
  const stayPart = { at: 'stay', name: donor.name } as const;
  const newPart = { at: 'fresh', name: newName } as const;
  // As they stand, a frame is lifted only to mend a broken rule; evened, whenever it pays.
  const liftPrice = even ? 0.12 : 3;
  return {
    distance: chosen(walkAwayHalves, input, 'distance') === 'away' ? 'away' : 'same-yard',
    queen: ['unknown', 'unknown'],
    rules: [
      strengthRule(four ? rules.strongForNuc : rules.strongForHalves, donor.name),
      eggsRule(stayPart, rules),
      eggsRule(newPart, rules),
      beesRule(
        newPart,
        four ? rules.minBeesNewPart : Math.max(rules.minBeesNewPart, 4),
        four
          ? 'Field bees fly home: what stays must cover its brood.'
          : 'Half a colony must cover half its brood when field bees are gone.',
      ),
      beesRule(stayPart, Math.max(rules.minBeesNewPart, 4), 'It keeps the field bees, but must still nurse.'),
      coverRule(stayPart, rules, cold),
      coverRule(newPart, rules, cold),
      beeBreadRule(stayPart, rules),
      beeBreadRule(newPart, rules),
      storesRule(stayPart, rules.minStoresOnStand, 'Field bees come home to it, but rain can last.'),
      storesRule(newPart, rules.minStoresNoField, 'Without field bees it lives on what it has.'),
    ],
    wish: (stay, fresh, choice) => {
      let lifted = 0;
      for (let i = 0; i < restingPart.length; i++) if (choice.part[i] !== restingPart[i]) lifted++;
      if (four)
        return (
          2 * Math.abs(fresh.broodFrames - 2) + 0.3 * Math.abs(fresh.storesFrames - 1.2) + fresh.frames * 0.1
        );
      return (
        Math.abs(stay.broodFrames - fresh.broodFrames) +
        0.4 * Math.abs(stay.storesFrames - fresh.storesFrames) +
        0.2 * Math.abs(stay.frames - fresh.frames) +
        liftPrice * lifted
      );
    },
    start: {
      part: moving.length > 0 || four ? restingPart : alternate(donor),
      shaken: donor.frames.map(() => false),
    },
    restingPart,
    movable,
    shakable: [],
    maxShakes: 0,
    newPart: {
      min: four ? FOUR - 1 : Math.max(0, movable.length - staySlots),
      max: newSlots,
    },
    boxesThatMove: moving,
    broughtBox:
      moving.length > 0 || !broodBox
        ? null
        : { sizeId: broodBox.sizeId, slots: four ? rules.nucSlots : broodBox.slots },
    emergence: emergencyEmergence(input.day),
    fromCells: false,
  };
}

/** Its count was a few numbers, spread as a typical nest: combs are not known one by one. */
const isSpread = ({ frames }: Donor): boolean =>
  frames.filter((f) => f.reading.estimated).length > frames.length / 2;

/** Without eggs or the youngest larvae a half cannot raise a queen: they are seen before the lids go on. */
function seeEggs({ input: { donor, newName }, setup, moves }: Solved): StepText {
  const goesTo = new Map(moves.flatMap((m) => (m.frame ? [[m.frame.id, m.toPart] as const] : [])));
  const partOf = (f: PlanFrame) => goesTo.get(f.id) ?? (setup.boxesThatMove.includes(f.boxId) ? 1 : 0);
  const parts = [donor.name, newName].map((name, part) => {
    const eggs = isSpread(donor) ? [] : donor.frames.filter((f) => f.eggsTenths >= 1 && partOf(f) === part);
    const [first, ...more] = eggs.map((f) => f.label);
    return first === undefined
      ? `${name}: in the middle combs`
      : `${name}: on ${first}${more.length > 0 ? ` and ${more.length} more` : ''}`;
  });
  return {
    kind: 'check',
    units: ['stay', 'new'],
    text: 'See eggs in both before you close',
    detail: `${parts.join('; ')}. One comb is enough; where one half has none, one comb with eggs goes over, her bees shaken off.`,
  };
}

/** A start for a colony in one box: every other frame. */
function alternate(donor: Donor): (0 | 1)[] {
  return donor.frames.map((_, i) => (i % 2 === 1 ? 1 : 0));
}

/** The strong two-box colony, its upper box set on a new floor; nobody looks for the queen. */
export const walkAwayHalves: SplitMethod = {
  id: 'walk-away-halves',
  name: METHOD_NAMES['walk-away-halves'],
  aim: 'Two colonies of one strength from one strong one. The half without the queen raises its own.',
  season: 'Build-up, once drones fly. The new queen needs about four weeks to lay.',
  needs: 'A strong colony, best in two brood boxes, with eggs in both.',
  shares:
    'Brood, bees and food by halves; the queen stays where she happens to be; field bees fly to the old stand.',
  skips: 'The queen need not be found. An inspection on day 7 tells which half has her.',
  options: [
    {
      id: 'size',
      question: 'How much goes',
      schools: [
        { id: 'halves', label: 'Half of it', why: 'Two colonies of one strength.' },
        {
          id: 'four',
          label: 'Four combs into a nuc',
          why: 'Little is taken from it; she need not be found, and day 7 tells which part has her.',
        },
      ],
      default: 'halves',
    },
    {
      id: 'frames',
      question: 'Frames between the halves',
      schools: [
        {
          id: 'even',
          label: 'Even them out',
          why: 'Neither half is knocked back; costs a few lifted frames.',
        },
        {
          id: 'as-they-stand',
          label: 'Leave as they stand',
          why: 'One box is lifted off. A comb is moved only where a half lacks what it needs, as eggs.',
        },
      ],
      default: 'as-they-stand',
    },
    DISTANCE_OPTION,
    NIGHTS_OPTION,
    {
      id: 'day3',
      question: 'Look on day 3 for cells capped too early',
      schools: [
        { id: 'no', label: 'Leave it to the bees', why: 'One opening less; bees mostly choose well.' },
        {
          id: 'yes',
          label: 'Look on day 3',
          why: 'A cell capped by day 3 came from an old larva; removed, better ones follow.',
        },
      ],
      default: 'no',
    },
    FEED_OPTION,
  ],
  goesWrong: [
    {
      what: 'No eggs and no cells in one half on day 7',
      wayOut: 'Give it a frame of eggs, a cell or a mated queen that day, or unite the halves again.',
    },
    {
      what: 'The half on the new stand dwindles',
      wayOut: 'Swap the two stands on a flying day: field bees then join the weaker half.',
    },
    {
      what: 'The queenless half casts a swarm',
      wayOut: 'On days 7 to 9 keep one or two cells, reserved first, and remove the rest.',
    },
  ],
  fit: (w) =>
    w
      .needs(w.rules.strongForHalves, 5)
      .raisesQueen()
      .never(
        w.now.queen === 'gone',
        'Without a laying queen there are no eggs for the half that has to raise one.',
      )
      .good(w.now.queen === 'not-found', 14, 'She need not be found.')
      .good(w.now.broodBoxes >= 2, 10, 'Two brood boxes: the upper is lifted off as it stands.')
      .bad(w.now.cells !== 'none', 18, 'With cells a queen may leave with a swarm from either half.')
      .bad(w.now.wantsHoney, 15, 'Halved in the flow, neither half fills supers.')
      .bad(w.now.wanted > 1, 15, 'It makes one colony, not several.'),
  setUp,
  steps(solved) {
    const { input, setup, fresh } = solved;
    const { donor, newName } = input;
    const liftsBoxes = setup.boxesThatMove.length > 0;
    const away = setup.distance === 'away';
    const upper = donor.boxes.filter((b) => setup.boxesThatMove.includes(b.id)).map((b) => theBox(b.name));
    return [
      {
        kind: 'prepare',
        text:
          chosen(walkAwayHalves, input, 'size') === 'four'
            ? `Set the nuc box for ${newName} where it will stand`
            : `Set floor, stand and roof for ${newName} where it will stand`,
        detail: liftsBoxes
          ? `A place for ${listInWords(upper)} must be ready before anything is lifted.`
          : 'Put the empty box on the new floor.',
      },
      {
        kind: 'open',
        units: ['stay'],
        text: `Open ${donor.name} from the back`,
        detail: 'A little smoke, then wait a minute. Veil closed.',
      },
      ...hiveSteps(solved, {
        lift: 'Bees stay on their combs. The queen goes with whichever half she is in.',
      }),
      seeEggs(solved),
      ...endingSteps({
        newName,
        close: {
          text: 'Close both; entrance of the new stand to a hand’s width',
          detail: away
            ? 'Shut the entrance for the drive only, with air from above and in shade.'
            : 'Lean a branch before the new entrance so that bees take their bearings anew.',
        },
        away,
        feed: needsFeed(walkAwayHalves, input, fresh.storesFrames),
        tag: {
          text: `Tag ${newName}: date, mother ${donor.name}, queen unknown`,
          detail: 'A hive without a tag is a riddle in four weeks.',
        },
      }),
    ];
  },
  kit({ input, setup, fresh }) {
    const feed = needsFeed(walkAwayHalves, input, fresh.storesFrames);
    if (chosen(walkAwayHalves, input, 'size') === 'four')
      return nucKit(setup.broughtBox?.slots ?? 5, feed, 1);
    return [
      { what: 'floor', count: 1 },
      ...(setup.boxesThatMove.length === 0 ? [{ what: 'box', count: 1 }] : []),
      { what: 'inner cover', count: 1 },
      { what: 'roof', count: 1 },
      { what: 'stand', count: 1 },
      { what: 'entrance block', count: 1 },
      ...(feed ? [{ what: 'feeder', count: 1 }] : []),
      { what: 'hive tag', count: 1 },
    ];
  },
  followUps({ input, setup }) {
    const dates = queenCalendar(input.day, setup.emergence);
    const both = ['stay', 'new'] as const;
    return [
      ...(chosen(walkAwayHalves, input, 'day3') === 'yes'
        ? [
            {
              parts: both,
              kind: 'look' as const,
              topic: 'early-capped' as const,
              window: {
                earliest: dates.earlyCappedLook,
                likely: dates.earlyCappedLook,
                latest: dates.eggsProveQueen.earliest,
              },
              anchor: 'work' as const,
              expect:
                'Cells already capped came from larvae too old: remove them if open ones stand beside them.',
            },
          ]
        : []),
      {
        parts: both,
        kind: 'look',
        topic: 'which-part',
        window: { ...dates.eggsProveQueen, latest: dates.surplusCells.latest },
        anchor: 'work' as const,
        expect:
          'Eggs in one half: the queen is there. Cells and no eggs in the other: it is raising one. Leave the cells.',
      },
      {
        parts: both,
        kind: 'hands-off',
        topic: 'rest',
        window: { earliest: dates.handsOff.from, likely: dates.handsOff.from, latest: dates.handsOff.to },
        anchor: 'work' as const,
        expect: 'The half that raises a queen stays shut: a virgin emerges, flies and mates.',
      },
      {
        parts: both,
        kind: 'look',
        topic: 'eggs-due',
        window: dates.eggsLook,
        anchor: 'work' as const,
        expect: 'Eggs of the new queen in the half that raised her.',
      },
    ];
  },
  cautions: ({ input }) => [...COMMON_CAUTIONS, ...droneCautions(input.donor.frames)],
};
