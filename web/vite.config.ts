import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [react()],
  worker: { format: 'es' },
  optimizeDeps: {
    include: ['comlink', 'papaparse', 'lucide-react'],
  },
  server: {
    host: '127.0.0.1',
    port: 4311,
    strictPort: true,
    proxy: { '/api': process.env['API_URL'] ?? 'http://127.0.0.1:4310' },
  },
  build: {
    target: 'es2022',
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            {
              name: 'react',
              test: /node_modules[\\/](react|react-dom|scheduler|react-router)[\\/]/,
              priority: 30,
            },
            {
              name: 'chakra',
              test: /node_modules[\\/](@chakra-ui|@ark-ui|@zag-js|@emotion|@floating-ui|@internationalized|stylis)[\\/]/,
              priority: 20,
            },
          ],
        },
      },
    },
  },
});
