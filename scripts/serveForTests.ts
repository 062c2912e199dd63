import { serve } from './serve.ts';

// A server for browser tests and pictures: a fixed port, the web client built before, and throwaway data
// unless a test gives it a folder (INCREMEN_DATA) to find its data in again; INCREMEN_OWN begins empty, as a new user does.
const kept = process.env['INCREMEN_OWN'] ? 'own' : 'demo';
await serve({
  data: process.env['INCREMEN_DATA'] ? kept : 'throwaway',
  port: Number(process.env['PORT'] ?? 4320),
  strictPort: true,
  build: false,
});
