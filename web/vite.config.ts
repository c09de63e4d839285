import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** What every page needs is one file, what many pages share a second: not forty small ones to ask for one after another. */
const CHUNKS = [
  { name: 'first', tags: ['$initial' as const], priority: 1 },
  { name: 'shared', minShareCount: 4, test: /\/(core|web)\/src\// },
];

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: { conditions: ['winter-jar-source', 'module', 'browser', 'development|production'] },
  server: { proxy: { '/api': 'http://127.0.0.1:4870' } },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 600,
    rolldownOptions: { output: { codeSplitting: { groups: CHUNKS } } },
  },
});
