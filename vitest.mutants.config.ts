import { join } from 'node:path';
import { defineConfig } from 'vitest/config';

// The tests of one folder alone, for `npm run mutants`: a change in a folder is its own tests' to notice; of the database also those of
// the archive, which is how all of it is written and read back.
const [workspace, ...rest] = (process.env.MUTANTS_OF ?? 'core/src/stats').split('/');
const folder = rest.join('/');
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
    include: folders.map((each) => `${each}/**/*.test.ts`),
  },
});
