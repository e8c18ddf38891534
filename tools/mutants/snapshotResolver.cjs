// The tests of a room run as one file: its kept texts are those of all its tests, put together beforehand.
const { join } = require('node:path');

const kept = join(__dirname, 'every.snap');
const tests = join(__dirname, 'everyTest.cjs');

module.exports = {
  resolveSnapshotPath: () => kept,
  resolveTestPath: () => tests,
  testPathForConsistencyCheck: tests,
};
