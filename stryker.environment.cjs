const { TestEnvironment } = require('jest-environment-node');

/** The break that a test has noticed last: one is enough, and no other test need be run for it. */
let noticed;

module.exports = class NoticedOnce extends TestEnvironment {
  async handleTestEvent(event) {
    const { activeMutant } = this.global[this.global.__strykerGlobalNamespace__ ?? '__stryker__'];
    if (activeMutant === undefined) return;
    if (event.name === 'test_start' && noticed === activeMutant) event.test.mode = 'skip';
    if (event.name === 'test_done' && event.test.errors.length > 0) noticed = activeMutant;
  }
};
