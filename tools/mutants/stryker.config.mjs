// How `npm run mutants` changes one room of the core and runs the tests beside it; `tools/src/mutants.ts` says which.
const { MUTANTS_CODE: code, MUTANTS_REPORT: report, MUTANTS_KNOWN: known } = process.env;

export default {
  testRunner: 'jest',
  plugins: ['@stryker-mutator/jest-runner'],
  jest: { projectType: 'custom', configFile: 'tools/mutants/jest.config.cjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  mutate: code.split(','),
  mutator: { excludedMutations: ['StringLiteral'] },
  ignorePatterns: ['app', 'server', 'cli', 'e2e', 'docs'],
  tempDirName: '.local/mutants/tmp',
  reporters: ['json', 'progress-append-only'],
  jsonReporter: { fileName: report },
  // What was found out stays true while neither the mutant's file nor a test has changed.
  incremental: true,
  incrementalFile: known,
  // A change that makes a run endless is found out soon.
  timeoutMS: 1500,
  timeoutFactor: 0.75,
  concurrency: 2,
};
