import { perimeter } from '../../geometry/outline';
import { issue, type Issue } from '../../kernel/issue';
import { operation, type Operation, type Tool } from '../../piece/operation';
import type { Piece } from '../../piece/piece';
import { sewnMm } from '../../piece/seam';
import type { AssumptionKey } from '../../shop/assumptions';
import type { RawEdges } from '../../shop/ways';
import type { Cover, CoverRequest } from '../contract';
import { WIDE_STEP } from '../plate/piece-wide';

/** What the shop does to raw edges, by what the cloth is spun of. */
export interface EdgeWays {
  readonly natural: RawEdges;
  readonly synthetic: RawEdges;
}

/** Ways that are a step of their own, before anything is sewn. */
const STEPS: Record<
  Exclude<RawEdges, 'left' | 'top-stitched'>,
  { readonly text: string; readonly rate: AssumptionKey; readonly tool: Tool; readonly cautions: readonly string[] }
> = {
  pinked: {
    text: 'Pink the cut edges that fray.',
    rate: 'pinkMetreMinutes',
    tool: 'pinking shears',
    cautions: ['Pink along the very edge: what is pinked off is missing from the allowance.'],
  },
  overlocked: {
    text: 'Overlock the cut edges that fray, without trimming them.',
    rate: 'overlockMetreMinutes',
    tool: 'overlock machine',
    cautions: ['Notches stay in sight: clip them anew where the thread has covered them.'],
  },
  sealed: {
    text: 'Seal the cut edges that fray with the hot knife.',
    rate: 'sealMetreMinutes',
    tool: 'hot knife',
    cautions: ['Hot knife: synthetics only, never cotton or wool; try a scrap. Fumes: at an open window, with a mask.'],
  },
};

const COVERED = 'Raw edges: turn both allowances to one side and top-stitch them down before another seam crosses them.';

/** What each way needs of a seam allowance, and what it is called. */
const LEAST: Partial<Record<RawEdges, { readonly key: AssumptionKey; readonly more: number; readonly words: string }>> = {
  pinked: { key: 'pinkedLeastMm', more: 0, words: 'a pinked edge' },
  overlocked: { key: 'overlockedLeastMm', more: 0, words: 'an overlocked edge' },
  // The row lies as far from the seam as a ridge, and holds what lies beyond it.
  'top-stitched': { key: 'ridgeMm', more: 3, words: 'an allowance that is top-stitched down' },
};

/** The pieces of cloth that fray, by what is done to their edges. */
function fraying({ pieces }: Cover, { cloth }: CoverRequest, ways: EdgeWays): Map<RawEdges, Piece[]> {
  const by = new Map<RawEdges, Piece[]>();
  for (const piece of pieces) {
    // What is cut out of a drop is held as the parts that it is cut into; bias strips do not fray.
    if (piece.material.kind !== 'cloth' || piece.grain === 'bias' || pieces.some(({ partOf }) => partOf?.drop === piece.id)) continue;
    const { frays, synthetic } = cloth(piece.material.slot);
    const way = synthetic ? ways.synthetic : ways.natural;
    if (frays && way !== 'left') by.set(way, [...(by.get(way) ?? []), piece]);
  }
  return by;
}

/** The cover with what is done to its raw edges: a step after cutting, or a row on each seam; said where the seam allowance is too small for it. */
export function withRawEdges(cover: Cover, request: CoverRequest, ways: EdgeWays): Cover {
  const by = fraying(cover, request, ways);
  const { assume, sizes } = request;
  const problems = [...by.keys()].flatMap((way): Issue[] => {
    const least = LEAST[way];
    const leastMm = least ? assume(least.key) + least.more : 0;
    return least && sizes.seam.value < leastMm - 1e-6
      ? [issue('warning', 'raw-edge-wants-allowance', 'construction.seamMm', { what: least.words, leastMm, seamMm: sizes.seam.value })]
      : [];
  });
  const steps = [...by].flatMap(([way, pieces]): Operation[] => {
    if (way === 'left' || way === 'top-stitched') return [];
    const { text, rate, tool, cautions } = STEPS[way];
    const runMm = pieces.reduce((mm, piece) => mm + piece.countPerCushion * perimeter(piece.outline), 0);
    return [
      operation({
        id: `cut/edges-${way}`,
        phase: 'cut',
        text,
        cautions,
        tools: [tool],
        pieces: pieces.map(({ id }) => id),
        minutes: assume('cutFixedMinutes') + (assume(rate) * runMm) / 1000,
        needs: way === 'overlocked' ? 'machine' : 'table',
        after: ['cut/cover', 'cut/notch', 'cut/case', 'cut/case-notch', WIDE_STEP],
      }),
    ];
  });
  const covered = new Set(by.get('top-stitched')?.map(({ id }) => id));
  const lastCut = cover.operations.findLastIndex(({ phase }) => phase === 'cut');
  return {
    ...cover,
    operations: cover.operations.flatMap((one, i): Operation[] => [coveredEdges(one, cover, covered, assume), ...(i === lastCut ? steps : [])]),
    problems: [...cover.problems, ...problems],
  };
}

/** A step that joins pieces whose edges are covered by top stitch: with the row on each of its seams that has none yet. */
function coveredEdges(one: Operation, { seams }: Cover, covered: ReadonlySet<string>, assume: CoverRequest['assume']): Operation {
  const inSight = new Set(seams.filter(({ method }) => method === 'top-stitch').map(({ edges }) => JSON.stringify(edges[0].stretches)));
  const joined = seams.filter(
    ({ id, method, zip, edges }) =>
      one.seams.includes(id) &&
      method === 'machine' &&
      !zip &&
      !inSight.has(JSON.stringify(edges[0].stretches)) &&
      edges.every(({ stretches }) => stretches.some(({ piece }) => covered.has(piece))),
  );
  if (joined.length === 0) return one;
  return { ...one, cautions: [...one.cautions, COVERED], minutes: one.minutes + (assume('sewMetreMinutes') * sewnMm(joined)) / 1000 };
}
