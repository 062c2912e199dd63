export { DEMO_DAY, demoScenario } from './scenario.ts';
export { seededIds } from './seededIds.ts';
