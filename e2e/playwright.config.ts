import { defineConfig } from '@playwright/test';
import { chromium } from './chromium.ts';
import { STATES, type JourneyOptions } from './states.ts';

const PORT = 4271;
/** The app with its demo data. */
export const DEMO_PORT = 4273;

const serve = (port: number, ...more: string[]) => ({
  command: ['node --import tsx ../server/src/main.ts', ...more].join(' '),
  env: { PORT: String(port) },
  url: `http://127.0.0.1:${port}/stand`,
  reuseExistingServer: false,
});

export default defineConfig<JourneyOptions>({
  outputDir: '../test-results/browser',
  globalSetup: './globalSetup.ts',
  workers: 3,
  preserveOutput: 'failures-only',
  // A journey that needs another try is mended, or its fault in the app is.
  retries: 0,
  // A loaded machine needs its time, and is no fault.
  timeout: 180_000,
  expect: { timeout: 40_000 },
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.BROWSER_REPORT ?? '../test-results/browser.json' }],
  ],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: chromium(),
    // What keeps the app for playing without a network fetches it whole: only the journey that needs it allows that.
    serviceWorkers: 'block',
  },
  projects: [
    // On the quick desk, beside each other.
    {
      name: 'rooms',
      testDir: 'tests/rooms',
      fullyParallel: true,
      workers: 2,
      use: { storageState: STATES.quick, hasOwnBrowser: false },
    },
    { name: 'sounds', testDir: 'tests', testMatch: 'makeSounds.setup.ts' },
    // Real clocks: these mostly wait.
    {
      name: 'sound',
      testDir: 'tests/sound',
      dependencies: ['sounds'],
      fullyParallel: true,
      use: { storageState: STATES.standIn, hears: null },
    },
  ],
  webServer: [serve(PORT), serve(DEMO_PORT, '--demo')],
});
