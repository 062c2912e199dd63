export { createApp } from './app.ts';
export { writeBackup } from './backup/writeBackup.ts';
export { bringUpToDate, DatabaseNotReady } from './db/bringUpToDate.ts';
export { openOrm } from './db/orm.ts';
export { findPgBin, startPostgres, type PgServer } from './db/privatePostgres.ts';
export { OperationStore } from './operations/OperationStore.ts';
