// Everything that must hold, from a bare clone: installs what tests need, then lint, types, directions, unit tests, server, command line and
// browser journeys. Goes on after a failure, and closes with one line: N passed, N failed.
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensurePackages, failuresIn, heard, titlesUnder } from './lib.mjs';

ensurePackages();
process.env.CHROME_BIN = ensureChromium();

const node = process.execPath;
const bin = (name) => `node_modules/${name}`;
const plain = { FORCE_COLOR: '0', NO_COLOR: '1', CI: 'true', NG_CLI_ANALYTICS: 'false' };

/** A check that either holds or does not. */
const whole = ({ code }) => (code === 0 ? [1, 0] : [0, 1]);
const last = (text, pattern) => [...text.matchAll(pattern)].at(-1);
/** Counts of a runner from its closing line; a run without one, or with none executed, has failed. */
const counted = (pattern, read) => (result) => {
  const match = last(result.text, pattern);
  const [passed, failed] = match ? read(match) : [0, 0];
  if (passed + failed === 0 || (result.code !== 0 && failed === 0)) return [passed, failed + 1];
  return [passed, failed];
};
const karma = counted(/Executed (\d+) of (\d+).*?(?:\((\d+) FAILED\)|SUCCESS|FAILED)/g, ([, run, , failed]) => [
  Number(run) - Number(failed ?? 0),
  Number(failed ?? 0),
]);
const jasmine = counted(/(\d+) specs?, (\d+) failures?/g, ([, specs, failures]) => [Number(specs) - Number(failures), Number(failures)]);
/** Journeys that passed only on repetition: they count neither as passed nor as failed, and are named at the end. */
const flaky = [];
const playwright = (result) => {
  flaky.push(...titlesUnder(result.text, 'flaky'));
  const of = (word) => Number(last(result.text, new RegExp(`^\\s*(\\d+) ${word}\\b`, 'gm'))?.[1] ?? 0);
  const [passed, failed] = [of('passed'), of('failed') + of('interrupted') + of('did not run')];
  return passed + failed === 0 || (result.code !== 0 && failed === 0) ? [passed, failed + 1] : [passed, failed];
};

const SUITES = [
  ['lint', [bin('eslint/bin/eslint.js'), '.'], whole],
  ['format', [bin('prettier/bin/prettier.cjs'), '--check', '.'], whole],
  ...['core', 'tsconfig.node.json', 'tsconfig.browser-driven.json', 'web/tsconfig.spec.json', 'web/tsconfig.worker.json'].map((project) => [
    `types ${project}`,
    [bin('typescript/bin/tsc'), '-p', project, '--noEmit'],
    whole,
  ]),
  ['directions', ['--import', 'tsx', 'tools/directions/check.ts'], whole],
  ['core specs', [bin('@angular/cli/bin/ng.js'), 'test', 'core'], karma],
  ['web specs', [bin('@angular/cli/bin/ng.js'), 'test', 'web'], karma],
  ['server, command line and tool specs', ['--import', 'tsx', bin('jasmine/bin/jasmine.js'), '--config=tools/jasmine-node.json'], jasmine],
  ['browser journeys', [bin('@playwright/test/cli.js'), 'test', '-c', 'e2e'], playwright],
];

/** Suites that share the machine, two at a time. The others want it, and its browser, for themselves. */
const SHARING = SUITES.filter(([name]) => /^(lint|format|types|directions|core specs|server)/.test(name));

let [passed, failed] = [0, 0];
const lines = new Map();
/** Of each suite that failed: what it says of it. Told again at the end, where a reader looks first. */
const why = [];

/** Where a runner names no failure, its last lines. */
function toldAgain(text) {
  const told = failuresIn(text);
  return told.length ? told : text.split('\n').filter(Boolean).slice(-12);
}

async function run([name, args, read]) {
  console.log(`\n== ${name}`);
  const begun = Date.now();
  const result = await heard(node, args, plain);
  const [good, bad] = read(result);
  if (bad) why.push(`${name}:`, ...toldAgain(result.text).map((line) => `  ${line}`));
  passed += good;
  failed += bad;
  lines.set(name, `${bad ? 'FAILED' : 'ok    '} ${name}: ${good} passed, ${bad} failed (${((Date.now() - begun) / 1000).toFixed(0)} s)`);
}

// The longest first, so that the short ones fill up the time beside them.
const waiting = [...SHARING].reverse();
await Promise.all(
  [1, 2].map(async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) await run(next);
  }),
);
for (const suite of SUITES.filter((one) => !SHARING.includes(one))) {
  if (suite[0] === 'browser journeys') ensureBuilt();
  await run(suite);
}
console.log(`\n${SUITES.map(([name]) => lines.get(name)).join('\n')}`);
if (why.length) console.log(`\n${why.join('\n')}`);
if (flaky.length) console.log(`\n${flaky.length} flaky, passed only on repetition:\n${flaky.map((title) => `  ${title}`).join('\n')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed ? 1 : 0;
