import { join } from 'node:path';
import { defineConfig } from 'vitest/config';

/** Whole takes are rendered, heard and judged here; a busy machine needs its time. */
const testTimeout = 180_000;
const setupFiles = [join(import.meta.dirname, 'vitest.seed.ts')];

const project = (name: string) => ({
  test: {
    name,
    root: name,
    testTimeout,
    setupFiles,
    include: ['src/**/*.test.ts'],
    // The core keeps nothing between calls: its modules are read once for all of its tests.
    isolate: name !== 'core',
  },
});

export default defineConfig({
  test: {
    pool: 'threads',
    maxWorkers: 2,
    projects: ['core', 'web', 'cli', 'scripts', 'server'].map(project),
  },
});
