import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import express, { type ErrorRequestHandler, type Express, type Response } from 'express';
import helmet from 'helmet';
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

/** What a request did wrong, in a word: no page of this program's insides, on no screen. */
const tellPlainly: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const status = (error as { status?: unknown } | null)?.status;
  const isTheirs = typeof status === 'number' && status >= 400 && status < 500;
  response
    .status(isTheirs ? status : 500)
    .type('text')
    .send(isTheirs ? 'This address cannot be read.' : 'Something went wrong.');
};

const NONE = ["'none'"];
const OWN = ["'self'"];

/** Nothing foreign, no inline script; styles only with this response's nonce. */
const strictHeaders = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: NONE,
      scriptSrc: OWN,
      workerSrc: OWN,
      styleSrc: ["'self'", (_request, response) => `'nonce-${nonceOf(response as Response)}'`],
      fontSrc: OWN,
      imgSrc: ["'self'", 'data:', 'blob:'],
      mediaSrc: ["'self'", 'blob:'],
      connectSrc: OWN,
      manifestSrc: OWN,
      baseUri: NONE,
      formAction: NONE,
      frameAncestors: NONE,
    },
  },
  // A browser that once learned that an address of the house is secure would go on asking for it so.
  strictTransportSecurity: false,
});

/** The nonce of a response: made once. */
function nonceOf({ locals }: Response): string {
  const kept = locals as { nonce?: string };
  kept.nonce ??= randomBytes(16).toString('base64');
  return kept.nonce;
}

/** Names under which a machine knows itself. */
const OWN_NAMES = ['localhost', '[::1]', hostname()];

/**
 * Serves the built app and nothing else. The browser's data belong to one origin, so every other name of this machine is sent to
 * the first one; who was led here under a foreign name is told where the app is.
 */
export function createApp({ distDir, origins, demo, authority }: ServerConfig): Express {
  const readPage = () =>
    readFileSync(join(distDir, 'index.html'), 'utf8').replace('__MODE__', demo ? 'demo' : 'own');
  let page = readPage();
  const hosts = origins.map((origin) => new URL(origin).hostname);
  const app = express();
  app.disable('x-powered-by');
  app.use(strictHeaders);
  app.use((request, response, next) => {
    response.set('Permissions-Policy', PERMISSIONS);
    // There is no host in a request that is too old to have one.
    const host = (request.hostname as string | undefined) ?? '';
    if (hosts.includes(host)) next();
    else if (OWN_NAMES.includes(host))
      response.redirect(308, new URL(request.originalUrl.replace(/^\/+/, '/'), origins[0]).href);
    else response.status(421).type('text').send(`Inner Hum is not here. Open ${origins[0]}.`);
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
    response
      .set('Cache-Control', 'no-store')
      .type('html')
      .send(page.replaceAll('__CSP_NONCE__', nonceOf(response)));
  });
  app.use(tellPlainly);
  return app;
}
