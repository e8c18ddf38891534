// All tests of one room as one Jest file, so that each mutant loads the core once and not once a file.
const { join } = require('node:path');

for (const file of process.env.MUTANTS_TESTS.split(',')) require(join(__dirname, '../..', file));
