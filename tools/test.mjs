// Everything that must hold, from a bare clone: installs what tests need, then lint, types, directions, unit tests, server, command line and
// browser journeys. Goes on after a failure, and closes with one line: N passed, N failed.
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensurePackages, heard } from './lib.mjs';
import resultsOf from './results/results.cjs';

const { RESULTS, readResults } = resultsOf;

ensurePackages();
process.env.CHROME_BIN = ensureChromium();

const node = process.execPath;
const bin = (name) => `node_modules/${name}`;
const plain = { FORCE_COLOR: '0', NO_COLOR: '1', CI: 'true', NG_CLI_ANALYTICS: 'false' };

/** A check that either holds or does not: where it does not, its last lines say why. */
const whole = ({ code, text }) => ({
  passed: code === 0 ? 1 : 0,
  failed: code === 0 ? 0 : 1,
  flaky: [],
  failures: code === 0 ? [] : [{ title: 'its last lines', why: text.split('\n').filter(Boolean).slice(-12) }],
});
/** A runner, by what its reporter wrote; one that wrote nothing, or ended badly without a failure, has failed. */
const runner = ({ code, results }) => {
  const none = { passed: 0, failed: 0, flaky: [], failures: [] };
  const read = results ?? none;
  if (results && (code === 0 || read.failed > 0)) return read;
  return { ...read, failed: read.failed + 1, failures: [...read.failures, { title: `ended with code ${code}`, why: [] }] };
};

const SUITES = [
  ['lint', [bin('eslint/bin/eslint.js'), '.'], whole],
  ['format', [bin('prettier/bin/prettier.cjs'), '--check', '.'], whole],
  ...['core', 'tsconfig.node.json', 'tsconfig.browser-driven.json', 'web/tsconfig.spec.json', 'web/tsconfig.worker.json'].map((project) => [
    `types ${project}`,
    [bin('typescript/bin/tsc'), '-p', project, '--noEmit'],
    whole,
  ]),
  ['build', ['--input-type=module', '-e', "import { ensureBuilt } from './tools/lib.mjs'; ensureBuilt();"], whole],
  ['directions', ['--import', 'tsx', 'tools/directions/check.ts'], whole],
  ['web specs', [bin('@angular/cli/bin/ng.js'), 'test', 'web'], runner],
  ['core specs', [bin('@angular/cli/bin/ng.js'), 'test', 'core'], runner],
  ['server, command line and tool specs', ['--import', 'tsx', bin('jasmine/bin/jasmine.js'), '--config=tools/jasmine-node.json'], runner],
  ['browser journeys', [bin('@playwright/test/cli.js'), 'test', '-c', 'e2e'], runner],
];

/** The journeys want the machine for themselves, and what was built; the other suites share it, two at a time. */
const JOURNEYS = SUITES.at(-1);

let [passed, failed] = [0, 0];
const lines = new Map();
/** Of each suite that failed: what it says of it. Told again at the end, where a reader looks first. */
const why = [];
/** Journeys that passed only on repetition. */
const flaky = [];
const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'yardland-test-'));

async function run([name, args, read]) {
  console.log(`\n== ${name}`);
  const begun = Date.now();
  const file = path.join(folder, `${lines.size}-${name.replaceAll('/', '-')}.json`);
  const heardOf = await heard(node, args, { ...plain, [RESULTS]: file });
  const result = read({ ...heardOf, results: readResults(file) });
  passed += result.passed;
  failed += result.failed;
  flaky.push(...result.flaky);
  for (const failure of result.failures) why.push(`${name}: ${failure.title}`, ...failure.why.map((line) => `    ${line}`));
  const seconds = ((Date.now() - begun) / 1000).toFixed(0);
  lines.set(name, `${result.failed ? 'FAILED' : 'ok    '} ${name}: ${result.passed} passed, ${result.failed} failed (${seconds} s)`);
}

// The longest first, so that the short ones fill up the time beside them.
const waiting = SUITES.slice(0, -1).reverse();
await Promise.all(
  [1, 2].map(async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) await run(next);
  }),
);
await run(JOURNEYS);
console.log(`\n${SUITES.map(([name]) => lines.get(name)).join('\n')}`);
if (why.length) console.log(`\n${why.join('\n')}`);
if (flaky.length) console.log(`\n${flaky.length} flaky, passed only on repetition:\n${flaky.map((title) => `  ${title}`).join('\n')}`);
console.log(`\n${passed} passed, ${failed} failed`);
fs.rmSync(folder, { recursive: true });
process.exitCode = failed ? 1 : 0;
