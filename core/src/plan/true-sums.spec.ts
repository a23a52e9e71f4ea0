import { CONSTRUCTIONS } from '../cover/list';
import type { Cushion } from '../job/document';
import { given, law, minus, plus, sum, whySteps, type Figure } from '../kernel/public';
import { SHIPPED_SCHOOLS } from '../shop/schools';
import { SHAPES, type Template } from '../template/shapes/shapes';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import type { UnitSystem } from '../units/length';
import { plan } from './plan';

const shop = demoShop();

/** A number as it is printed: `1 876`, `23 1/2`, `0.58`, `1/16`. */
const NUMBER = String.raw`(?:(\d{1,3}(?:[\u00a0\u202f]\d{3})*(?:\.\d+)?)(?: (\d+)\/(\d+))?(?![\d/])|(\d+)\/(\d+))`;
/** In a formula a number stands at the beginning or after a sign; digits elsewhere belong to a name. */
const OPERAND = new RegExp(`(^|[×÷−+(√;@])\\s*${NUMBER}`, 'g');
const FIRST = new RegExp(`^[+−-]?${NUMBER}`);

interface Read {
  readonly value: number;
  /** How much of it printing may have rounded away. */
  readonly half: number;
}

/** Lengths are printed to a tenth of a millimetre or a hundredth of an inch, unless they are a fraction; grams whole; a number without a name is the formula's own. */
function read([whole, numerator, denominator, alone, of]: readonly (string | undefined)[], name: string, system: UnitSystem): Read {
  if (alone !== undefined) return { value: Number(alone) / Number(of), half: 1e-6 };
  const value = Number((whole ?? 'NaN').replace(/[\u00a0\u202f]/g, '')) + (numerator ? Number(numerator) / Number(denominator) : 0);
  if (numerator !== undefined || !/^ \p{L}/u.test(name)) return { value, half: 1e-6 };
  return { value, half: /^ g\b/.test(name) ? 0.5 : system === 'metric' ? 0.05 : 0.005 };
}

/** Reads the arithmetic of an equation as a person with a calculator would, names and units left out; knows nothing of how the application computes. */
function reckoned(text: string, system: UnitSystem): { readonly value: number; readonly within: number } {
  const numbers: Read[] = [];
  const body = text
    .replace(/ (?:kg\/m³|m²|ft²|m³)/g, ' in')
    .replace(/the greater of (.*) and (.*)$/, '@($1; $2)')
    .replace(/\bper\b/g, '÷')
    .replace(OPERAND, (found, sign: string, ...groups) => {
      const [at, all] = groups.slice(5) as [number, string];
      return `${sign} #${numbers.push(read(groups as string[], all.slice(at + found.length), system)) - 1}#`;
    })
    // What is left of words are names.
    .replace(/#?[^\s#×÷−+()√²π;@]+#?/g, (word) => (/^#\d+#$/.test(word) ? word : ''));
  const evaluate = (values: readonly number[]): number =>
    Number(
      new Function(
        `return ${body
          .replace(/#(\d+)#/g, (_, i: string) => `(${values[Number(i)]})`)
          .replace(/√/g, ' Math.sqrt')
          .replace(/²/g, ' ** 2')
          .replace(/×/g, '*')
          .replace(/÷/g, '/')
          .replace(/−/g, '-')
          .replace(/π/g, ' Math.PI ')
          .replace(/;/g, ',')
          .replace(/@\(/g, 'Math.max(')}`,
      )(),
    );
  const values = numbers.map(({ value }) => value);
  const value = evaluate(values);
  const within = numbers.reduce((sum, { half }, i) => sum + Math.abs(evaluate(values.map((one, j) => (i === j ? one + half : one))) - value), 0);
  return { value, within };
}

/** What is wrong with a derivation as it is printed; a step that begins with a sign goes on from what the one before it comes to. */
function untrue(figure: Figure, system: UnitSystem): string[] {
  let before: Read | null = null;
  return whySteps(figure, system).flatMap((step) => {
    if (step.includes(', measured ')) {
      before = null;
      return [];
    }
    // A step may give its result a second name: a = b = c.
    const [left = '', ...results] = step.split(' = ');
    const goesOn = /^[+−]/.test(left);
    const start: Read | null = before;
    if (goesOn && !start) return [`“${step}” goes on from nothing`];
    const { value, within } = reckoned(goesOn ? `0 ${left}` : left, system);
    const sum = value + (goesOn && start ? start.value : 0);
    return results.flatMap((result) => {
      const found = FIRST.exec(result);
      const said = read(found?.slice(1) ?? [], result.slice(found?.[0].length ?? 0), system);
      const signed = { ...said, value: /^[−-]/.test(result) ? -said.value : said.value };
      before = signed;
      const room = within + signed.half + (goesOn && start ? start.half : 0) + 1e-6;
      return Math.abs(sum - signed.value) <= room ? [] : [`“${step}”: ${sum}, by more than ${room}`];
    });
  });
}

/** Every figure of a plan, wherever it stands. */
function figuresOf(value: unknown, found = new Set<Figure>(), seen = new Set<unknown>()): Set<Figure> {
  if (typeof value !== 'object' || value === null || seen.has(value)) return found;
  seen.add(value);
  const { kind, name, value: number } = value as Partial<Figure>;
  if ((kind === 'sum' || kind === 'law') && typeof name === 'string' && typeof number === 'number') found.add(value as Figure);
  else for (const one of Object.values(value)) figuresOf(one, found, seen);
  return found;
}

const LAYERS = [
  { grade: 'wren-28', thicknessMm: 50 },
  { grade: 'plover-springs', thicknessMm: 100 },
];

describe('a why is a true sum', () => {
  it('read back from what is printed, for every construction by every school on every shape, in millimetres and inches', () => {
    const wrong = new Map<string, string>();
    let told = 0;
    for (const [c, construction] of CONSTRUCTIONS.entries())
      for (const [s, shape] of SHAPES.entries())
        for (const [k, school] of SHIPPED_SCHOOLS.entries())
          // Every combination is tried in one unit, half of them in each.
          for (const units of [(c + s + k) % 2 ? 'inch' : 'metric'] as const) {
            const choices = construction.fields.filter(({ kind }) => kind === 'choice');
            const field = choices[(s + 3 * k) % Math.max(1, choices.length)];
            const other = field?.kind === 'choice' ? { [field.key]: field.options[(s + k) % field.options.length]?.value } : {};
            const cushion = sampleCushion({
              template: shape.like(437 + 80 * k, 381) as Template,
              heightMm: 93,
              school: school.id,
              construction: { ...construction.defaults(), ...other } as Cushion['construction'],
              ...(k % 3 === 0 ? { core: { layers: LAYERS } } : {}),
            });
            for (const figure of figuresOf(plan(sampleJob([cushion], { units }), shop))) {
              told++;
              for (const trouble of untrue(figure, units)) wrong.set(`${construction.kind} ${figure.name}`, `${shape.shape} ${school.id} ${units}: ${trouble}`);
            }
          }
    expect([...wrong]).toEqual([]);
    expect(told).toBeGreaterThan(20_000);
  });

  it('and the reader knows a false one', () => {
    expect(reckoned('π × 5 cord + 1 cloth + 2 × 13 flange', 'metric').value).toBeCloseTo(42.708, 3);
    expect(reckoned('the greater of 1\u202f876 round ÷ 4 and 200 ties + 2 × 50', 'metric').value).toBe(469);
    expect(reckoned('(450 finished − 400) × 13 per 100', 'metric').value).toBeCloseTo(6.5, 9);
    const cut = sum('cut', given('sewn', 500, 'entered'), plus(given('seam', 13, 'school'), 2));
    expect(untrue(cut, 'metric')).toEqual([]);
    expect(untrue({ ...cut, value: 526.3 }, 'metric').length).toBe(1);
    // A second chain that begins where the first did writes its base.
    const both = law('both', '{0} + {1}', [cut, sum('wide', cut, plus(given('lap', 25, 'shop')))]);
    const again = law('again', '{0} + {1}', [both, sum('narrow', cut, minus(given('lap', 25, 'shop')))]);
    expect(untrue(again, 'metric')).toEqual([]);
    expect(whySteps(again, 'metric')).toContain('526 cut − 25 lap = 501 narrow');
  });
});
