import { serve } from './serve.ts';

// A server for browser tests and pictures: throwaway data, a fixed port, the web client built before.
await serve({ data: 'throwaway', port: Number(process.env['PORT'] ?? 4320), strictPort: true, build: false });
