import { join } from 'node:path';
import { defineConfig } from 'vitest/config';

// The tests of one folder alone, for `npm run mutants`: a change in a folder is its own tests' to notice; of the database also those of
// the archive, which is how all of it is written and read back.
const [workspace, ...rest] = (process.env.MUTANTS_OF ?? 'core/src/stats').split('/');
const folder = rest.join('/');
// Whole visits, weeks and sounds take seconds a change: what is noticed without them is noticed in truth too.
const SLOW = [
  '**/quickVisit.test.ts',
  '**/sixWeeks.test.ts',
  '**/ninetyDays.test.ts',
  '**/highTries.test.ts',
];
const folders = folder === 'src/storage' ? [folder, 'src/archive'] : [folder];

export default defineConfig({
  test: {
    root: workspace,
    // Changed code, and code that counts what reaches it, is slow.
    testTimeout: 60_000,
    setupFiles: ['vitest.mutants.setup.ts', ...(workspace === 'web' ? ['vitest.web.ts'] : [])].map((file) =>
      join(import.meta.dirname, file),
    ),
    unstubGlobals: true,
    exclude: SLOW,
    include: folders.map((each) => `${each}/**/*.test.ts`),
  },
});
