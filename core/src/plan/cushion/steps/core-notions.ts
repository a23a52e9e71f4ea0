import type { Notion } from '../../../cover/contract';
import { area, perimeter, type Outline } from '../../../geometry/outline';
import { given, law, measuredOn } from '../../../kernel/figure';
import type { Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import type { Sizes } from '../../../piece/sizes';
import type { Constants } from '../../../shop/assumptions';
import type { WrapFix } from '../../../shop/schools';

/** A core as it is put together: its steps say what is glued and what is stapled. */
interface CoreAtWork {
  readonly pieces: readonly Piece[];
  readonly operations: readonly Operation[];
  readonly outline: Outline;
  readonly sizes: Sizes;
  readonly wrapFix: WrapFix;
  /** The underside is board: its wrap has one face. */
  readonly onBoard: boolean;
  readonly assume: Constants;
}

/**
 * Joints of the layers that are glued up from parts, mm²: two parts that meet both have the joint in their outline, so together the outlines of a layer's parts are longer
 * than its own by twice the joints. The core's outline stands for the layer's own.
 */
function jointsOfParts(foam: readonly Piece[], outline: Outline): number {
  const layers = new Map<number, { readonly thicknessMm: number; roundMm: number }>();
  for (const { glued, material, part, outline: own } of foam) {
    if (!glued || material.kind !== 'foam') continue;
    const layer = layers.get(part.index) ?? { thicknessMm: material.thicknessMm, roundMm: 0 };
    layer.roundMm += perimeter(own);
    layers.set(part.index, layer);
  }
  return [...layers.values()].reduce((mm2, { thicknessMm, roundMm }) => mm2 + (thicknessMm * Math.max(0, roundMm - perimeter(outline))) / 2, 0);
}

/** What a core and its wrap are held together with: adhesive by the area that is glued, counted once for both faces, and staples of a wrap. */
export function coreNotions({ pieces, operations, outline, sizes, wrapFix, onBoard, assume }: CoreAtWork): Notion[] {
  const done = new Set(operations.map(({ id }) => id));
  const foam = pieces.filter(({ material }) => material.kind === 'foam');
  const layers = Math.max(0, ...foam.map(({ part }) => part.of));
  const old = pieces.filter(({ material }) => material.kind === 'old-core' && !material.strip);
  const round = perimeter(outline);
  const edge = assume('glueEdgeMm');
  const faces = onBoard ? 1 : 2;
  const pads = pieces.filter(({ role }) => role === 'crown-pad' || role === 'hollow-pad');
  const lower = sizes.core.height.value - (foam[0]?.material.kind === 'foam' ? foam[0].material.thicknessMm : 0);
  const mm2 =
    (done.has('prepare/glue-layers') ? (layers - 1) * area(outline) : 0) +
    (done.has('prepare/glue-to-board') ? area(outline) : 0) +
    (done.has('prepare/glue-parts') ? jointsOfParts(foam, outline) : 0) +
    (done.has('prepare/over-front') ? sizes.core.width.value * lower : 0) +
    (done.has('prepare/join-old-cores') ? (old.length - 1) * sizes.core.depth.value * sizes.core.height.value : 0) +
    (done.has('prepare/wrap') && wrapFix === 'adhesive' ? faces * round * edge : 0) +
    pads.reduce((sum, pad) => sum + pad.countPerCushion * perimeter(pad.outline) * edge, 0);
  const adhesive = law(
    'adhesive',
    '{0} × {1}',
    [given('m² glued', mm2 / 1e6, 'measured', 'count'), given('l a m², both faces', assume('adhesivePerM2'), 'shop', 'count')],
    'l',
  );
  const staples = measuredOn(
    'staples',
    Math.ceil((faces * round) / assume('wrapStapleMm')),
    'round the core, a face each, one each {0}',
    [given('apart', assume('wrapStapleMm'), 'shop')],
    'count',
  );
  return [
    ...(mm2 > 0 ? [{ ware: 'adhesive', name: 'Spray adhesive', sold: 'volume', amount: adhesive } as const] : []),
    ...(done.has('prepare/wrap') && wrapFix === 'staples' ? [{ ware: 'staples', name: 'Staples for the wrap', sold: 'count', amount: staples } as const] : []),
  ];
}
