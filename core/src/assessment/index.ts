export { agendaOf, type AgendaNeed } from './agenda.ts';
export { assess, type Assessment, type Need, type Opening } from './assess.ts';
export { type DayOrder, orderOfDay } from './dayOrder.ts';
export { hivesToday, type HiveToday } from './hivesToday.ts';
