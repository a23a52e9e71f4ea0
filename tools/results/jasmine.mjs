// Writes what Jasmine in Node has found.
import resultsOf from './results.cjs';

const results = new resultsOf.Results();
const messages = ({ failedExpectations }) => failedExpectations.flatMap(({ message, stack }) => [message, stack]);
const failed = (result) => result.failedExpectations.length > 0;

jasmine.getEnv().addReporter({
  specDone(result) {
    if (result.status === 'passed') results.passed++;
    if (result.status === 'failed') results.fail(result.fullName, messages(result));
  },
  suiteDone(result) {
    if (failed(result)) results.fail(result.fullName, messages(result));
  },
  jasmineDone(result) {
    if (failed(result)) results.fail('outside of any spec', messages(result));
    results.write();
  },
});
