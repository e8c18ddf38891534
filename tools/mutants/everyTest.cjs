// All tests of one room as one Jest file, so that each mutant loads the core once and not once a file.
const { join } = require('node:path');
const { testFilesOf } = require('./rooms.cjs');

for (const file of testFilesOf(process.env.MUTANTS_ROOM)) require(join('../../core/src', file));
