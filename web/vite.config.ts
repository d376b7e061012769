import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { sharedModule } from './sharedModule.ts';

/** What packs sound: large, and wanted by page and workers. */
const FLAC = 'libflacjs/dist/libflac.js';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    react(),
    sharedModule(FLAC),
    VitePWA({
      // Whether a new version is taken is the player's to say; never while a take is played.
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Inner Hum',
        short_name: 'Inner Hum',
        description: 'Even tone on the saxophone, note by note.',
        start_url: '/today',
        scope: '/',
        id: '/',
        display: 'standalone',
        background_color: '#F7F3EA',
        theme_color: '#F7F3EA',
        // Files that the system opens with the app, or shares with it, go the way of those that are dropped.
        file_handlers: [
          {
            action: '/',
            accept: {
              'application/json': ['.json'],
              'application/vnd.recordare.musicxml+xml': ['.musicxml', '.xml'],
              'application/vnd.recordare.musicxml': ['.mxl'],
              'audio/midi': ['.mid', '.midi'],
              'audio/*': ['.wav', '.flac', '.mp3', '.ogg', '.opus', '.m4a'],
              'application/zip': ['.zip'],
            },
          },
        ],
        share_target: {
          action: '/open',
          method: 'POST',
          enctype: 'multipart/form-data',
          params: {
            files: [
              {
                name: 'files',
                accept: [
                  'audio/*',
                  'application/json',
                  'application/zip',
                  '.musicxml',
                  '.mxl',
                  '.mid',
                  '.zip',
                ],
              },
            ],
          },
        },
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        importScripts: ['/share-target.js'],
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,webmanifest}'],
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallback: '/',
        cleanupOutdatedCaches: true,
        // The page is kept as the server gives it, with its policy and the nonce that belongs to it.
        manifestTransforms: [
          (entries) => ({
            manifest: entries.map((entry) => (entry.url === 'index.html' ? { ...entry, url: '/' } : entry)),
            warnings: [],
          }),
        ],
      },
    }),
  ],
  worker: { format: 'es', plugins: () => [sharedModule(FLAC, true)] },
  // The server puts a fresh nonce here at every request.
  html: { cspNonce: '__CSP_NONCE__' },
  build: { target: 'es2023', assetsInlineLimit: 0, modulePreload: { polyfill: false } },
});
