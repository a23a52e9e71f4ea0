import { edgeSpans, perimeter, type EdgeSpan, type Outline } from '../../geometry/outline';
import { given, law, minus, plus, sum, type Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import type { Mark, Piece } from '../../piece/piece';
import type { SeamDraft, Stretch } from '../../piece/seam';
import { clothStrip, pairOfMarks, stripEdge } from './cloth-piece';
import { cornersOf } from './corners';
import { placeJoins, stripLengths, type BandToJoin } from './joins';

export interface BoxingRequest {
  /** The plates' seam line. */
  readonly sewn: Outline;
  readonly sewnWidth: Figure;
  readonly round: Figure;
  readonly cutHeight: Figure;
  readonly finishedHeight: Figure;
  readonly seam: Figure;
  readonly zipWidth: Figure;
  readonly zipReturn: Figure;
  readonly zipPocket: Figure;
  /** Longest strip the cloth gives, mm; Infinity when strips run along the roll. */
  readonly stripMm: number;
  /** Ties, mm round the seam line. */
  readonly tiesMm: readonly number[];
  readonly jointClearMm: number;
  readonly trimOffMm: number;
}

/** The band round the cushion: boxing strips or panels, and the slit-strip zip plaque. */
export interface Band {
  readonly opening: Figure;
  readonly boxing: readonly Piece[];
  readonly plaque: Piece;
  /** The band's edges along the top and the bottom plate: what meets their seam lines. */
  readonly topEdge: readonly Stretch[];
  readonly bottomEdge: readonly Stretch[];
  /** Seams inside the band: strips end to end, or panels at the corners. */
  readonly joins: readonly SeamDraft[];
  /** The plaque's ends against what they meet. */
  readonly plaqueEnds: SeamDraft;
  /** Zip start and end, mm round the sewn outline. */
  readonly zip: { readonly startMm: number; readonly endMm: number };
  readonly problems: readonly Issue[];
}

interface Layout {
  readonly spans: readonly EdgeSpan[];
  readonly totalMm: number;
  readonly backMm: number;
  readonly centreBackMm: number;
}

/** The back edge with the rounded corners at both its ends: what the zip covers before its returns. */
function backOf(outline: Outline): Layout {
  const spans = edgeSpans(outline);
  const totalMm = perimeter(outline);
  const index = spans.findIndex((span) => span.edge === 'back');
  const back = spans[index] ?? { edge: 'back', start: 0, end: 0 };
  const corner = (span: EdgeSpan | undefined): number => (span?.edge === 'corner' ? span.end - span.start : 0);
  const before = corner(spans[index - 1]);
  const after = corner(spans[index + 1]);
  return { spans, totalMm, backMm: back.end - back.start + before + after, centreBackMm: (back.start - before + back.end + after) / 2 };
}

/**
 * The boxing and plaque for a seam line of length P with a zip opening O, pocket depth q and seam s:
 * plaque cut length O + 2s; boxing cut length P − O + 4q + 2s, each join two allowances more.
 */
export function makeBand(request: BoxingRequest): Band {
  const { seam, round, zipPocket: pocket } = request;
  const layout = backOf(request.sewn);
  const corners = cornersOf(request.sewn);
  const problems: Issue[] = [];
  const back = law('back edge with its corners', 'back of {0}', [request.sewnWidth], () => layout.backMm);
  const opening = sum('zip opening', layout.backMm === request.sewnWidth.value ? request.sewnWidth : back, plus(request.zipReturn, 2));

  const bandStart = layout.centreBackMm + opening.value / 2;
  const sewnBoxing = sum('boxing, sewn', round, minus(opening));
  if (sewnBoxing.value <= 0)
    problems.push(issue('error', 'zip-longer-than-cushion', 'construction.zipReturnMm', { openingMm: opening.value, roundMm: round.value }));

  const onBand = (along: number): number => (((along - bandStart) % layout.totalMm) + layout.totalMm) % layout.totalMm;
  const front = layout.spans.find((span) => span.edge === 'front');
  const cornerZones = corners.map(({ start, end }) => ({
    from: onBand(start) - request.jointClearMm,
    to: onBand(start) + (end - start) + request.jointClearMm,
  }));
  // A tie on the zip's own stretch crowds no join: there is none there.
  const tieZones = request.tiesMm.map((along) => ({ from: onBand(along) - request.jointClearMm, to: onBand(along) + request.jointClearMm }));
  const length = Math.max(0, sewnBoxing.value);
  const band: BandToJoin = {
    lengthMm: length,
    stripMm: request.stripMm,
    seamMm: seam.value,
    endMm: 2 * pocket.value,
    front: front ? { from: onBand(front.start), to: onBand(front.start) + (front.end - front.start) } : { from: 0, to: 0 },
    crowded: [{ from: 0, to: request.jointClearMm }, { from: length - request.jointClearMm, to: length }, ...cornerZones, ...tieZones],
  };
  const joins = placeJoins(band) ?? { at: [], onFront: false, crowded: false };
  if (joins.onFront) problems.push(issue('warning', 'boxing-join-on-front', 'construction.strips', { stripMm: request.stripMm, boxingMm: length }));

  const lengths = stripLengths(band, joins.at);
  if (lengths.some((one) => one > request.stripMm)) problems.push(issue('error', 'cloth-too-narrow-for-strips', 'cloth.widthMm', { stripMm: request.stripMm }));
  const whole = sum(
    'boxing, cut',
    sewnBoxing,
    plus(pocket, 4),
    plus(seam, 2),
    ...(joins.at.length ? [plus(given('for each join', 2 * seam.value, 'counted'), joins.at.length)] : []),
  );
  const boxing = lengths.map((cutMm, i) => {
    const from = i === 0 ? 0 : (joins.at[i - 1] ?? 0);
    const to = joins.at[i] ?? length;
    const start = seam.value + (i === 0 ? 2 * pocket.value : 0);
    const places: [Mark['kind'], number][] = [
      ...(front ? [['centre-front', onBand((front.start + front.end) / 2)] as [Mark['kind'], number]] : []),
      ...corners.map(({ start: s, end }): [Mark['kind'], number] => ['corner', onBand(s) + (end - s) / 2]),
      ...request.tiesMm.map((along): [Mark['kind'], number] => ['tie', onBand(along)]),
      ...(pocket.value > 0
        ? ([
            ['fold', -pocket.value],
            ['fold', length + pocket.value],
          ] as [Mark['kind'], number][])
        : []),
    ];
    const ownEnd = (kind: Mark['kind'], at: number): boolean => kind === 'fold' && ((at < 0 && i === 0) || (at > length && i === lengths.length - 1));
    const marks = places
      .filter(([kind, at]) => (at >= from && at <= to) || ownEnd(kind, at))
      .flatMap(([kind, at]) => pairOfMarks(kind, start + at - from, request.cutHeight.value, { lower: seam.value, upper: seam.value }));
    const width = lengths.length === 1 ? whole : law('boxing strip', `strip ${i + 1} of ${lengths.length}, of {0}`, [whole], () => cutMm);
    const of = lengths.length;
    // Both ends of the whole band are folded back over the zip's ends.
    const fold = 2 * pocket.value;
    return clothStrip(
      'boxing',
      {
        id: `boxing-${i + 1}`,
        role: 'boxing',
        label: of > 1 ? `boxing ${i + 1} of ${of}` : 'boxing',
        remark: of > 1 ? '' : 'no join',
        part: { index: i + 1, of },
        width,
        height: request.cutHeight,
        trimMm: trimFor(cutMm, request),
      },
      {
        left: seam.value + (i === 0 ? fold : 0),
        right: seam.value + (i === of - 1 ? fold : 0),
        lower: seam.value,
        upper: seam.value,
      },
      marks,
    );
  });

  const plaqueHeight = sum('plaque, cut', request.finishedHeight, plus(seam, 2), plus(request.zipWidth));
  const plaqueLength = sum('plaque, cut', opening, plus(seam, 2));
  if (plaqueLength.value > request.stripMm)
    problems.push(issue('warning', 'plaque-longer-than-strip', 'construction.strips', { plaqueMm: plaqueLength.value, stripMm: request.stripMm }));
  const plaque = slitPlaque(plaqueLength, plaqueHeight, seam.value, trimFor(plaqueLength.value, request), { left: seam.value, right: seam.value });

  const [first, last] = [boxing[0] as Piece, boxing.at(-1) as Piece];
  return {
    opening,
    boxing,
    plaque,
    topEdge: [...boxing, plaque].map((piece) => stripEdge(piece, 'upper')),
    bottomEdge: [...boxing, plaque].map((piece) => stripEdge(piece, 'lower')),
    joins: boxing.slice(1).map((piece, i): SeamDraft => ({
      id: `boxing-join-${i + 1}`,
      words: boxing.length > 2 ? `join ${i + 1} in the boxing` : 'join in the boxing',
      first: [stripEdge(boxing[i] as Piece, 'right')],
      second: [stripEdge(piece, 'left')],
    })),
    plaqueEnds: {
      id: 'plaque-ends',
      words: 'plaque to boxing, both ends',
      // The plaque is folded together at the zip before its ends are sewn.
      first: [stripEdge(plaque, 'left', request.zipWidth.value), stripEdge(plaque, 'right', request.zipWidth.value)],
      second: [stripEdge(last, 'right'), stripEdge(first, 'left')],
    },
    zip: { startMm: layout.centreBackMm - opening.value / 2, endMm: bandStart },
    problems,
  };
}

/** The slit strip of a zip plaque: as long as its opening and two allowances, as high as the band and the zip. */
export function slitPlaque(length: Figure, height: Figure, seamMm: number, trimMm: number, ends: { readonly left: number; readonly right: number }): Piece {
  const sides = { lower: seamMm, upper: seamMm };
  const marks = pairOfMarks('centre-back', length.value / 2, height.value, sides);
  return clothStrip(
    'boxing',
    { id: 'plaque', role: 'plaque', label: 'zip plaque', remark: 'slit strip', width: length, height, trimMm },
    { ...ends, ...sides },
    marks,
  );
}

/** Strips are cut longer at both ends, as far as the cloth allows. */
function trimFor(cutMm: number, request: BoxingRequest): number {
  return Math.max(0, Math.min(2 * request.trimOffMm, request.stripMm - cutMm));
}
