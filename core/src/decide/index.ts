export { conservationProblems } from './conservation.ts';
export { decide } from './decide.ts';
export { carryOutWork } from './deciders/carryOutWork.ts';
export { Draft } from './deciders/draft.ts';
export { judgeLook } from './deciders/looking.ts';
export { chambersFor } from './deciders/settingUp.ts';
export { summarise } from './summarise.ts';
export { undoChanges } from './undo.ts';
