import next from 'eslint-config-next';
import regexp from 'eslint-plugin-regexp';

/** What looks for faults of components reads a whole file as the compiler of React does: half the time of all rules. */
const OF_COMPONENTS = next
  .flatMap(({ rules = {} }) => Object.keys(rules))
  .filter((name) => /^(react|react-hooks|jsx-a11y)\//.test(name));

const config = [
  ...next,
  {
    // No component and no hook is written here: of src the check of imports keeps React out.
    files: ['src/{core,data,demo,server,sharing,simulated,workers}/**/*.ts', '{scripts,e2e}/**/*.{ts,mjs}'],
    rules: Object.fromEntries(OF_COMPONENTS.map((name) => [name, 'off'])),
  },
  {
    ignores: [
      '.next/**',
      '.workers/**',
      'drizzle/**',
      'next-env.d.ts',
      '**/*.d.mts',
      'data/**',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  {
    files: ['**/*.{ts,tsx,mjs}'],
    plugins: { regexp },
    rules: {
      // Foreign text of any length goes through these: the time must grow with the text, and no faster.
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'potential', ignorePartial: false }],
      'no-console': ['error', { allow: ['warn', 'error'] }],
      eqeqeq: 'error',
      'prefer-const': 'error',
      // The virtual list's own functions are used in the component that makes them, and nowhere else.
      'react-hooks/incompatible-library': 'off',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', 'src/core/testing/**'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness comes in as an argument.' },
        { object: 'Date', property: 'now', message: 'The clock comes in as an argument.' },
      ],
    },
  },
  {
    files: ['src/screens/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@/core/ledger',
              importNames: ['added', 'changed', 'removed', 'written', 'joinDiffs'],
              message: 'What an act changes is said by a command of src/core; a screen only performs it.',
            },
            {
              name: 'next/link',
              message: 'Link of src/ui fetches a page when it is meant, not when it is seen.',
            },
          ],
          patterns: [
            {
              group: ['@/simulated/*', '!@/simulated/clock'],
              message: 'The simulated world answers over the network, as a real one would.',
            },
          ],
        },
      ],
    },
  },
  { files: ['scripts/**'], rules: { 'no-console': 'off' } },
];

export default config;
