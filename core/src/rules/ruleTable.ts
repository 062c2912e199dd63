import { DEFAULT_HOUSE_RULES, type HouseRuleId } from './houseRules.ts';

/** One threshold that beekeepers argue about: a default, its reason, and the range that makes sense. */
export interface HouseRule {
  readonly label: string;
  readonly unit: string;
  readonly default: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** Why the default is what it is, in one line. */
  readonly why: string;
}

type Said = Omit<HouseRule, 'default'>;

const rule = (
  label: string,
  unit: string,
  [min, max, step]: [number, number, number],
  why: string,
): Said => ({
  label,
  unit,
  min,
  max,
  step,
  why,
});

/** What is said of each. The defaults are common practice without a single source, unless the reason names one. */
const SAID: Readonly<Record<HouseRuleId, Said>> = {
  coverWarm: rule(
    'Brood per frame of bees, mild nights',
    'frames of brood per frame of bees',
    [0.3, 1.2, 0.05],
    'Bees must cover brood; a little slack is kept for the nights.',
  ),
  coverCold: rule(
    'Brood per frame of bees, nights below 10 °C (50 °F)',
    'frames of brood per frame of bees',
    [0.2, 1, 0.05],
    'Bees draw together in the cold and bare the outer brood.',
  ),
  minBeesNewPart: rule(
    'Bees in a new part, after drift',
    'frames of bees',
    [1, 8, 0.25],
    'Below this a small colony neither keeps brood warm nor feeds queen larvae well.',
  ),
  minEggsTenths: rule(
    'Eggs and new larvae for a part that raises a queen',
    'tenths of one side',
    [0.5, 10, 0.5],
    'Part of a comb is enough: bees choose a few larvae under a day old.',
  ),
  minBeeBreadFrames: rule(
    'Bee bread in each part',
    'frames',
    [0, 2, 0.05],
    'Without bee bread a colony cannot raise brood or a good queen.',
  ),
  minStoresNoField: rule(
    'Stores in a part without field bees',
    'frames',
    [0, 4, 0.25],
    'It brings nothing in for days and lives on what it is given.',
  ),
  minStoresOnStand: rule(
    'Stores left on the old stand',
    'frames',
    [0, 4, 0.25],
    'Field bees come home to it, but rain can last.',
  ),
  donorFloorBrood: rule(
    'Brood left with the donor',
    'frames of brood',
    [0, 8, 0.5],
    'In build-up one or two good brood frames carry on: all field bees return to the old stand.',
  ),
  donorFloorDearth: rule(
    'Brood left with the donor in dearth or midsummer',
    'frames of brood',
    [0, 10, 0.5],
    'It has about eight weeks to recover and must still raise winter bees.',
  ),
  minStoresDearth: rule(
    'Stores left with the donor in dearth or midsummer',
    'frames',
    [0, 6, 0.25],
    'Nothing comes in; what is taken is not replaced.',
  ),
  giftKeepShare: rule(
    'Brood combs that a colony keeps when it gives to others',
    'share',
    [0.5, 1, 0.01],
    'Of seven brood combs it gives one and keeps six: it stays strong and has its queen.',
  ),
  shakesPerGiver: rule(
    'Frames shaken for nurse bees, for each donor',
    'frames',
    [0, 8, 1],
    'Nurses of three or four frames of open brood can be spared; more bares the brood.',
  ),
  levelWithin: rule(
    'Level enough when within',
    'frames of brood',
    [0.25, 3, 0.25],
    'Less than a frame evens out by itself, and every comb carried costs time.',
  ),
  roomToLay: rule(
    'Empty comb that a bound or crowded nest should have',
    'frames',
    [0.5, 6, 0.5],
    'Two combs give her a week of laying.',
  ),
  honeyBoundStores: rule(
    'A nest is honey-bound when stores fill more than',
    'share of its slots',
    [0.2, 0.9, 0.05],
    'Brood, bread and bees need the other half.',
  ),
  honeyBoundRoom: rule(
    'and its empty comb is less than',
    'frames',
    [0, 3, 0.1],
    'Less than two days of laying: she follows the bees that emerge and has nowhere to go.',
  ),
  nucFullBees: rule(
    'A nuc is full when bees are on',
    'share of its combs',
    [0.5, 1, 0.05],
    'Bees on most combs: more emerge than the box can hold.',
  ),
  nucFullBrood: rule(
    'and brood, in full frames, is in',
    'share of its combs',
    [0.2, 1, 0.05],
    'Brood on about two thirds of the combs is half of them in full frames.',
  ),
  calmBroodShare: rule(
    'Brood in a colony that is to be kept from swarming',
    'share of its slots',
    [0.3, 1, 0.05],
    'A nest wall to wall with brood gives more bees than its boxes hold.',
  ),
  hiveUpStores: rule(
    'Stores given along when a nuc moves into a full hive',
    'frames',
    [0, 5, 0.5],
    'The new box has combs to draw; two of honey carry it over bad weather.',
  ),
  priceNucBox: rule(
    'Price of a nuc box with floor and lid',
    'in your money',
    [0, 2000, 1],
    'A guess to compare ways by: enter what you pay.',
  ),
  priceHiveBox: rule(
    'Price of a full-sized box with floor and roof',
    'in your money',
    [0, 5000, 1],
    'A guess to compare ways by: enter what you pay.',
  ),
  priceMatedQueen: rule(
    'Price of a mated queen',
    'in your money',
    [0, 2000, 1],
    'A guess to compare ways by: enter what you pay.',
  ),
  priceQueenCell: rule(
    'Price of a ripe queen cell',
    'in your money',
    [0, 500, 1],
    'A guess to compare ways by: enter what you pay.',
  ),
  strongForHalves: rule(
    'Bees needed to make two halves',
    'frames of bees',
    [6, 24, 0.5],
    'Each half should cover its brood without help on the first cold night.',
  ),
  strongForNuc: rule(
    'Bees needed to take a nuc with the queen',
    'frames of bees',
    [4, 20, 0.5],
    'The parent must still cover its brood and feed queen cells.',
  ),
  combYears: rule(
    'Years that a comb is used',
    'years',
    [2, 20, 1],
    'Old comb is dark, narrow-celled and holds what bees brought home; five to ten years is the habit.',
  ),
  feedPerBeesFrame: rule(
    'Food that a frame of bees with its brood uses in a day',
    'kg of stores',
    [0.005, 0.3, 0.005],
    'Bees eat about 10 g a day for a frame, and as much goes into larvae; more on cold nights. A hive on a scale tells yours.',
  ),
  feedDays: rule(
    'Days that food in the hive should last when nothing comes in',
    'days',
    [3, 40, 1],
    'A cool spell in spring or a gap between flows; then one looks again.',
  ),
  feedReserveKg: rule(
    'Food that is never to be used up',
    'kg of stores',
    [0, 10, 0.25],
    'Brood is given up before the last cell is empty.',
  ),
  winterStoresKg: rule(
    'Stores for winter',
    'kg',
    [5, 60, 1],
    'About 18–20 kg (40–45 lb) where winters are mild and maritime, 27–40 kg (60–90 lb) where they are cold and long.',
  ),
  nucSlots: rule(
    'Slots of a nuc box',
    'frames',
    [3, 6, 1],
    'Five frames give a laying queen room for two rounds.',
  ),
  stayOpenBrood: rule(
    'Bees that stay on open brood moved in the yard',
    'share',
    [0, 1, 0.05],
    'Mostly nurses, and nurses stay.',
  ),
  stayCappedBrood: rule(
    'Bees that stay on capped brood moved in the yard',
    'share',
    [0, 1, 0.05],
    'Mixed ages; the older half flies home.',
  ),
  stayStores: rule(
    'Bees that stay on stores or empty comb moved in the yard',
    'share',
    [0, 1, 0.05],
    'Many field bees, which fly home.',
  ),
  stayAway: rule(
    'Bees that stay when moved beyond 3 km (2 miles)',
    'share',
    [0, 1, 0.05],
    'Out of flying range nothing draws them back.',
  ),
  giverBees: rule(
    'A donor has at least',
    'frames of bees',
    [4, 20, 0.5],
    'Above this a colony crowds its brood nest in build-up and can spare bees.',
  ),
  giverBrood: rule(
    'and at least',
    'frames of brood',
    [2, 14, 0.5],
    'Enough to keep its floor after giving a frame or two.',
  ),
  weakBees: rule(
    'A weak colony has fewer than',
    'frames of bees',
    [1, 10, 0.5],
    'It cannot spare anything and may need help.',
  ),
  frostAfterMidsummer: rule(
    'First hard frosts, days after midsummer',
    'days',
    [40, 200, 1],
    'Mid-October in the north, mid-April in the south; enter what your yards see.',
  ),
  winterBeesWeeks: rule(
    'A queen must lay so long before the first hard frosts',
    'weeks',
    [4, 14, 1],
    'Winter bees take three weeks to emerge and a colony needs two rounds of them.',
  ),
  winterBees: rule(
    'Bees that a colony needs to go into winter',
    'frames of bees',
    [2, 12, 0.5],
    'A smaller cluster does not keep itself warm; in a nuc box over a strong neighbour three may do.',
  ),
  findsEggs: rule(
    'You find eggs that are there, reading every comb',
    'share',
    [0.4, 0.99, 0.01],
    'Our estimate, no published source: in poor light or on new white comb they are missed far more often.',
  ),
  findsQueen: rule(
    'You find a laying queen when you look for her',
    'share',
    [0.05, 0.98, 0.05],
    'Our estimate, no published source: an unmarked queen in a full hive is found every other time.',
  ),
  findsCells: rule(
    'You find queen cells that are there, parting the bees',
    'share',
    [0.4, 0.99, 0.01],
    'Our estimate, no published source: one in a corner under bees is enough to be wrong.',
  ),
  raisesCells: rule(
    'A part with young brood raises a queen to emergence',
    'share',
    [0.5, 0.99, 0.01],
    'Seven to nine in ten end as laying queens with mating (common practice, no source).',
  ),
  matesOfVirgins: rule(
    'A virgin mates and comes back',
    'share',
    [0.3, 0.99, 0.01],
    'Weather, birds and drones decide (common practice, no source); your own results are on the cells page.',
  ),
  nucReserve: rule(
    'Nucs kept in reserve, for each ten colonies',
    'nucs',
    [0, 5, 0.5],
    'A standby nuc replaces a dead-out or a lost queen within the hour.',
  ),
  queenSeasons: rule(
    'Seasons that a queen is kept',
    'seasons',
    [1, 5, 1],
    'From her third season she lays less and swarms sooner (common practice, no source).',
  ),
  layingMost: rule(
    'A good queen lays at most',
    'eggs a day',
    [500, 2500, 50],
    'Fifteen hundred over weeks; two thousand at the height of the season.',
  ),
  latitudeDeg: rule(
    'Latitude of your yards',
    '° from the equator',
    [0, 66, 1],
    'For the time of dark on the day of the work; middle latitudes until you say otherwise.',
  ),
  forecastLean: rule(
    'Bees beyond the forecast',
    '% a day',
    [-2, 2, 0.1],
    'What your own counts have shown against the forecast; 0 until you take it over from the page of forecasts.',
  ),
  countAgesDays: rule(
    'A count is old after',
    'days',
    [2, 30, 1],
    'In nine days every cell that was open is capped and eggs then laid are larvae.',
  ),
};

/** All house rules, as they are shown. */
export const HOUSE_RULES = Object.fromEntries(
  (Object.keys(SAID) as HouseRuleId[]).map((id) => [id, { ...SAID[id], default: DEFAULT_HOUSE_RULES[id] }]),
) as Readonly<Record<HouseRuleId, HouseRule>>;
