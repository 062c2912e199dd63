import { backupBench } from './backupBench.ts';
await backupBench();
