// What `npm run mutants` does with a folder: its code is changed a little, in many places, and its tests must notice.
const folder = process.env.MUTANTS_OF ?? 'core/src/stats';

export default {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutants.config.ts', related: false },
  mutate: [`${folder}/**/*.ts`, `!${folder}/**/*.test.ts`, `!${folder}/**/index.ts`],
  // What only names things cannot be tested.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignoreStatic: true,
  coverageAnalysis: 'perTest',
  reporters: ['json'],
  jsonReporter: { fileName: `test-results/mutants/${folder.replaceAll('/', '.')}.json` },
  tempDirName: '.mutants',
  concurrency: 2,
  timeoutMS: 20_000,
  ignorePatterns: ['test-results', 'docs', 'web/dist', 'web/public', 'e2e/.sounds', 'e2e/.states'],
};
