// What `npm run mutants` does with a folder: its code is changed a little, in many places, and its tests must notice.
const folder = process.env.MUTANTS_OF ?? 'core/src/stats';
const only = process.env.MUTANTS_IN;
/** Of the visit, what is pure: the machine. What carries its effects out takes seconds a try, and is held by quick visits and journeys. */
const ofFolder =
  folder === 'web/src/session'
    ? [
        'beginning',
        'round',
        'visitInput',
        'visitMachine',
        'visitRound',
        'visitStep',
        'visitTake',
        'visitView',
      ]
    : ['**/*'];
const files = only === undefined ? ofFolder : [only];

export default {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutants.config.ts', related: false },
  mutate: [
    ...files.map((file) => `${folder}/${file}.ts`),
    `!${folder}/**/*.test.ts`,
    `!${folder}/**/index.ts`,
  ],
  // What only names things cannot be tested.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignoreStatic: true,
  coverageAnalysis: 'perTest',
  reporters: ['json'],
  jsonReporter: { fileName: `test-results/mutants/${folder.replaceAll('/', '.')}.json` },
  tempDirName: '.mutants',
  concurrency: 2,
  timeoutMS: 8_000,
  ignorePatterns: ['test-results', 'docs', 'web/dist', 'web/public', 'e2e/.sounds', 'e2e/.states'],
};
