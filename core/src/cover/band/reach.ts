import { apartOn } from '../../geometry/around';
import { edgeSpans, perimeter, type EdgeSpan, type Outline } from '../../geometry/outline';
import { given, law, measuredOn, minus, plus, renamed, sum, type Figure } from '../../kernel/figure';

/**
 * How far a zip runs: the full back and a return round each corner, the back only, shorter than the back, a fraction of the round that passes the ties, or
 * round three sides.
 */
export const REACHES = ['corners', 'back', 'short', 'fraction', 'three-sides'] as const;
export type Reach = (typeof REACHES)[number];

export const REACH_WORDS: Record<Reach, string> = {
  corners: 'the back and round its corners',
  back: 'the back only',
  short: 'shorter than the back',
  fraction: 'a fraction of the round',
  'three-sides': 'round three sides',
};

export interface ReachAsk {
  /** The plates' seam line. */
  readonly sewn: Outline;
  readonly sewnWidth: Figure;
  readonly round: Figure;
  /** Round each back corner. */
  readonly zipReturn: Figure;
  /** Short of each back corner. */
  readonly zipShort: Figure;
  /** Ties, mm round the seam line. */
  readonly tiesMm: readonly number[];
  /** Beyond each tie. */
  readonly pastTie: Figure;
  /** Depth of the pockets that hide the zip's ends: of the opening between the joins only what they leave shows. 0 where there are none. */
  readonly pocket: Figure;
}

/** An opening between the joins of the zip plaque, and where its middle is, mm round the seam line. */
export interface Reached {
  readonly opening: Figure;
  readonly middleMm: number;
  /** It is as long as the salvaged zip that the cover is made for. */
  readonly own?: true;
}

/** One side of an outline with the rounded corners at both its ends. */
interface Side {
  readonly mm: number;
  readonly middleMm: number;
}

function sideOf(outline: Outline, edge: EdgeSpan['edge']): Side | null {
  const spans = edgeSpans(outline);
  const index = spans.findIndex((span) => span.edge === edge);
  const span = spans[index];
  if (!span) return null;
  const corner = (one: EdgeSpan | undefined): number => (one?.edge === 'corner' ? one.end - one.start : 0);
  const [before, after] = [corner(spans.at(index - 1)), corner(spans[(index + 1) % spans.length])];
  return { mm: span.end - span.start + before + after, middleMm: (span.start - before + span.end + after) / 2 };
}

/** Where the middle of the back is, mm round a seam line; 0 where it has no back. */
export const centreBack = (sewn: Outline): number => sideOf(sewn, 'back')?.middleMm ?? 0;

/** The opening that a reach asks for. */
export function reachOf(reach: Reach, { sewn, sewnWidth, round, zipReturn, zipShort, tiesMm, pastTie, pocket }: ReachAsk): Reached {
  const side = sideOf(sewn, 'back') ?? { mm: 0, middleMm: 0 };
  const { middleMm } = side;
  const back = side.mm === sewnWidth.value ? sewnWidth : measuredOn('back edge with its corners', side.mm, 'along the back of {0}', [sewnWidth]);
  switch (reach) {
    case 'corners':
      return { opening: sum('zip opening', back, plus(zipReturn, 2)), middleMm };
    case 'back':
      return { opening: renamed('zip opening', back), middleMm };
    case 'short':
      return { opening: sum('zip opening', back, minus(zipShort, 2)), middleMm };
    case 'fraction': {
      const total = perimeter(sewn);
      const offs = tiesMm.map((along) => apartOn(total, along, middleMm)).filter((off) => off <= side.mm / 2 + 1e-6);
      if (!offs.length) return { opening: law('zip opening', '{0} ÷ 4', [round]), middleMm };
      const ties = given('from tie to tie', 2 * Math.max(...offs), 'measured');
      // What shows passes the ties: pockets lie over the ends of what is open.
      const inputs = [round, ties, pastTie, ...(pocket.value > 0 ? [pocket] : [])];
      const formula = `the greater of {0} ÷ 4 and {1} + 2 × {2}${pocket.value > 0 ? ' + 2 × {3}' : ''}`;
      return {
        opening: law('zip opening', formula, inputs),
        middleMm,
      };
    }
    case 'three-sides': {
      const front = sideOf(sewn, 'front') ?? { mm: 0, middleMm: 0 };
      const edge = given('front edge with its corners', front.mm, 'measured');
      return { opening: sum('zip opening', round, minus(edge)), middleMm: front.middleMm + perimeter(sewn) / 2 };
    }
  }
}
