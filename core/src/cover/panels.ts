import { grow } from '../geometry/offset';
import { edgeSpans, perimeter, polygonOutline, rectangleOutline, type Outline } from '../geometry/outline';
import { segmentLength } from '../geometry/segment';
import { mirrored } from '../geometry/transform';
import { law, plus, sum, type Figure } from '../kernel/figure';
import { issue, type Issue } from '../kernel/issue';
import type { Piece } from '../piece/piece';
import type { Sizes } from '../build/sizes';
import type { Slope } from '../build/slope';
import { strip, type Band } from './boxing';

export interface PanelRequest {
  /** Seam line of the bottom plate. */
  readonly sewn: Outline;
  readonly sizes: Sizes;
  readonly slope: Slope;
  readonly zipWidth: Figure;
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

/**
 * The four panels round a wedge, seamed at every corner: a front, two sides that taper, and the zip plaque for a back. Each panel is its side and two
 * allowances; its seams stop one allowance short of both plates.
 */
export function makePanels({ sewn, sizes, slope, zipWidth, stripMm, trimOffMm }: PanelRequest): Band {
  const { seam } = sizes;
  const thick = { sewn: sizes.sewn.height, cut: sizes.boxingCut };
  const thin = { sewn: slope.sewn, cut: slope.boxingCut };
  const [front, back] = slope.end === 'back' ? [thick, thin] : [thin, thick];
  const problems: Issue[] = [];

  const across = sum('panel, cut', sizes.sewn.width, plus(seam, 2));
  if (across.value > stripMm) problems.push(issue('warning', 'plaque-longer-than-strip', 'construction.strips', { plaqueMm: across.value, stripMm }));
  const trimMm = Math.max(0, Math.min(2 * trimOffMm, stripMm - across.value));
  const middle = (height: Figure, kind: 'centre-front' | 'centre-back') =>
    [-1, 1].map((way) => ({
      kind,
      at: { x: across.value / 2, y: way < 0 ? seam.value : height.value - seam.value },
      outward: { x: 0, y: way },
    }));
  const frontPanel = strip('boxing', 'boxing', { index: 1, of: 1 }, across, front.cut, trimMm, middle(front.cut, 'centre-front'));

  const line = sideLine(sizes.sewn.depth.value, front.sewn.value, back.sewn.value);
  const grown = grow(line, seam.value);
  const cutLine = grown.ok ? grown.outline : line;
  const side = (index: 1 | 2, flip: boolean): Piece => ({
    ...strip('side-panel', 'side-panel', { index, of: 2 }, sum('side, cut', sizes.sewn.depth, plus(seam, 2)), thick.cut, 0, []),
    id: `side-panel-${index}`,
    outline: flip ? mirrored(cutLine, sizes.sewn.depth.value / 2) : cutLine,
    sewn: flip ? mirrored(line, sizes.sewn.depth.value / 2) : line,
  });
  const sides = [side(1, false), side(2, true)];

  const plaqueHeight = sum('plaque, cut', back.sewn, plus(seam, 2), plus(zipWidth));
  const plaque = strip('plaque', 'plaque', { index: 1, of: 1 }, across, plaqueHeight, trimMm, middle(plaqueHeight, 'centre-back'));
  // The zip's two folds and its teeth want room in the thin edge.
  if (back.sewn.value < zipWidth.value)
    problems.push(issue('warning', 'edge-too-thin-for-zip', 'template.thin', { edgeMm: back.sewn.value, zipMm: zipWidth.value }));

  const spans = edgeSpans(sewn);
  const span = spans.find(({ edge }) => edge === 'back');
  const ends = across.value - 2 * seam.value;
  // Measured back from the pieces: a side's upper seam is its back edge, the lower one its front.
  const sideSeams = (edge: 'front' | 'back'): number =>
    sides.flatMap((side) => side.sewn?.segments ?? []).reduce((mm, segment) => mm + (segment.edge === edge ? segmentLength(segment) : 0), 0);
  return {
    opening: law('zip opening', 'the back from corner to corner, {0}', [sizes.sewn.width], (w = 0) => w),
    boxing: [frontPanel, ...sides],
    plaque,
    sewnTopMm: 2 * ends + sideSeams('back'),
    sewnBottomMm: 2 * ends + sideSeams('front'),
    joins: { kind: 'panel-corners', count: 2, firstMm: front.cut.value, secondMm: endHeight(sides[0], 0, seam.value) },
    zip: { startMm: span?.start ?? 0, endMm: span?.end ?? perimeter(sewn) },
    problems,
  };
}

/** Cut height of a side panel at its front, measured back from its seam line. */
function endHeight(side: Piece | undefined, x: number, seamMm: number): number {
  const edge = side?.sewn?.segments.find((segment) => Math.abs(segment.from.x - x) < 1e-6 && Math.abs(segment.to.x - x) < 1e-6);
  return edge ? segmentLength(edge) + 2 * seamMm : 0;
}
