export { byName } from './byName.ts';
export { capital, lowerFirst } from './capital.ts';
export { counted } from './counted.ts';
export { typedDay, type NumberOrder } from './typedDay.ts';
export {
  addDays,
  type Day,
  dayInWords,
  daysBetween,
  daySchema,
  monthNamesIn,
  monthOf,
  yearOf,
} from './day.ts';
export { listInWords } from './listInWords.ts';
export { failure, type Problem, type Result, success } from './problem.ts';
export { seededRandom } from './seededRandom.ts';
export { onDay, shiftWindow, type Window, windowAfter, windowSchema } from './window.ts';
export { isProblemCode, statusOfProblems, type ProblemCode } from './problemCode.ts';
export { byteAt, cellAt, floatAt, intAt, numberAt } from './numberAt.ts';
export {
  distanceInWords,
  KG_PER_LB,
  massInWords,
  smallMassInWords,
  temperatureInWords,
  type Units,
  volumeInWords,
} from './measures.ts';
export { inRegion, type Region, REGIONS } from './regionalWords.ts';
export { WEEK_STARTS, weekOf, type WeekStart } from './weeks.ts';
export { moneyInWords } from './money.ts';
