import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { type Express, type Response } from 'express';

export interface ServerConfig {
  /** Folder of the built app. */
  distDir: string;
  port: number;
  demo: boolean;
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

function setStrictHeaders(response: Response, nonce: string): void {
  response.set({
    'Content-Security-Policy': policy(nonce),
    'Permissions-Policy': 'microphone=(self), screen-wake-lock=(self), camera=(), geolocation=()',
    'Referrer-Policy': 'no-referrer',
    'X-Content-Type-Options': 'nosniff',
    'Cross-Origin-Opener-Policy': 'same-origin',
    'Cross-Origin-Resource-Policy': 'same-origin',
  });
}

/**
 * Serves the built app and nothing else. The browser's data belong to one origin, so every other name of this
 * machine is sent to 127.0.0.1.
 */
export function createApp({ distDir, port, demo }: ServerConfig): Express {
  const page = readFileSync(join(distDir, 'index.html'), 'utf8').replace('__MODE__', demo ? 'demo' : 'own');
  const app = express();
  app.disable('x-powered-by');
  app.use((request, response, next) => {
    if (request.hostname !== '127.0.0.1') {
      response.redirect(308, `http://127.0.0.1:${port}${request.originalUrl}`);
      return;
    }
    setStrictHeaders(response, '');
    next();
  });
  app.use(
    express.static(distDir, {
      index: false,
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
    const nonce = randomBytes(16).toString('base64');
    setStrictHeaders(response, nonce);
    response.set('Cache-Control', 'no-store').type('html').send(page.replaceAll('__CSP_NONCE__', nonce));
  });
  return app;
}
