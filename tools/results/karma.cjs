const { Results } = require('./results.cjs');

/** Writes what Karma has found: specs, and errors of the browser outside of any spec. */
function KarmaResults() {
  const results = new Results();
  this.onSpecComplete = (_browser, { success, skipped, suite, description, log }) => {
    if (skipped) return;
    if (success) results.passed++;
    else results.fail([...suite, description].join(' '), log);
  };
  this.onBrowserError = (browser, error) => results.fail(`${browser}`, [error?.message ?? error]);
  this.onRunComplete = () => results.write();
}

module.exports = { 'reporter:results': ['type', KarmaResults] };
