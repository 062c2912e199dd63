export { asFound } from './asFound.ts';
export { combLines, combsToReplace, shoppingList } from './combStore.ts';
export { goneUnits } from './goneUnits.ts';
export { type HiveTag, tagsOfCallOut, tagsOfWork } from './hiveTags.ts';
export { againstStore, promisedKit, type StoreLine, storeLines, usedUp } from './kitStore.ts';
export { stopBefore } from './stopBefore.ts';
export { mayTakeHiveNext, takeHiveNext } from './takeHiveNext.ts';
export { workState, type WorkState } from './workState.ts';
export { openSplitOf } from './openSplitOf.ts';
