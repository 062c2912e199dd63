import { serve } from './serve.ts';

// npm start: the user's own data, empty at first.
await serve({
  data: 'own',
  port: Number(process.env['PORT'] ?? 4301),
  build: true,
  lan: process.argv.includes('--lan'),
});
