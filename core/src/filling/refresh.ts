import type { Point } from '../geometry/point';
import { polygonArea } from '../geometry/polygon';
import { SAT_OUT, setOf, type Judged, type OldCore } from './old-core';

/** One thing to do to an old core that goes back in. */
export type RefreshItem =
  | { readonly kind: 'pad'; readonly pads: readonly Pad[] }
  | { readonly kind: 'wrap' }
  | { readonly kind: 'frame' }
  | { readonly kind: 'glue' }
  | { readonly kind: 'splice' }
  | { readonly kind: 'air' }
  | { readonly kind: 'steam' };

/** A layer of a crown pad, centred on the core. */
export interface Pad {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly areaMm2: number;
  /** Centred on 0, 0. */
  readonly outline: readonly Point[];
}

const QUARTER = 16;

/**
 * The outline on which a bowl over a rectangle lies at `level` of its full depth. The bowl is (1 − x²/a²)(1 − y²/b²): deepest in the middle,
 * nothing at the edge; a sat-out core measured only at edge and middle says no more.
 */
export function hollowOutline(widthMm: number, depthMm: number, level: number): Point[] {
  const [a, b] = [widthMm / 2, depthMm / 2];
  const reach = Math.sqrt(1 - level);
  const quarter = Array.from({ length: QUARTER + 1 }, (_, i) => {
    const x = reach * Math.cos((Math.PI / 2) * (i / QUARTER));
    return { x: a * x, y: b * Math.sqrt(Math.max(0, 1 - level / (1 - x * x))) };
  });
  const upper = [
    ...quarter,
    ...quarter
      .slice(0, -1)
      .reverse()
      .map(({ x, y }) => ({ x: -x, y })),
  ];
  return [
    ...upper,
    ...upper
      .slice(1, -1)
      .reverse()
      .map(({ x, y }) => ({ x, y: -y })),
  ];
}

/** Layers of wadding that fill a hollow: of k layers the i-th covers what lies deeper than (i − ½)/k of the hollow. The largest first. */
export function crownPads(widthMm: number, depthMm: number, hollowMm: number, loftMm: number): Pad[] {
  const count = Math.max(1, Math.round(hollowMm / loftMm));
  return Array.from({ length: count }, (_, i) => {
    const outline = hollowOutline(widthMm, depthMm, (i + 0.5) / count);
    const reach = Math.sqrt(1 - (i + 0.5) / count);
    return { widthMm: widthMm * reach, depthMm: depthMm * reach, areaMm2: Math.abs(polygonArea(outline)), outline };
  });
}

/** What to do to a core that is kept, refreshed or patched, in its order; nothing for one that is replaced. `loftMm` is one layer of the pad's wadding. */
export function refreshList(old: OldCore, { verdict }: Judged, core: { readonly widthMm: number; readonly depthMm: number }, loftMm: number): RefreshItem[] {
  if (verdict === 'replace') return [];
  const found = new Set(old.findings);
  const set = setOf(old) ?? 0;
  const hollowMm = (old.edgeMm ?? 0) - (old.middleMm ?? 0);
  const worn = verdict !== 'keep';
  return [
    ...(worn ? [{ kind: 'wrap' } as const] : []),
    ...(worn || found.has('discoloured') || found.has('smell') ? [{ kind: 'frame' } as const] : []),
    ...(found.has('discoloured') || found.has('smell') ? [{ kind: 'air' } as const] : []),
    ...(found.has('joints-open') ? [{ kind: 'glue' } as const] : []),
    ...(found.has('strip-missing') ? [{ kind: 'splice' } as const] : []),
    ...(set > SAT_OUT ? [{ kind: 'pad' as const, pads: crownPads(core.widthMm, core.depthMm, hollowMm, loftMm) }] : []),
    ...(worn ? [{ kind: 'steam' } as const] : []),
  ];
}
