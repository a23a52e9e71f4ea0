// Writes what Playwright has found. A journey that passed only when it was tried again counts neither as passed nor as failed.
import resultsOf from './results.cjs';

export default class PlaywrightResults {
  #results = new resultsOf.Results();
  #suite;

  onBegin(_config, suite) {
    this.#suite = suite;
  }

  onError(error) {
    this.#results.fail('outside of any journey', [error.message]);
  }

  onEnd() {
    for (const test of this.#suite?.allTests() ?? []) {
      const title = test.titlePath().filter(Boolean).join(' › ');
      const outcome = test.outcome();
      if (outcome === 'expected') this.#results.passed++;
      if (outcome === 'flaky') this.#results.flaky.push(title);
      // One that was never run has no result: the run has ended before it.
      if (outcome === 'unexpected') this.#results.fail(title, test.results.at(-1)?.errors.map(({ message }) => message) ?? ['did not run']);
      if (outcome === 'skipped' && test.expectedStatus !== 'skipped') this.#results.fail(title, ['did not run']);
    }
    this.#results.write();
  }

  printsToStdio() {
    return false;
  }
}
