import { solveLay, type LayRequest } from '@yardland/core';
import { layFor } from '../../cli/src/lay-worker';
import { readBestLays, type BestLays } from './best-lays';
import { puzzle, realSets, setHash } from './lay-sets';
import { rowOf, type Row } from './measure';

const unused = (request: LayRequest, seconds: number): number => 100 * (1 - layFor({ request, seconds }).use);
const unusedByBoxes = (request: LayRequest): number => 100 * (1 - solveLay({ ...request, moves: 0 }).use);
/** Time for a set of a roll, and for a hide, s. */
const SET_S = 10;
const HIDE_S = 20;

/** The rows of one set: what is left over, how much that is beside the best lay known, and what boxes leave over. */
function setRows({ name, words, goal, request }: ReturnType<typeof realSets>[number], best: BestLays): Row[] {
  const onHide = request.material.kind === 'hide';
  const seconds = onHide ? HIDE_S : SET_S;
  const left = unused(request, seconds);
  const known = best[name];
  return [
    rowOf(`left over of ${words}, after ${seconds} s`, goal, [left], { unit: '%' }),
    ...(known?.hash === setHash(request)
      ? [rowOf('in the best lay known of it (`npm run best-lays`)', '—', [100 * (1 - known.answer.use)], { unit: '%' })]
      : []),
    ...(onHide ? [] : [rowOf('the same by boxes', '—', [unusedByBoxes(request)], { unit: '%' })]),
  ];
}

/** How much of the material lays leave over in a given time, one thread; beside each what laying the pieces' boxes leaves over. */
export function layRows(root: string): Row[] {
  const puzzles: readonly (readonly [pieces: number, seconds: number, goal: string])[] = [
    [12, 1, '0 %'],
    [30, 10, '8 %'],
    [60, 10, '12 %'],
    [120, 10, '15 %'],
  ];
  const in1st = (request: LayRequest): number => {
    const begun = performance.now();
    layFor({ request, seconds: 0 });
    return performance.now() - begun;
  };
  const best = readBestLays(root);
  return [
    ...puzzles.flatMap(([pieces, seconds, goal]) => {
      const requests = [1, 2, 3].map((seed) => puzzle(pieces, seed));
      return [
        rowOf(
          `left over of ${pieces} pieces that fill a rectangle, after ${seconds} s`,
          goal,
          requests.map((one) => unused(one, seconds)),
          { unit: '%' },
        ),
        rowOf(`the same by boxes`, '—', requests.map(unusedByBoxes), { unit: '%' }),
      ];
    }),
    ...realSets(root).flatMap((set) => [
      ...setRows(set, best),
      ...(set.request.material.kind === 'hide'
        ? []
        : [
            rowOf(
              `the first valid lay of ${set.words}`,
              'under 100 ms',
              [1, 2, 3, 4, 5].map(() => in1st(set.request)),
            ),
          ]),
    ]),
  ];
}
