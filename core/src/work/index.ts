export { asFound } from './asFound.ts';
export { combLines, shoppingList } from './combStore.ts';
export { goneUnits } from './goneUnits.ts';
export { type HiveTag, tagsOfCallOut, tagsOfPlan, tagsOfYardPlan } from './hiveTags.ts';
export { hivesToday, type HiveToday } from './hivesToday.ts';
export { againstStore, promisedKit, type StoreLine, storeLines, usedUp } from './kitStore.ts';
export { stopBefore } from './stopBefore.ts';
export { mayTakeNext, takeNext } from './takeNext.ts';
export { workState, type WorkState, type WorkStep } from './workState.ts';
