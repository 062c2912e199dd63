export { addDays, dayInWords, daysBetween, daySchema, monthOf, yearOf, type Day } from './calendar/day.ts';
export {
  bothSides,
  CELL_KINDS,
  CELL_PLACES,
  CONTENT_CLASSES,
  CONTENT_NAMES,
  hasLiveCell,
  problemsOfReading,
  shareOf,
  shareOfBees,
  sumOfTenths,
  WORKER_BROOD,
  type CellFinding,
  type CellKind,
  type CellPlace,
  type ContentClass,
  type Contents,
  type FrameReading,
  type Side,
} from './comb/contents.ts';
export { beesPerFrame, framesOfBeesFromCapped, honeyKgPerFrame, type Range } from './comb/densities.ts';
export {
  allFrameSizes,
  frameSize,
  FRAME_SIZE_IDS,
  frameSizeId,
  inReferenceFrames,
  isOwnSize,
  OWN_SIZE_MM,
  ownSizeId,
  type FrameSizeId,
} from './comb/frameSizes.ts';
export {
  paintTenth,
  STAMP_KINDS,
  stampContents,
  stripsOf,
  type Quarters,
  type StampKind,
} from './comb/stamps.ts';
export { DEVELOPMENT, type Caste } from './brood/developmentClock.ts';
export {
  layingRates,
  presentLayingRate,
  projectNest,
  type Laying,
  type LayingRates,
  type NestFrame,
} from './brood/projectNest.ts';
export { spreadNest, type NestTotals } from './brood/spreadNest.ts';
export {
  framesThere,
  namedFrames,
  problemsOfQuickCount,
  spreadColony,
  type QuickCount,
  type SpreadBox,
} from './brood/spreadColony.ts';
export { readNest, type NestReading } from './brood/nestReading.ts';
export { strengthOf, type Strength } from './colony/strength.ts';
export { framesBack, framesOn, layingOf } from './colony/colonyOn.ts';
export { descentOf, type Descent } from './colony/descent.ts';
export { daysUntilFull, hatchesWithin } from './colony/hatchForecast.ts';
export { strengthHistory, type StrengthPoint } from './colony/strengthHistory.ts';
export { completeShorthand, type Completion } from './shorthand/completeShorthand.ts';
export type { ShorthandPlace, ShorthandProblem } from './shorthand/frameScanner.ts';
export { CELL_LETTERS, CONTENT_LETTERS } from './shorthand/letters.ts';
export { parseShorthand, type ShorthandReading } from './shorthand/parseShorthand.ts';
export { printFrame, printShorthand } from './shorthand/printShorthand.ts';
export { queenDoubts } from './queen/queenDoubts.ts';
export { colonyState, type ColonyState, type Lane } from './colony/colonyState.ts';
export { stayShare, temperOf, type Distance } from './drift/drift.ts';
export { colourClash, MARKING_COLOURS, markingColour, type MarkingColour } from './queen/markingColour.ts';
export {
  DISEASE_SIGN_NAMES,
  DISEASE_SIGNS,
  noEvidence,
  saysAnything,
  SIGN_NAMES,
  SIGNS,
  type DiseaseSign,
  type Evidence,
  type Sign,
} from './queen/evidence.ts';
export { judgeParts, type JointVerdict } from './queen/judgeParts.ts';
export { judgePart } from './queen/judgePart.ts';
export { type Finding, type NextAction, type Verdict } from './queen/verdict.ts';
export {
  emergenceFromCells,
  queenCalendar,
  type FollowUpTopic,
  type QueenCalendar,
  type Window,
} from './followup/windows.ts';
export {
  DEFAULT_HOUSE_RULES,
  HOUSE_RULES,
  houseRules,
  type HouseRuleId,
  type HouseRules,
} from './rules/houseRules.ts';
export { METHODS, methodById, YARD_METHODS, yardMethodById } from './methods/registry.ts';
export { findMethods, isSplitMethod, type MethodAdvice, type RankedMethod } from './methods/findMethods.ts';
export { CELL_STAGES, SEASONS, situationOf, type Season, type Situation } from './methods/situation.ts';
export type { YardMethod } from './methods/yardMethod.ts';
export type { MethodId, MethodOption, SplitMethod } from './methods/method.ts';
export { makePlan, type PlanRequest, type WorkedPlan } from './plan/makePlan.ts';
export type { KitLine, PartMeasure, PlanBody, PlanPart, RuleLine } from './plan/planBody.ts';
export { failure, success, type Problem, type Result } from './result/problem.ts';
export { applyChanges, changeSchema, reverseChanges, type Change } from './apiary/change.ts';
export { command, photosIn, type Command, type CommandOf, type NewHive } from './apiary/commands.ts';
export { decide } from './apiary/decide.ts';
export { chambersFor } from './apiary/deciders/settingUp.ts';
export { judgeLook } from './apiary/deciders/looking.ts';
export {
  emptyApiary,
  newOperation,
  operationOf,
  PHOTO_LIMITS,
  RECORD_KINDS,
  RECORD_SCHEMAS,
  yardPlanRecord,
  type AnyRecord,
  type Apiary,
  type Box,
  type Colony,
  type Conditions,
  type FollowUp,
  type Frame,
  type Hive,
  type Move,
  type Operation,
  type Photo,
  type Plan,
  type Queen,
  type Reading,
  type RecordKind,
  type RecordOf,
  type Stand,
  type Step,
  type Visit,
  type Yard,
  type YardPlan,
  type YardStep,
} from './apiary/records.ts';
export { summarise } from './apiary/summarise.ts';
export { undoChanges } from './apiary/undo.ts';
export {
  ageOfCount,
  boxesOfColony,
  boxesOfHive,
  boxName,
  coloniesOfYard,
  countedOn,
  framesInStore,
  framesOfBox,
  framesOfColony,
  hangsWrong,
  housemates,
  nestOf,
  openFollowUps,
  photosOf,
  placeInWords,
  placeOf,
  queenOf,
  queenPerhapsIn,
  readingOf,
  sharedBoxesOf,
  sharedFramesOf,
  visitsOf,
  type PlacedFrame,
} from './apiary/views.ts';
export {
  bundle,
  BUNDLE_VERSION,
  fromBundle,
  journalEntry,
  photoContent,
  toBundle,
  type Bundle,
  type BundleContent,
  type JournalEntry,
  type PhotoContent,
} from './formats/bundle.ts';
export { COUNT_COLUMNS, planCountImport, type CountImport, type CountRow } from './formats/countCsv.ts';
export { DEMO_DAY, demoScenario, type Scenario } from './demo/scenario.ts';
export { seededIds } from './demo/seededIds.ts';
export { STEP_MINUTES, workState, type WorkState, type WorkStep } from './worksheet/workState.ts';
export {
  answerOf,
  stillToAnswer,
  UNANSWERED,
  type ClosingAnswer,
  type ClosingDraft,
  unitsOfPlan,
  unitsOfYardPlan,
  unitsBeside,
  type ClosingUnit,
} from './worksheet/closing.ts';

export type { CallOut } from './apiary/records.ts';
export {
  feedRound,
  TOO_COLD_FOR_SYRUP_C,
  type FeedAim,
  type FeedLine,
  type FeedRound,
} from './feed/feedRound.ts';
export { MEASURES, WATER_KG_PER_LITRE, type MeasureSystem } from './feed/measures.ts';
export { SYRUP_RATIOS, syrupOfLitres, syrupOfSugar, type Syrup } from './feed/syrup.ts';
export {
  scaleHour,
  scaleRows,
  weatherHour,
  weatherRows,
  type ScaleHour,
  type WeatherHour,
} from './weather/weatherHour.ts';
export {
  flyingWeather,
  matingDays,
  nextRain,
  nights,
  scaleDays,
  scaleVerdict,
  WEATHER_LIMITS,
  workingWindows,
  type Night,
  type WorkingWindow,
} from './weather/beeWeather.ts';
export { cellLedger, type CellStage, type LedgerLine } from './cells/cellLedger.ts';
export { deliveryForDay, deliveryFromGraft, type CellDelivery } from './cells/cellDelivery.ts';
export {
  LOST_BY_CUTTING,
  oddsOfAny,
  oddsOfPart,
  partsFor,
  raisingOdds,
  raisingResults,
} from './cells/cellOdds.ts';
export {
  CELL_SCHOOLS,
  shareCells,
  type CellGift,
  type CellPart,
  type CellSchool,
  type CellShares,
} from './cells/shareCells.ts';
export { followUpInShort, topicInWords } from './followup/topics.ts';
export { colonyOfFrame, frameInWords, type KeptReport, type WorkReport } from './worksheet/workReport.ts';
export { stopBefore, type StopBefore } from './worksheet/stopBefore.ts';
export type { AnyStep } from './worksheet/mergeSteps.ts';
export { mayTakeNext, takeNext } from './worksheet/takeNext.ts';
export { combLines, shoppingList, type CombLine } from './worksheet/combStore.ts';
export { againstStore, promisedKit, storeLines, type StoreLine } from './worksheet/kitStore.ts';
export { tagsOfCallOut, tagsOfPlan, tagsOfYardPlan, type HiveTag } from './worksheet/hiveTags.ts';
export { goneUnits } from './worksheet/goneUnits.ts';
export { hivesToday, type DaySorted, type HiveToday } from './worksheet/hivesToday.ts';
export { capital } from './words/capital.ts';
export { NUC_SLOTS } from './colony/nuc.ts';
