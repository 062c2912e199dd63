export { type FeedAim, type FeedLine, feedRound } from './feedRound.ts';
export { MEASURES, type MeasureSystem, WATER_KG_PER_LITRE } from './measures.ts';
export { type Syrup, SYRUP_RATIOS, syrupOfLitres, syrupOfSugar } from './syrup.ts';
