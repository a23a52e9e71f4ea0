import { stripRun, type SkinRun } from '../../form/skin';
import { growEdges } from '../../geometry/offset';
import { edgeSpans, perimeter, polygonOutline, rectangleOutline, type Outline } from '../../geometry/outline';
import type { EdgeName } from '../../geometry/segment';
import { mirrored } from '../../geometry/transform';
import { plus, renamed, sum, type Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import type { Piece } from '../../piece/piece';
import type { SeamDraft, Stretch } from '../../piece/seam';
import type { Sizes, Slope } from '../../piece/sizes';
import { runsFrom, type Band } from './band';

import { clothPiece, clothStrip, pairOfMarks, stripEdge } from '../sewing/cloth-piece';
import type { Plaque } from '../plaque/plaque';
import { centreBack } from './reach';

export interface PanelRequest {
  /** Seam line of the bottom plate. */
  readonly sewn: Outline;
  readonly sizes: Sizes;
  readonly slope: Slope;
  /** Allowances of the band's two seams. */
  readonly lower: Figure;
  readonly upper: Figure;
  readonly zipWidth: Figure;
  /** Makes the plaque for the back; null where the cover is closed by hand. */
  readonly plaque: ((opening: Figure, height: Figure) => Plaque) | null;
  readonly handOpening: Figure;
  /** Longest strip the cloth gives, mm. */
  readonly stripMm: number;
  readonly trimOffMm: number;
}

/** Seam line of the top plate of a wedge: as wide as the bottom, as deep as the slope is long. */
export function slantedPlate(sizes: Sizes, slope: Slope): Outline {
  return rectangleOutline(sizes.sewn.width.value, slope.slant.value);
}

/** One side of a wedge, seen from outside on the right: front at the left, the bottom plate's seam below. */
function sideLine(depthMm: number, frontMm: number, backMm: number): Outline {
  return polygonOutline([
    [0, 0, 'front'],
    [depthMm, 0, 'right'],
    [depthMm, backMm, 'back'],
    [0, frontMm, 'left'],
  ]);
}

/** The panels that every wedge has, and what joins them. */
interface Panels {
  readonly front: Piece;
  readonly right: Piece;
  readonly left: Piece;
  readonly rightEnds: SideEdges;
  readonly leftEnds: SideEdges;
  /** Front panel to both sides. */
  readonly corners: readonly SeamDraft[];
  /** The back's height, as sewn and as cut. */
  readonly backHeight: { readonly sewn: Figure; readonly cut: Figure };
  /** A panel across the front or the back. */
  readonly across: (id: string, label: string, height: Figure, mark: 'centre-front' | 'centre-back') => Piece;
  /** Where front and sides stand round the cushion. */
  readonly runs: readonly SkinRun[];
  /** Where the back begins, mm round the seam line, and how long it is. */
  readonly back: { readonly startMm: number; readonly mm: number };
  /** The edge along a plate, with what lies at the back. */
  readonly edge: (which: 'top' | 'bottom', atBack: readonly Stretch[]) => Stretch[];
  readonly problems: readonly Issue[];
}

/**
 * The four panels round a wedge, seamed at every corner: a front, two sides that taper, and for a back the zip plaque, or a panel where it is closed by hand. Each
 * panel is its side and two allowances; its seams stop one allowance short of both plates.
 */
export function makePanels(request: PanelRequest): Band {
  const panels = panelsRound(request);
  return request.plaque ? zippedBack(request, request.plaque, panels) : closedBack(request, panels);
}

function panelsRound({ sewn, sizes, slope, lower, upper, stripMm, trimOffMm }: PanelRequest): Panels {
  const { seam } = sizes;
  const thick = { sewn: sizes.sewn.height, cut: sizes.boxingCut };
  const thin = { sewn: slope.sewn, cut: slope.boxingCut };
  const [frontHeight, backHeight] = slope.end === 'back' ? [thick, thin] : [thin, thick];
  const width = sum('panel, cut', sizes.sewn.width, plus(seam, 2));
  const trimMm = Math.max(0, Math.min(2 * trimOffMm, stripMm - width.value));
  const sides4 = { left: seam.value, right: seam.value, lower: lower.value, upper: upper.value };
  const across: Panels['across'] = (id, label, height, mark) =>
    clothStrip(
      'boxing',
      { id, role: 'boxing', label, remark: 'no join', width, height, trimMm },
      sides4,
      pairOfMarks(mark, width.value / 2, height.value, sides4),
    );
  const front = across('boxing', 'boxing', frontHeight.cut, 'centre-front');
  const line = sideLine(sizes.sewn.depth.value, frontHeight.sewn.value, backHeight.sewn.value);
  const grown = growEdges(line, { front: lower.value, right: seam.value, back: upper.value, left: seam.value, corner: seam.value });
  const cutLine = grown.ok ? grown.outline : line;
  const side = (index: 1 | 2, flip: boolean): Piece =>
    clothPiece('boxing', {
      id: `side-panel-${index}`,
      role: 'side-panel',
      label: index === 1 ? 'right side panel' : 'left side panel',
      remark: 'tapered',
      part: { index, of: 2 },
      width: sum('side, cut', sizes.sewn.depth, plus(seam, 2)),
      height: thick.cut,
      outline: flip ? mirrored(cutLine, sizes.sewn.depth.value / 2) : cutLine,
      sewn: flip ? mirrored(line, sizes.sewn.depth.value / 2) : line,
    });
  const [right, left] = [side(1, false), side(2, true)];
  const [rightEnds, leftEnds] = [sideEdges(right, false), sideEdges(left, true)];
  const spans = edgeSpans(sewn);
  const spanOf = (edge: EdgeName) => spans.find((one) => one.edge === edge) ?? { start: 0, end: 0 };
  const depth = sizes.sewn.depth.value;
  const sideRun = (piece: Piece, edge: EdgeName, [fromMm, toMm]: readonly [number, number]): SkinRun => ({
    piece: piece.id,
    fromMm: spanOf(edge).start,
    toMm: spanOf(edge).end,
    low: 0,
    high: 1,
    corners: [
      { x: 0, y: 0 },
      { x: depth, y: 0 },
      { x: depth, y: toMm },
      { x: 0, y: fromMm },
    ],
  });
  const [frontMm, backMm] = [frontHeight.sewn.value, backHeight.sewn.value];
  return {
    front,
    right,
    left,
    rightEnds,
    leftEnds,
    corners: [
      { id: 'panel-corner-right', words: 'front panel to the right side', first: [stripEdge(front, 'right')], second: [rightEnds.front] },
      { id: 'panel-corner-left', words: 'front panel to the left side', first: [stripEdge(front, 'left')], second: [leftEnds.front] },
    ],
    backHeight,
    across,
    runs: [acrossRun(front, spanOf('front')), sideRun(right, 'right', [frontMm, backMm]), sideRun(left, 'left', [backMm, frontMm])],
    back: { startMm: spanOf('back').start, mm: spanOf('back').end - spanOf('back').start },
    edge: (which, atBack) => [stripEdge(front, which === 'top' ? 'upper' : 'lower'), rightEnds[which], ...atBack, leftEnds[which]],
    problems: width.value > stripMm ? [issue('warning', 'plaque-longer-than-strip', 'construction.strips', { plaqueMm: width.value, stripMm })] : [],
  };
}

/** Where a panel across the front or the back stands. */
function acrossRun(piece: Piece, { start, end }: { readonly start: number; readonly end: number }): SkinRun {
  const [lower, upper] = [stripEdge(piece, 'lower'), stripEdge(piece, 'upper')];
  return stripRun(piece.id, { fromMm: start, toMm: end, x: lower.from.x }, { lowerY: lower.from.y, upperY: upper.from.y });
}

/** A back panel, its lower seam left open for the hand in the middle. */
function closedBack({ sewn, sizes, lower, handOpening }: PanelRequest, { front, right, left, rightEnds, leftEnds, corners, ...panels }: Panels): Band {
  const { backHeight, across, edge, problems } = panels;
  const { seam } = sizes;
  const back = across('panel-back', 'back panel', backHeight.cut, 'centre-back');
  const middle = centreBack(sewn);
  const half = handOpening.value / 2;
  const width = back.width.value;
  const run = (from: number, to: number): Stretch => ({ piece: back.id, from: { x: from, y: lower.value }, to: { x: to, y: lower.value } });
  return {
    panels: true,
    plackets: [],
    coversMm: 0,
    problems,
    opening: handOpening,
    clear: handOpening,
    boxing: [front, right, back, left],
    plaque: null,
    runs: [...panels.runs, acrossRun(back, { start: panels.back.startMm, end: panels.back.startMm + panels.back.mm })],
    topEdge: edge('top', [stripEdge(back, 'upper')]),
    bottomEdge: edge('bottom', [stripEdge(back, 'lower')]),
    joins: [
      ...corners,
      {
        id: 'panel-corners-back',
        words: 'back panel to both sides',
        first: [stripEdge(back, 'left'), stripEdge(back, 'right')],
        second: [rightEnds.back, leftEnds.back],
      },
    ],
    ends: [],
    zip: null,
    byHand: {
      startMm: middle - half,
      endMm: middle + half,
      opening: [run(width / 2 - half, width / 2 + half)],
      rest: edge('bottom', [run(seam.value, width / 2 - half), run(width / 2 + half, width - seam.value)]),
    },
  };
}

/** The plaque for a back. The zip's two folds and its teeth want room in the thin edge. */
function zippedBack({ sewn, sizes, zipWidth }: PanelRequest, plaqueFor: NonNullable<PanelRequest['plaque']>, panels: Panels): Band {
  const { front, right, left, rightEnds, leftEnds, corners, backHeight, edge } = panels;
  const opening = renamed('zip opening', sizes.sewn.width);
  const plaque = plaqueFor(opening, backHeight.sewn);
  const facts = { edgeMm: backHeight.sewn.value, zipMm: zipWidth.value };
  const tooThin = facts.edgeMm < facts.zipMm ? [issue('warning', 'edge-too-thin-for-zip', 'template.thin', facts)] : [];
  const span = edgeSpans(sewn).find((one) => one.edge === 'back');
  return {
    panels: true,
    plackets: [],
    coversMm: 0,
    problems: [...panels.problems, ...tooThin],
    opening,
    clear: opening,
    boxing: [front, right, left],
    plaque,
    runs: [...panels.runs, ...runsFrom(plaque.runs, panels.back.startMm)],
    topEdge: edge('top', plaque.topEdge),
    bottomEdge: edge('bottom', plaque.bottomEdge),
    joins: corners,
    ends: [
      { id: 'plaque-end-left', zip: true, words: `plaque’s left end to the ${right.label}`, first: plaque.left, second: [rightEnds.back] },
      { id: 'plaque-end-right', zip: true, words: `plaque’s right end to the ${left.label}`, first: plaque.right, second: [leftEnds.back] },
    ],
    zip: { startMm: span?.start ?? 0, endMm: span?.end ?? perimeter(sewn) },
    byHand: null,
  };
}

type SideEdges = Record<'bottom' | 'top' | 'front' | 'back', Stretch>;

/** The four seams of a side panel, found by where its seam line runs: below, above, and at the ends of the front and the back. */
function sideEdges({ id, sewn }: Piece, flipped: boolean): SideEdges {
  const of = (edge: EdgeName): Stretch => {
    const segment = sewn?.segments.find((one) => one.edge === edge);
    return { piece: id, from: segment?.from ?? { x: NaN, y: NaN }, to: segment?.to ?? { x: NaN, y: NaN } };
  };
  // `sideLine` names them as the sides of a shape that stands on its bottom seam; mirroring exchanges left and right.
  return { bottom: of('front'), top: of('back'), front: of(flipped ? 'right' : 'left'), back: of(flipped ? 'left' : 'right') };
}
