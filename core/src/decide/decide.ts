import { failure, success, type Result } from '../basics/index.ts';
import type { Change, Command, Apiary } from '../records/index.ts';
import { conservationProblems } from './conservation.ts';
import { Draft } from './deciders/draft.ts';
import { decideAddUnit } from './deciders/addingUnits.ts';
import { decideAmendWork, decideDropWork, decideSaveWork } from './deciders/planningWork.ts';
import {
  decideChangeCallOut,
  decideDropCallOut,
  decideFinishCallOut,
  decideStartCallOut,
} from './deciders/callingOut.ts';
import { decideArrangeHive } from './deciders/arranging.ts';
import { decideCount } from './deciders/counting.ts';
import { decideFileFollowUp, decideMoveFollowUp } from './deciders/followingUp.ts';
import { decideSetKit } from './deciders/keepingKit.ts';
import { decideKeepSeasonPlan } from './deciders/keepingSeasonPlan.ts';
import { decideLook, decideCloseFollowUp } from './deciders/looking.ts';
import { decideMoveFrames } from './deciders/moving.ts';
import { decideAddPhoto, decideRemovePhoto } from './deciders/photos.ts';
import {
  decideAddHives,
  decideAddToStore,
  decideAddYard,
  decidePutQueen,
  decideRename,
  decideSettings,
} from './deciders/settingUp.ts';
import { decideTickStep } from './deciders/tickingSteps.ts';
import { decideChangeCells, decideEnterCells } from './deciders/happening/cells.ts';
import { decideCareForCombs, decideReadLoose } from './deciders/happening/combs.ts';
import { decideClearHive } from './deciders/happening/clearingHives.ts';
import { decideCorrectVisit } from './deciders/happening/correcting.ts';
import { decideEndColony } from './deciders/happening/endingColonies.ts';
import { decideGive, decideTakeOut } from './deciders/happening/giving.ts';
import { loseCellsWithCombs } from './deciders/happening/losingCells.ts';
import { decideMoveHive, decidePlanMove, decideSetEntrance } from './deciders/happening/movingHives.ts';
import { decideNoteHarvest } from './deciders/happening/harvesting.ts';
import { decideDropExpense, decideNoteExpense } from './deciders/happening/spending.ts';
import { decideNoteQueen } from './deciders/happening/queens.ts';
import { decideStackHives, decideUnstackHive } from './deciders/happening/stacks.ts';
import { decideRecordSwarm, decideSetOrigin } from './deciders/happening/swarms.ts';
import { decideDressHive, decideSetInserts } from './deciders/happening/wearing.ts';
import { decideNoteFlow } from './deciders/happening/flows.ts';
import { decideArrangeStands, decideEditYard } from './deciders/happening/yards.ts';

/**
 * Decides what a command does to an apiary, without doing it.
 *
 * Pure: the same apiary and command give the same changes on the server and on every device. Either all
 * of the changes are returned or a list of problems; nothing is half done. Frames are conserved: a command
 * that would hang two frames in one slot, or lose one, is a problem.
 */
export function decide(apiary: Apiary, command: Command): Result<readonly Change[]> {
  const draft = new Draft(apiary);
  decideInto(draft, command, []);
  if (draft.problems.length > 0) return failure(...draft.problems);
  loseCellsWithCombs(draft);
  const changes = draft.changes();
  const lost = conservationProblems(draft.apiary, changes);
  return lost.length > 0 ? failure(...lost) : success(changes);
}

type Path = readonly (string | number)[];

function decideInto(draft: Draft, command: Command, path: Path): void {
  switch (command.type) {
    case 'addYard':
      return decideAddYard(draft, command, path);
    case 'addHives':
      return decideAddHives(draft, command, path);
    case 'addToStore':
      return decideAddToStore(draft, command, path);
    case 'recordCount':
      return decideCount(draft, command, path);
    case 'addPhoto':
      return decideAddPhoto(draft, command, path);
    case 'removePhoto':
      return decideRemovePhoto(draft, command, path);
    case 'arrangeHive':
      return decideArrangeHive(draft, command, path);
    case 'putQueen':
      return decidePutQueen(draft, command, path);
    case 'renameColony':
      return decideRename(draft, command, path);
    case 'moveFrames':
      return decideMoveFrames(draft, command, path);
    case 'saveWork':
      return decideSaveWork(draft, command, path);
    case 'amendWork':
      return decideAmendWork(draft, command, path);
    case 'addUnit':
      return decideAddUnit(draft, command, path);
    case 'dropWork':
      return decideDropWork(draft, command, path);
    case 'tickStep':
      return decideTickStep(draft, command, path);
    case 'recordLook':
      return decideLook(draft, command, path);
    case 'closeFollowUp':
      return decideCloseFollowUp(draft, command, path);
    case 'fileFollowUp':
      return decideFileFollowUp(draft, command, path);
    case 'moveFollowUp':
      return decideMoveFollowUp(draft, command, path);
    case 'setKit':
      return decideSetKit(draft, command, path);
    case 'startCallOut':
      return decideStartCallOut(draft, command, path);
    case 'changeCallOut':
      return decideChangeCallOut(draft, command, path);
    case 'finishCallOut':
      return decideFinishCallOut(draft, command, path);
    case 'dropCallOut':
      return decideDropCallOut(draft, command, path);
    case 'changeSettings':
      return decideSettings(draft, command, path);
    case 'keepSeasonPlan':
      return decideKeepSeasonPlan(draft, command, path);
    case 'noteHarvest':
      return decideNoteHarvest(draft, command, path);
    case 'noteExpense':
      return decideNoteExpense(draft, command, path);
    case 'dropExpense':
      return decideDropExpense(draft, command, path);
    case 'editYard':
      return decideEditYard(draft, command, path);
    case 'noteFlow':
      return decideNoteFlow(draft, command, path);
    case 'arrangeStands':
      return decideArrangeStands(draft, command, path);
    case 'moveHive':
      return decideMoveHive(draft, command, path);
    case 'planMove':
      return decidePlanMove(draft, command, path);
    case 'setEntrance':
      return decideSetEntrance(draft, command, path);
    case 'stackHives':
      return decideStackHives(draft, command, path);
    case 'unstackHive':
      return decideUnstackHive(draft, command, path);
    case 'endColony':
      return decideEndColony(draft, command, path);
    case 'clearHive':
      return decideClearHive(draft, command, path);
    case 'recordSwarm':
      return decideRecordSwarm(draft, command, path);
    case 'setOrigin':
      return decideSetOrigin(draft, command, path);
    case 'noteQueen':
      return decideNoteQueen(draft, command, path);
    case 'enterCells':
      return decideEnterCells(draft, command, path);
    case 'changeCells':
      return decideChangeCells(draft, command, path);
    case 'careForCombs':
      return decideCareForCombs(draft, command, path);
    case 'readLoose':
      return decideReadLoose(draft, command, path);
    case 'dressHive':
      return decideDressHive(draft, command, path);
    case 'setInserts':
      return decideSetInserts(draft, command, path);
    case 'give':
      return decideGive(draft, command, path);
    case 'takeOut':
      return decideTakeOut(draft, command, path);
    case 'correctVisit':
      return decideCorrectVisit(draft, command, path);
    case 'batch':
      command.commands.forEach((c, i) => decideInto(draft, c, [...path, 'commands', i]));
      return;
  }
}
