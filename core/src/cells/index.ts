export { cappingOf, type CellAge, dateCell, eggsGivenOn, emergenceOf } from './cellDating.ts';
export { deliveryForDay, deliveryFromGraft } from './cellDelivery.ts';
export { cellLedger, cellsOf, type LedgerLine } from './cellLedger.ts';
export {
  LOST_BY_CUTTING,
  oddsOfAny,
  oddsOfPart,
  partsFor,
  partsForSure,
  type RaisingOdds,
  raisingOdds,
  raisingOutcome,
  raisingResults,
} from './cellOdds.ts';
export { CELL_SCHOOLS, type CellGift, type CellSchool, shareCells } from './shareCells.ts';
