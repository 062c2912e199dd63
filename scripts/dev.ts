import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './dataFolder.ts';

// npm run dev: the API restarts when its files change, the web client is replaced as it is edited.
const bin = (name: string) => join(ROOT, 'node_modules/.bin', name);
const env = { ...process.env, PORT: '4310', API_URL: 'http://127.0.0.1:4310' };
const children = [
  spawn(bin('tsx'), ['watch', '--clear-screen=false', 'scripts/serveForDev.ts'], {
    cwd: ROOT,
    env,
    stdio: 'inherit',
  }),
  spawn(bin('vite'), [], { cwd: join(ROOT, 'web'), env, stdio: 'inherit' }),
];
let stopping = false;
const stop = () => {
  if (stopping) return;
  stopping = true;
  for (const child of children) child.kill('SIGTERM');
};
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, stop);
for (const child of children) child.on('exit', stop);
