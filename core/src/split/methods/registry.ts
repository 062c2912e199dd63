import { assemblyLine } from './assemblyLine.ts';
import { autumnReduction } from './autumnReduction.ts';
import { breakUp } from './breakUp.ts';
import { broodAbove } from './broodAbove.ts';
import { cagedQueen } from './cagedQueen.ts';
import type { MethodId } from '../../records/index.ts';
import type { SplitMethod } from '../base/method.ts';
import { oneIntoSeveral } from './oneIntoSeveral.ts';
import { openBroodGoes } from './openBroodGoes.ts';
import { queenToNuc } from './queenToNuc.ts';
import { shakeDown } from './shakeDown.ts';
import { sideBySide } from './sideBySide.ts';
import { spareCells } from './spareCells.ts';
import { walkAwayHalves } from './walkAwayHalves.ts';
import type { YardMethod, YardMethodId } from './yardMethod.ts';

/** The methods that make one part of one colony, in the order in which they are offered. */
export const METHODS: readonly SplitMethod[] = [
  walkAwayHalves,
  queenToNuc,
  sideBySide,
  openBroodGoes,
  shakeDown,
  cagedQueen,
  spareCells,
  broodAbove,
];

/** The methods that are put to the planner of yards. */
export const YARD_METHODS: readonly YardMethod[] = [assemblyLine, oneIntoSeveral, breakUp, autumnReduction];

/** The method with this identifier. */
export function methodById(id: MethodId): SplitMethod {
  return METHODS.find((m) => m.id === id) as SplitMethod;
}

/** The yard method with this identifier. */
export function yardMethodById(id: YardMethodId): YardMethod {
  return YARD_METHODS.find((m) => m.id === id) as YardMethod;
}
