import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** What every page needs is one file, what many pages share a second: not forty small ones to ask for one after another. */
const CHUNKS = [
  { name: 'first', tags: ['$initial' as const], priority: 1 },
  { name: 'shared', minShareCount: 4, test: /\/(core|web)\/src\// },
];

/** The app opens without a connection, at any address; what the server answers the app keeps by itself. */
const OWN_WORKER = VitePWA({
  registerType: 'prompt',
  injectRegister: false,
  manifest: {
    name: 'Winter Jar',
    short_name: 'Winter Jar',
    description: 'Oil care for vacuum pumps',
    start_url: '/',
    display: 'standalone',
    background_color: '#f3f6f4',
    theme_color: '#f3f6f4',
    icons: [
      { src: '/jar-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/jar-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/jar-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,svg,woff2}'],
    maximumFileSizeToCacheInBytes: 4_000_000,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//],
    cleanupOutdatedCaches: true,
    runtimeCaching: [
      {
        // A photograph never changes under its address.
        urlPattern: /\/api\/photos\/[0-9a-f]{64}/,
        handler: 'CacheFirst',
        options: { cacheName: 'photographs', expiration: { maxEntries: 400, maxAgeSeconds: 90 * 86_400 } },
      },
    ],
  },
});

export default defineConfig({
  plugins: [react(), tailwindcss(), OWN_WORKER],
  resolve: { conditions: ['winter-jar-source', 'module', 'browser', 'development|production'] },
  server: { proxy: { '/api': 'http://127.0.0.1:4870' } },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 600,
    rolldownOptions: { output: { codeSplitting: { groups: CHUNKS } } },
  },
});
