import * as z from 'zod';
import type { SkinStrap } from '../../form/skin';
import { edgeSpans, type Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { given } from '../../kernel/figure';
import { operation, type Operation } from '../../piece/operation';
import type { Piece } from '../../piece/piece';
import { minutesFor } from '../../shop/minutes';
import type { Field } from '../contract';
import { stripEdge } from '../sewing/cloth-piece';
import { countField } from '../sewing/fields';
import type { Added, ExtraAsk } from './contract';
import { foldedEdge, foldedStrip } from './folded-strip';
import { EXTRAS_CONSTANTS } from './constants';

export const handlesShape = { handles: z.int().min(0).max(12).optional() };
export type Handles = z.infer<z.ZodObject<typeof handlesShape>>;

export const handlesFields: readonly Field<Handles>[] = [countField<Handles>('handles', 'Handles', 12, { group: 'extras' })];

/** Handles of one side lie so far apart, mm. */
const APART_MM = 120;

/** Where handles lie along the seam line, by its longest sides first: one in the middle of a side, else two a side from its middle out. */
function placesOf(sewn: Outline, count: number, longMm: number): { readonly fromMm: number; readonly toMm: number }[] {
  const sides = edgeSpans(sewn).sort((a, b) => b.end - b.start - (a.end - a.start));
  if (!sides.length) return [];
  return Array.from({ length: count }, (_, i) => {
    const { start, end } = sides[Math.floor(i / 2) % sides.length] as (typeof sides)[number];
    const off = count === 1 ? 0 : (i % 2 ? 1 : -1) * ((longMm + APART_MM) / 2);
    const middle = (start + end) / 2 + off;
    return { fromMm: middle - longMm / 2, toMm: middle + longMm / 2 };
  });
}

/** Handles on the boxing: those of the old cover that were kept, and the rest cut anew. */
export function addHandles({ choices: { handles = 0 }, request: { assume, keptHandles, sewn }, bandIds }: ExtraAsk<Handles>): Partial<Added> {
  if (!handles) return {};
  const old = Math.min(handles, keptHandles);
  const place = `on the boxing, ${handles === 1 ? 'in the middle of a side' : 'two a side from its middle out'}, with slack for a hand.`;
  const stitched = (text: string, folded: number, piece?: Piece): Operation =>
    operation({
      id: 'sew/handles',
      phase: 'sew',
      text,
      cautions: ['Through the boxing and a patch behind it: the pull comes on four stitches.'],
      pieces: [...(piece ? [piece.id] : []), ...bandIds],
      seams: piece ? ['handles'] : [],
      minutes: minutesFor('sew', folded, 4 * handles, assume),
      needs: 'machine',
      after: ['cut/notch'],
    });
  const [longMm, wideMm] = [assume(EXTRAS_CONSTANTS.handleLengthMm), assume(EXTRAS_CONSTANTS.handleWidthMm)];
  const straps = (piece: string, onPiece: Point): SkinStrap[] =>
    placesOf(sewn, handles, longMm).map((place) => ({ ...place, piece, wideMm, kind: 'handle', onPiece }));
  if (old === handles)
    return {
      straps: straps('old-handle', { x: 0, y: 0 }),
      operations: [stitched(`Box-stitch the old cover’s ${handles === 1 ? 'handle' : `${handles} handles`} ${place}`, 0)],
    };
  const length = given('handle', longMm, 'shop');
  const wide = given('handle, wide', wideMm, 'shop');
  const turnIn = given('turned in', assume(EXTRAS_CONSTANTS.tieTurnMm), 'shop');
  const handle = foldedStrip({ role: 'handle', remark: 'on the boxing', length, wide, turnIn, count: handles - old });
  const made = handles - old === 1 ? 'the handle' : `${handles - old} handles`;
  const stitch = `${handles - old === 1 ? 'it' : 'them'}${old ? ` and the old cover’s ${old}` : ''}`;
  return {
    straps: straps(handle.id, stripEdge(handle, 'lower').from),
    pieces: [handle],
    seams: [foldedEdge(handle, 'handles', 'each handle folded and top-stitched')],
    operations: [stitched(`Fold and top-stitch ${made}, and box-stitch ${stitch} ${place}`, (handles - old) * length.value, handle)],
  };
}
