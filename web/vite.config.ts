import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  worker: { format: 'es' },
  // The server puts a fresh nonce here at every request.
  html: { cspNonce: '__CSP_NONCE__' },
  build: { target: 'es2023', assetsInlineLimit: 0, modulePreload: { polyfill: false } },
});
