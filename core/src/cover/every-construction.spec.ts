import * as fc from 'fast-check';
import { plan } from '../plan/plan';
import { readQuickLine } from '../job/quick/quick-line';
import { unequalSeams } from '../piece/seam';
import { SHIPPED_SCHOOLS } from '../shop/schools';
import { SHAPES, type Template } from '../template/shapes/shapes';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { CONSTRUCTIONS, type Construction } from './list';
import { OWN_SENTENCES } from './own-sentences';

const shop = demoShop();

describe('the constructions’ own sentences', () => {
  it('are all in the list that a page says problems by', () => {
    const listed = CONSTRUCTIONS.flatMap(({ sentences }) => Object.keys(sentences ?? {})).sort();
    expect(listed.length).toBeGreaterThan(5);
    expect(Object.keys(OWN_SENTENCES).sort()).toEqual(listed);
  });
});

describe('every construction on every shape by every school', () => {
  it('has seams that pair and sizes that are numbers, or says why it does not suit and what would', () => {
    let made = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...CONSTRUCTIONS),
        fc.constantFrom(...SHAPES),
        fc.constantFrom(...SHIPPED_SCHOOLS),
        fc.constantFrom('metric' as const, 'inch' as const),
        fc.integer({ min: 300, max: 1200 }),
        fc.integer({ min: 300, max: 900 }),
        fc.integer({ min: 60, max: 180 }),
        fc.nat(),
        (construction, shape, school, units, wide, deep, high, seed) => {
          // One of each construction's own choices is taken otherwise than usual.
          const choices = construction.fields.filter(({ kind }) => kind === 'choice');
          const field = choices[seed % Math.max(1, choices.length)];
          const other = field?.kind === 'choice' ? { [field.key]: field.options[Math.floor(seed / 97) % field.options.length]?.value } : {};
          const cushion = sampleCushion({
            template: shape.like(wide, deep) as Template,
            heightMm: high,
            school: school.id,
            construction: construction.schema.parse({ ...construction.defaults(), ...other }) as Construction,
          });
          const [one] = plan(sampleJob([cushion], { units }), shop).cushions;
          if (one?.state === 'blocked') {
            const [problem] = one.problems;
            if (problem?.code === 'construction-not-for-outline')
              return String(problem.data['why']).length > 0 && String(problem.data['instead']).startsWith('Take');
            return problem?.severity === 'error';
          }
          made++;
          const numbers = (one?.pieces ?? []).flatMap(({ width, height }) => [width.value, height.value]);
          const steps = new Set((one?.operations ?? []).map(({ id }) => id));
          const pieces = new Set((one?.pieces ?? []).map(({ id }) => id));
          return (
            one !== undefined &&
            steps.size === one.operations.length &&
            pieces.size === one.pieces.length &&
            numbers.every((mm) => Number.isFinite(mm) && mm > 0) &&
            one.operations.every((step) => step.minutes >= 0 && step.pieces.every((id) => pieces.has(id))) &&
            unequalSeams(one.cover.seams).length === 0
          );
        },
      ),
      { seed: 14, numRuns: 800 },
    );
    expect(made).toBeGreaterThan(400);
  });
});

describe('the quick line', () => {
  it('knows every construction by each of its words and its own name, and every choice by its word', () => {
    for (const { kind, name, words, choiceWords } of CONSTRUCTIONS) {
      for (const word of [...words, name.toLowerCase().split(/ (?:mattress|stool|front|inner|on|feather)/)[0] ?? '']) {
        // A word may say the shape too: a drum is round unless told otherwise, and has one measure across.
        const reads = [`2 x 500 x 450 x 60 ${word}`, `2 x 500 x 60 ${word}`].map((line) => readQuickLine(line, 'metric'));
        const read = reads.find(({ ok }) => ok);
        expect(String(read?.ok && read.construction.kind))
          .withContext(word)
          .toBe(kind);
      }
      for (const [word, choice] of Object.entries(choiceWords)) {
        const read = readQuickLine(`500 x 450 x 60 ${words[0]} ${word}`, 'metric');
        expect(read.ok && read.construction)
          .withContext(`${words[0]} ${word}`)
          .toEqual(jasmine.objectContaining(choice));
      }
    }
  });
});
