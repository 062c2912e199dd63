import { apiBench } from './apiBench.ts';
import { backupBench } from './backupBench.ts';
import { browserBench } from './browserBench.ts';
import { clockBench } from './clockBench.ts';
import { callOutBench } from './callOutBench.ts';
import { planBench } from './planBench.ts';
import { datingBench, queenBench } from './queenBench.ts';
import { scaleBench } from './scaleBench.ts';
import { seasonBench } from './seasonBench.ts';
import { benchYardPlans } from './yardPlanBench.ts';

// npm run bench: what is claimed of speed, measured on this machine. Numbers of one run only compare with
// numbers of the same run. What `npm test` checks on a sample, `npm run soak` checks in full: see CONTRIBUTING.md.
clockBench();
planBench();
callOutBench();
queenBench();
datingBench();
await benchYardPlans();
await seasonBench();
await apiBench();
await backupBench();
await scaleBench();
await browserBench();
