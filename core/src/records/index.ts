export { cellsCutBy } from './cellsCutBy.ts';
export { ACTION_IDS, BOX_ACTIONS, type BoxAction, type ActionId } from './bodies/actionId.ts';
export { sourcesOf, type Sources } from './bodies/sourcesOf.ts';
export type {
  CallGiver,
  CallOutBody,
  CallOutChange,
  CallPlace,
  CallUnit,
  FrameCall,
} from './bodies/callOut.ts';
export { applyChanges, type Change, changeSchema, reverseChanges } from './change.ts';
export {
  answerOf,
  closingAnswers,
  changedBy,
  type ClosingAnswer,
  type ClosingDraft,
  type ClosingUnit,
  unitsOfCallOut,
  LEFT_IN_ORDER,
  silentUnits,
  stillToAnswer,
  UNANSWERED,
  unitsBeside,
  unitsOfWork,
} from './bodies/closing.ts';
export { type Command, command, type CommandOf, type NewHive, photosIn } from './commands.ts';
export {
  type AskedOfEvidence,
  cellsOf,
  countCells,
  DISEASE_SIGN_NAMES,
  DISEASE_SIGNS,
  type Evidence,
  noEvidence,
  saysAnything,
  SIGN_NAMES,
  SIGNS,
} from './bodies/evidence.ts';
export { evidenceOfCount, filledByFrames } from './bodies/evidenceOfCount.ts';
export { followUpTopic, type FollowUpTopic } from './bodies/followUpTopic.ts';
export {
  AIM_QUEENS,
  ROUND_KINDS,
  type RoundKind,
  type SeasonAim,
  seasonAim,
  type SeasonPlan,
  seasonPlan,
  type SeasonRound,
} from './bodies/seasonPlan.ts';
export { blanksInWords } from './blanksInWords.ts';
export { kindInWords } from './kindInWords.ts';
export {
  CELL_FATES,
  CELL_ORIGINS,
  CELL_QUALITIES,
  CELL_QUALITY_WORDS,
  type CellFate,
  type CellOrigin,
  type CellQuality,
} from './kinds/cell.ts';
export {
  COLONY_END_WORDS,
  COLONY_ENDS,
  type ColonyEndHow,
  DEATH_CAUSE_WORDS,
  DEATH_CAUSES,
  type DeathCause,
} from './kinds/colonyEnd.ts';
export { FEED_KINDS, FEED_WORDS, type FeedKind } from './kinds/given.ts';
export { STACK_PARTING_WORDS, STACK_PARTINGS, type StackParting } from './kinds/hiveEvent.ts';
export {
  newQueen,
  QUEEN_DEED_WORDS,
  QUEEN_DEEDS,
  QUEEN_ENDS,
  QUEEN_ORIGIN_WORDS,
  QUEEN_ORIGINS,
  type QueenDeed,
  type QueenEnd,
  type QueenOrigin,
} from './kinds/queen.ts';
export { INSERT_WORDS, INSERTS, type Insert, type Wear, WEAR_WORDS, WEARS } from './kinds/wear.ts';
export {
  colourClash,
  MARKING_COLOURS,
  markingColour,
  markingColourSchema,
  type MarkingColour,
} from './bodies/markingColour.ts';
export { METHOD_IDS, METHOD_NAMES, type MethodId } from './bodies/methodId.ts';
export {
  type AnyRecord,
  type Apiary,
  BARE_BOX,
  BARE_HIVE,
  BARE_STAND,
  BARE_YARD,
  type Box,
  type Cell,
  type CallOut,
  type Colony,
  type Conditions,
  emptyApiary,
  type FollowUp,
  type Frame,
  type Given,
  type Hive,
  type Expense,
  type HiveEvent,
  NO_CARE,
  newOperation,
  type Operation,
  operationOf,
  PHOTO_LIMITS,
  type Queen,
  type Reading,
  RECORD_KINDS,
  RECORD_SCHEMAS,
  type RecordKind,
  type RecordOf,
  type UnexpectedCount,
  type Visit,
  type Yard,
  type Work,
} from './records.ts';
export {
  type FramePin,
  framePin,
  newYardPlanRequest,
  NUC_QUEENS,
  NUC_RECIPES,
  type NucQueen,
  type NucRecipe,
  rulesOut,
  STORE_KEY,
  unitKey,
  type YardGoal,
  type YardGoalOf,
  type YardPlanRequest,
  yardPlanRequest,
} from './bodies/request.ts';
export {
  ageOfCount,
  boxesOfColony,
  boxesOfHive,
  boxName,
  theBox,
  cellsOnFrame,
  coloniesOfHive,
  coloniesOfYard,
  colonyAtSlot,
  countedOn,
  eventsOf,
  framesApart,
  framesInStore,
  framesNotInBoxes,
  framesOfBox,
  framesOfColony,
  givenTo,
  combSlots,
  hangsWrong,
  hivesOnStand,
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
  queensOf,
  readingOf,
  readingsOfVisit,
  sharedBoxesOf,
  sharedFramesOf,
  standsOfYard,
  stepsOfWork,
  visitsOf,
  worksAt,
} from './views.ts';
export type { WatchTest } from './bodies/watchTest.ts';
export type { WorkEffect } from './bodies/workEffect.ts';
export {
  colonyOfFrame,
  frameInWords,
  type KeptReport,
  keptReport,
  reportInWords,
  type WorkReport,
} from './bodies/workReport.ts';
export {
  isOpenWork,
  kitLine,
  ruleLine,
  STEP_KINDS,
  workSteps,
  type KitLine,
  type Parting,
  type RuleLine,
  type StepDraft,
  type StepKind,
  type StepTask,
  type UnitStrength,
  type WorkAsked,
  type WorkBody,
  type WorkLook,
  type WorkMove,
  type WorkSource,
  type WorkStep,
  isChanged,
  type WorkUnit,
} from './bodies/work.ts';
export { cagedAtHome, queenCame, speaksOfQueenFrom, type QueenCame } from './queenCame.ts';
export { evidenceOfDay } from './bodies/evidenceOfDay.ts';
