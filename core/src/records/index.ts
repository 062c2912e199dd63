export { ACTION_IDS, type ActionId } from './actionId.ts';
export type { AnyStep } from './anyStep.ts';
export type { CallGiver, CallOutBody, CallOutChange, CallPlace, CallUnit, FrameCall } from './callOut.ts';
export { applyChanges, type Change, changeSchema, reverseChanges } from './change.ts';
export {
  answerOf,
  changedBy,
  type ClosingAnswer,
  type ClosingDraft,
  type ClosingUnit,
  LEFT_IN_ORDER,
  silentUnits,
  stillToAnswer,
  UNANSWERED,
  unitsBeside,
  unitsOfPlan,
  unitsOfYardPlan,
} from './closing.ts';
export { type Command, command, type CommandOf, type NewHive, photosIn } from './commands.ts';
export {
  cellsOf,
  countCells,
  DISEASE_SIGN_NAMES,
  DISEASE_SIGNS,
  type Evidence,
  noEvidence,
  saysAnything,
  SIGN_NAMES,
  SIGNS,
} from './evidence.ts';
export { evidenceOfCount, filledByFrames } from './evidenceOfCount.ts';
export type { FollowUpTopic } from './followUpTopic.ts';
export { kindInWords } from './kindInWords.ts';
export { colourClash, MARKING_COLOURS, markingColour, type MarkingColour } from './markingColour.ts';
export { METHOD_NAMES, type MethodId } from './methodId.ts';
export type { KitLine, PartMeasure, PlanBody, PlanPart, RuleLine } from './planBody.ts';
export {
  type AnyRecord,
  type Apiary,
  type Box,
  type CallOut,
  type Colony,
  type Conditions,
  emptyApiary,
  type FollowUp,
  type Frame,
  type Move,
  newOperation,
  type Operation,
  operationOf,
  PHOTO_LIMITS,
  type Plan,
  type Queen,
  type Reading,
  RECORD_KINDS,
  RECORD_SCHEMAS,
  type RecordKind,
  type RecordOf,
  type Step,
  type Visit,
  type Yard,
  type YardPlan,
  yardPlanRecord,
  type YardStep,
} from './records.ts';
export {
  type FramePin,
  framePin,
  newYardPlanRequest,
  NUC_RECIPES,
  type NucQueen,
  type NucRecipe,
  rulesOut,
  STORE_KEY,
  type YardGoal,
  type YardGoalOf,
  type YardPlanRequest,
  yardPlanRequest,
} from './request.ts';
export {
  ageOfCount,
  boxesOfColony,
  boxesOfHive,
  boxName,
  coloniesOfYard,
  colonyAtSlot,
  countedOn,
  framesInStore,
  framesOfBox,
  framesOfColony,
  hangsWrong,
  housemates,
  isSlotOf,
  nestOf,
  openFollowUps,
  photosOf,
  type PlacedFrame,
  placeInWords,
  placeOf,
  queenOf,
  queenPerhapsIn,
  readingOf,
  readingsOfVisit,
  sharedBoxesOf,
  sharedFramesOf,
  visitsOf,
} from './views.ts';
export type { WatchTest } from './watchTest.ts';
export type { WorkEffect } from './workEffect.ts';
export {
  colonyOfFrame,
  frameInWords,
  type KeptReport,
  reportInWords,
  type WorkReport,
} from './workReport.ts';
export type { PlannedUnit, YardLook, YardPlanBody } from './yardPlanBody.ts';
