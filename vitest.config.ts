import { join } from 'node:path';
import { defineConfig } from 'vitest/config';

/** Whole takes are rendered, heard and judged here; a busy machine needs its time. */
const testTimeout = 180_000;
const setupFiles = (name: string) =>
  ['vitest.seed.ts', ...(name === 'web' ? ['vitest.web.ts'] : [])].map((file) =>
    join(import.meta.dirname, file),
  );

const project = (name: string) => ({
  test: {
    name,
    root: name,
    testTimeout,
    setupFiles: setupFiles(name),
    include: ['src/**/*.test.ts'],
    // What a test changes it opens anew (a database) or is put back: the modules are read once for all tests of a project, not for
    // each file of them.
    isolate: false,
    unstubGlobals: true,
  },
});

export default defineConfig({
  test: {
    pool: 'threads',
    maxWorkers: 2,
    projects: ['core', 'web', 'cli', 'scripts', 'server'].map(project),
  },
});
