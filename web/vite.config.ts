import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compressed } from './compressed.js';

/** One script for the first page, one for what screens share, and one for each screen: few requests, and each of them whole. */
const groups = [
  { name: 'first', tags: ['$initial' as const], priority: 2 },
  { name: 'shared', minShareCount: 2, priority: 1 },
];

export default defineConfig({
  plugins: [react(), tailwindcss(), compressed()],
  server: { proxy: { '/api': 'http://127.0.0.1:4780' } },
  build: {
    target: 'es2023',
    chunkSizeWarningLimit: 900,
    rolldownOptions: { output: { codeSplitting: { groups } } },
  },
});
