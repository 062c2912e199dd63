export {
  remediesFor,
  allFacts,
  usualHorizon,
  type Remedies,
  type Remedy,
  type RemedyId,
} from './remedies.ts';
export { unitFacts, layingChance, type Outside, type UnitFacts } from './unitFacts.ts';
export { broodOf, type UnitBees } from './unitProspect.ts';
export { whyWeak, type WeakCause, type WeakCauseId } from './whyWeak.ts';
export { QUEEN_OUTCOMES } from './queenOutcomes.ts';
export { ACTION_IDS, planAction, type ActionId } from '../actions/actions.ts';
export { workOfAction, type ActionChoice, type ActionPlan } from '../actions/actionPlan.ts';
export { waysToUnite } from '../actions/combine.ts';
export { queenLane, LANE_EVENTS, type LaneEvent, type QueenLane } from '../followup/queenLane.ts';
export { pastLast, planBOf, type PlanB } from '../followup/planB.ts';
export {
  agendaOf,
  clashesOf,
  reschedulesFor,
  type AgendaDay,
  type Clash,
  type Reschedule,
} from '../followup/agenda.ts';
export { yardSeason, type YardSeason } from '../season/yardSeason.ts';
export { hiveUpWindow, nucReserve, type HiveUpWindow, type NucReserve } from './hiveUpWindow.ts';
export { weakDesk, type WeakDesk } from './weakDesk.ts';
export { apiaryAfter } from '../actions/apiaryAfter.ts';
export { comeDownTo, expectedColonies, type StepDown } from './comeDown.ts';
export { watchOn } from './watchOn.ts';
export { watchVerdict, type WatchVerdict } from '../followup/watchVerdict.ts';
