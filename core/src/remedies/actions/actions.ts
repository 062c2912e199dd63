import type { UnitFacts } from '../unit/unitFacts.ts';
import { addBox } from './addBox.ts';
import { boostNurses } from './boostNurses.ts';
import { boxToSuper } from './boxToSuper.ts';
import { cleanBoxes } from './cleanBoxes.ts';
import { combine } from './combine.ts';
import { droneComb } from './droneComb.ts';
import { letGo, shakeOut } from './endUnit.ts';
import { boostBrood, boostOnComb, testFrame } from './giveComb.ts';
import { freeQueen } from './freeQueen.ts';
import { shakeOutPart } from './shakeOutPart.ts';
import { cutCells, giveCell, giveQueen } from './settleQueen.ts';
import { shrink, swapStands } from './settleRoom.ts';
import type { ActionId } from '../../records/index.ts';
import type { ActionChoice, ActionPlan } from './actionPlan.ts';

/**
 * Works an action out for a unit.
 *
 * @param all - every unit of the operation, for givers and partners
 * @returns null where it cannot be done: nobody can give, nothing fits, or the unit or its partner may be sick
 */
export function planAction(
  id: ActionId,
  facts: UnitFacts,
  all: readonly UnitFacts[],
  choice: ActionChoice,
  newId: () => string,
): ActionPlan | null {
  const partner = all.find((f) => f.colony.id === choice.partnerId);
  if ((facts.sick && id !== 'let-go') || partner?.sick) return null;
  switch (id) {
    case 'boost-brood':
      return boostBrood(facts, all);
    case 'boost-nurses':
      return (choice.nurses === 'on-comb' ? boostOnComb(facts, all) : null) ?? boostNurses(facts, all);
    case 'swap-stands':
      return swapStands(facts, all, choice.partnerId);
    case 'shrink':
      return shrink(facts);
    case 'free-queen':
      return freeQueen(facts);
    case 'test-frame':
      return testFrame(facts, all);
    case 'give-cell':
      return giveCell(facts);
    case 'give-queen':
      return giveQueen(facts, choice, newId);
    case 'cut-early-cells':
      return cutCells(facts, true, newId);
    case 'cut-cells':
      return cutCells(facts, false, newId);
    case 'shake-out':
      return shakeOut(facts, all);
    case 'shake-out-part':
      return shakeOutPart(facts);
    case 'combine':
      return combine(facts, all, choice);
    case 'add-box':
      return addBox(facts, choice, newId);
    case 'drone-comb':
      return droneComb(facts);
    case 'clean-boxes':
      return cleanBoxes(facts, newId);
    case 'box-to-super':
      return boxToSuper(facts, newId);
    case 'let-go':
      return letGo(facts, all, choice.partnerId);
  }
}
