import type { HouseRules } from './houseRules.ts';

/**
 * What beekeepers call a colony by, each said once: pages, plans and remedies all ask here. Every figure is a house
 * rule with its default and its reason.
 */

type Nights = 'mild' | 'cold';

/** Frames of brood that a frame of bees keeps warm. */
export const coverShare = (rules: HouseRules, nights: Nights): number =>
  nights === 'cold' ? rules.coverCold : rules.coverWarm;

/** Frames of brood that bees cover beyond those they have; negative when some is bare. */
export const coversMore = (
  { bees, brood }: { readonly bees: number; readonly brood: number },
  rules: HouseRules,
  nights: Nights,
): number => bees * coverShare(rules, nights) - brood;

/** Stores have taken the room that the queen would lay in. @param room - empty comb, in frames; `slots` of its boxes */
export const isHoneyBound = (
  { stores, room, slots }: { readonly stores: number; readonly room: number; readonly slots: number },
  rules: HouseRules,
): boolean => stores > rules.honeyBoundStores * slots && room < rules.honeyBoundRoom;

/** A colony that can spare brood and bees. */
export const isStrongEnoughToGive = (
  { bees, brood }: { readonly bees: number; readonly brood: number },
  rules: HouseRules,
): boolean => bees >= rules.giverBees && brood >= rules.giverBrood;

/** Brood that a colony has above the line of those that give: so strong, it is divided rather than robbed of single combs. */
export const isStrongEnoughToPart = (brood: number, rules: HouseRules): boolean =>
  brood - rules.giverBrood >= PARTED_ABOVE;

/** Judgement, no source. */
const PARTED_ABOVE = 3;

/** Combs of brood that a colony may give to others and stay as strong as one that gives is to stay: one of seven. */
export const givesCombs = (broodCombs: number, rules: HouseRules): number =>
  Math.floor(broodCombs * (1 - rules.giftKeepShare) + 1e-6);

/** Boxes of so many combs or fewer are nucs: they are full before they are strong. */
export const NUC_SLOTS = 6;

/** The room that a unit has for brood. */
export interface BroodRoom {
  /** Slots of its brood boxes together. */
  readonly slots: number;
  /** Brood boxes one on the other; one when left out. */
  readonly storeys?: number;
}

/** Whether a unit lives in nuc boxes, one or several on each other. */
export const isNuc = ({ slots, storeys = 1 }: BroodRoom): boolean =>
  slots > 0 && slots <= NUC_SLOTS * Math.max(1, storeys);

/** A nuc that has outgrown its boxes. @param brood - in full frames */
export const isOutgrown = (
  { bees, brood, ...room }: BroodRoom & { readonly bees: number; readonly brood: number },
  rules: HouseRules,
): boolean =>
  isNuc(room) && bees >= rules.nucFullBees * room.slots && brood >= rules.nucFullBrood * room.slots;
