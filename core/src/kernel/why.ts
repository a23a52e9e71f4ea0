import { formatArea, formatExact, formatNumber } from '../units/format';
import type { UnitSystem } from '../units/length';
import type { Figure, Term } from './figure';

function amount(figure: Figure, system: UnitSystem): string {
  if (figure.unit === 'mm') return formatExact(figure.value, system);
  if (figure.unit === 'mm²') return formatArea(figure.value, system, 3);
  if (figure.unit === 'g') return `${formatNumber(figure.value, 0)} g`;
  return formatNumber(figure.value, 2);
}

const named = (figure: Figure, system: UnitSystem): string => `${amount(figure, system)} ${figure.name}`;

function termText(term: Term, system: UnitSystem): string {
  const count = term.count === 1 ? '' : `${formatNumber(term.count, 2)} × `;
  return `${term.sign < 0 ? '−' : '+'} ${count}${named(term.each, system)}`;
}

function lawText(formula: string, inputs: readonly Figure[], system: UnitSystem): string {
  return formula.replace(/\{(\d+)\}/g, (_, index: string) => {
    const input = inputs[Number(index)];
    return input ? named(input, system) : '?';
  });
}

const NOWHERE: ReadonlySet<string> = new Set();

/**
 * The steps from the first given size to the figure, oldest first, each an equation without its start if it goes on from the one before.
 * Figures named in `from` are taken as read: the steps start at them.
 */
export function whySteps(figure: Figure, system: UnitSystem, from = NOWHERE): string[] {
  const stepsBefore = (one: Figure): string[] => (from.has(one.name) ? [] : whySteps(one, system, from));
  if (figure.kind === 'given') return [];
  if (figure.kind === 'law') {
    const before = figure.inputs.flatMap(stepsBefore);
    return [...new Set([...before, `${lawText(figure.formula, figure.inputs, system)} = ${named(figure, system)}`])];
  }
  const before = stepsBefore(figure.from);
  const inner = figure.terms.flatMap((term) => stepsBefore(term.each));
  // Nothing added: the same number under another name.
  if (!figure.terms.length) return [...before.slice(0, -1), `${before.at(-1) ?? named(figure.from, system)} = ${named(figure, system)}`];
  const goesOn = before.length > 0 && inner.length === 0;
  const left = [...(goesOn ? [] : [named(figure.from, system)]), ...figure.terms.map((term) => termText(term, system))];
  return [...new Set([...before, ...inner]), [...left, '=', named(figure, system)].join(' ')];
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
