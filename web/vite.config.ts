import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { compressed } from './compressed.js';

/** One script for the first page, one for what screens share, and one for each screen: few requests, and each of them whole. */
const groups = [
  { name: 'first', tags: ['$initial' as const], priority: 2 },
  { name: 'shared', minShareCount: 2, priority: 1 },
];

const MB = 1_000_000;
/** More photos than a day has. */
const PHOTOS = 2_000;

/** The whole program is fetched to the device with the first page; a new version waits there until somebody takes it. */
const installable = VitePWA({
  registerType: 'prompt',
  injectRegister: false,
  manifest: {
    name: 'Kobran',
    short_name: 'Kobran',
    description: 'Coaxial runs: planned, made, proved, sealed, bonded and handed over',
    lang: 'en',
    start_url: '/',
    display: 'standalone',
    background_color: '#f4f6f6',
    theme_color: '#f4f6f6',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm}'],
    maximumFileSizeToCacheInBytes: 10 * MB,
    // The first page is kept with its scripts as soon as it stands, not only the second.
    clientsClaim: true,
    dontCacheBustURLsMatching: /^assets\//,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//],
    runtimeCaching: [
      {
        // A picture never changes under its id.
        urlPattern: ({ url }) => /^\/api\/jobs\/[^/]+\/pictures\//.test(url.pathname),
        handler: 'CacheFirst',
        options: { cacheName: 'pictures', expiration: { maxEntries: PHOTOS } },
      },
    ],
  },
});

/** The shape of answers: a device does not believe what another version of the contract or of the core kept. */
const answerForm = createHash('sha256')
  .update(readFileSync(new URL('../core/dist/index.js', import.meta.url)))
  .update(readFileSync(new URL('../contract/dist/responses.d.ts', import.meta.url)))
  .update(readFileSync(new URL('../contract/dist/crewResponses.d.ts', import.meta.url)))
  .digest('hex')
  .slice(0, 16);

export default defineConfig({
  define: { __ANSWER_FORM__: JSON.stringify(answerForm) },
  plugins: [react(), tailwindcss(), installable, compressed()],
  server: { proxy: { '/api': 'http://127.0.0.1:4780' } },
  build: {
    target: 'es2023',
    chunkSizeWarningLimit: 900,
    rolldownOptions: { output: { codeSplitting: { groups } } },
  },
});
