import { z } from 'zod';
import { daySchema } from '../../basics/index.ts';
import { frameSizeId } from '../../comb/index.ts';

const recordId = z.uuid();

/** How a part gets its queen (practice differs: by season and patience). */
export const NUC_QUEENS = ['raises', 'cell', 'mated', 'old-queen'] as const;
export type NucQueen = (typeof NUC_QUEENS)[number];

/** What a nuc is made of, in combs, as beekeepers say it: "two brood and two honey". */
export const nucRecipe = z.strictObject({
  /** Frames that its box holds. */
  slots: z.int().min(2).max(12),
  sizeId: frameSizeId,
  /** Combs with brood on at least a quarter of them. */
  broodCombs: z.strictObject({ min: z.int().min(1).max(10), max: z.int().min(1).max(10) }),
  /** Brood in it at least, in full frames. */
  broodFrames: z.number().min(0).max(10),
  /** Combs mostly of honey or nectar, at least. */
  storesCombs: z.int().min(0).max(8),
  /** Empty drawn combs, at least. */
  emptyCombs: z.int().min(0).max(8),
  queen: z.enum(NUC_QUEENS),
  distance: z.enum(['same-yard', 'away']),
  /** The yard to which one that goes away is carried; the only other, or told on arrival, when left out. */
  toYardId: recordId.optional(),
});
export type NucRecipe = z.infer<typeof nucRecipe>;

/** Recipes as they are usually told (common practice, no source). */
export const NUC_RECIPES: readonly {
  readonly id: string;
  readonly name: string;
  readonly why: string;
  readonly recipe: NucRecipe;
}[] = [
  {
    id: 'five',
    name: 'Five frames: one full brood, one part, honey, drawn, foundation',
    why: 'Room for a laying queen for two rounds, and little taken from the donor.',
    recipe: {
      slots: 5,
      sizeId: 'langstroth-deep',
      broodCombs: { min: 2, max: 2 },
      broodFrames: 1.2,
      storesCombs: 1,
      emptyCombs: 1,
      queen: 'raises',
      distance: 'same-yard',
    },
  },
  {
    id: 'four',
    name: 'Four frames: two brood and two honey',
    why: 'The break-up of a strong colony: nothing to draw, nothing to feed for a while.',
    recipe: {
      slots: 4,
      sizeId: 'langstroth-deep',
      broodCombs: { min: 2, max: 2 },
      broodFrames: 1,
      storesCombs: 2,
      emptyCombs: 0,
      queen: 'raises',
      distance: 'same-yard',
    },
  },
];

const goalId = z.string().min(1).max(40);
const importance = z.int().min(1).max(3).default(2);

/** Makes nucs by a recipe; `count` null is as many as possible. */
const makeNucs = z.strictObject({
  id: goalId,
  kind: z.literal('makeNucs'),
  count: z.int().min(1).max(120).nullable(),
  recipe: nucRecipe,
  importance,
  /**
   * The colony that is broken up whole for it: of its combs one more nuc of the recipe is left, with the old queen in a
   * nuc box, and everything leaves the stand at dusk, so that nobody flies home. Left out: donors keep their stands.
   */
  wholeOfId: recordId.optional(),
});
/** Brings the colonies of the yards to like strength. */
const level = z.strictObject({
  id: goalId,
  kind: z.literal('level'),
  by: z.enum(['capped', 'brood']),
  importance,
});
/** Raises colonies to a target by a day. No names: every weak one. */
const raise = z.strictObject({
  id: goalId,
  kind: z.literal('raise'),
  colonyIds: z.array(recordId).max(200),
  by: z.enum(['bees', 'brood']),
  targetFrames: z.number().min(0.5).max(30),
  onDay: daySchema,
  importance,
});
/** Takes swarm pressure off: less brood, more room. */
const calm = z.strictObject({
  id: goalId,
  kind: z.literal('calm'),
  colonyIds: z.array(recordId).min(1).max(200),
  importance,
});
/** Brings a colony down to so many boxes. */
const shrink = z.strictObject({
  id: goalId,
  kind: z.literal('shrink'),
  colonyId: recordId,
  boxes: z.int().min(1).max(8),
  importance,
});
/** Gives honey-bound nests empty comb for stores. No names: every honey-bound one. */
const relieve = z.strictObject({
  id: goalId,
  kind: z.literal('relieve'),
  colonyIds: z.array(recordId).max(200),
  importance,
});
/** Sees that each has so much food. No names: all. */
const provision = z.strictObject({
  id: goalId,
  kind: z.literal('provision'),
  colonyIds: z.array(recordId).max(200),
  storesKg: z.number().min(0.5).max(60),
  importance,
});
/** Unites one colony into another. */
const unite = z.strictObject({
  id: goalId,
  kind: z.literal('unite'),
  fromId: recordId,
  intoId: recordId,
  importance,
});
/** Gives a nuc that has outgrown its box a full-sized one. */
const hiveUp = z.strictObject({
  id: goalId,
  kind: z.literal('hiveUp'),
  colonyId: recordId,
  slots: z.int().min(6).max(14),
  /** What goes on its box in the same job: a second one for brood, or a super over an excluder. Left out: nothing. */
  above: z.enum(['brood', 'super']).optional(),
  /** A frame for drones hangs at the edge of its nest, to be cut out on its day. */
  droneComb: z.literal(true).optional(),
  importance,
});

/** One thing wanted. Goals combine freely. */
const yardGoal = z.discriminatedUnion('kind', [
  makeNucs,
  level,
  raise,
  calm,
  shrink,
  relieve,
  provision,
  unite,
  hiveUp,
]);
export type YardGoal = z.infer<typeof yardGoal>;
export type YardGoalOf<K extends YardGoal['kind']> = Extract<YardGoal, { kind: K }>;

/** Where a frame can go: a colony by its id, a nuc by its key, or the store. */
export const unitKey = z.string().min(1).max(120);
/** The key of the store. */
export const STORE_KEY = 'store';

/** A frame that is to go to a unit (or stay, when it is the unit where it hangs). */
export const framePin = z.strictObject({ frameId: recordId, to: unitKey });
export type FramePin = z.infer<typeof framePin>;

/** Everything that is asked of the planner. */
export const yardPlanRequest = z.strictObject({
  yardIds: z.array(recordId).min(1).max(40),
  day: daySchema,
  goals: z.array(yardGoal).max(20),
  /** Nights until the new parts have settled. */
  nights: z.enum(['mild', 'cold']).default('mild'),
  /** In build-up a giver recovers fast; in dearth or midsummer it needs about eight weeks. */
  season: z.enum(['build-up', 'dearth']).default('build-up'),
  /**
   * Whether frames in a box may be put in order as a nest, keep the order in which they hang, or get empty comb between
   * the brood combs of a strong colony in warm weather.
   */
  order: z.enum(['nest', 'keep', 'checkerboard']).default('nest'),
  /** Colonies that are left alone. */
  leftOutIds: z.array(recordId).max(400).default([]),
  /** Frames whose place is decided. */
  pins: z.array(framePin).max(400).default([]),
  /** Frames whose bees have been shaken out for a unit already; the frames stay. */
  shaken: z.array(framePin).max(400).default([]),
  /** Moves that must not be made; one to a nuc means all nucs of its goal, see {@link rulesOut}. */
  forbids: z.array(framePin).max(400).default([]),
  /** What can be done in a day. */
  limits: z
    .strictObject({
      hives: z.int().min(1).max(400).nullable(),
      frames: z.int().min(1).max(4000).nullable(),
    })
    .default({ hives: null, frames: null }),
});
export type YardPlanRequest = z.infer<typeof yardPlanRequest>;

/** Where a nuc is made, whichever of its goal it is: nucs of one goal in one yard have nothing that tells them apart. */
const placeOf = (to: string) => (to.includes('/') ? to.slice(0, to.lastIndexOf('/')) : to);

/**
 * Whether a ban speaks against a move. A comb that is not to go into one nuc is not to go into the next one of its
 * kind either: else only their numbers would change.
 */
export const rulesOut = (ban: FramePin, move: FramePin) =>
  ban.frameId === move.frameId && placeOf(ban.to) === placeOf(move.to);

/** A request for yards with nothing asked yet, under the usual circumstances. */
export function newYardPlanRequest(yardIds: readonly string[], day: string): YardPlanRequest {
  return {
    yardIds: [...yardIds],
    day,
    goals: [],
    nights: 'mild',
    season: 'build-up',
    order: 'nest',
    leftOutIds: [],
    pins: [],
    shaken: [],
    forbids: [],
    limits: { hives: null, frames: null },
  };
}
