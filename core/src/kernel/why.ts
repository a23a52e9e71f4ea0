import { formatArea, formatExact, formatNumber } from '../units/format';
import type { UnitSystem } from '../units/length';
import type { Figure, Term } from './figure';

function amount(figure: Figure, system: UnitSystem): string {
  if (figure.unit === 'mm') return formatExact(figure.value, system);
  if (figure.unit === 'mm²') return formatArea(figure.value, system, 3);
  if (figure.unit === 'l') return `${formatNumber(figure.value, 2)} l`;
  if (figure.unit === 'g') return `${formatNumber(figure.value, 0)} g`;
  return formatNumber(figure.value, 2);
}

const named = (figure: Figure, system: UnitSystem): string => `${amount(figure, system)} ${figure.name}`.trimEnd();

function termText(term: Term, system: UnitSystem): string {
  const count = term.count === 1 ? '' : `${formatNumber(term.count, 2)} × `;
  return `${term.sign < 0 ? '−' : '+'} ${count}${named(term.each, system)}`;
}

/** A formula, or the words of a measurement, with its inputs in their places. */
function filledIn(formula: string, inputs: readonly Figure[], system: UnitSystem): string {
  return formula.replace(/\{(\d+)\}/g, (_, index: string) => {
    const input = inputs[Number(index)];
    return input ? named(input, system) : '?';
  });
}

const NOWHERE: ReadonlySet<string> = new Set();

/** The figures that a figure is computed from, in the order in which they are told. */
function partsOf(figure: Figure): readonly Figure[] {
  if (figure.kind === 'given') return [];
  return figure.kind === 'sum' ? [figure.from, ...figure.terms.map(({ each }) => each)] : figure.inputs;
}

/** The equation of one figure. `before` is the step that is told right before it, and what that comes to: a sum that starts there goes on from it. */
function equation(figure: Exclude<Figure, { readonly kind: 'given' }>, system: UnitSystem, before: string | null): string {
  const result = named(figure, system);
  if (figure.kind === 'measured') return `${result}, measured ${filledIn(figure.words, figure.inputs, system)}`;
  if (figure.kind === 'law') return `${filledIn(figure.formula, figure.inputs, system)} = ${result}`;
  const base = named(figure.from, system);
  const left = [...(before === base && figure.terms.length ? [] : [base]), ...figure.terms.map((term) => termText(term, system))];
  return [...left, '=', result].join(' ');
}

/**
 * The steps from the first given size to the figure, oldest first. A step that begins with a sign goes on from the step right before it.
 * Figures named in `from` are taken as read: the steps start at them.
 */
export function whySteps(figure: Figure, system: UnitSystem, from = NOWHERE): string[] {
  const steps: string[] = [];
  const told = new Set<string>();
  // What the step told last comes to; null after a measurement, which no sum goes on from.
  let before: string | null = null;
  const tell = (one: Figure): void => {
    if (one.kind === 'given' || (one !== figure && from.has(one.name))) return;
    partsOf(one).forEach(tell);
    const whole = equation(one, system, null);
    if (told.has(whole)) return;
    told.add(whole);
    // Nothing added: the same number under another name.
    if (one.kind === 'sum' && !one.terms.length && before === named(one.from, system)) steps.push(`${steps.pop() ?? ''} = ${named(one, system)}`);
    else steps.push(equation(one, system, before));
    before = one.kind === 'measured' ? null : named(one, system);
  };
  tell(figure);
  return steps;
}

/** The derivation as one line: `590 seat − 0 gap = 590 finished; + 2 × 13 seam = 616 cut`. A given figure says where it came from. */
export function whyLine(figure: Figure, system: UnitSystem, from = NOWHERE): string {
  const steps = whySteps(figure, system, from);
  if (steps.length) return steps.join('; ');
  const origin = figure.kind === 'given' ? figure.origin : 'entered';
  const words = {
    entered: 'as entered',
    school: 'the school’s number',
    shop: 'the shop’s number',
    material: 'from the material',
    counted: 'counted',
    measured: 'measured',
  };
  return `${named(figure, system)}, ${words[origin]}`;
}
