import { operation, type LookKind, type Operation } from '../piece/operation';
import type { Constants } from '../shop/assumptions';
import { doneOn } from './batch';
import type { Tick } from './ticks';

/** What is asked at each look: one plain question, answered with yes before the next step hides what it asks for. */
export const LOOK_QUESTIONS: Readonly<Record<LookKind, string>> = {
  corners: 'Is every corner square, and its notch on the plate’s?',
  opposite: 'Does each corner of one plate lie opposite its twin on the other?',
  pleats: 'Inside out, run a finger along the seam: is no pleat or fold of either cloth caught in it?',
  'plaque-join': 'Do plaque and boxing meet flush on both edges, equally high?',
  ties: 'Is every tie caught in the seam at its notch, and none sewn down by its loose end?',
  welt: 'Is the welt even all round, its cord close to the row, its ring joined at the centre back?',
  halves: 'Folded in half on its centre line, are both halves alike?',
};

/** The look at one kind of thing after a step. */
function lookAfter(step: Operation, kind: LookKind, assume: Constants): Operation {
  const [, name = step.id] = step.id.split('/');
  return operation({
    id: `look/${kind}-${name}`,
    phase: step.phase,
    text: `Look before you go on: ${LOOK_QUESTIONS[kind]}`,
    pieces: step.pieces,
    minutes: assume('lookMinutes'),
    needs: 'bench',
    after: [step.id],
    asks: { kind, of: step.id, seams: step.seams },
    stages: step.looksLike?.[kind] ?? [],
  });
}

/** The steps with a look after each whose fault a later one would hide; whatever comes after such a step comes after its look. */
export function withLooks(steps: readonly Operation[], assume: Constants): Operation[] {
  const looks = new Map(steps.map((step) => [step.id, (step.looks ?? []).map((kind) => lookAfter(step, kind, assume))] as const));
  return steps.flatMap((step) => {
    const more = step.after.flatMap((id) => looks.get(id)?.map((look) => look.id) ?? []);
    return [more.length ? { ...step, after: [...step.after, ...more] } : step, ...(looks.get(step.id) ?? [])];
  });
}

/**
 * The ticks with each look counted as passed on the cushions on which something that comes after it is done: nobody went on without looking, and what was finished before there
 * were looks stays finished.
 */
export function withPassedLooks<T extends Tick>(
  operations: readonly Operation[],
  ticks: Readonly<Record<string, T>>,
  quantity: number,
): Readonly<Record<string, Tick>> {
  const passed = operations.flatMap(({ id, asks }) => {
    if (!asks) return [];
    const later = operations.filter((one) => !one.asks && one.after.includes(id));
    const on = [...new Set([id, ...later.map((one) => one.id)].flatMap((one) => doneOn(ticks[one], quantity)))].sort((a, b) => a - b);
    return on.length ? [[id, { ...ticks[id], count: on.length, on }] as const] : [];
  });
  return { ...ticks, ...Object.fromEntries(passed) };
}

/** A look that was answered with no, as it is kept with the job. */
export interface LookedWrong {
  readonly kind: LookKind;
}

/** How often each kind of fault was found at the looks, the most frequent first. */
export function foundAtLooks(found: readonly LookedWrong[]): { readonly kind: LookKind; readonly count: number }[] {
  const counts = new Map<LookKind, number>();
  for (const { kind } of found) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts].map(([kind, count]) => ({ kind, count })).sort((a, b) => b.count - a.count);
}
