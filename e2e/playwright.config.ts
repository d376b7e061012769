import { defineConfig } from '@playwright/test';

const PORT = 4271;

export default defineConfig({
  testDir: 'tests',
  outputDir: '../test-results/browser',
  globalSetup: './makeSounds.ts',
  // Sound runs in real time: two journeys at once would disturb each other's clocks.
  workers: 1,
  preserveOutput: 'failures-only',
  // A busy machine makes Chromium's fake microphone stumble: one more try tells that from a fault.
  retries: 1,
  timeout: 90_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: '../test-results/browser.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
  },
  webServer: {
    command: 'node --import tsx ../server/src/main.ts',
    env: { PORT: String(PORT) },
    url: `http://127.0.0.1:${PORT}/stand`,
    reuseExistingServer: false,
  },
});
