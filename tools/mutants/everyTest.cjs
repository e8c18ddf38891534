// All tests of one room as one Jest file, so that each mutant loads the core once and not once a file;
// short files first, since most mutants fall to them and the first failure is enough.
const { statSync } = require('node:fs');
const { join } = require('node:path');

const files = process.env.MUTANTS_TESTS.split(',').map((file) => join(__dirname, '../..', file));
const size = (file) => statSync(file).size;
for (const file of files.sort((one, other) => size(one) - size(other))) require(file);
