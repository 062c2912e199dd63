export {
  commandEnvelope,
  commandResult,
  undoRequest,
  type CommandEnvelope,
  type CommandResult,
} from './commands.ts';
export {
  operationSummary,
  type OperationSummary,
  type News,
  type OlderVisits,
  type Readings,
  type Snapshot,
} from './operations.ts';
export { problemDocument, pointerOf, type ProblemDocument } from './problem.ts';
export { accessAnswer, type AccessAnswer } from './access.ts';
export { journalPage, type JournalPage } from './journal.ts';
export { BACKUP_KINDS, type BackupKind, type KeptBackup, type RoomAnswer } from './room.ts';
export { API_VERSION, VERSION_HEADER } from './version.ts';
export type { WeatherReport } from './weather.ts';
export { API_PATHS } from './paths.ts';
export { yardPlanQuestion, type YardPlanAnswer, type YardPlanQuestion } from './yardPlan.ts';
