import { defineConfig } from 'vitest/config';

/** Whole takes are rendered, heard and judged here; a busy machine needs its time. */
const testTimeout = 60_000;

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', root: 'core', testTimeout, include: ['src/**/*.test.ts'] } },
      { test: { name: 'web', root: 'web', testTimeout, include: ['src/**/*.test.ts'] } },
      { test: { name: 'cli', root: 'cli', testTimeout, include: ['src/**/*.test.ts'] } },
      { test: { name: 'scripts', root: 'scripts', testTimeout, include: ['src/**/*.test.ts'] } },
      { test: { name: 'server', root: 'server', testTimeout, include: ['src/**/*.test.ts'] } },
    ],
  },
});
