// One failed test decides a mutant: those after it in the file are passed over.
const { TestEnvironment } = require('jest-environment-node');

module.exports = class StopsAtFirstFailure extends TestEnvironment {
  async handleTestEvent(event) {
    if (event.name === 'test_done' && event.test.errors.length > 0) this.failed = true;
    if (event.name === 'test_start' && this.failed) event.test.mode = 'skip';
  }
};
