// Jest as the mutation run uses it: the core alone, and of one room only the tests that stand beside it.
const { join } = require('node:path');

module.exports = {
  rootDir: '../../core',
  roots: ['<rootDir>', '<rootDir>/../tools/mutants'],
  testEnvironment: join(__dirname, 'environment.cjs'),
  testMatch: ['<rootDir>/../tools/mutants/everyTest.cjs'],
  snapshotResolver: '<rootDir>/../tools/mutants/snapshotResolver.cjs',
  ci: true,
  transform: { '\\.tsx?$': join(__dirname, 'transform.cjs') },
  moduleNameMapper: {
    '^@harbor-latch/core$': '<rootDir>/src/index.ts',
    '^@harbor-latch/core/(.*)$': '<rootDir>/src/$1.ts',
  },
};
