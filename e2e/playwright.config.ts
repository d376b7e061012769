import { defineConfig } from '@playwright/test';

const PORT = 4271;
/** The app with its demo data. */
export const DEMO_PORT = 4273;

const serve = (port: number, ...more: string[]) => ({
  command: ['node --import tsx ../server/src/main.ts', ...more].join(' '),
  env: { PORT: String(port) },
  url: `http://127.0.0.1:${port}/stand`,
  reuseExistingServer: false,
});

export default defineConfig({
  testDir: 'tests',
  outputDir: '../test-results/browser',
  globalSetup: './makeSounds.ts',
  // Sound runs in real time: two journeys at once would disturb each other's clocks.
  workers: 1,
  preserveOutput: 'failures-only',
  // A busy machine makes Chromium's fake microphone stumble: more tries tell that from a fault.
  retries: 2,
  timeout: 90_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: '../test-results/browser.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // What keeps the app for playing without a network fetches it whole: only the journey that needs it allows that.
    serviceWorkers: 'block',
  },
  webServer: [serve(PORT), serve(DEMO_PORT, '--demo')],
});
