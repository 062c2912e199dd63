import { rmSync } from 'node:fs';
import { dataFolder, runningOn } from './dataFolder.ts';
import { serve } from './serve.ts';

// npm run demo [-- --fresh]: the demonstration; --fresh throws away what was changed in it.
if (process.argv.includes('--fresh') && !runningOn(dataFolder('demo'))) {
  rmSync(dataFolder('demo'), { recursive: true, force: true });
}
await serve({ data: 'demo', port: Number(process.env['PORT'] ?? 4300), build: true });
