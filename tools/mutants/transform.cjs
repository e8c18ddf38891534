// As `tools/jestEsbuild.cjs`; and while a mutant is tried, what is passed through is not counted, which would take most of the time.
const plain = require('../jestEsbuild.cjs');

const COUNTS = 'function cover() {';
const COUNTS_BEFORE_MUTANTS = `${COUNTS} if (ns.activeMutant !== undefined) return;`;

module.exports = {
  process: (source, path) => plain.process(source.replace(COUNTS, COUNTS_BEFORE_MUTANTS), path),
  getCacheKey: (source, path, options) => `${plain.getCacheKey(source, path, options)}mutants`,
};
