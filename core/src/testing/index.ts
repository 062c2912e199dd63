export { generatedYards, type GeneratedYards } from './generatedYards.ts';
export { TestYard } from './builders.ts';
export { NEST, STRONG_BOX, STRONG_UPPER, WEAK_BOX, withQueen } from './nests.ts';
export { withCells } from './methodPlans.ts';
export { PartYard } from './partYard.ts';
export { WeakYard, FULL_OF_BROOD, NO_BROOD, NO_NURSES } from './weakYard.ts';
export {
  inHindsight,
  playBreakUp,
  simulatedColony,
  simulatedPlaces,
  type Policy,
} from './simulatedBreakUp.ts';
export { calibration, type Calibration } from './queenWorld/calibration.ts';
export { PARTS_WORLD } from './queenWorld/partsWorld.ts';
export { WIDE_WORLD } from './queenWorld/wideWorld.ts';
export { seasonCalibration } from './seasonWorld/calibrated.ts';
export { plainAim, plainProblem } from './seasonWorld/plainSeason.ts';
export { worldSeason, type WorldRound } from './seasonWorld/worldSeason.ts';
