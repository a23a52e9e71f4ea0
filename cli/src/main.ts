import { refusal, type Outcome, type Verb } from './verb';
import { crownVerb, fitVerb } from './verbs/crown';
import { chooseVerb, feelVerb, pressVerb } from './verbs/filling';
import { dayVerb } from './verbs/day';
import { layVerb } from './verbs/lay';
import { learnVerb } from './verbs/learn';
import { outlineVerb } from './verbs/outline';
import { planVerb } from './verbs/plan';
import { quickVerb } from './verbs/quick';
import { recordVerb } from './verbs/record';
import { scheduleVerb } from './verbs/schedule';
import { solidVerb } from './verbs/solid';
import { splitVerb } from './verbs/split';

const VERBS: readonly Verb[] = [
  planVerb,
  feelVerb,
  pressVerb,
  chooseVerb,
  outlineVerb,
  crownVerb,
  fitVerb,
  splitVerb,
  layVerb,
  solidVerb,
  learnVerb,
  scheduleVerb,
  recordVerb,
  dayVerb,
  quickVerb,
];

const HELP = ['yardland VERB FILE …', '', ...VERBS.map((verb) => `  ${verb.usage}\n      ${verb.does}`), ''].join('\n');

function dispatch(args: readonly string[]): Outcome | Promise<Outcome> {
  const [name, ...rest] = args;
  if (name === undefined || name === 'help' || name === '--help') return { code: 0, out: HELP };
  const verb = VERBS.find((one) => one.name === name);
  if (!verb) return refusal([{ code: 'verb-unknown', path: '', message: `There is no verb “${name}”. Try: ${VERBS.map((one) => one.name).join(', ')}.` }]);
  const files: string[] = [];
  const options: Record<string, string> = {};
  for (let i = 0; i < rest.length; i++) {
    const arg = rest[i] ?? '';
    if (!arg.startsWith('--')) {
      files.push(arg);
      continue;
    }
    const value = rest[++i];
    if (!verb.options.includes(arg.slice(2)) || value === undefined)
      return refusal([{ code: 'option-unknown', path: arg, message: `“${arg}” is not an option of ${verb.name}, or lacks its value. Usage: ${verb.usage}` }]);
    options[arg.slice(2)] = value;
  }
  return verb.run(files, options);
}

const { code, out, error } = await dispatch(process.argv.slice(2));
if (error) process.stderr.write(error);
// A pipe may take a large plan in parts: the code is set, and Node leaves once all is written.
if (out) process.stdout.write(out);
process.exitCode = code;
