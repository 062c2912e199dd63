import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { inLanguage } from '../scripts/texts/languagePlugin.ts';

/** The texts of another language than that of the code: a folder laid out as `texts` is. */
const TEXTS_FOLDER = process.env['TEXTS_FOLDER'];
const language = TEXTS_FOLDER ? [inLanguage(TEXTS_FOLDER)] : [];

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [
    ...language,
    react(),
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      includeManifestIcons: false,
      manifest: {
        name: 'Incremen',
        short_name: 'Incremen',
        description: 'Counts, plans, works and follows up the increase of an apiary.',
        theme_color: '#143134',
        background_color: '#F4F5F1',
        display: 'standalone',
        start_url: '/',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
          { src: '/icon-maskable.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2,wasm}'],
        globIgnores: ['**/*-{cyrillic,cyrillic-ext,greek,greek-ext,vietnamese}-*.woff2'],
        maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
        // Reminders are shown by the worker, also while no page is open.
        importScripts: ['/push.js'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        cleanupOutdatedCaches: true,
        clientsClaim: true,
        runtimeCaching: [
          {
            // A photo never changes under its id.
            urlPattern: /\/api\/operations\/[^/]+\/photos\//,
            handler: 'CacheFirst',
            options: { cacheName: 'photos', expiration: { maxEntries: 300 } },
          },
        ],
      },
    }),
  ],
  worker: { format: 'es', plugins: () => language },
  optimizeDeps: {
    include: [
      'comlink',
      'papaparse',
      'lucide-react',
      'idb',
      'react-swipeable',
      'highs',
      '@dnd-kit/core',
      'echarts/core',
      'echarts/charts',
      'echarts/components',
      'echarts/renderers',
    ],
  },
  server: {
    host: '127.0.0.1',
    port: 4311,
    strictPort: true,
    // The host stays that of the page: the server compares the two.
    proxy: { '/api': { target: process.env['API_URL'] ?? 'http://127.0.0.1:4310', changeOrigin: false } },
  },
  build: {
    target: 'es2022',
    // Read by the check of the first load.
    manifest: true,
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
            // What every view needs, in one piece: cut up it is larger.
            {
              name: 'mirror',
              test: /(web[\\/]src[\\/](state|mirror|offline(?![\\/]bringAlong)|server|app)|node_modules[\\/](idb|@reduxjs|redux|immer|reselect|react-redux|use-sync-external-store))[\\/]/,
              priority: 10,
            },
            { name: 'echarts', test: /node_modules[\\/](echarts|zrender)[\\/]/, priority: 20 },
          ],
        },
      },
    },
  },
});
