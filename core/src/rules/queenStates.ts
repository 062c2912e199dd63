/** What a colony's queen can be like, as far as it matters for what is done next. */
export const QUEEN_STATES = [
  'laying',
  'newly-laying',
  'virgin',
  'cells',
  'hopeless',
  'laying-workers',
  'drone-layer',
  'not-laying',
] as const;
export type QueenStateName = (typeof QUEEN_STATES)[number];

/** The states as they are told. */
export const QUEEN_STATE_WORDS: Readonly<Record<QueenStateName, string>> = {
  laying: 'a mated queen lays',
  'newly-laying': 'a young queen has begun to lay',
  virgin: 'a virgin, or on her mating flights',
  cells: 'a queen is being raised',
  hopeless: 'no queen, and nothing to raise one from',
  'laying-workers': 'laying workers',
  'drone-layer': 'a queen that lays drones only',
  'not-laying': 'a queen is there and does not lay',
};

/** A chance for each state; together they are 1. */
export type QueenOdds = Readonly<Record<QueenStateName, number>>;
