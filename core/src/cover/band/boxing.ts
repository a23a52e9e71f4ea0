import { aheadOn } from '../../geometry/around';
import { edgeSpans, perimeter, type EdgeSpan, type Outline } from '../../geometry/outline';
import { given, measuredOn, minus, plus, renamed, sum, type Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import type { Mark, Piece } from '../../piece/piece';
import type { SeamDraft } from '../../piece/seam';
import { lowerEdges, type Band, type BandPart } from './band';
import { clothStrip, pairOfMarks, stripEdge } from '../sewing/cloth-piece';
import { cornersOf, type Corner } from './corners';
import { placeJoins, stripLengths, type BandToJoin } from './joins';
import type { PlaquePlaces } from '../plaque/ask';
import type { Plaque } from '../plaque/plaque';
import { centreBack, type Reached } from './reach';

/** How the boxing's ends meet the zip plaque: seamed to it plainly, folded back as a pocket, with a placket of its own, or hemmed and lapped over it. */
export const ZIP_ENDS = ['plain', 'pocket', 'placket', 'hemmed'] as const;
export type ZipEnds = (typeof ZIP_ENDS)[number];

export interface EndAsk {
  readonly kind: ZipEnds;
  readonly pocket: Figure;
  /** Turned in at a hemmed end, and how far its fold laps over the plaque. */
  readonly hem: Figure;
  readonly lap: Figure;
  readonly placketLength: Figure;
}

/** Where the stitches of a roll go along both edges of plate and band. */
export interface RollMarks {
  readonly alongMm: readonly number[];
  readonly insetMm: number;
}

export interface BoxingRequest {
  /** The plates' seam line. */
  readonly sewn: Outline;
  readonly round: Figure;
  /** Height of the boxing as it is cut, and the allowances of its two seams. */
  readonly cutHeight: Figure;
  readonly lower: Figure;
  readonly upper: Figure;
  readonly seam: Figure;
  /** Seamed at every corner instead of wrapped round. */
  readonly panels: boolean;
  /** The opening, and the plaque that fills it with so much cut beyond it at each end; null where the band has none. */
  readonly opened: { readonly reached: Reached; readonly plaque: (opening: Figure, end: Figure, places: PlaquePlaces) => Plaque } | null;
  /** What is left open for the hand, where it is. */
  readonly handOpening: Figure;
  readonly ends: EndAsk;
  /** Longest strip the cloth gives, mm; Infinity when strips run along the roll. */
  readonly stripMm: number;
  /** Stitches of a roll: mm round the seam line, and how far inside both edges; none where it is not given. */
  readonly roll?: RollMarks | null;
  /** Ties, mm round the seam line. */
  readonly tiesMm: readonly number[];
  readonly jointClearMm: number;
  /** A join is seen from the front so far behind its corners, mm. */
  readonly frontClearMm: number;
  /** Joins of the plates, mm round the seam line: those of the band lie under them. */
  readonly plateJoinsMm: readonly number[];
  readonly trimOffMm: number;
}

/** What is cut beyond the band's own length at each of its ends, and beyond the opening at each end of the plaque. */
function endsOf({ ends: { kind, pocket, hem, lap }, seam, opened }: BoxingRequest): {
  readonly boxing: Figure;
  readonly plaque: Figure;
  readonly foldMm: number;
} {
  if (!opened || kind === 'plain' || kind === 'placket') return { boxing: seam, plaque: seam, foldMm: 0 };
  if (kind === 'pocket') return { boxing: sum('an end', seam, plus(pocket, 2)), plaque: seam, foldMm: pocket.value };
  return { boxing: hem, plaque: lap, foldMm: 0 };
}

/** The whole boxing's cut length, every join in it: P − O + 2s, with pockets 4q more; hemmed ends P − O + 2 hems. */
function wholeLength(request: BoxingRequest, sewn: Figure, joins: number): Figure {
  const { ends, seam, opened } = request;
  const each = joins ? [plus(given('for each join', 2 * seam.value, 'counted'), joins)] : [];
  if (opened && ends.kind === 'hemmed') return sum('boxing, cut', sewn, plus(ends.hem, 2), ...each);
  return sum('boxing, cut', sewn, ...(opened && ends.kind === 'pocket' ? [plus(ends.pocket, 4)] : []), plus(seam, 2), ...each);
}

const middleOf = ({ start, end }: Corner): number => (start + end) / 2;

/** Where panels meet, mm from the band's start: the middles of the corners that are not under the plaque; and where a panel is longer than the cloth allows, evenly between. */
function panelJoins(band: BandToJoin, corners: readonly number[]): number[] {
  const at = corners.filter((x) => x > 1e-6 && x < band.lengthMm - 1e-6).sort((a, b) => a - b);
  const stops = [0, ...at, band.lengthMm];
  return stops.slice(1).flatMap((to, i) => {
    const from = stops[i] ?? 0;
    const ends = (i === 0 ? band.endsMm[0] : 0) + (i === at.length ? band.endsMm[1] : 0);
    const room = band.stripMm - 2 * band.seamMm - ends;
    const parts = Number.isFinite(room) && room > 0 ? Math.max(1, Math.ceil((to - from) / room - 1e-9)) : 1;
    const under = parts > 1 ? band.under.filter((x) => x > from + 1e-6 && x < to - 1e-6) : [];
    const inner = under.length ? under : Array.from({ length: parts - 1 }, (_, k) => from + ((to - from) * (k + 1)) / parts);
    return i === at.length ? inner : [...inner, to];
  });
}

/** What each part of the boxing is called: by its number, or as a panel by the side it stands on. */
function namesOf(panels: boolean, middles: readonly number[], spans: readonly EdgeSpan[]): { readonly id: string; readonly label: string }[] {
  const of = middles.length;
  if (!panels) return middles.map((_, i) => ({ id: `boxing-${i + 1}`, label: of > 1 ? `boxing ${i + 1} of ${of}` : 'boxing' }));
  const seen = new Map<string, number>();
  return middles.map((along) => {
    const side = spans.find(({ start, end }) => along >= start - 1e-6 && along <= end + 1e-6)?.edge ?? 'front';
    const count = (seen.get(side) ?? 0) + 1;
    seen.set(side, count);
    return { id: `panel-${side}${count > 1 ? `-${count}` : ''}`, label: `${side} panel${count > 1 ? ` ${count}` : ''}` };
  });
}

/**
 * The boxing and plaque for a seam line of length P with a zip opening O, pocket depth q and seam s: plaque cut length O + 2s; boxing cut length
 * P − O + 4q + 2s, each join two allowances more. Panels are the same band joined at its corners: each is its side and two allowances.
 */
export function makeBand(request: BoxingRequest): Band {
  const { sewn, seam, round, opened, panels, lower, upper } = request;
  const reached = opened?.reached ?? null;
  const totalMm = perimeter(sewn);
  const spans = edgeSpans(sewn);
  const corners = cornersOf(sewn);
  const problems: Issue[] = [];
  const back = centreBack(sewn);
  // A band closed by hand starts where a join does least harm: at the first corner behind the front, else at the centre back.
  const cornerBack = corners
    .map(middleOf)
    .filter((at) => at < back)
    .at(-1);
  const bandStart = reached ? reached.middleMm + reached.opening.value / 2 : panels ? (cornerBack ?? back) : back;
  const sewnBoxing = reached ? sum('boxing, sewn', round, minus(reached.opening)) : renamed('boxing, sewn', round);
  if (sewnBoxing.value <= 0)
    problems.push(issue('error', 'zip-longer-than-cushion', 'construction.zipReach', { openingMm: reached?.opening.value ?? 0, roundMm: round.value }));

  const onBand = (along: number): number => aheadOn(totalMm, bandStart, along);
  const front = spans.find((span) => span.edge === 'front');
  const length = Math.max(0, sewnBoxing.value);
  const end = endsOf(request);
  const clear = request.jointClearMm;
  const cornerZones = corners.map(({ start, end: stop }) => ({ from: onBand(start) - clear, to: onBand(start) + (stop - start) + clear }));
  // A tie on the zip's own stretch crowds no join: there is none there.
  const tieZones = request.tiesMm.map((along) => ({ from: onBand(along) - clear, to: onBand(along) + clear }));
  const frontZone = front ? { from: onBand(front.start), to: onBand(front.start) + (front.end - front.start) } : { from: 0, to: 0 };
  const band: BandToJoin = {
    lengthMm: length,
    stripMm: request.stripMm,
    trimMm: 2 * request.trimOffMm,
    seamMm: seam.value,
    endsMm: [end.boxing.value - seam.value, end.boxing.value - seam.value],
    front: frontZone,
    nearFront: [
      { from: frontZone.from - request.frontClearMm, to: frontZone.from + 1e-6 },
      { from: frontZone.to - 1e-6, to: frontZone.to + request.frontClearMm },
    ],
    under: request.plateJoinsMm
      .map(onBand)
      .filter((x) => x > 1e-6 && x < length - 1e-6)
      .sort((a, b) => a - b),
    crowded: [{ from: 0, to: clear }, { from: length - clear, to: length }, ...cornerZones, ...tieZones],
  };
  const at = panels
    ? panelJoins(
        band,
        corners.map((corner) => onBand(middleOf(corner))),
      )
    : (placeJoins(band)?.at ?? []);
  if (!band.under.length && at.some((x) => x > band.front.from + 1e-6 && x < band.front.to - 1e-6))
    problems.push(issue('warning', 'boxing-join-on-front', 'construction.strips', { stripMm: request.stripMm, boxingMm: length }));

  const lengths = stripLengths(band, at);
  if (lengths.some((one) => one > request.stripMm + 1e-9))
    problems.push(issue('error', 'cloth-too-narrow-for-strips', 'cloth.widthMm', { stripMm: request.stripMm }));
  const whole = wholeLength(request, sewnBoxing, at.length);
  const stops = [0, ...at, length];
  const of = lengths.length;
  const names = namesOf(
    panels,
    lengths.map((_, i) => (bandStart + ((stops[i] ?? 0) + (stops[i + 1] ?? 0)) / 2) % totalMm),
    spans,
  );
  const places: [Mark['kind'], number][] = [
    ...(front ? [['centre-front', onBand((front.start + front.end) / 2)] as [Mark['kind'], number]] : []),
    ...corners.map((corner): [Mark['kind'], number] => ['corner', onBand(corner.start) + (corner.end - corner.start) / 2]),
    ...request.tiesMm.map((along): [Mark['kind'], number] => ['tie', onBand(along)]),
    ...(reached ? [] : [['centre-back', onBand(back)] as [Mark['kind'], number]]),
    ...(end.foldMm > 0
      ? ([
          ['fold', -end.foldMm],
          ['fold', length + end.foldMm],
        ] as [Mark['kind'], number][])
      : []),
  ];
  const parts = lengths.map((cutMm, i): BandPart => {
    const [from, to] = [stops[i] ?? 0, stops[i + 1] ?? length];
    const [leftEnd, rightEnd] = [i === 0 ? end.boxing : seam, i === of - 1 ? end.boxing : seam];
    const [left, right] = [leftEnd.value, rightEnd.value];
    const ownEnd = (kind: Mark['kind'], x: number): boolean => kind === 'fold' && ((x < 0 && i === 0) || (x > length && i === of - 1));
    // A panel's own ends are its corners: they need no notch.
    const within = (x: number): boolean => (panels ? x > from + 1e-6 && x < to - 1e-6 : x >= from && x <= to);
    const marks = places
      .filter(([kind, x]) => within(x) || ownEnd(kind, x))
      .flatMap(([kind, x]) => pairOfMarks(kind, left + x - from, request.cutHeight.value, { lower: lower.value, upper: upper.value }));
    const stitches = (request.roll?.alongMm ?? [])
      .map(onBand)
      .filter((x) => x >= from - 1e-6 && x <= to + 1e-6)
      .flatMap((x): Mark[] => {
        const { insetMm } = request.roll as RollMarks;
        const at = (y: number): Mark => ({ kind: 'roll', at: { x: left + x - from, y }, outward: { x: 0, y: 0 } });
        return [at(lower.value + insetMm), at(request.cutHeight.value - upper.value - insetMm)];
      });
    const run = panels ? given('its side', to - from, 'measured') : measuredOn(`strip ${i + 1} of ${of}`, to - from, 'from join to join of {0}', [sewnBoxing]);
    const ends = leftEnd === rightEnd ? [plus(leftEnd, 2)] : [plus(leftEnd), plus(rightEnd)];
    const width = of === 1 ? whole : sum(panels ? 'panel, cut' : 'boxing strip', run, ...ends);
    const piece = clothStrip(
      'boxing',
      {
        ...(names[i] ?? { id: `boxing-${i + 1}`, label: 'boxing' }),
        role: panels ? 'panel' : 'boxing',
        remark: of > 1 ? '' : 'no join',
        part: { index: i + 1, of },
        width,
        height: request.cutHeight,
        // Strips are cut longer at both ends, as far as the cloth allows; panels are cut to their side.
        trimMm: panels ? 0 : Math.max(0, Math.min(2 * request.trimOffMm, request.stripMm - cutMm)),
      },
      { left, right, lower: lower.value, upper: upper.value },
      [...marks, ...stitches],
    );
    return { piece, fromMm: from, toMm: to, x: left };
  });

  const boxing = parts.map(({ piece }) => piece);
  if (!panels) problems.push(...trimProblems(request, boxing));
  const [first, last] = [boxing[0] as Piece, boxing.at(-1) as Piece];
  const joinSeam = (left: Piece, right: Piece, i: number): SeamDraft => ({
    id: panels ? `panel-corner-${i}` : `boxing-join-${i}`,
    words: panels ? `${left.label} to the ${right.label}` : of > 2 ? `join ${i} in the boxing` : 'join in the boxing',
    first: [stripEdge(left, 'right')],
    second: [stripEdge(right, 'left')],
  });
  const joins = boxing.slice(1).map((piece, i) => joinSeam(boxing[i] as Piece, piece, i + 1));
  const shared = {
    panels,
    boxing,
    problems,
  };
  if (!opened || !reached) {
    const opening = request.handOpening;
    const [startMm, endMm] = [back - opening.value / 2, back + opening.value / 2];
    const from = onBand(startMm);
    const edge = (which: 'upper' | 'lower') => boxing.map((piece) => stripEdge(piece, which));
    return {
      ...shared,
      opening,
      clear: opening,
      plaque: null,
      plackets: [],
      topEdge: edge('upper'),
      bottomEdge: edge('lower'),
      joins: [...joins, { ...joinSeam(last, first, of), id: 'boxing-ring', words: 'the boxing’s two ends' }],
      ends: [],
      zip: null,
      byHand: {
        startMm,
        endMm,
        opening: lowerEdges(parts, length, from, from + opening.value),
        rest: lowerEdges(parts, length, (from + opening.value) % length, ((from + opening.value) % length) + length - opening.value),
      },
    };
  }
  const plaque = opened.plaque(reached.opening, end.plaque, plaquePlaces(request, reached));
  problems.push(...trimProblems(request, plaque.pieces));
  const plackets = request.ends.kind === 'placket' ? [placketPiece(request)] : [];
  return {
    ...shared,
    opening: reached.opening,
    clear: clearOf(reached.opening, request.ends),
    plaque,
    plackets,
    topEdge: [...boxing.map((piece) => stripEdge(piece, 'upper')), ...plaque.topEdge],
    bottomEdge: [...boxing.map((piece) => stripEdge(piece, 'lower')), ...plaque.bottomEdge],
    joins,
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
    zip: { startMm: reached.middleMm - reached.opening.value / 2, endMm: bandStart },
    byHand: null,
  };
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

/** What of an opening the core can pass: pockets lie over its ends. */
function clearOf(opening: Figure, { kind, pocket }: EndAsk): Figure {
  return kind === 'pocket' && pocket.value > 0 ? sum('what shows of the opening', opening, minus(pocket, 2)) : opening;
}

/** A small piece that hides an end of the zip: two a cushion, as high as the boxing. */
function placketPiece({ ends, cutHeight, lower, upper, seam }: BoxingRequest): Piece {
  return clothStrip(
    'boxing',
    {
      id: 'placket',
      role: 'placket',
      label: 'end placket',
      remark: 'hides an end of the zip',
      countPerCushion: 2,
      width: ends.placketLength,
      height: cutHeight,
    },
    { left: seam.value, right: 0, lower: lower.value, upper: upper.value },
    [],
  );
}
