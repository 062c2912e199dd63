import { Migration20260515Foundations } from './20260515-foundations.ts';
import { Migration20261125Counting } from './20261125-counting.ts';
import { Migration20261126YardPlans } from './20261126-yard-plans.ts';
import { Migration20261127Work } from './20261127-work.ts';
import { Migration20261128CallOuts } from './20261128-call-outs.ts';
import { Migration20261129Measurements } from './20261129-measurements.ts';
import { Migration20261130WatchTests } from './20261130-watch-tests.ts';
import { Migration20261201OneKindOfWork } from './20261201-one-kind-of-work.ts';
import { Migration20261202Happenings } from './20261202-happenings.ts';
import { Migration20261203PlannedMoves } from './20261203-planned-moves.ts';
import { Migration20261204Seasons } from './20261204-seasons.ts';
import { Migration20261205UnexpectedCounts } from './20261205-unexpected-counts.ts';
import { Migration20261206BroodGiven } from './20261206-brood-given.ts';
import { Migration20261207Access } from './20261207-access.ts';
import { Migration20261208Pictures } from './20261208-pictures.ts';
import { Migration20261209Habits } from './20261209-habits.ts';
import { Migration20261210Reminders } from './20261210-reminders.ts';
import { Migration20261211SeasonPlan } from './20261211-season-plan.ts';
import { Migration20261212Expenses } from './20261212-expenses.ts';

/** Every migration, oldest first. Landed migrations are never edited; a change is a new one. */
export const migrations = [
  { name: '20260515-foundations', class: Migration20260515Foundations },
  { name: '20261125-counting', class: Migration20261125Counting },
  { name: '20261126-yard-plans', class: Migration20261126YardPlans },
  { name: '20261127-work', class: Migration20261127Work },
  { name: '20261128-call-outs', class: Migration20261128CallOuts },
  { name: '20261129-measurements', class: Migration20261129Measurements },
  { name: '20261130-watch-tests', class: Migration20261130WatchTests },
  { name: '20261201-one-kind-of-work', class: Migration20261201OneKindOfWork },
  { name: '20261202-happenings', class: Migration20261202Happenings },
  { name: '20261203-planned-moves', class: Migration20261203PlannedMoves },
  { name: '20261204-seasons', class: Migration20261204Seasons },
  { name: '20261205-unexpected-counts', class: Migration20261205UnexpectedCounts },
  { name: '20261206-brood-given', class: Migration20261206BroodGiven },
  { name: '20261207-access', class: Migration20261207Access },
  { name: '20261208-pictures', class: Migration20261208Pictures },
  { name: '20261209-habits', class: Migration20261209Habits },
  { name: '20261210-reminders', class: Migration20261210Reminders },
  { name: '20261211-season-plan', class: Migration20261211SeasonPlan },
  { name: '20261212-expenses', class: Migration20261212Expenses },
];
