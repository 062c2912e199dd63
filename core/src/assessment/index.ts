export { assess, type Assessment, type Need, type Opening } from './assess.ts';
export { hivesToday, type HiveToday } from './hivesToday.ts';
