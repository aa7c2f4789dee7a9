/** Mutants of one folder of the core: `npm run mutants -- ledger`. Slow, and so no part of `npm test`. */
const folder = process.env.MUTANTS || 'ledger';

const config = {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutants.config.ts' },
  mutate: [`src/core/${folder}/**/*.ts`, '!src/core/**/*.test.ts', '!src/core/**/index.ts'],
  // A sentence for an assertion that never fails, and a name in the undo list, are no behaviour.
  mutator: { excludedMutations: ['StringLiteral'] },
  reporters: ['clear-text', 'progress'],
  clearTextReporter: { allowColor: false, reportTests: false, allowEmojis: false },
  coverageAnalysis: 'perTest',
  // What is worked out once at the start would be tried against every test there is.
  ignoreStatic: true,
  concurrency: 2,
  tempDirName: '.stryker-tmp',
  ignorePatterns: [
    '.next',
    '.workers',
    'data',
    'test-results',
    'docs/screenshots',
    'e2e',
    'src/screens',
    'src/ui',
  ],
  timeoutMS: 20_000,
};

export default config;
