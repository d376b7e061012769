import { join } from 'node:path';
import { defineConfig } from 'vitest/config';

// The tests of one folder alone, for `npm run mutants`: a change in a folder is its own tests' to notice.
const [workspace, ...rest] = (process.env.MUTANTS_OF ?? 'core/src/stats').split('/');

export default defineConfig({
  test: {
    root: workspace,
    // Changed code, and code that counts what reaches it, is slow.
    testTimeout: 60_000,
    setupFiles: [join(import.meta.dirname, 'vitest.mutants.setup.ts')],
    include: [`${rest.join('/')}/**/*.test.ts`],
  },
});
