import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/**
 * The house's one-way arrows. Each folder names what it must not import; everything below it is open.
 * Core: signal <- hearing <- tone <- judge <- plan; horn and exercise stand aside. Web: rooms above parts above core.
 */
const coreFolders = [
  'signal',
  'stats',
  'horn',
  'exercise',
  'figures',
  'hearing',
  'tone',
  'judge',
  'practice',
  'trial',
  'plan',
  'tendency',
  'simulated',
  'formats',
  'scores',
  'testing',
  'verdicts',
];
const coreMay = {
  signal: [],
  stats: ['signal'],
  horn: ['signal'],
  exercise: ['horn', 'signal'],
  // Of exercises it knows the skills alone.
  figures: ['exercise'],
  hearing: ['signal', 'stats'],
  tone: ['hearing', 'horn', 'stats', 'signal'],
  judge: ['tone', 'hearing', 'figures', 'exercise', 'horn', 'stats', 'signal'],
  practice: ['judge', 'figures', 'exercise', 'horn', 'stats', 'signal'],
  trial: ['practice', 'judge', 'figures', 'exercise', 'horn', 'stats', 'signal'],
  plan: ['practice', 'judge', 'tone', 'hearing', 'figures', 'exercise', 'horn', 'stats', 'signal'],
  tendency: ['judge', 'tone', 'hearing', 'exercise', 'horn', 'stats', 'signal'],
  // The simulated player must not know what it is used to test.
  simulated: ['exercise', 'horn', 'signal'],
  scores: ['exercise', 'horn', 'signal'],
  // For tests alone.
  testing: ['tendency', 'plan', 'practice', 'simulated', 'hearing', 'exercise', 'horn', 'signal'],
  verdicts: ['testing', 'judge', 'simulated', 'hearing', 'exercise', 'horn', 'signal'],
  formats: [
    'plan',
    'practice',
    'trial',
    'judge',
    'simulated',
    'hearing',
    'figures',
    'exercise',
    'horn',
    'signal',
  ],
};
const webFolders = [
  'app',
  'features',
  'session',
  'engraving',
  'listing',
  'ribbon',
  'notation',
  'ui',
  'storage',
  'archive',
  'audio',
  'workers',
  'words',
  'addresses',
  'files',
  'forms',
  'housekeeping',
  'today',
  'books',
];
const webMay = {
  words: [],
  notation: ['words'],
  ui: ['notation', 'words'],
  forms: ['notation', 'ui', 'words'],
  ribbon: [],
  engraving: ['ribbon', 'notation', 'ui', 'words'],
  listing: ['addresses', 'ribbon', 'notation', 'ui', 'storage', 'workers', 'words'],
  audio: [],
  storage: [],
  archive: ['storage'],
  workers: ['archive', 'storage'],
  addresses: ['storage'],
  files: ['books', 'notation', 'ui', 'storage', 'workers'],
  session: ['addresses', 'files', 'notation', 'ui', 'storage', 'audio', 'workers', 'words'],
  housekeeping: ['session', 'storage', 'workers'],
  today: ['addresses', 'storage', 'words'],
  books: ['storage', 'ui'],
  features: [
    'books',
    'addresses',
    'files',
    'forms',
    'housekeeping',
    'today',
    'session',
    'engraving',
    'listing',
    'ribbon',
    'notation',
    'ui',
    'storage',
    'audio',
    'workers',
    'words',
  ],
  app: webFolders,
};

/** What `core` gives away says what it is: shapes, units, errors, source. */
const exportsAreDescribed = {
  create: (context) => ({
    ExportNamedDeclaration(node) {
      const { declaration } = node;
      const isFunction =
        declaration?.type === 'FunctionDeclaration' ||
        (declaration?.type === 'VariableDeclaration' &&
          declaration.declarations.some(({ init }) => init?.type === 'ArrowFunctionExpression'));
      const before = context.sourceCode.getCommentsBefore(node).at(-1);
      if (isFunction && !(before?.type === 'Block' && before.value.startsWith('*')))
        context.report({
          node,
          message: 'An exported function of core is described: units, errors, source.',
        });
    },
  }),
};

const forbid = (files, folders, may, prefix) =>
  folders.map((folder) => {
    const closed = folders.filter((other) => other !== folder && !may[folder].includes(other));
    return {
      files: [`${files}/${folder}/**/*.{ts,tsx}`],
      ignores: ['**/*.test.ts'],
      rules: {
        'no-restricted-imports': [
          'error',
          {
            patterns: [
              ...closed.map((other) => ({
                group: [`${prefix}${other}/**`, `../${prefix}${other}/**`],
                message: `${folder} must not import ${other}: see ARCHITECTURE.md.`,
              })),
              ...(folder === 'features'
                ? [
                    {
                      regex: '^\\.\\./[a-z]',
                      message: 'Rooms do not import rooms: share through a folder above them.',
                    },
                  ]
                : []),
              ...(folder === 'storage'
                ? []
                : [{ group: ['dexie'], message: 'Only storage touches Dexie.', allowTypeImports: true }]),
            ],
          },
        ],
      },
    };
  });

export default tseslint.config(
  {
    ignores: [
      '**/.mutants/',
      '**/dist/',
      '**/dist-types*/',
      '**/node_modules/',
      'test-results/',
      'playwright-report/',
    ],
  },
  ...tseslint.configs.strict,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  ...forbid('core/src', coreFolders, coreMay, '../'),
  ...forbid('web/src', webFolders, webMay, '../'),
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    plugins: { house: { rules: { 'exports-are-described': exportsAreDescribed } } },
    rules: {
      'house/exports-are-described': 'error',
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'setTimeout',
        'performance',
      ],
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['web/src/audio/**'],
    rules: {
      'no-restricted-globals': ['error', 'AudioContext', 'AudioWorkletNode'],
    },
  },
  {
    files: ['web/src/session/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'setTimeout',
        'setInterval',
        'requestAnimationFrame',
        'AudioContext',
        'AudioWorkletNode',
      ],
      'no-restricted-properties': [
        'error',
        { property: 'currentTime', message: 'A visit has one clock: its desk.' },
      ],
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  // Tests print their seeds and how near they came.
  { files: ['server/**', '**/*.test.ts', 'cli/**', 'scripts/**', 'e2e/**'], rules: { 'no-console': 'off' } },
);
