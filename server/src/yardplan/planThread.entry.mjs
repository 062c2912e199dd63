// Worker threads of Node.js 20 do not inherit tsx's loader: register it, then load the TypeScript.
import { register } from 'tsx/esm/api';

register();
await import('./planThread.ts');
