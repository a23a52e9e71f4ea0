import { mapSegment } from '../../../geometry/affine';
import { closed, outlineBounds, type Outline } from '../../../geometry/outline';
import { given, type Figure } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import type { Sizes } from '../../../piece/sizes';
import type { Cushion } from '../../../job/document';

type Measured = NonNullable<Cushion['core']['asCut']>;

/** The core that lies on the bench: its sizes, its outline drawn out to them, and how much higher it is than planned. */
export interface CoreAsCut {
  readonly core: Sizes['core'];
  readonly outline: Outline;
  readonly heightShare: number;
}

/** A core cut otherwise than planned by less than this is as planned, mm: what a tape can tell on foam. */
const AS_PLANNED_MM = 1;

/** The core as it was measured after cutting; sizes that were not measured are as planned. Null where none was. */
export function coreAsCut(measured: Measured | undefined, core: Sizes['core'], outline: Outline): CoreAsCut | null {
  if (!measured) return null;
  const figure = (planned: Figure, mm: number | undefined): Figure => (mm === undefined ? planned : given('core, as cut', mm, 'entered'));
  const made = { width: figure(core.width, measured.widthMm), depth: figure(core.depth, measured.depthMm), height: figure(core.height, measured.heightMm) };
  const [x, y] = [made.width.value / core.width.value, made.depth.value / core.depth.value];
  const { minX, minY, maxX, maxY } = outlineBounds(outline);
  // About its middle, so that it stays in the middle of the cover.
  const map = [x, 0, 0, y, ((1 - x) * (minX + maxX)) / 2, ((1 - y) * (minY + maxY)) / 2] as const;
  const drawn = x === 1 && y === 1 ? outline : { segments: closed(outline.segments.flatMap((segment) => mapSegment(map, segment))) };
  return { core: made, outline: drawn, heightShare: made.height.value / core.height.value };
}

/** Says where the core was cut otherwise than planned: wrap and fit go by what lies there. */
export function asCutProblems(cut: CoreAsCut | null, planned: Sizes['core']): Issue[] {
  if (!cut) return [];
  const off = (['width', 'depth', 'height'] as const).map((key) => cut.core[key].value - planned[key].value);
  if (off.every((mm) => Math.abs(mm) < AS_PLANNED_MM)) return [];
  const [widthMm, depthMm, heightMm] = [cut.core.width.value, cut.core.depth.value, cut.core.height.value];
  return [
    issue('note', 'core-cut-otherwise', 'core.asCut', { widthMm, depthMm, heightMm, worstMm: off.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a)) }),
  ];
}
