import { aheadOn } from '../../geometry/around';
import { stripRun, type SkinRun } from '../../form/skin';
import { perimeter } from '../../geometry/outline';
import { issue, type Issue } from '../../kernel/issue';
import type { Piece } from '../../piece/piece';
import type { SeamDraft } from '../../piece/seam';
import type { PlaquePlaces } from '../plaque/ask';
import { stripEdge } from '../sewing/cloth-piece';
import { lowerEdges, runsFrom, type Band, type BandPart } from './band';
import { cornersOf } from './corners';
import { clearOf, coveredMm, endsOf, placketPiece, type BandEnds } from './ends';
import { stripLengths } from './joins';
import { bandLie, middleOf, type BandLie } from './lie';
import { bandParts, joinSeam } from './parts';
import { centreBack, type Reached } from './reach';
import type { BoxingRequest } from './request';

/**
 * The boxing and plaque for a seam line of length P with a zip opening O, pocket depth q and seam s: plaque cut length O + 2s; boxing cut length
 * P − O + 4q + 2s, each join two allowances more. Panels are the same band joined at its corners: each is its side and two allowances.
 */
export function makeBand(request: BoxingRequest): Band {
  const { panels, opened } = request;
  const ends = endsOf(request);
  const lie = bandLie(request, ends);
  const parts = bandParts(request, ends, lie);
  const boxing = parts.map(({ piece }) => piece);
  const joins = boxing.slice(1).map((piece, i) => joinSeam(boxing[i] as Piece, piece, { panels, i: i + 1, of: boxing.length }));
  const runs = parts.map(({ piece, fromMm, toMm, x }): SkinRun =>
    stripRun(
      piece.id,
      { fromMm: lie.startMm + fromMm, toMm: lie.startMm + toMm, x },
      { lowerY: stripEdge(piece, 'lower').from.y, upperY: stripEdge(piece, 'upper').from.y },
    ),
  );
  const shared: Shared = { panels, boxing, joins, runs, problems: [...lieProblems(request, lie), ...(panels ? [] : trimProblems(request, boxing))] };
  return opened ? withPlaque(request, opened, ends, shared) : closedByHand(request, lie, parts, shared);
}

/** What a band has however it is closed. */
type Shared = Pick<Band, 'panels' | 'boxing' | 'joins' | 'runs'> & { readonly problems: readonly Issue[] };

/** A ring that is left open for the hand in its lower seam, at the centre back. */
function closedByHand({ sewn, handOpening: opening }: BoxingRequest, { onBand, lengthMm: length }: BandLie, parts: readonly BandPart[], shared: Shared): Band {
  const { panels, boxing } = shared;
  const back = centreBack(sewn);
  const [startMm, endMm] = [back - opening.value / 2, back + opening.value / 2];
  const from = onBand(startMm);
  const upTo = (from + opening.value) % length;
  const edge = (which: 'upper' | 'lower') => boxing.map((piece) => stripEdge(piece, which));
  const ring = joinSeam(boxing.at(-1) as Piece, boxing[0] as Piece, { panels, i: boxing.length, of: boxing.length });
  return {
    ...shared,
    opening,
    clear: opening,
    plaque: null,
    plackets: [],
    coversMm: 0,
    topEdge: edge('upper'),
    bottomEdge: edge('lower'),
    joins: [...shared.joins, { ...ring, id: 'boxing-ring', words: 'the boxing’s two ends' }],
    ends: [],
    zip: null,
    byHand: {
      startMm,
      endMm,
      opening: lowerEdges(parts, length, from, from + opening.value),
      rest: lowerEdges(parts, length, upTo, upTo + length - opening.value),
    },
  };
}

/** A boxing whose ends meet a plaque with the zip in it. */
function withPlaque(request: BoxingRequest, { reached, plaque: makePlaque }: NonNullable<BoxingRequest['opened']>, ends: BandEnds, shared: Shared): Band {
  const { boxing } = shared;
  const [first, last] = [boxing[0] as Piece, boxing.at(-1) as Piece];
  const plaque = makePlaque(reached.opening, ends.plaque, plaquePlaces(request, reached));
  const plackets = request.ends.kind === 'placket' ? [placketPiece(request)] : [];
  return {
    ...shared,
    problems: [...shared.problems, ...trimProblems(request, plaque.pieces)],
    opening: reached.opening,
    clear: clearOf(reached.opening, request.ends),
    plaque,
    plackets,
    coversMm: coveredMm(request.ends, request.seam.value),
    topEdge: [...boxing.map((piece) => stripEdge(piece, 'upper')), ...plaque.topEdge],
    bottomEdge: [...boxing.map((piece) => stripEdge(piece, 'lower')), ...plaque.bottomEdge],
    ends: [
      // The plaque is folded together at the zip before its ends are sewn.
      { id: 'plaque-end-left', zip: true, words: `plaque’s left end to the ${last.label}`, first: plaque.left, second: [stripEdge(last, 'right')] },
      { id: 'plaque-end-right', zip: true, words: `plaque’s right end to the ${first.label}`, first: plaque.right, second: [stripEdge(first, 'left')] },
      ...plackets.map((piece): SeamDraft => ({
        id: 'plackets',
        words: 'end plackets into the plaque’s ends',
        first: [stripEdge(piece, 'left'), stripEdge(piece, 'left')],
        second: [stripEdge(last, 'right'), stripEdge(first, 'left')],
      })),
    ],
    runs: [...shared.runs, ...runsFrom(plaque.runs, reached.middleMm - reached.opening.value / 2)],
    zip: { startMm: reached.middleMm - reached.opening.value / 2, endMm: reached.middleMm + reached.opening.value / 2 },
    byHand: null,
  };
}

/** What is wrong with a band before it is cut: no boxing left beside its zip, a join in sight, cloth too narrow. */
function lieProblems({ opened, round, stripMm }: BoxingRequest, { sewn, band, joinsMm, lengthMm }: BandLie): Issue[] {
  const onFront = !band.under.length && joinsMm.some((x) => x > band.front.from + 1e-6 && x < band.front.to - 1e-6);
  const openingMm = opened?.reached.opening.value ?? 0;
  const own = opened?.reached.own ?? false;
  return [
    ...(sewn.value <= 0
      ? [issue('error', 'zip-longer-than-cushion', own ? 'madeForZip' : 'construction.zipReach', { openingMm, roundMm: round.value, own: own ? 1 : 0 })]
      : []),
    ...(onFront ? [issue('warning', 'boxing-join-on-front', 'construction.strips', { stripMm, boxingMm: lengthMm })] : []),
    ...(stripLengths(band, joinsMm).some((one) => one > stripMm + 1e-9) ? [issue('error', 'cloth-too-narrow-for-strips', 'cloth.widthMm', { stripMm })] : []),
  ];
}

/** A strip as long as the cloth has nothing left to be trimmed at its joins: it has to be cut to the millimetre. */
function trimProblems({ trimOffMm, stripMm }: BoxingRequest, strips: readonly Piece[]): Issue[] {
  const wantedMm = 2 * trimOffMm;
  const [shortest] = strips.filter(({ trimMm }) => trimMm < wantedMm - 1e-6).sort((a, b) => a.trimMm - b.trimMm);
  return shortest ? [issue('note', 'strip-without-trim', 'construction.strips', { strip: shortest.label, trimMm: shortest.trimMm, wantedMm, stripMm })] : [];
}

/** The plates' notches opposite a plaque, and the joins of the plates over it: mm from the opening's left end, which the boxing does not reach. */
function plaquePlaces({ sewn, tiesMm, plateJoinsMm, panels }: BoxingRequest, { opening, middleMm }: Reached): PlaquePlaces {
  const round = perimeter(sewn);
  const start = middleMm - opening.value / 2;
  const along = (mm: number): number => aheadOn(round, start, mm);
  const within = (x: number): boolean => x > 1e-6 && x < opening.value - 1e-6;
  const corners = panels ? [] : cornersOf(sewn).map((corner) => along(middleOf(corner)));
  return {
    notches: [
      ['centre-back', along(centreBack(sewn))] as const,
      ...corners.map((x) => ['corner', x] as const),
      ...tiesMm.map((mm) => ['tie', along(mm)] as const),
    ].filter(([, x]) => within(x)),
    under: plateJoinsMm
      .map(along)
      .filter(within)
      .sort((a, b) => a - b),
  };
}
