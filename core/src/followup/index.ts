export { type Clash, clashesOf, type Reschedule, reschedulesFor } from './clashes.ts';
export { datedByLooks } from './datedByLooks.ts';
export { BEES_FOR_DRONES, cutDroneComb, DRONE_FRAME } from './droneComb.ts';
export {
  hivedSwarmLooks,
  type LookText,
  beesStay,
  emptyStand,
  newUnitLooks,
  ripeCellEmergence,
  swarmedLooks,
} from './newUnitLooks.ts';
export { pastLast, type PlanB, planBOf } from './planB.ts';
export { pressingLook } from './pressingLook.ts';
export { queenLane, type QueenLane } from './queenLane.ts';
export { followUpInShort, isInspection, isJob, topicInWords } from './topics.ts';
export { watchVerdict, type WatchVerdict } from './watchVerdict.ts';
