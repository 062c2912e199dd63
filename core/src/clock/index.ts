export { CombSide } from './combSide.ts';
export { ColonyModel, type DayConditions, type ModelRules } from './colonyModel.ts';
export { MEAN_DAILY_LOSS } from './adults.ts';
export { STORES_PER_KG_SUGAR } from './storesOfFeed.ts';
