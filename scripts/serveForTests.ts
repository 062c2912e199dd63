import { serve } from './serve.ts';

// A server for browser tests and pictures: a fixed port, the web client built before, and throwaway data
// unless a test gives it a folder (INCREMEN_DATA) to find its data in again.
await serve({
  data: process.env['INCREMEN_DATA'] ? 'demo' : 'throwaway',
  port: Number(process.env['PORT'] ?? 4320),
  strictPort: true,
  build: false,
});
