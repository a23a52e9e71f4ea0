const fs = require('node:fs');

/** Name of the environment variable with the file that a runner's reporter writes its results to; without it a reporter writes none. */
const RESULTS = 'TEST_RESULTS';

/** Lines of a failure that are told again at the end of a run. */
const TOLD_LINES = 8;

/**
 * What a runner has found, gathered while it runs and written when it ends: `{ passed, failed, flaky: [title], failures: [{ title, why: [line] }] }`.
 * A run that ends early writes nothing, which its reader takes for a failure.
 */
class Results {
  passed = 0;
  flaky = [];
  failures = [];

  /** A spec, or what stands around specs, that has failed; `messages` may have many lines each. */
  fail(title, messages) {
    const why = messages.flatMap((message) => String(message ?? '').split('\n')).filter((line) => line.trim());
    this.failures.push({ title, why: why.slice(0, TOLD_LINES) });
  }

  write(file = process.env[RESULTS]) {
    if (!file) return;
    const { passed, flaky, failures } = this;
    fs.writeFileSync(file, JSON.stringify({ passed, failed: failures.length, flaky, failures }));
  }
}

/** What a reporter wrote to the file; null when it wrote nothing, or found no spec at all. */
function readResults(file) {
  try {
    const read = JSON.parse(fs.readFileSync(file, 'utf8'));
    return read.passed + read.failed > 0 ? read : null;
  } catch {
    return null;
  }
}

module.exports = { RESULTS, Results, readResults };
