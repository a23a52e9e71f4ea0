import type { LayAnswer, LayProgress, LayRequest } from './contract';

/** The searches of a request, one for each of its seeds, in order. */
export function searchesOf(request: LayRequest): LayRequest[] {
  const { seeds = 1, ...one } = request;
  return Array.from({ length: Math.max(1, seeds) }, (_, i) => ({ ...one, seed: (one.seed + i) >>> 0 }));
}

/** Which of two answers to one question is better: first by what has a place, then by sheets, then by length. */
export function betterAnswer(a: LayAnswer, b: LayAnswer): boolean {
  return (
    a.unplaced.length < b.unplaced.length ||
    (a.unplaced.length === b.unplaced.length && (a.sheets < b.sheets || (a.sheets === b.sheets && (a.use > b.use + 1e-12 || a.lengthMm < b.lengthMm - 1e-9))))
  );
}

/** The best of the answers that the searches of one request gave, of equal ones the first; with the moves of all of them. At least one. */
export function bestAnswer(answers: readonly LayAnswer[]): LayAnswer {
  const best = answers.reduce((found, answer) => (betterAnswer(answer, found) ? answer : found));
  return { ...best, moves: answers.reduce((sum, { moves }) => sum + moves, 0), stopped: answers.some(({ stopped }) => stopped) };
}

/** How far the searches of one request are together, with the best so far. At least one. */
export function joinedProgress(all: readonly LayProgress[]): LayProgress {
  return {
    done: all.reduce((sum, { done }) => sum + done, 0),
    of: all.reduce((sum, { of }) => sum + of, 0),
    best: bestAnswer(all.map(({ best }) => best)),
  };
}
