import { serve } from './serve.ts';

// The API for `npm run dev`; the web client comes from Vite.
await serve({ data: 'demo', port: Number(process.env['PORT'] ?? 4310), strictPort: true, build: false });
