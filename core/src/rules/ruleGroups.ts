import type { HouseRuleId } from './houseRules.ts';

/** House rules that are read together. */
export interface RuleGroup {
  readonly title: string;
  /** What they decide, in a line. */
  readonly about: string;
  readonly ids: readonly HouseRuleId[];
}

/** All house rules, in the order in which a season needs them. */
export const RULE_GROUPS: readonly RuleGroup[] = [
  {
    title: 'Strong and weak',
    about: 'Which colonies can give, which need help, and which may be split.',
    ids: ['giverBees', 'giverBrood', 'weakBees', 'strongForHalves', 'strongForNuc', 'levelWithin'],
  },
  {
    title: 'What a donor keeps',
    about: 'Nothing is taken below this.',
    ids: [
      'donorFloorBrood',
      'donorFloorDearth',
      'minStoresDearth',
      'giftKeepShare',
      'shakesPerGiver',
      'calmBroodShare',
    ],
  },
  {
    title: 'What a new part needs',
    about: 'Bees, brood, bee bread and food, so that it lives and raises a queen.',
    ids: [
      'minBeesNewPart',
      'coverWarm',
      'coverCold',
      'minEggsTenths',
      'minBeeBreadFrames',
      'minStoresNoField',
      'minStoresOnStand',
      'nucSlots',
    ],
  },
  {
    title: 'Who stays where',
    about: 'How many bees stay on a comb that is moved.',
    ids: ['stayOpenBrood', 'stayCappedBrood', 'stayStores', 'stayAway'],
  },
  {
    title: 'Room in the nest',
    about: 'When a nest is short of room, and when a nuc moves into a full hive.',
    ids: ['roomToLay', 'honeyBoundStores', 'honeyBoundRoom', 'nucFullBees', 'nucFullBrood', 'hiveUpStores'],
  },
  {
    title: 'Food and winter',
    about: 'What is used up in a day, what must be there, and by when a queen must lay.',
    ids: [
      'feedPerBeesFrame',
      'feedDays',
      'feedReserveKg',
      'winterStoresKg',
      'winterBees',
      'winterBeesWeeks',
      'frostAfterMidsummer',
    ],
  },
  {
    title: 'Queens and spares',
    about: 'How well queens are raised, found and kept.',
    ids: [
      'raisesCells',
      'matesOfVirgins',
      'queenSeasons',
      'layingMost',
      'findsEggs',
      'findsQueen',
      'findsCells',
      'nucReserve',
    ],
  },
  {
    title: 'Counting and forecast',
    about: 'How long a count tells, and how your counts differ from the forecast.',
    ids: ['countAgesDays', 'forecastLean', 'combYears', 'latitudeDeg'],
  },
  {
    title: 'Prices',
    about: 'What a plan costs.',
    ids: ['priceNucBox', 'priceHiveBox', 'priceMatedQueen', 'priceQueenCell'],
  },
];
