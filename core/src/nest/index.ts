export { fillsUp } from './fillsUp.ts';
export { hangNest, ORDER_SCHOOLS, type OrderSchool, type ToHang } from './hangNest.ts';
export { joinStoreys } from './joinStoreys.ts';
export { blankComb, combOf, type CombRole, hasFood, type NestComb, roleOf } from './nestComb.ts';
export { type HungComb, type NestFault, nestFaults } from './nestFaults.ts';
