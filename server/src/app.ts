import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type Response } from 'express';
import { CERTIFICATE_PATH } from './lanWords.ts';

export interface ServerConfig {
  /** Folder of the built app. */
  distDir: string;
  /** Where it may be reached; the first is where every other name is sent. */
  origins: readonly string[];
  demo: boolean;
  /** The authority that phones are offered; null where the app is not served to the house. */
  authority: string | null;
}

/** Nothing foreign, no inline script; styles only with this response's nonce. */
function policy(nonce: string): string {
  return [
    "default-src 'none'",
    "script-src 'self'",
    "worker-src 'self'",
    `style-src 'self' 'nonce-${nonce}'`,
    "font-src 'self'",
    "img-src 'self' data: blob:",
    "media-src 'self' blob:",
    "connect-src 'self'",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** Powers that browsers would give a page: the microphone, and the light that stays on. Nothing else. */
const PERMISSIONS = [
  'microphone=(self)',
  'screen-wake-lock=(self)',
  ...[
    'accelerometer',
    'camera',
    'display-capture',
    'fullscreen',
    'geolocation',
    'gyroscope',
    'hid',
    'magnetometer',
    'midi',
    'payment',
    'picture-in-picture',
    'publickey-credentials-get',
    'serial',
    'usb',
    'xr-spatial-tracking',
  ].map((name) => `${name}=()`),
].join(', ');

function setStrictHeaders(response: Response, nonce: string): void {
  response.set({
    'Content-Security-Policy': policy(nonce),
    'Permissions-Policy': PERMISSIONS,
    'Referrer-Policy': 'no-referrer',
    'X-Content-Type-Options': 'nosniff',
    'Cross-Origin-Opener-Policy': 'same-origin',
    'Cross-Origin-Resource-Policy': 'same-origin',
  });
}

/**
 * Serves the built app and nothing else. The browser's data belong to one origin, so every other name of this machine is sent to
 * the first one.
 */
export function createApp({ distDir, origins, demo, authority }: ServerConfig): Express {
  const readPage = () =>
    readFileSync(join(distDir, 'index.html'), 'utf8').replace('__MODE__', demo ? 'demo' : 'own');
  let page = readPage();
  const hosts = origins.map((origin) => new URL(origin).hostname);
  const app = express();
  app.disable('x-powered-by');
  app.use((request, response, next) => {
    if (!hosts.includes(request.hostname)) {
      response.redirect(308, new URL(request.originalUrl.replace(/^\/+/, '/'), origins[0]).href);
      return;
    }
    setStrictHeaders(response, '');
    next();
  });
  if (authority !== null)
    app.get(CERTIFICATE_PATH, (_request, response) => {
      response.type('application/x-x509-ca-cert').send(authority);
    });
  app.use(
    express.static(distDir, {
      index: false,
      dotfiles: 'ignore',
      setHeaders(response, path) {
        const hashed = path.includes(`${join(distDir, 'assets')}`);
        response.set('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    }),
  );
  app.get('/{*rest}', (request, response) => {
    if (/\.\w+$/.test(request.path)) {
      response.status(404).type('text').send('Not found.');
      return;
    }
    // The app may have been built anew since: the page names its newest files. While it is being built the old one stands.
    if (existsSync(join(distDir, 'index.html'))) page = readPage();
    const nonce = randomBytes(16).toString('base64');
    setStrictHeaders(response, nonce);
    response.set('Cache-Control', 'no-store').type('html').send(page.replaceAll('__CSP_NONCE__', nonce));
  });
  return app;
}
