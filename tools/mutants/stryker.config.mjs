// How `npm run mutants` changes one room of the core and runs the tests beside it; `tools/src/mutants.ts` goes from room to room.
import rooms from './rooms.cjs';

const { MUTANTS_ROOM: room, MUTANTS_TESTS: tests } = process.env;

export default {
  testRunner: 'jest',
  plugins: ['@stryker-mutator/jest-runner'],
  jest: { projectType: 'custom', configFile: 'tools/mutants/jest.config.cjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  mutate: rooms.codeOf(room),
  mutator: { excludedMutations: ['StringLiteral'] },
  ignorePatterns: ['app', 'server', 'cli', 'e2e', 'docs', '.mutants'],
  tempDirName: '.mutants/tmp',
  reporters: ['json', 'progress-append-only'],
  jsonReporter: { fileName: `.mutants/${room}.json` },
  // What was found out stays true while neither the mutant's file nor a test has changed.
  incremental: true,
  incrementalFile: `.mutants/${room}-${tests}.json`,
  concurrency: 2,
};
