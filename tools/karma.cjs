const path = require('node:path');
const flags = require('./chromium.json');

process.env.CHROME_BIN ??= '/usr/bin/chromium';

/** The one Karma configuration, for the projects core and web. */
exports.karmaConfig = (project, config) => ({
  basePath: '',
  frameworks: ['jasmine'],
  plugins: [require('karma-jasmine'), require('karma-chrome-launcher'), require('karma-coverage'), require('./results/karma.cjs')],
  // A slow spell of the machine is not a failure: a spec may take this long, ms.
  client: { jasmine: { random: true, failSpecWithNoExpectations: true, timeoutInterval: 30_000 } },
  coverageReporter: { dir: path.join(__dirname, '..', 'coverage', project), reporters: [{ type: 'text-summary' }] },
  reporters: ['dots', 'results'],
  browsers: ['DebianChromium'],
  // As wide as a laptop: what is laid out for a phone is looked at by the journeys.
  customLaunchers: { DebianChromium: { base: 'ChromeHeadless', flags: [...flags, '--window-size=1280,900'] } },
  browserNoActivityTimeout: 120_000,
  // A spec that traces a picture keeps the page busy for seconds.
  pingTimeout: 60_000,
  browserDisconnectTimeout: 60_000,
  restartOnFileChange: false,
  logLevel: config.LOG_WARN,
});
