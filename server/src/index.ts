export type { Reach } from './access/identify.ts';
export { createApp } from './app.ts';
export { writeBackup } from './backup/writeBackup.ts';
export { bringUpToDate, DatabaseNotReady } from './db/bringUpToDate.ts';
export { openOrm } from './db/orm.ts';
export { findPgBin, startPostgres, type PgServer } from './db/privatePostgres.ts';
export { hasOwner } from './access/AccessDesk.ts';
export { LanDoor } from './lan/LanDoor.ts';
export { OperationStore } from './operations/OperationStore.ts';
